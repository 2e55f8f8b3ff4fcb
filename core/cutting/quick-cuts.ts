import type { Shop } from '../shop/shop'
import { jobsOf, type ToCut } from './from-holders'
import type { CutInstance, CutPlan } from './instance'
import { meansUntil } from './means'
import { noPlaceIn, type NoPlace } from './no-place'
import { withoutUsed } from './offcuts-used'
import { randomFrom } from './random'
import { sheetsUsed, type SheetCuts } from './sheets-used'
import { cutting } from './solve'

/** Rounds of the search: few, for one holder has few parts. */
const ROUNDS = 2

/** How parts are cut, and those that no piece of their stock is large enough for. */
export interface QuickPlan {
  cuts: SheetCuts[]
  noPlace: NoPlace[]
}

/**
 * How the parts of some holders are cut, after a short search without a clock: the same holders give the same cuts.
 * The page of cutting looks longer.
 */
export function quickPlan(shop: Shop, holders: readonly ToCut[]): QuickPlan {
  const plans: CutPlan[] = []
  const cuts: SheetCuts[] = []
  const noPlace: NoPlace[] = []
  for (const job of jobsOf(shop, holders)) {
    const plan = quick(withoutUsed(job.instance, plans))
    plans.push(plan)
    cuts.push(...sheetsUsed(job, plan, shop))
    noPlace.push(...noPlaceIn(job, plan))
  }
  return { cuts, noPlace }
}

function quick(instance: CutInstance): CutPlan {
  const search = cutting(
    instance,
    meansUntil(randomFrom(1), ROUNDS, null, () => 0, Infinity),
  )
  for (;;) {
    const { value, done } = search.next()
    if (done) return value
  }
}

/** The same without what has no place. */
export const quickCuts = (shop: Shop, holders: readonly ToCut[]): SheetCuts[] => quickPlan(shop, holders).cuts
