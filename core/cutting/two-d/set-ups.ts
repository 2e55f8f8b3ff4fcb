import { cutsOf } from '../cuts'
import { SAME } from '../instance'
import type { Means } from '../means'
import { below, type Random } from '../random'
import { rowOf, type Block } from './blocks'
import { layoutOf, outOfBlocks, type Laid, type Layout } from './layout'
import { trimmed } from './remainder'
import { LimitSearch } from './search'
import { goesInto, type Problem } from './sheets'

/** How often equal pieces are laid side by side in another way, and the steps of a search for a plan of such rows. */
const TRIES = 8
const STEPS = 800

/** How many different settings of fence and stop the cuts of a plan want; each direction has its own. */
export function setUps(problem: Problem, laid: readonly Laid[]): number {
  const settings = new Set<string>()
  for (const { sheet, lying } of laid) {
    const { l, w } = problem.sheets[sheet]!
    const placed = lying.map(({ piece, x, y, turned }) => {
      const shape = problem.shapes[problem.pieces[piece]!]!
      const [length, width] = turned ? [shape.w, shape.l] : [shape.l, shape.w]
      return { stockId: '', stockIndex: 0, partId: '', x, y, length, width, rotated: turned }
    })
    for (const cut of cutsOf(l, w, placed, 0)) settings.add(`${cut.direction} ${cut.fence.toFixed(2)}`)
  }
  return settings.size
}

/**
 * The same stock cut with fewer settings of the saw: equal pieces are laid in rows, which one rip and one stop cut up,
 * and the rows are laid out anew. No more is bought, and what stays in one piece stays.
 */
export function fewerSetUps(problem: Problem, layout: Layout, means: Means): Layout {
  if (layout.left.length > 0 || layout.laid.length === 0) return layout
  let best = layout
  let fewest = setUps(problem, layout.laid)
  const { tight, index } = trimmed(problem, layout)
  for (let i = 0; i < TRIES && !means.over(); i++) {
    const blocks = inRows(tight, means.random)
    if (blocks.length === problem.pieces.length && i > 0) continue
    const rows: Problem = { shapes: blocks, sheets: tight.sheets, pieces: blocks.map((_, b) => b) }
    const search = new LimitSearch(rows, layout.cost + SAME, means.random)
    if (!search.run({ over: means.over, steps: STEPS })) continue
    const found = outOfBlocks(blocks, layoutOf(rows, search.best))
    const laid = found.laid.map((l) => ({ ...l, sheet: index[l.sheet]! }))
    const settings = setUps(problem, laid)
    if (settings < fewest) [best, fewest] = [{ ...found, laid }, settings]
  }
  return best
}

/** Equal pieces in rows as long as some sheet holds, or shorter; each row along one axis. */
function inRows(problem: Problem, random: Random): Block[] {
  const byShape: number[][] = problem.shapes.map(() => [])
  problem.pieces.forEach((shape, piece) => byShape[shape]!.push(piece))
  return byShape.flatMap((pieces, at) => {
    const shape = problem.shapes[at]!
    const axis = below(random, 2) as 0 | 1
    const fits = (n: number): boolean => {
      const [l, w] = axis === 0 ? [n * shape.l, shape.w] : [shape.l, n * shape.w]
      return problem.sheets.some((s) => s.count > 0 && goesInto(s, l, w, shape.turns))
    }
    let longest = 1
    while (longest < pieces.length && fits(longest + 1)) longest++
    const most = 1 + below(random, longest)
    const rows: Block[] = []
    for (let i = 0; i < pieces.length; i += most) rows.push(rowOf(shape, pieces.slice(i, i + most), axis))
    return rows
  })
}
