import type { Board, Place } from './model'
import { boardBox } from './standing'

export type Axis = 'x' | 'y' | 'z'

/** Where one board's face lies on another's. mm */
export interface Contact {
  /** across the faces, and which way from the first board into the second */
  axis: Axis
  sense: 1 | -1
  /** where the faces meet, on that axis */
  at: number
  /** the two axes along the faces, the longer side of the contact first, with where it reaches from and to */
  along: { axis: Axis; from: number; to: number }
  across: { axis: Axis; from: number; to: number }
}

/** Faces nearer than this touch, mm. */
const TOUCH = 1e-3

const AXES: readonly Axis[] = ['x', 'y', 'z']

/** Where two boards touch face to face; null when they don't. @param a, @param b as they stand in the holder */
export function contactOf(a: Board, b: Board): Contact | null {
  const [p, q] = [boardBox(a), boardBox(b)]
  for (const axis of AXES) {
    const sense = Math.abs(p[axis][1] - q[axis][0]) < TOUCH ? 1 : Math.abs(p[axis][0] - q[axis][1]) < TOUCH ? -1 : null
    if (sense === null) continue
    const sides = AXES.filter((x) => x !== axis).map((x) => ({
      axis: x,
      from: Math.max(p[x][0], q[x][0]),
      to: Math.min(p[x][1], q[x][1]),
    }))
    if (sides.some((s) => s.to - s.from < TOUCH)) continue
    const [along, across] = sides.sort((u, v) => v.to - v.from - (u.to - u.from)) as [Contact['along'], Contact['across']] // prettier-ignore
    return { axis, sense, at: sense === 1 ? p[axis][1] : p[axis][0], along, across }
  }
  return null
}

/** The axis of the holder along which a board's length, width and thickness lie. */
export const axesOf = ({ placement: { lies } }: Board): { length: Axis; width: Axis; thickness: Axis } =>
  lies === 'flat'
    ? { length: 'x', width: 'y', thickness: 'z' }
    : lies === 'upright'
      ? { length: 'x', width: 'z', thickness: 'y' }
      : { length: 'y', width: 'z', thickness: 'x' }

/** A place in the holder as a point of a board's own plane, and how deep it lies below the face of its openings; mm. */
export function onBoard({ placement: { lies, at } }: Board, p: Place): { x: number; y: number; deep: number } {
  if (lies === 'flat') return { x: p.x - at.x, y: p.y - at.y, deep: at.z - p.z }
  if (lies === 'upright') return { x: p.x - at.x, y: p.z - at.z, deep: p.y - at.y }
  return { x: p.y - at.y, y: p.z - at.z, deep: p.x - at.x }
}
