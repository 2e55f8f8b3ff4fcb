import { isAmbiguousComma, plainFigures, readNumber } from './plain-text'
import { bad, good, quoted, type Limits, type Reading } from './result'

export type LengthUnit = 'mm' | 'in'

/** Millimetres in each unit of length that may be typed. 1 in = 25.4 mm exactly (international yard and pound agreement, 1959). */
const IN_MM: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: 25.4,
  inch: 25.4,
  inches: 25.4,
  '"': 25.4,
  ft: 304.8,
  foot: 304.8,
  feet: 304.8,
  "'": 304.8,
}

/** The largest size that makes sense in a shop, mm. */
export const LARGEST_SIZE = 20000

const FEET_AND_INCHES = /^(.+?) ?(?:'|ft|foot|feet) ?-? ?(.+?) ?(?:"|in|inch|inches)?$/
const ONE_UNIT = /^(.*?) ?(mm|cm|m|in|inch|inches|"|ft|foot|feet|')?$/

/** Two lengths written well, as an example for a person who works in `unit`. */
export const lengthExamples = (unit: LengthUnit): string => (unit === 'in' ? '1 1/2" or 38 mm' : '38 or 12.5 mm')

/**
 * Reads a length as people write it.
 * @param text such as `38`, `3.8 cm`, `12,5`, `1-1/2"`, `1½`, `7/16`, `2' 3-1/2"`, `2ft 3in`; a leading minus is read
 * @param unit what a bare number is taken as
 * @returns millimetres, or a message that quotes the text and shows two good examples
 */
export function parseLength(text: string, unit: LengthUnit): Reading {
  const unreadable = () => bad(`Can’t read ${quoted(text)} as a length. Write it like ${lengthExamples(unit)}.`)
  let plain = plainFigures(text)
  if (plain === '') return bad(`No length given. Write it like ${lengthExamples(unit)}.`)
  if (isAmbiguousComma(plain)) {
    return bad(`${quoted(text)} can be read in two ways. Write it without the comma, like ${lengthExamples(unit)}.`)
  }
  const sign = plain.startsWith('-') ? -1 : 1
  plain = plain.replace(/^[-+] ?/, '')

  const both = FEET_AND_INCHES.exec(plain)
  if (both) {
    const feet = readNumber(both[1]!)
    const inches = readNumber(both[2]!)
    if (feet !== null && inches !== null) return good(sign * (feet * 304.8 + inches * 25.4))
  }
  const one = ONE_UNIT.exec(plain)
  const number = one ? readNumber(one[1]!) : null
  if (!one || number === null || !Number.isFinite(number)) return unreadable()
  return good(sign * number * IN_MM[one[2] ?? unit]!)
}

/**
 * Reads a length that is the size of a thing.
 * @param limits mm, the least one below nought where it may be; when left out, anything over nought up to 20 m
 * @returns millimetres, or a message
 */
export function parseSize(text: string, unit: LengthUnit, limits: Limits = {}): Reading {
  const reading = parseLength(text, unit)
  if (!reading.ok) return reading
  const message = sizeError(reading.value, limits, unit)
  return message === null ? reading : bad(`${quoted(text)}: ${message}`)
}

/** A limit as a person who works in `unit` would say it. @param mm the limit */
function limitTold(mm: number, unit: LengthUnit): string {
  const short = (value: number, digits: number) => String(Number(value.toFixed(digits)))
  const long = Math.abs(mm) >= 1000
  if (unit === 'in') return long ? `${short(mm / 304.8, 1)} ft` : `${short(mm / 25.4, 2)} in`
  return long ? `${short(mm / 1000, 3)} m` : `${short(mm, 3)} mm`
}

/**
 * Why a number can't be a size, in the shop's words, or null when it can.
 * @param value mm
 * @param limits mm; when left out, anything over nought up to 20 m
 * @param unit what limits are told in
 */
export function sizeError(value: unknown, limits: Limits = {}, unit: LengthUnit = 'mm'): string | null {
  const { min, max = LARGEST_SIZE } = limits
  if (typeof value !== 'number' || Number.isNaN(value)) return 'this is not a number.'
  if (value > max || !Number.isFinite(value)) {
    return `more than ${limitTold(max, unit)} can’t be right here.`
  }
  if (min === undefined ? value <= 0 : value < min) {
    if (value < 0 && !(min !== undefined && min < 0)) return 'a size can’t be negative.'
    if (value === 0) return 'a size can’t be nought.'
    return `less than ${limitTold(min ?? 0, unit)} can’t be right here.`
  }
  return null
}
