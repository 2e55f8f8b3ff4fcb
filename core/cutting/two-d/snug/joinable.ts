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
}

/** Blocks of about one size across, the shortest first, and where their numbers stand. */
interface Row {
  readonly sides: Side[]
  readonly places: number[]
}

/** So many numbers of each block stand side by side: most blocks are no match, and to tell that from one line of memory is quick. */
const FIELDS = 5
const [ALONG, ACROSS, NET, UNEVEN, NUMBER] = [0, 1, 2, 3, 4] as const

const NO_ROW: Row = { sides: [], places: [] }

/** Blocks that can be joined along one axis, by their size across. */
export class Joinable {
  private readonly rows: (Row | undefined)[] = []
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
    const row = (this.rows[size] ??= { sides: [], places: [] })
    let at = row.sides.length
    while (at > 0 && row.sides[at - 1]!.along > side.along) at--
    row.sides.splice(at, 0, side)
    row.places.splice(at, 0, this.sides.length)
    const uneven = side.uneven - this.forEach * side.joins
    this.note([side.along, side.across, side.net, uneven, side.number])
    this.sides.push(side)
    if (size >= this.least.length) return
    this.shortest[size] = Math.min(this.shortest[size]!, side.along)
    this.least[size] = Math.min(this.least[size]!, uneven)
  }

  /** Those as wide as told or no more narrow than that, mm, by their sizes; of each size the shortest first. */
  beside(across: number, narrower: number): readonly (readonly Side[])[] {
    const found: Side[][] = []
    const last = Math.min(this.whole(across), this.rows.length - 1)
    for (let size = Math.max(0, this.whole(across - narrower)); size <= last; size++) {
      const row = this.rows[size]
      if (row) found.push(row.sides)
    }
    return found
  }

  /** Those that are all that is wanted, in order of their size across, of each size the shortest first. */
  fitting(wanted: Wanted): readonly Side[] {
    const { across, narrower, wider, longest, uneven } = wanted
    const { rows, least, shortest } = this
    const found: Side[] = []
    const middle = this.whole(across)
    const last = Math.min(this.whole(across + wider), rows.length - 1)
    for (let size = Math.max(0, this.whole(across - narrower)); size <= last; size++) {
      if (size < least.length && (shortest[size]! > longest || least[size]! + Math.abs(middle - size) - 1 > uneven))
        continue
      const { places } = rows[size] ?? NO_ROW
      if (places.length > 0) this.ofRow(places, wanted, found)
    }
    return found
  }

  private ofRow(places: readonly number[], wanted: Wanted, found: Side[]): void {
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
      found.push(this.sides[place]!)
    }
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
