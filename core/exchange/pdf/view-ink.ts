import type { Design } from '../../choose/design'
import type { Dimension, View } from '../../drawing/view'
import { flipped, moved } from '../../geometry/outline'
import { formatLength } from '../../units/format-length'
import { CLEAR, type Sides } from './flow'
import type { Ink, Pen } from './page'

const LINE: Pen = { width: 0.25 }
const GHOST: Pen = { width: 0.18, grey: 0.6 }
const DIMENSION: Pen = { width: 0.12, grey: 0.3 }

/** Rows of dimensions stand so far apart, mm on paper. */
const ROW = 6

/** Room for a figure that stands beside its dimension, and does so where that is too short for it, mm on paper. */
const ASIDE = 12
const LETTER = 1.4

/** A view on paper: boards, ghosts of the tools, dimensions; mm on paper about the view's origin, y down. */
export function viewInk(view: View, scale: number, shop: Design['input']['shop']): Ink[] {
  const shrink = (k: number): Ink => ({ kind: 'window', box: { x: -1e4, y: -1e4, width: 2e4, height: 2e4 }, at: { x: 0, y: 0 }, scale: k, ink: [] }) // prettier-ignore
  const pen = (p: Pen): Pen => ({ ...p, width: p.width / scale, ...(p.dash ? { dash: p.dash / scale } : {}) })
  const inside: Ink[] = [
    ...view.boards.map((b): Ink => ({ kind: 'outline', outline: flipped(b.outline), pen: pen(LINE), fill: 1 })),
    ...view.seats.flatMap((s): Ink[] => [
      ...s.outlines.map((o): Ink => ({ kind: 'outline', outline: flipped(moved(o.outline, s.at.x, s.at.y)), pen: pen(LINE) })), // prettier-ignore
      ...s.ghost.map((g): Ink => ({ kind: 'outline', outline: flipped(moved(g.outline, s.neck.x, s.neck.y)), pen: pen(GHOST) })), // prettier-ignore
    ]),
  ]
  return [{ ...(shrink(scale) as Extract<Ink, { kind: 'window' }>), ink: inside }, ...view.dimensions.flatMap((d) => dimensionInk(d, view, scale, shop))] // prettier-ignore
}

function dimensionInk(d: Dimension, view: View, scale: number, shop: Design['input']['shop']): Ink[] {
  const { bounds } = view
  const off = ROW * (d.row + 1)
  const text = `${d.about ? 'about ' : ''}${d.prefix}${formatLength(d.value, shop, d.print, false)}`
  const [a, b] = [d.from * scale, d.to * scale]
  if (d.side === 'top' || d.side === 'bottom') {
    const y = d.side === 'top' ? -bounds.maxY * scale - off : -bounds.minY * scale + off
    return [
      { kind: 'line', from: { x: a, y }, to: { x: b, y }, pen: DIMENSION },
      ...[a, b].map((x): Ink => ({ kind: 'line', from: { x: x - 0.8, y: y + 0.8 }, to: { x: x + 0.8, y: y - 0.8 }, pen: LINE })), // prettier-ignore
      ...(Math.abs(b - a) > text.length * LETTER ? [{ kind: 'text' as const, at: { x: (a + b) / 2, y: y - 1 }, text, size: 2.8, align: 'middle' as const }] : []), // prettier-ignore
    ]
  }
  const x = d.side === 'left' ? bounds.minX * scale - off : bounds.maxX * scale + off
  const middle = -(a + b) / 2
  const alone = view.dimensions.filter((o) => o.side === d.side && o.row === d.row).length === 1
  return [
    { kind: 'line', from: { x, y: -a }, to: { x, y: -b }, pen: DIMENSION },
    ...[a, b].map((z): Ink => ({ kind: 'line', from: { x: x - 0.8, y: -z + 0.8 }, to: { x: x + 0.8, y: -z - 0.8 }, pen: LINE })), // prettier-ignore
    ...(Math.abs(b - a) > text.length * LETTER
      ? [{ kind: 'text' as const, at: { x: x - 1, y: middle }, text, size: 2.8, align: 'middle' as const, upright: true }] // prettier-ignore
      : d.side === 'right' && alone
        ? [{ kind: 'text' as const, at: { x: x + 1.5, y: middle + 1 }, text, size: 2.8 }]
        : []),
  ]
}

/** The room that a view's dimensions take on each side of it, mm on paper. */
export function roomOf({ dimensions }: View): Sides {
  const side = (name: Dimension['side']): number =>
    CLEAR[name] + ROW * Math.max(0, ...dimensions.filter((d) => d.side === name).map((d) => d.row + 1))
  return { top: side('top'), right: side('right') + ASIDE, bottom: side('bottom'), left: side('left') }
}
