import type { Lying } from '../blocks'
import type { Layout } from '../layout'
import { areaOfAll, stockWithin, type Problem, type Shape, type Sheet } from '../sheets'

/** Pieces, each by itself, and the equal sheets that they go into. */
export interface EqualSheets {
  readonly pieces: readonly Shape[]
  readonly sheet: Sheet
  /** Which of the problem's sheets it is, and how many there are. */
  readonly kind: number
  readonly count: number
  /** What all of them may waste, mm²; below nought where there is too much for them. */
  readonly slack: number
}

/** @param limit what the sheets may cost, mm²: as many as that, all of one kind */
export function equalSheetsOf(problem: Problem, limit: number): EqualSheets {
  const stock = stockWithin(problem, limit)
  const kind = stock[0]!
  const sheet = problem.sheets[kind]!
  return {
    pieces: problem.pieces.map((p) => problem.shapes[p]!),
    sheet,
    kind,
    count: stock.length,
    slack: stock.length * sheet.area - areaOfAll(problem),
  }
}

/** A sheet wastes no less than that on average as it is reckoned with, mm². */
const NOTHING = 1

/** What each of some sheets wastes on average. @param slack what all of them may, mm² */
export const averageOf = (slack: number, sheets: number): number => Math.max(NOTHING, slack) / sheets

/** The plan in which pieces lie so, a sheet for each. */
export function planOf({ kind, sheet }: EqualSheets, laid: readonly (readonly Lying[])[]): Layout {
  const used = laid.filter((lying) => lying.length > 0)
  return { laid: used.map((lying) => ({ sheet: kind, lying })), left: [], cost: used.length * sheet.cost }
}
