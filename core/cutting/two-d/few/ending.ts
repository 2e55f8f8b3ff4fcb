import type { Means } from '../../means'
import { AllWays, FEW } from '../all-ways'
import type { Lying } from '../blocks'
import type { Shape, Sheet } from '../sheets'
import { piecesIn } from '../plain/bits'
import type { Found } from '../plain/found'
import { lyingFull, lyingQuickly } from './lying'
import { BestSets } from './best-sets'
import type { Pool } from './pool'
import { SetsOfSheets, type Course, type Open } from './sets'

/** So many sets are found each time, of the best and of all, the likeliest of which are gone on with. */
const GATHER = 500

/**
 * With each piece more there are so many times as many ways to cut a sheet, times their number; to go through them takes so many
 * times as long; and each has to come out within what may be wasted, which is no less than this part of the sheet.
 */
const WAYS = 1.4
const TIME = 3
const NEXT_TO_NONE = 1e-4

/**
 * The last sheet is filled so often each time, with as many pieces as all ways are for, or with more, for which sides must agree;
 * three times as often with one less.
 */
const LASTS = 10

/** A little beyond what may be wasted, mm². */
const NOTHING = 1

/** Where some of the pieces lie that fill a sheet. @param waste what they do, mm²; null where it should turn out that they can't, or the time is up */
export function lyingOf(
  held: readonly number[],
  pieces: readonly Shape[],
  sheet: Sheet,
  waste: number,
  over: () => boolean,
): Lying[] | null {
  const shapes = held.map((p) => pieces[p]!)
  const lying = lyingFull(shapes, sheet, waste, over)
  return lying && lying.map((l) => ({ ...l, piece: held[l.piece]! }))
}

/** The pieces that one of the full sheets holds. */
export const heldIn = ({ sets, words }: Found, at: number, pieces: number): number[] =>
  piecesIn(sets.subarray(at * words, (at + 1) * words), pieces, true)

/** Chooses of the full sheets listed such as go together, and fills the last one with what they leave by all ways. */
export class Ending {
  private readonly allWays = new AllWays()
  /** Pieces that the last sheet was tried with. */
  private readonly tried = new Set<string>()

  /** @param ofBest so much is done for sets of the best, each time before sets of all are gone through; 0 for none of it */
  constructor(
    private readonly sheet: Sheet,
    private readonly means: Means,
    private readonly ofBest = 0,
  ) {}

  /**
   * @param names of the pieces that are listed, by which they are known from one time to the next
   * @param count how many sheets there are for them, @param slack what those may waste in all, mm²
   * @returns where the pieces of each sheet lie, and whether all sets were gone through
   */
  of(
    pieces: readonly Shape[],
    names: readonly number[],
    pool: Pool,
    count: number,
    slack: number,
    course: Course,
  ): { laid: Lying[][] | null; ended: boolean } {
    const { sheet, means } = this
    const sheets = { area: sheet.area, count, slack: slack + NOTHING, cost: pool.mayCost + NOTHING }
    const open: { chosen: readonly number[]; left: number[]; hope: number }[] = []
    const gather = (most: number) => (set: Open) => {
      const left = piecesIn(set.covered, pieces.length, false)
      const name = left.map((p) => names[p]!).join()
      if (this.tried.has(name)) return false
      this.tried.add(name)
      open.push({ chosen: set.chosen, left, hope: this.hopeOf(pieces, left) })
      return open.length === most
    }
    if (this.ofBest > 0) new BestSets(pool, sheets, means.over).leavingOne(this.ofBest, gather(GATHER))
    const ended = new SetsOfSheets(pieces, pool, sheets, means).leavingOne(course, gather(open.length + GATHER))
    open.sort((a, b) => b.hope - a.hope)
    let lasts = 0
    for (const { chosen, left } of open) {
      const last = this.last(pieces, left)
      const full = last && chosen.map((at) => this.lyingIn(pool, at, pieces))
      if (full?.every((lying) => lying !== null)) return { laid: [...full, last!], ended }
      lasts += 3 ** Math.min(0, left.length - FEW)
      if (lasts > LASTS || means.over()) break
    }
    return { laid: null, ended }
  }

  /** How likely some pieces fill a sheet, for the time that it takes to tell: the logarithm of what it is in proportion to. */
  private hopeOf(pieces: readonly Shape[], left: readonly number[]): number {
    const { area } = this.sheet
    const spare = (area - left.reduce((sum, p) => sum + pieces[p]!.area, 0)) / area
    return left.reduce(
      (sum, _, i) => sum + Math.log(((i + 1) * WAYS) / TIME),
      (left.length - 1) * Math.log(Math.max(NEXT_TO_NONE, spare)),
    )
  }

  private lyingIn({ found, wasted }: Pool, at: number, pieces: readonly Shape[]): Lying[] | null {
    return lyingOf(heldIn(found, at, pieces.length), pieces, this.sheet, wasted[at]!, this.means.over)
  }

  /** By all ways, but for such as waste much in a small part; then by blocks whose sides agree, which may waste it anywhere. */
  private last(pieces: readonly Shape[], left: readonly number[]): Lying[] | null {
    if (left.length === 0) return []
    const { sheet, means } = this
    const shapes = left.map((p) => pieces[p]!)
    const problem = { shapes, pieces: shapes.map((_, i) => i), sheets: [sheet] }
    const waste = sheet.area - shapes.reduce((sum, { area }) => sum + area, 0)
    const lying = this.allWays.fill(problem, sheet, means.over) ?? lyingQuickly(shapes, sheet, waste, means.over)
    return lying && lying.map((l) => ({ ...l, piece: left[l.piece]! }))
  }
}
