import type { FullSheet } from '../build-up'
import type { Problem } from '../sheets'
import type { Agreeing } from './agreeing'
import { EXACTLY, fillSnugly, type Reach } from './fill'

/** How often what a set of sheets leaves is looked through: the one sheet, and the two. */
const TRIES = { lasts: 150, more: [20] }

/**
 * How far sheets are looked for, one time after the other; and how many rounds of the other ways that is worth. The more pieces
 * come from one sheet, the more blocks go together by chance before those that are half of a sheet are built.
 */
const LEVELS: readonly { reach: Reach; worth: number }[] = [
  { reach: { blocks: 3000, rests: 20_000, sheets: 10_000, nodes: 1000, tries: TRIES }, worth: 0 },
  { reach: { blocks: 10_000, rests: 25_000, sheets: 50_000, nodes: 2000 }, worth: 0 },
  { reach: { blocks: 40_000, rests: 40_000, sheets: 50_000, nodes: 2000 }, worth: 0 },
  { reach: { blocks: 160_000, rests: 160_000, sheets: 50_000, nodes: 2000 }, worth: 3 },
]

/** Where a second search begins: it goes on with what the first has no time for. */
const SECOND = 3

/** Full sheets where nothing may be wasted: sides agree wholly. */
export class WithoutWaste implements Agreeing {
  private level: number

  constructor(
    private readonly problem: Problem,
    second = false,
  ) {
    this.level = second ? SECOND : 0
  }

  get goes(): boolean {
    return this.level < LEVELS.length
  }

  get worth(): number {
    return LEVELS[this.level]?.worth ?? 0
  }

  next(limit: number, over: () => boolean): readonly FullSheet[] {
    const { reach } = LEVELS[this.level++]!
    return fillSnugly(this.problem, EXACTLY, { waste: 1, cost: limit }, reach, over)
  }
}
