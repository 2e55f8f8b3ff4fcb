import { programText, type LinearSolver, type Program } from '../linear-program'
import { fillBest } from './knapsack'
import type { Lengths, Pattern } from './lengths'

/** What a piece that isn't cut costs in the program, in multiples of the dearest bar. */
const LEFT_OUT = 50

const patternName = (p: Pattern): string => `${p.bar}:${p.counts.join(',')}`

/**
 * Patterns by column generation (P. C. Gilmore and R. E. Gomory, A linear programming approach to the cutting-stock
 * problem, Operations Research 9, 1961), and the bound of the linear program.
 * @param seeds patterns to start from
 * @returns patterns, and the least that has to be bought, mm, or 0 when it could not be worked out
 */
export function columns(
  lengths: Lengths,
  seeds: readonly Pattern[],
  solver: LinearSolver,
  secondsLeft: () => number,
): { patterns: Pattern[]; atLeast: number } {
  const known = new Map(seeds.map((p) => [patternName(p), p]))
  const dearest = dearestOf(lengths)
  let atLeast = 0
  for (let round = 0; round < 400 && secondsLeft() > 0; round++) {
    const patterns = [...known.values()]
    const solved = solver(programText(master(lengths, patterns, false)), { seconds: secondsLeft() })
    if (!solved) break
    const values = lengths.sizes.map((_, s) => Math.max(0, solved.duals.get(`d${s}`) ?? 0))
    const found = lengths.bars.map((bar, b) => {
      const most = lengths.demand.map((n, s) => (lengths.may[s]![b] ? n : 0))
      const filled = fillBest(bar.length, lengths.sizes, values, most)
      // Offcuts and short stock: what using one more up costs
      const scarce = Math.min(0, solved.duals.get(`b${b}`) ?? 0)
      return { filled, gain: filled.value - bar.cost + scarce, atMost: filled.atMost - bar.cost + scarce }
    })
    // Lagrange: no plan is cheaper than the duals' worth less what each bar could still gain
    const worth =
      values.reduce((sum, v, s) => sum + v * lengths.demand[s]!, 0) +
      lengths.bars.reduce((sum, bar, b) => {
        const scarce = Math.min(0, solved.duals.get(`b${b}`) ?? 0)
        return sum + (Number.isFinite(bar.count) ? scarce * bar.count : 0)
      }, 0)
    atLeast = Math.max(
      atLeast,
      boundFrom(
        lengths,
        worth,
        found.map((f) => f.atMost),
      ),
    )
    const gaining = found.flatMap((f, bar) => (f.gain > 1e-6 * dearest ? [{ bar, counts: f.filled.counts }] : []))
    const before = known.size
    for (const p of gaining) known.set(patternName(p), p)
    if (known.size === before) break
  }
  return { patterns: [...known.values()], atLeast }
}

const dearestOf = (lengths: Lengths): number => Math.max(1, ...lengths.bars.map((b) => b.cost))

/**
 * A valid bound from duals that may not be settled yet: they are scaled down until no bar gains any more (A. A. Farley,
 * A note on bounding a class of linear programming problems, Operations Research 38, 1990).
 */
function boundFrom(lengths: Lengths, worth: number, gains: readonly number[]): number {
  let scale = 1
  for (let b = 0; b < gains.length; b++) {
    const gain = gains[b]!
    if (gain <= 1e-7) continue
    const bar = lengths.bars[b]!
    if (bar.cost === 0) return 0
    scale = Math.min(scale, bar.cost / (bar.cost + gain))
  }
  return Math.max(0, worth * scale)
}

function master(lengths: Lengths, patterns: readonly Pattern[], whole: boolean): Program {
  const name = (i: number): string => `x${i}`
  const penalty = LEFT_OUT * dearestOf(lengths)
  return {
    minimise: [
      ...patterns.map((p, i) => ({ name: name(i), times: lengths.bars[p.bar]!.cost })),
      ...lengths.sizes.map((_, s) => ({ name: `u${s}`, times: penalty })),
    ],
    rows: [
      ...lengths.sizes.map((_, s) => ({
        name: `d${s}`,
        terms: [
          ...patterns.flatMap((p, i) => (p.counts[s]! > 0 ? [{ name: name(i), times: p.counts[s]! }] : [])),
          { name: `u${s}`, times: 1 },
        ],
        is: '>=' as const,
        than: lengths.demand[s]!,
      })),
      ...lengths.bars.flatMap((bar, b) =>
        Number.isFinite(bar.count)
          ? [
              {
                name: `b${b}`,
                terms: patterns.flatMap((p, i) => (p.bar === b ? [{ name: name(i), times: 1 }] : [])),
                is: '<=' as const,
                than: bar.count,
              },
            ]
          : [],
      ),
    ],
    most: [
      ...patterns.map((_, i) => ({ name: name(i), times: lengths.demand.reduce((a, b) => a + b, 0) })),
      ...lengths.sizes.map((_, s) => ({ name: `u${s}`, times: lengths.demand[s]! })),
    ],
    whole: whole ? [...patterns.map((_, i) => name(i)), ...lengths.sizes.map((_, s) => `u${s}`)] : [],
  }
}

/** The best plan out of given patterns, in whole numbers; pieces cut beyond what is wanted are taken out. */
export function choosePatterns(
  lengths: Lengths,
  patterns: readonly Pattern[],
  solver: LinearSolver,
  limits: { seconds: number; nodes: number },
): { patterns: Pattern[]; left: number[] } | null {
  const solved = solver(programText(master(lengths, patterns, true)), limits)
  if (!solved) return null
  const left = [...lengths.demand]
  const chosen: Pattern[] = []
  patterns.forEach((p, i) => {
    for (let n = Math.round(solved.values.get(`x${i}`) ?? 0); n > 0; n--) {
      const counts = p.counts.map((c, s) => Math.min(c, left[s]!))
      counts.forEach((c, s) => (left[s]! -= c))
      if (counts.some((c) => c > 0)) chosen.push({ bar: p.bar, counts })
    }
  })
  return { patterns: chosen, left }
}
