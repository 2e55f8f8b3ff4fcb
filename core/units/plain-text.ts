const VULGAR: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅕': '1/5',
  '⅖': '2/5',
  '⅗': '3/5',
  '⅘': '4/5',
  '⅙': '1/6',
  '⅚': '5/6',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}

/**
 * Brings typed figures to plain characters: one-character fractions, curly quotes and primes, odd spaces and dashes.
 * @param text as typed or pasted
 * @returns the same in lower case with only plain digits, `/ - . , ' "` and single spaces
 */
export function plainFigures(text: string): string {
  return text
    .replace(/[½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]/g, (c) => ` ${VULGAR[c]}`)
    .replace(/⁄|∕/g, '/')
    .replace(/[‐‑‒–−]/g, '-')
    .replace(/''|[“”„″]/g, '"')
    .replace(/[‘’′]/g, "'")
    .replace(/\s+/g, ' ')
    .trim()
    .toLowerCase()
}

const DECIMAL = String.raw`(?:\d+(?:[.,]\d*)?|[.,]\d+)`
const MIXED = String.raw`(?:(\d+)(?: ?- ?| ))?(\d+) ?\/ ?(\d+)`
const NUMBER = new RegExp(`^(?:${MIXED}|(${DECIMAL}))$`)

/**
 * Reads one number without a unit: `38`, `12,5`, `.5`, `7/16`, `1 1/2`, `1-1/2`.
 * @returns the number, or null when it is none (also for a fraction over nought)
 */
export function readNumber(text: string): number | null {
  const match = NUMBER.exec(text.trim())
  if (!match) return null
  const [, whole, top, bottom, decimal] = match
  if (decimal !== undefined) return Number(decimal.replace(',', '.'))
  if (Number(bottom) === 0) return null
  return Number(whole ?? 0) + Number(top) / Number(bottom)
}

/** True for `1,000`: a comma before three digits may part thousands or decimals. */
export const isAmbiguousComma = (text: string): boolean => /\d,\d{3}(?!\d)/.test(text)
