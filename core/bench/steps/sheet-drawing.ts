import { PAIR } from '../../cutting/from-holders'
import { drawnWidth, wholeSize, type SheetCuts } from '../../cutting/sheets-used'
import { flipped, outlineBounds, polygon, rectangle } from '../../geometry/outline'
import { seenSheet } from '../seen-sheet'
import { formatLength, type LengthFormat } from '../../units/format-length'
import type { CardDrawing, Label } from './step-drawing'
import type { Step } from './step'

/** A letter of a name is about so high and so wide, as part of the sheet’s length. */
const LETTER = { high: 1 / 40, wide: 1 / 66 }

/** A piece of stock with what lies in it by its name, and its cuts by their numbers. @param count of alike ones */
export function cutUp(sheet: SheetCuts, s: Step, format: LengthFormat, count = 1): CardDrawing {
  const wide = drawnWidth(sheet)
  const comes = wholeSize(sheet)
  const { length, corners } = seenSheet(sheet)
  const whole = polygon(corners)
  // x along, y down from the edge that lies at the fence
  const pieces = sheet.placements.flatMap((p): CardDrawing['outlines'] => {
    const own = s.parts.some((part) => p.partId.split(PAIR).some((id) => id.endsWith(`/${part}`)))
    const outline = rectangle(p.x, -p.y, p.x + p.length, -p.y - (p.width || wide))
    return own ? [{ ink: 'wood', outline }, { ink: 'now', outline }] : [{ ink: 'made', outline }] // prettier-ignore
  })
  const scale = Math.max(length, wide * 1.3)
  const names = sheet.placements.flatMap((p): Label[] => {
    const [text, high] = [sheet.job.names[p.partId]?.part ?? '', p.width || wide]
    const fits = text.length * LETTER.wide * scale < p.length * 0.9 && high > LETTER.high * scale
    return fits ? [{ at: { x: p.x + p.length / 2, y: -p.y - high / 2 }, text, upright: false }] : []
  })
  const numbers = sheet.cuts.map((c): Label => {
    const [a, b] = [c.from, c.to]
    // in the middle of each: where a rip ends at a cross-cut their numbers would lie on each other
    return { at: { x: (a.x + b.x) / 2, y: -(a.y + b.y) / 2 }, text: String(c.number), upright: false }
  })
  const lines = sheet.cuts.map((c) => ({ ink: 'mark' as const, from: { x: c.from.x, y: -c.from.y }, to: { x: c.to.x, y: -c.to.y } })) // prettier-ignore
  const size = `${formatLength(comes.length, format)} × ${formatLength(comes.width, format)}`
  return {
    title: count > 1 ? `${count} × ${sheet.job.stock.name}, each ${size}` : `${sheet.name}, ${size}`,
    bounds: outlineBounds(flipped(whole)),
    outlines: [{ ink: 'waste', outline: flipped(whole) }, ...pieces],
    lines,
    labels: [...names, ...numbers],
  }
}
