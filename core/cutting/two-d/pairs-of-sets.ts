/** So many pairs are known at most. */
const MOST = 1 << 17

/** It goes on for this part of the work that it is to go through all parts of all sets. */
const PART_OF_ALL = 1 / 6

/** Sets lie apart by which of the first pieces they have: a set is put together only with those that have none of its own. */
const APART = 16

/** No pair. */
const NONE = -1

/**
 * Pairs of sets that have no piece in common, by what they are together; sets are the bits of a number. Where few sets make a block,
 * of 14 pieces a hundred to a thousand of sixteen thousand, that is a fifth of the work that it is to go through all parts of each.
 */
export class PairsOfSets {
  /** Of each set the last of its pairs; of each pair one half, and the pair before it of the same set. */
  private readonly last: Int32Array
  private readonly half = new Int32Array(MOST)
  private readonly before = new Int32Array(MOST)
  private top = 0
  /** The sets so far, by which of the first pieces they have. */
  private readonly sets: readonly number[][] = Array.from({ length: APART }, () => [])
  /** So many sets may yet be looked at. */
  private looks = 0

  /** @param few the most pieces there may be */
  constructor(few: number) {
    this.last = new Int32Array(1 << few)
  }

  /** Whether all pairs are known of the sets that were added. */
  get goes(): boolean {
    return this.looks > 0
  }

  /** Begins anew. @param pieces how many there are, no more than told */
  begin(pieces: number): void {
    this.top = 0
    this.looks = 3 ** pieces * PART_OF_ALL
    this.last.fill(NONE, 0, 1 << pieces)
    for (const sets of this.sets) sets.length = 0
  }

  /** Tells one half of each pair that a set is made of. */
  each(set: number, at: (half: number) => void): void {
    for (let pair = this.last[set]!; pair !== NONE; pair = this.before[pair]!) at(this.half[pair]!)
  }

  /**
   * Puts a set together with those that were added before it; they are added in the order of their numbers.
   * @param goes whether it goes together with another that has no piece in common with it
   */
  add(set: number, goes: (other: number) => boolean): void {
    // those that have its last piece too come after all others
    const end = 1 << (31 - Math.clz32(set))
    for (let part = 0; part < APART; part++) {
      if ((set & part) !== 0) continue
      const others = this.sets[part]!
      for (let i = 0; i < others.length && others[i]! < end; i++) {
        this.looks--
        const other = others[i]!
        if ((set & other) === 0 && goes(other) && !this.put(set, other)) return
      }
    }
    this.sets[set & (APART - 1)]!.push(set)
  }

  /** @returns false where no more may be known */
  private put(set: number, other: number): boolean {
    if (this.top === MOST) {
      this.looks = 0
      return false
    }
    this.half[this.top] = set
    this.before[this.top] = this.last[set | other]!
    this.last[set | other] = this.top++
    return true
  }
}
