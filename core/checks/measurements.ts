import { remarksOn } from '../footprint/measuring'
import type { PlanInput } from '../forms/form'
import { formatLength } from '../units/format-length'
import type { Verdict } from './verdict'

/** Figures of the seated tools that contradict each other or are out of the ordinary. */
export function checkMeasurements({ shop, tools, holder }: PlanInput): Verdict[] {
  const told = new Set<string>()
  return holder.seats.flatMap((seat) => {
    const tool = tools.get(seat.tool)
    if (!tool || told.has(tool.id)) return []
    told.add(tool.id)
    const remarks = remarksOn(tool, (mm) => formatLength(mm, shop))
    const messages = [...new Set(remarks.map((r) => r.message))]
    return messages.map((message, i): Verdict => ({
      id: `measured:${tool.id}:${i}`,
      check: 'measurements',
      title: tool.name,
      level: 'watch',
      says: `${tool.name}: ${message}`,
      seats: [seat.id],
      candidates: [],
      measure: { tool: tool.id, fields: remarks.filter((r) => r.message === message).map((r) => r.field) },
    }))
  })
}
