import type { Outline, Point } from './outline'

/** Parts of a mm in a path: ten thousand, far below what any saw shows. */
const PARTS = 1e4

/** A coordinate for SVG, without trailing noughts or a negative nought. */
export const coordinate = (value: number): string => String(Math.round(value * PARTS) / PARTS + 0)

/**
 * An outline as SVG path data with true arcs (`A`). The outline's y points up, SVG's down, so y is turned over.
 * @param outline mm, @param by how far it is moved first, y up; mm
 */
export function svgPath(outline: Outline, by: Point = { x: 0, y: 0 }): string {
  const at = (p: Point) => `${coordinate(p.x + by.x)} ${coordinate(-p.y - by.y)}`
  const turn = 2 * Math.PI
  let from = outline.start
  const parts = [`M${at(from)}`]
  for (const s of outline.segments) {
    if (s.kind === 'line') parts.push(`L${at(s.to)}`)
    else {
      const start = Math.atan2(from.y - s.centre.y, from.x - s.centre.x)
      const end = Math.atan2(s.to.y - s.centre.y, s.to.x - s.centre.x)
      const sweep = (((s.clockwise ? start - end : end - start) % turn) + turn) % turn
      const r = coordinate(s.radius)
      parts.push(`A${r} ${r} 0 ${sweep > Math.PI + 1e-9 ? 1 : 0} ${s.clockwise ? 1 : 0} ${at(s.to)}`)
    }
    from = s.to
  }
  return `${parts.join('')}Z`
}
