/** Bits of a word that are used: sums of two words stay whole numbers of 32 bits. */
const BITS = 30

/** Counts of many shapes, several in one word: as many numbers as `PackedCounts.words` says. */
export type Packed = Int32Array

/**
 * How often each shape may be taken, such that two sets of shapes are added and held against it several shapes at a
 * time. A shape of which there is one has a bit, in words before all others; any other has a field as wide as its demand
 * asks for and one bit more, which is set when there are too many.
 */
export class PackedCounts {
  readonly words: number
  /** Words of shapes that there is one of. */
  private readonly single: number
  private readonly word: Int32Array
  private readonly shift: Int32Array
  private readonly mask: readonly number[]
  private readonly spare: Int32Array
  private readonly over: Int32Array

  /** @param demand of each shape how many there are; shapes without any are never taken */
  constructor(private readonly demand: ArrayLike<number>) {
    this.mask = Array.from(demand, (most) => (1 << (32 - Math.clz32(most))) - 1)
    const widths = Array.from(demand, (most) => (most <= 1 ? 1 : 33 - Math.clz32(most)))
    this.word = new Int32Array(widths.length)
    this.shift = new Int32Array(widths.length)
    let [next, used] = [0, 0]
    const lay = (shape: number): void => {
      if (used + widths[shape]! > BITS) [next, used] = [next + 1, 0]
      this.word[shape] = next
      this.shift[shape] = used
      used += widths[shape]!
    }
    widths.forEach((width, shape) => width === 1 && demand[shape]! > 0 && lay(shape))
    this.single = used > 0 ? next + 1 : 0
    ;[next, used] = [this.single, 0]
    widths.forEach((width, shape) => width !== 1 && lay(shape))
    this.words = used > 0 ? next + 1 : next
    this.spare = new Int32Array(this.words)
    this.over = new Int32Array(this.words)
    widths.forEach((width, shape) => {
      if (width === 1) return
      const top = 1 << (width - 1)
      this.over[this.word[shape]!]! |= top << this.shift[shape]!
      this.spare[this.word[shape]!]! += (top - 1 - demand[shape]!) << this.shift[shape]!
    })
  }

  none(): Packed {
    return new Int32Array(this.words)
  }

  /** One of a shape. */
  one(shape: number): Packed {
    const packed = new Int32Array(this.words)
    packed[this.word[shape]!] = 1 << this.shift[shape]!
    return packed
  }

  sum(a: Packed, b: Packed): Packed {
    const packed = new Int32Array(this.words)
    for (let i = 0; i < packed.length; i++) packed[i] = a[i]! + b[i]!
    return packed
  }

  /** Whether there are enough pieces for both. @param from where the second begins, in a row of several */
  both(a: Packed, b: Packed, from = 0): boolean {
    const { single, words, spare, over } = this
    for (let i = 0; i < single; i++) if (a[i]! & b[from + i]!) return false
    for (let i = single; i < words; i++) if ((a[i]! + b[from + i]! + spare[i]!) & over[i]!) return false
    return true
  }

  /** Several, one after the other in a row. */
  inRow(all: readonly Packed[]): Packed {
    const row = new Int32Array(all.length * this.words)
    all.forEach((packed, i) => row.set(packed, i * this.words))
    return row
  }

  /** Which shapes there are. */
  shapes(packed: Packed): number[] {
    const found: number[] = []
    for (let shape = 0; shape < this.demand.length; shape++)
      if ((packed[this.word[shape]!]! >>> this.shift[shape]!) & this.mask[shape]!) found.push(shape)
    return found
  }

  /** How many there are in all. */
  total(packed: Packed): number {
    return this.counts(packed).reduce((sum, n) => sum + n, 0)
  }

  /** How many of each shape. */
  counts(packed: Packed): Uint16Array {
    const counts = new Uint16Array(this.demand.length)
    for (let shape = 0; shape < counts.length; shape++)
      counts[shape] = (packed[this.word[shape]!]! >>> this.shift[shape]!) & this.mask[shape]!
    return counts
  }
}
