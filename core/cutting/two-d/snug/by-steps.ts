import type { FullSheet } from '../build-up'
import type { Problem } from '../sheets'
import { oneMayWaste, TOO_MUCH } from './fill'
import { filled } from './filled'
import { SnugSheets, type Reach } from './sheets'

/** The first step, in parts of what the sides of a piece are shorter by on average, and how much more by each level. */
const FIRST = 2.5
const MORE = 1.4

/** The largest, mm. */
const WIDEST = 25

/** Of its area a block may waste this part: the step is what counts. */
const SHARE = 0.1

/** How far a level goes. */
const REACH: Reach = { blocks: 10_000, rests: 10_000, sheets: 3000 }

/** How often a last sheet is looked for, and the last two. */
const TRIES = { lasts: 150, pairs: 8 }

/**
 * Full sheets of pieces that shrank by a little: sides that lay along one cut differ by no more than a few mm. By how much is
 * not known, so it is tried with more and more. Of the full sheets those are taken that go together; what all but one or two
 * sheets leave is looked through again, for a last sheet that is a matter of a hundredth of a second.
 */
export class BySteps {
  private step: number
  private sated = 0
  private readonly sheets: number

  /**
   * @param slack what all sheets together may waste, mm²
   * @param room the area of the sheets, mm²
   */
  constructor(
    private readonly problem: Problem,
    private readonly slack: number,
    private readonly room: number,
  ) {
    const around = problem.pieces.reduce((sum, p) => sum + problem.shapes[p]!.l + problem.shapes[p]!.w, 0)
    const largest = Math.max(...problem.sheets.map((s) => s.area))
    this.sheets = Math.max(1, room / largest)
    this.step = (FIRST * slack) / around
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
    const play = { share: SHARE, most: oneMayWaste(this.slack, this.sheets), step: this.step }
    this.step *= MORE
    const snug = new SnugSheets(this.problem, play)
    snug.find(REACH, over)
    if (snug.built >= REACH.blocks) this.sated++
    return filled(this.problem, snug, play, { waste: this.slack + 1, cost: limit }, TRIES, over)
  }
}
