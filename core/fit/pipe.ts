const radians = (degrees: number): number => (degrees * Math.PI) / 180

/**
 * How long a piece of pipe is that gives two alike by one slanted cut through its middle: the mouth of the one is that of
 * the other.
 * @param long side of each, @param diameter outside, @param kerf what the blade takes; mm
 * @param slant of the cut from square, degrees
 * @returns mm
 * @source geometry; docs/rules.md, pipe.pair
 */
export const pipePair = (long: number, diameter: number, slant: number, kerf: number): number =>
  2 * long - diameter * Math.tan(radians(slant)) + kerf / Math.cos(radians(slant))

/** The short side of a pipe whose end is cut at a slant, mm. */
export const shortSide = (long: number, diameter: number, slant: number): number =>
  long - diameter * Math.tan(radians(slant))

/**
 * What a pipe is, by formula.
 * @param length its long side, @param diameter outside, @param bore inside; mm
 * @param slant of its upper end from square, degrees: the long side at the back
 * @returns its volume in mm³, and its middle: up from its square end, and out from its axis (below nought: to the back); mm
 */
export function pipeLump(
  length: number,
  diameter: number,
  bore: number,
  slant: number,
): { volume: number; up: number; out: number } {
  const t = Math.tan(radians(slant))
  const mean = length - (diameter / 2) * t
  const squares = (diameter ** 2 + bore ** 2) / 4
  return {
    volume: (Math.PI * (diameter ** 2 - bore ** 2) * mean) / 4,
    up: mean / 2 + (t ** 2 * squares) / (8 * mean),
    out: -(t * squares) / (4 * mean),
  }
}
