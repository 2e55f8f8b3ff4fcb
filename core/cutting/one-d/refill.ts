import { SAME } from '../instance'
import { below, shuffle, type Random } from '../random'
import type { BarsCut } from './first-fit'
import { fullest, MOST } from './fullest'
import { costOfPatterns, type Lengths, type Pattern } from './lengths'

/** How many bars are emptied and filled anew in one move. */
const EMPTIED = [2, 2, 3, 3, 4, 5]

/** How many moves back the plan is that a new one has to be as good as. */
const HISTORY = 40

/** A bar that is cut, and the size of each of its pieces. */
interface Cut {
  readonly bar: number
  readonly pieces: readonly number[]
}

/**
 * Looks for a plan that costs no more than a limit: some bars are emptied, and filled one after the other as full as
 * their pieces and those without a place allow. Late acceptance on the length without a place.
 */
export class RefillBars {
  private now: readonly Cut[]
  private left: readonly number[]
  private lacking: number
  private least: number
  private readonly late: number[]
  private move = 0
  best: BarsCut

  constructor(
    private readonly lengths: Lengths,
    private readonly limit: number,
    from: BarsCut,
    private readonly random: Random,
  ) {
    const { now, left } = this.within(from)
    this.now = now
    this.left = left
    this.lacking = this.length(left)
    this.best = this.told()
    this.least = this.lacking
    this.late = new Array<number>(HISTORY).fill(this.lacking)
  }

  /** Some moves, fewer when the clock says so. @returns whether everything has a place now */
  run(moves: number, over: () => boolean): boolean {
    for (let i = 0; i < moves && this.least > SAME; i++) {
      if ((i & 15) === 0 && over()) break
      this.next()
    }
    return this.least <= SAME
  }

  private next(): void {
    const { random } = this
    const kept = [...this.now]
    const emptied: number[] = []
    const pool = [...this.left]
    for (let n = EMPTIED[below(random, EMPTIED.length)]!; n > 0 && kept.length > 0; n--) {
      const [out] = kept.splice(below(random, kept.length), 1)
      emptied.push(out!.bar)
      pool.push(...out!.pieces)
    }
    for (const bar of emptied) {
      kept.push({ bar, pieces: this.filled(bar, pool) })
    }
    const lacking = this.length(pool)
    const slot = this.move++ % HISTORY
    if (lacking <= this.lacking + SAME || lacking <= this.late[slot]!) {
      this.now = kept
      this.left = pool
      this.lacking = lacking
      if (lacking < this.least - SAME) {
        this.least = lacking
        this.best = this.told()
      }
    }
    this.late[slot] = this.lacking
  }

  /** Takes the pieces that fill a bar out of the pool, which is shuffled. */
  private filled(bar: number, pool: number[]): number[] {
    const { lengths, random } = this
    shuffle(random, pool)
    const may = pool.flatMap((size, at) => (lengths.may[size]![bar]! ? [at] : [])).slice(0, MOST)
    const sizes = may.map((at) => lengths.sizes[pool[at]!]!)
    const taken = fullest(sizes, lengths.bars[bar]!.length + SAME)
    const out = new Set(may.filter((_, i) => taken[i]))
    const pieces = pool.filter((_, at) => out.has(at))
    const rest = pool.filter((_, at) => !out.has(at))
    pool.splice(0, pool.length, ...rest)
    return pieces
  }

  /** A plan made cheap enough and as many bars as the limit pays for; what the bars given up held is left. */
  private within(from: BarsCut): { now: Cut[]; left: number[] } {
    const { bars } = this.lengths
    const pieces = (counts: readonly number[]): number[] =>
      counts.flatMap((n, size) => Array.from({ length: n }, () => size))
    const now = from.patterns.map((p): Cut => ({ bar: p.bar, pieces: pieces(p.counts) }))
    const left = pieces(from.left)
    let cost = costOfPatterns(this.lengths, from.patterns)
    while (cost > this.limit) {
      const at = now.findLastIndex((c) => bars[c.bar]!.cost > 0)
      const [given] = now.splice(at, 1)
      left.push(...given!.pieces)
      cost -= bars[given!.bar]!.cost
    }
    bars.forEach((b, bar) => {
      const free = b.count - now.filter((c) => c.bar === bar).length
      for (let i = 0; i < Math.min(free, left.length) && cost + b.cost <= this.limit; i++) {
        now.push({ bar, pieces: [] })
        cost += b.cost
      }
    })
    return { now, left }
  }

  private told(): BarsCut {
    const counts = (pieces: readonly number[]): number[] => {
      const n = this.lengths.sizes.map(() => 0)
      for (const p of pieces) n[p]!++
      return n
    }
    const used = this.now.filter((c) => c.pieces.length > 0)
    return {
      patterns: used.map(({ bar, pieces }): Pattern => ({ bar, counts: counts(pieces) })),
      left: counts(this.left),
    }
  }

  private readonly length = (pieces: readonly number[]): number =>
    pieces.reduce((sum, p) => sum + this.lengths.sizes[p]!, 0)
}
