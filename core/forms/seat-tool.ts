import type { Attitude, Kind, Missing } from '../footprint/kind'
import { kindOf } from '../footprint/kinds'
import type { Tool } from '../footprint/tool'
import type { SeatOrder } from '../model/holder'
import type { PlanInput, Refusal } from './form'

/** A seat's tool with what a form feels of it. */
export interface SeatedTool<E> {
  tool: Tool
  envelope: E
}

/**
 * The tool of a seat with its envelope for a form; or why it is left out: gone from the tray, of a kind that the form
 * can't hold, or not measured.
 * @param envelopeOf reads the envelope from a kind, in mm; null or undefined where the kind has none
 * @param cannot why a tool without an envelope can't be held, following its name
 */
export function seatTool<E extends object>(
  input: PlanInput,
  order: SeatOrder,
  envelopeOf: (kind: Kind, tool: Tool, turn: Attitude['turn']) => E | Missing | null | undefined,
  cannot: string,
): SeatedTool<E> | Refusal {
  const tool = input.tools.get(order.tool)
  const seats = [order.id]
  if (!tool) {
    const says = 'A tool that was in this holder is no longer in the tray; its place is left out.'
    return { id: `gone:${order.id}`, says, seats }
  }
  const kind = kindOf(tool.kind)
  const envelope = kind && envelopeOf(kind, tool, order.turn)
  if (!kind || !envelope) return { id: `kind:${order.id}`, says: `${tool.name} ${cannot}`, tool: tool.id, seats }
  if ('missing' in envelope) {
    const fields = envelope.missing
    const labels = fields.map((key) => kind.fields.find((f) => f.key === key)?.label.toLowerCase() ?? key)
    const says = `${tool.name} is left out until it is measured: ${labels.join(', ')}.`
    return { id: `unmeasured:${order.id}`, says, tool: tool.id, fields, seats }
  }
  return { tool, envelope }
}
