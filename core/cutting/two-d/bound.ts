import { SAME } from '../instance'
import { holds } from './problem'
import type { Problem, Shape, Sheet } from './sheets'

/**
 * The least that has to be bought, mm²: by area, and by pieces of which no two share a sheet. No plan that cuts
 * everything buys less.
 */
export function leastBought(problem: Problem): number {
  const bought = problem.sheets.filter((s) => s.cost > 0 && s.count > 0)
  if (bought.length === 0) return 0
  return Math.max(byArea(problem, bought), byLoners(problem, bought))
}

/** By area: all pieces less what the offcuts hold, and the pieces that no offcut holds. */
function byArea(problem: Problem, bought: readonly Sheet[]): number {
  const offcuts = problem.sheets.filter((s) => s.cost === 0)
  const inOffcuts = offcuts.reduce((sum, s) => sum + s.area * s.count, 0)
  let all = 0
  let homeless = 0
  for (const p of problem.pieces) {
    const shape = problem.shapes[p]!
    all += shape.area
    if (!offcuts.some((s) => holds(s, shape))) homeless += shape.area
  }
  return cheapest(Math.max(all - inOffcuts, homeless), bought)
}

/** The cheapest number of each sheet whose areas come to `area`. Sheets in order, as many as needed of the last. */
function cheapest(area: number, bought: readonly Sheet[]): number {
  if (area <= 1) return 0
  const bySize = [...bought].sort((a, b) => b.area - a.area)
  const perArea = Math.min(...bySize.map((s) => s.cost / s.area))
  let best = Infinity
  let looks = 0
  const look = (at: number, rest: number, cost: number): void => {
    if (rest <= 1) {
      best = Math.min(best, cost)
      return
    }
    if (at === bySize.length || cost + rest * perArea >= best || looks++ > 20_000) return
    const sheet = bySize[at]!
    for (let n = Math.min(sheet.count, Math.ceil((rest - 1) / sheet.area)); n >= 0; n--)
      look(at + 1, rest - n * sheet.area, cost + n * sheet.cost)
  }
  look(0, area, 0)
  // Not looked through, or not enough stock: the area at the best price per area holds in any case
  return looks > 20_000 || best === Infinity ? area * perArea : best
}

/** Pieces of which no two share a sheet, and which no offcut holds: each asks for a sheet of its own. */
function byLoners(problem: Problem, bought: readonly Sheet[]): number {
  const offcuts = problem.sheets.filter((s) => s.cost === 0)
  const order = problem.pieces.map((p) => problem.shapes[p]!).sort((a, b) => b.area - a.area)
  const loners: Shape[] = []
  for (const shape of order) {
    if (offcuts.some((s) => holds(s, shape))) continue
    if (loners.every((other) => !bought.some((sheet) => share(sheet, shape, other)))) loners.push(shape)
  }
  return loners.reduce((sum, shape) => sum + Math.min(...bought.filter((s) => holds(s, shape)).map((s) => s.cost)), 0)
}

const ways = (s: Shape): [number, number][] =>
  s.turns
    ? [
        [s.l, s.w],
        [s.w, s.l],
      ]
    : [[s.l, s.w]]

/** Whether two pieces can lie in one sheet, side by side along either axis. */
const share = (sheet: Sheet, a: Shape, b: Shape): boolean =>
  ways(a).some(([al, aw]) =>
    ways(b).some(
      ([bl, bw]) =>
        (al + bl <= sheet.l + SAME && Math.max(aw, bw) <= sheet.w + SAME) ||
        (aw + bw <= sheet.w + SAME && Math.max(al, bl) <= sheet.l + SAME),
    ),
  )
