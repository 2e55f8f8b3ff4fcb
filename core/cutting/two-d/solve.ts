import type { Means } from '../means'
import { leastBought } from './bound'
import { FullSheets } from './full-sheets'
import { layoutOf, outOfBlocks, type Layout } from './layout'
import { Refill } from './refill'
import { firstPlan, LimitSearch, PATIENT, QUICK } from './search'
import { inSpanningRows } from './rows'
import { stateOf } from './tree-of'
import { areaOf, type Problem } from './sheets'

/** Steps with single pieces, and sheets filled anew, that take about as long. */
const STEPS = 3000
const MOVES = 3

/** How often the way that is nearer to a plan goes on for each time of the other. */
const NEARER = 2

/** Where this part of the sheets may be wasted, single pieces do; and they go on so often for each time of the other. */
const ROOMY = 0.02
const MOSTLY = 5

/** In so many rounds only single pieces are moved: that is quick, and enough where there is room. */
const LIGHT = 2

/** Where equal pieces span a sheet in rows, the rows are laid out first, in so many rounds. */
const ROWS = 5

/** Before these rounds full sheets are looked for among all pieces. */
const WHOLE = [2, 4, 8, 14, 26, 50, 98]

/**
 * Looks for a plan that buys the least: one that is good at once, then ever cheaper ones until the bound is met or
 * until the time is up. Single pieces are taken out and put back, whole sheets are emptied and filled anew; the way
 * that leaves less without a place gets more of the time.
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

/** Looks for a plan within a limit by several ways. */
class Cheaper {
  private readonly single: LimitSearch
  private readonly sheets: Refill
  private readonly roomy: boolean
  private rounds = 0

  constructor(
    private readonly problem: Problem,
    private readonly limit: number,
    from: Layout,
    private readonly full: FullSheets,
    private readonly means: Means,
  ) {
    this.roomy = full.slack > ROOMY * (full.slack + areaOf(problem, problem.pieces.map((_, i) => i))) // prettier-ignore
    this.single = new LimitSearch(problem, limit, means.random, PATIENT)
    this.sheets = new Refill(problem, limit, from, means.random, means.over, full.add, full)
  }

  /** @returns the plan within the limit that leaves least */
  round(): Layout {
    const { sheets, single, means } = this
    const count = this.rounds++
    const nearer = count < LIGHT || this.roomy || single.least <= sheets.least
    if (WHOLE.includes(count)) sheets.offer(this.full.next(this.limit))
    for (let i = 0; i < (count < LIGHT ? 0 : nearer ? 1 : NEARER) && !means.over(); i++)
      if (this.refill()) return sheets.best
    for (let i = 0; i < (count < LIGHT || !nearer ? 1 : this.roomy ? MOSTLY : NEARER) && !means.over(); i++)
      if (single.run({ over: means.over, steps: STEPS })) break
    return sheets.least < single.least ? sheets.best : layoutOf(this.problem, single.best)
  }

  /** Fills some sheets anew; what comes out better is polished by single pieces. */
  private refill(): boolean {
    const { problem, sheets, means } = this
    const before = sheets.least
    for (let i = 0; i < MOVES && !means.over(); i++) if (sheets.next()) return true
    if (sheets.least >= before) return false
    const polish = new LimitSearch(problem, this.limit, means.random, QUICK, stateOf(problem, sheets.best))
    polish.run({ over: means.over, steps: STEPS })
    if (polish.least < sheets.least) sheets.offer(layoutOf(problem, polish.best))
    return sheets.least === 0
  }
}
