import { cutWords, thenText, trimWords } from '../../bench/cut-words'
import { seenSheet, type SeenSheet } from '../../bench/seen-sheet'
import { drawnWidth, lyingSize, wholeSize, type SheetCuts } from '../../cutting/sheets-used'
import { polygon, rectangle } from '../../geometry/outline'
import { formatPlaces } from '../../shop/places'
import type { Shop } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import { CLEAR, SMALL, type Flow } from './flow'
import type { Ink } from './page'

/** Height of the letters in a sheet, mm, and about how wide one of them is. */
const LETTERS = 2.6
const LETTER_WIDE = 1.45

/** A cut's number stands in a disc of this radius, mm. */
const DISC = 1.9

/** A piece of stock to scale with what lies in it and its cuts by their numbers, then the cuts in words. */
export function cutSheet(flow: Flow, sheet: SheetCuts, shop: Shop): void {
  const { width: lying } = lyingSize(sheet)
  const { stock, noGo } = sheet
  const length = (mm: number): string => formatLength(mm, shop)
  const comes = wholeSize(sheet)
  const size = `${length(comes.length)}${stock.width ? ` × ${length(comes.width)}` : ''}`
  const trimmed = trimWords(sheet, shop)
  const clear = noGo.length > 0 ? `; dark: kept clear ${formatPlaces(noGo, length)}` : ''
  const title = `${sheet.name}: ${size}${stock.isOffcut ? ', from the bin' : ''}${clear}`
  const seen = seenSheet(sheet)
  const bounds = { minX: 0, minY: -lying, maxX: seen.length, maxY: 0 }
  flow.drawing(bounds, (scale) => sheetInk(sheet, seen, drawnWidth(sheet), scale), 60, CLEAR, title)
  if (trimmed) flow.text(trimmed, { size: SMALL, indent: 12 })
  for (const cut of cutWords(sheet, shop)) {
    flow.text(`${cut.number}. ${cut.set} ${cut.at}${thenText(cut)}`, { size: SMALL, indent: 12 })
  }
}

function sheetInk({ noGo, placements, cuts, job }: SheetCuts, seen: SeenSheet, wide: number, scale: number): Ink[] {
  const box = (x: number, y: number, l: number, w: number, fill: number): Ink => ({ kind: 'outline', pen: { width: 0.2 }, fill, outline: rectangle(x * scale, y * scale, (x + l) * scale, (y + w) * scale) }) // prettier-ignore
  return [
    {
      kind: 'outline',
      pen: { width: 0.2 },
      fill: 0.85,
      outline: polygon(seen.corners.map(([x, y]) => [x * scale, y * scale])),
    },
    ...noGo.map((p) => box(p.from, p.low, p.to - p.from, Math.min(p.high, wide) - p.low, 0.4)),
    ...placements.flatMap((p): Ink[] => {
      const name = job.names[p.partId]?.part ?? p.partId
      const [room, high] = [p.length * scale - 2, (p.width || wide) * scale]
      const fits = name.length * LETTER_WIDE <= room && high > LETTERS + 1
      const text: Ink = { kind: 'text', at: { x: p.x * scale + 1, y: p.y * scale + LETTERS + 0.6 }, text: name, size: LETTERS } // prettier-ignore
      return [box(p.x, p.y, p.length, p.width || wide, 1), ...(fits ? [text] : [])]
    }),
    ...cuts.map(({ from, to }): Ink => ({
      kind: 'line',
      from: at(from, scale),
      to: at(to, scale),
      pen: { width: 0.35 },
    })),
    ...cuts.flatMap(({ number, from, to }): Ink[] => {
      const middle = at({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }, scale)
      return [
        { kind: 'circle', centre: middle, radius: DISC, pen: { width: 0.2 }, fill: 1 },
        { kind: 'text', at: { x: middle.x, y: middle.y + LETTERS / 3 }, text: String(number), size: LETTERS, align: 'middle', bold: true }, // prettier-ignore
      ]
    }),
  ]
}

const at = ({ x, y }: { x: number; y: number }, scale: number): { x: number; y: number } => ({ x: x * scale, y: y * scale }) // prettier-ignore
