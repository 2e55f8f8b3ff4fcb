import type { Bit } from '../shop/shop'

/** Parts in a million: what a size converted from inches may be out by and still be the same size, mm. */
const SAME = 1e-6

/** The diameter of the hole a bit makes, mm: as measured in a test bore, else as stamped. */
export const boredBy = (bit: Bit): number => bit.testBore ?? bit.diameter

/**
 * What an opening must measure to admit a tool.
 * @param size as measured, mm
 * @param doubt what the measuring may be out by, mm
 * @param allowance of the fit, total on the width, mm
 */
export const neededOpening = (size: number, doubt: number, allowance: number): number => size + doubt + allowance

export interface BoreQuestion {
  /** least opening, mm */
  needed: number
  bits: readonly Bit[]
  /** greatest opening, mm, where a shoulder must not pass */
  atMost?: number
}

/**
 * The smallest owned bit whose hole is at least `needed` (and at most `atMost`).
 * @returns the bit, or null when none will do
 * @source workshop practice; docs/rules.md, fit.bore
 */
export function chooseBit({ needed, bits, atMost = Infinity }: BoreQuestion): Bit | null {
  let best: Bit | null = null
  for (const bit of bits) {
    const hole = boredBy(bit)
    if (hole < needed - SAME || hole > atMost + SAME) continue
    if (best === null || hole < boredBy(best)) best = bit
  }
  return best
}

/** Two bores side by side stand at most this part of a hole apart, so that the ridge between them is little to file away. */
export const BORES_APART = 0.5

/** A rod with more play than this in its hole is not held by glue alone but wedged; with more than the second not at all. mm */
export const ROD_LOOSE = 0.5
export const ROD_TOO_LOOSE = 2

/**
 * The bit for the hole that a rod or pin is glued into: the nearest that is wide enough and leaves it no more play than wedges
 * take up.
 * @param rod its diameter, mm
 * @returns the bit, or null when none will do
 * @source workshop practice; docs/rules.md, fit.rod-hole
 */
export const bitForRod = (rod: number, bits: readonly Bit[]): Bit | null =>
  chooseBit({ needed: rod, bits, atMost: rod + ROD_TOO_LOOSE })

/**
 * The bit for a wider opening out of two overlapping bores, filed straight between them: the largest owned one that
 * is still too small by itself.
 * @param needed width of the opening, mm
 * @returns the bit, or null when none comes near enough
 * @source workshop practice; docs/rules.md, fit.two-bores
 */
export function bitForTwoBores(needed: number, bits: readonly Bit[]): Bit | null {
  const near = bits.filter((bit) => {
    const apart = needed - boredBy(bit)
    return apart > SAME && apart <= BORES_APART * boredBy(bit)
  })
  return near.reduce<Bit | null>((best, bit) => (best && boredBy(best) >= boredBy(bit) ? best : bit), null)
}

/**
 * The greatest bore on which a shoulder still rests.
 * @param shoulder its diameter or width, mm
 * @param bearing wood wanted under it on each side, mm
 */
export const greatestBore = (shoulder: number, bearing: number): number => shoulder - 2 * bearing

/** The widest hole saw commonly sold, mm: wider openings are sawn. */
export const LARGEST_BORE = 150

/**
 * The bit worth buying for an opening: the next full mm or eighth of an inch, else the next finer size that will do.
 * @param needed least opening, mm, @param atMost greatest opening, mm
 * @returns diameter in mm, in the shop's unit first; null when no bit sold is between the two
 */
export function bitToBuy(needed: number, unit: 'mm' | 'in', atMost = Infinity): number | null {
  const steps = unit === 'in' ? [25.4 / 8, 25.4 / 16, 1, 0.5] : [1, 0.5, 25.4 / 16]
  for (const step of steps) {
    const size = Math.ceil(needed / step - SAME) * step
    if (size <= Math.min(atMost, LARGEST_BORE) + SAME) return size
  }
  return null
}

/**
 * The play from which on a bore is loose.
 * @param times, @param plus settings `looseTimes` and `loosePlus`; mm
 * @source workshop practice; docs/rules.md, fit.loose
 */
export const looseFrom = (allowance: number, times: number, plus: number): number => times * allowance + plus

/** Whether a bore leaves a tool of a size (as measured) loose. mm */
export const isLoose = (bore: number, size: number, allowance: number, times: number, plus: number): boolean =>
  bore - size > looseFrom(allowance, times, plus) + SAME
