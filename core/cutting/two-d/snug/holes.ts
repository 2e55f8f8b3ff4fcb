import type { FullSheet } from '../build-up'
import type { Agreeing } from './agreeing'
import type { Problem } from '../sheets'
import type { Spent } from './cover'
import { EXACTLY } from './fill'
import { Filling, type Tries } from './filling'
import { Pool } from './pool'
import { SnugSheets, type Reach } from './sheets'

/** Where no more than this part may be wasted all of it may lie in a few places; where it is more there is room enough. */
const MOST = 0.06

/** How far sheets without waste are looked for. */
const REACH: Reach = { blocks: 10_000, rests: 6000, sheets: 4000 }

/** How often the sheet that such sheets leave is looked for, and the two, three and four. */
const TRIES: Tries = { lasts: 150, more: [20, 20, 20] }

/** For so many blocks and full sheets the last one is looked for, and more than one. */
const LASTS = 100_000
const MORE = 20_000

/**
 * Full sheets of what was cut from sheets without waste, but for some pieces that are missing: most sheets are full to the brim,
 * and in the others sides agree as well, but for one hole in each.
 * @param may what all sheets together may waste and cost, mm²
 * @returns full sheets that go together: of all pieces, or of as many as was found
 */
export function fillButForHoles(problem: Problem, may: Spent, over: () => boolean): readonly FullSheet[] {
  const snug = new SnugSheets(problem, EXACTLY, REACH)
  snug.find(over)
  const pool = new Pool(problem)
  pool.add(snug.found)
  const effort = { tries: TRIES, tried: new Set<string>(), lasts: { left: LASTS }, more: { left: MORE }, over }
  return new Filling(problem, { ...EXACTLY, hole: may.waste }, may, effort).filled(pool)
}

/** The same, once, as one of the ways to look for sides that agree. */
export class ButForHoles implements Agreeing {
  private tried = false
  readonly worth = 0

  /**
   * @param slack what all sheets together may waste, mm²
   * @param room the area of the sheets, mm²
   */
  constructor(
    private readonly problem: Problem,
    private readonly slack: number,
    private readonly room: number,
  ) {}

  get goes(): boolean {
    return !this.tried && this.slack <= MOST * this.room
  }

  next(limit: number, over: () => boolean): readonly FullSheet[] {
    this.tried = true
    return fillButForHoles(this.problem, { waste: this.slack + 1, cost: limit }, over)
  }
}
