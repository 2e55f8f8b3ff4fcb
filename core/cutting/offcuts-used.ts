import { PART_OF_OFFCUT } from './from-holders'
import type { CutInstance, CutPlan } from './instance'

/** The offcut that a piece of stock is, or is the sound part of, by its id as stock. */
const whole = (stockId: string): string => stockId.split(PART_OF_OFFCUT)[0]!

/**
 * What is to be cut when some plans stand already: an offcut that does instead of two kinds of stock is cut up once.
 * @param plans of what is cut before it
 */
export function withoutUsed(instance: CutInstance, plans: readonly CutPlan[]): CutInstance {
  const used = new Set(plans.flatMap((plan) => plan.placements.map((p) => whole(p.stockId))))
  return { ...instance, stock: instance.stock.filter((s) => !s.isOffcut || !used.has(whole(s.id))) }
}
