import type { Measured } from '../../footprint/kind'
import type { Tool } from '../../footprint/tool'
import { bitForTwoBores, bitToBuy, boredBy, chooseBit, isLoose, neededOpening } from '../../fit/bore'
import { apartRule, boreRule, neededRule, sawnRule, twoBoresRule } from '../../fit/rules'
import type { SeatOrder } from '../../model/holder'
import { bitName } from '../../shop/bit-name'
import { FIT_SETTING, type Bit, type Fit } from '../../shop/shop'
import { namedIn, type Trail } from '../../working/trail'
import { optionOf, settingOf } from '../choice-value'
import { holeOf } from '../bit-hole'
import { fieldDoubt } from '../doubt'
import type { PlanInput } from '../form'
import { choices } from './choices'
import type { RailSeat } from './seats'

/** The neck that goes into a slot, and the seat it goes into. */
export interface NeckInSeat {
  seat: SeatOrder
  tool: Tool
  place: number
  neck: Measured
  /** id of the neck's figure on the trail */
  neckId: string
}

/** A slot as it is cut, with the ids of its figures. mm */
export interface CutSlot extends Pick<RailSeat, 'slot' | 'end' | 'bores'> {
  ids: { slot: string; end: string; needed: string }
}

/** Reckons how wide a slot must be, and how it is made: one bore, two and a file, or a saw alone. */
export function slotFigures(input: PlanInput, trail: Trail, at: NeckInSeat): CutSlot {
  const { seat, tool, place, neck, neckId } = at
  const { shop } = input
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const allowance = settingOf(input, trail, fit)
  const doubt = fieldDoubt(input, trail, tool, namedIn(neck.expression)[0] ?? '')
  const ids = { slot: `slot:${seat.id}`, end: `slot:${seat.id}`, needed: `needed:${seat.id}` }
  const needed = trail.derive(
    ids.needed,
    `Opening needed for ${place}`,
    neededOpening(neck.value, doubt.value, allowance),
    neededRule,
    `{${neckId}} + ${doubt.text} + {${fit}}`,
    { print: 'up' },
  )
  const way = optionOf(choices, input, 'slots')
  if (way === 'jigsawn') return { ...sawn(trail, ids, needed, place, 'sawn to the line'), ids }

  const single = chooseBit({ needed, bits: shop.bits })
  const { looseTimes, loosePlus } = shop.settings
  const wide = single === null || isLoose(boredBy(single), neck.value, allowance, looseTimes, loosePlus)
  const pair = way === 'filed' && wide ? bitForTwoBores(needed, shop.bits) : null
  if (pair) return twoBores(input, trail, ids, { needed, place, seat, bit: pair })
  if (single) return oneBore(input, trail, ids, place, single)
  const wanted = bitToBuy(needed, shop.unit)
  const note = wanted === null ? '' : `no bit owned is big enough; a ${bitName(wanted, shop)} one would do`
  return { ...sawn(trail, ids, needed, place, note), ids }
}

function oneBore(input: PlanInput, trail: Trail, ids: CutSlot['ids'], place: number, bit: Bit): CutSlot {
  const diameter = boredBy(bit)
  const formula = `{${holeOf(input, trail, bit)}} ≥ {${ids.needed}}`
  const note = `${bitName(bit.diameter, input.shop)} bit`
  trail.derive(ids.slot, `Slot ${place}`, diameter, boreRule, formula, { print: 'up', note })
  return { slot: diameter, end: diameter, bores: [{ off: 0, diameter, bit: bit.diameter }], ids }
}

function twoBores(
  input: PlanInput,
  trail: Trail,
  ids: CutSlot['ids'],
  { needed, place, seat, bit }: { needed: number; place: number; seat: SeatOrder; bit: Bit },
): CutSlot {
  const diameter = boredBy(bit)
  const end = holeOf(input, trail, bit)
  const note = `two bores with the ${bitName(bit.diameter, input.shop)} bit and a file`
  trail.derive(ids.slot, `Slot ${place}`, needed, twoBoresRule, `{${ids.needed}}`, { print: 'up', note })
  const label = `Distance between the bores of ${place}`
  const apart = trail.derive(`apart:${seat.id}`, label, needed - diameter, apartRule, `{${ids.slot}} − {${end}}`)
  const bores = [-apart / 2, apart / 2].map((off) => ({ off, diameter, bit: bit.diameter }))
  return { slot: needed, end: diameter, bores, ids: { ...ids, end } }
}

function sawn(trail: Trail, ids: CutSlot['ids'], needed: number, place: number, note: string) {
  trail.derive(ids.slot, `Slot ${place}`, needed, sawnRule, `{${ids.needed}}`, { print: 'up', note })
  return { slot: needed, end: needed, bores: [] }
}
