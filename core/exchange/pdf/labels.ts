import type { Label } from '../labels'
import { rectangle } from '../../geometry/outline'
import { PAPERS, type Ink, type Page, type Paper, type Pen } from './page'

/** Height of a label, room that printers leave free, and that between labels; mm. */
export const LABEL_HIGH = 12
const EDGE = 12
const BETWEEN = 3
const HEAD = 12

/** Letters of names and sizes, and the least that is still read at arm's length; mm. */
const LARGE = 4
const LEAST = 2.2

/** White at each side of what is written, mm. */
const PAD = 1.5

const CUT: Pen = { width: 0.15, grey: 0.5, dash: 1 }

/** How wide a text is, mm, of letters so high. */
export type Measure = (text: string, size: number, bold: boolean) => number

/** A text as large as it fits a width; broken off with dots where the least letters are still too wide. */
export function fitted(text: string, room: number, measure: Measure, bold: boolean): { text: string; size: number } {
  const wide = measure(text, LARGE, bold)
  const size = wide > room ? Math.max(LEAST, (LARGE * room) / wide) : LARGE
  if (measure(text, size, bold) <= room + 1e-6) return { text, size }
  const letters = [...text]
  while (letters.length > 1 && measure(`${letters.join('').trimEnd()}…`, size, bold) > room) letters.pop()
  return { text: `${letters.join('').trimEnd()}…`, size }
}

/** A label laid out: as wide as what is written on it wants, at most as its place leaves room for. mm */
export interface LaidLabel {
  width: number
  lines: { text: string; size: number; bold: boolean }[]
}

export function laidOut({ name, size, room }: Label, measure: Measure): LaidLabel {
  const inside = Math.max(LEAST, room - 2 * PAD)
  const lines = [{ text: name, bold: true }, ...(size ? [{ text: size, bold: false }] : [])].map((l) => ({ ...fitted(l.text, inside, measure, l.bold), bold: l.bold })) // prettier-ignore
  return { width: Math.min(room, Math.max(...lines.map((l) => measure(l.text, l.size, l.bold))) + 2 * PAD), lines }
}

function inkOf({ width, lines }: LaidLabel, x: number, y: number): Ink[] {
  const step = LABEL_HIGH / lines.length
  return [
    { kind: 'outline', outline: rectangle(x, y, x + width, y + LABEL_HIGH), pen: CUT },
    ...lines.map(({ text, size, bold }, i): Ink => ({ kind: 'text', at: { x: x + width / 2, y: y + step * (i + 0.5) + size * 0.35 }, text, size, align: 'middle', bold })), // prettier-ignore
  ]
}

/** Labels side by side on as few pages as they want, to be cut apart; true size matters only for their width. */
export function labelPages(title: string, labels: readonly Label[], paper: Paper, measure: Measure): Page[] {
  const { width, height } = PAPERS[paper]
  const pages: Page[] = []
  let [x, y] = [EDGE, Infinity]
  for (const label of labels) {
    const laid = laidOut(label, measure)
    if (x + laid.width > width - EDGE) [x, y] = [EDGE, y + LABEL_HIGH + BETWEEN]
    if (y + LABEL_HIGH > height - EDGE) {
      const head: Ink = { kind: 'text', at: { x: EDGE, y: EDGE + 4 }, text: `${title}: labels, from the datum end. Print at true size, cut apart.`, size: 3.4 } // prettier-ignore
      pages.push({ width, height, ink: [head] })
      ;[x, y] = [EDGE, EDGE + HEAD]
    }
    pages.at(-1)!.ink.push(...inkOf(laid, x, y))
    x += laid.width + BETWEEN
  }
  return pages
}
