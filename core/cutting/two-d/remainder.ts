import type { Means } from '../means'
import type { Laid, Layout } from './layout'
import { layoutOf } from './layout'
import { LimitSearch } from './search'
import type { Problem, Sheet } from './sheets'

/** How many lengths are tried on each axis, and the steps of a search for one. */
const TRIES = 5
const STEPS = 1500

/** The part of a sheet that stays in one piece beyond what is cut, along its length or its width, mm². */
function remainderOf(problem: Problem, laid: Laid): number {
  const sheet = problem.sheets[laid.sheet]!
  let [l, w] = [0, 0]
  for (const { piece, x, y, turned } of laid.lying) {
    const shape = problem.shapes[problem.pieces[piece]!]!
    l = Math.max(l, x + (turned ? shape.w : shape.l))
    w = Math.max(w, y + (turned ? shape.l : shape.w))
  }
  return Math.max((sheet.l - l) * sheet.w, (sheet.w - w) * sheet.l)
}

/** The largest remainder of the sheets that are bought. */
const largest = (problem: Problem, layout: Layout): number =>
  Math.max(0, ...layout.laid.filter((l) => problem.sheets[l.sheet]!.cost > 0).map((l) => remainderOf(problem, l)))

/**
 * The same stock cut so that more of one bought sheet stays in one piece: one sheet is taken shorter, then narrower,
 * and everything has to fit all the same.
 */
export function keepMore(problem: Problem, layout: Layout, means: Means): Layout {
  if (layout.left.length > 0 || layout.cost === 0) return layout
  let best = layout
  let most = largest(problem, layout)
  const used = problem.sheets.map((_, i) => layout.laid.filter((l) => l.sheet === i).length)
  const area = layout.laid.reduce((sum, l) => sum + problem.sheets[l.sheet]!.area, 0)
  const spare = area - problem.pieces.reduce((sum, p) => sum + problem.shapes[p]!.area, 0)
  for (const [index, sheet] of problem.sheets.entries()) {
    if (sheet.cost === 0 || used[index] === 0) continue
    for (const axis of ['l', 'w'] as const) {
      const across = axis === 'l' ? sheet.w : sheet.l
      // Between what stays already and what could stay if nothing else were wasted
      let low = most / across
      let high = Math.min(spare, sheet.area) / across
      for (let i = 0; i < TRIES && high - low > 5 && !means.over(); i++) {
        const kept = (low + high) / 2
        const found = shortened(problem, index, { ...sheet, [axis]: sheet[axis] - kept }, used, means)
        if (!found) high = kept
        else {
          low = kept
          if (largest(problem, found) > most) {
            best = found
            most = largest(problem, found)
          }
        }
      }
    }
  }
  return best
}

/** Everything on the sheets that are used, with one of them smaller. */
function shortened(
  problem: Problem,
  index: number,
  small: Sheet,
  used: readonly number[],
  means: Means,
): Layout | null {
  const sheets = problem.sheets.map((s, i) => ({ ...s, count: used[i]! - (i === index ? 1 : 0) }))
  const tight: Problem = { ...problem, sheets: [...sheets, { ...small, area: small.l * small.w, count: 1 }] }
  const search = new LimitSearch(tight, Infinity, means.random)
  if (!search.run({ over: means.over, steps: STEPS })) return null
  const found = layoutOf(tight, search.best)
  const laid = found.laid.map((l) => (l.sheet === sheets.length ? { ...l, sheet: index } : l))
  return { laid, left: [], cost: laid.reduce((sum, l) => sum + problem.sheets[l.sheet]!.cost, 0) }
}
