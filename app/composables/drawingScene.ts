import type { View } from '#core/drawing/view'
import type { Bounds, Point } from '#core/geometry/outline'

/** Room for dimensions and titles beside the views, px; on the left at least. */
export const LEFT = 66
const RIGHT = 64
const TOP = 26
const BETWEEN = 92
const BOTTOM = 14
/** A row of dimensions, px. */
const ROW = 19
/** From a view to the first row, and the figure beside the last, px. */
const FIGURE = 22
/** Between the front view and the one from the side, px. */
const BESIDE = 96
/** How much of the handles is shown below the front view's boards when all is fitted in, mm. */
const HANDLES = 70
/** How much is shown above the front view's boards: heads, and only the start of long handles. mm */
const HEADS = 150

/** Views on the screen: px to a mm, and where the origin of each stands, px. */
export interface DrawingScene {
  s: number
  placed: { view: View; ox: number; oy: number }[]
}

/**
 * What must be seen of the front view, and of the one from the side beside it: the boards and heads, and only the start of long
 * handles. What leans may stand higher from the side. mm
 */
export function frontBoxOf(views: readonly View[]): Bounds | undefined {
  const front = views.find((v) => v.name === 'front')
  if (!front) return undefined
  const { bounds, boardBounds } = front
  const beside = views.find((v) => v.name === 'side')?.bounds ?? bounds
  const [low, high] = [Math.min(bounds.minY, beside.minY), Math.max(bounds.maxY, beside.maxY)]
  return { ...bounds, minY: Math.max(low, boardBounds.minY - HANDLES), maxY: Math.min(high, boardBounds.maxY + HEADS) }
}

/**
 * Lays the views out on the screen, to one scale: from above over from the front, from the side beside it.
 * @param views from above, from the front, and from the side or none
 * @param size of the screen, @param pan what it was dragged by, px; @param zoom 1 fits all of it in
 */
export function layScene(
  [top, front, side]: readonly View[],
  low: Bounds | undefined,
  size: { width: number; height: number },
  zoom: number,
  pan: Point,
): DrawingScene | null {
  if (!top || !front || !low) return null
  const minX = Math.min(top.bounds.minX, front.bounds.minX)
  const width = Math.max(top.bounds.maxX, front.bounds.maxX) - minX
  const deep = side ? side.bounds.maxX - side.bounds.minX : 0
  const tall = top.bounds.maxY - top.bounds.minY + (low.maxY - low.minY)
  const beside = [top, front].flatMap((v) => v.dimensions).filter((d) => d.side === 'left')
  const left = Math.max(LEFT, FIGURE + ROW * Math.max(0, ...beside.map((d) => d.row)))
  const across = size.width - left - RIGHT - (side ? BESIDE : 0)
  const below = [front, side].flatMap((v) => v?.dimensions ?? []).filter((d) => d.side === 'bottom')
  const bottom = BOTTOM + ROW * Math.max(0, ...below.map((d) => d.row + 0.5))
  const fit = Math.min(across / (width + deep), (size.height - TOP - BETWEEN - bottom) / tall)
  const s = Math.max(0.02, fit) * zoom
  const ox = left + (across - (width + deep) * fit) / 2 - minX * s + pan.x
  const topY = TOP + top.bounds.maxY * s + pan.y
  const frontY = topY - top.bounds.minY * s + BETWEEN + low.maxY * s
  const sideX = ox + (minX + width) * s + BESIDE - (side?.bounds.minX ?? 0) * s
  return {
    s,
    placed: [
      { view: top, ox, oy: topY },
      { view: front, ox, oy: frontY },
      ...(side ? [{ view: side, ox: sideX, oy: frontY }] : []),
    ],
  }
}
