import { canBeTrimmed, cutBefore } from '../model/work'
import { formatLength } from '../units/format-length'
import type { Check } from './subject'
import type { Verdict } from './verdict'

/** Parts that were cut before the plan changed: to another size, or of other stock. */
export const checkCutBefore: Check = ({ model, input: { shop, cut } }) => {
  if (!cut) return []
  const size = (length: number, width: number): string => `${formatLength(length, shop)} × ${formatLength(width, shop)}`
  return cutBefore(model, cut).map((before): Verdict => {
    const { part, was } = before
    const name = (id: string): string => shop.stock.find((s) => s.id === id)?.name ?? 'other stock'
    const of = was.stock === part.stock ? '' : ` of ${name(was.stock)}`
    const now = size(part.length, 'width' in part ? part.width : part.diameter)
    return {
      id: `cut:${part.id}`,
      check: 'cut',
      title: 'Cut already',
      level: 'watch',
      says: `${part.name} was cut ${size(was.length, was.width)}${of}, before the plan changed; now it is ${now}${of && ` of ${name(part.stock)}`}. ${canBeTrimmed(before) ? 'Trim it, or cut it again' : 'It is to be cut again'}.`, // prettier-ignore
      seats: [],
      ...('width' in part ? { board: part.id } : {}),
      candidates: [],
    }
  })
}
