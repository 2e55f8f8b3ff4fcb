import type { Outline, Point, Segment } from './outline'

/** How far an arc sweeps from its start, in radians: over nought against the clock. */
export function sweepOf(from: Point, arc: Extract<Segment, { kind: 'arc' }>): number {
  const turn = 2 * Math.PI
  const a = Math.atan2(from.y - arc.centre.y, from.x - arc.centre.x)
  const b = Math.atan2(arc.to.y - arc.centre.y, arc.to.x - arc.centre.x)
  const against = (((b - a) % turn) + turn) % turn
  return arc.clockwise ? against - turn || -turn : against || turn
}

/** Signed area and first moments of an outline about the origin, arcs exactly. */
function moments(outline: Outline): { area: number; mx: number; my: number } {
  let area = 0
  let mx = 0
  let my = 0
  let from = outline.start
  for (const s of outline.segments) {
    const cross = from.x * s.to.y - s.to.x * from.y
    area += cross / 2
    mx += (cross * (from.x + s.to.x)) / 6
    my += (cross * (from.y + s.to.y)) / 6
    if (s.kind === 'arc') {
      // the piece between the chord and the arc
      const sweep = sweepOf(from, s)
      const piece = (s.radius ** 2 * (sweep - Math.sin(sweep))) / 2
      const half = sweep / 2
      const out = piece === 0 ? 0 : (2 * s.radius ** 3 * Math.sin(half) ** 3) / (3 * piece)
      const middle = Math.atan2(from.y - s.centre.y, from.x - s.centre.x) + half
      area += piece
      mx += piece * (s.centre.x + out * Math.cos(middle))
      my += piece * (s.centre.y + out * Math.sin(middle))
    }
    from = s.to
  }
  return { area, mx, my }
}

/** The area inside an outline, mm2: over nought when it runs against the clock. Arcs count exactly. */
export const outlineArea = (outline: Outline): number => moments(outline).area

/** The middle of the area inside an outline; of its start, when it has none. */
export function outlineCentroid(outline: Outline): Point {
  const { area, mx, my } = moments(outline)
  return Math.abs(area) < 1e-9 ? { ...outline.start } : { x: mx / area, y: my / area }
}
