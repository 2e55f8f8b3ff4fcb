import { bitForRod, boredBy } from '../fit/bore'
import type { Bore } from '../model/model'
import type { Point } from '../geometry/outline'
import type { Trail } from '../working/trail'
import { holeOf } from './bit-hole'
import type { PlanInput } from './form'

/** The hole that a rod or pin is glued into. */
export interface RodHole {
  /** mm: the bit's, or the rod's own where no bit bores it */
  diameter: number
  /** id of the figure it is */
  figure: string
  /** how it is drilled, its middle given; nothing where no bit does */
  bores: (centre: Point) => Bore[]
}

/**
 * The hole of a rod, by the nearest bit of the shop; its figure on the trail.
 * @param rod its diameter, mm, @param as the figure that it is on the trail
 */
export function rodHole(input: PlanInput, trail: Trail, rod: number, as = 'thickness:rod'): RodHole {
  const bit = bitForRod(rod, input.shop.bits)
  if (!bit) return { diameter: rod, figure: as, bores: () => [] }
  const diameter = boredBy(bit)
  const bores = (centre: Point): Bore[] => [{ centre, diameter, bit: bit.diameter }]
  return { diameter, figure: holeOf(input, trail, bit), bores }
}
