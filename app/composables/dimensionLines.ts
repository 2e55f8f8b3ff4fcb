import type { Dimension } from '#core/drawing/view'

/** Room of a digit, px. */
const DIGIT = 6.2
/** From the drawing to the first row of dimensions, and from row to row, px. */
const FIRST = 6
const ROW = 19
/** Half a tick's width, px. */
const TICK = 3
/** How far from its line a pointer still hits a dimension, px. */
const REACH = 8

/** Where a dimension stands on the screen, px: its ends, where its extension lines start, what its rows are counted from. */
export interface DimensionPlace {
  a: number
  b: number
  foot: number
  edge: number
}

/** A dimension laid out in px: paths of its lines, and its figure. */
export interface DrawnDimension {
  id: string
  figure: string | null
  /** extension lines and the dimension line */
  lines: string
  ticks: string
  /** the dimension line alone, from corner to corner, to be hit by a pointer */
  span: { x0: number; y0: number; x1: number; y1: number }
  text: string
  label: { x: number; y: number; turn: string | undefined; anchor: 'middle' | 'start' }
  /** false where the figure has no room until it is asked for */
  roomy: boolean
}

/**
 * Lays a dimension out. A figure without room between its ticks stands beside them on the right side, and elsewhere
 * waits until it is lit.
 */
export function drawnDimension(dimension: Dimension, place: DimensionPlace, text: string): DrawnDimension {
  const { a, b, foot, edge } = place
  const { side, row, id, figure } = dimension
  const upright = side === 'left' || side === 'right'
  const away = side === 'left' || side === 'top' ? -1 : 1
  const at = edge + away * (FIRST + row * ROW)
  const from = foot + away * 3
  const to = at + away * 4
  const fits = Math.abs(b - a) > text.length * DIGIT + 4
  const beside = side === 'right' && !fits
  const middle = (a + b) / 2
  const tick = (along: number) =>
    upright
      ? `M${at - TICK} ${along + TICK}L${at + TICK} ${along - TICK}`
      : `M${along - TICK} ${at + TICK}L${along + TICK} ${at - TICK}`
  return {
    id,
    figure,
    lines: upright
      ? `M${from} ${a}H${to}M${from} ${b}H${to}M${at} ${a}V${b}`
      : `M${a} ${from}V${to}M${b} ${from}V${to}M${a} ${at}H${b}`,
    ticks: tick(a) + tick(b),
    span: upright
      ? { x0: at, x1: at, y0: Math.min(a, b), y1: Math.max(a, b) }
      : { x0: Math.min(a, b), x1: Math.max(a, b), y0: at, y1: at },
    text,
    label: beside
      ? { x: at + 8, y: middle + 4, turn: undefined, anchor: 'start' }
      : upright
        ? { x: at - 4, y: middle, turn: `rotate(-90 ${at - 4} ${middle})`, anchor: 'middle' }
        : { x: middle, y: at - 4, turn: undefined, anchor: 'middle' },
    roomy: fits || beside,
  }
}

/** The dimension whose line is nearest to a point within reach, or null. px */
export function dimensionAt(drawn: readonly DrawnDimension[], x: number, y: number): DrawnDimension | null {
  let best: { d: DrawnDimension; far: number } | null = null
  for (const d of drawn) {
    const { x0, x1, y0, y1 } = d.span
    const far = Math.hypot(Math.max(x0 - x, 0, x - x1), Math.max(y0 - y, 0, y - y1))
    if (far <= REACH && (best === null || far < best.far)) best = { d, far }
  }
  return best?.d ?? null
}
