/** A point in a plane, mm. */
export interface Point {
  x: number
  y: number
}

/** One piece of an outline from the point before it to `to`. An arc is a true arc, swept the short or the long way as its points say. */
export type Segment =
  { kind: 'line'; to: Point } | { kind: 'arc'; to: Point; centre: Point; radius: number; clockwise: boolean }

/** A closed outline: it ends where it starts; the last segment leads back to `start`. Axes x right, y up; mm. */
export interface Outline {
  start: Point
  segments: Segment[]
}

/** The smallest upright box round something, mm. */
export interface Bounds {
  minX: number
  minY: number
  maxX: number
  maxY: number
}

const line = (x: number, y: number): Segment => ({ kind: 'line', to: { x, y } })

/** An upright rectangle from two opposite corners. */
export function rectangle(x0: number, y0: number, x1: number, y1: number): Outline {
  return { start: { x: x0, y: y0 }, segments: [line(x1, y0), line(x1, y1), line(x0, y1), line(x0, y0)] }
}

/** A closed outline of straight lines through the points given. At least three. */
export function polygon(points: readonly (readonly [number, number])[]): Outline {
  const [first, ...rest] = points
  if (!first || rest.length < 2) throw new RangeError('an outline needs at least three points')
  return { start: { x: first[0], y: first[1] }, segments: [...rest, first].map(([x, y]) => line(x, y)) }
}

/** A rectangle whose corners are rounded; the radius is cut down to what fits. */
export function roundedRectangle(x0: number, y0: number, x1: number, y1: number, radius: number): Outline {
  const r = Math.min(radius, Math.abs(x1 - x0) / 2, Math.abs(y1 - y0) / 2)
  if (r <= 0) return rectangle(x0, y0, x1, y1)
  const arc = (x: number, y: number, cx: number, cy: number): Segment => ({
    kind: 'arc',
    to: { x, y },
    centre: { x: cx, y: cy },
    radius: r,
    clockwise: false,
  })
  return {
    start: { x: x0 + r, y: y0 },
    segments: [
      line(x1 - r, y0),
      arc(x1, y0 + r, x1 - r, y0 + r),
      line(x1, y1 - r),
      arc(x1 - r, y1, x1 - r, y1 - r),
      line(x0 + r, y1),
      arc(x0, y1 - r, x0 + r, y1 - r),
      line(x0, y0 + r),
      arc(x0 + r, y0, x0 + r, y0 + r),
    ],
  }
}

/** A circle as two half arcs. */
export function circle(x: number, y: number, radius: number): Outline {
  const centre = { x, y }
  const half = (to: Point): Segment => ({ kind: 'arc', to, centre, radius, clockwise: false })
  return { start: { x: x - radius, y }, segments: [half({ x: x + radius, y }), half({ x: x - radius, y })] }
}

/**
 * A slot open towards an edge at y = `edge`: the saw lines run from the tangents of its closed end square to that edge.
 * The end is one bore as wide as the slot, or two narrower ones side by side with a straight line between them.
 * @param centre the middle of the closed end, on the line of the bores' centres
 * @param width of the slot, @param radius of the bores, at most half the width; mm
 */
export function slotOutline(centre: Point, width: number, edge: number, radius = width / 2): Outline {
  const { x, y } = centre
  const half = width / 2
  const clockwise = edge < y
  const end = clockwise ? y + radius : y - radius
  const corner = (to: Point, about: number): Segment => ({
    kind: 'arc',
    to,
    centre: { x: about, y },
    radius,
    clockwise,
  })
  const [left, right] = [x - half + radius, x + half - radius]
  const closedEnd =
    right > left
      ? [corner({ x: left, y: end }, left), line(right, end), corner({ x: x + half, y }, right)]
      : [corner({ x: x + half, y }, x)]
  return {
    start: { x: x - half, y: edge },
    segments: [line(x - half, y), ...closedEnd, line(x + half, edge), line(x - half, edge)],
  }
}

/**
 * A slot that slopes down from an edge at y = `edge`, x being up: its saw lines run from the tangents of its round end.
 * @param centre of its round end, @param width of the slot, @param slope degrees from square to the edge; mm
 */
export function slopedSlotOutline(centre: Point, width: number, edge: number, slope: number): Outline {
  const angle = (slope * Math.PI) / 180
  const r = width / 2
  // along the slot towards the edge it goes out by the cosine and up by the sine; square to it the other way
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  const at = (side: 1 | -1): Point => ({ x: centre.x + side * r * c, y: centre.y - side * r * s })
  const out = (side: 1 | -1): Point => {
    const p = at(side)
    return { x: p.x + ((edge - p.y) * s) / c, y: edge }
  }
  return {
    start: out(-1),
    segments: [
      { kind: 'line', to: at(-1) },
      { kind: 'arc', to: at(1), centre, radius: r, clockwise: edge < centre.y },
      { kind: 'line', to: out(1) },
      { kind: 'line', to: out(-1) },
    ],
  }
}

/** The same outline gone round the other way, from the same start. */
export function reversed(outline: Outline): Outline {
  const from = [outline.start, ...outline.segments.map((s) => s.to)]
  return {
    start: outline.start,
    segments: outline.segments
      .map((s, i): Segment => {
        const to = from[i]!
        return s.kind === 'line' ? { kind: 'line', to } : { ...s, to, clockwise: !s.clockwise }
      })
      .reverse(),
  }
}

/** The box round an outline; arcs count by their full circle's reach on the sides they sweep. */
export function outlineBounds(outline: Outline): Bounds {
  const box = { minX: outline.start.x, minY: outline.start.y, maxX: outline.start.x, maxY: outline.start.y }
  const take = (x: number, y: number) => {
    box.minX = Math.min(box.minX, x)
    box.minY = Math.min(box.minY, y)
    box.maxX = Math.max(box.maxX, x)
    box.maxY = Math.max(box.maxY, y)
  }
  let from = outline.start
  for (const segment of outline.segments) {
    take(segment.to.x, segment.to.y)
    if (segment.kind === 'arc') for (const p of arcExtremes(from, segment)) take(p.x, p.y)
    from = segment.to
  }
  return box
}

function arcExtremes(from: Point, arc: Extract<Segment, { kind: 'arc' }>): Point[] {
  const { centre, radius } = arc
  const turn = 2 * Math.PI
  const angle = (p: Point) => Math.atan2(p.y - centre.y, p.x - centre.x)
  const sweepTo = (a: number) => {
    const d = arc.clockwise ? angle(from) - a : a - angle(from)
    return ((d % turn) + turn) % turn
  }
  const whole = sweepTo(angle(arc.to)) || turn
  return [0, Math.PI / 2, Math.PI, (3 * Math.PI) / 2]
    .filter((a) => sweepTo(a) < whole)
    .map((a) => ({ x: centre.x + radius * Math.cos(a), y: centre.y + radius * Math.sin(a) }))
}

/** The box round several boxes; null when there are none. */
export function unite(boxes: readonly Bounds[]): Bounds | null {
  if (boxes.length === 0) return null
  return {
    minX: Math.min(...boxes.map((b) => b.minX)),
    minY: Math.min(...boxes.map((b) => b.minY)),
    maxX: Math.max(...boxes.map((b) => b.maxX)),
    maxY: Math.max(...boxes.map((b) => b.maxY)),
  }
}

/** The same outline with every point mapped; `flips` says that the map turns left into right, so that arcs run the other way. */
function mapped(outline: Outline, map: (p: Point) => Point, flips: boolean): Outline {
  return {
    start: map(outline.start),
    segments: outline.segments.map((s) =>
      s.kind === 'line'
        ? { kind: 'line', to: map(s.to) }
        : { ...s, to: map(s.to), centre: map(s.centre), clockwise: s.clockwise !== flips },
    ),
  }
}

/** The same outline moved by (dx, dy). */
export const moved = (outline: Outline, dx: number, dy: number): Outline =>
  mapped(outline, (p) => ({ x: p.x + dx, y: p.y + dy }), false)

/** The same outline turned clockwise about the origin by quarter turns (1 takes +y to +x). */
export function turned(outline: Outline, quarters: number): Outline {
  const q = ((quarters % 4) + 4) % 4
  const spin = (p: Point): Point => {
    if (q === 1) return { x: p.y, y: -p.x }
    if (q === 2) return { x: -p.x, y: -p.y }
    if (q === 3) return { x: -p.y, y: p.x }
    return p
  }
  return mapped(outline, spin, false)
}

/** The same outline turned clockwise by a quarter, hung with the middle of its top at the origin again. */
export function quarterTurned(outline: Outline): Outline {
  const round = turned(outline, 1)
  const { minX, maxX, maxY } = outlineBounds(round)
  return moved(round, -(minX + maxX) / 2, -maxY)
}

/** The same outline turned about the origin by any angle, from +x towards +y. @param degrees of turn */
export function spun(outline: Outline, degrees: number): Outline {
  if (degrees === 0) return outline
  const angle = (degrees * Math.PI) / 180
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  return mapped(outline, ({ x, y }) => ({ x: c * x - s * y, y: s * x + c * y }), false)
}

/** The same outline with x and y exchanged. */
export const transposed = (outline: Outline): Outline => mapped(outline, (p) => ({ x: p.y, y: p.x }), true)

/** The same outline with left and right exchanged: seen from behind. */
export const mirrored = (outline: Outline): Outline => mapped(outline, (p) => ({ x: -p.x, y: p.y }), true)

/** The same outline with up and down exchanged. */
export const flipped = (outline: Outline): Outline => mapped(outline, (p) => ({ x: p.x, y: -p.y }), true)
