import type { PackedCounts, Packed } from '../packed-counts'
import type { Problem } from '../sheets'
import { demandOf } from '../sheets'
import type { SnugSheet } from './sheets'

/** What sheets waste and cost, mm². */
export interface Spent {
  readonly waste: number
  readonly cost: number
}

/** A sheet to choose, with the shapes that it holds. */
interface Choice {
  readonly sheet: SnugSheet
  readonly shapes: readonly number[]
  readonly area: number
}

/**
 * Sheets that together take every piece, or as much of them as was found: always the piece that the fewest sheets hold is
 * given a sheet next (D. E. Knuth, Dancing links, 2000).
 * @param may what they may waste and cost in all, mm²
 * @param nodes how many times a sheet is chosen, at most
 */
export function cover(
  problem: Problem,
  packing: PackedCounts,
  sheets: readonly SnugSheet[],
  may: Spent,
  nodes: number,
  over: () => boolean,
): SnugSheet[] {
  return new Cover(problem, packing, nodes, over).run(sheets, may)
}

class Cover {
  private readonly demand: Uint16Array
  private readonly chosen: SnugSheet[] = []
  private readonly used: number[]
  private covered = 0
  private best: SnugSheet[] = []
  private most = 0

  constructor(
    private readonly problem: Problem,
    private readonly packing: PackedCounts,
    private nodes: number,
    private readonly over: () => boolean,
  ) {
    this.demand = demandOf(problem)
    this.used = problem.sheets.map(() => 0)
  }

  run(sheets: readonly SnugSheet[], may: Spent): SnugSheet[] {
    const byWaste = [...sheets].sort((a, b) => a.waste - b.waste)
    const choices = byWaste.map((sheet): Choice => {
      const shapes = this.packing.shapes(sheet.holds)
      return { sheet, shapes, area: this.problem.sheets[sheet.sheet]!.area - sheet.waste }
    })
    this.choose(this.packing.none(), choices, may)
    return this.best
  }

  /** @returns whether everything is covered, or the search is at its end */
  private choose(held: Packed, choices: readonly Choice[], may: Spent): boolean {
    if (this.covered > this.most) [this.most, this.best] = [this.covered, [...this.chosen]]
    const counts = this.packing.counts(held)
    const rare = this.rarest(counts, choices)
    if (rare < 0) return counts.every((n, shape) => n === this.demand[shape])
    for (const choice of choices.filter((c) => c.shapes.includes(rare))) {
      if (this.nodes-- <= 0 || this.over()) return true
      if (this.take(choice, held, choices, may)) return true
    }
    // nothing with it leads to the end: what goes without it is no whole plan
    return false
  }

  private take({ sheet, area }: Choice, held: Packed, choices: readonly Choice[], may: Spent): boolean {
    const now = this.packing.sum(held, sheet.holds)
    const left = { waste: may.waste - sheet.waste, cost: may.cost - this.costOf(sheet) }
    if (left.cost < -1) return false
    this.used[sheet.sheet]!++
    this.covered += area
    this.chosen.push(sheet)
    const goes = (s: SnugSheet): boolean =>
      s.waste <= left.waste + 1 &&
      this.costOf(s) <= left.cost + 1 &&
      this.used[s.sheet]! < this.problem.sheets[s.sheet]!.count &&
      this.packing.both(now, s.holds)
    const done = this.choose(
      now,
      choices.filter((c) => goes(c.sheet)),
      left,
    )
    this.chosen.pop()
    this.covered -= area
    this.used[sheet.sheet]!--
    return done
  }

  private readonly costOf = (sheet: SnugSheet): number => this.problem.sheets[sheet.sheet]!.cost

  /** The shape still wanted that the fewest choices hold, but one at least; -1 if there is none. */
  private rarest(held: Uint16Array, choices: readonly Choice[]): number {
    const times = new Uint32Array(this.demand.length)
    for (const { shapes } of choices) for (const shape of shapes) times[shape]!++
    let rare = -1
    for (let shape = 0; shape < times.length; shape++)
      if (held[shape]! < this.demand[shape]! && times[shape]! > 0 && (rare < 0 || times[shape]! < times[rare]!))
        rare = shape
    return rare
  }
}
