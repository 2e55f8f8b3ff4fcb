import type { FullSheet } from '../build-up'
import type { Problem } from '../sheets'
import type { Agreeing } from './agreeing'
import { EXACTLY, fillSnugly, type Reach } from './fill'

/** How often what a set of sheets leaves is looked through: one sheet, and two, three and four. */
const TRIES = { lasts: 150, more: [20, 10, 6] }

interface Level {
  readonly reach: Reach
  readonly likely: boolean
  /** How many rounds of the other ways it is worth. */
  readonly worth: number
}

const reachOf = (blocks: number): Reach => ({
  ...{ blocks, rests: Math.max(20_000, blocks), sheets: Math.min(50_000, 4 * blocks), nodes: 2000, tries: TRIES },
})

/**
 * How far sheets are looked for, one time after the other. Where sizes are multiples of 5 or 10 mm nearly all go together by
 * chance, and the smallest blocks first make most full sheets; of others the likeliest first come to the right ones. The more
 * pieces come from one sheet, the more blocks go together by chance before those of half a sheet are built.
 */
const LEVELS: readonly Level[] = [
  { reach: reachOf(3000), likely: false, worth: 0 },
  { reach: reachOf(10_000), likely: true, worth: 0 },
  { reach: reachOf(40_000), likely: true, worth: 0 },
  { reach: reachOf(80_000), likely: true, worth: 3 },
]

/** The same for searches beside the first, which go on with what that has no time for. */
const BESIDE: readonly Level[] = [
  { reach: reachOf(10_000), likely: false, worth: 0 },
  { reach: reachOf(160_000), likely: true, worth: 3 },
]

/** Full sheets where nothing may be wasted: sides agree wholly. */
export class WithoutWaste implements Agreeing {
  private readonly levels: readonly Level[]
  private level = 0

  constructor(
    private readonly problem: Problem,
    beside = 0,
  ) {
    this.levels = beside > 0 ? BESIDE : LEVELS
  }

  get goes(): boolean {
    return this.level < this.levels.length
  }

  get worth(): number {
    return this.levels[this.level]?.worth ?? 0
  }

  next(limit: number, over: () => boolean): readonly FullSheet[] {
    const { reach, likely } = this.levels[this.level++]!
    return fillSnugly(this.problem, { ...EXACTLY, likely }, { waste: 1, cost: limit }, reach, over)
  }
}
