import type { Attitude, BladeEnvelope, Measured, Measuring, Missing, NeckEnvelope } from './kind'

/** What hangs by a neck, face out: extents from the neck's middle, and the neck itself. */
export interface FaceOut {
  front: Measured
  back: Measured
  /** to the left and to the right alike, unless `left` differs */
  right: Measured
  left?: Measured
  /** the neck from left to right, and from front to back */
  width: Measured
  thickness: Measured
  shape: NeckEnvelope['neckShape']
  /** down the neck to where the tool widens again, if it does */
  room?: Measured
}

/** A field times a factor, or a part of one field less another, as a measured extent. */
export const part = (m: Record<string, number>, key: string, times = 1): Measured => ({
  value: m[key]! * times,
  expression: times === 1 ? `{${key}}` : times === 0.5 ? `{${key}} / 2` : `{${key}} × ${times}`,
  moves: { [key]: times },
})

/** Part of the field that is the greatest of several. @param keys of fields that are measured */
export const widerOf = (m: Record<string, number>, keys: readonly string[], times = 1): Measured =>
  part(m, keys.reduce((a, b) => (m[b]! > m[a]! ? b : a)), times) // prettier-ignore

/** One field less another. */
export const less = (m: Record<string, number>, whole: string, taken: string): Measured => ({
  value: m[whole]! - m[taken]!,
  expression: `{${whole}} − {${taken}}`,
  moves: { [whole]: 1, [taken]: 1 },
})

/**
 * The envelope of a tool that hangs by its neck, turned as asked: each quarter turn takes its face on to the right, the
 * wall, the left.
 * @param needs field keys that must be measured
 * @param faceOut its extents in mm, given every needed figure
 */
export const hanging =
  (needs: readonly string[], faceOut: (m: Record<string, number>, options: Record<string, string>) => FaceOut) =>
  ({ measures, options }: Measuring, turn: Attitude['turn']): NeckEnvelope | Missing => {
    const missing = needs.filter((key) => measures[key] === undefined)
    if (missing.length > 0) return { missing }
    const f = faceOut(measures, options)
    const round = [f.front, f.right, f.back, f.left ?? f.right]
    const at = (quarter: number): Measured => round[(quarter - turn + 4) % 4]!
    const sideways = turn % 2 === 1
    return {
      front: at(0),
      right: at(1),
      back: at(2),
      left: at(3),
      neckAcross: sideways ? f.thickness : f.width,
      neckAlong: sideways ? f.width : f.thickness,
      neckShape: f.shape,
      ...(f.room ? { room: f.room } : {}),
    }
  }

/** What hangs with its blade in a slot, face out; what could come to rest beside it by the blade's width and by its thickness. */
export interface BladeFaceOut extends FaceOut, Pick<BladeEnvelope, 'length' | 'sharp'> {
  shoulders: { width: Measured[]; thickness: Measured[] }
}

/** The envelope of a tool whose blade goes into a slot, turned as `hanging` turns one with a head. */
export const bladeDown =
  (needs: readonly string[], faceOut: (m: Record<string, number>, options: Record<string, string>) => BladeFaceOut) =>
  (tool: Measuring, turn: Attitude['turn']): BladeEnvelope | Missing => {
    const neck = hanging(needs, faceOut)(tool, turn)
    if ('missing' in neck) return neck
    const { shoulders, length, sharp } = faceOut(tool.measures, tool.options)
    return { ...neck, shoulders: turn % 2 === 1 ? shoulders.thickness : shoulders.width, length, sharp }
  }
