import type { Means } from '../../means'
import type { Lying } from '../blocks'
import type { Layout } from '../layout'
import { piecesIn } from '../plain/bits'
import { averageOf, equalSheetsOf, planOf, type EqualSheets } from '../plain/equal-sheets'
import { leastFirst } from '../plain/least-first'
import { likeliest } from '../plain/likeliest'
import { holdingOf, priceAgain } from '../plain/prices'
import { Waiting } from '../plain/waiting'
import type { Problem, Shape } from '../sheets'
import { Ending, heldIn, lyingOf } from './ending'
import { Pool, poolOf } from './pool'
import { COURSE } from './sets'

/**
 * So often full sheets of all pieces are listed for what those are worth before it is begun with them, each time; so often in all.
 * Where joins are fined less does.
 */
const LISTED = 6
const LISTED_FINED = 4
const MOST_LISTED = 20

/** It is begun with them anew in one of so many rounds, and where nothing waits; and in one of so many what waits is forgotten. */
const ANEW = 8
const FORGET = 100

/** The likeliest sheets are chosen, but for so much by chance, in parts of what a sheet wastes on average. */
const CHANCE = 0.1

/** For each of so many sheets that are left one more is chosen at once. */
const FOR_EACH = 5

/** So many beginnings are looked at, and so many kept of those whose pieces left may be worth no more than so much too much. */
const LOOKED_AT = 60
const KEPT = 10
const TOO_MUCH = 0.5

/** When so many sheets are left such are chosen that go together. */
const LAST = 4

/** Full sheets, what each holds of the heap and wastes, mm², and what they leave. */
interface Begun {
  readonly full: readonly { readonly held: readonly number[]; readonly waste: number }[]
  readonly left: readonly number[]
  /** What the sheets left may waste, mm². */
  readonly spare: number
  /** What the pieces left are worth beyond what a plan of them may cost, mm². */
  readonly rank: number
  /** What the pieces left are worth, mm², where those of more pieces are listed, and which of those are covered. */
  readonly before: { readonly worth: Float64Array; readonly pool: Pool; readonly covered: Int32Array } | null
}

/**
 * Fills equal sheets with few pieces each, the likeliest first: such as waste least beyond what their pieces are worth. What they
 * leave is worth the less the more of what may be wasted is left for it; by that one is gone on with, full sheets of what it
 * leaves are listed anew, and so on. So of many pieces, of which all can't be listed, ever more are.
 */
export class LikeliestFirst {
  private readonly all: EqualSheets
  private readonly pool: Pool
  private readonly ending: Ending
  private readonly waiting = new Waiting<Begun>()
  private rounds = 0

  /**
   * @param limit what the sheets may cost, mm²
   * @param fine of a join whose sides don't agree, in parts of what a sheet wastes on average
   */
  constructor(
    problem: Problem,
    limit: number,
    private readonly means: Means,
    private readonly fine = 0,
  ) {
    this.all = equalSheetsOf(problem, limit)
    this.pool = poolOf(this.all, fine)
    this.ending = new Ending(this.all.sheet, means)
  }

  /** Whether it may come to something. */
  get goes(): boolean {
    return !this.pool.isVain
  }

  /** @returns a plan with all pieces; null where this round came to none */
  next(): Layout | null {
    const { pieces, count, slack } = this.all
    if (slack < 0 || !this.goes) return null
    if (this.rounds % FORGET === 0) this.waiting.forget()
    let goesOn = false
    if (this.rounds++ % ANEW === 0) {
      goesOn = true
      const plan = this.goOn({ full: [], left: pieces.map((_, i) => i), spare: slack, rank: 0, before: null }, count)
      if (plan) return plan
    }
    for (let sheets = count - 1; sheets > 1 && !this.means.over(); sheets--) {
      const begun = this.waiting.next(sheets)
      goesOn ||= begun !== undefined
      const plan = begun && this.goOn(begun, sheets)
      if (plan) return plan
    }
    if (!goesOn) this.rounds = 0
    return null
  }

  /** Lists full sheets of what a beginning leaves; chooses such as go together, or the likeliest. @param count sheets that are left */
  private goOn(begun: Begun, count: number): Layout | null {
    const pieces = begun.left.map((p) => this.all.pieces[p]!)
    const pool = begun.before ? this.listedAfter(begun, pieces, count) : this.listed()
    // the list was broken off, and nothing is told by it
    if (pool.least === Infinity) return null
    const { laid } =
      count <= LAST ? this.ending.of(pieces, begun.left, pool, count, begun.spare, COURSE) : { laid: null }
    if (laid) return this.planOf(begun, laid)
    if (count > 3) this.keep(begun, pieces, pool, count)
    return null
  }

  /** @param laid where the pieces left lie */
  private planOf({ full, left }: Begun, laid: readonly (readonly Lying[])[]): Layout | null {
    const { pieces, sheet } = this.all
    const begun = full.map(({ held, waste }) => lyingOf(held, pieces, sheet, waste, this.means.over))
    if (begun.some((lying) => lying === null)) return null
    const ended = laid.map((lying) => lying.map((l) => ({ ...l, piece: left[l.piece]! })))
    return planOf(this.all, [...begun.map((lying) => lying!), ...ended])
  }

  private listed(): Pool {
    const { pool, means, fine } = this
    const listed = fine > 0 ? LISTED_FINED : LISTED
    for (let [times, priced] = [0, 0]; times < MOST_LISTED && priced < listed && this.goes && !means.over(); times++) {
      pool.list(means)
      if (pool.isPriced) priced++
    }
    return pool
  }

  private listedAfter({ spare, before }: Begun, pieces: readonly Shape[], count: number): Pool {
    const { worth, pool: of, covered } = before!
    const may = (at: number): boolean => of.wasted[at]! <= spare
    const found = of.found.without(covered, piecesIn(covered, of.worth.length, false), may)
    const pool = new Pool(pieces, this.all.sheet, averageOf(spare, count), of.scope.ofRest(), { found, worth })
    pool.list(this.means)
    return pool
  }

  /** Keeps the likeliest beginnings that go on from one. @param count sheets that it leaves */
  private keep(begun: Begun, pieces: readonly Shape[], pool: Pool, count: number): void {
    const { random, over } = this.means
    const { found, scope } = pool
    const rank = pool.reduced.map((r) => r + CHANCE * pool.average * random())
    const order = leastFirst(rank)
    const many = Math.max(1, Math.floor(count / FOR_EACH))
    let kept = 0
    for (let i = 0; i < Math.min(LOOKED_AT, order.length) && kept < KEPT && !over(); i++) {
      const chosen = likeliest(found, order, i, many, pool.wasted, begun.spare)
      const next = this.after(begun, pieces, pool, count, chosen)
      if (!next || next.rank > TOO_MUCH * scope.times * averageOf(this.all.slack, this.all.count)) continue
      kept++
      this.waiting.add(count - chosen.length, next)
    }
  }

  /** @returns a beginning with some more sheets; null where that waited before, or wastes more than may be */
  private after(
    begun: Begun,
    pieces: readonly Shape[],
    pool: Pool,
    count: number,
    chosen: readonly number[],
  ): Begun | null {
    const { found, wasted, scope } = pool
    const covered = new Int32Array(found.words)
    for (const at of chosen) found.addTo(covered, at)
    const rest = piecesIn(covered, pieces.length, false)
    const left = rest.map((p) => begun.left[p]!)
    const spare = chosen.reduce((sum, at) => sum - wasted[at]!, begun.spare)
    if (spare < 0 || !this.waiting.isNew(left)) return null
    const worth = Float64Array.from(rest, (p) => pool.worth[p]!)
    const going = found.without(covered, rest, (at) => wasted[at]! <= spare)
    const all = Int32Array.from({ length: going.top }, (_, i) => i)
    priceAgain(going, holdingOf(going), all, worth, scope.times * averageOf(spare, count - chosen.length))
    const full = chosen.map((at) => ({
      held: heldIn(found, at, pieces.length).map((p) => begun.left[p]!),
      waste: wasted[at]!,
    }))
    const mayCost = chosen.reduce((left, at) => left - found.waste[at]!, pool.mayCost)
    const rank = worth.reduce((sum, value) => sum + value, 0) - mayCost
    return { full: [...begun.full, ...full], left, spare, rank, before: { worth, pool, covered } }
  }
}
