import { SAME } from '../instance'
import type { Lying } from './blocks'
import { PairsOfSets } from './pairs-of-sets'
import { areaOfAll, type Problem } from './sheets'
import type { Rectangle } from './slicing/curves'

/** The most pieces whose ways are all gone through, for one rectangle and for two: each one more takes three times as long. */
export const FEW = 14
export const FEW_FOR_TWO = 16

/**
 * A block may waste this part of what the rectangle may, and as much more as it takes of it; but as if the rectangle might waste
 * no more than that part of its area, for otherwise there are too many.
 */
const AT_LEAST = 0.15
const MOST_IN_BLOCKS = 0.08

/** The most sizes that are kept, of all sets of pieces together. */
const MOST_SIZES = 1 << 17

/** Sets of pieces are the bits of a number. */
const bits = (pieces: number): number => 1 << pieces

/**
 * Fills a rectangle, or two equal ones, with few pieces by going through all ways to cut it, but for those that waste much in a
 * small part of it: for each set of the pieces all sizes are kept in which it makes a block, of which none holds another; two
 * sets that have no piece in common are joined side by side along either axis (sizes as L. Stockmeyer keeps them, Optimal
 * orientations of cells in slicing floorplan designs, Information and Control 57, 1983).
 */
export class AllWays {
  /** Area of each set, mm², its first size and how many it has. */
  private readonly net: Float64Array
  private readonly first: Int32Array
  private readonly count: Int32Array
  /** Each size, and the two sizes it is made of: the second as it is when they lie along the length, else its complement. */
  private readonly l: Float64Array
  private readonly w: Float64Array
  private readonly one: Int32Array
  private readonly other: Int32Array
  private top = 0
  /** What each set wastes at least, mm², as long as pairs are put together. */
  private readonly least: Float64Array
  private readonly pairs: PairsOfSets

  /**
   * @param most sizes that are kept: where there are more, no way is found
   * @param few the most pieces there may be
   */
  constructor(
    private readonly most = MOST_SIZES,
    private readonly few = FEW,
  ) {
    this.net = new Float64Array(bits(few))
    this.first = new Int32Array(bits(few))
    this.count = new Int32Array(bits(few))
    this.least = new Float64Array(bits(few))
    this.pairs = new PairsOfSets(few)
    this.l = new Float64Array(most)
    this.w = new Float64Array(most)
    this.one = new Int32Array(most)
    this.other = new Int32Array(most)
  }

  /**
   * @param problem the pieces, of which there are as few as told or none is found; its sheets don't matter
   * @param rectangle what they are to fill, mm
   * @returns where all pieces lie, mm from the lower left; null where no way was found or the time was up
   */
  fill(problem: Problem, rectangle: Rectangle, over: () => boolean): Lying[] | null {
    const all = bits(problem.pieces.length) - 1
    if (!this.makeAll(problem, rectangle, 1, over) || this.count[all] === 0) return null
    return this.lying(problem, all, this.first[all]!, 0, 0)
  }

  /**
   * The same for two equal rectangles.
   * @returns where the pieces of each lie, mm from its lower left; null where no way was found or the time was up
   */
  fillTwo(problem: Problem, rectangle: Rectangle, over: () => boolean): readonly [Lying[], Lying[]] | null {
    const all = bits(problem.pieces.length) - 1
    if (!this.makeAll(problem, rectangle, 2, over)) return null
    for (let set = 1; set < (all ^ set); set++) {
      const other = all ^ set
      if (this.count[set] === 0 || this.count[other] === 0) continue
      return [this.lying(problem, set, this.first[set]!, 0, 0), this.lying(problem, other, this.first[other]!, 0, 0)]
    }
    return null
  }

  /**
   * Makes the sizes of all sets that go into one of some equal rectangles, and may be the whole of one.
   * @returns false where there are too many pieces or the time was up
   */
  private makeAll(problem: Problem, rectangle: Rectangle, rectangles: 1 | 2, over: () => boolean): boolean {
    const { pieces, shapes } = problem
    const [length, width] = [rectangle.l + SAME / 2, rectangle.w + SAME / 2]
    const area = length * width
    const spare = rectangles * area - areaOfAll(problem)
    if (spare < 0 || pieces.length > this.few || pieces.length === 0) return false
    const inBlocks = Math.min(spare, MOST_IN_BLOCKS * area)
    // what fills a rectangle may waste all there is
    const mostOf = (net: number): number =>
      net >= area - spare - SAME ? area : net + inBlocks * Math.min(1, AT_LEAST + net / area)
    const all = bits(pieces.length) - 1
    this.top = 0
    this.pairs.begin(pieces.length)
    for (let set = 1; set <= all; set++) {
      if ((set & 255) === 0 && over()) return false
      const piece = 31 - Math.clz32(set)
      const rest = set ^ bits(piece)
      const shape = shapes[pieces[piece]!]!
      const net = this.net[rest]! + shape.area
      this.net[set] = net
      this.first[set] = this.top
      this.count[set] = 0
      if (net > area) continue
      if (rest === 0) {
        if (shape.l <= length && shape.w <= width) this.keep(set, shape.l, shape.w, piece, 0)
        if (shape.turns && shape.w <= length && shape.l <= width) this.keep(set, shape.w, shape.l, piece, 0)
      } else if (this.pairs.goes) {
        this.pairs.each(set, (half) => this.join(set, half, mostOf(net), length, width))
      } else this.joinAll(set, mostOf(net), length, width)
      if (this.count[set]! > 0 && this.pairs.goes) this.pairUp(set, area, mostOf)
    }
    return true
  }

  /**
   * Puts a set together with those before it that it may make a block with.
   * @param mostOf the area of a block at most, by that of its pieces
   */
  private pairUp(set: number, area: number, mostOf: (net: number) => number): void {
    const { net, least, pairs } = this
    least[set] = this.smallest(set) - net[set]!
    pairs.add(set, (other) => {
      const both = net[set]! + net[other]!
      return both <= area && both + least[set]! + least[other]! <= mostOf(both)
    })
  }

  /** Area of the smallest block that a set makes, mm². */
  private smallest(set: number): number {
    const { l, w, first, count } = this
    let least = Infinity
    for (let i = first[set]!; i < first[set]! + count[set]!; i++) least = Math.min(least, l[i]! * w[i]!)
    return least
  }

  /** Joins any two sets of which one is made. */
  private joinAll(set: number, most: number, length: number, width: number): void {
    const { count } = this
    const lowest = set & -set
    const rest = set ^ lowest
    for (let more = (rest - 1) & rest; ; more = (more - 1) & rest) {
      const half = more | lowest
      if (count[half]! > 0 && count[set ^ half]! > 0) this.join(set, half, most, length, width)
      if (more === 0) return
    }
  }

  /** Joins a part of a set with what it lacks. */
  private join(set: number, half: number, most: number, length: number, width: number): void {
    const { l, w, first, count } = this
    const rest = set ^ half
    const [endOne, endOther] = [first[half]! + count[half]!, first[rest]! + count[rest]!]
    for (let i = first[half]!; i < endOne; i++)
      for (let j = first[rest]!; j < endOther; j++) {
        const long = l[i]! + l[j]!
        const wide = w[i]! + w[j]!
        const longest = l[i]! > l[j]! ? l[i]! : l[j]!
        const widest = w[i]! > w[j]! ? w[i]! : w[j]!
        if (long * widest <= most && long <= length && widest <= width) this.keep(set, long, widest, i, j)
        if (longest * wide <= most && longest <= length && wide <= width) this.keep(set, longest, wide, i, ~j)
      }
  }

  /** Keeps a size of the set that is being made, and none that holds it; sizes stand in order of their length. */
  private keep(set: number, length: number, width: number, one: number, other: number): void {
    const { l, w } = this
    const from = this.first[set]!
    let at = from
    while (at < this.top && l[at]! < length) at++
    // what is no longer is narrower the longer it is
    if (at > from && w[at - 1]! <= width) return
    if (at < this.top && l[at] === length && w[at]! <= width) return
    let end = at
    while (end < this.top && w[end]! >= width) end++
    if (end === at && this.top === this.most) return
    this.move(end, at + 1)
    l[at] = length
    w[at] = width
    this.one[at] = one
    this.other[at] = other
    this.count[set] = this.top - from
  }

  /** Moves the sizes from a place on to another. */
  private move(from: number, to: number): void {
    if (from !== to) for (const list of [this.l, this.w, this.one, this.other]) list.copyWithin(to, from, this.top)
    this.top += to - from
  }

  private lying(problem: Problem, set: number, size: number, x: number, y: number): Lying[] {
    const one = this.one[size]!
    const other = this.other[size]!
    if ((set & (set - 1)) === 0) {
      const shape = problem.shapes[problem.pieces[one]!]!
      return [{ piece: one, x, y, turned: shape.l !== this.l[size] || shape.w !== this.w[size] }]
    }
    const second = other < 0 ? ~other : other
    const setOfOne = this.setOf(one, set)
    const [atX, atY] = other < 0 ? [x, y + this.w[one]!] : [x + this.l[one]!, y]
    return [...this.lying(problem, setOfOne, one, x, y), ...this.lying(problem, set ^ setOfOne, second, atX, atY)]
  }

  /** The set that a size belongs to, part of another. */
  private setOf(size: number, within: number): number {
    for (let set = (within - 1) & within; set > 0; set = (set - 1) & within)
      if (this.first[set]! <= size && size < this.first[set]! + this.count[set]!) return set
    throw new Error('A size belongs to no set')
  }
}
