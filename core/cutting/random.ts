import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus'

/** A stream of random numbers in [0, 1), the same for the same seed. */
export type Random = () => number

/** @param seed any whole number */
export function randomFrom(seed: number): Random {
  const source = xoroshiro128plus(seed | 0)
  return () => (source.next() >>> 0) / 4294967296
}

/** A whole number from 0 to below n. */
export const below = (random: Random, n: number): number => Math.floor(random() * n)

/** Puts a list into an order by chance. */
export function shuffle(random: Random, list: unknown[]): void {
  for (let i = list.length - 1; i > 0; i--) {
    const j = below(random, i + 1)
    ;[list[i], list[j]] = [list[j], list[i]]
  }
}
