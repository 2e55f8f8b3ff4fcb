/** What is marked for a slot that slopes down and back from the front edge of an upright board. mm */
export interface SlopedSlot {
  /** apart along the edge */
  sawLinesApart: number
  /** the bore's centre from the back edge */
  boreFromBack: number
  /** from the front edge to the bore's centre, square to the edge, and along it */
  run: number
  drop: number
}

/**
 * Reckons a slot that slopes down and back, so that nothing slides out.
 * @param depth of the board, @param slot width, @param wood left behind the bore; mm
 * @param slope degrees from square to the edge, 0 up to (not including) 90
 * @throws RangeError when the board is too narrow for the slot and the wood behind it
 * @source reckoning of the finger rail; docs/rules.md, rail.slope
 */
export function slopedSlot(depth: number, slot: number, slope: number, wood: number): SlopedSlot {
  const angle = (slope * Math.PI) / 180
  const boreFromBack = wood + slot / 2
  const run = depth - boreFromBack
  if (run < 0) throw new RangeError('the board is too narrow for this slot and the wood behind it')
  return { sawLinesApart: slot / Math.cos(angle), boreFromBack, run, drop: run * Math.tan(angle) }
}
