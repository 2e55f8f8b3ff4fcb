import { availableParallelism } from 'node:os'
import { setImmediate as turn } from 'node:timers/promises'
import type { CutInstance, CutPlan } from '#core/cutting/instance'
import { meansUntil, MOST_BESIDE } from '#core/cutting/means'
import { randomFrom } from '#core/cutting/random'
import { cutting } from '#core/cutting/solve'
import { linearSolver } from './highs'
import { SearchBeside } from './search-beside'

/** Rounds of the search: far more than the clock ever allows. */
export const ROUNDS = 1_000_000

/** Others are begun beside it when it has been at it for so long, and if so much is left, ms. To begin takes them half a second. */
const AFTER = 100
const WORTH = 2000

/** How many go on beside the first: a processor each, but one at least. */
const beside = (): number => Math.min(MOST_BESIDE, Math.max(1, availableParallelism() - 1))

/**
 * Looks for the best plan until a moment on the clock `performance.now`, ms. What is not found at once is looked for by several
 * searches, each but the first in a process of its own; they begin elsewhere.
 */
export async function bestPlan(instance: CutInstance, seed: number, end: number): Promise<CutPlan> {
  const begun = performance.now()
  const others: SearchBeside[] = []
  // the best is found, and only laid out better
  let settled = false
  // a part of the search takes seconds at times, but the clock is asked all the while
  const now = (): number => {
    const time = performance.now()
    if (others.length === 0 && !settled && time - begun > AFTER && end - time > WORTH)
      for (let n = 1; n <= beside(); n++)
        others.push(new SearchBeside({ instance, beside: n, seed: seed + n, until: performance.timeOrigin + end }))
    return time
  }
  const search = cutting(instance, meansUntil(randomFrom(seed), ROUNDS, await linearSolver(), now, end))
  let step = search.next()
  while (!step.done && !others.some((other) => other.plan?.proven)) {
    settled = step.value.proven
    await turn()
    step = search.next()
  }
  const plan = step.value
  const plans = plan.proven ? [] : await Promise.all(others.map((other) => other.last()))
  for (const other of others) other.stop()
  return plans.reduce<CutPlan>((best, other) => (other && isBetter(other, best) ? other : best), plan)
}

const lacking = ({ unplaced }: CutPlan): number => unplaced.reduce((sum, u) => sum + u.count, 0)

/** Whether a plan places more than another, or as much and buys less. */
export const isBetter = (plan: CutPlan, than: CutPlan): boolean =>
  lacking(plan) < lacking(than) || (lacking(plan) === lacking(than) && plan.bought < than.bought - 1)
