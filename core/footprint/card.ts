import { moved, outlineBounds, unite, type Bounds, type Point } from '../geometry/outline'
import type { View } from './body'
import type { Card, CardLine, Silhouette } from './kind'

/** Where a field is measured in a view: between two points, the line drawn there or set off to one side of the tool. */
export interface Measure {
  view: View
  from: Point
  to: Point
  place: 'above' | 'below' | 'left' | 'right' | 'in'
}

/** A length across a view, at a height. */
export const across = (view: View, x0: number, x1: number, y: number, place: Measure['place'] = 'above'): Measure => ({
  view,
  from: { x: x0, y },
  to: { x: x1, y },
  place,
})

/** A length up a view, at a place across. */
export const up = (view: View, y0: number, y1: number, x: number, place: Measure['place'] = 'left'): Measure => ({
  view,
  from: { x, y: y0 },
  to: { x, y: y1 },
  place,
})

const CAPTIONS: Record<View, string> = { side: 'from its side', face: 'looking at its face', top: 'from above' }

const spanOf = (m: Measure) => Math.abs(m.to.x - m.from.x) + Math.abs(m.to.y - m.from.y)

/** Distance of each measure's line from the tool, counted in lines outwards: the shortest next to the tool. */
function ranks(measures: [string, Measure][]): Map<string, number> {
  const rank = new Map<string, number>()
  for (const place of ['above', 'below', 'left', 'right'] as const) {
    const here = measures.filter(([, m]) => m.place === place).sort((a, b) => spanOf(a[1]) - spanOf(b[1]))
    const rows: [number, number][][] = []
    for (const [field, m] of here) {
      const flat = place === 'above' || place === 'below'
      const ends = flat ? [m.from.x, m.to.x] : [m.from.y, m.to.y]
      const [low, high] = [Math.min(...ends), Math.max(...ends)]
      let row = rows.findIndex((taken) => taken.every(([a, b]) => high <= a + 1e-9 || low >= b - 1e-9))
      if (row < 0) row = rows.push([]) - 1
      rows[row]!.push([low, high])
      rank.set(field, row + 1)
    }
  }
  return rank
}

/** How far a line is set off to the left of its direction so that it comes to stand in its row outside the box. */
function offsetOf(m: Measure, box: Bounds, row: number, step: number): number {
  const out = (row - 0.3) * step
  if (m.place === 'above') return box.maxY + out - m.from.y
  if (m.place === 'below') return -(m.from.y - box.minY + out)
  if (m.place === 'left') return m.from.x - box.minX + out
  if (m.place === 'right') return -(box.maxX + out - m.from.x)
  return 0
}

/**
 * The drawing of a measuring card: the views in which something is measured beside each other, each with its lines set
 * off in rows round it.
 * @param order of the views, from left to right
 */
export function cardOf(
  silhouette: Silhouette,
  measures: Record<string, Measure>,
  captions: Partial<Record<View, string>>,
): Card {
  const list = Object.entries(measures)
  const views = (['side', 'face', 'top'] as const).filter((v) => list.some(([, m]) => m.view === v))
  const boxes = new Map(views.map((v) => [v, unite(silhouette[v].map((s) => outlineBounds(s.outline)))!]))
  const size = Math.max(...[...boxes.values()].map((b) => Math.max((b.maxX - b.minX) * 0.62, b.maxY - b.minY)))
  const step = size / 8
  const card: Card = { shapes: [], lines: [], captions: [], views: [] }
  const rank = new Map(views.flatMap((view) => [...ranks(list.filter(([, m]) => m.view === view))]))
  const rows = (view: View, place: Measure['place']) =>
    Math.max(0, ...list.filter(([, m]) => m.view === view && m.place === place).map(([field]) => rank.get(field)!))
  // captions stand on one line, under the lowest dimension line of any view
  const foot = Math.min(...views.map((view) => boxes.get(view)!.minY - (rows(view, 'below') + 0.6) * step))
  let right = 0
  for (const view of views) {
    const here = list.filter(([, m]) => m.view === view)
    const box = boxes.get(view)!
    const left = rows(view, 'left') * step * 1.7
    const dx = right + left - box.minX
    card.views.push({ view, at: { x: dx, y: 0 } })
    card.shapes.push(...silhouette[view].map((s) => ({ part: s.part, outline: moved(s.outline, dx, 0) })))
    for (const [field, m] of here) {
      const shift = (p: Point): Point => ({ x: p.x + dx, y: p.y })
      // lines at a side run upwards, others to the right, so that 'left of the direction' is out and up
      const turn = m.from.x > m.to.x + 1e-9 || (Math.abs(m.from.x - m.to.x) < 1e-9 && m.from.y > m.to.y)
      const [from, to] = turn ? [m.to, m.from] : [m.from, m.to]
      const wide = m.place === 'left' || m.place === 'right' ? 1.7 : 1
      const line: CardLine = {
        field,
        from: shift(from),
        to: shift(to),
        offset: offsetOf(m, box, rank.get(field) ?? 0, step * wide),
      }
      card.lines.push(line)
    }
    card.captions.push({
      text: captions[view] ?? CAPTIONS[view],
      at: { x: (box.minX + box.maxX) / 2 + dx, y: foot },
    })
    right += left + (box.maxX - box.minX) + rows(view, 'right') * step * 1.7 + step * 1.2
  }
  return card
}
