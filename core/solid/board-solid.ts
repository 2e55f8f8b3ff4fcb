import { flattened } from '../geometry/flatten'
import type { Outline } from '../geometry/outline'
import type { Board, Opening, Rod } from '../model/model'
import { chordRadius, matrix, roundSolid, vectorsOf, type Kernel, type Matrix, type Solid } from './kernel'

/** How far a chord may leave an arc, mm. */
const OFF = 0.02

/** Chords of a bore. */
const CHORDS = 24

const points = (outline: Outline): [number, number][] => flattened(outline, OFF).map((p) => [p.x, p.y])

/** The hole of an opening in the board's own plane: bores as polygons of their area, slots by their outline. */
function holeOf(opening: Opening): [number, number][] {
  if (opening.kind !== 'bore') return points(opening.outline)
  const r = chordRadius(opening.radius, CHORDS)
  return Array.from({ length: CHORDS }, (_, i): [number, number] => {
    const a = (2 * Math.PI * i) / CHORDS
    return [opening.centre.x + r * Math.cos(a), opening.centre.y + r * Math.sin(a)]
  })
}

/** Where a board's own axes stand in the holder: length, width, and depth from the face its openings are made from. */
function boardMatrix({ placement: { lies, at, tilt = 0 } }: Board): Matrix {
  const origin = [at.x, at.y, at.z] as const
  const [x, y, z] = vectorsOf(tilt)
  const down = [-z[0], -z[1], -z[2]] as const
  if (lies === 'flat') return matrix(x, y, down, origin)
  if (lies === 'upright') return matrix(x, z, y, origin)
  return lies === 'end' ? matrix(y, z, x, origin) : matrix(z, y, x, origin)
}

/** A board in its own axes: x along, y across, z down from the face that its openings are made from; mm. */
export function boardSolid(kernel: Kernel, board: Board): Solid {
  const { CrossSection } = kernel
  const through = board.openings.filter((o) => o.depth === null && o.slant === 0)
  const whole = new CrossSection([points(board.outline)], 'Positive')
  let section = whole
  if (through.length > 0) {
    const holes = new CrossSection(through.map(holeOf), 'NonZero')
    section = whole.subtract(holes)
    holes.delete()
    whole.delete()
  }
  let solid = section.extrude(board.thickness)
  section.delete()
  const cuts = [...board.openings.flatMap((o) => cutters(kernel, board, o)), ...bevelCut(kernel, board)]
  for (const cut of cuts) {
    const rest = solid.subtract(cut)
    solid.delete()
    cut.delete()
    solid = rest
  }
  return solid
}

/** The wedge that a bevelled rip takes off an edge. */
function bevelCut({ CrossSection }: Kernel, board: Board): Solid[] {
  if (!board.bevel) return []
  const { length, thickness } = board
  const up = Math.tan((board.bevel.tilt * Math.PI) / 180)
  // seen along the board: depth to the right, width up
  const w = board.width
  const wedge = board.bevel.edge === 'lower'
    ? new CrossSection([[[0, 0], [0, -1], [thickness + 1, -1], [thickness + 1, (thickness + 1) * up]]], 'NonZero') // prettier-ignore
    : new CrossSection([[[thickness, w], [thickness, w + 1], [-1, w + 1], [-1, w - (thickness + 1) * up]]], 'NonZero') // prettier-ignore
  const prism = wedge.extrude(length + 2)
  const placed = prism.transform(matrix([0, 0, 1], [0, 1, 0], [1, 0, 0], [-1, 0, 0]))
  wedge.delete()
  prism.delete()
  return [placed]
}

/** What is bored out of a board: blind bores with their dust holes, and bores at a slant. */
function cutters(kernel: Kernel, board: Board, opening: Opening): Solid[] {
  const { x, y } = opening.centre
  const { thickness } = board
  const bore = (radius: number, from: number, to: number): Solid => {
    const round = roundSolid(kernel, to - from, radius)
    const placed = round.translate([x, y, from])
    round.delete()
    return placed
  }
  if (opening.slant !== 0) {
    // it leaves the far face at the centre
    const long = 4 * thickness + 8 * opening.radius
    const round = roundSolid(kernel, long, opening.radius)
    const middle = round.translate([0, 0, -long / 2])
    const leaning = middle.rotate([-opening.slant, 0, 0])
    const placed = leaning.translate([x, y, thickness])
    for (const made of [round, middle, leaning]) made.delete()
    return [placed]
  }
  const flared = opening.flare ? [flareCut(kernel, opening, opening.flare)] : []
  if (opening.depth === null) return flared
  const blind = bore(opening.radius, -1, opening.depth)
  const steps = (opening.steps ?? []).map((s) => bore(s.diameter / 2, -1, s.depth ?? thickness + 1))
  const dust = opening.dust === null ? [] : [bore(opening.dust / 2, opening.depth - 1, thickness + 1)]
  return [...flared, blind, ...steps, ...dust]
}

/** The cone that a flared mouth takes off round a bore. */
function flareCut({ Manifold }: Kernel, { centre, radius }: Opening, flare: number): Solid {
  const [wide, narrow] = [radius + flare, radius].map((r) => chordRadius(r, CHORDS)) as [number, number]
  // a little beyond the face, so that no skin stays on it
  const cone = Manifold.cylinder(flare * 1.01, wide * 1 + (wide - narrow) * 0.01, narrow, CHORDS)
  const placed = cone.translate([centre.x, centre.y, -flare * 0.01])
  cone.delete()
  return placed
}

/** A pipe from the origin along z, its long side towards the wall. */
function pipeSolid(kernel: Kernel, { length, diameter }: Rod, { bore, slant }: NonNullable<Rod['pipe']>): Solid {
  const [outside, inside] = [roundSolid(kernel, length, diameter / 2), roundSolid(kernel, length, bore / 2)]
  const hollow = kernel.Manifold.difference(outside, inside)
  outside.delete()
  inside.delete()
  if (slant === 0) return hollow
  const angle = (slant * Math.PI) / 180
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  const cut = hollow.trimByPlane([0, -s, -c], -(length * c - (diameter / 2) * s))
  hollow.delete()
  return cut
}

/** A rod where it stands in the holder. */
export function rodSolid(kernel: Kernel, rod: Rod): Solid {
  const { x, y, z } = rod.toward
  // two directions square to the rod
  const [ux, uy, uz] = Math.abs(x) < 0.9 ? [1, 0, 0] : [0, 1, 0]
  const dot = ux! * x + uy! * y + uz! * z
  const raw = [ux! - dot * x, uy! - dot * y, uz! - dot * z] as const
  const long = Math.hypot(...raw)
  const a = [raw[0] / long, raw[1] / long, raw[2] / long] as const
  const b = [y * a[2] - z * a[1], z * a[0] - x * a[2], x * a[1] - y * a[0]] as const
  const round = rod.pipe ? pipeSolid(kernel, rod, rod.pipe) : roundSolid(kernel, rod.length, rod.diameter / 2)
  const placed = round.transform(matrix(a, b, [x, y, z], [rod.at.x, rod.at.y, rod.at.z]))
  round.delete()
  return placed
}

/** A board where it stands in the holder. */
export function placedBoard(kernel: Kernel, board: Board): Solid {
  const own = boardSolid(kernel, board)
  const placed = own.transform(boardMatrix(board))
  own.delete()
  return placed
}
