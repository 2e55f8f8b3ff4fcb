import type { Trail } from '../working/trail'
import { optionOf } from './choice-value'
import type { Choice, PlanInput } from './form'

/** Sines and cosines of an angle in degrees. */
export const sine = (degrees: number): number => Math.sin((degrees * Math.PI) / 180)
export const cosine = (degrees: number): number => Math.cos((degrees * Math.PI) / 180)

/** By how much a holder's part leans. @param about what leans which way, @param whens what each answer is for, level first */
export const tiltQuestion = (about: string, whens: Readonly<Record<string, string>>): Choice => ({
  key: 'tilt',
  label: 'Tilt',
  about,
  type: 'option',
  usual: '0',
  values: Object.entries(whens).map(([value, when]) => ({ value, label: value === '0' ? 'level' : `${value}°`, when })),
})

/** The tilt that was chosen, degrees; put on the trail as `tilt` where it is none of nought. */
export function tiltOf(choices: readonly Choice[], input: PlanInput, trail: Trail): number {
  const tilt = Number(optionOf(choices, input, 'tilt'))
  if (tilt !== 0) trail.given('tilt', 'Tilt', tilt, { kind: 'choice', key: 'tilt' }, { quantity: 'angle' })
  return tilt
}
