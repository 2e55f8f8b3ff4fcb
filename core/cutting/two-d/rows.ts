import { SAME } from '../instance'
import { rowOf, type Block } from './blocks'
import { sameTogether, type Problem, type Shape } from './sheets'

/** At the end of a row that spans a sheet at most this part of the sheet's side is wasted. */
const END = 0.02

/** A problem with equal pieces in rows: each of its pieces is a block of pieces. */
export interface InRows {
  readonly problem: Problem
  readonly blocks: readonly Block[]
}

/**
 * Equal pieces in rows that span a sheet from edge to edge: then only the rows have to be stacked. What makes no whole row
 * stays single. @returns null where less than half of the pieces go into rows
 */
export function inSpanningRows(problem: Problem): InRows | null {
  const bySize = new Map<string, number[]>()
  problem.pieces.forEach((at, piece) => {
    const { l, w } = problem.shapes[at]!
    const size = `${l.toFixed(4)} ${w.toFixed(4)}`
    bySize.set(size, [...(bySize.get(size) ?? []), piece])
  })
  const turns = (piece: number): boolean => problem.shapes[problem.pieces[piece]!]!.turns
  const blocks: Block[] = []
  let inRows = 0
  for (const pieces of bySize.values()) {
    // those that can't be turned first, so that few rows are of both kinds
    const waiting = pieces.sort((a, b) => Number(turns(a)) - Number(turns(b)))
    const shape = problem.shapes[problem.pieces[pieces[0]!]!]!
    const span = spanOf(problem, { ...shape, turns: pieces.every(turns) })
    for (; span && waiting.length >= span.count; inRows += span.count) {
      const row = waiting.splice(0, span.count)
      blocks.push(rowOf({ ...shape, turns: row.every(turns) }, row, span.axis))
    }
    blocks.push(...waiting.map((piece): Block => ({ ...problem.shapes[problem.pieces[piece]!]!, made: { piece } })))
  }
  if (inRows * 2 < problem.pieces.length) return null
  return { blocks, problem: { ...sameTogether(blocks), sheets: problem.sheets } }
}

/** How many of a shape span a sheet along an axis of theirs with the least waste at the end; null if they don't. */
function spanOf({ sheets }: Problem, { l, w, turns }: Shape): { axis: 0 | 1; count: number } | null {
  let best: { axis: 0 | 1; count: number; waste: number } | null = null
  for (const sheet of sheets)
    for (const axis of [0, 1] as const)
      for (const turned of turns ? [false, true] : [false]) {
        const [side, otherSide] = (axis === 0) !== turned ? [sheet.l, sheet.w] : [sheet.w, sheet.l]
        const [size, across] = axis === 0 ? [l, w] : [w, l]
        const count = Math.floor((side + SAME) / size)
        const waste = 1 - (count * size) / side
        const goes = sheet.count > 0 && across <= otherSide + SAME
        if (goes && count >= 2 && waste <= END && (!best || waste < best.waste)) best = { axis, count, waste }
      }
  return best
}
