import { fillBest } from './knapsack'
import type { Lengths, Pattern } from './lengths'

/** So many offcuts of a kind are looked at that were not used. */
const MOST_UNUSED = 20

/**
 * The same bars cut so that more of one stays in one piece: every other bar is filled anew from what it has and what
 * lies in the emptiest, as full as it goes.
 */
export function keepMore(lengths: Lengths, patterns: readonly Pattern[]): Pattern[] {
  const length = (p: Pattern): number => p.counts.reduce((sum, n, s) => sum + n * lengths.sizes[s]!, 0)
  const bought = patterns.filter((p) => lengths.bars[p.bar]!.cost > 0)
  if (bought.length === 0) return [...patterns]
  const emptiest = bought.reduce((a, b) =>
    lengths.bars[b.bar]!.length - length(b) > lengths.bars[a.bar]!.length - length(a) ? b : a,
  )
  let rest = [...emptiest.counts]
  // what the bin still holds is filled as well
  const unused = lengths.bars.flatMap((b, bar): Pattern[] => {
    const free = b.cost === 0 ? b.count - patterns.filter((p) => p.bar === bar).length : 0
    return Array.from({ length: Math.min(free, MOST_UNUSED) }, () => ({ bar, counts: rest.map(() => 0) }))
  })
  const filled = [...patterns.filter((p) => p !== emptiest), ...unused].map((p) => {
    const most = p.counts.map((n, s) => (lengths.may[s]![p.bar] ? n + rest[s]! : n))
    const { counts, value } = fillBest(lengths.bars[p.bar]!.length, lengths.sizes, lengths.sizes, most, 20_000)
    // What comes back has to go into the emptiest in its place
    const back = rest.map((n, s) => n + p.counts[s]! - counts[s]!)
    const allowed = back.every((n, s) => n === 0 || lengths.may[s]![emptiest.bar])
    if (!allowed || value <= length(p) + 1e-6) return p
    rest = back
    return { bar: p.bar, counts }
  })
  const used = filled.filter((p) => p.counts.some((n) => n > 0))
  return rest.some((n) => n > 0) ? [...used, { bar: emptiest.bar, counts: rest }] : used
}
