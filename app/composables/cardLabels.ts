import type { Point } from '#core/geometry/outline'

/** A dimension line on a card, px, and what is written at it. */
export interface LabelledLine {
  a: Point
  b: Point
  text: string
}

interface Box {
  x0: number
  x1: number
  y0: number
  y1: number
}

/** Height of a label, width of a character of it, and room round it, px. */
const HIGH = 17
const CHARACTER = 6.8
const ROOM = 8

/** What is worst for a label: to cover another one, to leave the drawing, to cover another line, to cover a tool. */
const COST = { label: 40, outside: 60, line: 6, shape: 1.5, aside: 1 }

const boxAt = (at: Point, width: number): Box => ({
  x0: at.x - width / 2,
  x1: at.x + width / 2,
  y0: at.y - HIGH / 2,
  y1: at.y + HIGH / 2,
})
const meet = (a: Box, b: Box) => a.x0 < b.x1 && b.x0 < a.x1 && a.y0 < b.y1 && b.y0 < a.y1
const along = ({ a, b }: LabelledLine): Box => ({
  x0: Math.min(a.x, b.x) - 1,
  x1: Math.max(a.x, b.x) + 1,
  y0: Math.min(a.y, b.y) - 1,
  y1: Math.max(a.y, b.y) + 1,
})

/** Where a label could stand: on its line, or beside it; the likeliest first. */
function places({ a, b }: LabelledLine, width: number): Point[] {
  const at = (t: number): Point => ({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t })
  const aside = width / 2 + 4
  if (Math.abs(a.x - b.x) < 1) {
    const long = Math.abs(a.y - b.y) > HIGH + 10
    const on = long ? [at(0.5), at(0.3), at(0.7)] : []
    const [top, foot] = [Math.min(a.y, b.y), Math.max(a.y, b.y)]
    const beyond = [
      { x: a.x, y: top - HIGH / 2 - 3 },
      { x: a.x, y: foot + HIGH / 2 + 3 },
    ]
    return [...on, { x: a.x + aside, y: at(0.5).y }, { x: a.x - aside, y: at(0.5).y }, ...beyond]
  }
  const long = Math.abs(a.x - b.x) > width + 12
  const [left, right] = [Math.min(a.x, b.x), Math.max(a.x, b.x)]
  const on = long ? [at(0.5), at(0.3), at(0.7)] : []
  return [
    ...on,
    { x: right + aside, y: a.y },
    { x: left - aside, y: a.y },
    { x: at(0.5).x, y: a.y - HIGH / 2 - 3 },
    { x: at(0.5).x, y: a.y + HIGH / 2 + 3 },
  ]
}

/**
 * Finds a place for the label of each line, one after the other, so that none covers another one or another's line.
 * @param shapes boxes round what is drawn, px
 * @returns the middle of each label and its width, px
 */
export function placeLabels(
  lines: readonly LabelledLine[],
  shapes: readonly Box[],
  size: { width: number; height: number },
): { at: Point; width: number }[] {
  const taken: Box[] = []
  return lines.map((line, own) => {
    const width = line.text.length * CHARACTER + ROOM
    const cost = (at: Point, rank: number) => {
      const box = boxAt(at, width)
      const out = box.x0 < 0 || box.y0 < 0 || box.x1 > size.width || box.y1 > size.height
      return (
        taken.filter((t) => meet(t, box)).length * COST.label +
        lines.filter((l, i) => i !== own && meet(along(l), box)).length * COST.line +
        shapes.filter((s) => meet(s, box)).length * COST.shape +
        (out ? COST.outside : 0) +
        rank * COST.aside
      )
    }
    const options = places(line, width).map((at, rank) => ({ at, cost: cost(at, rank) }))
    const best = options.reduce((a, b) => (b.cost < a.cost ? b : a))
    taken.push(boxAt(best.at, width))
    return { at: best.at, width }
  })
}
