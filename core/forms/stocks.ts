import type { Stock } from '../shop/shop'
import type { Trail } from '../working/trail'
import { stockOf } from './choice-value'
import type { Choice, PlanInput, Refusal } from './form'

export const NO_STOCK: Refusal = {
  id: 'stock',
  says: 'The shop has no boards to make this from. Add one under the shop’s settings.',
}

/**
 * The stock chosen for each part of a holder, its thickness on the trail as `thickness:PART`; the choice's key is the
 * part's name and 'Stock'.
 * @returns null where the shop has none for one of them
 */
export function stocksFor<P extends string>(
  choices: readonly Choice[],
  input: PlanInput,
  trail: Trail,
  parts: readonly P[],
): Record<P, Stock> | null {
  const found: Partial<Record<P, Stock>> = {}
  for (const part of parts) {
    const stock = stockOf(choices, input, `${part}Stock`)
    if (!stock) return null
    const origin = { kind: 'stock', id: stock.id, key: 'thickness' } as const
    trail.given(`thickness:${part}`, `Thickness of the ${part}`, stock.thickness, origin, { note: stock.name })
    found[part] = stock
  }
  return found as Record<P, Stock>
}
