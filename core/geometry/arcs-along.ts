import type { Point, Segment } from './outline'

/** Pieces of a curve are halved at most this often. */
const DEEPEST = 12

/** The circle through three points, or null when they lie in a line. */
export function circleThrough(a: Point, b: Point, c: Point): { centre: Point; radius: number } | null {
  const d = 2 * (a.x * (b.y - c.y) + b.x * (c.y - a.y) + c.x * (a.y - b.y))
  const size = Math.max(Math.abs(a.x - c.x), Math.abs(a.y - c.y), Math.abs(a.x - b.x), Math.abs(a.y - b.y))
  if (Math.abs(d) < 1e-12 * Math.max(1, size * size)) return null
  const [a2, b2, c2] = [a.x ** 2 + a.y ** 2, b.x ** 2 + b.y ** 2, c.x ** 2 + c.y ** 2]
  const centre = {
    x: (a2 * (b.y - c.y) + b2 * (c.y - a.y) + c2 * (a.y - b.y)) / d,
    y: (a2 * (c.x - b.x) + b2 * (a.x - c.x) + c2 * (b.x - a.x)) / d,
  }
  return { centre, radius: Math.hypot(a.x - centre.x, a.y - centre.y) }
}

/** How far a point lies from the straight line between two others. */
function fromLine(p: Point, a: Point, b: Point): number {
  const length = Math.hypot(b.x - a.x, b.y - a.y)
  return length < 1e-12
    ? Math.hypot(p.x - a.x, p.y - a.y)
    : Math.abs((b.x - a.x) * (a.y - p.y) - (a.x - p.x) * (b.y - a.y)) / length
}

/** The one line or arc from f(t0) to f(t1) by way of the middle, and how far the curve leaves it. */
function onePiece(f: (t: number) => Point, t0: number, t1: number): { segment: Segment; off: number } {
  const at = (part: number) => f(t0 + (t1 - t0) * part)
  const [a, m, b] = [f(t0), at(0.5), f(t1)]
  const between = [0.125, 0.25, 0.375, 0.625, 0.75, 0.875].map(at)
  const straight = Math.max(...[m, ...between].map((p) => fromLine(p, a, b)))
  const line = { segment: { kind: 'line', to: b } as Segment, off: straight }
  const circle = circleThrough(a, m, b)
  if (straight < 1e-6 || !circle || circle.radius > 1e5) return line
  const { centre, radius } = circle
  const off = Math.max(...between.map((p) => Math.abs(Math.hypot(p.x - centre.x, p.y - centre.y) - radius)))
  const clockwise = (m.x - a.x) * (b.y - a.y) - (m.y - a.y) * (b.x - a.x) > 0 === false
  return { segment: { kind: 'arc', to: b, centre, radius, clockwise }, off }
}

/**
 * A curve as lines and true arcs that leave it by at most `off`.
 * @param f the curve's point at t, @param off mm
 * @returns segments from f(t0), not included, to f(t1)
 */
export function arcsAlong(f: (t: number) => Point, t0: number, t1: number, off: number, depth = 0): Segment[] {
  const piece = onePiece(f, t0, t1)
  const chord = Math.hypot(f(t1).x - f(t0).x, f(t1).y - f(t0).y)
  // an s-shape has its middle on the chord: it is halved once before it is judged
  if ((piece.off <= off && (depth > 0 || chord > 0)) || depth >= DEEPEST) return [piece.segment]
  const half = (t0 + t1) / 2
  return [...arcsAlong(f, t0, half, off, depth + 1), ...arcsAlong(f, half, t1, off, depth + 1)]
}

/** A cubic Bezier curve. */
export const bezier =
  (a: Point, b: Point, c: Point, d: Point) =>
  (t: number): Point => {
    const s = 1 - t
    const [k0, k1, k2, k3] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t]
    return { x: k0 * a.x + k1 * b.x + k2 * c.x + k3 * d.x, y: k0 * a.y + k1 * b.y + k2 * c.y + k3 * d.y }
  }
