/** Pieces have numbers by chance, and blocks the sums of those of their pieces; all stay below this, a prime. */
export const PRIME = 2 ** 50 - 27

/**
 * What some pieces that make a block of a size are known by: others are so by chance once in 2 ** 50.
 * @param name the sum of the numbers of the pieces, below `PRIME`
 * @param l its size as whole numbers, @param w
 */
export const knownBy = (name: number, l: number, w: number): number =>
  (name + l * 268_435_399 + w * 179_424_673) % PRIME
