import { firstWhere } from '../../by-halves'
import { SAME } from '../../instance'
import type { Side } from './block'

/** What is to be joined with something. */
export interface Wanted {
  /** The size of that across, mm, and by how much the other may be narrower or wider. */
  readonly across: number
  readonly narrower: number
  readonly wider: number
  /** No longer than this, mm. */
  readonly longest: number
  /** Its pieces come to no more, mm². */
  readonly net: number
  /** What is larger than that in all is never wanted, mm²; some of it may be found all the same. */
  readonly area: number
  /** Of no higher number. */
  readonly number: number
  /** What sides may differ by in the other and where they are joined, mm; it may be more by a part for each join in the other. */
  readonly uneven: number
  /** What may be wasted beside it, mm². */
  readonly waste: number
  /** What the other and the join may leave to chance, bits; Infinity where that doesn't matter. */
  readonly chance: number
}

/** What is to be cut away from a rectangle along an axis. */
export interface CutAway {
  /** The size of the rectangle across, mm. */
  readonly across: number
  /** No longer than this, mm. */
  readonly longest: number
  /** Of no lower number. */
  readonly number: number
  /** What may be wasted in it and beside it, mm². */
  readonly waste: number
}

/** What goes with something. */
export interface Fitting {
  /** In order of their size across, of each size the shortest first; without those that leave too much to chance. */
  readonly sides: readonly Side[]
  /** What a join with one of them leaves to chance, bits: the logarithm of their number, 1 added, the unlikely counted too. */
  readonly chance: number
  /** The least area of those left out for what they leave to chance, mm²; Infinity where there are none. */
  readonly leftOut: number
}

/** So many numbers of each block stand side by side: most blocks are no match, and to tell that from one line of memory is quick. */
const FIELDS = 6
const [ALONG, ACROSS, NET, UNEVEN, NUMBER, CHANCE] = [0, 1, 2, 3, 4, 5] as const

const NONE: readonly number[] = []

/** Blocks that can be joined along one axis, by their size across. */
export class Joinable {
  /** Of each size across where their numbers stand, the shortest first. */
  private readonly rows: (number[] | undefined)[] = []
  private readonly sides: Side[] = []
  private numbers = new Float64Array(256 * FIELDS)
  /** Of each size the shortest, and the least that sides differ by: most sizes are no match at all. */
  private readonly shortest: Float64Array
  private readonly least: Float64Array

  /**
   * @param whole a size as a whole number
   * @param forEach what sides may differ by more for each join, mm
   * @param sizes how many sizes in mm there are; 0 where they are counted in less
   */
  constructor(
    private readonly whole: (size: number) => number,
    private readonly forEach: number,
    sizes: number,
  ) {
    this.shortest = new Float64Array(sizes).fill(Infinity)
    this.least = new Float64Array(sizes).fill(Infinity)
  }

  add(side: Side): void {
    const size = this.whole(side.across)
    const places = (this.rows[size] ??= [])
    places.splice(this.behind(places, side.along), 0, this.sides.length)
    const uneven = side.uneven - this.forEach * side.joins
    this.note([side.along, side.across, side.net, uneven, side.number, side.block.chance])
    this.sides.push(side)
    if (size >= this.least.length) return
    this.shortest[size] = Math.min(this.shortest[size]!, side.along)
    this.least[size] = Math.min(this.least[size]!, uneven)
  }

  /**
   * Those that can be cut away, by their sizes, of each size the shortest first.
   * @param narrower how much narrower they may be than the rectangle, mm
   */
  cutAway({ across, longest, number, waste }: CutAway, narrower: number): Side[] {
    const { rows, numbers } = this
    const found: Side[] = []
    const last = Math.min(this.whole(across), rows.length - 1)
    for (let size = Math.max(0, this.whole(across - narrower)); size <= last; size++)
      for (const place of rows[size] ?? NONE) {
        const from = place * FIELDS
        const along = numbers[from + ALONG]!
        // what comes after is longer still
        if (along > longest) break
        if (numbers[from + NUMBER]! < number || numbers[from + ACROSS]! > across + SAME) continue
        if (along * across - numbers[from + NET]! <= waste) found.push(this.sides[place]!)
      }
    return found
  }

  /** Those that are all that is wanted. */
  fitting(wanted: Wanted): Fitting {
    const { across, narrower, wider, longest, uneven } = wanted
    const { rows, least, shortest, numbers } = this
    const found: number[] = []
    const middle = this.whole(across)
    const last = Math.min(this.whole(across + wider), rows.length - 1)
    for (let size = Math.max(0, this.whole(across - narrower)); size <= last; size++) {
      if (size < least.length && (shortest[size]! > longest || least[size]! + Math.abs(middle - size) - 1 > uneven))
        continue
      const places = rows[size] ?? NONE
      if (places.length > 0) this.ofRow(places, wanted, found)
    }
    const chance = Math.log2(1 + found.length)
    const most = wanted.chance - chance
    const sides: Side[] = []
    let leftOut = Infinity
    for (const place of found)
      if (numbers[place * FIELDS + CHANCE]! <= most) sides.push(this.sides[place]!)
      else leftOut = Math.min(leftOut, numbers[place * FIELDS + NET]!)
    return { sides, chance, leftOut }
  }

  private ofRow(places: readonly number[], wanted: Wanted, found: number[]): void {
    const { numbers } = this
    const { across, uneven, number, net, waste } = wanted
    // sizes of one row differ by less than a mm
    const thinnest = Math.max(1, numbers[places[0]! * FIELDS + ACROSS]! - 1)
    const longest = Math.min(wanted.longest, wanted.area / thinnest)
    for (const place of places) {
      const from = place * FIELDS
      if (numbers[from + ALONG]! > longest) return
      const gap = across - numbers[from + ACROSS]!
      if (numbers[from + UNEVEN]! + Math.abs(gap) > uneven || numbers[from + NUMBER]! > number) continue
      if (numbers[from + NET]! > net || gap * numbers[from + NET]! > waste * numbers[from + ACROSS]!) continue
      found.push(place)
    }
  }

  /** Where what is so long stands in a row: behind all that are no longer. */
  private behind(places: readonly number[], along: number): number {
    return firstWhere(places.length, (i) => this.numbers[places[i]! * FIELDS + ALONG]! > along)
  }

  private note(values: readonly number[]): void {
    const from = this.sides.length * FIELDS
    if (from + FIELDS > this.numbers.length) {
      const more = new Float64Array(2 * this.numbers.length)
      more.set(this.numbers)
      this.numbers = more
    }
    this.numbers.set(values, from)
  }
}
