import { GRAVITY } from './gravity'
import { POUND } from './mass'
import { plainFigures, readNumber } from './plain-text'
import { bad, good, quoted, type Limits, type Reading } from './result'
import { shortNumber } from './short-number'

export type ForceUnit = 'N' | 'lb'

/** What a pound weighs, N. */
export const POUND_FORCE = POUND * GRAVITY

/** Newtons in each unit of force that may be typed: a kilogram or a pound is what weighs so much. */
const IN_NEWTONS: Record<string, number> = {
  n: 1,
  kg: GRAVITY,
  kgf: GRAVITY,
  lb: POUND_FORCE,
  lbs: POUND_FORCE,
  lbf: POUND_FORCE,
  oz: POUND_FORCE / 16,
}

/** The unit of force that goes with a unit of length. */
export const forceUnitFor = (lengthUnit: 'mm' | 'in'): ForceUnit => (lengthUnit === 'in' ? 'lb' : 'N')

const ONE_UNIT = /^(.*?) ?(n|kgf?|lb[sf]?|oz)?$/

/**
 * Reads a force, as a spring balance shows it: `10`, `12 N`, `2.2 lb`, `1 kg`.
 * @param unit what a bare number is taken as
 * @param limits N; when left out, from nought on
 * @returns newtons, or a message
 */
export function parseForce(text: string, unit: ForceUnit, { min = 0, max = Infinity }: Limits = {}): Reading {
  const one = ONE_UNIT.exec(plainFigures(text))
  const number = one ? readNumber(one[1]!) : null
  if (!one || number === null) return bad(`Can’t read ${quoted(text)} as a pull. Write it like 10 N or 2.2 lb.`)
  const value = number * IN_NEWTONS[one[2] ?? unit.toLowerCase()]!
  if (value < min) return bad(`${quoted(text)}: less than ${formatForce(min, unit)} can’t be right here.`)
  if (value > max) return bad(`${quoted(text)}: more than ${formatForce(max, unit)} can’t be right here.`)
  return good(value)
}

/** Writes a force, N, for reading: newtons, or the pounds that pull as much. */
export const formatForce = (value: number, unit: ForceUnit): string =>
  unit === 'lb' ? `${shortNumber(value / POUND_FORCE)} lb` : `${shortNumber(value)} N`

/** Writes a force, N, for a sentence: whole newtons, or pounds, to a tenth below ten. */
export function briefForce(value: number, unit: ForceUnit): string {
  if (unit === 'N') return `${value.toFixed(0)} N`
  const pounds = value / POUND_FORCE
  return `${Number(pounds.toFixed(pounds < 10 ? 1 : 0))} lb`
}
