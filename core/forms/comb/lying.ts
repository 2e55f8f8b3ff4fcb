import { bitToBuy, boredBy, chooseBit, neededOpening } from '../../fit/bore'
import { boreRule, neededRule, sawnRule } from '../../fit/rules'
import type { Measured, Missing, NeckEnvelope } from '../../footprint/kind'
import { kindOf } from '../../footprint/kinds'
import { part } from '../../footprint/neck'
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
import { cosine, sine } from '../tilting'
import { choices } from './choices'
import { extentRule, lengthRule, turnedRule } from './rules'

/** What posts feel of a tool that lies across them: its neck turned on its side, and how long it is. */
export type LyingEnvelope = NeckEnvelope & { overall: Measured }

/** Kinds that are long enough to lie across posts, with no edge beside a hand. */
const LONG: readonly string[] = ['bar-clamp', 'long-handled']

/** The envelope of a tool that lies along the wall; null for what has no neck, or no known length. */
export function lyingEnvelope(tool: Tool, turn: SeatOrder['turn']): LyingEnvelope | Missing | null {
  const kind = kindOf(tool.kind)
  const neck = kind?.neck?.(tool, turn)
  if (!neck || !LONG.includes(tool.kind)) return null
  const missing = [...('missing' in neck ? neck.missing : []), ...(tool.measures.overallLength === undefined ? ['overallLength'] : [])] // prettier-ignore
  return missing.length > 0 || 'missing' in neck
    ? { missing }
    : { ...neck, overall: part(tool.measures, 'overallLength') }
}

/** A tool across the posts; `left` is below, `right` above; mm, with the ids of its figures. */
export interface Lying extends Spot {
  order: SeatOrder
  tool: Tool
  front: number
  back: number
  slot: number
  bit: Bit | null
  neckUp: number
  neckOut: number
  /** how far forward of the slot’s end a flat bar comes to rest, along the slot */
  rest: number
  /** in a slot of the posts' back edge */
  rear: boolean
  /** a flat bar lies at the slope of its slot */
  turned: boolean
  overall: number
  ids: Record<
    'left' | 'right' | 'front' | 'back' | 'neckAcross' | 'neckAlong' | 'needed' | 'slot' | 'overall' | 'mass',
    string
  >
}

/** Works out each tool’s slot. Seats whose tool is gone, unmeasured or can’t lie across posts are left out and named. */
export function lyingTools(input: PlanInput, trail: Trail): { lying: Lying[]; refusals: Refusal[] } {
  const found: Lying[] = []
  const slope = Number(optionOf(choices, input, 'slope'))
  if (slope > 0)
    trail.given('slope', 'Slope of the slots', slope, { kind: 'choice', key: 'slope' }, { quantity: 'angle' })
  const both = optionOf(choices, input, 'sides') === 'both'
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const seated = seatTool(input, order, (_, tool, turn) => lyingEnvelope(tool, turn), 'has no long bar or handle to lie on.') // prettier-ignore
    if ('says' in seated) refusals.push(seated)
    else
      found.push(
        one(input, trail, order, seated.tool, seated.envelope, found.length + 1, both && found.length % 2 === 1),
      )
  }
  return { lying: found, refusals }
}

/**
 * How far a head reaches each way when its flat bar lies turned in a sloped slot: a front and an upper edge both count.
 * A rear slot slopes the other way.
 */
function turnedBy(
  trail: Trail,
  order: SeatOrder,
  place: number,
  slope: number,
  e: LyingEnvelope,
  ids: Sides,
  rear: boolean,
): { values: Record<keyof Sides, number>; ids: Sides } {
  const values = { left: e.left.value, right: e.right.value, front: e.front.value, back: e.back.value }
  if (slope === 0 || e.neckShape === 'round') return { values, ids }
  const [c, s] = [cosine(slope), sine(slope)]
  const along = (
    name: keyof Sides,
    label: string,
    own: keyof Sides,
    other: keyof Sides,
  ): { value: number; id: string } => {
    const id = `${name}Turned:${order.id}`
    return { value: trail.derive(id, `${label} of ${place}, turned`, c * values[own] + s * values[other], turnedRule, `cos({slope}) × {${ids[own]}} + sin({slope}) × {${ids[other]}}`), id } // prettier-ignore
  }
  const all = {
    left: along('left', 'Reach down', 'left', rear ? 'front' : 'back'),
    right: along('right', 'Reach up', 'right', rear ? 'back' : 'front'),
    front: along('front', 'Front extent', 'front', rear ? 'right' : 'left'),
    back: along('back', 'Back extent', 'back', rear ? 'left' : 'right'),
  }
  const pick = <T>(of: (side: { value: number; id: string }) => T) => ({ left: of(all.left), right: of(all.right), front: of(all.front), back: of(all.back) }) // prettier-ignore
  return { values: pick((a) => a.value), ids: pick((a) => a.id) }
}

type Sides = Record<'left' | 'right' | 'front' | 'back', string>

function one(
  input: PlanInput,
  trail: Trail,
  order: SeatOrder,
  tool: Tool,
  e: LyingEnvelope,
  place: number,
  rear: boolean,
): Lying {
  const { shop } = input
  const put = (name: string, label: string, m: Measured, rule = extentRule): string => measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, rule) // prettier-ignore
  const neckAcross = put('across', 'Bar, up and down', e.neckAcross)
  const doubt = doubtFigure(input, trail, order, tool, 'across', `Bar of ${place}`, e.neckAcross)
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const ids = { needed: `needed:${order.id}`, slot: `slot:${order.id}` }
  const needed = trail.derive(ids.needed, `Opening needed for ${place}`, neededOpening(e.neckAcross.value, trail.get(doubt).value, settingOf(input, trail, fit)), neededRule, `{${neckAcross}} + {${doubt}} + {${fit}}`, { print: 'up' }) // prettier-ignore
  const bit = chooseBit({ needed, bits: shop.bits })
  const buy = bit ? null : bitToBuy(needed, shop.unit)
  const note = bit ? `${bitName(bit.diameter, shop)} bit` : buy === null ? '' : `no bit owned is big enough; a ${bitName(buy, shop)} one would do` // prettier-ignore
  const slot = bit
    ? trail.derive(ids.slot, `Slot ${place}`, boredBy(bit), boreRule, `{${holeOf(input, trail, bit)}} ≥ {${ids.needed}}`, { print: 'up', note }) // prettier-ignore
    : trail.derive(ids.slot, `Slot ${place}`, needed, sawnRule, `{${ids.needed}}`, { print: 'up', note })
  const slope = Number(optionOf(choices, input, 'slope'))
  const rectangular = e.neckShape === 'rectangular'
  const sides = turnedBy(
    trail,
    order,
    place,
    slope,
    e,
    {
      left: put('left', 'Reach down', e.left),
      right: put('right', 'Reach up', e.right),
      front: put('front', 'Front extent', e.front),
      back: put('back', 'Back extent', e.back),
    },
    rear,
  )
  // on the lower side of its slot its rear edge stops at the middle of the round end
  const rest = rectangular ? e.neckAlong.value / 2 : 0
  return {
    seat: order.id,
    order,
    tool,
    place,
    ...sides.values,
    slot,
    bit,
    neckUp: e.neckAcross.value,
    neckOut: e.neckAlong.value,
    rest,
    rear,
    turned: rectangular && slope > 0,
    overall: e.overall.value,
    ids: {
      ...sides.ids,
      neckAcross,
      neckAlong: put('along', 'Bar, front to back', e.neckAlong),
      ...ids,
      overall: put('overall', 'Length', e.overall, lengthRule),
      mass: massFigure(trail, tool),
    },
  }
}
