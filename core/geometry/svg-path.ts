import type { Outline } from './outline'

/** Decimals of a mm in a path: a ten-thousandth, far below what any saw shows. */
const PLACES = 4

/** A coordinate for SVG, without trailing noughts or a negative nought. */
export const coordinate = (value: number): string => String(Number(value.toFixed(PLACES)) + 0)

/**
 * An outline as SVG path data with true arcs (`A`). The outline's y points up, SVG's down, so y is turned over.
 * @param outline mm
 */
export function svgPath(outline: Outline): string {
  const at = (p: { x: number; y: number }) => `${coordinate(p.x)} ${coordinate(-p.y)}`
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
