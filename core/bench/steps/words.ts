import { formatLength, type LengthFormat } from '../../units/format-length'
import { toGrid } from '../../units/grid'
import { gridStep } from '../../units/format-length'

/** Words in a row: `a`, `a and b`, `a, b and c`. */
export const listed = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)!}`

/** Names of parts, `4 parts, divider 1 to right end` where they are many. */
export const fewNames = (names: readonly string[]): string =>
  names.length <= 3 ? listed(names) : `${names.length} parts, ${names[0]!} to ${names.at(-1)!}`

const NUMBERED = /^(.*\D)(\d[\d.]*)$/

/** Names of pieces, each told, in order: `back and lip`, `upright 3, 4 and 12`, `4 × two strips`. */
export function pieceNames(names: readonly string[]): string {
  const own = [...new Set(names)].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }))
  const [first] = own
  if (own.length === 1) return names.length > 1 ? `${names.length} × ${first!}` : first!
  const [, stem = ''] = NUMBERED.exec(first ?? '') ?? []
  const alike = stem !== '' && own.every((n) => NUMBERED.exec(n)?.[1] === stem)
  return alike ? `${stem}${listed(own.map((n) => n.slice(stem.length)))}` : listed(own)
}

/** Names of parts in a sentence: `the left end`; what is numbered is its own name: `post 1`. */
export const theNames = (names: readonly string[]): string => {
  const numbered = names.length <= 3 && /\d/.test(names[0] ?? '')
  return `${numbered ? '' : 'the '}${fewNames(names.map(lower))}`
}

/** The name of one part in a sentence. */
export const theName = (name: string): string => theNames([name])

/** Running figures as printed, each to the nearest grid point by itself. */
export const running = (values: readonly number[], format: LengthFormat): string =>
  values.map((v) => formatLength(toGrid(v, gridStep(format)), format)).join(' · ')

export const upper = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

export const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1)
