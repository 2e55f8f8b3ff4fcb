import type { Point } from '../geometry/outline'
import type { Board, Place, Rod } from './model'

/** What a part takes up along each axis of the holder, mm. */
export interface Box {
  x: readonly [number, number]
  y: readonly [number, number]
  z: readonly [number, number]
}

/** The box of a board as it stands. */
export function boardBox({ length, width, thickness, placement: { lies, at } }: Board): Box {
  const size = {
    flat: { x: [0, length], y: [0, width], z: [-thickness, 0] },
    upright: { x: [0, length], y: [0, thickness], z: [0, width] },
    end: { x: [0, thickness], y: [0, length], z: [0, width] },
  }[lies] as unknown as Box
  const from = (axis: 'x' | 'y' | 'z'): readonly [number, number] => [
    at[axis] + size[axis][0],
    at[axis] + size[axis][1],
  ]
  return { x: from('x'), y: from('y'), z: from('z') }
}

/** Where a point of a board's own plane stands in the holder, so deep below the face that its openings are made from; mm. */
export function placeOn({ placement: { lies, at } }: Board, { x, y }: Point, deep = 0): Place {
  if (lies === 'flat') return { x: at.x + x, y: at.y + y, z: at.z - deep }
  if (lies === 'upright') return { x: at.x + x, y: at.y + deep, z: at.z + y }
  return { x: at.x + deep, y: at.y + x, z: at.z + y }
}

/** The middle of a rod's far end. */
export const rodEnd = ({ at, toward, length }: Rod): Place => ({
  x: at.x + toward.x * length,
  y: at.y + toward.y * length,
  z: at.z + toward.z * length,
})

/** The box of a rod: its ends' circles are taken as spheres. */
export function rodBox(rod: Rod): Box {
  const end = rodEnd(rod)
  const r = rod.diameter / 2
  const from = (axis: 'x' | 'y' | 'z'): readonly [number, number] => [
    Math.min(rod.at[axis], end[axis]) - r,
    Math.max(rod.at[axis], end[axis]) + r,
  ]
  return { x: from('x'), y: from('y'), z: from('z') }
}
