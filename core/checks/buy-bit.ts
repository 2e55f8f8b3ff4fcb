import { bitToBuy } from '../fit/bore'
import type { PlanInput } from '../forms/form'
import { bitName } from '../shop/bit-name'
import { remedy, TOLERANCE } from './subject'
import type { Remedy } from './verdict'

/**
 * A bit put on the shopping list.
 * @param needed what it has to bore at least, and at most, mm
 * @returns nothing where none is sold or where it is there
 */
export function buyBit({ shop }: PlanInput, needed: number, atMost?: number): Remedy[] {
  const buy = bitToBuy(needed, shop.unit, atMost)
  if (buy === null || shop.bits.some((b) => Math.abs(b.diameter - buy) < TOLERANCE)) return []
  return [remedy(`Buy a ${bitName(buy, shop)} bit`, { kind: 'bit to buy', diameter: buy })]
}
