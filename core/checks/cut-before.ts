import { canBeTrimmed, cutBefore, type CutBefore, type PieceSize } from '../model/work'
import type { Shop } from '../shop/shop'
import { formatLength, type LengthFormat } from '../units/format-length'
import type { Check } from './subject'
import type { Verdict } from './verdict'

/** What was cut, and what it is to be now, as it is said in the shop's unit. */
export function saysCutBefore({ part, was, now }: CutBefore, stock: Shop['stock'], format: LengthFormat): string {
  const size = (of: PieceSize): string => `${formatLength(of.length, format)} × ${formatLength(of.width, format)}`
  const of = (id: string): string => (was.stock === now.stock ? '' : ` of ${stock.find((s) => s.id === id)?.name ?? 'other stock'}`) // prettier-ignore
  return `${part.name} was cut ${size(was)}${of(was.stock)} before the plan changed; now it is ${size(now)}${of(now.stock)}.`
}

/** Parts that were cut before the plan changed: to another size, or of other stock. */
export const checkCutBefore: Check = ({ model, input: { shop, cut } }) => {
  if (!cut) return []
  return cutBefore(model, cut).map((before): Verdict => {
    const { part } = before
    return {
      id: `cut:${part.id}`,
      check: 'cut',
      title: 'Cut already',
      level: 'watch',
      says: `${saysCutBefore(before, shop.stock, shop)} ${canBeTrimmed(before) ? 'Trim it, or cut it again.' : 'It is to be cut again.'}`,
      seats: [],
      ...('width' in part ? { board: part.id } : {}),
      candidates: [],
    }
  })
}
