import type { Shop } from '../../shop/shop'
import { bearersOf, frameOn } from '../holding'
import { FRAME_EDGE, rowsOn, type Row, type Strips } from '../strips'
import type { Wall } from '../wall'
import { freeBetween, type Stretch } from './stretches'

/** A stretch of a row that strip is on without a gap. mm */
export interface StripRun extends Stretch {
  /** number of its row from below, from 1 */
  row: number
  low: number
  high: number
}

/** One length of strip on the wall. mm */
export interface StripPiece extends StripRun {
  /** its number in the row from the left, from 1 */
  place: number
  /** where its screws are, along the wall */
  screws: number[]
}

/** What places reckoned in inches may be out by and still be the same, mm. */
const SAME = 1e-6

/** Shorter pieces are not put up, mm. */
export const SHORTEST = 150

/** A joint leaves at least so much for the next piece, where a stud allows it; mm. */
const LEAST_REST = 400

/** A screw keeps so far from a strip's end, mm. */
export const FROM_END = 20

/** A long stretch in pieces no longer than the stock, each joint on a stud where there is one. */
export function joined({ from, to }: Stretch, studs: readonly number[], longest: number): Stretch[] {
  const pieces: Stretch[] = []
  let at = from
  while (to - at > longest + SAME) {
    const within = studs.filter((s) => s > at + SHORTEST && s <= at + longest + SAME)
    // the last one by which both pieces are held twice, and no more of them are wanted; else that leaves enough for the next piece
    const after = (s: number): number => Math.ceil((to - s) / longest - 1e-9)
    const fewest = Math.min(...within.map(after))
    const held = (s: number): boolean => twice({ from: at, to: s }, studs) && (after(s) > 1 || twice({ from: s, to }, studs)) // prettier-ignore
    const stud = within.filter((s) => after(s) === fewest && held(s)).at(-1) ?? within.filter((s) => to - s >= LEAST_REST).at(-1) ?? within.at(-1) // prettier-ignore
    const next = stud ?? at + longest
    pieces.push({ from: at, to: next })
    at = next
  }
  return [...pieces, { from: at, to }]
}

/** Screws of a piece: on every stud, and beside a joint on it. */
export const screwsOf = ({ from, to }: Stretch, studs: readonly number[]): number[] =>
  studs
    .filter((s) => s >= from - 1e-6 && s <= to + 1e-6)
    .map((s) => Math.min(Math.max(s, from + FROM_END), to - FROM_END))
    .filter((x) => x >= from + FROM_END - 1e-6 && x <= to - FROM_END + 1e-6)

const twice = (piece: Stretch, studs: readonly number[]): boolean => screwsOf(piece, studs).length > 1

/** Keep-outs of strips: an outlet and a switch want room, a window's and a door's frame a little. */
const ROOM_AT_FRAME = 10

/** A stretch in short pieces; every other row begins half a step further on. None is cut to less than half. */
function shortPieces({ from, to }: Stretch, row: number, { piece = 0, apart = 0 }: Strips): Stretch[] {
  if (piece <= 0) return [{ from, to }]
  const long = Math.max(piece, SHORTEST)
  const step = long + apart
  const first = row % 2 === 1 ? from : from - step / 2
  return Array.from({ length: Math.ceil((to - first) / step) }, (_, i) => ({
    from: Math.max(from, first + i * step),
    to: Math.min(to, first + i * step + long),
  })).filter((s) => s.to - s.from >= long / 2)
}

/** What of a stretch is on a framed panel; all of it on a wall without. */
function onFrame(wall: Wall, { from, to }: Stretch): Stretch[] {
  if (wall.holds !== 'framed') return [{ from, to }]
  const { x, width } = frameOn(wall)
  const within = { from: Math.max(from, x + FRAME_EDGE), to: Math.min(to, x + width - FRAME_EDGE) }
  return within.to > within.from ? [within] : []
}

/** Where strip is on a wall, from below, from the left; joints don't part it. */
export function stripRuns(wall: Wall, shop: Shop): StripRun[] {
  const keep = (t: { kind: string }): number => t.kind === 'outlet' || t.kind === 'switch' ? shop.settings.outletKeep : t.kind === 'bench' ? 0 : ROOM_AT_FRAME // prettier-ignore
  return rowsOn(wall, shop).flatMap(({ low, high }: Row, i) =>
    freeBetween(wall, low, high, keep)
      .flatMap((s) => onFrame(wall, s))
      .flatMap((s) => shortPieces(s, i + 1, wall.strips))
      .filter((s) => s.to - s.from >= SHORTEST)
      .map((s): StripRun => ({ ...s, row: i + 1, low, high })),
  )
}

/** Every piece of strip that goes up a wall, from below, from the left. @param longest that the stock gives, mm */
export function stripPieces(wall: Wall, shop: Shop, longest: number): StripPiece[] {
  const studs = bearersOf(wall)
  const inRow = new Map<number, number>()
  return stripRuns(wall, shop).flatMap((run) =>
    joined(run, studs, longest)
      .filter((s) => s.to - s.from >= SHORTEST)
      .map((s): StripPiece => {
        const place = (inRow.get(run.row) ?? 0) + 1
        inRow.set(run.row, place)
        return { ...run, ...s, place, screws: screwsOf(s, studs) }
      }),
  )
}
