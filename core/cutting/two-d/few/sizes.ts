import type { Pile } from './pile'

/**
 * Blocks that take about as much and reach about as far are looked at together: what they take differs by no more than this, mm, and how
 * far they reach, which is told closely by what may be wasted, by far less.
 */
const TAKES = 96
const REACHES = 2

/** To tell which of those that take about as much are looked at takes as long as to look at so many. */
const ROW = 3

/** Blocks by what they take along one axis and by how far they reach across it. */
export class Sizes {
  private readonly rows: number
  private readonly columns: number
  private readonly firstRow: number
  /** Where the blocks of each cell begin: all cells of a row one after the other, so that neighbours in it lie together. */
  private readonly first: Int32Array
  private readonly blocks: Int32Array
  /** What each of those takes, how far it reaches and what it wastes, as they lie there: so they are read one after the other. */
  private readonly takes: Float64Array
  private readonly reaches: Float64Array
  private readonly waste: Float64Array
  /** None wastes less, mm². */
  private readonly least: number

  /**
   * @param some the blocks, @param along what each takes, @param across how far it reaches, mm
   * @param waste what each wastes less what its pieces are worth, mm²
   */
  constructor(some: Int32Array, along: Float64Array, across: Float64Array, waste: Float64Array) {
    let [long, wide, short, least] = [0, 0, Infinity, Infinity]
    for (const i of some) {
      long = Math.max(long, along[i]!)
      wide = Math.max(wide, across[i]!)
      short = Math.min(short, along[i]!)
      least = Math.min(least, waste[i]!)
    }
    this.least = least
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
    this.waste = new Float64Array(some.length)
    for (const i of some) {
      const at = next[cell(i)]!++
      ;[this.blocks[at], this.takes[at], this.reaches[at], this.waste[at]] = [i, along[i]!, across[i]!, waste[i]!]
    }
  }

  /**
   * Puts such on a pile as go into a rectangle and reach across it, with no more wasted in them and beside them.
   * @param length mm, @param width mm, @param spare what may be wasted less what pieces are worth, mm²
   */
  reaching(length: number, width: number, spare: number, pile: Pile): void {
    const beside = spare - this.least
    if (beside < 0) return
    pile.makeRoom(this.blocks.length)
    const { first, blocks, columns, takes, reaches, waste } = this
    const last = Math.min(columns - 1, Math.floor(width / REACHES))
    const end = Math.min(this.rows - 1, Math.floor(length / TAKES))
    const found = pile.blocks
    let { top, looked } = pile
    for (let row = this.firstRow; row <= end; row++) {
      const least = width - beside / Math.max(1, row * TAKES)
      const column = Math.max(0, Math.floor(least / REACHES))
      if (column > last) continue
      const begin = first[row * columns + column]!
      const until = first[row * columns + last + 1]!
      looked += until - begin + ROW
      for (let i = begin; i < until; i++) {
        const gap = width - reaches[i]!
        if (gap >= 0 && takes[i]! <= length && gap * takes[i]! + waste[i]! <= spare) found[top++] = blocks[i]!
      }
    }
    ;[pile.top, pile.looked] = [top, looked]
  }

  /** Puts such on a pile as fill a rectangle, with no more wasted in them and beside them; else as `reaching`. */
  filling(length: number, width: number, spare: number, pile: Pile): void {
    const area = length * width
    const least = area - (spare - this.least)
    if (least > area) return
    pile.makeRoom(this.blocks.length)
    const { first, blocks, columns, takes, reaches, waste } = this
    const last = Math.min(columns - 1, Math.floor(width / REACHES))
    const lowest = Math.max(this.firstRow, Math.floor(least / width / TAKES))
    const found = pile.blocks
    let { top, looked } = pile
    for (let row = Math.min(this.rows - 1, Math.floor(length / TAKES)); row >= lowest; row--) {
      const column = Math.max(0, Math.floor(least / Math.min(length, (row + 1) * TAKES) / REACHES))
      if (column > last) break
      const begin = first[row * columns + column]!
      const until = first[row * columns + last + 1]!
      looked += until - begin + ROW
      for (let i = begin; i < until; i++) {
        const [long, wide] = [takes[i]!, reaches[i]!]
        if (long <= length && wide <= width && area - long * wide + waste[i]! <= spare) found[top++] = blocks[i]!
      }
    }
    ;[pile.top, pile.looked] = [top, looked]
  }
}
