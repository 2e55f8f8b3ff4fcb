/** So many sizes of one block are kept at most, the smallest in area. */
const MOST = 8

/** Sizes beyond a sheet by more than this are of no use, unless there are no others. */
const BEYOND = 1.1

/** A rectangle, mm. */
export interface Rectangle {
  readonly l: number
  readonly w: number
}

/**
 * For each node of some slicing trees the sizes in which its block can be laid, whichever way its cuts run and its pieces are
 * turned: l rising, w falling, mm (L. Stockmeyer, Optimal orientations of cells in slicing floorplan designs, Information and
 * Control 57, 1983). Each node has its sizes twice, as they are and as they were before the last change.
 */
export class ShapeCurves {
  /** Sizes of curve c from c * MOST on; the curves of node k are 2 k and 2 k + 1. */
  private readonly l: Float64Array
  private readonly w: Float64Array
  private readonly count: Int32Array
  /** Area of its pieces, mm². */
  private readonly area: Float64Array
  /** Which of a node's two curves holds. */
  private readonly holds: Uint8Array
  // sizes when two blocks are joined, those along l from the front, those along w backwards behind them, and both merged
  private readonly bothL = new Float64Array(4 * MOST)
  private readonly bothW = new Float64Array(4 * MOST)
  private readonly mergedL = new Float64Array(4 * MOST)
  private readonly mergedW = new Float64Array(4 * MOST)
  private merged = 0

  constructor(nodes: number) {
    this.l = new Float64Array(2 * nodes * MOST)
    this.w = new Float64Array(2 * nodes * MOST)
    this.count = new Int32Array(2 * nodes)
    this.area = new Float64Array(2 * nodes)
    this.holds = new Uint8Array(nodes)
  }

  /** Gives a node one piece. */
  piece(k: number, { l, w }: Rectangle, turns: boolean): void {
    const both = turns && l !== w
    for (const curve of [2 * k, 2 * k + 1]) {
      const at = curve * MOST
      this.l[at] = both ? Math.min(l, w) : l
      this.w[at] = both ? Math.max(l, w) : w
      this.l[at + 1] = this.w[at]!
      this.w[at + 1] = this.l[at]!
      this.count[curve] = both ? 2 : 1
      this.area[curve] = l * w
    }
  }

  /**
   * Joins the blocks of two nodes to that of a third.
   * @param most the largest area that is of use, mm²
   * @returns whether there is a size within it; if not, the node is as it was
   */
  join(k: number, first: number, second: number, most: number, sheet: Rectangle): boolean {
    const a = 2 * first + this.holds[first]!
    const b = 2 * second + this.holds[second]!
    const along = this.joinAlong(a, b)
    this.merge(along, this.joinAcross(a, b, along), most, sheet)
    if (this.merged === 0) return false
    this.holds[k] = 1 - this.holds[k]!
    const curve = 2 * k + this.holds[k]!
    this.area[curve] = this.area[a]! + this.area[b]!
    this.keep(curve)
    return true
  }

  /** Makes a node what it was before it was joined. */
  back(k: number): void {
    this.holds[k] = 1 - this.holds[k]!
  }

  /** Area of a node's pieces, mm². */
  areaOf(k: number): number {
    return this.area[2 * k + this.holds[k]!]!
  }

  /** How far a node's block reaches over a sheet in its best size: the area of what covers both, less the sheet's, mm². */
  beyond(k: number, { l: sheetL, w: sheetW }: Rectangle): number {
    const curve = 2 * k + this.holds[k]!
    let least = Infinity
    for (let at = curve * MOST, end = at + this.count[curve]!; at < end; at++) {
      const l = this.l[at]!
      const w = this.w[at]!
      const covers = (l > sheetL ? l : sheetL) * (w > sheetW ? w : sheetW)
      if (covers < least) least = covers
    }
    return least - sheetL * sheetW
  }

  /** The sizes of a node's block, mm. */
  sizes(k: number): Rectangle[] {
    const curve = 2 * k + this.holds[k]!
    return Array.from({ length: this.count[curve]! }, (_, i) => {
      const at = curve * MOST + i
      return { l: this.l[at]!, w: this.w[at]! }
    })
  }

  /** Compares the first and the last size of a block with a middle one of another: the lesser of the two. */
  compared(a: number, b: number, compare: Compare): number {
    const { l, w } = this
    const x = 2 * a + this.holds[a]!
    const y = 2 * b + this.holds[b]!
    const from = x * MOST
    const to = from + this.count[x]! - 1
    const middle = y * MOST + (this.count[y]! >> 1)
    const one = compare(l[from]!, w[from]!, l[middle]!, w[middle]!)
    if (from === to) return one
    const other = compare(l[to]!, w[to]!, l[middle]!, w[middle]!)
    return one < other ? one : other
  }

  /** Side by side along l: from the narrowest l on, the wider of the two gives way. @returns how many sizes */
  private joinAlong(a: number, b: number): number {
    const { l, w, bothL, bothW } = this
    let i = a * MOST
    let j = b * MOST
    const endA = i + this.count[a]!
    const endB = j + this.count[b]!
    let n = 0
    while (i < endA && j < endB) {
      const wa = w[i]!
      const wb = w[j]!
      bothL[n] = l[i]! + l[j]!
      bothW[n++] = wa > wb ? wa : wb
      if (wa >= wb) i++
      if (wb >= wa) j++
    }
    return n
  }

  /** Side by side along w, likewise from the other end. @returns where the sizes end */
  private joinAcross(a: number, b: number, from: number): number {
    const { l, w, bothL, bothW } = this
    const startA = a * MOST
    const startB = b * MOST
    let i = startA + this.count[a]! - 1
    let j = startB + this.count[b]! - 1
    let n = from
    while (i >= startA && j >= startB) {
      const la = l[i]!
      const lb = l[j]!
      bothL[n] = la > lb ? la : lb
      bothW[n++] = w[i]! + w[j]!
      if (la >= lb) i--
      if (lb >= la) j--
    }
    return n
  }

  /** Leaves out what another size is no larger than both ways, and what is too large. */
  private merge(along: number, end: number, most: number, sheet: Rectangle): void {
    const { bothL, bothW, mergedL, mergedW } = this
    const longest = sheet.l * BEYOND
    const widest = sheet.w * BEYOND
    let p = 0
    let q = end - 1
    let n = 0
    let lowest = Infinity
    let over = Infinity
    let overL = 0
    let overW = 0
    while (p < along || q >= along) {
      const first =
        q < along || (p < along && (bothL[p]! < bothL[q]! || (bothL[p] === bothL[q] && bothW[p]! <= bothW[q]!)))
      const at = first ? p++ : q--
      const w = bothW[at]!
      if (w >= lowest) continue
      lowest = w
      const l = bothL[at]!
      if (l * w > most) continue
      if (l <= longest && w <= widest) {
        mergedL[n] = l
        mergedW[n++] = w
        continue
      }
      const covers = (l > longest ? l : longest) * (w > widest ? w : widest)
      if (covers < over) {
        over = covers
        overL = l
        overW = w
      }
    }
    if (n === 0 && over < Infinity) {
      mergedL[0] = overL
      mergedW[0] = overW
      n = 1
    }
    this.merged = n
  }

  /** Keeps the merged sizes, if there are too many without the largest. */
  private keep(curve: number): void {
    const { l, w, mergedL, mergedW, merged } = this
    for (let n = merged; n > MOST; n--) this.dropLargest()
    const at = curve * MOST
    let n = 0
    for (let i = 0; i < merged; i++) {
      if (mergedL[i]! < 0) continue
      l[at + n] = mergedL[i]!
      w[at + n++] = mergedW[i]!
    }
    this.count[curve] = n
  }

  /** Marks the merged size of the largest area by a length below 0. */
  private dropLargest(): void {
    const { mergedL, mergedW, merged } = this
    let largest = -1
    let at = 0
    for (let i = 0; i < merged; i++) {
      const area = mergedL[i]! * mergedW[i]!
      if (area > largest) {
        largest = area
        at = i
      }
    }
    mergedL[at] = -1
  }
}

/** Compares two rectangles by their sizes, mm. */
export type Compare = (la: number, wa: number, lb: number, wb: number) => number

/** What is wasted when two rectangles are laid side by side, mm². */
export function misfit(la: number, wa: number, lb: number, wb: number): number {
  const along = wa > wb ? (wa - wb) * lb : (wb - wa) * la
  const across = la > lb ? (la - lb) * wb : (lb - la) * wa
  return along < across ? along : across
}

/** How much two rectangles differ, mm. */
export const unlike: Compare = (la, wa, lb, wb) => Math.abs(la - lb) + Math.abs(wa - wb)
