import { plainFigures, readNumber } from './plain-text'
import { bad, good, quoted, type Limits, type Reading } from './result'

export type MassUnit = 'kg' | 'lb'

/** A pound, kg. @source international yard and pound agreement (1959), exact */
export const POUND = 0.45359237

/** Kilograms in each unit of mass that may be typed. */
const IN_KG: Record<string, number> = {
  kg: 1,
  g: 0.001,
  lb: POUND,
  lbs: POUND,
  oz: POUND / 16,
}

/** The heaviest thing that belongs on a shop wall's list, kg. */
export const LARGEST_MASS = 500

/** The unit of mass that goes with a unit of length. */
export const massUnitFor = (lengthUnit: 'mm' | 'in'): MassUnit => (lengthUnit === 'in' ? 'lb' : 'kg')

const POUNDS_AND_OUNCES = /^(.+?) ?lbs? ?(.+?) ?oz$/
const ONE_UNIT = /^(.*?) ?(kg|g|lbs?|oz)?$/

/**
 * Reads a mass: `1.2`, `850 g`, `2 lb 3 oz`, `12oz`.
 * @param unit what a bare number is taken as
 * @param limits kg; when left out, anything over nought up to 500
 * @returns kilograms, or a message
 */
export function parseMass(text: string, unit: MassUnit, { min, max = LARGEST_MASS }: Limits = {}): Reading {
  const examples = unit === 'kg' ? '0.85 or 850 g' : '1.9 lb or 12 oz'
  const plain = plainFigures(text)
  const both = POUNDS_AND_OUNCES.exec(plain)
  const pounds = both ? readNumber(both[1]!) : null
  const ounces = both ? readNumber(both[2]!) : null
  const one = ONE_UNIT.exec(plain)
  const number = one ? readNumber(one[1]!) : null
  let value: number
  if (pounds !== null && ounces !== null) value = pounds * POUND + (ounces * POUND) / 16
  // parted by a thousand rather than multiplied by a thousandth: 820 g is 0.82 kg to the last digit
  else if (one && number !== null) value = one[2] === 'g' ? number / 1000 : number * IN_KG[one[2] ?? unit]!
  else return bad(`Can’t read ${quoted(text)} as a weight. Write it like ${examples}.`)
  if (min === undefined ? value <= 0 : value < 0)
    return bad(`${quoted(text)}: a weight is more than nought. Write it like ${examples}.`)
  if (value > LARGEST_MASS)
    return bad(`${quoted(text)}: more than ${formatMass(LARGEST_MASS, unit)} can’t hang on a shop wall.`)
  if (value < (min ?? 0)) return bad(`${quoted(text)}: less than ${formatMass(min!, unit)} can’t be right here.`)
  if (value > max) return bad(`${quoted(text)}: more than ${formatMass(max, unit)} can’t be right here.`)
  return good(value)
}

/** Writes a mass for reading: kilograms to 10 g (grams under 1 kg), or pounds to a hundredth. */
export function formatMass(value: number, unit: MassUnit): string {
  if (unit === 'lb') return `${Number((value / POUND).toFixed(2))} lb`
  return value < 1 ? `${Math.round(value * 1000)} g` : `${Number(value.toFixed(2))} kg`
}
