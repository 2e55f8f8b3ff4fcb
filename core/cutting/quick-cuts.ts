import type { Shop } from '../shop/shop'
import { jobsOf, type ToCut } from './from-holders'
import { meansUntil } from './means'
import { randomFrom } from './random'
import { sheetsUsed, type SheetCuts } from './sheets-used'
import { cutting } from './solve'

/** Rounds of the search: few, for one holder has few parts. */
const ROUNDS = 2

/**
 * How the parts of some holders are cut, after a short search without a clock: the same holders give the same cuts.
 * The page of cutting looks longer.
 */
export function quickCuts(shop: Shop, holders: readonly ToCut[]): SheetCuts[] {
  return jobsOf(shop, holders).flatMap((job) => {
    const search = cutting(job.instance, meansUntil(randomFrom(1), ROUNDS, null, () => 0, Infinity)) // prettier-ignore
    for (;;) {
      const { value, done } = search.next()
      if (done) return sheetsUsed(job, value, shop)
    }
  })
}
