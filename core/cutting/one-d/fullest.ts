/** So many pieces are weighed against each other at most: each half of them has 2^12 sums. */
export const MOST = 24

/** Sums of all subsets of some sizes in order, and which sizes are in each as bits. */
interface Sums {
  readonly sums: Float64Array
  readonly sets: Int32Array
}

function sumsOf(sizes: readonly number[]): Sums {
  let now: Sums = { sums: new Float64Array(1), sets: new Int32Array(1) }
  sizes.forEach((size, bit) => {
    const n = now.sums.length
    const next: Sums = { sums: new Float64Array(2 * n), sets: new Int32Array(2 * n) }
    // without the size and with it are both in order: merge them
    for (let i = 0, j = 0, k = 0; k < 2 * n; k++) {
      const takes = i === n || (j < n && now.sums[j]! + size < now.sums[i]!)
      next.sums[k] = takes ? now.sums[j]! + size : now.sums[i]!
      next.sets[k] = takes ? now.sets[j++]! | (1 << bit) : now.sets[i++]!
    }
    now = next
  })
  return now
}

/**
 * The subset of some sizes with the largest sum that is not above a limit: the sums of both halves are gone through
 * against each other (E. Horowitz, S. Sahni, Computing partitions with applications to the knapsack problem, Journal of
 * the ACM 21, 1974).
 * @param sizes at most `MOST` of them, mm
 * @returns which ones
 * @throws RangeError when there are more
 */
export function fullest(sizes: readonly number[], limit: number): boolean[] {
  if (sizes.length > MOST) throw new RangeError(`more than ${MOST} sizes`)
  const half = sizes.length >> 1
  const a = sumsOf(sizes.slice(0, half))
  const b = sumsOf(sizes.slice(half))
  let [best, low, high] = [-1, 0, 0]
  for (let i = 0, j = b.sums.length - 1; i < a.sums.length; i++) {
    while (j >= 0 && a.sums[i]! + b.sums[j]! > limit) j--
    if (j < 0) break
    const sum = a.sums[i]! + b.sums[j]!
    if (sum > best) [best, low, high] = [sum, a.sets[i]!, b.sets[j]!]
  }
  return sizes.map((_, i) => ((i < half ? low >> i : high >> (i - half)) & 1) === 1)
}
