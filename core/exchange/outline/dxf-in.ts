import DxfParser, {
  type IArcEntity,
  type ICircleEntity,
  type IEllipseEntity,
  type IEntity,
  type ILineEntity,
  type ILwpolylineEntity,
  type IPoint,
  type IPolylineEntity,
  type ISplineEntity,
} from 'dxf-parser'
import { arcsAlong } from '../../geometry/arcs-along'
import type { Point, Segment } from '../../geometry/outline'
import type { DrawingRead, Stretch } from './drawn'

/** How far arcs may leave a curve, in the drawing's units. */
const OFF = 0.005
/** mm in the units that $INSUNITS names; 0 means that it doesn't say. */
const UNITS: Record<number, number> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000, 10: 914.4, 14: 100 }

const at = (p: IPoint): Point => ({ x: p.x, y: p.y })

/** The arc between two points of a polyline with a bulge: the tangent of a quarter of the angle it sweeps. */
function bulged(from: Point, to: Point, bulge: number): Segment {
  if (Math.abs(bulge) < 1e-9) return { kind: 'line', to }
  const [dx, dy] = [to.x - from.x, to.y - from.y]
  const k = (1 - bulge * bulge) / (4 * bulge)
  const centre = { x: (from.x + to.x) / 2 - dy * k, y: (from.y + to.y) / 2 + dx * k }
  return { kind: 'arc', to, centre, radius: Math.hypot(from.x - centre.x, from.y - centre.y), clockwise: bulge < 0 }
}

function polyline(vertices: readonly (IPoint & { bulge?: number })[], closed: boolean): Stretch | null {
  const [first, ...rest] = vertices
  if (!first || rest.length === 0) return null
  const turns = [...rest, ...(closed ? [first] : [])]
  return {
    start: at(first),
    segments: turns.map((v, i) => bulged(at(vertices[i]!), at(v), vertices[i]!.bulge ?? 0)),
    closed,
  }
}

/** A spline's point, by de Boor's algorithm. */
function splinePoint(points: readonly Point[], knots: readonly number[], degree: number, t: number): Point {
  let span = degree
  while (span < points.length - 1 && t >= knots[span + 1]!) span++
  const d = Array.from({ length: degree + 1 }, (_, j) => ({ ...points[j + span - degree]! }))
  for (let r = 1; r <= degree; r++) {
    for (let j = degree; j >= r; j--) {
      const low = knots[j + span - degree]!
      const width = knots[j + 1 + span - r]! - low
      const a = width > 0 ? (t - low) / width : 0
      d[j] = { x: (1 - a) * d[j - 1]!.x + a * d[j]!.x, y: (1 - a) * d[j - 1]!.y + a * d[j]!.y }
    }
  }
  return d[degree]!
}

function spline(e: ISplineEntity): Stretch | null {
  const points = (e.controlPoints ?? []).map(at)
  const degree = e.degreeOfSplineCurve
  const knots = e.knotValues ?? []
  if (points.length <= degree || knots.length < points.length + degree + 1) return null
  const f = (t: number) => splinePoint(points, knots, degree, t)
  const breaks = [...new Set(knots.slice(degree, points.length + 1))]
  const segments = breaks.slice(1).flatMap((to, i) => arcsAlong(f, breaks[i]!, to, OFF))
  return { start: f(breaks[0]!), segments, closed: Boolean(e.closed) }
}

function ellipse(e: IEllipseEntity): Stretch {
  const [c, m] = [at(e.center), at(e.majorAxisEndPoint)]
  const k = e.axisRatio
  const end = e.endAngle <= e.startAngle ? e.endAngle + 2 * Math.PI : e.endAngle
  const f = (t: number): Point => ({
    x: c.x + m.x * Math.cos(t) - m.y * k * Math.sin(t),
    y: c.y + m.y * Math.cos(t) + m.x * k * Math.sin(t),
  })
  const quarters = Array.from({ length: 9 }, (_, i) => e.startAngle + ((end - e.startAngle) * i) / 8)
  const segments = quarters.slice(1).flatMap((to, i) => arcsAlong(f, quarters[i]!, to, OFF))
  return { start: f(e.startAngle), segments, closed: end - e.startAngle > 2 * Math.PI - 1e-6 }
}

function arc(e: IArcEntity): Stretch {
  const c = at(e.center)
  const on = (a: number): Point => ({ x: c.x + e.radius * Math.cos(a), y: c.y + e.radius * Math.sin(a) })
  return {
    start: on(e.startAngle),
    segments: [{ kind: 'arc', to: on(e.endAngle), centre: c, radius: e.radius, clockwise: false }],
    closed: false,
  }
}

function circle(e: ICircleEntity): Stretch {
  const c = at(e.center)
  const half = (x: number): Segment => ({
    kind: 'arc',
    to: { x, y: c.y },
    centre: c,
    radius: e.radius,
    clockwise: false,
  })
  return { start: { x: c.x - e.radius, y: c.y }, segments: [half(c.x + e.radius), half(c.x - e.radius)], closed: true }
}

function stretchOf(e: IEntity): Stretch | null | 'unknown' {
  switch (e.type) {
    case 'LINE': {
      const [a, b] = (e as ILineEntity).vertices
      return a && b ? { start: at(a), segments: [{ kind: 'line', to: at(b) }], closed: false } : null
    }
    case 'LWPOLYLINE':
      return polyline((e as ILwpolylineEntity).vertices, Boolean((e as ILwpolylineEntity).shape))
    case 'POLYLINE':
      return polyline((e as IPolylineEntity).vertices, Boolean((e as IPolylineEntity).shape))
    case 'ARC':
      return arc(e as IArcEntity)
    case 'CIRCLE':
      return circle(e as ICircleEntity)
    case 'ELLIPSE':
      return ellipse(e as IEllipseEntity)
    case 'SPLINE':
      return spline(e as ISplineEntity)
    default:
      return 'unknown'
  }
}

/**
 * Reads a drawing from a DXF file: lines, arcs, circles, ellipses, polylines with bulges and splines.
 * @param text of the file
 * @returns lines and true arcs, or what is wrong in the shop's words
 */
export function readDxf(text: string): DrawingRead {
  if (text.startsWith('AutoCAD Binary DXF')) return { ok: false, message: 'This DXF is binary. Save it as a text DXF.' }
  if (!/^\s*0\s*\r?\n\s*SECTION/m.test(text)) return { ok: false, message: 'This is no DXF drawing.' }
  if (!/^\s*0\s*\r?\n\s*EOF\s*$/m.test(text.slice(-400)))
    return { ok: false, message: 'The DXF breaks off before its end: it was cut short on its way here.' }
  let parsed
  try {
    parsed = new DxfParser().parseSync(text)
  } catch {
    parsed = null
  }
  if (!parsed) return { ok: false, message: 'The DXF can’t be read: it is not whole.' }
  const stretches: Stretch[] = []
  const skipped = new Set<string>()
  for (const entity of parsed.entities) {
    const found = stretchOf(entity)
    if (found === 'unknown') skipped.add(entity.type.toLowerCase())
    else if (found && numbersIn(found)) stretches.push(found)
  }
  if (stretches.length === 0) return { ok: false, message: 'There is no line in it that could be an outline.' }
  const insunits = Number(parsed.header?.$INSUNITS ?? 0)
  return {
    ok: true,
    drawing: {
      stretches,
      unit: UNITS[insunits] ?? null,
      notes: skipped.size > 0 ? [`not read in it: ${[...skipped].slice(0, 5).join(', ')}.`] : [],
    },
  }
}

const numbersIn = (s: Stretch): boolean =>
  [s.start, ...s.segments.map((g) => g.to)].every((p) => Number.isFinite(p.x) && Number.isFinite(p.y))
