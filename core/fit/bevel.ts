const radians = (degrees: number): number => (degrees * Math.PI) / 180

/**
 * Two equal strips out of a wider one by one bevelled rip.
 * @param width of the wider strip, @param thickness, @param kerf what the blade takes, mm
 * @param tilt of the saw: how far the edge leans from square, degrees
 * @returns the long and the short face of each, mm
 * @source geometry; docs/rules.md, hang.pair
 */
export function bevelPair(
  width: number,
  thickness: number,
  kerf: number,
  tilt: number,
): { long: number; short: number } {
  const lost = thickness * Math.tan(radians(tilt))
  const long = (width + lost - kerf / Math.cos(radians(tilt))) / 2
  return { long, short: long - lost }
}

/** Friction between strips that is counted on when a holder threatens to rock. */
export const STRIP_FRICTION = 0.2

/**
 * How a holder stands against rocking forward off its strip.
 * @param arm from the bevel down to the foot, @param out how far its weight is centred from the wall, mm
 * @param tilt of the bevel, degrees
 * @returns how many times the arm's hold exceeds the weight's pull, without friction and with it
 * @source statics of a hooked strip; docs/rules.md, check.rocking
 */
export function rocking(arm: number, out: number, tilt: number): { held: number; heldByFriction: number } {
  const a = radians(tilt)
  return { held: (arm * Math.tan(a)) / out, heldByFriction: (arm * Math.tan(a + Math.atan(STRIP_FRICTION))) / out }
}
