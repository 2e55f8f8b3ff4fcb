import type { Row } from './lists'
import { placesOf, type Place } from './places'

/** A rectangle of a piece of stock, mm from its corner. */
export interface SoundPart {
  x: number
  y: number
  length: number
  width: number
}

/** Nothing is cut from less than this, mm. */
const LEAST = 10

const area = (parts: readonly SoundPart[]): number => parts.reduce((sum, p) => sum + (p.length * p.width) ** 2, 0)

/**
 * What is sound of a piece of stock, parted from the places to be kept clear by cuts from edge to edge; of all ways to
 * part it the one that leaves the largest pieces. The blade runs in the spoilt wood.
 * @param width 0 where the stock has none: only the places along it count
 */
export function soundParts(length: number, width: number, places: readonly Place[], kerf: number): SoundPart[] {
  const wide = width || LEAST
  const inside = places.map((p) => (width ? p : { ...p, low: 0, high: Infinity }))
  return parted({ x: 0, y: 0, length, width: wide }, inside, kerf).map((p) => (width ? p : { ...p, width: 0 }))
}

/** The largest sound rectangle of an offcut; null where it has none, or no width. */
export function largestSound(offcut: Row<'offcuts'>): SoundPart | null {
  if (offcut.width === null) return null
  const parts = soundParts(offcut.length, offcut.width, placesOf(offcut.noGo), 0)
  return parts.sort((a, b) => b.length * b.width - a.length * a.width)[0] ?? null
}

function parted(part: SoundPart, places: readonly Place[], kerf: number): SoundPart[] {
  if (part.length < LEAST || part.width < LEAST) return []
  const [x1, y1] = [part.x + part.length, part.y + part.width]
  const here = places.filter((p) => p.to > part.x && p.from < x1 && p.high > part.y && p.low < y1)
  const [first] = here
  if (!first) return [part]
  const [from, to] = [Math.max(first.from, part.x), Math.min(first.to, x1)]
  const [low, high] = [Math.max(first.low, part.y), Math.min(first.high, y1)]
  // an end of the place at an edge needs no cut
  const [inFrom, inTo] = [from > part.x ? from + kerf : from, to < x1 ? to - kerf : to]
  const [inLow, inHigh] = [low > part.y ? low + kerf : low, high < y1 ? high - kerf : high]
  const box = (x: number, y: number, far: number, up: number): SoundPart => ({ x, y, length: far - x, width: up - y })
  const ways: SoundPart[][] = [
    [
      box(part.x, part.y, from, y1),
      box(to, part.y, x1, y1),
      box(inFrom, part.y, inTo, low),
      box(inFrom, high, inTo, y1),
    ],
    [
      box(part.x, part.y, x1, low),
      box(part.x, high, x1, y1),
      box(part.x, inLow, from, inHigh),
      box(to, inLow, x1, inHigh),
    ],
  ]
  return ways
    .map((way) => way.flatMap((p) => parted(p, here, kerf)))
    .reduce((best, way) => (area(way) > area(best) ? way : best))
}
