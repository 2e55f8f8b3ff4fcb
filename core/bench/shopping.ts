import type { NoPlace } from '../cutting/no-place'
import type { SheetCuts } from '../cutting/sheets-used'
import { drawnWidth } from '../cutting/sheets-used'
import type { HolderModel } from '../model/model'
import type { Shop } from '../shop/shop'
import { formatLength } from '../units/format-length'
import { hardwareOf } from './hardware'

/** One line of a shopping list. */
export interface Wanted {
  name: string
  count: number
  /** of all of them together, in the shop's money; null where the price is not known */
  cost: number | null
}

/** What has to be bought, and what the bin saves. */
export interface ShoppingList {
  wanted: Wanted[]
  /** of what has a price */
  cost: number
  /** something has no price */
  incomplete: boolean
  /** offcuts used instead of buying: their names, and what as much new stock would cost */
  saved: { name: string; worth: number }[]
}

/**
 * What is to be bought for some holders: whole pieces of stock from the plan of cutting, and hardware that is on the
 * shopping list. Offcuts cost nothing; what they save is reckoned by area at the price of new stock. For a part that no stock
 * of the shop is large enough for a larger piece is wanted.
 */
export function shoppingList(
  shop: Shop,
  models: readonly HolderModel[],
  cuts: readonly SheetCuts[],
  noPlace: readonly NoPlace[],
): ShoppingList {
  const stocks = new Map<string, Wanted>()
  const saved: ShoppingList['saved'] = []
  for (const sheet of cuts) {
    const { stock } = sheet.job
    if (sheet.offcut !== null) {
      const area = sheet.stock.length * drawnWidth(sheet)
      const whole = (stock.length ?? sheet.stock.length) * (stock.width ?? drawnWidth(sheet))
      saved.push({ name: sheet.name, worth: (stock.price ?? 0) * Math.min(1, area / whole) })
      continue
    }
    const old = stocks.get(stock.id)
    const count = (old?.count ?? 0) + 1
    stocks.set(stock.id, { name: stock.name, count, cost: stock.price === null ? null : stock.price * count })
  }
  const hardware = hardwareOf(models, shop)
    .filter((h) => h.toBuy)
    .map(({ name, count }): Wanted => ({ name, count, cost: null }))
  const larger = new Map<string, Wanted>()
  for (const { stock, count, length, width } of noPlace) {
    const name = `${stock.name}, at least ${formatLength(length, shop, 'up')}${width ? ` × ${formatLength(width, shop, 'up')}` : ''}`
    larger.set(name, { name, count: count + (larger.get(name)?.count ?? 0), cost: null })
  }
  const wanted = [...stocks.values(), ...larger.values(), ...hardware]
  return {
    wanted,
    cost: wanted.reduce((sum, w) => sum + (w.cost ?? 0), 0),
    incomplete: wanted.some((w) => w.cost === null),
    saved,
  }
}
