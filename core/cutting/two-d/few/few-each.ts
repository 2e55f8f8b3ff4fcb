import type { Means } from '../../means'
import type { Lying } from '../blocks'
import type { Layout } from '../layout'
import { equalSheetsOf, type EqualSheets } from '../plain/equal-sheets'
import { areaOfAll, mostDiffer, roomOf, type Problem } from '../sheets'
import { Ending } from './ending'
import { Pool } from './pool'
import type { Course } from './sets'

/** So few pieces a sheet on average, and so many in all. */
const FEW_EACH = 10
const MOST_PIECES = 150

/** Where a sheet may waste this part of a piece on average, sheets are best filled one by one. */
const ONE_BY_ONE = 0.42

/** A sheet wastes no less than that on average as it is reckoned with, mm². */
const NOTHING = 1

/** How sheets are chosen in a round at first, and then where that comes to its end. */
const COURSE: Course = { work: 6_000_000, tried: 8, from: 8000 }
const wider = (course: Course): Course => ({ ...course, tried: 2 * course.tried, from: 1.5 * course.from })

/**
 * Whether full sheets can be listed for what their pieces are worth: for more than two equal sheets, with few pieces each, most of
 * which differ, and little to be wasted.
 * @param stock the sheets
 */
export function areFewEach(problem: Problem, stock: readonly number[]): boolean {
  const { pieces } = problem
  const isFew = pieces.length <= Math.min(MOST_PIECES, FEW_EACH * stock.length)
  const room = roomOf(problem, stock)
  const isLittle = ((room - areaOfAll(problem)) / room) * pieces.length < ONE_BY_ONE * stock.length
  return stock.length > 2 && isFew && mostDiffer(problem) && isLittle && stock.every((s) => s === stock[0])
}

/** What a sheet wastes on average, mm². */
export const averageOf = (slack: number, sheets: number): number => Math.max(NOTHING, slack) / sheets

/** The plan in which pieces lie so, a sheet for each. */
export function planOf({ kind, sheet }: EqualSheets, laid: readonly (readonly Lying[])[]): Layout {
  const used = laid.filter((lying) => lying.length > 0)
  return { laid: used.map((lying) => ({ sheet: kind, lying })), left: [], cost: used.length * sheet.cost }
}

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

  /** @param limit what the sheets may cost, mm² */
  constructor(
    problem: Problem,
    limit: number,
    private readonly means: Means,
  ) {
    this.all = equalSheetsOf(problem, limit)
    const { pieces, sheet, slack, count } = this.all
    this.names = pieces.map((_, i) => i)
    this.pool = new Pool(pieces, sheet, averageOf(slack, count))
    this.ending = new Ending(sheet, means)
  }

  /** How many full sheets are listed. */
  get listed(): number {
    return this.pool.found.top
  }

  /** @returns a plan with all pieces; null where this round came to none */
  next(): Layout | null {
    const { pieces, count, slack } = this.all
    if (slack < 0) return null
    this.pool.list(this.means.over)
    if (this.pool.least > slack) return null
    const { laid, ended } = this.ending.of(pieces, this.names, this.pool, count, slack, this.course)
    if (ended) this.course = wider(this.course)
    return laid && planOf(this.all, laid)
  }
}
