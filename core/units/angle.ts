import { plainFigures, readNumber } from './plain-text'
import { bad, good, quoted, type Reading } from './result'

/**
 * Reads an angle: `45`, `22,5°`, `7 1/2 deg`.
 * @returns degrees between `min` and `max`, or a message
 */
export function parseAngle(text: string, { min = 0, max = 90 }: { min?: number; max?: number } = {}): Reading {
  const plain = plainFigures(text)
    .replace(/ ?(°|deg|degrees?)$/, '')
    .trim()
  const sign = plain.startsWith('-') ? -1 : 1
  const number = readNumber(plain.replace(/^[-+] ?/, ''))
  if (number === null) return bad(`Can’t read ${quoted(text)} as an angle. Write it like 45 or 22.5°.`)
  const value = sign * number
  if (value < min || value > max) return bad(`${quoted(text)}: the angle lies between ${min}° and ${max}°.`)
  return good(value)
}

/** Writes an angle to a tenth of a degree. */
export const formatAngle = (value: number): string => `${Number(value.toFixed(1))}°`
