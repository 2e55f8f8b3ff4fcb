import { kindOf } from '../footprint/kinds'
import type { Body, Plate, Turned } from '../footprint/body'
import { flattened } from '../geometry/flatten'
import type { Tool } from '../footprint/tool'
import type { Board, HolderModel, Place, Seat } from '../model/model'
import { tippedWay } from '../model/tilt'
import { boxesMeet, partSolids, type PartSolid } from './collisions'
import type { Kernel, Solid } from './kernel'
import { fromAbove, seatMatrix } from './tool-solid'

/** How a tool comes out of its holder, or what is in its way on the easiest of the ways tried. */
export interface TakenOut {
  seat: string
  name: string
  /** null where no way is free */
  way: Way | null
  /** tools that have to come out before it, where nothing else is in its way */
  before: string[]
  /** what it meets on the way that meets least, where wood is in every way */
  blockedBy: string[]
}

/**
 * A way out: so far up along its own axis, or so far back up the deck that it leans on, then forward or up until it is clear; or
 * out of a rear slot, then sideways with its head first. mm
 */
export interface Way {
  lift: number
  back?: number
  then: 'forward' | 'up' | 'sideways'
}

/** Lifts that are tried before a tool is drawn forward, mm. */
const LIFTS = [0, 5, 15, 30, 60, 100]

/** How far what leans forward on a deck is drawn back up it, from under what catches it, before it is lifted; mm. */
const BACKS = [5, 10, 15, 20]

/** The only way out of a slot in a board's back edge. */
const REAR: readonly Way[] = [{ lift: 0, then: 'sideways' }]

/** Less than this is a touch, mm³; and what is touched at rest does not count on the way. */
const TOUCH = 60

/** A hull this little larger than its shape is as good as the shape. */
const CONVEX = 1.002

/** How far a chord may leave an arc of a plate, mm. */
const COARSE = 0.5

/** The tilt of what lies on its back, degrees. */
const LYING = 90

/** Clear of everything by so much, mm. */
const CLEAR = 2

/** A bar drawn past an edge is so far from it, mm. */
const NEXT_TO = 1

const add = (a: Place, b: Place, times = 1): Place => ({ x: a.x + times * b.x, y: a.y + times * b.y, z: a.z + times * b.z }) // prettier-ignore
const vector = ({ x, y, z }: Place): [number, number, number] => [x, y, z]

/** The convex pieces of a tool where it sits: round parts frustum by frustum, plates triangle by triangle. */
function piecesOf(kernel: Kernel, tool: Tool, seat: Seat): Solid[] {
  const bodies: Body[] = kindOf(tool.kind)?.bodies(tool) ?? []
  const holes = bodies.filter((b) => b.part === 'hole')
  const at = seatMatrix({ ...seat, at: firstOut(tool, seat) })
  return bodies
    .filter((b) => b.part !== 'hole')
    .flatMap((b) => (b.form === 'turned' ? frustums(b) : prisms(kernel, b, holes)))
    .map((points) => {
      const hull = kernel.Manifold.hull(points)
      const placed = hull.transform(at)
      hull.delete()
      return placed
    })
}

/** Where the one of a stack stands that comes out first: of one that lies on its back the lowest, else the one in front. */
function firstOut(tool: Tool, { at, tilt, stack = 1 }: Seat): Place {
  const key = kindOf(tool.kind)?.stacks
  if (!key || tilt !== LYING) return at
  return { ...at, z: at.z - (stack - 1) * (tool.measures[key] ?? 0) }
}

type Points = [number, number, number][]

/** Corners of a round that a hull goes round outside of it. */
const CORNERS = Array.from({ length: 12 }, (_, i) => (2 * Math.PI * i) / 12)

/** The corners of each piece of a round part between two heights. */
function frustums({ profile, x, y }: Turned): Points[] {
  const ring = ({ z, radius }: { z: number; radius: number }): Points => CORNERS.map((a) => [x + radius * Math.cos(a), y + radius * Math.sin(a), z]) // prettier-ignore
  const sorted = [...profile].sort((a, b) => a.z - b.z)
  return sorted.slice(1).map((top, i) => [...ring(sorted[i]!), ...ring(top)])
}

/** The corners of a plate: as one where it is convex, else of each triangle that it falls into. */
function prisms(kernel: Kernel, body: Plate, holes: readonly Body[]): Points[] {
  const { CrossSection } = kernel
  const round = fromAbove(body)
  const { outline, from, to } = round ?? body
  const view = round ? 'top' : body.view
  const flat = new CrossSection([flattened(outline, COARSE).map((p): [number, number] => [p.x, p.y])], 'NonZero')
  const cut = holes.filter((h): h is Plate => h.form === 'plate' && h.view === view).map((h) => new CrossSection([flattened(h.outline, COARSE).map((p): [number, number] => [p.x, p.y])], 'NonZero')) // prettier-ignore
  const section = cut.reduce((rest, h) => rest.subtract(h), flat)
  const hull = section.hull()
  const polygons = section.toPolygons()
  const convex = hull.area() <= section.area() * CONVEX
  const corners = polygons.flat()
  const place = ([u, v]: readonly [number, number], w: number): [number, number, number] =>
    view === 'face' ? [u, w, v] : view === 'side' ? [w, u, v] : [u, v, w]
  const prism = (points: readonly (readonly [number, number])[]): Points => [from, Math.max(to, from + 1e-3)].flatMap((w) => points.map((p) => place(p, w))) // prettier-ignore
  const found = convex
    ? [prism(corners)]
    : kernel.triangulate(polygons).map((t) => prism([...t].map((i) => corners[i]!)))
  for (const made of new Set([flat, ...cut, section, hull])) made.delete()
  return found
}

/** The room a convex piece passes through on its way from one place to another. */
function swept(kernel: Kernel, piece: Solid, from: Place, to: Place): Solid {
  const [a, b] = [piece.translate(vector(from)), piece.translate(vector(to))]
  const hull = kernel.Manifold.hull([a, b])
  a.delete()
  b.delete()
  return hull
}

const REST: Place = { x: 0, y: 0, z: 0 }

/** What a piece shares with each obstacle on a stretch of its way, mm³; none where it is no more than a touch. */
function met(
  kernel: Kernel,
  piece: Solid,
  obstacles: readonly PartSolid[],
  from: Place,
  to: Place,
): Map<string, number> {
  const found = new Map<string, number>()
  const room = swept(kernel, piece, from, to)
  for (const o of obstacles) {
    if (!boxesMeet(room, o.solid)) continue
    const shared = kernel.Manifold.intersection(room, o.solid)
    const volume = shared.volume()
    shared.delete()
    if (volume > 0) found.set(o.id, (found.get(o.id) ?? 0) + volume)
  }
  room.delete()
  return found
}

/** How far a tool goes along a direction until it is past everything, mm: along the wall towards the datum. */
function until(pieces: readonly Solid[], obstacles: readonly PartSolid[], axis: 0 | 1 | 2): number {
  const far = (all: readonly Solid[], end: 'min' | 'max'): number => (end === 'min' ? Math.min : Math.max)(...all.map((s) => s.boundingBox()[end][axis]!)) // prettier-ignore
  const others = obstacles.map((o) => o.solid)
  const way = axis === 0 ? far(pieces, 'max') - far(others, 'min') : far(others, 'max') - far(pieces, 'min')
  return Math.max(0, way) + CLEAR
}

/**
 * The places on the way out of a slot in a board's back edge: along the slot until the bar is out of it, straight back until
 * all of the tool is behind the board, then sideways.
 * @param way out along the slot, a vector of length 1, @param aside how far sideways it is clear, mm
 */
function rearWay(
  model: HolderModel,
  board: Board,
  seat: Seat,
  pieces: readonly Solid[],
  way: Place,
  aside: number,
): Place[] {
  const size = (key: string): number => model.working.find((f) => f.id === seat.figures[key])?.value ?? 0
  const edge = board.placement.at.y
  const half = (size('neckAcross') + size('neckAlong')) / 2
  const out = add(REST, way, (seat.at.y - edge + half + NEXT_TO) / -way.y)
  const front = Math.max(...pieces.map((s) => s.boundingBox().max[1]!)) + out.y
  const back = add(out, { x: 0, y: -1, z: 0 }, Math.max(0, front - edge + NEXT_TO))
  return [REST, out, back, add(back, { x: -1, y: 0, z: 0 }, aside)]
}

/**
 * Looks for a way out for each tool: forward, lifted a little and forward, or up; the first that meets nothing. A
 * tool is followed piece by piece, each convex, so that the room it passes through is a hull and needs no steps.
 * @param parts as they stand, from `partSolids`
 */
export function takenOut(
  kernel: Kernel,
  model: HolderModel,
  tools: ReadonlyMap<string, Tool>,
  parts: readonly PartSolid[],
): TakenOut[] {
  // a rod that is glued nowhere is drawn out first
  const drawnOut = new Set(model.rods.filter((r) => r.role !== 'pipe' && model.joints.every((j) => !j.parts.includes(r.id) || !j.glued)).map((r) => r.id)) // prettier-ignore
  return model.seats.flatMap((seat): TakenOut[] => {
    const tool = tools.get(seat.tool)
    if (!tool) return []
    const pieces = piecesOf(kernel, tool, seat)
    if (pieces.length === 0) return []
    const obstacles = parts.filter((p) => p.id !== seat.id && !drawnOut.has(p.id))
    const rest = new Map<string, number>()
    for (const s of pieces) for (const [id, v] of met(kernel, s, obstacles, REST, REST)) rest.set(id, (rest.get(id) ?? 0) + v) // prettier-ignore
    const board = model.boards.find((b) => b.id === seat.board)
    const opening = board?.openings.find((o) => o.id === seat.opening)
    const rear = opening?.opensTo === 'back'
    // what lies on its back or stands on its head is drawn out as what stands
    const tilt = seat.tilt === 180 || seat.tilt === LYING ? 0 : (seat.tilt ?? (rear ? -1 : 1) * (opening?.slope ?? 0))
    const [forward, up] = [tippedWay({ x: 0, y: 1, z: 0 }, tilt), tippedWay({ x: 0, y: 0, z: 1 }, tilt)]
    const ways: readonly Way[] = rear
      ? REAR
      : [
          ...LIFTS.map((lift): Way => ({ lift, then: 'forward' })),
          { lift: 0, then: 'up' },
          ...(seat.rests === 'shelf' && tilt < 0 ? BACKS : []).map((back): Way => ({ lift: 0, back, then: 'up' })),
        ]
    const [far, high] = [until(pieces, obstacles, 1), until(pieces, obstacles, 2)]
    const aside = rear ? until(pieces, obstacles, 0) : 0
    const astern = rear ? rearWay(model, board!, seat, pieces, add(REST, forward, -1), aside) : []
    let least: { blocking: PartSolid[]; wood: number; volume: number } | null = null
    let found: Way | null = null
    for (const way of ways) {
      const { lift, back = 0 } = way
      const from = add(add(REST, up, lift), forward, -back)
      const out = way.then === 'up' ? add(from, up, high) : add(from, forward, far)
      const path = way.then === 'sideways' ? astern : lift > 0 || back > 0 ? [REST, from, out] : [REST, out]
      const stretches = path.slice(1).map((to, n): [Place, Place] => [path[n]!, to])
      const hits = new Map<string, number>()
      for (const s of pieces)
        for (const [a, b] of stretches)
          for (const [id, v] of met(kernel, s, obstacles, a, b)) hits.set(id, Math.max(hits.get(id) ?? 0, v))
      const blocked = (id: string): boolean => (hits.get(id) ?? 0) > (rest.get(id) ?? 0) * 1.05 + TOUCH
      const blocking = obstacles.filter((o) => blocked(o.id))
      if (blocking.length === 0) {
        found = way
        break
      }
      const volumeOf = (all: readonly PartSolid[]): number => all.reduce((sum, o) => sum + hits.get(o.id)!, 0)
      const wood = volumeOf(blocking.filter((o) => o.kind !== 'tool'))
      const volume = volumeOf(blocking)
      if (!least || wood < least.wood || (wood === least.wood && volume < least.volume)) least = { blocking, wood, volume } // prettier-ignore
    }
    for (const piece of pieces) piece.delete()
    const before = least && least.wood === 0 && !found ? least.blocking.map((o) => o.name) : []
    const blockedBy = found || before.length > 0 ? [] : (least?.blocking.map((o) => o.name) ?? [])
    return [{ seat: seat.id, name: seat.name, way: found, before, blockedBy }]
  })
}

/** Builds the parts by itself and looks for each tool's way out. */
export function waysOut(kernel: Kernel, model: HolderModel, tools: ReadonlyMap<string, Tool>): TakenOut[] {
  const parts = partSolids(kernel, model, tools)
  const found = takenOut(kernel, model, tools, parts)
  for (const { solid } of parts) solid.delete()
  return found
}
