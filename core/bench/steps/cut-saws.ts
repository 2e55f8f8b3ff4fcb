import type { Cut } from '../../cutting/cuts'
import type { SheetCuts } from '../../cutting/sheets-used'
import type { Direction } from '../../cutting/strips'
import { SHORTEST_RIP } from '../../shop/held-safely'
import type { Row } from '../../shop/lists'
import type { Shop } from '../../shop/shop'
import { sawFor } from './machines'

/** A cut of a piece of stock with what makes it. */
export interface SawnCut {
  cut: Cut
  direction: Direction
  /** null where the shop has none for it */
  saw: Row<'saws'> | null
  /** too short to be held safely at that saw, and no other is there */
  isShort: boolean
}

/** The cuts of a piece of stock in their order, each with the saw of the shop that makes it. */
export function sawnCuts({ job, cuts }: SheetCuts, shop: Pick<Shop, 'saws'>): SawnCut[] {
  return cuts.map((cut) => {
    // a rod, or a length that is as wide as it comes, is only cut across
    const direction = job.instance.kind === '1d' ? 'cross' : cut.direction
    const long = Math.hypot(cut.to.x - cut.from.x, cut.to.y - cut.from.y)
    const work = { long, fence: cut.fence, thickness: job.stock.thickness, tilt: 0 }
    const safe = sawFor(shop, direction, work)
    const saw = safe ?? sawFor(shop, direction, { ...work, long: Math.max(long, SHORTEST_RIP) })
    return { cut, direction, saw, isShort: safe === null && saw !== null }
  })
}
