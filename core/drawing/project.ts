import { shortSide } from '../fit/pipe'
import {
  circle,
  flipped,
  moved,
  polygon,
  rectangle,
  spun,
  transposed,
  type Outline,
  type Point,
} from '../geometry/outline'
import { kindOf } from '../footprint/kinds'
import { stacked } from '../footprint/stack'
import type { Tool } from '../footprint/tool'
import type { Board, Opening, Place, Rod, Seat } from '../model/model'
import { boardBox, placeOn, rodEnd } from '../model/standing'
import { tipped } from '../model/tilt'
import { ghost } from './ghost'
import type { LineItem, SeatItem, View } from './view'

type Look = View['name']

/** The view in which a board is seen face on. */
export const FACE_ON: Record<Board['placement']['lies'], Look> = {
  flat: 'top',
  upright: 'front',
  end: 'side',
  post: 'side',
}

const isFaceOn = (board: Board, look: Look): boolean => FACE_ON[board.placement.lies] === look

/** How far a board is seen turned in a view: from the side a tilted one leans; face on it is seen square to its face. */
const leanIn = (tilt: number | undefined, look: Look): number => (look === 'side' ? (tilt ?? 0) : 0)

/** A place of the holder as it is seen: from above the wall is at the top, from the side it is at the left. */
export const seenAt = ({ x, y, z }: Place, look: Look): Point =>
  look === 'top' ? { x, y: -y } : look === 'front' ? { x, y: z } : { x: y, y: z }

/** An outline of a board's own plane as it is seen face on: from above its back edge is at the top, of a post its length goes up. */
const seenOutline = ({ placement: { lies } }: Board, outline: Outline): Outline =>
  lies === 'flat' ? flipped(outline) : lies === 'post' ? transposed(outline) : outline

/**
 * A board's outline in a view: its true outline where it is seen face on, a rectangle where it is seen edge on. A tilted
 * board is seen face on in its true size, square to its face.
 */
export function boardOutline(board: Board, look: Look): Outline {
  if (isFaceOn(board, look)) {
    const at = seenAt(board.placement.at, look)
    const seen = seenOutline(board, board.outline)
    return moved(spun(seen, leanIn(board.placement.tilt, look)), at.x, at.y)
  }
  if (look === 'side' && board.placement.tilt) return leaning(board)
  const { x, y, z } = boardBox(board)
  if (look === 'side' && board.bevel) {
    const up = board.thickness * Math.tan((board.bevel.tilt * Math.PI) / 180)
    const [low, high] = board.bevel.edge === 'lower' ? [up, 0] : [0, up]
    return polygon([
      [y[0], z[0]],
      [y[1], z[0] + low],
      [y[1], z[1]],
      [y[0], z[1] - high],
    ])
  }
  const [a, b] = [0, 1].map((i) => seenAt({ x: x[i]!, y: y[i]!, z: z[i]! }, look))
  return rectangle(a!.x, Math.min(a!.y, b!.y), b!.x, Math.max(a!.y, b!.y))
}

/** A tilted board from its end. */
function leaning(board: Board): Outline {
  const { width, thickness } = board
  const corners = ([[0, 0], [width, 0], [width, thickness], [0, thickness]] as const).map(([y, deep]) => seenAt(placeOn(board, { x: 0, y }, deep), 'side')) // prettier-ignore
  return polygon(corners.map((p) => [p.x, p.y]))
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
  if (rod.pipe && look === 'side') {
    const low = shortSide(rod.length, rod.diameter, rod.pipe.slant)
    return polygon([[a.x - r, a.y], [a.x + r, a.y], [a.x + r, a.y + low], [a.x - r, a.y + rod.length]]) // prettier-ignore
  }
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
  const lean = leanIn(board.placement.tilt, look)
  const about = spun(seenOutline(board, moved(opening.outline, -x, -y)), lean)
  const centres = opening.bores.length > 0 ? opening.bores.map((b) => b.centre) : [opening.centre]
  return {
    outlines: [
      { role: 'opening', outline: about },
      ...(opening.steps ?? []).map((s) => ({ role: 'opening' as const, outline: circle(0, 0, s.diameter / 2) })),
    ],
    lines: centres.flatMap((c) => {
      const p =
        board.placement.lies === 'post'
          ? { x: c.y - y, y: c.x - x }
          : { x: c.x - x, y: look === 'top' ? y - c.y : c.y - y }
      return cross(p.x, p.y, half * 0.7)
    }),
  }
}

/** The edges of an opening of a flat board from the front, where a slot breaks out and a bore is hidden in the wood. */
function edgeOn(board: Board, opening: Opening, look: Look): LineItem[] {
  if (look !== 'front' || board.placement.lies !== 'flat' || board.placement.tilt) return []
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
  const steps = (opening.steps ?? []).flatMap((s) => [-1, 1].map((side) => edge((side * s.diameter) / 2, foot, -(s.depth ?? board.thickness)))) // prettier-ignore
  const dust =
    opening.dust === null ? [] : [-1, 1].map((side) => edge((side * opening.dust!) / 2, foot, -board.thickness))
  return [edge(-half), edge(half), ...floor, ...steps, ...dust]
}

/** An opening in a view, with its seat's tool where it is one's. */
export function openingItem(board: Board, opening: Opening, look: Look): Omit<SeatItem, 'seat' | 'neck' | 'ghost'> {
  const faceOn = isFaceOn(board, look)
  const { at, tilt = 0 } = board.placement
  const square = { placement: { ...board.placement, tilt: leanIn(tilt, look) } }
  const centre = seenAt(placeOn(square, opening.centre), look)
  // edge on, lines are counted from where the opening comes to its board's upper edge
  const edge = faceOn || board.placement.lies !== 'flat' ? centre.y : seenAt(at, look).y
  return { at: { x: centre.x, y: edge }, ...openingItems(board, opening, look) }
}

/** A tool's outline as its seat is tipped: from the side it leans; turned over it is upside down from in front and above. */
const leaned = (outline: Outline, tilt: number, look: Look): Outline =>
  tilt === 0 ? outline : look === 'side' ? spun(outline, tilt) : Math.abs(tilt) === 180 ? flipped(outline) : outline

/** The view of an upright tool that is seen when it lies on its back, what was its face upward. */
const ON_ITS_BACK: Record<Look, Look> = { front: 'top', top: 'front', side: 'side' }

/** The silhouette of a tool as it is tipped. */
function seenGhost(tool: Tool, seat: Seat, look: Look): SeatItem['ghost'] {
  const { tilt = 0 } = seat
  const onBack = tilt === 90 && look !== 'side'
  return ghost(tool, seat, onBack ? ON_ITS_BACK[look] : look).map((g) => ({
    ...g,
    outline: !onBack ? leaned(g.outline, tilt, look) : look === 'front' ? flipped(g.outline) : g.outline,
  }))
}

/** How far the middle of a tool rises over its own origin as its seat is tipped, mm: from in front it is drawn upright there. */
function risen(tool: Tool, { turn, tilt = 0, along }: Seat): number {
  const room = kindOf(tool.kind)?.envelope(tool).top
  if (!room || along || tilt === 90 || Math.abs(tilt) === 180) return 0
  const [x, y] = [(room.minX + room.maxX) / 2, (room.minY + room.maxY) / 2]
  return Math.sin((tilt * Math.PI) / 180) * [y, -x, -y, x][turn]!
}

/** What belongs to one seat in a view. */
export function seatItem(board: Board, seat: Seat, one: Tool | undefined, look: Look): SeatItem {
  const tool = one && stacked(one, seat.stack ?? 1)
  const opening = board.openings.find((o) => o.id === seat.opening)
  const { tilt = 0 } = seat
  // seen square to the face of what it sits in, as that is
  const leans = board.placement.tilt ?? 0
  const square = leans !== 0 && isFaceOn(board, look) && look !== 'side'
  const neck = seenAt(square ? tipped(seat.at, -leans, board.placement.at) : seat.at, look)
  const rise = tool && look === 'front' && tilt !== 0 ? risen(tool, seat) : 0
  return {
    seat: seat.id,
    ...(opening ? openingItem(board, opening, look) : { at: neck, outlines: [], lines: [] }),
    neck,
    ghost: tool ? seenGhost(tool, seat, look).map((g) => ({ ...g, outline: moved(g.outline, 0, rise) })) : [],
  }
}
