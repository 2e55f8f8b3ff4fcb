import type { Problem } from '../two-d/sheets'
import { gatherPieces } from '../two-d/tree'
import type { State } from '../two-d/ruin-recreate'
import type { Lengths, Pattern } from './lengths'

/** Lengths as sheets one wide: the search for sheets does for bars too. Only where every size may come from every bar. */
export function asSheets(lengths: Lengths): Problem | null {
  if (
    !lengths.sizes.every((size, s) =>
      lengths.may[s]!.every((may, b) => may === (lengths.bars[b]!.count > 0 && size <= lengths.bars[b]!.length + 1e-6)),
    )
  )
    return null
  return {
    shapes: lengths.sizes.map((l) => ({ l, w: 1, area: l, turns: false })),
    sheets: lengths.bars.map((b) => ({ l: b.length, w: 1, area: b.length, count: b.count, cost: b.cost })),
    pieces: lengths.demand.flatMap((n, s) => Array.from({ length: n }, () => s)),
  }
}

/** A plan of the search for sheets as patterns. */
export function patternsOf(lengths: Lengths, problem: Problem, state: State): { patterns: Pattern[]; left: number[] } {
  const count = (pieces: readonly number[]): number[] => {
    const counts = lengths.sizes.map(() => 0)
    for (const p of pieces) counts[problem.pieces[p]!]!++
    return counts
  }
  const patterns = state.bins.map((bin) => {
    const pieces: number[] = []
    gatherPieces(bin.root, pieces)
    return { bar: bin.sheet, counts: count(pieces) }
  })
  return { patterns, left: count(state.left) }
}
