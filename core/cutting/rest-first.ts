import type { HeldSafely } from '../shop/held-safely'
import { SAME, type CutPlacement } from './instance'
import { farOf, isFull, nearOf, type Region } from './region'
import { first, last, type Direction } from './strips'

/** Nothing has to stay for the saw’s sake. */
export const NOT_HELD: HeldSafely = { shortest: 0, always: false }

/** From this part of a region on, what is left of it is cut off first and stays in one piece. */
const LARGE_REST = 0.25

/** The direction in which a large part of a region is over behind its pieces, across or along, whichever leaves more; null where there is none. */
export function largeRest(region: Region, placed: readonly CutPlacement[]): Direction | null {
  const share = (d: Direction): number => (farOf(region, d) - last(placed, d)) / (farOf(region, d) - nearOf(region, d))
  const direction = share('cross') > share('rip') ? 'cross' : 'rip'
  return share(direction) < LARGE_REST ? null : direction
}

/** A blank that is parted yet is so much longer: else the last of its pieces would be what the kerfs of all others leave; mm. */
const ROUGH = 5

/**
 * Where a rest is cut off: behind the pieces, roughly where they are parted yet, or further on where they are ripped yet and
 * much is left even so; null where they are ripped before.
 */
export function restFrom(
  region: Region,
  direction: Direction,
  placed: readonly CutPlacement[],
  { held, kerf }: { held: HeldSafely; kerf: number },
): number | null {
  const end = last(placed, direction)
  const isParted = placed.some((p) => first([p], direction) - first(placed, direction) > SAME)
  const rough = isParted && farOf(region, direction) - end > ROUGH + kerf ? end + ROUGH : end
  const safe = region.x0 + held.shortest
  const isRipped = !placed.every((p) => isFull(p, region, 'cross'))
  if (direction === 'rip' || !isRipped || end >= safe - SAME) return rough
  if (region.x1 - safe >= held.shortest) return Math.max(rough, safe)
  return held.always || region.x1 <= safe + SAME ? null : rough
}
