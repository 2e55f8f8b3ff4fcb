import type { FullSheet } from '../build-up'
import type { Problem } from '../sheets'
import { oneMayWaste, TOO_MUCH } from './fill'
import { Filling, type Tries } from './filled'
import { Pool } from './pool'
import { SnugSheets, type Reach } from './sheets'

/** The first step, in parts of what the sides of a piece are shorter by on average, and how much more by each level. */
const FIRST = 2.5
const MORE = 1.25

/** The largest, mm. */
const WIDEST = 25

/** Of its area a block may waste this part: the step is what counts. */
const SHARE = 0.1

/** How far a level goes. */
const REACH: Reach = { blocks: 40_000, rests: 6000, sheets: 4000 }

/** So many full sheets are kept from level to level. */
const KEPT = 2000

/** How often a last sheet is looked for, and the last two, three and four. */
const TRIES: Tries = { lasts: 150, more: [6, 6, 6] }

/** What sets leave is looked through for as many blocks and sheets as the level has made, but for so many at least. */
const LEAST = 10_000

/**
 * Full sheets of pieces that shrank by a little: sides that lay along one cut differ by no more than a few mm. By how much is
 * not known, so it is tried with more and more. Of the full sheets, those whose sides differ least are kept: those that were cut
 * from one sheet are among the first hundreds of thousands. What sets of them leave is looked through again.
 */
export class BySteps {
  private step: number
  private sated = 0
  private readonly sheets: number
  private readonly pool: Pool
  private readonly tried = new Set<string>()

  /**
   * @param slack what all sheets together may waste, mm²
   * @param room the area of the sheets, mm²
   * @param between whether the steps are those between the others: for a second search
   */
  constructor(
    private readonly problem: Problem,
    private readonly slack: number,
    private readonly room: number,
    between = false,
  ) {
    const around = problem.pieces.reduce((sum, p) => sum + problem.shapes[p]!.l + problem.shapes[p]!.w, 0)
    const largest = Math.max(...problem.sheets.map((s) => s.area))
    this.sheets = Math.max(1, room / largest)
    this.step = (FIRST * (between ? Math.sqrt(MORE) : 1) * slack) / around
    this.pool = new Pool(problem, KEPT)
  }

  /** Whether there is more to be tried. @param sated steps with which as many blocks were built as may be, at most */
  goes(sated: number): boolean {
    return this.sheets > 1 && this.slack <= TOO_MUCH * this.room && this.step <= WIDEST && this.sated < sated
  }

  /**
   * Tries the next step.
   * @param limit what the sheets may cost, mm²
   * @returns full sheets that go together: of all pieces, or of as many as was found
   */
  next(limit: number, over: () => boolean): readonly FullSheet[] {
    const { problem, tried, pool } = this
    const play = { share: SHARE, most: oneMayWaste(this.slack, this.sheets), step: this.step }
    this.step *= MORE
    const snug = new SnugSheets(problem, play, REACH)
    snug.find(over)
    if (snug.built >= REACH.blocks) this.sated++
    pool.add(snug.found)
    const work = { left: Math.max(LEAST, snug.built + snug.found.length) }
    const may = { waste: this.slack + 1, cost: limit }
    return new Filling(problem, play, may, { tries: TRIES, tried, work, over }).filled(pool)
  }
}
