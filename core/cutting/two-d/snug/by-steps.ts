import type { FullSheet } from '../build-up'
import type { Problem } from '../sheets'
import type { Agreeing } from './agreeing'
import { WIDEST_STEP } from './blocks'
import { oneMayWaste, TOO_MUCH } from './fill'
import { Filling, type Tries } from './filling'
import { Pool } from './pool'
import { SnugSheets, type Reach } from './sheets'

/** The first step, in parts of what the sides of a piece are shorter by on average, and how much more by each level. */
const FIRST = 2.5
const MORE = 1.4

/** Where the steps of the first search and of each beside it lie between two of the first: as many as `MOST_BESIDE` and one. */
const BETWEEN = [0, 1 / 2, 1 / 4, 3 / 4]

/** Of its area a block may waste this part: the step is what counts. */
const SHARE = 0.1

/**
 * How far a level goes, at first and when all steps were tried; of how many steps as many blocks may be built as may be; and
 * how many rounds of the other ways a level is worth.
 */
const ROUNDS: readonly { reach: Reach; sated: number; worth: number }[] = [
  { reach: { blocks: 10_000, rests: 6000, sheets: 4000 }, sated: 2, worth: 0 },
  { reach: { blocks: 40_000, rests: 6000, sheets: 4000 }, sated: 4, worth: 3 },
]

/** So many full sheets are kept from level to level. */
const KEPT = 2000

/** How often a last sheet is looked for, and the last two, three and four. */
const TRIES: Tries = { lasts: 150, more: [6, 6, 6] }

/** What sets leave is looked through for as many blocks and sheets as the level has made, but for so many at least. */
const LEAST = 10_000

/**
 * Full sheets of pieces that shrank by a little: sides that lay along one cut differ by no more than a few mm. By how much is
 * not known, so it is tried with more and more. Of the full sheets, those whose sides differ least are kept: of thousands
 * those that were cut from one sheet are among the first few hundred. What sets of them leave is looked through again.
 */
export class BySteps implements Agreeing {
  private step: number
  private round = 0
  private levels = 0
  /** The steps of this round with which as many blocks were built as may be. */
  private sated: number[] = []
  private readonly sheets: number
  private readonly pool: Pool
  private readonly tried = new Set<string>()

  /**
   * @param slack what all sheets together may waste, mm²
   * @param room the area of the sheets, mm²
   * @param beside which search beside the first it is: its steps are between those, and the likeliest blocks come first
   */
  constructor(
    private readonly problem: Problem,
    private readonly slack: number,
    private readonly room: number,
    private readonly beside = 0,
  ) {
    const around = problem.pieces.reduce((sum, p) => sum + problem.shapes[p]!.l + problem.shapes[p]!.w, 0)
    const largest = Math.max(...problem.sheets.map((s) => s.area))
    this.sheets = Math.max(1, room / largest)
    this.step = (FIRST * MORE ** BETWEEN[beside]! * slack) / around
    this.pool = new Pool(problem, KEPT)
  }

  /** Whether there is more to be tried. */
  get goes(): boolean {
    return (
      this.sheets > 1 && this.slack <= TOO_MUCH * this.room && this.step <= WIDEST_STEP && this.round < ROUNDS.length
    )
  }

  /** How many rounds of the other ways a level is worth now: one where it takes long, for as many blocks are built as may be. */
  get worth(): number {
    return Math.max(ROUNDS[this.round]?.worth ?? 0, Number(this.sated.length > 0))
  }

  /**
   * Tries the next step.
   * @param limit what the sheets may cost, mm²
   * @returns full sheets that go together: of all pieces, or of as many as was found
   */
  next(limit: number, over: () => boolean): readonly FullSheet[] {
    const { problem, tried, pool, beside } = this
    const { reach } = ROUNDS[this.round]!
    const play = { share: SHARE, most: oneMayWaste(this.slack, this.sheets), step: this.step, likely: beside > 0 }
    const snug = new SnugSheets(problem, play, reach)
    snug.find(over)
    pool.add(snug.found)
    this.goOn(snug.built >= reach.blocks)
    const left = Math.max(LEAST, snug.built + snug.found.length)
    const may = { waste: this.slack + 1, cost: limit }
    const effort = { tries: TRIES, tried, lasts: { left }, more: { left }, over }
    return new Filling(problem, play, may, effort).filled(pool)
  }

  /**
   * To the next step; after the last of a round, or the widest, to the first step again with which not all blocks were built.
   * Where that is so with the very first step sides tell nothing, and it is left to the other ways.
   */
  private goOn(sated: boolean): void {
    if (sated) this.sated.push(this.step)
    if (sated && this.levels === 0) this.round = ROUNDS.length
    this.levels++
    this.step *= MORE
    const [first] = this.sated
    if (first === undefined) return
    if (this.sated.length < (ROUNDS[this.round]?.sated ?? Infinity) && this.step <= WIDEST_STEP) return
    this.step = first
    this.sated = []
    this.round++
  }
}
