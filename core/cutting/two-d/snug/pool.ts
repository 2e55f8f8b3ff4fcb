import { PackedCounts } from '../packed-counts'
import { demandOf, type Problem } from '../sheets'
import type { SnugSheet } from './sheets'

/** Full sheets found one time after the other: of those that hold the same the one whose sides differ least, and of all so many. */
export class Pool {
  readonly packing: PackedCounts
  private byHolds = new Map<string, SnugSheet>()

  /** @param most how many full sheets are kept */
  constructor(
    problem: Problem,
    private readonly most = Infinity,
  ) {
    this.packing = new PackedCounts(demandOf(problem))
  }

  add(found: readonly SnugSheet[]): void {
    for (const sheet of found) {
      const name = `${sheet.sheet} ${sheet.holds.join()}`
      const same = this.byHolds.get(name)
      if (!same || sheet.uneven < same.uneven) this.byHolds.set(name, sheet)
    }
    this.byHolds = new Map([...this.byHolds].sort(([, a], [, b]) => a.uneven - b.uneven).slice(0, this.most))
  }

  /** Those whose sides differ least, so many at most. */
  best(most: number): readonly SnugSheet[] {
    return [...this.byHolds.values()].slice(0, most)
  }
}
