import type { Means } from '../means'
import { LimitSearch } from '../two-d/search'
import { asSheets, patternsOf } from './as-sheets'
import { choosePatterns, columns } from './columns'
import { completed } from './completion'
import { fillInTurn, type BarsCut } from './first-fit'
import { RefillBars } from './refill'
import { costOfPatterns, type Lengths, type Pattern } from './lengths'

export interface BarPlan {
  readonly patterns: readonly Pattern[]
  /** How many of each size are left. */
  readonly left: readonly number[]
  /** Length bought, mm. */
  readonly cost: number
  /** No plan that cuts everything buys less, mm. */
  readonly atLeast: number
}

/** In this round patterns are generated; those before it find most plans. */
const COLUMNS = 4

/** Steps of ruin and recreate in a round, and bars filled anew. */
const STEPS = 1000
const MOVES = 2000

/** How many times a bar is filled when all are filled in turn, going back where that leads to no end: more each time. */
const FILLINGS = 200
const MOST_FILLINGS = 5000

/** After so many rounds bars are filled anew from another plan. */
const AFRESH = 4

/** Plans with chance in them that are tried in a round. */
const TRIES = 60

/**
 * Cuts lengths from lengths: first bar after bar, then the bound and patterns by column generation, and a program in
 * whole numbers over the patterns; patterns of good plans found by chance join them.
 * @returns yields the best plan so far after each part
 */
export function* layBars(lengths: Lengths, means: Means): Generator<BarPlan, BarPlan> {
  const { random, over, solver } = means
  const size = (left: readonly number[]): number => left.reduce((sum, n, s) => sum + n * lengths.sizes[s]!, 0)
  let atLeast = onGrid(lengths, byLength(lengths))
  const pool: Pattern[] = []
  let best: BarPlan | null = null
  const offer = (found: BarsCut): void => {
    const cost = costOfPatterns(lengths, found.patterns)
    const lack = size(found.left) - (best ? size(best.left) : Infinity)
    if (lack < -1e-6 || (lack <= 1e-6 && (cost < best!.cost - 1e-6 || atLeast > best!.atLeast)))
      best = { ...found, cost, atLeast }
    if (pool.length < 1200) pool.push(...found.patterns)
  }
  const result = (): BarPlan => ({ ...best!, atLeast: Math.min(atLeast, best!.cost) })
  const done = (): boolean => best!.left.every((n) => n === 0) && best!.cost <= atLeast + 1e-6

  offer(fillInTurn(lengths, null))
  yield result()
  for (let i = 0; i < TRIES && !done() && !over(); i++) offer(fillInTurn(lengths, random))
  yield result()
  if (done() || over() || lengths.sizes.length === 0) return result()

  let patterns: Pattern[] = pool
  const problem = asSheets(lengths)
  let limit = Infinity
  let ruin = problem && new LimitSearch(problem, limit, random)
  let refill: RefillBars | null = null
  let nodes = 20
  let fillings = FILLINGS
  for (let round = 0; round < means.rounds && !done() && !over(); round++) {
    if (solver && round === COLUMNS) {
      const generated = columns(lengths, pool.slice(0, 200), solver, means.secondsLeft)
      patterns = generated.patterns
      atLeast = Math.max(atLeast, onGrid(lengths, generated.atLeast))
      yield result()
      if (done() || over()) break
    }
    if (solver && round >= COLUMNS && round % 10 === COLUMNS) {
      const chosen = choosePatterns(lengths, unique([...patterns, ...pool]), solver, {
        seconds: means.secondsLeft(),
        nodes,
      })
      if (chosen) offer(chosen)
      nodes *= 2
      yield result()
      if (done() || over()) break
    }
    const within = best!.left.some((n) => n > 0) ? Infinity : best!.cost - 1e-3
    if (problem && within !== limit) ruin = new LimitSearch(problem, within, random)
    if (within !== limit) refill = new RefillBars(lengths, within, best!, random)
    else if (round % AFRESH === 0) refill = new RefillBars(lengths, within, fillInTurn(lengths, random), random)
    limit = within
    if (problem && ruin) {
      ruin.run({ over, steps: STEPS })
      offer(patternsOf(lengths, problem, ruin.best))
    }
    if (refill && !done()) {
      refill.run(MOVES, over)
      offer(refill.best)
    }
    for (let i = 0; i < TRIES && !done() && !over(); i++) offer(fillInTurn(lengths, random, limit))
    const whole = done() || !Number.isFinite(limit) ? null : completed(lengths, limit, random, fillings, over)
    if (whole) offer(whole)
    fillings = Math.min(MOST_FILLINGS, 2 * fillings)
    yield result()
  }
  return result()
}

const unique = (patterns: readonly Pattern[]): Pattern[] => [
  ...new Map(patterns.map((p) => [`${p.bar}:${p.counts.join(',')}`, p])).values(),
]

/** The least that has to be bought by length alone, mm. */
function byLength(lengths: Lengths): number {
  const bought = lengths.bars.filter((b) => b.cost > 0 && b.count > 0)
  if (bought.length === 0) return 0
  let all = 0
  let homeless = 0
  lengths.sizes.forEach((size, s) => {
    all += size * lengths.demand[s]!
    if (!lengths.bars.some((b, i) => b.cost === 0 && lengths.may[s]![i])) homeless += size * lengths.demand[s]!
  })
  const offcuts = lengths.bars.reduce((sum, b) => sum + (b.cost === 0 ? b.length * b.count : 0), 0)
  const rest = Math.max(all - offcuts, homeless)
  return rest <= 1e-6 ? 0 : rest * Math.min(...bought.map((b) => b.cost / b.length))
}

/** The least sum of whole bars that isn't below a bound, mm. */
function onGrid(lengths: Lengths, bound: number): number {
  if (bound <= 1e-6) return 0
  const costs = [...new Set(lengths.bars.filter((b) => b.cost > 0).map((b) => b.cost))].sort((a, b) => b - a)
  if (costs.length === 0) return 0
  let best = Infinity
  let looks = 0
  const look = (at: number, sum: number): void => {
    if (sum >= bound - 1e-6) {
      best = Math.min(best, sum)
      return
    }
    if (at === costs.length || looks++ > 20_000) return
    for (let n = Math.ceil((bound - 1e-6 - sum) / costs[at]!); n >= 0; n--)
      if (sum + n * costs[at]! < best) look(at + 1, sum + n * costs[at]!)
  }
  look(0, 0)
  return looks > 20_000 || best === Infinity ? bound : best
}
