import { neededOpening } from '../../fit/bore'
import { neededRule } from '../../fit/rules'
import type { Measured } from '../../footprint/kind'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import { FIT_SETTING, type Fit } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import type { Trail } from '../../working/trail'
import { optionOf, settingOf } from '../choice-value'
import type { PlanInput, Refusal } from '../form'
import { doubtFigure, massFigure, measuredFigure } from '../measured-figure'
import { standEnvelope, type StandEnvelope } from '../on-handle'
import { seatTool } from '../seat-tool'
import type { Spot } from '../spread'
import { choices } from './choices'
import { extentRule } from './rules'

/** A tool in its pipe; mm, with the ids of its figures. */
export interface InPipe extends Spot {
  order: SeatOrder
  tool: Tool
  envelope: StandEnvelope
  out: number
  overall: number
  ids: Record<'left' | 'right' | 'front' | 'overall' | 'mass', string>
}

/**
 * What stands in the pipes; what is gone, unmeasured, or too thick for the pipe is left out and named. `thickness:pipe` and
 * `pipeBore` must be on the trail.
 */
export function inPipes(input: PlanInput, trail: Trail): { stood: InPipe[]; refusals: Refusal[] } {
  const stood: InPipe[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const seated = seatTool(input, order, (_, tool, turn) => standEnvelope(tool, turn), 'has no long handle to stand on.') // prettier-ignore
    if ('says' in seated) refusals.push(seated)
    else {
      const found = one(input, trail, order, seated.tool, seated.envelope, stood.length + 1)
      if ('says' in found) refusals.push(found)
      else stood.push(found)
    }
  }
  return { stood, refusals }
}

function one(
  input: PlanInput,
  trail: Trail,
  order: SeatOrder,
  tool: Tool,
  e: StandEnvelope,
  place: number,
): InPipe | Refusal {
  const put = (name: string, label: string, m: Measured): string => measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, extentRule) // prettier-ignore
  const handle = put('across', 'Handle', e.handle)
  const doubt = doubtFigure(input, trail, order, tool, 'across', `Handle of ${place}`, e.handle)
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const needed = trail.derive(`needed:${order.id}`, `Opening needed for ${place}`, neededOpening(e.handle.value, trail.get(doubt).value, settingOf(input, trail, fit)), neededRule, `{${handle}} + {${doubt}} + {${fit}}`, { print: 'up' }) // prettier-ignore
  const bore = trail.get('pipeBore').value
  if (needed > bore + 1e-6) {
    const says = `${tool.name} is left out: its handle wants ${formatLength(needed, input.shop, 'up')}, and the pipe is ${formatLength(bore, input.shop, 'down')} wide inside. Take a wider pipe.`
    return { id: `pipe:${order.id}`, says, tool: tool.id, seats: [order.id] }
  }
  const aside = put('aside', 'Reach aside', e.aside)
  const half = trail.get('thickness:pipe').value / 2
  const past = trail.derive(`past:${order.id}`, `Reach aside of ${place} with its pipe`, Math.max(e.aside.value, half), extentRule, `max({${aside}}, {thickness:pipe} / 2)`) // prettier-ignore
  return {
    seat: order.id,
    order,
    tool,
    place,
    envelope: e,
    left: past,
    right: past,
    out: e.out.value,
    overall: e.overall.value,
    ids: { left: `past:${order.id}`, right: `past:${order.id}`, front: put('out', 'Reach out', e.out), overall: put('overall', 'Overall length', e.overall), mass: massFigure(trail, tool) }, // prettier-ignore
  }
}
