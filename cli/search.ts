import { setImmediate as turn } from 'node:timers/promises'
import type { CutInstance, CutPlan } from '#core/cutting/instance'
import { meansUntil } from '#core/cutting/means'
import { randomFrom } from '#core/cutting/random'
import { cutting } from '#core/cutting/solve'
import { linearSolver } from './highs'
import { SecondSearch } from './second-search'

/** Rounds of the search: far more than the clock ever allows. */
export const ROUNDS = 1_000_000

/** A second search is begun when the first has been at it for so long, and if so much is left, ms. */
const AFTER = 1000
const WORTH = 2000

/**
 * Looks for the best plan until a moment on the clock `performance.now`, ms. What is not found at once is looked for by two
 * searches, the second in a process of its own; it begins elsewhere.
 */
export async function bestPlan(instance: CutInstance, seed: number, end: number): Promise<CutPlan> {
  const begun = performance.now()
  const beside: { second?: SecondSearch } = {}
  // the best is found, and only laid out better
  let settled = false
  // a part of the search takes seconds at times, but the clock is asked all the while
  const now = (): number => {
    const time = performance.now()
    if (!beside.second && !settled && time - begun > AFTER && end - time > WORTH)
      beside.second = new SecondSearch({ instance, seed: seed + 1, seconds: (end - time) / 1000 })
    return time
  }
  const search = cutting(instance, meansUntil(randomFrom(seed), ROUNDS, await linearSolver(), now, end))
  let step = search.next()
  while (!step.done && !beside.second?.plan?.proven) {
    settled = step.value.proven
    await turn()
    step = search.next()
  }
  const plan = step.value
  const other = plan.proven ? null : await beside.second?.last()
  beside.second?.stop()
  return other && isBetter(other, plan) ? other : plan
}

const lacking = ({ unplaced }: CutPlan): number => unplaced.reduce((sum, u) => sum + u.count, 0)

const isBetter = (plan: CutPlan, than: CutPlan): boolean =>
  lacking(plan) < lacking(than) || (lacking(plan) === lacking(than) && plan.bought < than.bought - 1)
