import type { Shop } from '../../shop/shop'
import { rowsOn, type Row } from '../strips'
import type { Wall } from '../wall'
import { freeBetween, type Stretch } from './stretches'

/** One length of strip on the wall. mm */
export interface StripPiece extends Stretch {
  /** number of its row from below, and of itself in the row from the left; from 1 */
  row: number
  place: number
  low: number
  high: number
  /** where its screws are, along the wall */
  screws: number[]
}

/** Shorter pieces are not put up, mm. */
export const SHORTEST = 150

/** A joint leaves at least so much for the next piece, where a stud allows it; mm. */
const LEAST_REST = 400

/** A screw keeps so far from a strip's end, mm. */
export const FROM_END = 20

/** A long stretch in pieces no longer than the stock, each joint on a stud where there is one. */
function joined({ from, to }: Stretch, studs: readonly number[], longest: number): Stretch[] {
  const pieces: Stretch[] = []
  let at = from
  while (to - at > longest + 1e-6) {
    const within = studs.filter((s) => s > at + SHORTEST && s <= at + longest)
    // the last one that leaves enough for the next piece
    const stud = within.filter((s) => to - s >= LEAST_REST).at(-1) ?? within.at(-1)
    const next = stud ?? at + longest
    pieces.push({ from: at, to: next })
    at = next
  }
  return [...pieces, { from: at, to }]
}

/** Screws of a piece: on every stud, and beside a joint on it. */
const screwsOf = ({ from, to }: Stretch, studs: readonly number[]): number[] =>
  studs
    .filter((s) => s >= from - 1e-6 && s <= to + 1e-6)
    .map((s) => Math.min(Math.max(s, from + FROM_END), to - FROM_END))
    .filter((x) => x >= from + FROM_END - 1e-6 && x <= to - FROM_END + 1e-6)

/** Keep-outs of strips: an outlet and a switch want room, a window's and a door's frame a little. */
const ROOM_AT_FRAME = 10

/** Every piece of strip that goes up a wall, from below, from the left. @param longest that the stock gives, mm */
export function stripPieces(wall: Wall, shop: Shop, longest: number): StripPiece[] {
  const studs = [...wall.studs].sort((a, b) => a - b)
  const keep = (t: { kind: string }): number => t.kind === 'outlet' || t.kind === 'switch' ? shop.settings.outletKeep : t.kind === 'bench' ? 0 : ROOM_AT_FRAME // prettier-ignore
  return rowsOn(wall, shop).flatMap(({ low, high }: Row, i) =>
    freeBetween(wall, low, high, keep)
      .flatMap((s) => joined(s, studs, longest))
      .filter((s) => s.to - s.from >= SHORTEST)
      .map((s, n): StripPiece => ({ ...s, row: i + 1, place: n + 1, low, high, screws: screwsOf(s, studs) })),
  )
}
