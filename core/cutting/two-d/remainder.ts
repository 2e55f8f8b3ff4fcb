import type { Means } from '../means'
import type { Laid, Layout } from './layout'
import { layoutOf } from './layout'
import { LimitSearch } from './search'
import { areaOfAll, costOf, type Problem, type Sheet } from './sheets'

/** How many lengths are tried on each axis, and the steps of a search for one. */
const TRIES = 5
const STEPS = 1500

/** How far along a sheet and across it something is cut, mm. */
function reachOf(problem: Problem, laid: Laid): { l: number; w: number } {
  let [l, w] = [0, 0]
  for (const { piece, x, y, turned } of laid.lying) {
    const shape = problem.shapes[problem.pieces[piece]!]!
    l = Math.max(l, x + (turned ? shape.w : shape.l))
    w = Math.max(w, y + (turned ? shape.l : shape.w))
  }
  return { l, w }
}

/** The part of a sheet that stays in one piece beyond what is cut, along its length or its width, mm². */
function remainderOf(problem: Problem, laid: Laid): number {
  const sheet = problem.sheets[laid.sheet]!
  const { l, w } = reachOf(problem, laid)
  return Math.max((sheet.l - l) * sheet.w, (sheet.w - w) * sheet.l)
}

/** The largest remainder of the sheets that are bought. */
const largest = (problem: Problem, layout: Layout): number =>
  Math.max(0, ...layout.laid.filter((l) => problem.sheets[l.sheet]!.cost > 0).map((l) => remainderOf(problem, l)))

/**
 * No more bought than before, and more of one bought sheet kept in one piece: one sheet is taken shorter, then narrower,
 * and everything has to fit all the same, with the offcuts of the bin.
 */
export function keepMore(problem: Problem, layout: Layout, means: Means): Layout {
  if (layout.left.length > 0 || layout.cost === 0) return layout
  let best = layout
  let most = largest(problem, layout)
  // of what is bought no more than before, of the bin everything
  const used = problem.sheets.map((s, i) => s.cost === 0 ? s.count : layout.laid.filter((l) => l.sheet === i).length) // prettier-ignore
  const area = problem.sheets.reduce((sum, s, i) => sum + used[i]! * s.area, 0)
  const spare = area - areaOfAll(problem)
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

/**
 * The problem with no more stock than a plan uses, and without the part of a bought sheet that stays in one piece.
 * @returns and for each of its sheets the one of the problem
 */
export function trimmed(problem: Problem, layout: Layout): { tight: Problem; index: number[] } {
  const used = problem.sheets.map((s, i) => s.cost === 0 ? s.count : layout.laid.filter((l) => l.sheet === i).length) // prettier-ignore
  const bought = layout.laid.filter((l) => problem.sheets[l.sheet]!.cost > 0)
  const index = problem.sheets.map((_, i) => i)
  if (bought.length === 0) return { tight: { ...problem, sheets: problem.sheets.map((s, i) => ({ ...s, count: used[i]! })) }, index } // prettier-ignore
  const kept = bought.reduce((a, b) => (remainderOf(problem, b) > remainderOf(problem, a) ? b : a))
  const sheet = problem.sheets[kept.sheet]!
  const { l, w } = reachOf(problem, kept)
  const shorter = (sheet.l - l) * sheet.w >= (sheet.w - w) * sheet.l
  const small = shorter ? { ...sheet, l } : { ...sheet, w }
  const sheets = problem.sheets.map((s, i) => ({ ...s, count: used[i]! - (i === kept.sheet ? 1 : 0) }))
  return {
    tight: { ...problem, sheets: [...sheets, { ...small, area: small.l * small.w, count: 1 }] },
    index: [...index, kept.sheet],
  }
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
  return { laid, left: [], cost: costOf(problem, laid) }
}
