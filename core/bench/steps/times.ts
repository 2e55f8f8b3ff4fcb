/**
 * Minutes of work, for somebody who does it now and then; the shop's own pace multiplies them.
 * Source: estimates from ordinary practice, to be replaced by what one's own log says.
 */
export const MINUTES = {
  setUp: 3,
  cut: 1.5,
  bevel: 8,
  layer: 8,
  markBoard: 2,
  mark: 0.4,
  changeBit: 1.5,
  bore: 1,
  dust: 0.4,
  file: 4,
  sawSlot: 2,
  kerf: 3,
  side: 2,
  ease: 3,
  dryFit: 5,
  glue: 2,
  screw: 0.8,
  brad: 0.2,
  findStuds: 10,
  finish: 12,
  hang: 12,
  prove: 5,
} as const
