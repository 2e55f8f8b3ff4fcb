import type { Attitude, Measured, Measuring, Missing, ShankEnvelope } from './kind'

/** What stands in a bore, face out: extents from its axis, and what goes in. */
export interface StandingFaceOut extends Omit<ShankEnvelope, 'left'> {
  /** to the left, where that differs from the right */
  left?: Measured
}

/** The round hole that a flat bar just passes: its diagonal. @param wide, @param thick field keys */
export const diagonal = (m: Record<string, number>, wide: string, thick: string): Measured => ({
  value: Math.hypot(m[wide]!, m[thick]!),
  expression: `√({${wide}}² + {${thick}}²)`,
  moves: { [wide]: 1, [thick]: 1 },
})

/**
 * The envelope of a tool that stands in a bore, turned as asked: each quarter turn takes its face on to the right, the
 * wall, the left.
 * @param needs field keys that must be measured
 * @param faceOut its extents in mm, given every needed figure
 */
export const standingIn =
  (
    needs: readonly string[],
    faceOut: (m: Record<string, number>, options: Record<string, string>) => StandingFaceOut,
  ) =>
  ({ measures, options }: Measuring, turn: Attitude['turn']): ShankEnvelope | Missing => {
    const missing = needs.filter((key) => measures[key] === undefined)
    if (missing.length > 0) return { missing }
    const f = faceOut(measures, options)
    const round = [f.front, f.right, f.back, f.left ?? f.right]
    const at = (quarter: number): Measured => round[(quarter - turn + 4) % 4]!
    return { ...f, front: at(0), right: at(1), back: at(2), left: at(3) }
  }
