import type { Outline, Point } from '../geometry/outline'
import type { Working } from '../working/figure'

/** The version of this description; raised when its meaning changes. */
export const MODEL_VERSION = 1

/** The form of what is no holder: the sheets or strips of a wall. */
export const WALL_FORM = 'wall'

/** A point in the holder, mm: x along the wall from the datum end, y out from the wall, z up from the rail's top face. */
export interface Place {
  x: number
  y: number
  z: number
}

/**
 * Where a board stands. `flat`: length along the wall, width out from it, thickness down; `upright`: length along the
 * wall, width up it, thickness out from it; `end`: length out from the wall, width up it, thickness along it; `post`: length
 * up the wall, width out from it, thickness along it. `at` is the
 * board's own (0, 0) corner on the face that its openings are made from: for a flat board the back edge on its upper
 * face, for an upright one the lower edge on the face next to the wall, for an end or a post the lower corner at the wall on the
 * face towards the datum.
 */
export interface Placement {
  lies: 'flat' | 'upright' | 'end' | 'post'
  at: Place
  /** how far it is tipped about the line through `at` along the wall, degrees: above nought the front edge rises */
  tilt?: number
}

/** A rod, pin or other round part. */
export interface Rod {
  id: string
  name: string
  role: 'rail' | 'pin' | 'pipe'
  material: string
  stock: string
  /** mm */
  diameter: number
  length: number
  /** the middle of one end, and the direction to the other: a vector of length 1 */
  at: Place
  toward: Place
  /** of a pipe: the diameter of its bore, mm, and how far its far end is cut from square, the long side at the back; degrees */
  pipe?: { bore: number; slant: number }
  /** ids of the seats whose tools it carries */
  seats: string[]
  /** ids of the figures of its size; of a pin `arm`, how far from the face its load hangs; of a slanted pipe `low`, its short side */
  figures: { length: string; diameter: string; arm?: string; low?: string }
}

/** One hole that is drilled for an opening, in the board's own plane. */
export interface Bore {
  centre: Point
  /** of the hole that the bit really makes, mm */
  diameter: number
  /** diameter stamped on the bit, mm */
  bit: number
}

/** A narrower hole that goes on below a wider one, about the same axis. */
export interface BoreStep extends Bore {
  /** from the face, mm; null for one that goes through */
  depth: number | null
}

/** A hole or slot in a board, in the board's own plane, made from its upper (or outer) face. */
export interface Opening {
  id: string
  /** `slot`: open at an edge; `bore`: closed all round */
  kind: 'slot' | 'bore'
  /** the seat it is for, or null for one that a rod goes into, or that lets something through */
  seat: string | null
  /** what it lets through where it is neither for a tool nor for a rod */
  lets?: 'air' | 'a cord' | 'a pipe' | 'a finger' | 'an outlet' | 'a switch' | 'a window' | 'a door'
  /** of a slot: middle of its closed end, on the line of centres */
  centre: Point
  /** mm */
  width: number
  /** of its closed end: half the width, or less where two bores make it; mm */
  radius: number
  outline: Outline
  /** the edge at which it is open, or null */
  opensTo: 'front' | 'back' | null
  /** mm, or null for one that goes through */
  depth: number | null
  /**
   * how far its axis leans up on its way through the board, degrees; nought for one square to the face. A slanted one
   * goes through, and its centre is where it leaves the far face
   */
  slant: number
  /** of a slot: how far it slopes down on its way in from the front edge, degrees; its centre is the bore's */
  slope?: number
  /** diameter of a small hole through the floor of a blind one, by which dust falls out; null for none. mm */
  dust: number | null
  /** how it gets its width; a bored one without a bore has no bit that makes it */
  cut: 'bored' | 'sawn'
  /** what is drilled, from left to right: one bore, two side by side, or none */
  bores: Bore[]
  /** of a stepped one: what is drilled below its only bore, the widest first */
  steps?: readonly BoreStep[]
  /** how far the edge of its mouth is chamfered at 45 degrees, mm */
  flare?: number
  /** ids of the figures that placed it; `end` is the diameter of its closed end */
  figures: { x: string; y: string; width: string; end: string; depth?: string }
}

/** A board in its own plane: x along its length from the datum end, y across its width from the back (or lower) edge. mm. */
export interface Board {
  id: string
  name: string
  role:
    | 'rail'
    | 'block'
    | 'back'
    | 'end'
    | 'shelf'
    | 'lip'
    | 'divider'
    | 'bar'
    | 'arm'
    | 'hook'
    | 'bracket'
    | 'strip'
    | 'foot'
    | 'slat'
    | 'panel'
  material: string
  stock: string
  /** of all its layers together */
  thickness: number
  /** how many boards of its stock are glued up to it */
  layers: number
  length: number
  width: number
  grain: 'along length'
  outline: Outline
  openings: Opening[]
  /**
   * an edge that is ripped at a slant: of a lower one the face its openings are made from stays whole, of an upper one the
   * other face; tilt in degrees from square
   */
  bevel?: { edge: 'lower' | 'upper'; tilt: number }
  placement: Placement
  /** ids of the figures of its size; `layer` is one layer's thickness, where there are several */
  figures: { length: string; width: string; thickness: string; layer?: string }
}

/** What meets what, fixed how, and in which order. */
export interface Joint {
  order: number
  /** ids of boards or rods: what goes in goes through the first into the second */
  parts: [string, string]
  glued: boolean
  /** what holds it besides glue; `socket`: one part goes into an opening of the other; `loose`: pushed in, never fixed */
  by: 'screws' | 'brads' | 'socket' | 'glue' | 'loose'
  /** in the shop's words */
  fixing: string
}

/** One screw or brad where it goes in. mm */
export interface Fastener {
  id: string
  kind: 'screw' | 'brad'
  /** the row of the shop's screws or brads it is */
  item: string
  name: string
  diameter: number
  length: number
  /** gauge number of a screw; null for a brad */
  gauge: number | null
  /** the middle of its head, on the face where it goes in, and which way it goes: a vector of length 1 */
  at: Place
  toward: Place
  /** id of the part under its head, and of the one that its point is in; null: the wall */
  through: string
  into: string | null
  /** how much of it is in the part under its head, and how deep it reaches into the next */
  side: number
  bite: number
  /** its thread runs along the grain of what it reaches into */
  endGrain: boolean
  /** diameter of the pilot hole; null for a brad */
  pilot: number | null
  /** order of the joint that it holds; null for the wall */
  joint: number | null
}

/** Where a tool sits, in which attitude. */
export interface Seat {
  id: string
  tool: string
  name: string
  /** 1 for the first from the datum end */
  place: number
  turn: 0 | 1 | 2 | 3
  /** how far it is tipped with what it sits in, as a board is; degrees */
  tilt?: number
  /** it lies with its own axis along the wall, its head towards the datum, what is its right upward */
  along?: true
  board: string
  /** the opening that it goes into, or null where it lies or stands on something */
  opening: string | null
  /** where the tool's own origin stands in the holder: its neck's middle under the head, the end of its shank, its sole's heel */
  at: Place
  /** from the neck's centre to the head's farthest points, mm */
  extent: { left: number; right: number; front: number; back: number }
  /** what carries it: wood under its head or shoulder, the floor of a blind bore, two rods, two arms, a pin, a shelf, magnets, a hook, or the slots of posts */
  rests: 'shoulder' | 'floor' | 'rods' | 'arms' | 'pin' | 'shelf' | 'magnet' | 'hook' | 'slot'
  /** an edge or point at its lower end, which must not stand on anything */
  sharp: boolean
  /** an edge or point at its upper end */
  edgeUp?: boolean
  /** so many tools stand in this one place, as a stack of discs does; one where absent */
  stack?: number
  /** of all that stand here, kg, or null when not weighed */
  mass: number | null
  /** how its farthest point from the wall is reckoned: a formula with the ids of figures in braces */
  reach: string
  /** ids of figures about it, such as its bearings */
  figures: Record<string, string>
}

/** Something bought that is put into it, and how many. */
export interface BoughtPart {
  id: string
  name: string
  /** it is not in the shop yet */
  toBuy: boolean
  count: number
  /** ids of the seats whose tools it holds */
  seats: string[]
  /** where its pieces stand that take up room of their own, described as boards are; none where it is sunk into the wood */
  bodies?: readonly Board[]
  /** what is warned of when it is handled */
  caution?: string
  /** what they weigh together, kg, and the figure of that; absent where that is not known */
  mass?: { value: number; figure: string }
}

/** What is warned of for the sake of what is in a holder, on the card where it applies. */
export interface Caution {
  at: 'join' | 'hang'
  says: string
}

/** The description of a holder from which everything else is derived. Plain data. */
export interface HolderModel {
  version: typeof MODEL_VERSION
  form: string
  name: string
  boards: Board[]
  rods: Rod[]
  bought?: readonly BoughtPart[]
  /** how far its wood reaches out from the wall, mm, and how that is reckoned */
  reach: { value: number; formula: string }
  joints: Joint[]
  /** screws and brads, in the order of the joints; those into the wall last */
  fasteners: Fastener[]
  seats: Seat[]
  cautions?: readonly Caution[]
  /** some of what it holds may have a battery in it or not */
  batteries?: true
  working: Working
}

/** The board of this id. @throws RangeError when there is none */
export function boardOf(model: Pick<HolderModel, 'boards' | 'name'>, id: string): Board {
  const board = model.boards.find((b) => b.id === id)
  if (!board) throw new RangeError(`no board ${id} in ${model.name}`)
  return board
}

/** The boards of a holder and what is bought and takes up room like one. */
export const bodiesOf = ({ boards, bought = [] }: Pick<HolderModel, 'boards' | 'bought'>): Board[] => [
  ...boards,
  ...bought.flatMap((b) => b.bodies ?? []),
]

/** The boards on which tools sit: a guide that only keeps them in line is none. */
export const seatedBoards = (model: Pick<HolderModel, 'boards' | 'seats'>): Board[] =>
  model.boards.filter((b) => model.seats.some((s) => s.board === b.id))

/** Openings whose centres are so near to one line stand on it, mm. */
const SAME_LINE = 1e-6

/** The openings of a board in rows from the back, each from the datum end. */
export function openingRows(board: Board): Opening[][] {
  const rows: Opening[][] = []
  for (const o of [...board.openings].sort((a, b) => a.centre.y - b.centre.y || a.centre.x - b.centre.x)) {
    const row = rows.at(-1)
    if (row && Math.abs(row[0]!.centre.y - o.centre.y) < SAME_LINE) row.push(o)
    else rows.push([o])
  }
  return rows.map((row) => row.sort((a, b) => a.centre.x - b.centre.x))
}

/** Everything that is drilled for an opening, in the order in which it is drilled, each with how deep it goes; mm. */
export const drilled = (opening: Opening): BoreStep[] => [
  ...opening.bores.map((bore) => ({ ...bore, depth: opening.depth })),
  ...(opening.steps ?? []),
]

/** From the edge that a slot is open at to the middle of its end, square to the edge; of a closed one from the front edge. mm */
export const intoEdge = (board: Pick<Board, 'width'>, { opensTo, centre }: Opening): number =>
  opensTo === 'back' ? centre.y : board.width - centre.y

/** How deep an opening goes at its deepest; null for through. mm */
export const deepest = (opening: Opening): number | null => {
  const depths = [opening.depth, ...(opening.steps ?? []).map((s) => s.depth)]
  return depths.includes(null) ? null : Math.max(...(depths as number[]))
}

/** What figures about an opening are called by: its seat, or itself where it is no seat's or one of several. */
export const openingKey = (board: Board, opening: Opening): string =>
  opening.seat !== null && board.openings.filter((o) => o.seat === opening.seat).length === 1
    ? opening.seat
    : opening.id

/** One opening for each place along a board at which openings stand, whatever their row; from the datum end. */
export function openingColumns(board: Board): Opening[] {
  const sorted = [...board.openings].sort((a, b) => a.centre.x - b.centre.x || b.centre.y - a.centre.y)
  return sorted.filter((o, i) => i === 0 || o.centre.x - sorted[i - 1]!.centre.x > SAME_LINE)
}
