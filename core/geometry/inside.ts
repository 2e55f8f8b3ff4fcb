import type { Point } from './outline'

/** Whether a point lies inside a closed line through points: a ray to the right of it crosses that an odd number of times. */
export function isInside(p: Point, points: readonly Point[]): boolean {
  let within = false
  for (let i = 0, j = points.length - 1; i < points.length; j = i++) {
    const [a, b] = [points[i]!, points[j]!]
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) within = !within
  }
  return within
}
