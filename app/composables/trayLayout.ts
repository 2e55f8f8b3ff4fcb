import { USES } from '#core/footprint/tool'
import type { Standing } from './tools'

export const SORTS = [
  { value: 'group', label: 'by group' },
  { value: 'use', label: 'by how often used' },
  { value: 'place', label: 'without a place first' },
  { value: 'size', label: 'largest first' },
  { value: 'name', label: 'by name' },
] as const
export type Sort = (typeof SORTS)[number]['value']

/** Tools that stand together under a heading. */
export interface Heap {
  name: string
  all: Standing[]
}

const collator = new Intl.Collator('en', { numeric: true })
const byName = (a: Standing, b: Standing) => collator.compare(a.tool.name, b.tool.name)
const sizeOf = ({ box }: Standing) => Math.max(box.maxX - box.minX, box.maxY - box.minY)

function heapsBy(all: readonly Standing[], name: (s: Standing) => string): Heap[] {
  const heaps = new Map<string, Standing[]>()
  for (const s of all) {
    const heap = heaps.get(name(s))
    if (heap) heap.push(s)
    else heaps.set(name(s), [s])
  }
  return [...heaps].map(([key, list]) => ({ name: key, all: list }))
}

/** Tools in the order asked for, under their headings. @param housed true for a tool that has a place in a holder */
export function heapsOf(all: readonly Standing[], sort: Sort, housed: (id: string) => boolean): Heap[] {
  if (sort === 'group') {
    const heaps = heapsBy(all, (s) => s.tool.group)
    heaps.sort((a, b) => (a.name === '' ? 1 : b.name === '' ? -1 : collator.compare(a.name, b.name)))
    return heaps.map((h) => ({ ...h, name: h.name || 'No group yet' }))
  }
  const sorted = [...all].sort(byName)
  if (sort === 'use') {
    const heaps = heapsBy(sorted, (s) => s.tool.use)
    return heaps.sort((a, b) => USES.indexOf(a.name as 'daily') - USES.indexOf(b.name as 'daily'))
  }
  if (sort === 'place') {
    const heaps = heapsBy(sorted, (s) => (housed(s.tool.id) ? 'In a holder' : 'No place yet'))
    return heaps.sort((a) => (a.name === 'No place yet' ? -1 : 1))
  }
  if (sort === 'size') return [{ name: 'Largest first', all: [...all].sort((a, b) => sizeOf(b) - sizeOf(a)) }]
  return [{ name: 'By name', all: sorted }]
}

/** Part of a heap that stands in one row. */
export interface Stretch {
  heap: string
  /** how many are in the whole heap, where it begins here; nought where it goes on */
  count: number
  cells: { stand: Standing; width: number }[]
}

/** One row of the tray, all of it hung on one line. px */
export interface TrayRow {
  stretches: Stretch[]
  above: number
  below: number
  height: number
}

const sameStretch = (a: Stretch, b: Stretch) =>
  a.heap === b.heap &&
  a.count === b.count &&
  a.cells.length === b.cells.length &&
  a.cells.every((c, i) => c.stand === b.cells[i]!.stand && c.width === b.cells[i]!.width)

/** Rows as they were, wherever they show the same, so that nothing of them is drawn anew. */
export const keepRows = (before: readonly TrayRow[], now: readonly TrayRow[]): TrayRow[] =>
  now.map((row, i) => {
    const old = before[i]
    const same = old && old.height === row.height && old.stretches.length === row.stretches.length
    return same && old.stretches.every((s, j) => sameStretch(s, row.stretches[j]!)) ? old : row
  })

/** Room round a silhouette, the least width of a cell, between two heaps, for a heading, and for a tool's name; px */
export const ROOM = 14
const LEAST = 106
const BETWEEN = 30
const HEADING = 34
const LABEL = 64

/** A cell's width, px. @param scale px a mm */
const widthOf = ({ box }: Standing, scale: number) => Math.max(LEAST, (box.maxX - box.minX) * scale + 2 * ROOM) + 10

/**
 * Puts heaps in rows of a width: small ones side by side, large ones over several rows.
 * @param width px, @param scale px a mm
 */
export function rowsOf(heaps: readonly Heap[], width: number, scale: number): TrayRow[] {
  const rows: Stretch[][] = []
  let row: Stretch[] = []
  let used = 0
  const end = () => {
    if (row.length > 0) rows.push(row)
    row = []
    used = 0
  }
  for (const heap of heaps) {
    const cells = heap.all.map((stand) => ({ stand, width: widthOf(stand, scale) }))
    const whole = cells.reduce((sum, c) => sum + c.width, 0)
    if (row.length > 0 && used + BETWEEN + Math.min(whole, width) > width) end()
    let stretch: Stretch = { heap: heap.name, count: heap.all.length, cells: [] }
    if (row.length > 0) used += BETWEEN
    row.push(stretch)
    for (const cell of cells) {
      if (used + cell.width > width && stretch.cells.length > 0) {
        end()
        stretch = { heap: heap.name, count: 0, cells: [] }
        row.push(stretch)
      }
      stretch.cells.push(cell)
      used += cell.width
    }
  }
  end()
  return rows.map((stretches): TrayRow => {
    const all = stretches.flatMap((s) => s.cells.map((c) => c.stand.box))
    const above = Math.max(0, ...all.map((b) => b.maxY)) * scale + ROOM + 20
    const below = Math.max(0, ...all.map((b) => -b.minY)) * scale + ROOM / 2
    const heading = stretches.some((s) => s.count > 0) ? HEADING : 0
    return { stretches, above, below, height: heading + above + below + LABEL }
  })
}
