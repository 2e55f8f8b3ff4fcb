import type { PackedCounts, Packed } from '../packed-counts'
import { areaOfAll, type Problem } from '../sheets'
import type { Spent } from './cover'
import type { SnugSheet } from './sheets'

/** Full sheets of which there are pieces enough for all. */
export interface Together {
  readonly sheets: readonly SnugSheet[]
  /** What is left to be wasted and spent, mm². */
  readonly left: Spent
  /** Area of the pieces that are in none of them, mm². */
  readonly rest: number
}

/**
 * Goes through sets of full sheets that go together, those first whose first sheets come first. Which sheets go with which is
 * kept as bits, a row for a sheet: so some ten thousand sets are a matter of a tenth of a second.
 * @param may what they may waste and cost in all, mm²
 * @param sets how many sets are looked at, at most
 * @param at is told each set, the sheets being good until it returns; with true all ends
 */
export function goTogether(
  problem: Problem,
  packing: PackedCounts,
  sheets: readonly SnugSheet[],
  may: Spent,
  sets: number,
  at: (set: Together) => boolean,
): void {
  new Sets(problem, packing, sheets, sets, at).goOn(bitsOf(sheets.map(() => true)), packing.none(), {
    sheets: [],
    left: may,
    rest: areaOfAll(problem),
  })
}

class Sets {
  private readonly rows: (Uint32Array | null)[]
  private readonly used: number[]
  private readonly chosen: SnugSheet[] = []

  constructor(
    private readonly problem: Problem,
    private readonly packing: PackedCounts,
    private readonly sheets: readonly SnugSheet[],
    private sets: number,
    private readonly at: (set: Together) => boolean,
  ) {
    this.rows = sheets.map(() => null)
    this.used = problem.sheets.map(() => 0)
  }

  /** Adds each of the sheets that are open to a set. @returns whether all is at its end */
  goOn(open: Uint32Array, held: Packed, { left, rest }: Together): boolean {
    for (let word = 0; word < open.length; word++)
      for (let bits = open[word]!; bits !== 0; bits &= bits - 1) {
        const number = (word << 5) + 31 - Math.clz32(bits & -bits)
        const sheet = this.sheets[number]!
        const { cost, area, count } = this.problem.sheets[sheet.sheet]!
        if (sheet.waste > left.waste || cost > left.cost + 1 || this.used[sheet.sheet]! >= count) continue
        if (!this.packing.both(held, sheet.holds)) continue
        if (this.sets-- <= 0) return true
        const now = { waste: left.waste - sheet.waste, cost: left.cost - cost }
        const set = { sheets: this.chosen, left: now, rest: rest - (area - sheet.waste) }
        this.chosen.push(sheet)
        this.used[sheet.sheet]!++
        const holds = this.packing.sum(held, sheet.holds)
        const ended = this.at(set) || this.goOn(both(open, this.rowOf(number), word), holds, set)
        this.used[sheet.sheet]!--
        this.chosen.pop()
        if (ended) return true
      }
    return false
  }

  /** Which sheets, of those that don't come before it, go with a sheet. */
  private rowOf(number: number): Uint32Array {
    const { holds } = this.sheets[number]!
    return (this.rows[number] ??= bitsOf(
      this.sheets.map((other, i) => i >= number && this.packing.both(holds, other.holds)),
    ))
  }
}

function bitsOf(set: readonly boolean[]): Uint32Array {
  const bits = new Uint32Array((set.length + 31) >> 5)
  set.forEach((is, i) => {
    if (is) bits[i >> 5]! |= 1 << (i & 31)
  })
  return bits
}

/** Bits that both have, from a word on. */
function both(a: Uint32Array, b: Uint32Array, from: number): Uint32Array {
  const bits = new Uint32Array(a.length)
  for (let word = from; word < a.length; word++) bits[word] = a[word]! & b[word]!
  return bits
}
