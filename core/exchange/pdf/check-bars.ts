import type { Ink, Pen } from './page'

/** The bar by which a printer is corrected, by the shop's unit: how long it is at true size, mm, and its name. */
export const CHECK_BAR = {
  mm: { long: 100, name: '100 mm' },
  in: { long: 101.6, name: '4 in' },
} as const

const STROKE: Pen = { width: 0.25 }
const TICK: Pen = { width: 0.15 }

/** Room that both take on a page, mm. */
export const BARS_HIGH = 14
const BARS_WIDE = 160

/**
 * Two check bars, for the rule and for the printer: 100 mm and 4 in. At true size only if the scale is right.
 * @param x, @param y upper left corner of both on the page, mm
 * @param scale what a mm is drawn as, for a printer that doesn't print true
 * @param unit which of them is measured by hand
 */
export function checkBars(x: number, y: number, scale: number, unit: 'mm' | 'in'): Ink[] {
  const bar = (which: 'mm' | 'in', parts: number, top: number): Ink[] => {
    const { long, name } = CHECK_BAR[which]
    const text = which === unit ? `${name}: measure it, type it in if it differs` : name
    return [
      { kind: 'line', from: { x: 0, y: top }, to: { x: long, y: top }, pen: STROKE },
      ...Array.from({ length: parts + 1 }, (_, i): Ink => ({ kind: 'line', from: { x: (long * i) / parts, y: top - (i % 5 === 0 || i === parts ? 2 : 1) }, to: { x: (long * i) / parts, y: top }, pen: TICK })), // prettier-ignore
      { kind: 'text', at: { x: long + 2, y: top }, text, size: 2.8 },
    ]
  }
  const box = { x, y, width: BARS_WIDE, height: BARS_HIGH }
  return [{ kind: 'window', box, at: { x: x + 0.5, y: y + 4 }, scale, ink: [...bar('mm', 10, 0), ...bar('in', 4, 6)] }]
}
