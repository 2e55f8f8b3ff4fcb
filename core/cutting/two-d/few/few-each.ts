import type { Means } from '../../means'
import type { Layout } from '../layout'
import { equalSheetsOf, planOf, type EqualSheets } from '../plain/equal-sheets'
import type { Problem } from '../sheets'
import { Ending } from './ending'
import { poolOf, type Pool } from './pool'
import { COURSE, type Course } from './sets'

/** So much is done for sets of the best: that takes a tenth of a second. */
const OF_BEST = 10_000_000

/** How sheets are chosen where that came to its end in a round. */
const wider = (course: Course): Course => ({ ...course, tried: 2 * course.tried, from: 1.5 * course.from })

/**
 * Fills equal sheets with few pieces each. There all sets of pieces that fill a sheet with little waste can be listed, thousands
 * of them; of those such are chosen that go together, and what is left of the last sheet is filled by all ways. With each round
 * more are listed, by what pieces are worth.
 */
export class FewEach {
  private readonly all: EqualSheets
  private readonly names: readonly number[]
  private readonly pool: Pool
  private readonly ending: Ending
  private course = COURSE

  /**
   * @param limit what the sheets may cost, mm²
   * @param fine of a join whose sides don't agree, in parts of what a sheet wastes on average
   */
  constructor(
    problem: Problem,
    limit: number,
    private readonly means: Means,
    fine = 0,
  ) {
    this.all = equalSheetsOf(problem, limit)
    const { pieces, sheet } = this.all
    this.names = pieces.map((_, i) => i)
    this.pool = poolOf(this.all, fine)
    this.ending = new Ending(sheet, means, OF_BEST)
  }

  /** How many full sheets are listed. */
  get listed(): number {
    return this.pool.found.top
  }

  /** Whether it may come to something. */
  get goes(): boolean {
    return !this.pool.isVain
  }

  /** @returns a plan with all pieces; null where this round came to none */
  next(): Layout | null {
    const { pieces, count, slack } = this.all
    if (slack < 0) return null
    this.pool.list(this.means)
    if (this.pool.least > this.pool.mayCost) return null
    const { laid, ended } = this.ending.of(pieces, this.names, this.pool, count, slack, this.course)
    if (ended) this.course = wider(this.course)
    return laid && planOf(this.all, laid)
  }
}
