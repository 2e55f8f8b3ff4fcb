import { formatExact, type LengthFormat } from '../units/format-length'
import { parseSize, type LengthUnit } from '../units/length'
import { plainFigures } from '../units/plain-text'
import type { Kind } from './kind'
import { kindFromWords } from './words'

/** What a phrase such as 'six chisels, widths 6 10 12 16 20 25' asks for. */
export interface Several {
  /** what each is called, in the singular where that is plain */
  noun: string
  kind: Kind | null
  /** the field whose figures are listed */
  field: string | null
  /** mm */
  values: number[]
  /** the list of figures as it was written */
  list: string
  /** what does not fit together, in the shop's words */
  problems: string[]
}

const NUMBERS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve']
/** Sizes written well, as an example for a person who works in the unit. */
export const SIZES_LIKE: Record<LengthUnit, string> = { mm: '6 10 12 16 20 25', in: '1/4 3/8 1/2 5/8 3/4 1' }

/** The most tools made at once. */
export const MOST_AT_ONCE = 100

const single = (noun: string) => noun.replace(/ies$/, 'y').replace(/(s|x|z|ch|sh)es$/, '$1').replace(/([^s])s$/, '$1') // prettier-ignore

/** A list of lengths parted by spaces, commas or semicolons: `6 10 12`, `1/4, 3/8, 1 1/2`, `16mm 20mm`. */
export function readLengths(text: string, unit: LengthUnit): { values: number[]; problems: string[] } {
  const values: number[] = []
  const problems: string[] = []
  const parts = text
    .replace(/(\d),(\d{3})\b/g, '$1, $2')
    .split(/[;]|,\s+|,(?=[^\d])|\s+and\s+/i)
    .flatMap((part) => separate(plainFigures(part)))
  for (const part of parts) {
    const reading = parseSize(part, unit)
    if (reading.ok) values.push(reading.value)
    else problems.push(reading.message)
  }
  return { values, problems }
}

/** Parts a run of lengths at its spaces, but keeps a whole number with the fraction behind it and a unit with its number. */
function separate(text: string): string[] {
  const parts: string[] = []
  for (const word of text.split(' ').filter(Boolean)) {
    const last = parts.at(-1)
    const fraction = /^\d+\/\d+/.test(word) && last !== undefined && /^\d+$/.test(last) && parts.length > 0
    const unit = /^(mm|cm|m|in|inch|inches|ft|")$/.test(word)
    if (last !== undefined && (unit || (fraction && !/\//.test(last)))) parts[parts.length - 1] = `${last} ${word}`
    else parts.push(word)
  }
  return parts
}

/** The field that a word means: 'widths' -> the first field of the kind with 'width' in its label. */
export function fieldFromWords(kind: Kind, words: string): string | null {
  const wanted = words
    .toLowerCase()
    .split(/[\s-]+/)
    .map(single)
    .filter((w) => w !== '' && !['of', 'with', 'the', 'in', 'and', 'size'].includes(w))
  const scored = kind.fields.map((f) => ({
    key: f.key,
    hits: wanted.filter((w) => f.label.toLowerCase().split(/[\s-]+/).includes(w)).length, // prettier-ignore
  }))
  const most = Math.max(0, ...scored.map((s) => s.hits))
  if (most === 0) return null
  // 'widths' of a chisel are its blade's, not its handle's: what is worked with comes before what is held
  const best = scored.filter((s) => s.hits === most).map((s) => s.key)
  return best.find((key) => !/^handle/.test(key)) ?? best[0]!
}

/**
 * Reads a phrase that asks for several like tools: how many (or not said), what, and one figure of each.
 * @param unit what bare numbers are taken in
 * @param given the kind they are of, where that is known already
 */
export function readSeveral(text: string, unit: LengthUnit, given: Kind | null = null): Several {
  const match =
    /^\s*(?:(\d+|[a-z]+)\s+)?(.*?)(?:[,:]|\s+with)?\s+([a-z][a-z\s-]*?)\s*[:=]?\s*((?:[.\d½¼¾⅛⅜⅝⅞]).*)$/i.exec(text)
  const problems: string[] = []
  if (!match) {
    return {
      noun: '',
      kind: given,
      field: null,
      values: [],
      list: '',
      problems: [`Write it like: six chisels, widths ${SIZES_LIKE[unit]}`],
    }
  }
  const [, first = '', rest = '', fieldWords = '', list = ''] = match
  const count = /^\d+$/.test(first) ? Number(first) : NUMBERS.indexOf(first.toLowerCase()) + 1
  const noun = [count > 0 ? '' : first, rest].filter(Boolean).join(' ').trim()
  const kind = given ?? kindFromWords(noun || fieldWords)
  const { values, problems: unread } = readLengths(list, unit)
  problems.push(...unread)
  if (!kind) problems.push(`What kind of tool is ${noun ? `“${noun.slice(0, 40)}”` : 'it'}? Choose one below.`)
  const field = kind ? fieldFromWords(kind, fieldWords) : null
  if (kind && !field) problems.push(`Which figure is “${fieldWords.trim().slice(0, 40)}”? Choose one below.`)
  if (count > 0 && values.length > 0 && count !== values.length)
    problems.push(
      `${count} are asked for, but ${values.length} ${values.length === 1 ? 'figure is' : 'figures are'} given.`,
    )
  if (values.length > MOST_AT_ONCE) problems.push(`At most ${MOST_AT_ONCE} at once.`)
  return { noun: single(noun), kind, field, values: values.slice(0, MOST_AT_ONCE), list, problems }
}

/** Names for like tools that differ in one figure: 'Chisel 16 mm'. */
export const namesFor = (noun: string, values: readonly number[], format: LengthFormat): string[] => {
  const start = noun ? noun[0]!.toUpperCase() + noun.slice(1) : 'Tool'
  return values.map((v) => `${start} ${formatExact(v, format)}`.slice(0, 120))
}
