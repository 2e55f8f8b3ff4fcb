import type { ManifoldToplevel } from 'manifold-3d'

/** The solid modelling kernel, handed in by whoever has loaded it. */
export type Kernel = Pick<ManifoldToplevel, 'Manifold' | 'CrossSection' | 'triangulate'>

/** A solid of the kernel. Each has to be deleted by whoever asked for it. */
export type Solid = InstanceType<ManifoldToplevel['Manifold']>

/** A matrix of the kernel: four columns of four. */
export type Matrix = Parameters<Solid['transform']>[0]

type Vector = readonly [number, number, number]

/** Where the three axes of a solid's own go, and its origin; mm. */
export const matrix = (x: Vector, y: Vector, z: Vector, at: Vector): Matrix => [...x, 0, ...y, 0, ...z, 0, ...at, 1] as unknown as Matrix // prettier-ignore

/** Where the holder's three axes go when it is tipped about the first. @param tilt degrees */
export function vectorsOf(tilt: number): [Vector, Vector, Vector] {
  const angle = (tilt * Math.PI) / 180
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  return [
    [1, 0, 0],
    [0, c, s],
    [0, -s, c],
  ]
}

/** Chords of a whole circle. */
const CHORDS = 24

/** Radius of a regular polygon with as much area as a circle, so that volumes agree with the formula. */
export const chordRadius = (radius: number, chords = CHORDS): number => {
  const step = (2 * Math.PI) / chords
  return radius * Math.sqrt(step / Math.sin(step))
}

/** A round rod from the origin along z, as large as the true one. mm */
export const roundSolid = ({ Manifold }: Kernel, length: number, radius: number): Solid =>
  Manifold.cylinder(length, chordRadius(radius), chordRadius(radius), CHORDS)
