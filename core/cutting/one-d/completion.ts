import { firstWhere } from '../by-halves'
import { SAME } from '../instance'
import type { Random } from '../random'
import type { BarsCut } from './first-fit'
import type { Lengths, Pattern } from './lengths'

/** No more bars than these are filled together. */
const MOST_BARS = 100

/** So many fillings of a bar are looked for, and so many of them tried. */
const FILLINGS = 400
const TRIED = 12

/** Pieces put into a bar while its fillings are looked for, at most. */
const LOOKS = 60_000

/** A filling counts as more wasteful by chance, up to this part of what may be wasted. */
const CHANCE = 0.3

/** How often no piece is passed over; else up to so many are, so that it comes out otherwise each time. */
const THOROUGH = 0.5
const SKIPPED = 0.3

/** Sizes in a bar, the longest first, and what of it is wasted, mm. */
interface Filling {
  readonly sizes: readonly number[]
  readonly waste: number
}

/**
 * Fills bar after bar with what wastes no more than all of them together may, each with the longest piece that is left, and goes
 * back where that leads to no end (R. E. Korf, A new algorithm for optimal bin packing, AAAI 2002).
 * @param limit what the bars may cost in all, mm
 * @param fillings how many times a bar is filled, at most
 * @returns a plan of all pieces; null when none was found
 */
export function completed(
  lengths: Lengths,
  limit: number,
  random: Random,
  fillings: number,
  over: () => boolean,
): BarsCut | null {
  const bars = barsWithin(lengths, limit)
  return bars.length > 0 ? new Completion(lengths, bars, random, fillings, over).run() : null
}

/** Offcuts, the shortest first, then what may be bought, the longest first. */
function barsWithin({ bars, demand }: Lengths, limit: number): number[] {
  const pieces = demand.reduce((sum, n) => sum + n, 0)
  const order = bars.map((_, bar) => bar).sort((a, b) => bars[a]!.length - bars[b]!.length)
  const offcuts = order.filter((bar) => bars[bar]!.cost === 0)
  const bought = order.filter((bar) => bars[bar]!.cost > 0).reverse()
  const used = offcuts.flatMap((bar) => Array.from({ length: Math.min(bars[bar]!.count, pieces) }, () => bar))
  let cost = 0
  for (const bar of bought)
    for (let n = Math.min(bars[bar]!.count, pieces); n > 0 && cost + bars[bar]!.cost <= limit; n--) {
      used.push(bar)
      cost += bars[bar]!.cost
    }
  return used.length <= MOST_BARS ? used : []
}

class Completion {
  private readonly left: number[]
  private readonly shortest: number
  private readonly skip: number
  private readonly filled: Pattern[] = []
  private looks = 0

  constructor(
    private readonly lengths: Lengths,
    private readonly bars: readonly number[],
    private readonly random: Random,
    private fillings: number,
    private readonly over: () => boolean,
  ) {
    this.left = [...lengths.demand]
    this.shortest = lengths.sizes.at(-1) ?? 0
    this.skip = random() < THOROUGH ? 0 : SKIPPED * random() ** 2
  }

  run(): BarsCut | null {
    const { lengths, bars, left } = this
    const room = bars.reduce((sum, bar) => sum + lengths.bars[bar]!.length, 0)
    const spare = room - left.reduce((sum, n, s) => sum + n * lengths.sizes[s]!, 0)
    if (spare < -SAME || !this.fill(0, spare)) return null
    return { patterns: this.filled, left: lengths.demand.map(() => 0) }
  }

  /** Fills the bars from one on. @returns whether everything has a place */
  private fill(at: number, spare: number): boolean {
    const { lengths, bars, left, random } = this
    const longest = left.findIndex((n) => n > 0)
    if (longest < 0) return true
    if (at === bars.length || this.fillings-- <= 0 || this.over()) return false
    const bar = bars[at]!
    const found = this.fillingsOf(bar, spare, bars.slice(at).every((b) => b === bar) ? longest : -1)
    const order = found
      .map((f): [number, Filling] => [f.waste + CHANCE * spare * random(), f])
      .sort((a, b) => a[0] - b[0])
      .slice(0, TRIED)
    for (const [, { sizes, waste }] of order) {
      const counts = lengths.sizes.map(() => 0)
      for (const s of sizes) counts[s]!++
      for (const s of sizes) left[s]!--
      this.filled.push({ bar, counts })
      if (this.fill(at + 1, spare - waste)) return true
      this.filled.pop()
      for (const s of sizes) left[s]!++
    }
    // it may stay as it is
    return lengths.bars[bar]!.length <= spare + SAME && this.fill(at + 1, spare - lengths.bars[bar]!.length)
  }

  /** What fills a bar but for what may be wasted. @param first the size that is in it, or -1 */
  private fillingsOf(bar: number, spare: number, first: number): Filling[] {
    const { length } = this.lengths.bars[bar]!
    const found: Filling[] = []
    this.looks = LOOKS
    if (first < 0) this.look(bar, 0, length, spare, [], found)
    else if (this.lengths.may[first]![bar] && this.lengths.sizes[first]! <= length + SAME) {
      this.left[first]!--
      const room = length - this.lengths.sizes[first]!
      if (room <= spare + SAME) found.push({ sizes: [first], waste: room })
      this.look(bar, first, room, spare, [first], found)
      this.left[first]!++
    }
    return found
  }

  /** Puts pieces, from a size on, into what is left of a bar. */
  private look(bar: number, from: number, room: number, spare: number, taken: number[], found: Filling[]): void {
    const { left, random } = this
    const { sizes, may } = this.lengths
    for (let s = atMost(sizes, room, from); s < sizes.length; s++) {
      const rest = room - sizes[s]!
      if (rest > spare + SAME && rest < this.shortest - SAME) {
        // too much for this piece alone, too little for one more: go on to what leaves room for two
        s = atMost(sizes, room - this.shortest, s) - 1
        continue
      }
      if (left[s] === 0 || !may[s]![bar]) continue
      if (found.length >= FILLINGS || this.looks-- <= 0) return
      if (this.skip > 0 && random() < this.skip) continue
      taken.push(s)
      left[s]!--
      if (rest <= spare + SAME) found.push({ sizes: [...taken], waste: rest })
      if (rest >= this.shortest - SAME) this.look(bar, s, rest, spare, taken, found)
      left[s]!++
      taken.pop()
    }
  }
}

/** The first size, from one on, that is no longer than told; they fall. */
function atMost(sizes: readonly number[], longest: number, from: number): number {
  return from + firstWhere(sizes.length - from, (i) => sizes[from + i]! <= longest + SAME)
}
