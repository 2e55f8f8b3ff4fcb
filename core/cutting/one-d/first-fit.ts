import { SAME } from '../instance'
import { below, type Random } from '../random'
import { fillBest } from './knapsack'
import type { Lengths, Pattern } from './lengths'

/** Some bars cut. */
export interface BarsCut {
  readonly patterns: readonly Pattern[]
  /** How many of each size are in none of them. */
  readonly left: readonly number[]
}

/**
 * One plan: bar after bar is filled with the longest piece left and then as full as it goes, offcuts first.
 * @param random null for the plan without any chance in it
 * @param limit what the bars may cost in all, mm; pieces beyond it are left
 */
export function fillInTurn(lengths: Lengths, random: Random | null, limit = Infinity): BarsCut {
  const left = [...lengths.demand]
  const stock = lengths.bars.map((b) => b.count)
  const patterns: Pattern[] = []
  let cost = 0
  const noise = random ? 0.15 * random() : 0
  const neat = random !== null && random() < 0.7
  const skip = random ? 0.4 * random() ** 2 : 0
  for (;;) {
    const bar = nextBar(lengths, left, stock, limit - cost, random)
    if (bar < 0) return { patterns, left }
    const counts =
      neat && random ? fillNeatly(lengths, bar, left, skip, random) : fillBar(lengths, bar, left, noise, random)
    stock[bar]!--
    counts.forEach((n, i) => (left[i]! -= n))
    cost += lengths.bars[bar]!.cost
    patterns.push({ bar, counts })
  }
}

/** The next bar: an offcut that holds something, the shortest first, else one to buy. -1 when nothing more can be cut. */
function nextBar(l: Lengths, left: number[], stock: number[], limit: number, random: Random | null): number {
  const usable = l.bars
    .map((_, i) => i)
    .filter((i) => stock[i]! > 0 && l.bars[i]!.cost <= limit + SAME && left.some((n, s) => n > 0 && l.may[s]![i]))
  if (usable.length === 0) return -1
  const offcuts = usable.filter((i) => l.bars[i]!.cost === 0).sort((a, b) => l.bars[a]!.length - l.bars[b]!.length)
  if (offcuts.length > 0) return random && random() < 0.3 ? offcuts[below(random, offcuts.length)]! : offcuts[0]!
  if (random && random() < 0.5) return usable[below(random, usable.length)]!
  // The bar that holds the longest piece left, and the rest of what is left if it can be, for least
  const rest = left.reduce((sum, n, s) => sum + n * l.sizes[s]!, 0)
  const longest = left.findIndex((n, s) => n > 0 && usable.some((i) => l.may[s]![i]))
  const holds = usable.filter((i) => l.may[longest]![i])
  const ends = holds.filter((i) => l.bars[i]!.length >= rest).sort((a, b) => l.bars[a]!.cost - l.bars[b]!.cost)
  return ends[0] ?? holds.sort((a, b) => l.bars[b]!.length - l.bars[a]!.length)[0]!
}

function fillBar(l: Lengths, bar: number, left: number[], noise: number, random: Random | null): number[] {
  const most = left.map((n, s) => (l.may[s]![bar] ? n : 0))
  let longest = most.findIndex((n) => n > 0)
  if (random && random() < 0.2) {
    const some = most.flatMap((n, s) => (n > 0 ? [s] : []))
    longest = some[below(random, some.length)]!
  }
  most[longest]!--
  const values = l.sizes.map((s) => s * (1 + (random ? noise * random() : 0)))
  const rest = fillBest(l.bars[bar]!.length - l.sizes[longest]!, l.sizes, values, most, 3000)
  rest.counts[longest]!++
  return rest.counts
}

/** A filling that wastes no more than this, mm, is as good as any. */
const NOTHING = 0.01

/** Branches looked at for one bar. */
const LOOKS = 2000

/**
 * Fills a bar with the longest pieces that go, to the brim if that can be: short pieces are left for later bars, where
 * they are easier to place.
 * @param skip how often a longer piece is passed over, 0 to 1
 */
function fillNeatly(l: Lengths, bar: number, left: readonly number[], skip: number, random: Random): number[] {
  const sizes = l.sizes.flatMap((_, s) => (left[s]! > 0 && l.may[s]![bar] ? [s] : []))
  const rest = new Array<number>(sizes.length + 1).fill(0)
  for (let i = sizes.length - 1; i >= 0; i--) rest[i] = rest[i + 1]! + left[sizes[i]!]! * l.sizes[sizes[i]!]!
  const now = l.sizes.map(() => 0)
  let best: number[] = now
  let least = Infinity
  let looks = 0
  const look = (at: number, room: number): void => {
    if (room < least - SAME) {
      least = room
      best = [...now]
    }
    if (at === sizes.length || room - rest[at]! >= least || looks++ > LOOKS) return
    const s = sizes[at]!
    const size = l.sizes[s]!
    let most = Math.min(left[s]!, Math.floor((room + SAME) / size))
    while (most > (at === 0 ? 1 : 0) && random() < skip) most--
    for (let n = most; n >= (at === 0 ? Math.min(1, most) : 0) && least > NOTHING && looks <= LOOKS; n--) {
      now[s] = n
      look(at + 1, room - n * size)
    }
    now[s] = 0
  }
  look(0, l.bars[bar]!.length)
  return best
}
