/** Sets of pieces are bits of some numbers, 32 to each; many of them lie in one array, one after the other. */
export const wordsFor = (pieces: number): number => (pieces + 31) >> 5

/** Whether a set has a piece. @param from where it begins in its array */
export const has = (sets: Int32Array, from: number, piece: number): boolean =>
  ((sets[from + (piece >> 5)]! >>> (piece & 31)) & 1) === 1

/** Whether two sets have a piece in common. @param words how many numbers each takes */
export function meet(one: Int32Array, from: number, other: Int32Array, at: number, words: number): boolean {
  for (let k = 0; k < words; k++) if ((one[from + k]! & other[at + k]!) !== 0) return true
  return false
}

/** The pieces that a set has, or those that it has not. @param count how many pieces there are */
export const piecesIn = (set: Int32Array, count: number, having: boolean): number[] =>
  Array.from({ length: count }, (_, p) => p).filter((p) => has(set, 0, p) === having)

/** Puts the pieces of one set into another that has none of them, or takes them out of one that has all of them. */
export function exchange(set: Int32Array, sets: Int32Array, from: number, words: number): void {
  for (let k = 0; k < words; k++) set[k]! ^= sets[from + k]!
}

/** Tells each piece that a set has, the least first. @param from where it begins in its array, @param words how many numbers it takes */
export function eachIn(sets: Int32Array, from: number, words: number, at: (piece: number) => void): void {
  for (let k = 0; k < words; k++)
    for (let bits = sets[from + k]!; bits !== 0; bits &= bits - 1) at((k << 5) + 31 - Math.clz32(bits & -bits))
}
