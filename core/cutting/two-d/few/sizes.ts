/**
 * Blocks that take about as much and reach about as far are looked at together: what they take differs by no more than this, mm, and how
 * far they reach, which is told closely by what may be wasted, by far less.
 */
const TAKES = 96
const REACHES = 2

/** Blocks by what they take along one axis and by how far they reach across it. */
export class Sizes {
  private readonly rows: number
  private readonly columns: number
  private readonly firstRow: number
  /** Where the blocks of each cell begin: all cells of a row one after the other, so that neighbours in it lie together. */
  private readonly first: Int32Array
  private readonly blocks: Int32Array
  /** What each of those takes and how far it reaches, as they lie there: so they are read one after the other. */
  private readonly takes: Float64Array
  private readonly reaches: Float64Array

  /** @param some the blocks, @param along what each takes, @param across how far it reaches, mm */
  constructor(some: Int32Array, along: Float64Array, across: Float64Array) {
    let [long, wide, short] = [0, 0, Infinity]
    for (const i of some) {
      long = Math.max(long, along[i]!)
      wide = Math.max(wide, across[i]!)
      short = Math.min(short, along[i]!)
    }
    this.rows = Math.floor(long / TAKES) + 1
    this.columns = Math.floor(wide / REACHES) + 1
    this.firstRow = Math.floor(Math.min(short, long) / TAKES)
    this.first = new Int32Array(this.rows * this.columns + 1)
    const cell = (i: number): number => Math.floor(along[i]! / TAKES) * this.columns + Math.floor(across[i]! / REACHES)
    for (const i of some) this.first[cell(i) + 1]!++
    for (let c = 1; c < this.first.length; c++) this.first[c]! += this.first[c - 1]!
    const next = this.first.slice()
    this.blocks = new Int32Array(some.length)
    this.takes = new Float64Array(some.length)
    this.reaches = new Float64Array(some.length)
    for (const i of some) {
      const at = next[cell(i)]!++
      this.blocks[at] = i
      this.takes[at] = along[i]!
      this.reaches[at] = across[i]!
    }
  }

  /**
   * Blocks that go into a rectangle and reach across it, with no more wasted beside them.
   * @param length mm, @param width mm, @param waste mm²
   * @param at is told each
   */
  reaching(length: number, width: number, waste: number, at: (block: number) => void): void {
    const { first, blocks, columns } = this
    const last = Math.min(columns - 1, Math.floor(width / REACHES))
    const end = Math.min(this.rows - 1, Math.floor(length / TAKES))
    for (let row = this.firstRow; row <= end; row++) {
      const least = width - waste / Math.max(1, row * TAKES)
      const column = Math.max(0, Math.floor(least / REACHES))
      if (column > last) continue
      const until = first[row * columns + last + 1]!
      for (let i = first[row * columns + column]!; i < until; i++) {
        const takes = this.takes[i]!
        const reaches = this.reaches[i]!
        if (takes <= length && reaches <= width && (width - reaches) * takes <= waste) at(blocks[i]!)
      }
    }
  }

  /** Blocks that fill a rectangle, with no more wasted beside them. */
  filling(length: number, width: number, waste: number, at: (block: number) => void): void {
    const { first, blocks, columns } = this
    const least = length * width - waste
    const last = Math.min(columns - 1, Math.floor(width / REACHES))
    const begin = Math.max(this.firstRow, Math.floor(least / width / TAKES))
    for (let row = Math.min(this.rows - 1, Math.floor(length / TAKES)); row >= begin; row--) {
      const column = Math.max(0, Math.floor(least / Math.min(length, (row + 1) * TAKES) / REACHES))
      if (column > last) break
      const until = first[row * columns + last + 1]!
      for (let i = first[row * columns + column]!; i < until; i++) {
        const takes = this.takes[i]!
        const reaches = this.reaches[i]!
        if (takes <= length && reaches <= width && takes * reaches >= least) at(blocks[i]!)
      }
    }
  }
}
