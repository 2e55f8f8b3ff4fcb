import { sweepOf } from './area'
import type { Outline, Point } from './outline'

/**
 * An outline as points along it, arcs in chords that leave them by at most `off`.
 * @param off mm, over nought
 * @returns the points, the first not repeated at the end
 */
export function flattened(outline: Outline, off = 0.05): Point[] {
  const points: Point[] = [outline.start]
  let from = outline.start
  for (const s of outline.segments) {
    if (s.kind === 'arc' && s.radius > 0) {
      const sweep = sweepOf(from, s)
      const step = 2 * Math.acos(Math.max(0, 1 - off / s.radius)) || Math.PI / 8
      const n = Math.max(1, Math.ceil(Math.abs(sweep) / Math.min(step, Math.PI / 4)))
      const a = Math.atan2(from.y - s.centre.y, from.x - s.centre.x)
      for (let i = 1; i < n; i++) {
        const at = a + (sweep * i) / n
        points.push({ x: s.centre.x + s.radius * Math.cos(at), y: s.centre.y + s.radius * Math.sin(at) })
      }
    }
    points.push(s.to)
    from = s.to
  }
  const last = points.at(-1)!
  if (points.length > 1 && Math.hypot(last.x - outline.start.x, last.y - outline.start.y) < 1e-9) points.pop()
  return points
}
