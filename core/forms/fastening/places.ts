import { outlineBounds } from '../../geometry/outline'
import { contactOf, onBoard, axesOf, type Axis, type Contact } from '../../model/contact'
import { deepest, type Board, type Fastener, type Place } from '../../model/model'
import { boardBox, rodBox, squareBox, type Box } from '../../model/standing'
import type { PlannedModel } from '../form'

/** Room that a driver needs on a screw's axis, mm. */
export const DRIVER = { across: 12, long: 150 } as const

/** Wood that stays round a fastener, mm. */
const CLEAR = 3

/** How far a fastener is moved at a time to find it a place, mm. */
const STEP = 3

/** A box from one place to another along an axis, so far across. mm */
export function along(at: Place, toward: Place, long: number, across: number): Box {
  const side = (axis: Axis): readonly [number, number] => {
    const end = at[axis] + toward[axis] * long
    // what runs at a slant is as thick along an axis as it is square to it
    const round = (across / 2) * Math.sqrt(Math.max(0, 1 - toward[axis] ** 2))
    return [Math.min(at[axis], end) - round, Math.max(at[axis], end) + round]
  }
  return { x: side('x'), y: side('y'), z: side('z') }
}

const AXES: readonly Axis[] = ['x', 'y', 'z']

/** Whether two boxes take up the same room. */
export const boxesMeet = (a: Box, b: Box, spare = 1e-6): boolean =>
  AXES.every((k) => a[k][0] < b[k][1] - spare && b[k][0] < a[k][1] - spare)

/** Where a driver stands that drives a fastener. */
export const driverBox = ({ at, toward }: Pick<Fastener, 'at' | 'toward'>): Box =>
  along(at, { x: -toward.x, y: -toward.y, z: -toward.z }, DRIVER.long, DRIVER.across)

const bodyOf = (f: Pick<Fastener, 'at' | 'toward' | 'length' | 'diameter'>): Box =>
  along(f.at, f.toward, f.length, f.diameter)

/** An opening as a box in its board's own plane, with the wood that stays round it, and how deep it goes; mm. */
interface Hole {
  minX: number
  maxX: number
  minY: number
  maxY: number
  deep: number
}

/** A fastener that is to be placed: what it is, without where. */
export type Unplaced = Omit<Fastener, 'id' | 'at' | 'toward'>

/** What is in the way of a holder's fasteners, reckoned once for all of them. */
export class Around {
  private readonly boards: ReadonlyMap<string, Board>
  private readonly holes = new Map<string, readonly Hole[]>()
  private readonly boxes: ReadonlyMap<string, Box>
  private readonly standing: { id: string; box: Box }[] = []
  private readonly driven: Box[] = []

  constructor(model: PlannedModel) {
    this.boards = new Map(model.boards.map((b) => [b.id, b]))
    this.boxes = new Map([
      ...model.boards.map((b) => [b.id, boardBox(b)] as const),
      ...model.rods.map((r) => [r.id, rodBox(r)] as const),
    ])
  }

  /** From now on a part stands, and may be in a driver's way. */
  stand(id: string): void {
    const box = this.boxes.get(id)
    if (box && !this.standing.some((s) => s.id === id)) this.standing.push({ id, box })
  }

  /** From now on a fastener is there. */
  drive(f: Fastener): void {
    this.driven.push(bodyOf(f))
  }

  /** Whether a fastener can be here: no opening, no other fastener, no part that stands in the driver's way. */
  free(f: Omit<Fastener, 'id'>): boolean {
    const body = bodyOf(f)
    if (this.meetsOpening(f.through, body) || (f.into !== null && this.meetsOpening(f.into, body))) return false
    if (this.driven.some((other) => boxesMeet(body, other, -1))) return false
    const driver = driverBox(f)
    return !this.standing.some(({ id, box }) => id !== f.through && boxesMeet(driver, box))
  }

  /** Whether what stands before a face, which is so far out, leaves a driver no way to it at this height, anywhere along it; mm. */
  closes({ from, to }: { from: number; to: number }, face: number, z: number): boolean {
    const half = DRIVER.across / 2
    const before = this.standing.filter(({ box }) => box.y[1] > face && box.y[0] < face + DRIVER.long && box.z[0] < z + half && box.z[1] > z - half) // prettier-ignore
    let reached = from
    for (const { box } of before.sort((a, b) => a.box.x[0] - b.box.x[0])) {
      if (box.x[0] - half > reached) return false
      reached = Math.max(reached, box.x[1] + half)
    }
    return reached >= to
  }

  private holesOf(board: Board): readonly Hole[] {
    const known = this.holes.get(board.id)
    if (known) return known
    const found = board.openings.map((o): Hole => {
      const { minX, maxX, minY, maxY } = outlineBounds(o.outline)
      const deep = (o.dust === null ? deepest(o) : null) ?? board.thickness
      return { minX: minX - CLEAR, maxX: maxX + CLEAR, minY: minY - CLEAR, maxY: maxY + CLEAR, deep: deep + CLEAR }
    })
    this.holes.set(board.id, found)
    return found
  }

  /** Whether a body passes through an opening of a board, or nearer to it than the wood that should stay. */
  private meetsOpening(id: string, { x, y, z }: Box): boolean {
    const board = this.boards.get(id)
    if (!board || board.openings.length === 0) return false
    const a = onBoard(board, { x: x[0], y: y[0], z: z[0] })
    const b = onBoard(board, { x: x[1], y: y[1], z: z[1] })
    const [x0, x1] = [Math.min(a.x, b.x), Math.max(a.x, b.x)]
    const [y0, y1] = [Math.min(a.y, b.y), Math.max(a.y, b.y)]
    const from = Math.min(a.deep, b.deep)
    return this.holesOf(board).some((h) => x0 < h.maxX && x1 > h.minX && y0 < h.maxY && y1 > h.minY && from < h.deep)
  }
}

/** Where a joint's fasteners may go: the contact without a bevel, and the line on which they stand. mm */
export interface Line {
  contact: Contact
  /** thickness of the part under the head along its axis, and of the one it goes into */
  side: number
  room: number
  /** where they stand across the contact, and how far that is from the nearest edge of what they go into */
  across: number
  edge: number
  endGrain: boolean
}

const sizeAlong = (board: Board, axis: Axis): number => {
  const [from, to] = squareBox(board)[axis]
  return to - from
}

/** The line of fasteners through one board into another; null where they don't touch. */
export function lineOf(through: Board, into: Board): Line | null {
  const contact = contactOf(through, into)
  if (!contact) return null
  const { axis, across } = contact
  // the body of a bevelled strip, never its bevel
  const lost = through.bevel && across.axis === axesOf(through).width ? through.thickness * Math.tan((through.bevel.tilt * Math.PI) / 180) : 0 // prettier-ignore
  const low = across.from + lost
  if (low > across.to - CLEAR) return null
  const middle = (low + across.to) / 2
  // never in a glue line: in the middle of the uppermost layer
  const layered = into.layers > 1 && across.axis === axesOf(into).thickness
  const at = layered ? across.to - into.thickness / into.layers / 2 : middle
  return {
    contact,
    side: sizeAlong(through, axis),
    room: sizeAlong(into, axis),
    across: at,
    edge: Math.min(at - across.from, across.to - at),
    endGrain: axesOf(into).length === axis,
  }
}

/** Places along a stretch: both ends and between them no farther apart than this; one where it is short. mm */
export function spaced(from: number, to: number, end: number, every: number): number[] {
  const long = to - from
  const inset = Math.min(end, long / 4)
  const usable = long - 2 * inset
  if (long < 2.5 * end) return [(from + to) / 2]
  const gaps = Math.max(1, Math.ceil(usable / every - 1e-9))
  return Array.from({ length: gaps + 1 }, (_, i) => from + inset + (usable * i) / gaps)
}

/** Moves a place by steps to either side until it is free, no farther than half of the way to its neighbour. */
export function nearestFree(wanted: number, reach: number, isFree: (at: number) => boolean): number | null {
  for (let off = 0; off <= reach; off += STEP) {
    if (isFree(wanted + off)) return wanted + off
    if (off > 0 && isFree(wanted - off)) return wanted - off
  }
  return null
}
