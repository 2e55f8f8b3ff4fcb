import { flipped, mirrored, moved, outlineBounds, rectangle, turned, type Outline } from '../geometry/outline'
import { kindOf } from '../footprint/kinds'
import type { Shape } from '../footprint/kind'
import type { Tool } from '../footprint/tool'
import type { Board, Seat } from '../model/model'
import type { LineItem, OutlineItem, View } from './view'

type Look = View['name']

/** A board's outline in a view: its true outline where it is seen face on, a rectangle where it is seen edge on. */
export function boardOutline(board: Board, look: Look): Outline {
  const { at, lies } = board.placement
  const { length, thickness } = board
  if (look === 'top') {
    return lies === 'flat'
      ? moved(flipped(board.outline), at.x, -at.y)
      : rectangle(at.x, -at.y - thickness, at.x + length, -at.y)
  }
  return lies === 'flat' ? rectangle(at.x, at.z - thickness, at.x + length, at.z) : moved(board.outline, at.x, at.z)
}

/** A board's openings in a view: outlines face on, edge lines where they break out of the edge that is seen. */
export function boardOpenings(board: Board, look: Look): { outlines: OutlineItem[]; lines: LineItem[] } {
  const { at, lies } = board.placement
  const outlines: OutlineItem[] = []
  const lines: LineItem[] = []
  for (const opening of board.openings) {
    const { x } = opening.centre
    const r = opening.width / 2
    if (look === 'top' && lies === 'flat') {
      outlines.push({
        role: 'opening',
        outline: moved(flipped(opening.outline), at.x, -at.y),
        board: board.id,
        seat: opening.seat,
      })
      const centres = opening.bores.length > 0 ? opening.bores.map((b) => b.centre) : [opening.centre]
      for (const c of centres) lines.push(...cross(at.x + c.x, -at.y - c.y, r * 0.7, opening.seat))
    } else if (look === 'front' && lies === 'flat') {
      for (const side of [x - r, x + r]) {
        lines.push({
          style: 'visible',
          from: { x: at.x + side, y: at.z },
          to: { x: at.x + side, y: at.z - board.thickness },
          seat: opening.seat,
        })
      }
    }
  }
  return { outlines, lines }
}

/** A cross of centre lines. */
const cross = (x: number, y: number, arm: number, seat: string): LineItem[] =>
  [
    [arm, 0],
    [0, arm],
  ].map(([dx, dy]) => ({
    style: 'centre',
    from: { x: x - dx!, y: y - dy! },
    to: { x: x + dx!, y: y + dy! },
    seat,
  }))

/** The silhouette of a seated tool in a view, as it is turned in its seat. */
export function ghost(seat: Seat, tool: Tool, look: Look): OutlineItem[] {
  const kind = kindOf(tool.kind)
  if (!kind) return []
  const views = kind.silhouette(tool)
  const place = (shape: Shape): Outline => {
    if (look === 'top') return moved(flipped(turned(shape.outline, seat.turn)), seat.at.x, -seat.at.y)
    const seen = seat.turn >= 2 ? mirrored(shape.outline) : shape.outline
    return moved(seen, seat.at.x, seat.at.z)
  }
  const shapes = look === 'top' ? views.top : seat.turn % 2 === 1 ? views.side : views.face
  return shapes.map((shape) => ({ role: shape.part, outline: place(shape), board: null, seat: seat.id }))
}

/** The boxes round outlines. */
export const boxesOf = (items: readonly OutlineItem[]) => items.map((item) => outlineBounds(item.outline))
