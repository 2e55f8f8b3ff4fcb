import { flipped, moved, rectangle, type Outline, type Point } from '../geometry/outline'
import type { Tool } from '../footprint/tool'
import type { Board, Opening, Seat } from '../model/model'
import { ghost } from './ghost'
import type { LineItem, SeatItem, View } from './view'

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

const isFaceOn = (board: Board, look: Look) => (look === 'top') === (board.placement.lies === 'flat')

/** A point of a board's own plane in a view where it is seen face on; edge on, where it comes to its upper edge. */
function pointOn(board: Board, look: Look, { x, y }: Point): Point {
  const { at } = board.placement
  if (look === 'top') return { x: at.x + x, y: -at.y - (isFaceOn(board, look) ? y : 0) }
  return { x: at.x + x, y: at.z + (isFaceOn(board, look) ? y : 0) }
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
  if (!isFaceOn(board, look)) {
    if (look !== 'front') return { outlines: [], lines: [] }
    // a slot's edges break out at the front; a bore is hidden in the wood
    const style = opening.opensTo === 'front' ? 'visible' : 'hidden'
    const foot = -(opening.depth ?? board.thickness)
    const edge = (dx: number): LineItem => ({ style, from: { x: dx, y: 0 }, to: { x: dx, y: foot } })
    const floor: LineItem[] =
      opening.depth === null ? [] : [{ style, from: { x: -half, y: foot }, to: { x: half, y: foot } }]
    const dust = [-1, 1].flatMap((side): LineItem[] => {
      if (opening.dust === null) return []
      const x = (side * opening.dust) / 2
      return [{ style, from: { x, y: foot }, to: { x, y: -board.thickness } }]
    })
    return { outlines: [], lines: [edge(-half), edge(half), ...floor, ...dust] }
  }
  const about = moved(opening.outline, -x, -y)
  const centres = opening.bores.length > 0 ? opening.bores.map((b) => b.centre) : [opening.centre]
  return {
    outlines: [{ role: 'opening', outline: look === 'top' ? flipped(about) : about }],
    lines: centres.flatMap((c) => cross(c.x - x, look === 'top' ? y - c.y : c.y - y, half * 0.7)),
  }
}

/** What belongs to one seat in a view. */
export function seatItem(board: Board, opening: Opening, seat: Seat, tool: Tool | undefined, look: Look): SeatItem {
  return {
    seat: seat.id,
    at: pointOn(board, look, opening.centre),
    ...openingItems(board, opening, look),
    neck: look === 'top' ? { x: seat.at.x, y: -seat.at.y } : { x: seat.at.x, y: seat.at.z },
    ghost: tool ? ghost(tool, seat.turn, look) : [],
  }
}
