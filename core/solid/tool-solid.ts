import type { Body } from '../footprint/body'
import { kindOf } from '../footprint/kinds'
import { stacked } from '../footprint/stack'
import type { Tool } from '../footprint/tool'
import { flattened } from '../geometry/flatten'
import { outlineBounds, type Outline } from '../geometry/outline'
import type { Seat } from '../model/model'
import { QUARTERS } from './mass'
import { chordRadius, matrix, vectorsOf, type Kernel, type Matrix, type Solid } from './kernel'

const OFF = 0.2
const CHORDS = 24

/** Where the plane of a plate stands in the tool: its outline's two axes, and towards the onlooker. */
const PLANES: Record<'face' | 'side' | 'top', Matrix> = {
  face: matrix([1, 0, 0], [0, 0, 1], [0, 1, 0], [0, 0, 0]),
  side: matrix([0, 1, 0], [0, 0, 1], [1, 0, 0], [0, 0, 0]),
  top: matrix([1, 0, 0], [0, 1, 0], [0, 0, 1], [0, 0, 0]),
}

/** A box that looks round or rounded from above, such as a handle: its outline from above, and how high it reaches. */
export function fromAbove(body: Body): { outline: Outline; from: number; to: number } | null {
  if (body.form !== 'plate' || body.view !== 'face' || !body.seen?.top || body.outline.segments.length !== 4)
    return null
  const { minY, maxY } = outlineBounds(body.outline)
  return { outline: body.seen.top, from: minY, to: maxY }
}

function bodySolid({ Manifold, CrossSection }: Kernel, body: Body): Solid {
  if (body.form === 'turned') {
    const profile = [...body.profile].sort((a, b) => a.z - b.z)
    const outside = profile.map((p): [number, number] => [chordRadius(p.radius, CHORDS), p.z])
    const section = new CrossSection([[[0, profile[0]!.z], ...outside, [0, profile.at(-1)!.z]]], 'NonZero')
    const round = section.revolve(CHORDS)
    const placed = round.translate([body.x, body.y, 0])
    section.delete()
    round.delete()
    return placed
  }
  const round = fromAbove(body)
  const { outline, from, to } = round ?? body
  const flat = new CrossSection([flattened(outline, OFF).map((p): [number, number] => [p.x, p.y])], 'NonZero')
  const thick = Manifold.extrude(flat, Math.max(to - from, 1e-3))
  const raised = thick.translate([0, 0, from])
  const placed = raised.transform(PLANES[round ? 'top' : body.view])
  for (const made of [flat, thick, raised]) made.delete()
  return placed
}

/** A tool by its own axes: its bodies as one solid, with typical figures where none are measured. Null when it has none. */
function toolSolid(kernel: Kernel, tool: Tool): Solid | null {
  const bodies = kindOf(tool.kind)?.bodies(tool) ?? []
  const solids = (hole: boolean): Solid[] =>
    bodies.filter((b) => (b.part === 'hole') === hole).map((b) => bodySolid(kernel, b))
  const [full, holes] = [solids(false), solids(true)]
  if (full.length === 0) return null
  const whole = kernel.Manifold.union(full)
  const drilled = holes.length > 0 ? kernel.Manifold.difference([whole, ...holes]) : whole
  for (const made of [...full, ...holes]) made.delete()
  if (drilled !== whole) whole.delete()
  return drilled
}

/** Where a seated tool's own axes stand in the holder: a quarter turn takes its face on to the right. */
export function seatMatrix({ turn, tilt = 0, along: lying, at }: Pick<Seat, 'turn' | 'tilt' | 'along' | 'at'>): Matrix {
  const [c, s] = QUARTERS[turn]
  // lying along the wall: what is its right goes up, what is its top goes to the datum
  const [, out, up] = vectorsOf(tilt)
  const along = (x: number, y: number): [number, number, number] => [x, y * out[1], y * out[2]]
  // lying along the wall: what is its right goes up, what is its top goes to the datum
  const lain = (right: number, y: number): [number, number, number] => [
    0,
    y * out[1] + right * up[1],
    y * out[2] + right * up[2],
  ]
  if (lying) return matrix(lain(c, s), lain(-s, c), [-1, 0, 0], [at.x, at.y, at.z])
  return matrix(along(c, s), along(-s, c), up, [at.x, at.y, at.z])
}

/** A tool where it sits in the holder; null when it has no shape. */
export function seatedTool(kernel: Kernel, tool: Tool, seat: Seat): Solid | null {
  const own = toolSolid(kernel, stacked(tool, seat.stack ?? 1))
  if (!own) return null
  const placed = own.transform(seatMatrix(seat))
  own.delete()
  return placed
}
