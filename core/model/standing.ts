import type { Point } from '../geometry/outline'
import type { Board, Place, Rod } from './model'
import { tipped } from './tilt'

/** What a part takes up along each axis of the holder, mm. */
export interface Box {
  x: readonly [number, number]
  y: readonly [number, number]
  z: readonly [number, number]
}

/** The box of a board as it stands; of a tilted one the box round it. */
export function boardBox(board: Board): Box {
  const square = squareBox(board)
  const { at, tilt = 0 } = board.placement
  if (tilt === 0) return square
  const corners = square.y.flatMap((y) => square.z.map((z) => tipped({ x: at.x, y, z }, tilt, at)))
  const round = (axis: 'y' | 'z'): readonly [number, number] => [
    Math.min(...corners.map((c) => c[axis])),
    Math.max(...corners.map((c) => c[axis])),
  ]
  return { x: square.x, y: round('y'), z: round('z') }
}

/** The box of a board as if it were not tilted. */
export function squareBox({ length, width, thickness, placement: { lies, at } }: Board): Box {
  const size = {
    flat: { x: [0, length], y: [0, width], z: [-thickness, 0] },
    upright: { x: [0, length], y: [0, thickness], z: [0, width] },
    end: { x: [0, thickness], y: [0, length], z: [0, width] },
    post: { x: [0, thickness], y: [0, width], z: [0, length] },
  }[lies] as unknown as Box
  const from = (axis: 'x' | 'y' | 'z'): readonly [number, number] => [
    at[axis] + size[axis][0],
    at[axis] + size[axis][1],
  ]
  return { x: from('x'), y: from('y'), z: from('z') }
}

/** Where a point of a board's own plane stands in the holder, so deep below the face that its openings are made from; mm. */
export function placeOn({ placement: { lies, at, tilt = 0 } }: Pick<Board, 'placement'>, p: Point, deep = 0): Place {
  const square = {
    flat: { x: at.x + p.x, y: at.y + p.y, z: at.z - deep },
    upright: { x: at.x + p.x, y: at.y + deep, z: at.z + p.y },
    end: { x: at.x + deep, y: at.y + p.x, z: at.z + p.y },
    post: { x: at.x + deep, y: at.y + p.y, z: at.z + p.x },
  }[lies]
  return tipped(square, tilt, at)
}

/** The middle of a rod's far end. */
export const rodEnd = ({ at, toward, length }: Rod): Place => ({
  x: at.x + toward.x * length,
  y: at.y + toward.y * length,
  z: at.z + toward.z * length,
})

/** The box of a rod: along its axis it ends where its ends do. */
export function rodBox(rod: Rod): Box {
  const end = rodEnd(rod)
  const from = (axis: 'x' | 'y' | 'z'): readonly [number, number] => {
    // how far the circles of its ends reach along this axis
    const r = (rod.diameter / 2) * Math.sqrt(Math.max(0, 1 - rod.toward[axis] ** 2))
    return [Math.min(rod.at[axis], end[axis]) - r, Math.max(rod.at[axis], end[axis]) + r]
  }
  return { x: from('x'), y: from('y'), z: from('z') }
}
