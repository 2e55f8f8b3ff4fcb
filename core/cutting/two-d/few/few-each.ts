import type { Means } from '../../means'
import { AllWays, FEW } from '../all-ways'
import type { Lying } from '../blocks'
import type { Layout } from '../layout'
import { areaOfAll, mostDiffer, roomOf, stockWithin, type Problem, type Shape, type Sheet } from '../sheets'
import { piecesIn } from '../plain/bits'
import type { Found } from '../plain/found'
import { lyingFull } from './lying'
import { Pool } from './pool'
import { SetsOfSheets, type Course } from './sets'

/** So few pieces a sheet on average, and so many in all. */
const FEW_EACH = 10
const MOST_PIECES = 150

/** Where a sheet may waste this part of a piece on average, sheets are best filled one by one. */
const ONE_BY_ONE = 0.25

/** No more is wasted than may be, but for so much: mm². */
const NOTHING = 1

/** How sheets are chosen in a round at first, and then where that comes to its end. */
const COURSE: Course = { chosen: 150_000, afterTwo: 100, tried: 8, from: 6000 }
const wider = (course: Course): Course => ({
  ...course,
  afterTwo: 4 * course.afterTwo,
  tried: 2 * course.tried,
  from: 1.5 * course.from,
})

/** So many sets are found in a round, the likeliest of which are gone on with. */
const GATHER = 500

/**
 * With each piece more there are so many times as many ways to cut a sheet, times their number; to go through them takes so many
 * times as long; and each has to come out within what may be wasted, which is no less than this part of the sheet.
 */
const WAYS = 1.4
const TIME = 3
const NEXT_TO_NONE = 1e-4

/** The last sheet is filled so often in a round, with as many pieces as all ways are for; three times as often with one less. */
const LASTS = 10

/**
 * Fills equal sheets with few pieces each. There all sets of pieces that fill a sheet with little waste can be listed, thousands
 * of them; of those such are chosen that go together, and what is left of the last sheet is filled by all ways. With each round
 * more are listed, by what pieces are worth.
 */
export class FewEach {
  private readonly pieces: readonly Shape[]
  private readonly kind: number
  private readonly sheet: Sheet
  private readonly sheets: number
  /** What all sheets may waste, mm². */
  private readonly slack: number
  private readonly allWays = new AllWays()
  private readonly pool: Pool
  private course = COURSE
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
    this.pool = new Pool(this.pieces, this.sheet, Math.max(NOTHING, this.slack) / this.sheets)
  }

  /** How many full sheets are listed. */
  get listed(): number {
    return this.pool.found.top
  }

  /** @returns a plan with all pieces; null where this round came to none */
  next(): Layout | null {
    if (this.slack < 0) return null
    this.pool.list(this.means.over)
    const laid = this.pool.least <= this.slack ? this.choose(this.pool) : null
    if (!laid) return null
    const used = laid.filter((lying) => lying.length > 0)
    return {
      laid: used.map((lying) => ({ sheet: this.kind, lying })),
      left: [],
      cost: used.length * this.sheet.cost,
    }
  }

  /** Chooses full sheets that go together. @returns where the pieces of each sheet lie */
  private choose({ found, reduced }: Pool): Lying[][] | null {
    const { pieces, sheet, sheets, slack, means } = this
    const sets = new SetsOfSheets(
      pieces,
      found,
      reduced,
      { area: sheet.area, count: sheets, slack: slack + NOTHING },
      means,
    )
    const open: { chosen: readonly number[]; left: number[]; hope: number }[] = []
    const ended = sets.leavingOne(this.course, (set) => {
      const left = piecesIn(set.covered, pieces.length, false)
      const name = left.join()
      if (left.length > FEW || this.tried.has(name)) return false
      this.tried.add(name)
      open.push({ chosen: set.chosen, left, hope: this.hopeOf(left) })
      return open.length === GATHER
    })
    open.sort((a, b) => b.hope - a.hope)
    if (ended) this.course = wider(this.course)
    let lasts = 0
    for (const { chosen, left } of open) {
      const laid = this.withLast(found, chosen, left)
      if (laid) return laid
      lasts += 3 ** (left.length - FEW)
      if (lasts > LASTS || means.over()) break
    }
    return null
  }

  private withLast(found: Found, chosen: readonly number[], left: readonly number[]): Lying[][] | null {
    const last = this.last(left)
    const full = last && chosen.map((c) => this.lyingIn(found, c))
    return full?.every((lying) => lying !== null) ? [...full, last!] : null
  }

  /** How likely some pieces fill a sheet, for the time that it takes to tell: the logarithm of what it is in proportion to. */
  private hopeOf(left: readonly number[]): number {
    const { area } = this.sheet
    const spare = (area - left.reduce((sum, p) => sum + this.pieces[p]!.area, 0)) / area
    return left.reduce(
      (sum, _, i) => sum + Math.log(((i + 1) * WAYS) / TIME),
      (left.length - 1) * Math.log(Math.max(NEXT_TO_NONE, spare)),
    )
  }

  private last(left: readonly number[]): Lying[] | null {
    if (left.length === 0) return []
    const shapes = left.map((p) => this.pieces[p]!)
    const problem = { shapes, pieces: shapes.map((_, i) => i), sheets: [this.sheet] }
    const lying = this.allWays.fill(problem, this.sheet, this.means.over)
    return lying && lying.map((l) => ({ ...l, piece: left[l.piece]! }))
  }

  private lyingIn({ sets, words, waste }: Found, at: number): Lying[] | null {
    const held = piecesIn(sets.subarray(at * words, (at + 1) * words), this.pieces.length, true)
    const shapes = held.map((p) => this.pieces[p]!)
    const lying = lyingFull(shapes, this.sheet, waste[at]!)
    return lying && lying.map((l) => ({ ...l, piece: held[l.piece]! }))
  }
}
