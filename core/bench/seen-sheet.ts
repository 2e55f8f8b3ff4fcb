import { lyingSize, type SheetCuts } from '../cutting/sheets-used'

/** Beyond what is cut of it so much of a long piece is drawn, as part of that, before it is broken off. */
const BEYOND = 0.2

/** What is less than so many times as long as what is cut of it is drawn whole. */
const LONG = 1.6

/** Teeth of the broken end. */
const TEETH = 6

/** What is drawn of a piece of stock: all of it, or a long one broken off behind its last cut; x along, y across, mm. */
export interface SeenSheet {
  /** how long it is drawn, mm */
  length: number
  /** corners of what is drawn */
  corners: (readonly [x: number, y: number])[]
}

/** What is drawn of a piece of stock. */
export function seenSheet(sheet: SheetCuts): SeenSheet {
  const { length, width: wide } = lyingSize(sheet)
  const used = Math.max(
    ...sheet.placements.map((p) => p.x + p.length),
    ...sheet.cuts.map((c) => Math.max(c.from.x, c.to.x)),
    ...sheet.noGo.map((p) => Math.min(p.to, length)),
    // no narrower than it is wide
    wide,
  )
  const whole = [[0, 0], [length, 0], [length, wide], [0, wide]] as const // prettier-ignore
  if (length < LONG * used) return { length, corners: [...whole] }
  const end = used * (1 + BEYOND)
  const tooth = (used * BEYOND) / 8
  const broken = Array.from({ length: TEETH + 1 }, (_, i) => [end - (i % 2) * tooth, (wide * i) / TEETH] as const)
  return { length: end, corners: [[0, 0], ...broken, [0, wide]] }
}
