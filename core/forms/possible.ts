import { kindOf } from '../footprint/kinds'
import { outlineBounds } from '../geometry/outline'
import type { Board, Opening, Rod } from '../model/model'
import { formatLength } from '../units/format-length'
import { LARGEST_SIZE } from '../units/length'
import type { Plan, PlanInput, PlannedModel, Refusal } from './form'

/** No part of a holder is smaller, mm. */
const LEAST = 1

/** A size of a part, and how it is said of it. */
type Size = readonly [mm: number, word: string]

function sizesOf(part: Board | Rod): Size[] {
  if ('diameter' in part) return [[part.length, 'long'], [part.diameter, 'thick']] // prettier-ignore
  const { length, width, thickness, bevel } = part
  const taken = bevel ? thickness * Math.tan((bevel.tilt * Math.PI) / 180) : 0
  return [[length, 'long'], [width, 'wide'], [thickness, 'thick'], [width - taken, 'wide beyond its bevel']] // prettier-ignore
}

const isSize = (mm: number): boolean => mm >= LEAST && mm <= LARGEST_SIZE

const SAME = 1e-6

/** Parts behind the back follow from stock and settings, not from the tools. */
const BEHIND: ReadonlySet<string> = new Set(['strip', 'foot', 'slat'])

/** Whether an opening lies within its board, but for the edge at which it is open. */
function isWithin({ outline }: Opening, board: Board): boolean {
  const { minX, minY, maxX, maxY } = outlineBounds(outline)
  return minX > -SAME && minY > -SAME && maxX < board.length + SAME && maxY < board.width + SAME
}

/**
 * A plan as it is when every part of it has a size that a part can have, and openings within it. Figures that contradict each other, or a setting far
 * from what it is for, can make a part less than nothing: then there is nothing to draw, and it is told what they lead to.
 */
export function possible(plan: Plan, input: PlanInput): Plan {
  const refusal = plan.model && impossible(plan.model, input)
  return refusal ? { ...plan, model: null, refusals: [...plan.refusals, refusal] } : plan
}

function impossible({ boards, rods }: PlannedModel, input: PlanInput): Refusal | null {
  for (const part of [...rods, ...boards]) {
    const size = sizesOf(part).find(([mm]) => !isSize(mm))
    if (!size) continue
    const says = `${part.name} would come out ${formatLength(size[0], input.shop)} ${size[1]}`
    if (BEHIND.has(part.role)) return followed(`no size:${part.id}`, says, [])
    return refusalOf(`no size:${part.id}`, says, 'seats' in part ? part.seats : [], input)
  }
  for (const board of boards) {
    const opening = board.openings.find((o) => !isWithin(o, board))
    if (!opening) continue
    const says = `An opening of the ${board.name.toLowerCase()} would reach beyond its edge`
    return refusalOf(`outside:${opening.id}`, says, opening.seat === null ? [] : [opening.seat], input)
  }
  return null
}

/**
 * What can't be, and what to look at.
 * @param seats whose part it is; any of the holder's where none
 */
function refusalOf(id: string, can: string, seats: readonly string[], input: PlanInput): Refusal {
  const asked = seats.length > 0 ? seats : input.holder.seats.map((s) => s.id)
  const slip = asked.map((seat) => contradictionIn(seat, input)).find((found) => found !== null)
  if (!slip) return followed(id, can, seats)
  const { name, tool, fields, seat } = slip
  return { id, says: `${can}: figures of ${name} contradict each other. Measure them again.`, tool, fields, seats: [seat] } // prettier-ignore
}

/** What can't be, where no tool's figures are known to be wrong. */
const followed = (id: string, can: string, seats: readonly string[]): Refusal => ({
  id,
  says: `${can}: look again at what it follows from, the tools’ figures, this holder’s own and the shop’s settings.`,
  seats: [...seats],
})

/** The tool of a seat with those of its figures that contradict each other; null where none do. */
function contradictionIn(
  id: string,
  { holder, tools }: PlanInput,
): { seat: string; tool: string; name: string; fields: string[] } | null {
  const tool = tools.get(holder.seats.find((s) => s.id === id)!.tool)
  const found = (tool && kindOf(tool.kind)?.contradictions(tool)) ?? []
  if (!tool || found.length === 0) return null
  return { seat: id, tool: tool.id, name: tool.name, fields: [...new Set(found.flatMap((c) => c.fields))] }
}
