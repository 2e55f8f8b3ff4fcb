import { isBeside, type Means } from '../means'
import { FEW_FOR_TWO } from './all-ways'
import { leastBought } from './bound'
import { FullSheets } from './full-sheets'
import { LastOne } from './last-one'
import { layoutOf, outOfBlocks, type Layout } from './layout'
import { Refill } from './refill'
import { HardestFirst } from './exact/hardest-first'
import { areRatherMany } from './few/are-few'
import { fewEach, type InRounds } from './few/ways'
import { firstPlan, LimitSearch, PATIENT, QUICK } from './search'
import { OneByOne } from './one-by-one'
import { inSpanningRows } from './rows'
import { SlicingSearch } from './slicing/search'
import { stateOf } from './tree-of'
import { areaOf, areaOfAll, roomOf, stockWithin, type Problem } from './sheets'

/** Steps with single pieces, and sheets filled anew, that take about as long. */
const STEPS = 3000
const MOVES = 3

/** Single pieces go on so far before anything else: that is enough where there is room. */
const BRIEFLY = 500

/** How often the way that is nearer to a plan goes on for each time of the other. */
const NEARER = 2

/** Where this part of the sheets may be wasted, single pieces go on so often for each time that sheets are filled anew. */
const ROOMY = 0.02
const MOSTLY = 5

/**
 * Where a plan within the limit may waste more than this part of its sheets blocks that fit are no use, though the least would want
 * them; but where that may waste nothing at all they come to it at once.
 */
const LOOSE = 0.05

/** Where sheets are best filled one by one the other ways come in one of so many rounds; else in every other. */
const SELDOM = 4

/** In so many rounds only single pieces are moved: that is quick, and enough where there is room. Where there isn't one will do. */
const LIGHT = 2

/** Where equal pieces span a sheet in rows, the rows are laid out first, in so many rounds. */
const ROWS = 5

/** Where nothing may be wasted full sheets are looked for among all pieces before these rounds. */
const WHOLE = [2, 4, 8, 14, 26, 50, 98]

/**
 * Looks for a plan that buys the least: one that is good at once, then ever cheaper ones until the bound is met or
 * until the time is up. Single pieces are taken out and put back, sheets are filled one by one, whole sheets are
 * emptied and filled anew; what does best where so much may be wasted gets most of the time.
 * @returns yields the best plan so far after each part of a round
 */
export function* layOut(problem: Problem, means: Means): Generator<Layout, Layout> {
  const least = leastBought(problem)
  let best = layoutOf(problem, firstPlan(problem, means.random))
  yield best
  const done = (): boolean => best.left.length === 0 && best.cost <= least + 1
  const rows = done() ? null : inSpanningRows(problem)
  if (rows) {
    const first = { ...means, rounds: Math.min(ROWS, means.rounds) }
    for (const plan of layOut(rows.problem, first)) {
      const found = outOfBlocks(rows.blocks, plan)
      if (isBetter(problem, found, best)) yield (best = found)
    }
  }
  const full = new FullSheets(problem, least, means)
  let rounds = 0
  while (!done() && rounds < means.rounds && !means.over()) {
    const limit = best.left.length > 0 ? Infinity : best.cost - 1
    const search = new Cheaper(problem, limit, best, full, means)
    while (rounds < means.rounds && !means.over()) {
      rounds++
      const found = search.round()
      const is = isBetter(problem, found, best)
      if (is) best = found
      yield best
      if (is) break
    }
  }
  return best
}

/** Whether a plan leaves less than another, or as much and buys less. */
function isBetter(problem: Problem, plan: Layout, than: Layout): boolean {
  const lack = areaOf(problem, plan.left) - areaOf(problem, than.left)
  return lack < -1 || (lack <= 1 && plan.cost < than.cost - 1)
}

/**
 * Equal sheets are filled one by one; a single one as the last of several is, and by slicing trees; such of several sizes both
 * ways, and two of few pieces: all ways to fill those, but for the wasteful ones, come to the same each time.
 */
function fillingFor(
  problem: Problem,
  limit: number,
  trees: SlicingSearch,
  means: Means,
): readonly Pick<OneByOne, 'next'>[] {
  const stock = stockWithin(problem, limit)
  const oneByOne = new OneByOne(problem, limit, means)
  if (stock.length < 2) {
    const lastOne = new LastOne()
    return [{ next: () => (stock.length > 0 ? lastOne.fill(problem, stock[0]!, means) : null) }, trees]
  }
  const sameEachTime = stock.length === 2 && problem.pieces.length <= FEW_FOR_TWO
  return stock.every((s) => s === stock[0]) && !sameEachTime ? [oneByOne] : [trees, oneByOne]
}

const hardestFirst = (problem: Problem, limit: number, means: Means): HardestFirst | null =>
  HardestFirst.isFor(problem, stockWithin(problem, limit)) ? new HardestFirst(problem, limit, means) : null

/** Looks for a plan within a limit by several ways. */
class Cheaper {
  private readonly single: LimitSearch
  private readonly sheets: Refill
  private readonly trees: SlicingSearch
  /** The ways to fill sheets, which take turns. */
  private readonly filling: readonly Pick<OneByOne, 'next'>[]
  private fills = 0
  private readonly roomy: boolean
  /** Where there are few pieces in each sheet and something may be wasted, but not much; or nothing, however many there are. */
  private readonly listing: Pick<InRounds, 'next'> | null
  /** That comes to it seldom: of rather many pieces a sheet searches beside the first have most of the turns for it. */
  private readonly seldom: boolean
  /** Nothing may be wasted. */
  private readonly tight: boolean
  /** So much may be wasted that blocks that fit are no use. */
  private readonly loose: boolean
  /** Nothing was tried yet. */
  private begins = true
  private rounds = 0
  private turns = 0
  /** Rounds of the other ways until sides that agree are looked for again. */
  private rest = 0

  constructor(
    private readonly problem: Problem,
    private readonly limit: number,
    from: Layout,
    private readonly full: FullSheets,
    private readonly means: Means,
  ) {
    this.roomy = full.slack > ROOMY * (full.slack + areaOfAll(problem))
    this.tight = full.isTight
    this.single = new LimitSearch(problem, limit, means.random, PATIENT)
    this.sheets = new Refill(problem, limit, from, means.random, means.over, full.add, full)
    this.trees = new SlicingSearch(problem, limit, means)
    this.filling = fillingFor(problem, limit, this.trees, means)
    const stock = stockWithin(problem, limit)
    const room = roomOf(problem, stock)
    this.seldom = !this.tight && !isBeside(means) && areRatherMany(problem.pieces.length, stock.length)
    const isLoose = !this.tight && room - areaOfAll(problem) > LOOSE * room
    this.loose = isLoose || full.play(1) === null
    this.listing = isLoose ? null : this.tight ? hardestFirst(problem, limit, means) : fewEach(problem, limit, means)
  }

  /** @returns the plan within the limit that leaves least */
  round(): Layout {
    if (this.begins) this.begin()
    else if (!this.list() && !this.agree()) this.goOn(this.rounds++)
    return this.best
  }

  private begin(): void {
    this.begins = false
    this.single.run({ over: this.means.over, steps: BRIEFLY })
  }

  /**
   * Where full sheets can be listed that has every other turn, the second being the first; in searches beside the first it has most.
   * @returns whether it had it
   */
  private list(): boolean {
    if (!this.listing) return false
    const turn = this.turns++ % SELDOM
    const has = isBeside(this.means) ? turn < SELDOM - 1 : turn % 2 === 1
    if (this.seldom ? turn !== 1 : !has) return false
    const found = this.listing.next()
    if (found) this.sheets.offer(found)
    return true
  }

  private goOn(count: number): void {
    if (count < this.light) this.singles(1)
    else if (!this.trees.goes || this.tight) this.allWays(count)
    else this.byTurns(count)
  }

  private get light(): number {
    return this.onlyFills ? 0 : this.roomy && !this.fillsOneByOne ? LIGHT : 1
  }

  /** No other way fills sheets: of several equal ones that comes to more than all others but sides that agree and lists. */
  private get fillsOneByOne(): boolean {
    return this.filling.length === 1
  }

  /** Searches beside the first leave sides that agree to it where blocks that fit are no use. */
  private get onlyFills(): boolean {
    return this.loose && isBeside(this.means)
  }

  /** What does best where so much may be wasted gets most of the time. */
  private byTurns(count: number): void {
    if ((count + 1) % (this.loose || this.fillsOneByOne ? SELDOM : 2) > 0) this.fill()
    else if (!this.loose) this.others()
    else if (!this.refill(1)) this.singles(1)
  }

  /** Looks for sides that agree, or nearly so: until that takes long, then by turns with the other ways. @returns whether it did */
  private agree(): boolean {
    const may = (this.trees.goes || this.tight) && !this.onlyFills
    if (!may || !this.full.agree.goes || this.rest-- > 0) return false
    this.rest = this.full.agree.worth
    this.sheets.offer(this.full.agreeing(this.limit))
    return true
  }

  private get best(): Layout {
    return this.sheets.least < this.single.least ? this.sheets.best : layoutOf(this.problem, this.single.best)
  }

  private get done(): boolean {
    return this.sheets.least === 0 || this.single.least === 0
  }

  /** Before some rounds full sheets are looked for among all pieces. */
  private allWays(count: number): void {
    if (WHOLE.includes(count)) this.sheets.offer(this.full.next(this.limit))
    this.others()
  }

  /** Some sheets filled anew, and single pieces; the one that leaves less gets more of the time. */
  private others(): void {
    const nearer = this.roomy || this.single.least <= this.sheets.least
    if (!this.refill(nearer ? 1 : NEARER)) this.singles(this.roomy ? MOSTLY : nearer ? NEARER : 1)
  }

  private singles(times: number): void {
    const { single, means } = this
    for (let i = 0; i < times && !means.over(); i++) if (single.run({ over: means.over, steps: STEPS })) return
  }

  /** Fills sheets one by one or all at once; what comes of it is polished by single pieces. */
  private fill(): void {
    if (this.done) return
    const found = this.filling[this.fills++ % this.filling.length]!.next()
    if (found?.left.length === 0) this.sheets.offer(found)
    else if (found) this.polish(found)
  }

  /** Fills some sheets anew; what comes out better is polished by single pieces. @returns whether everything has a place */
  private refill(times: number): boolean {
    const { sheets, means } = this
    for (let i = 0; i < times * MOVES && !this.done && !means.over(); i++) {
      const before = sheets.least
      if (!sheets.next() && sheets.least < before) this.polish(sheets.best)
    }
    return this.done
  }

  private polish(plan: Layout): void {
    const { problem, sheets, means } = this
    const polished = new LimitSearch(problem, this.limit, means.random, QUICK, stateOf(problem, plan))
    polished.run({ over: means.over, steps: STEPS })
    if (polished.least < sheets.least) sheets.offer(layoutOf(problem, polished.best))
  }
}
