import { eachIn, has, meet, wordsFor } from './bits'

/** Sets of pieces that fill a sheet, each once, with the least that it wastes. */
export class Found {
  top = 0
  sets: Int32Array
  waste: Float64Array
  private slots: Int32Array

  /** @param words how many numbers the bits of a set take */
  constructor(readonly words: number) {
    this.sets = new Int32Array(1024 * words)
    this.waste = new Float64Array(1024)
    this.slots = new Int32Array(4096).fill(-1)
  }

  /** The number of a set; -1 where it was not found. */
  at(set: Int32Array): number {
    return this.slots[this.slotOf(set, 0)]!
  }

  /** @param waste mm² */
  add(set: Int32Array, waste: number): void {
    const { words } = this
    const slot = this.slotOf(set, 0)
    const known = this.slots[slot]!
    if (known >= 0) {
      if (waste < this.waste[known]!) this.waste[known] = waste
      return
    }
    if (this.top === this.waste.length) {
      this.grow()
      this.add(set, waste)
      return
    }
    this.slots[slot] = this.top
    for (let k = 0; k < words; k++) this.sets[this.top * words + k] = set[k]!
    this.waste[this.top++] = waste
  }

  /** Whether one of them holds a piece. */
  holds(at: number, piece: number): boolean {
    return has(this.sets, at * this.words, piece)
  }

  /** Whether two of them have a piece in common. */
  meet(one: number, other: number): boolean {
    const { sets, words } = this
    return meet(sets, one * words, sets, other * words, words)
  }

  /** Adds the pieces of one of them to a set. */
  addTo(set: Int32Array, at: number): void {
    for (let k = 0; k < this.words; k++) set[k]! |= this.sets[at * this.words + k]!
  }

  /** Adds up how many of the first so many in a list hold each piece. */
  count(list: Int32Array, length: number, holding: Int32Array): void {
    const { sets, words } = this
    const add = (piece: number): number => holding[piece]!++
    for (let i = 0; i < length; i++) eachIn(sets, list[i]! * words, words, add)
  }

  /**
   * Those that hold no piece of a set, of the pieces that are left: each is known by its place among those.
   * @param left the pieces that the set has not, the least first, @param may which of them may be, by their numbers
   */
  without(set: Int32Array, left: readonly number[], may: (at: number) => boolean): Found {
    const { words, sets, waste } = this
    const place = new Int32Array(32 * words)
    left.forEach((piece, at) => (place[piece] = at))
    const rest = new Found(wordsFor(left.length))
    for (let i = 0; i < this.top; i++) {
      if (!may(i) || meet(sets, i * words, set, 0, words)) continue
      const held = new Int32Array(rest.words)
      eachIn(sets, i * words, words, (piece) => {
        const at = place[piece]!
        held[at >> 5]! |= 1 << (at & 31)
      })
      rest.add(held, waste[i]!)
    }
    return rest
  }

  private grow(): void {
    const { words, top } = this
    const [sets, waste] = [new Int32Array(2 * top * words), new Float64Array(2 * top)]
    sets.set(this.sets)
    waste.set(this.waste)
    ;[this.sets, this.waste] = [sets, waste]
    this.slots = new Int32Array(8 * top).fill(-1)
    for (let i = 0; i < top; i++) this.slots[this.slotOf(sets, i * words)] = i
  }

  /** Where a set lies, or would. */
  private slotOf(set: Int32Array, from: number): number {
    const { words, slots, sets } = this
    let hash = 0
    for (let k = 0; k < words; k++) hash = Math.imul(hash ^ set[from + k]!, 0x9e3779b1) ^ (hash >>> 15)
    for (let at = (hash ^ (hash >>> 13)) & (slots.length - 1); ; at = (at + 1) & (slots.length - 1)) {
      const known = slots[at]!
      if (known < 0) return at
      let same = true
      for (let k = 0; k < words && same; k++) same = sets[known * words + k] === set[from + k]
      if (same) return at
    }
  }
}
