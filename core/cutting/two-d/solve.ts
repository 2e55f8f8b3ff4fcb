import type { Means } from '../means'
import { below } from '../random'
import { joinBlocks, problemOf, randomShare } from './blocks'
import { leastBought } from './bound'
import { buildUp } from './build-up'
import { chooseFull, drawFull, without, type FullSheet } from './full-sheets'
import { layFull, layoutOf, layoutOfBlocks, type Layout } from './layout'
import { peel } from './peel'
import { firstPlan, LimitSearch } from './search'
import type { Problem } from './sheets'

/** How many steps a part of a round has: single pieces, blocks, what full sheets leave. */
const PLAIN = 3000
const BLOCKS = 1500
const REST = 1500

/** How much sides of blocks may differ, mm; drawn at random. */
const TOLERANCES = [0, 0, 2, 5, 12, 25]

/** Shares of the slack, of which one block may waste so much. */
const SLACKS = [0, 0.01, 0.03, 0.1, 0.3, 1]

/** With so many full sheets no more are looked for. */
const ENOUGH = 1500

/** How many pairs of blocks are looked at for each share. */
const PAIRS = 2_000_000

const area = (problem: Problem, pieces: readonly number[]): number =>
  pieces.reduce((sum, p) => sum + problem.shapes[problem.pieces[p]!]!.area, 0)

/**
 * Looks for a plan that buys the least: one that is good at once, then ever cheaper ones until the bound is met or
 * until the time is up. Three ways by turns: single pieces are taken out and put back; the same with pieces joined to
 * blocks where their sides agree; sheets that are filled to the brim are set apart, and the rest is laid out.
 * @returns yields the best plan so far after each part of a round
 */
export function* layOut(problem: Problem, means: Means): Generator<Layout, Layout> {
  const { random, over } = means
  const least = leastBought(problem)
  const first = firstPlan(problem, random)
  let best = layoutOf(problem, first)
  const better = (found: Layout): boolean => {
    const lack = area(problem, found.left) - area(problem, best.left)
    const is = lack < -1 || (lack <= 1 && found.cost < best.cost - 1)
    if (is) best = found
    return is
  }
  const done = (): boolean => best.left.length === 0 && best.cost <= least + 1
  const limit = (): number => (best.left.length > 0 ? Infinity : best.cost - 1)
  yield best
  if (done()) return best

  let plain = new LimitSearch(problem, limit(), random)
  const full = new FullSheets(problem, least, means)
  for (let round = 0; round < means.rounds && !over(); round++) {
    let improved = false
    const found = plain.run({ over, steps: PLAIN })
    improved = better(layoutOf(problem, found ?? plain.best)) || improved
    yield best
    if (done()) break
    if (round > 0) {
      improved = better(full.next(limit())) || improved
      yield best
      if (done()) break
    }
    const tolerance = TOLERANCES[below(random, TOLERANCES.length)]!
    const blocks = joinBlocks(problem, tolerance, randomShare(random), random)
    const joined = new LimitSearch(problemOf(problem, blocks), limit(), random)
    joined.run({ over, steps: BLOCKS })
    improved = better(layoutOfBlocks(blocks, joined.best)) || improved
    yield best
    if (done()) break
    if (improved) plain = new LimitSearch(problem, limit(), random)
  }
  return best
}

/** Sets full sheets apart and lays out the rest. */
class FullSheets {
  private readonly full = new Map<string, FullSheet>()
  private readonly slack: number
  private share = 0

  constructor(
    private readonly problem: Problem,
    least: number,
    private readonly means: Means,
  ) {
    this.slack = slackOf(problem, least)
  }

  next(limit: number): Layout {
    const { random, over, solver } = this.means
    const grown = this.grow()
    const full = [...this.full.values()]
    const drawn =
      grown && solver
        ? chooseFull(this.problem, full, solver, this.means.secondsLeft())
        : random() < 0.75
          ? peel(this.problem, this.slack, limit, random, over)
          : drawFull(this.problem, full, limit, random)
    const { rest, pieceOf, taken } = without(this.problem, drawn)
    const cost = drawn.reduce((sum, f) => sum + this.problem.sheets[f.sheet]!.cost, 0)
    const search = new LimitSearch(rest, limit - cost, random)
    if (cost <= limit) search.run({ over, steps: REST })
    const laid = layoutOf(rest, search.best)
    return {
      laid: [
        ...drawn.map((f, i) => layFull(this.problem, f, taken[i]!)),
        ...laid.laid.map((l) => ({ ...l, lying: l.lying.map((p) => ({ ...p, piece: pieceOf[p.piece]! })) })),
      ],
      left: laid.left.map((p) => pieceOf[p]!),
      cost: cost + laid.cost,
    }
  }

  /** Builds up once more with more waste allowed. @returns whether there are more full sheets than before */
  private grow(): boolean {
    if (this.share >= SLACKS.length || this.full.size > ENOUGH) return false
    const before = this.full.size
    const { full, complete } = buildUp(this.problem, SLACKS[this.share]! * this.slack, PAIRS, this.means.over)
    for (const f of full) this.full.set(`${f.sheet} ${f.built.counts.join(',')}`, f)
    this.share = complete ? this.share + 1 : SLACKS.length
    return this.full.size > before
  }
}

/** What a plan at the bound wastes in all: the offcuts and the sheets for that cost, less the pieces. */
function slackOf(problem: Problem, least: number): number {
  const total = problem.pieces.reduce((sum, p) => sum + problem.shapes[p]!.area, 0)
  const bought = problem.sheets.filter((s) => s.cost > 0).map((s) => s.area / s.cost)
  const offcuts = problem.sheets.reduce((sum, s) => sum + (s.cost === 0 ? s.area * s.count : 0), 0)
  const room = offcuts + (bought.length > 0 ? Math.min(...bought) * least : 0)
  return Math.max(0, room - total)
}
