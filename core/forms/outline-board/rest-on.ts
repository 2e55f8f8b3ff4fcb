import { outlineCentroid } from '../../geometry/area'
import { flattened } from '../../geometry/flatten'
import { isInside } from '../../geometry/inside'
import type { Outline, Point } from '../../geometry/outline'

/** Where a pin stands under something flat: the pin's middle, and where it touches; in the plane of the outline, mm. */
export interface Touch {
  pin: Point
  at: Point
}

/** How something flat rests on two pins. */
export interface Rest {
  left: Touch
  right: Touch
  /** how far it could be tilted before it rolled off over one of them, degrees; 90 and more: it hangs below them */
  stable: number
  /** how good it is, to choose between ways; the more the better */
  worth: number
}

/** A chord may leave an arc by this much; pins are reckoned thicker by it, so that they never stand in the true outline. mm */
const CHORD = 0.05
/** An outline is looked at about so many places. */
const PLACES = 110
/** A pin bears where the outline over it leans less than this from level, degrees. */
const STEEPEST = 60
/** What is asked of friction beyond what leans: wood on steel stays up to about 17 degrees. */
const FRICTION = 12
/** Each pin bears at least this part of the weight. */
const LEAST_SHARE = 0.15
/** What could be tilted by less than this before it rolled off is not held, degrees. */
export const LEAST_STABLE = 20
/** What could be tilted by more than this hangs, and holds no better for more; degrees. */
const HANGS = 110
/** Sideways forces that are tried, as parts of the weight. */
const THRUSTS = Array.from({ length: 61 }, (_, i) => (i - 30) / 20)

const degrees = (radians: number): number => (radians * 180) / Math.PI

/** An edge of an outline run against the clock: from, to, and the direction out of it. */
interface Edge {
  a: Point
  b: Point
  out: Point
}

function edgesOf(outline: Outline): Edge[] {
  const points = flattened(outline, CHORD)
  const area = points.reduce((sum, p, i) => {
    const q = points[(i + 1) % points.length]!
    return sum + p.x * q.y - q.x * p.y
  }, 0)
  if (area < 0) points.reverse()
  return points.flatMap((a, i): Edge[] => {
    const b = points[(i + 1) % points.length]!
    const long = Math.hypot(b.x - a.x, b.y - a.y)
    return long < 1e-9 ? [] : [{ a, b, out: { x: (b.y - a.y) / long, y: (a.x - b.x) / long } }]
  })
}

/** How far a point is from an edge, mm. */
function away(p: Point, { a, b }: Edge): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y]
  const t = Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy)))
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy)
}

/** Every place, by steps, at which a pin of this radius bears an outline from below without standing in it. */
function touches(edges: readonly Edge[], radius: number): Touch[] {
  const round = edges.reduce((sum, { a, b }) => sum + Math.hypot(b.x - a.x, b.y - a.y), 0)
  const step = round / PLACES
  const bears = (out: Point): boolean => -out.y >= Math.cos((STEEPEST * Math.PI) / 180)
  const by = (at: Point, out: Point): Touch => ({ at, pin: { x: at.x + radius * out.x, y: at.y + radius * out.y } })
  const found = edges.flatMap((edge, i): Touch[] => {
    const { a, b, out } = edge
    const n = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / step))
    const along = bears(out)
      ? Array.from({ length: n + 1 }, (_, k) => by({ x: a.x + ((b.x - a.x) * k) / n, y: a.y + ((b.y - a.y) * k) / n }, out)) // prettier-ignore
      : []
    // round a corner that stands out, from this edge's direction to the next one's
    const next = edges[(i + 1) % edges.length]!.out
    const turn = Math.atan2(out.x * next.y - out.y * next.x, out.x * next.x + out.y * next.y)
    const k = Math.floor(degrees(turn) / 10)
    const corner = Array.from({ length: Math.max(0, k) }, (_, j) => {
      const angle = Math.atan2(out.y, out.x) + (turn * (j + 1)) / (k + 1)
      return { x: Math.cos(angle), y: Math.sin(angle) }
    })
    return [...along, ...corner.filter(bears).map((o) => by(b, o))]
  })
  const corners = edges.map((e) => e.a)
  return found.filter(({ pin }) => edges.every((e) => away(pin, e) > radius - 1e-6) && !isInside(pin, corners))
}

/** How two pins bear what weighs at `c`; null where it would slide or roll off them. */
function restOf(left: Touch, right: Touch, c: Point): Rest | null {
  const [a, b] = [left, right].map(({ at }) => ({ x: at.x - c.x, y: at.y - c.y })) as [Point, Point]
  const push = ({ at, pin }: Touch): number => Math.atan2(at.x - pin.x, at.y - pin.y)
  const [leftPush, rightPush] = [push(left), push(right)]
  let least = Infinity
  let share = 0
  for (const h of THRUSTS) {
    const up = (b.x + h * (b.y - a.y)) / (b.x - a.x)
    if (up < LEAST_SHARE || up > 1 - LEAST_SHARE) continue
    const asked = Math.max(Math.abs(Math.atan2(h, up) - leftPush), Math.abs(Math.atan2(-h, 1 - up) - rightPush))
    if (asked >= least) continue
    least = asked
    share = Math.min(up, 1 - up)
  }
  const asked = degrees(least)
  const stable = degrees(Math.min(Math.atan2(-a.x, -a.y), Math.atan2(b.x, -b.y)))
  if (!(asked <= FRICTION) || stable < LEAST_STABLE) return null
  const steep = degrees(Math.max(Math.abs(leftPush), Math.abs(rightPush)))
  return { left, right, stable, worth: Math.min(stable, HANGS) / HANGS + share - asked / 40 - steep / 90 }
}

/**
 * Two pins that bear something flat of one thickness, seen from the front: its weight between them, nothing that leans more
 * than friction holds, the steadiest there is. @param radius of the pins, mm
 * @returns null where no two do
 */
export function restOn(outline: Outline, radius: number): Rest | null {
  const edges = edgesOf(outline)
  const c = outlineCentroid(outline)
  const all = touches(edges, radius + CHORD)
  let best: Rest | null = null
  for (const left of all.filter(({ at }) => at.x < c.x))
    for (const right of all.filter(({ at }) => at.x > c.x)) {
      if (Math.hypot(right.pin.x - left.pin.x, right.pin.y - left.pin.y) < 3 * radius) continue
      const rest = restOf(left, right, c)
      if (rest && rest.worth > (best?.worth ?? -Infinity)) best = rest
    }
  return best
}
