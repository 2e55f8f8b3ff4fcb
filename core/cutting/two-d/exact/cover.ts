import { has } from '../plain/bits'
import type { Found } from '../plain/found'

/**
 * Sheets that together hold each piece once: always the piece that the fewest hold of those that go with the ones chosen is given
 * one of them (D. E. Knuth, Dancing links, 2000).
 * @param pieces how many there are
 * @param nodes so many are chosen at most
 * @returns the sheets by their place among those found; null where there are none, or none were met by then
 */
export function covering(found: Found, pieces: number, nodes: number, over: () => boolean): number[] | null {
  let left = nodes
  const holding = new Int32Array(pieces)
  const choose = (going: Int32Array, covered: Int32Array): number[] | null => {
    const rarest = rarestIn(found, going, covered, holding)
    if (rarest === ALL) return []
    if (rarest === NONE || left-- <= 0 || over()) return null
    for (const sheet of going) {
      if (!found.holds(sheet, rarest)) continue
      const now = covered.slice()
      found.addTo(now, sheet)
      const others = choose(
        going.filter((other) => !found.meet(sheet, other)),
        now,
      )
      if (others) return [sheet, ...others]
      if (left <= 0) return null
    }
    return null
  }
  return choose(
    Int32Array.from({ length: found.top }, (_, i) => i),
    new Int32Array(found.words),
  )
}

/** All pieces are covered; or one is in no sheet any more. */
const [ALL, NONE] = [-1, -2]

function rarestIn(found: Found, going: Int32Array, covered: Int32Array, holding: Int32Array): number {
  holding.fill(0)
  found.count(going, going.length, holding)
  let rarest = ALL
  for (let piece = 0; piece < holding.length; piece++) {
    if (has(covered, 0, piece)) continue
    if (holding[piece] === 0) return NONE
    if (rarest < 0 || holding[piece]! < holding[rarest]!) rarest = piece
  }
  return rarest
}
