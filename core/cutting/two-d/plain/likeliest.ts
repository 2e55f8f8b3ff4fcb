import type { Found } from './found'

/**
 * The first full sheet of an order from some place on, and such after it as have no piece in common with those before.
 * @param order of those found, by their numbers, @param many so many at most
 * @param waste what each wastes, @param spare what all but the first may together with it, mm²
 */
export function likeliest(
  found: Found,
  order: Int32Array,
  from: number,
  many: number,
  waste: Float64Array,
  spare: number,
): number[] {
  const chosen = [order[from]!]
  let left = spare - waste[order[from]!]!
  for (let i = from + 1; i < order.length && chosen.length < many; i++) {
    const at = order[i]!
    if (waste[at]! > left || chosen.some((one) => found.meet(one, at))) continue
    chosen.push(at)
    left -= waste[at]!
  }
  return chosen
}
