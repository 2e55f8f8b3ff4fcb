import { outlineBounds } from '#core/geometry/outline'
import { coordinate, svgPath } from '#core/geometry/svg-path'
import type { SeatItem } from '#core/drawing/view'

/** Everything of one look in a view as the data of one path, so that a rail of many tools is still few elements. */
export type Ink = Record<'opening' | 'head' | 'handle' | 'visible' | 'hidden' | 'centre', string>

/** The openings, ghosts and lines of some seats, each kind as one path. mm, y down */
export function inkOf(seats: readonly SeatItem[]): Ink {
  const ink: Ink = { opening: '', head: '', handle: '', visible: '', hidden: '', centre: '' }
  for (const { at, outlines, lines, neck, ghost } of seats) {
    for (const { role, outline } of outlines) if (role !== 'board') ink[role] += svgPath(outline, at)
    for (const { role, outline } of ghost) if (role !== 'board') ink[role] += svgPath(outline, neck)
    for (const { style, from, to } of lines) {
      const point = (p: { x: number; y: number }) => `${coordinate(at.x + p.x)} ${coordinate(-at.y - p.y)}`
      ink[style] += `M${point(from)}L${point(to)}`
    }
  }
  return ink
}

/** The seat whose opening or tool stands at a point of a view, or null. mm, y up */
export function seatAt(seats: readonly SeatItem[], x: number, y: number): string | null {
  const within = (items: SeatItem['outlines'], at: SeatItem['at']) =>
    items.some(({ outline }) => {
      const box = outlineBounds(outline)
      return x - at.x >= box.minX && x - at.x <= box.maxX && y - at.y >= box.minY && y - at.y <= box.maxY
    })
  const hit = seats.find((s) => s.seat !== null && (within(s.ghost, s.neck) || within(s.outlines, s.at)))
  return hit?.seat ?? null
}
