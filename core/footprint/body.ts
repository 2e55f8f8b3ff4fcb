import { outlineArea, outlineCentroid } from '../geometry/area'
import { circle, outlineBounds, polygon, rectangle, type Bounds, type Outline, type Point } from '../geometry/outline'
import type { Shape, Silhouette } from './kind'

export const VIEWS = ['side', 'face', 'top'] as const

/**
 * Where one looks from. A tool's axes are x to the right looking at its face, y out of its face, z up; so its face is seen
 * as (x, z), its right side as (y, z), its top as (x, y).
 */
export type View = (typeof VIEWS)[number]

/** What a part of a tool is, which decides how it is drawn and how dense it is. */
export const DENSITY = {
  /** kg/m3: a wooden or steel head, in between, as a kind doesn't ask which */
  head: 2500,
  handle: 700,
  blade: 7800,
  body: 1600,
  battery: 2000,
  /** what is missing from a body drawn before it */
  hole: -1600,
} as const
export type Part = keyof typeof DENSITY

interface Common {
  part: Part
  /** kg/m3, where the part's usual density is far off */
  density?: number
  /** what is seen of it in a view, where that is not what its solid gives: rounded corners and the like */
  seen?: Partial<Record<View, Outline>>
}

/** An outline in one view, as thick as from `from` to `to` towards the onlooker. mm */
export interface Plate extends Common {
  form: 'plate'
  view: View
  outline: Outline
  from: number
  to: number
}

/** A round part along z, by its radius at rising heights. mm */
export interface Turned extends Common {
  form: 'turned'
  x: number
  y: number
  profile: readonly { z: number; radius: number }[]
}

/** A solid part of a tool. */
export type Body = Plate | Turned

/** An upright box between two corners. */
export const box = (
  part: Part,
  [x0, x1]: readonly [number, number],
  [y0, y1]: readonly [number, number],
  [z0, z1]: readonly [number, number],
  more: Partial<Common> = {},
): Plate => ({ form: 'plate', part, view: 'face', outline: rectangle(x0, z0, x1, z1), from: y0, to: y1, ...more })

/** A round rod along z. */
export const rod = (part: Part, radius: number, [z0, z1]: readonly [number, number], x = 0, y = 0): Turned => ({
  form: 'turned',
  part,
  x,
  y,
  profile: [
    { z: z0, radius },
    { z: z1, radius },
  ],
})

/** A plate by its outline in a view. */
export const plate = (part: Part, view: View, outline: Outline, from: number, to: number): Plate => ({
  form: 'plate',
  part,
  view,
  outline,
  from,
  to,
})

/** The outline of a round part from its side, about x = `at`. */
function roundFromSide(body: Turned, at: number): Outline {
  const right = body.profile.map((p): [number, number] => [at + p.radius, p.z])
  const left = body.profile.map((p): [number, number] => [at - p.radius, p.z]).reverse()
  return polygon([...right, ...left])
}

type Range = readonly [number, number]

/** How a plate shows in a view in which it stands edge-on. */
function edgeOn(body: Plate, view: View): Outline {
  const { minX, maxX, minY, maxY } = outlineBounds(body.outline)
  const depth: Range = [body.from, body.to]
  const own: { x: Range; y: Range } = { x: [minX, maxX], y: [minY, maxY] }
  const spans: Record<View, Partial<Record<View, readonly [Range, Range]>>> = {
    face: { side: [depth, own.y], top: [own.x, depth] },
    side: { face: [depth, own.y], top: [depth, own.x] },
    top: { face: [own.x, depth], side: [own.y, depth] },
  }
  const [across, up] = spans[body.view][view]!
  return rectangle(across[0], up[0], across[1], up[1])
}

/** What is seen of a body in a view, mm. */
export function seenOf(body: Body, view: View): Outline {
  const own = body.seen?.[view]
  if (own) return own
  if (body.form === 'plate') return body.view === view ? body.outline : edgeOn(body, view)
  if (view === 'top') return circle(body.x, body.y, Math.max(...body.profile.map((p) => p.radius)))
  return roundFromSide(body, view === 'face' ? body.x : body.y)
}

/** The three views of a tool's bodies, in their order. */
export const silhouetteOf = (bodies: readonly Body[]): Silhouette => {
  const shapes = (view: View) => bodies.map((b): Shape => ({ part: b.part, outline: seenOf(b, view) }))
  return { side: shapes('side'), face: shapes('face'), top: shapes('top') }
}

/** A volume (mm3) and where its middle lies. */
export interface Lump {
  volume: number
  x: number
  y: number
  z: number
}

/** Volume and centroid of a body. Plates exactly, round parts as frustums. */
export function lumpOf(body: Body): Lump {
  if (body.form === 'plate') {
    const { x, y }: Point = outlineCentroid(body.outline)
    const middle = (body.from + body.to) / 2
    const volume = Math.abs(outlineArea(body.outline) * (body.to - body.from))
    if (body.view === 'face') return { volume, x, y: middle, z: y }
    return body.view === 'side' ? { volume, x: middle, y: x, z: y } : { volume, x, y, z: middle }
  }
  let volume = 0
  let moment = 0
  for (let i = 1; i < body.profile.length; i++) {
    const [a, b] = [body.profile[i - 1]!, body.profile[i]!]
    const h = b.z - a.z
    const slice = (Math.PI * h * (a.radius ** 2 + a.radius * b.radius + b.radius ** 2)) / 3
    const up = (Math.PI * h * h * (a.radius ** 2 + 2 * a.radius * b.radius + 3 * b.radius ** 2)) / 12
    volume += slice
    moment += slice * a.z + up
  }
  return { volume, x: body.x, y: body.y, z: volume > 0 ? moment / volume : (body.profile[0]?.z ?? 0) }
}

/** The box round bodies in each view. */
export const boundsOf = (silhouette: Silhouette): Record<View, Bounds> => {
  const round = (shapes: Shape[]): Bounds => {
    const boxes = shapes.map((s) => outlineBounds(s.outline))
    return {
      minX: Math.min(...boxes.map((b) => b.minX)),
      minY: Math.min(...boxes.map((b) => b.minY)),
      maxX: Math.max(...boxes.map((b) => b.maxX)),
      maxY: Math.max(...boxes.map((b) => b.maxY)),
    }
  }
  return { side: round(silhouette.side), face: round(silhouette.face), top: round(silhouette.top) }
}
