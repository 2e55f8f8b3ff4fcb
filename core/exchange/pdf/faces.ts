import { unbroken } from '../../units/figures-in-text'
import type { PdfDocument } from './render'

/** The parts that the face comes in, each with the letters it has; the first that has a letter writes it. */
const RANGES = {
  latin:
    'U+20-7E,U+A0-FF,U+131,U+152-153,U+2BB-2BC,U+2C6,U+2DA,U+2DC,U+2010-2015,U+2018-201E,U+2020-2022,U+2026,U+2030,U+2039-203A,U+2044,U+20AC,U+2122,U+2212',
  'latin-ext': 'U+100-2BA,U+1E00-1E9F,U+1EF2-1EFF,U+2C60-2C7F,U+A720-A7FF',
  cyrillic: 'U+400-45F,U+490-491,U+4B0-4B1,U+2116',
  'cyrillic-ext': 'U+460-52F',
  greek: 'U+370-377,U+37A-37F,U+384-38A,U+38C,U+38E-3A1,U+3A3-3FF',
  'greek-ext': 'U+1F00-1FFF',
  vietnamese: 'U+1EA0-1EF9,U+20AB',
} as const

export type Subset = keyof typeof RANGES
export const SUBSETS = Object.keys(RANGES) as Subset[]

/** Name under which one part of the face is registered. */
export const faceName = (subset: Subset, bold: boolean): string => `${subset} ${bold ? 'bold' : 'plain'}`

const spans = SUBSETS.flatMap((subset) =>
  RANGES[subset].split(',').map((range) => {
    const [from, to] = range.slice(2).split('-')
    return { subset, from: parseInt(from!, 16), to: parseInt(to ?? from!, 16) }
  }),
)

/** A blank at which a line is not broken. */
const NO_BREAK = '\u00a0'

const subsetOf = (letter: string): Subset | null => {
  const code = letter.codePointAt(0)!
  return spans.find((s) => code >= s.from && code <= s.to)?.subset ?? null
}

/** A stretch of text that one part of the face writes. */
export interface Run {
  text: string
  subset: Subset
}

/**
 * A text in stretches by the part of the face that has its letters. A letter that none has becomes a question mark, a line's
 * end and the like a blank.
 */
export function runsOf(text: string): Run[] {
  const runs: Run[] = []
  for (const letter of text.normalize('NFC')) {
    const blank = /[\s\p{Cc}]/u.test(letter)
    const subset = blank ? (runs.at(-1)?.subset ?? 'latin') : subsetOf(letter)
    // blanks and what no part has are written by the first, which has both
    const [use, put] = blank ? (['latin', letter === NO_BREAK ? letter : ' '] as const) : subset === null ? (['latin', '?'] as const) : ([subset, letter] as const) // prettier-ignore
    const last = runs.at(-1)
    if (last?.subset === use) last.text += put
    else runs.push({ text: put, subset: use })
  }
  return runs.length > 0 ? runs : [{ text: '', subset: 'latin' }]
}

/** Width of a text on one line, points, at the size that the document is set to. */
export const widthOf = (doc: PdfDocument, text: string, bold: boolean): number =>
  runsOf(text).reduce((sum, r) => sum + doc.font(faceName(r.subset, bold)).widthOfString(r.text), 0)

/** Height that a text takes in a column, points; letters of several parts are measured as the first writes them. */
export const heightOf = (doc: PdfDocument, text: string, bold: boolean, width: number): number => {
  const plain = runsOf(unbroken(text)).map((r) => (r.subset === 'latin' ? r.text : 'n'.repeat([...r.text].length)))
  return doc.font(faceName('latin', bold)).heightOfString(plain.join('') || ' ', { width })
}

/** Writes a text on one line from a place. */
export function writeLine(doc: PdfDocument, text: string, bold: boolean, x: number, y: number): void {
  let at = x
  for (const run of runsOf(text)) {
    doc.font(faceName(run.subset, bold))
    doc.text(run.text, at, y, { lineBreak: false })
    at += doc.widthOfString(run.text)
  }
}

/** Writes a text into a column, as many lines as it takes. */
export function writeColumn(doc: PdfDocument, text: string, bold: boolean, x: number, y: number, width: number): void {
  const runs = runsOf(unbroken(text))
  runs.forEach((run, i) => {
    doc.font(faceName(run.subset, bold))
    const continued = i < runs.length - 1
    if (i === 0) doc.text(run.text, x, y, { width, continued })
    else doc.text(run.text, { width, continued })
  })
}
