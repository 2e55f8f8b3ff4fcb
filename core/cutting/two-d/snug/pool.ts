import { PackedCounts } from '../packed-counts'
import { demandOf, type Problem } from '../sheets'
import type { SnugSheet } from './sheets'

/** How full sheets, or sets of them, are told apart: what sides differ by in them, mm, and what their joins leave to chance, bits. */
export interface Agreement {
  readonly uneven: number
  readonly chance: number
}

/** What sides differ by, as whole µm: where nothing may be wasted they agree to those, and what is less is told by no one. */
const microns = ({ uneven }: Agreement): number => Math.round(uneven * 1000)

/** Those first whose sides differ least; of such as differ by the same to the µm those that leave least to chance. */
export const byAgreement = (a: Agreement, b: Agreement): number => microns(a) - microns(b) || a.chance - b.chance

/** Full sheets found one time after the other: of those that hold the same the one whose sides agree best, and of all so many. */
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
      if (!same || byAgreement(sheet, same) < 0) this.byHolds.set(name, sheet)
    }
    this.byHolds = new Map([...this.byHolds].sort(([, a], [, b]) => byAgreement(a, b)).slice(0, this.most))
  }

  /** Those whose sides agree best, so many at most. */
  best(most: number): readonly SnugSheet[] {
    return [...this.byHolds.values()].slice(0, most)
  }
}
