import { circle, flipped, moved, polygon, rectangle, type Outline, type Point } from '../geometry/outline'
import type { Tool } from '../footprint/tool'
import type { Board, Opening, Place, Rod, Seat } from '../model/model'
import { boardBox, placeOn, rodEnd } from '../model/standing'
import { ghost } from './ghost'
import type { LineItem, SeatItem, View } from './view'

type Look = View['name']

/** The view in which a board is seen face on. */
export const FACE_ON: Record<Board['placement']['lies'], Look> = { flat: 'top', upright: 'front', end: 'side' }

const isFaceOn = (board: Board, look: Look): boolean => FACE_ON[board.placement.lies] === look

/** A place of the holder as it is seen: from above the wall is at the top, from the side it is at the left. */
export const seenAt = ({ x, y, z }: Place, look: Look): Point =>
  look === 'top' ? { x, y: -y } : look === 'front' ? { x, y: z } : { x: y, y: z }

/** A board's outline in a view: its true outline where it is seen face on, a rectangle where it is seen edge on. */
export function boardOutline(board: Board, look: Look): Outline {
  if (isFaceOn(board, look)) {
    const at = seenAt(board.placement.at, look)
    return moved(look === 'top' ? flipped(board.outline) : board.outline, at.x, at.y)
  }
  const { x, y, z } = boardBox(board)
  if (look === 'side' && board.bevel) {
    const up = board.thickness * Math.tan((board.bevel.tilt * Math.PI) / 180)
    return polygon([
      [y[0], z[0]],
      [y[1], z[0] + up],
      [y[1], z[1]],
      [y[0], z[1]],
    ])
  }
  const [a, b] = [0, 1].map((i) => seenAt({ x: x[i]!, y: y[i]!, z: z[i]! }, look))
  return rectangle(a!.x, Math.min(a!.y, b!.y), b!.x, Math.max(a!.y, b!.y))
}

/** A rod that is seen by less than this part of its length is seen from its end. */
const END_ON = 0.35

/** A rod's outline in a view: a circle from its end, else a rectangle along it. */
export function rodOutline(rod: Rod, look: Look): Outline {
  const [a, b] = [seenAt(rod.at, look), seenAt(rodEnd(rod), look)]
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const long = Math.hypot(dx, dy)
  const r = rod.diameter / 2
  if (long < END_ON * rod.length) return circle(b.x, b.y, r)
  const [nx, ny] = [(-dy / long) * r, (dx / long) * r]
  return polygon([
    [a.x + nx, a.y + ny],
    [a.x - nx, a.y - ny],
    [b.x - nx, b.y - ny],
    [b.x + nx, b.y + ny],
  ])
}

/** A cross of centre lines. */
const cross = (x: number, y: number, arm: number): LineItem[] =>
  [
    [arm, 0],
    [0, arm],
  ].map(([dx, dy]) => ({ style: 'centre', from: { x: x - dx!, y: y - dy! }, to: { x: x + dx!, y: y + dy! } }))

/** An opening about its centre: its outline and the crosses of its bores face on, the edges it breaks out at edge on. */
function openingItems(board: Board, opening: Opening, look: Look): Pick<SeatItem, 'outlines' | 'lines'> {
  const { x, y } = opening.centre
  const half = opening.width / 2
  if (!isFaceOn(board, look)) return { outlines: [], lines: edgeOn(board, opening, look) }
  const about = moved(opening.outline, -x, -y)
  const centres = opening.bores.length > 0 ? opening.bores.map((b) => b.centre) : [opening.centre]
  return {
    outlines: [{ role: 'opening', outline: look === 'top' ? flipped(about) : about }],
    lines: centres.flatMap((c) => cross(c.x - x, look === 'top' ? y - c.y : c.y - y, half * 0.7)),
  }
}

/** The edges of an opening of a flat board from the front, where a slot breaks out and a bore is hidden in the wood. */
function edgeOn(board: Board, opening: Opening, look: Look): LineItem[] {
  if (look !== 'front' || board.placement.lies !== 'flat') return []
  const half = opening.width / 2
  const style = opening.opensTo === 'front' ? 'visible' : 'hidden'
  const foot = -(opening.depth ?? board.thickness)
  const edge = (dx: number, from = 0, to = foot): LineItem => ({
    style,
    from: { x: dx, y: from },
    to: { x: dx, y: to },
  })
  const floor: LineItem[] =
    opening.depth === null ? [] : [{ style, from: { x: -half, y: foot }, to: { x: half, y: foot } }]
  const dust =
    opening.dust === null ? [] : [-1, 1].map((side) => edge((side * opening.dust!) / 2, foot, -board.thickness))
  return [edge(-half), edge(half), ...floor, ...dust]
}

/** An opening in a view, with its seat's tool where it is one's. */
export function openingItem(board: Board, opening: Opening, look: Look): Omit<SeatItem, 'seat' | 'neck' | 'ghost'> {
  const faceOn = isFaceOn(board, look)
  const centre = seenAt(placeOn(board, opening.centre), look)
  // edge on, lines are counted from where the opening comes to its board's upper edge
  const edge = faceOn || board.placement.lies !== 'flat' ? centre.y : seenAt(board.placement.at, look).y
  return { at: { x: centre.x, y: edge }, ...openingItems(board, opening, look) }
}

/** What belongs to one seat in a view. */
export function seatItem(board: Board, seat: Seat, tool: Tool | undefined, look: Look): SeatItem {
  const opening = board.openings.find((o) => o.id === seat.opening)
  const neck = seenAt(seat.at, look)
  return {
    seat: seat.id,
    ...(opening ? openingItem(board, opening, look) : { at: neck, outlines: [], lines: [] }),
    neck,
    ghost: tool ? ghost(tool, seat.turn, look) : [],
  }
}
