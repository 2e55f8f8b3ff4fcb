import { boredBy, bitToBuy, chooseBit, neededOpening } from '../../fit/bore'
import { boreRule, neededRule, sawnRule } from '../../fit/rules'
import type { Measured } from '../../footprint/kind'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import { bitName } from '../../shop/bit-name'
import { FIT_SETTING, type Bit, type Fit } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import { holeOf } from '../bit-hole'
import { optionOf, settingOf } from '../choice-value'
import type { PlanInput, Refusal } from '../form'
import { doubtFigure, massFigure, measuredFigure } from '../measured-figure'
import { seatTool } from '../seat-tool'
import type { Spot } from '../spread'
import { choices } from './choices'
import { extentRule } from './rules'
import { standEnvelope, type StandEnvelope } from '../on-handle'

/** A tool in its collar and toe; mm, with the ids of its figures. */
export interface Stood extends Spot {
  order: SeatOrder
  tool: Tool
  envelope: StandEnvelope
  bore: number
  bit: Bit | null
  out: number
  overall: number
  ids: Record<'left' | 'right' | 'front' | 'neckAcross' | 'needed' | 'slot' | 'overall' | 'mass', string>
}

/** Works out each tool’s hole. Seats whose tool is gone, unmeasured or doesn’t stand on its handle are left out and named. */
export function stoodTools(input: PlanInput, trail: Trail): { stood: Stood[]; refusals: Refusal[] } {
  const found: Stood[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const seated = seatTool(
      input,
      order,
      (_, tool, turn) => standEnvelope(tool, turn),
      'has no long handle to stand on.',
    )
    if ('says' in seated) refusals.push(seated)
    else found.push(one(input, trail, order, seated.tool, seated.envelope, found.length + 1))
  }
  return { stood: found, refusals }
}

function one(input: PlanInput, trail: Trail, order: SeatOrder, tool: Tool, e: StandEnvelope, place: number): Stood {
  const { shop } = input
  const put = (name: string, label: string, m: Measured): string => measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, extentRule) // prettier-ignore
  const neckAcross = put('across', 'Handle', e.handle)
  const doubt = doubtFigure(input, trail, order, tool, 'across', `Handle of ${place}`, e.handle)
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const allowance = settingOf(input, trail, fit)
  const ids = { needed: `needed:${order.id}`, slot: `bore:${order.id}` }
  const needed = trail.derive(ids.needed, `Opening needed for ${place}`, neededOpening(e.handle.value, trail.get(doubt).value, allowance), neededRule, `{${neckAcross}} + {${doubt}} + {${fit}}`, { print: 'up' }) // prettier-ignore
  const bit = chooseBit({ needed, bits: shop.bits })
  const buy = bit ? null : bitToBuy(needed, shop.unit)
  const note = bit ? `${bitName(bit.diameter, shop)} bit` : buy === null ? '' : `no bit owned is big enough; a ${bitName(buy, shop)} one would do` // prettier-ignore
  const bore = bit
    ? trail.derive(ids.slot, `Bore ${place}`, boredBy(bit), boreRule, `{${holeOf(input, trail, bit)}} ≥ {${ids.needed}}`, { print: 'up', note }) // prettier-ignore
    : trail.derive(ids.slot, `Bore ${place}`, needed, sawnRule, `{${ids.needed}}`, { print: 'up', note })
  const aside = put('aside', 'Reach aside', e.aside)
  return {
    seat: order.id,
    order,
    tool,
    place,
    envelope: e,
    bore,
    bit,
    left: e.aside.value,
    right: e.aside.value,
    out: e.out.value,
    overall: e.overall.value,
    ids: { left: aside, right: aside, front: put('out', 'Reach out', e.out), neckAcross, ...ids, overall: put('overall', 'Overall length', e.overall), mass: massFigure(trail, tool) }, // prettier-ignore
  }
}
