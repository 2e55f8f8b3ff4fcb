import { firstWhere } from '../../by-halves'

/** Blocks that reach about as far lie together, mm. */
export const CELL = 4

/** Blocks by how far they reach across an axis, about, and of those the shortest first. */
export class ByReach {
  private readonly lists: number[][]
  /** Of each list the shortest: most lists are no match at all. */
  private readonly shortest: Float64Array
  /** How many blocks were looked at. */
  looks = 0

  /**
   * @param along what blocks take along the axis, mm
   * @param across how far they reach across it, mm
   * @param widest the furthest that any does, mm
   */
  constructor(
    readonly along: Float64Array,
    readonly across: Float64Array,
    widest: number,
  ) {
    this.lists = Array.from({ length: Math.floor(widest / CELL) + 1 }, () => [])
    this.shortest = new Float64Array(this.lists.length).fill(Infinity)
  }

  add(block: number): void {
    const { along, lists, shortest } = this
    const size = Math.floor(this.across[block]! / CELL)
    const list = lists[size]!
    const takes = along[block]!
    list.splice(
      firstWhere(list.length, (i) => along[list[i]!]! > takes),
      0,
      block,
    )
    if (takes < shortest[size]!) shortest[size] = takes
  }

  /** The last list of blocks that reach no further than some mm. */
  upTo(across: number): number {
    return Math.min(this.lists.length - 1, Math.floor(across / CELL))
  }

  /** Blocks of one list that take no more than some mm, the shortest first; null where there are none. */
  within(size: number, longest: number): readonly number[] | null {
    return this.shortest[size]! <= longest ? this.lists[size]! : null
  }

  /**
   * Blocks that go into a rectangle and reach across it.
   * @param length mm, @param width mm
   * @param waste what may be wasted beside one, mm²
   * @param thinnest no block takes less, mm
   * @param at is told each
   */
  reaching(length: number, width: number, waste: number, thinnest: number, at: (block: number) => void): void {
    const { along, across } = this
    for (let size = this.upTo(width); size >= 0; size--) {
      const gap = width - (size + 1) * CELL
      if (gap * thinnest > waste) return
      const longest = gap > 0 ? Math.min(length, waste / gap) : length
      const list = this.within(size, longest)
      if (!list) continue
      for (let i = 0; i < list.length; i++) {
        const block = list[i]!
        this.looks++
        if (along[block]! > longest) break
        if (across[block]! <= width && (width - across[block]!) * along[block]! <= waste) at(block)
      }
    }
  }

  /** Blocks that fill a rectangle, with no more wasted beside them. */
  filling(length: number, width: number, waste: number, at: (block: number) => void): void {
    const { along, across } = this
    const least = length - waste / width
    for (let size = this.upTo(width); size >= 0; size--) {
      if ((width - (size + 1) * CELL) * least > waste) return
      const list = this.within(size, length)
      if (!list) continue
      for (let i = firstWhere(list.length, (k) => along[list[k]!]! >= least); i < list.length; i++) {
        const block = list[i]!
        this.looks++
        if (along[block]! > length) break
        if (across[block]! <= width && length * width - along[block]! * across[block]! <= waste) at(block)
      }
    }
  }
}
