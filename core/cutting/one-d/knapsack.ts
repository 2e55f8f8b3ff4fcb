import { SAME } from '../instance'

/** How many branches are looked at before the best so far is taken. */
const LOOKS = 60_000

export interface Filled {
  readonly counts: number[]
  readonly value: number
  /** No filling is worth more than this: `value` itself when every branch was looked at. */
  readonly atMost: number
}

/**
 * Fills a length with sizes so that it is worth most: branch and bound, sizes in order of value a length.
 * @param most how many of each there are
 */
export function fillBest(
  length: number,
  sizes: readonly number[],
  values: readonly number[],
  most: readonly number[],
  looks = LOOKS,
): Filled {
  const order = sizes
    .map((_, i) => i)
    .filter((i) => values[i]! > 1e-9 && most[i]! > 0 && sizes[i]! <= length + SAME)
    .sort((a, b) => values[b]! / sizes[b]! - values[a]! / sizes[a]!)
  const counts = new Array<number>(sizes.length).fill(0)
  const now = new Array<number>(sizes.length).fill(0)
  let best = 0
  let left = looks
  const look = (at: number, room: number, value: number): void => {
    if (value > best + 1e-12) {
      best = value
      for (let i = 0; i < counts.length; i++) counts[i] = now[i]!
    }
    if (at === order.length || left-- <= 0) return
    const i = order[at]!
    if (value + (room * values[i]!) / sizes[i]! <= best + 1e-12) return
    for (let n = Math.min(most[i]!, Math.floor((room + SAME) / sizes[i]!)); n >= 0; n--) {
      now[i] = n
      look(at + 1, room - n * sizes[i]!, value + n * values[i]!)
    }
    now[i] = 0
  }
  look(0, length, 0)
  const first = order[0]
  const relaxed = first === undefined ? 0 : (length * values[first]!) / sizes[first]!
  return { counts, value: best, atMost: left > 0 ? best : relaxed }
}
