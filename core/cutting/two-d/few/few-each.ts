import type { Means } from '../../means'
import { AllWays, FEW } from '../all-ways'
import type { Lying } from '../blocks'
import type { Layout } from '../layout'
import { areaOfAll, mostDiffer, roomOf, stockWithin, type Problem, type Shape, type Sheet } from '../sheets'
import { piecesIn } from '../plain/bits'
import { Found } from '../plain/found'
import { FullOfFew } from './full'
import { lyingFull } from './lying'
import { SetsOfSheets, type Open } from './sets'

/** So few pieces a sheet on average, and so many in all. */
const FEW_EACH = 10
const MOST_PIECES = 150

/** Where a sheet may waste this part of a piece on average, sheets are best filled one by one. */
const ONE_BY_ONE = 0.25

/** Of what a sheet may waste on average a full one wastes this part at first, but no more than this part of it; then more and more. */
const FIRST = 0.75
const LITTLE = 0.025
const WIDER = 1.12

/** Where there are too many of those, it begins with half of it, but with this at least, which is nothing: mm². */
const NOTHING = 1

/** How many blocks are laid to find full sheets: that takes one to two seconds. */
const BLOCKS = 1_000_000

/** How many sheets are chosen in a round; and after each second one at first, more where that comes to its end. */
const CHOSEN = 150_000
const AFTER_TWO = 100
const MORE = 4

/** The last sheet is filled so often in a round, with as many pieces as all ways are for; three times as often with one less. */
const LASTS = 10

/**
 * Fills equal sheets with few pieces each. There all sets of pieces that fill a sheet with little waste can be listed, thousands
 * of them; of those such are chosen that go together, and what is left of the last sheet is filled by all ways. With each round
 * full sheets may waste a little more, until there are too many.
 */
export class FewEach {
  private readonly pieces: readonly Shape[]
  private readonly kind: number
  private readonly sheet: Sheet
  private readonly sheets: number
  /** What all sheets may waste, mm². */
  private readonly slack: number
  private readonly allWays = new AllWays()
  /** What a full sheet may waste, mm². */
  private most: number
  private found: Found | null = null
  /** With more waste there are too many full sheets. */
  private isWidest = false
  /** Of the full sheets such were found that go together and leave one sheet. */
  private goTogether = false
  private afterTwo = AFTER_TWO
  /** Pieces that the last sheet was tried with. */
  private readonly tried = new Set<string>()

  /** Whether it is of use: more than two equal sheets, with few pieces each, most of which differ, and little to be wasted. */
  static isFor(problem: Problem, stock: readonly number[]): boolean {
    const { pieces } = problem
    const isFew = pieces.length <= Math.min(MOST_PIECES, FEW_EACH * stock.length)
    const room = roomOf(problem, stock)
    const isLittle = ((room - areaOfAll(problem)) / room) * pieces.length < ONE_BY_ONE * stock.length
    return stock.length > 2 && isFew && mostDiffer(problem) && isLittle && stock.every((s) => s === stock[0])
  }

  /** @param limit what the sheets may cost, mm² */
  constructor(
    problem: Problem,
    limit: number,
    private readonly means: Means,
  ) {
    const stock = stockWithin(problem, limit)
    this.pieces = problem.pieces.map((p) => problem.shapes[p]!)
    this.kind = stock[0]!
    this.sheet = problem.sheets[this.kind]!
    this.sheets = stock.length
    this.slack = this.sheets * this.sheet.area - areaOfAll(problem)
    this.most = Math.max(NOTHING, Math.min((FIRST * this.slack) / this.sheets, LITTLE * this.sheet.area))
  }

  /** How many full sheets are listed. */
  get listed(): number {
    return this.found?.top ?? 0
  }

  /** @returns a plan with all pieces; null where this round came to none */
  next(): Layout | null {
    if (this.slack < 0) return null
    if (!this.isWidest) this.list()
    const laid = this.found && this.choose(this.found)
    if (!laid) return null
    const used = laid.filter((lying) => lying.length > 0)
    return {
      laid: used.map((lying) => ({ sheet: this.kind, lying })),
      left: [],
      cost: used.length * this.sheet.cost,
    }
  }

  /** Lists full sheets; where there are too many for all, those of the time before are better, if any of them go together. */
  private list(): void {
    const { pieces, sheet, slack, most, means } = this
    const full = new FullOfFew(pieces, sheet, most)
    const found = new Found(full.blocks.words)
    const all = full.all({ blocks: BLOCKS, over: means.over }, (set, waste) => found.add(set, waste))
    if (!all && !this.found && most > NOTHING) {
      this.most = Math.max(NOTHING, most / 2)
      return
    }
    this.isWidest = !all || most >= slack
    this.most *= WIDER
    if (!all && this.goTogether) return
    this.found = found
    this.afterTwo = AFTER_TWO
  }

  /** Chooses full sheets that go together. @returns where the pieces of each sheet lie */
  private choose(found: Found): Lying[][] | null {
    const { pieces, sheet, sheets, slack, means } = this
    const sets = new SetsOfSheets(pieces, found, { area: sheet.area, count: sheets, slack: slack + NOTHING }, means)
    let laid: Lying[][] | null = null
    let [open, lasts] = [0, 0]
    const ended = sets.leavingOne({ chosen: CHOSEN, afterTwo: this.afterTwo }, (set) => {
      open++
      const left = piecesIn(set.covered, pieces.length, false)
      const name = left.join()
      if (left.length > FEW || this.tried.has(name)) return false
      this.tried.add(name)
      laid = this.withLast(found, set, left)
      lasts += 3 ** (left.length - FEW)
      return laid !== null || lasts > LASTS
    })
    if (ended) this.afterTwo *= MORE
    this.goTogether = open > 0
    return laid
  }

  private withLast(found: Found, { chosen }: Open, left: readonly number[]): Lying[][] | null {
    const last = this.last(left)
    return last && [...chosen.map((c) => this.lyingIn(found, c)), last]
  }

  private last(left: readonly number[]): Lying[] | null {
    if (left.length === 0) return []
    const shapes = left.map((p) => this.pieces[p]!)
    const problem = { shapes, pieces: shapes.map((_, i) => i), sheets: [this.sheet] }
    const lying = this.allWays.fill(problem, this.sheet, this.means.over)
    return lying && lying.map((l) => ({ ...l, piece: left[l.piece]! }))
  }

  private lyingIn({ sets, words, waste }: Found, at: number): Lying[] {
    const held = piecesIn(sets.subarray(at * words, (at + 1) * words), this.pieces.length, true)
    const shapes = held.map((p) => this.pieces[p]!)
    return lyingFull(shapes, this.sheet, waste[at]!).map((l) => ({ ...l, piece: held[l.piece]! }))
  }
}
