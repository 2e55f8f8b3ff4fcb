import { areaOfAll, mostDiffer, roomOf, type Problem } from '../sheets'
import { sidesAgree } from './sides'

/** So few pieces a sheet on average, a few more where it may waste no more than such a part of a piece, and so many in all. */
const FEW_EACH = 10
const FEW_OF_LITTLE = 12
const LITTLE = 0.1
const MOST_PIECES = 150

/** Where a sheet may waste this part of a piece on average, sheets are best filled one by one. */
const ONE_BY_ONE = 0.42

/** So few pieces, where it may waste no more than such a part of one, are few enough for searches beside the first. */
const FEW_BESIDE = 14
const LITTLE_BESIDE = 0.25

/** So few pieces in all parts of a sheet, where sides agree. */
const FEW_AGREEING = 25

/**
 * Whether full sheets can be listed for what their pieces are worth: for more than two equal sheets, with few pieces each, most of
 * which differ, and little to be wasted.
 * @param stock the sheets
 */
export const areFewEach = (problem: Problem, stock: readonly number[]): boolean =>
  canBeListed(problem, stock, (each, wasted) => {
    const few = wasted < LITTLE ? FEW_OF_LITTLE : FEW_EACH
    return each <= few && wasted < ONE_BY_ONE
  })

/**
 * The same for searches beside the first: more pieces each do where it takes long, and still more where many of their sides agree,
 * for what is joined by such is a single part.
 */
export const areFewBeside = (problem: Problem, stock: readonly number[]): boolean =>
  areFewEach(problem, stock) ||
  canBeListed(problem, stock, (each, wasted) => each <= FEW_BESIDE && wasted < LITTLE_BESIDE) ||
  canBeListed(
    problem,
    stock,
    (each, wasted) =>
      each <= FEW_AGREEING && wasted < ONE_BY_ONE && sidesAgree(problem.pieces.map((p) => problem.shapes[p]!)),
  )

/** @param areFew whether there are few pieces in a sheet, where it may waste such a part of one on average */
function canBeListed(
  problem: Problem,
  stock: readonly number[],
  areFew: (each: number, wasted: number) => boolean,
): boolean {
  const { pieces } = problem
  const isEqual = stock.length > 2 && stock.every((s) => s === stock[0])
  if (!isEqual || pieces.length > MOST_PIECES || !mostDiffer(problem)) return false
  const room = roomOf(problem, stock)
  const each = pieces.length / stock.length
  return areFew(each, ((room - areaOfAll(problem)) / room) * each)
}

/** Whether there are so many pieces in each that other ways come to more. */
export const areRatherMany = (pieces: number, sheets: number): boolean => pieces > FEW_EACH * sheets
