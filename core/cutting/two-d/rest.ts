import type { FullSheet } from './build-up'
import { layFull, type Laid, type Layout } from './layout'
import { costOf, type Problem } from './sheets'

/** What is left of a problem when some full sheets are cut. */
export interface Rest {
  readonly rest: Problem
  /** The piece of the whole for each of its pieces. */
  readonly pieceOf: readonly number[]
  /** The pieces that each full sheet takes, in order of their shapes. */
  readonly taken: readonly (readonly number[])[]
}

/** What is left of a problem when some full sheets are cut. */
export function without(problem: Problem, full: readonly FullSheet[]): Rest {
  const byShape: number[][] = problem.shapes.map(() => [])
  problem.pieces.forEach((shape, piece) => byShape[shape]!.push(piece))
  const taken = full.map((f) => Array.from(f.built.counts).flatMap((n, shape) => byShape[shape]!.splice(0, n)))
  const pieceOf = byShape.flat()
  const sheets = problem.sheets.map((s, i) => ({ ...s, count: s.count - full.filter((f) => f.sheet === i).length }))
  return { rest: { shapes: problem.shapes, sheets, pieces: pieceOf.map((p) => problem.pieces[p]!) }, pieceOf, taken }
}

/** The plan of some full sheets together with a plan of what they leave. */
export function together(problem: Problem, full: readonly FullSheet[], { taken, pieceOf }: Rest, plan: Layout): Layout {
  const { laid, left, cost } = renamed(plan, pieceOf)
  return {
    laid: [...full.map((f, i) => layFull(problem, f, taken[i]!)), ...laid],
    left,
    cost: cost + costOf(problem, full),
  }
}

/** A plan of some pieces with the numbers that they have among all. */
export const renamed = ({ laid, left, cost }: Layout, pieceOf: readonly number[]): Layout => ({
  laid: laid.map((l): Laid => ({ sheet: l.sheet, lying: l.lying.map((p) => ({ ...p, piece: pieceOf[p.piece]! })) })),
  left: left.map((p) => pieceOf[p]!),
  cost,
})
