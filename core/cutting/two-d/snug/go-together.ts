import type { PackedCounts, Packed } from '../packed-counts'
import { areaOfAll, demandOf, type Problem } from '../sheets'
import type { Spent } from './cover'
import type { SnugSheet } from './sheets'

/** Full sheets of which there are pieces enough for all. */
export interface Together {
  readonly sheets: readonly SnugSheet[]
  /** How many of each shape they hold. */
  readonly holds: Packed
  /** What is left to be wasted and spent, mm². */
  readonly left: Spent
  /** Area of the pieces that are in none of them, mm². */
  readonly rest: number
}

/** How far sets are gone through. */
export interface Leaving {
  /** Area of the pieces that a set may leave, mm². */
  readonly area: number
  /** How many times a piece is given a sheet or left, at most. */
  readonly nodes: number
  readonly over: () => boolean
}

/** The clock is asked once in so many of them. */
const SELDOM = 64

/**
 * Goes through all sets of full sheets that go together and leave no more than some area: always the piece that the fewest of
 * the sheets still open hold is given one of them, or is left (after D. E. Knuth, Dancing links, 2000). What no open sheet holds
 * is left in any case: where that is too much, the set is given up.
 * @param may what they may waste and cost in all, mm²
 * @param at is told each set, the sheets being good until it returns, and once only where all shapes are different; with true all ends
 * @returns of all sets come across the one that leaves least
 */
export function goTogether(
  problem: Problem,
  packing: PackedCounts,
  sheets: readonly SnugSheet[],
  may: Spent,
  leaving: Leaving,
  at: (set: Together) => boolean,
): Together {
  return new Sets(problem, packing, sheets, leaving, at).all(may)
}

/** What a piece that is in no sheet yet may be given. */
interface Open {
  readonly sheets: Int32Array
  /** Held by the sheets chosen, and with what was left besides. */
  readonly holds: Packed
  readonly gone: Packed
  readonly left: Spent
  readonly rest: number
  /** Area of what was left so far, mm². */
  readonly dropped: number
}

class Sets {
  private readonly shapes: readonly (readonly number[])[]
  private readonly counts: readonly Uint16Array[]
  /** What each sheet holds, in a row, and wastes, mm²: read over and over. */
  private readonly holds: Packed
  private readonly waste: Float64Array
  /** Pieces of each shape that are neither in a sheet nor left. */
  private readonly wanted: Uint16Array
  private readonly used: number[]
  private readonly chosen: SnugSheet[] = []
  private nodes = 0
  private best: Together | null = null

  constructor(
    private readonly problem: Problem,
    private readonly packing: PackedCounts,
    private readonly sheets: readonly SnugSheet[],
    private readonly leaving: Leaving,
    private readonly at: (set: Together) => boolean,
  ) {
    this.shapes = sheets.map((s) => packing.shapes(s.holds))
    this.counts = sheets.map((s) => packing.counts(s.holds))
    this.holds = packing.inRow(sheets.map((s) => s.holds))
    this.waste = Float64Array.from(sheets, (s) => s.waste)
    this.wanted = demandOf(problem)
    this.used = problem.sheets.map(() => 0)
  }

  all(may: Spent): Together {
    const none = this.packing.none()
    const sheets = Int32Array.from(this.sheets, (_, i) => i)
    this.goOn({ sheets, holds: none, gone: none, left: may, rest: areaOfAll(this.problem), dropped: 0 })
    return this.best!
  }

  /** @returns whether all is at its end */
  private goOn(open: Open): boolean {
    const { rest, dropped, holds, left } = open
    if (!this.best || rest < this.best.rest) this.best = { sheets: [...this.chosen], holds, left, rest }
    const { rare, alone } = this.rarest(open.sheets)
    if (dropped + alone > this.leaving.area + 1) return false
    if (rare < 0) return this.at({ sheets: this.chosen, holds, left, rest })
    for (const number of open.sheets) {
      if (this.counts[number]![rare] === 0) continue
      if (this.isAtEnd() || this.take(number, open)) return true
    }
    return this.leave(rare, open)
  }

  private take(number: number, { holds, gone, left, rest, dropped, sheets }: Open): boolean {
    const sheet = this.sheets[number]!
    const { cost, area } = this.problem.sheets[sheet.sheet]!
    const counts = this.counts[number]!
    const now = this.packing.sum(gone, sheet.holds)
    const spent = { waste: left.waste - sheet.waste, cost: left.cost - cost }
    this.used[sheet.sheet]!++
    this.chosen.push(sheet)
    for (const shape of this.shapes[number]!) this.wanted[shape]! -= counts[shape]!
    const ended = this.goOn({
      sheets: this.going(sheets, now, spent),
      holds: this.packing.sum(holds, sheet.holds),
      gone: now,
      left: spent,
      rest: rest - (area - sheet.waste),
      dropped,
    })
    for (const shape of this.shapes[number]!) this.wanted[shape]! += counts[shape]!
    this.chosen.pop()
    this.used[sheet.sheet]!--
    return ended
  }

  /** Leaves one of a shape. */
  private leave(shape: number, { sheets, holds, gone, left, rest, dropped }: Open): boolean {
    if (this.isAtEnd()) return true
    const now = this.packing.sum(gone, this.packing.one(shape))
    this.wanted[shape]!--
    const ended = this.goOn({
      sheets: this.going(sheets, now, left),
      holds,
      gone: now,
      left,
      rest,
      dropped: dropped + this.problem.shapes[shape]!.area,
    })
    this.wanted[shape]!++
    return ended
  }

  private isAtEnd(): boolean {
    const count = this.nodes++
    return count >= this.leaving.nodes || (count % SELDOM === 0 && this.leaving.over())
  }

  /** Those of some sheets for which there are pieces enough, with as much waste and cost left. */
  private going(sheets: Int32Array, gone: Packed, left: Spent): Int32Array {
    const { packing, holds, waste } = this
    const { words } = packing
    const may = this.problem.sheets.map(({ cost, count }, kind) => cost <= left.cost + 1 && this.used[kind]! < count)
    const going = new Int32Array(sheets.length)
    let top = 0
    for (const number of sheets)
      if (waste[number]! <= left.waste && may[this.sheets[number]!.sheet] && packing.both(gone, holds, number * words))
        going[top++] = number
    return going.subarray(0, top)
  }

  /**
   * The shape still wanted that the fewest of the open sheets hold, but one at least, of equal ones the largest; -1 if there is
   * none. And the area of the pieces that none of them holds, mm².
   */
  private rarest(open: Int32Array): { rare: number; alone: number } {
    const { wanted } = this
    const { shapes } = this.problem
    const times = new Uint32Array(shapes.length)
    for (const number of open) for (const shape of this.shapes[number]!) times[shape]!++
    let rare = -1
    let alone = 0
    for (let shape = 0; shape < times.length; shape++) {
      if (wanted[shape] === 0) continue
      const [here, least] = [times[shape]!, rare < 0 ? Infinity : times[rare]!]
      if (here === 0) alone += wanted[shape]! * shapes[shape]!.area
      else if (here < least || (here === least && shapes[shape]!.area > shapes[rare]!.area)) rare = shape
    }
    return { rare, alone }
  }
}
