import { flattened } from './flatten'
import type { Outline, Point } from './outline'

const side = (a: Point, b: Point, p: Point) => (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)

/** True when two stretches cross inside both of them; touching ends don't count. */
const cross = (a: Point, b: Point, c: Point, d: Point): boolean =>
  side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0

/** True when an outline crosses itself. Swept from left to right, so that long outlines are looked at quickly. */
export function selfCrossing(outline: Outline): boolean {
  const points = flattened(outline, 0.1)
  const n = points.length
  const edges = points.map((p, i) => {
    const q = points[(i + 1) % n]!
    return { i, p, q, low: Math.min(p.x, q.x), high: Math.max(p.x, q.x) }
  })
  edges.sort((a, b) => a.low - b.low)
  let open: typeof edges = []
  for (const edge of edges) {
    open = open.filter((e) => e.high >= edge.low)
    for (const e of open) if (cross(e.p, e.q, edge.p, edge.q)) return true
    open.push(edge)
  }
  return false
}
