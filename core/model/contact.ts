import type { Board, Place } from './model'
import { squareBox, type Box } from './standing'
import { tipBoard, tipped } from './tilt'

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
  /** the figures above are as if what is tilted stood square: it is tipped so far about this line; null where nothing is */
  tip: { tilt: number; about: Place } | null
}

/** Faces nearer than this touch, mm. */
const TOUCH = 1e-3

const AXES: readonly Axis[] = ['x', 'y', 'z']

/**
 * Where two boards touch face to face; null when they don't. A tilted board touches one that is not, or is tilted
 * otherwise, only at its ends.
 * @param a, @param b as they stand in the holder
 */
export function contactOf(a: Board, b: Board): Contact | null {
  const [tiltA, tiltB] = [a.placement.tilt ?? 0, b.placement.tilt ?? 0]
  if (tiltA === tiltB) {
    if (tiltA === 0) return touching(squareBox(a), squareBox(b), AXES, null)
    const about = a.placement.at
    return touching(squareBox(a), squareBox(untipped(b, about)), AXES, { tilt: tiltA, about })
  }
  if (tiltA !== 0 && tiltB !== 0) return null
  const [leaning, square] = tiltA === 0 ? [b, a] : [a, b]
  if (!within(leaning, square)) return null
  const box = squareBox(leaning)
  // the square one reaches all round its end
  const other = { ...box, x: squareBox(square).x }
  const tip = { tilt: leaning.placement.tilt!, about: leaning.placement.at }
  return leaning === a ? touching(box, other, ['x'], tip) : touching(other, box, ['x'], tip)
}

/** A board as it would stand if all that is tilted with it stood square, turned back about a line. */
const untipped = (board: Board, about: Place): Board => {
  const back = tipBoard(board, -board.placement.tilt!, about)
  return { ...back, placement: { ...back.placement, tilt: 0 } }
}

/** Whether a leaning board's end lies wholly on a square one. */
function within(leaning: Board, square: Board): boolean {
  const [end, face] = [squareBox(leaning), squareBox(square)]
  const { at, tilt = 0 } = leaning.placement
  return end.y.every((y) =>
    end.z.every((z) => {
      const p = tipped({ x: 0, y, z }, tilt, at)
      return p.y > face.y[0] - TOUCH && p.y < face.y[1] + TOUCH && p.z > face.z[0] - TOUCH && p.z < face.z[1] + TOUCH
    }),
  )
}

function touching(p: Box, q: Box, axes: readonly Axis[], tip: Contact['tip']): Contact | null {
  for (const axis of axes) {
    const sense = Math.abs(p[axis][1] - q[axis][0]) < TOUCH ? 1 : Math.abs(p[axis][0] - q[axis][1]) < TOUCH ? -1 : null
    if (sense === null) continue
    const sides = AXES.filter((x) => x !== axis).map((x) => ({
      axis: x,
      from: Math.max(p[x][0], q[x][0]),
      to: Math.min(p[x][1], q[x][1]),
    }))
    if (sides.some((s) => s.to - s.from < TOUCH)) continue
    const [along, across] = sides.sort((u, v) => v.to - v.from - (u.to - u.from)) as [Contact['along'], Contact['across']] // prettier-ignore
    return { axis, sense, at: sense === 1 ? p[axis][1] : p[axis][0], along, across, tip }
  }
  return null
}

const AXES_OF: Record<Board['placement']['lies'], { length: Axis; width: Axis; thickness: Axis }> = {
  flat: { length: 'x', width: 'y', thickness: 'z' },
  upright: { length: 'x', width: 'z', thickness: 'y' },
  end: { length: 'y', width: 'z', thickness: 'x' },
  post: { length: 'z', width: 'y', thickness: 'x' },
}

/** The axis of the holder along which a board's length, width and thickness lie. */
export const axesOf = ({ placement: { lies } }: Board): { length: Axis; width: Axis; thickness: Axis } => AXES_OF[lies]

/** A place in the holder as a point of a board's own plane, and how deep it lies below the face of its openings; mm. */
export function onBoard(
  { placement: { lies, at, tilt = 0 } }: Pick<Board, 'placement'>,
  place: Place,
): { x: number; y: number; deep: number } {
  const p = tipped(place, -tilt, at)
  if (lies === 'flat') return { x: p.x - at.x, y: p.y - at.y, deep: at.z - p.z }
  if (lies === 'upright') return { x: p.x - at.x, y: p.z - at.z, deep: p.y - at.y }
  if (lies === 'post') return { x: p.z - at.z, y: p.y - at.y, deep: p.x - at.x }
  return { x: p.y - at.y, y: p.z - at.z, deep: p.x - at.x }
}
