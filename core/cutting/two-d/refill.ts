import type { FullSheet } from './build-up'
import { below, type Random } from '../random'
import { layoutOf, type Laid, type Layout } from './layout'
import { fillSnugly } from './snug/fill'
import type { FullSheets } from './full-sheets'
import { peel } from './peel'
import { renamed, together, without } from './rest'
import { LimitSearch } from './search'
import { areaOf, costOf, type Problem } from './sheets'

/** How many sheets are emptied and filled anew in one move. */
const EMPTIED = [2, 2, 3, 3, 4, 6]

/** How many pairs of blocks are looked at for one sheet: mostly few, at times many. */
const PAIRS = [10_000, 20_000, 50_000, 100_000, 300_000]

/** With so many full sheets to choose from no more are looked for. */
const ENOUGH = [1, 4, 16, 64, 256]

/** How often, where next to nothing may be wasted, sheets are filled from such blocks, and how far these are built. */
const SNUGLY = 0.7
const TIGHT_REACH = { blocks: 3000, rests: 10_000, sheets: 5000, nodes: 300 }
const SNUG_REACH = { blocks: 1000, rests: 2000, sheets: 500, nodes: 300 }

/** With some waste that is quick for so many sheets at once. */
const AT_ONCE = 3

/** Steps for what full sheets leave. */
const REST = 400

/** How many moves back the plan is that a new one has to be as good as. */
const HISTORY = 12

/** The least share of their waste that emptied sheets may have again. */
const AGAIN = 0.3

/**
 * Looks for a plan that costs no more than a limit: some sheets, rather the wasteful ones, are emptied and filled to
 * the brim one after the other from what they held and what had no place. Late acceptance on the area without a place.
 */
export class Refill {
  private now: Layout
  private lacking: number
  best: Layout
  /** Area without a place in the best plan, mm². */
  least: number
  private readonly late: number[]
  private move = 0

  constructor(
    private readonly problem: Problem,
    private readonly limit: number,
    from: Layout,
    private readonly random: Random,
    private readonly over: () => boolean,
    private readonly found: (full: FullSheet) => void,
    private readonly snug: Pick<FullSheets, 'play' | 'slack'>,
  ) {
    this.now = within(problem, from, limit)
    this.lacking = areaOf(this.problem, this.now.left)
    this.best = this.now
    this.least = this.lacking
    this.late = new Array<number>(HISTORY).fill(Infinity)
  }

  /** One move. @returns whether everything has a place now */
  next(): boolean {
    this.take(this.refilled())
    return this.least === 0
  }

  /** Goes on from another plan if it leaves no more. */
  offer(plan: Layout): void {
    if (areaOf(this.problem, plan.left) <= this.lacking) this.take(plan)
  }

  private take(found: Layout): void {
    const lacking = areaOf(this.problem, found.left)
    const slot = this.move++ % HISTORY
    if (lacking <= this.lacking || lacking <= this.late[slot]!) {
      this.now = found
      this.lacking = lacking
      if (lacking < this.least) {
        this.best = found
        this.least = lacking
      }
    }
    this.late[slot] = this.lacking
  }

  private refilled(): Layout {
    const { random } = this
    const kept = [...this.now.laid]
    const emptied = this.chosen(kept)
    const pieces = [...this.now.left, ...emptied.flatMap((l) => l.lying.map((p) => p.piece))]
    const open = this.opened(kept, pieces)
    const wasted = emptied.reduce((sum, l) => sum + this.wasteOf(l), 0)
    const spare = Math.max(wasted - areaOf(this.problem, this.now.left), AGAIN * random() * wasted)
    const limit = this.limit - costOf(this.problem, kept)
    const full = this.snugly(open, emptied.length, limit) ?? this.peeled(open, spare, limit)
    const parts = without(open, full)
    const search = new LimitSearch(parts.rest, limit - costOf(this.problem, full), random)
    search.run({ over: this.over, steps: REST })
    const anew = renamed(together(open, full, parts, layoutOf(parts.rest, search.best)), pieces)
    return { laid: [...kept, ...anew.laid], left: anew.left, cost: costOf(this.problem, kept) + anew.cost }
  }

  /** By sheets with next to no waste, where no more may be wasted; else, and at times even so, null. */
  private snugly(open: Problem, sheets: number, limit: number): FullSheet[] | null {
    const { random, snug } = this
    const play = snug.play(1 + 3 * random())
    if (!play || random() > SNUGLY || (play.share > 0 && sheets > AT_ONCE)) return null
    const reach = play.share > 0 ? SNUG_REACH : TIGHT_REACH
    return fillSnugly(open, play, { waste: snug.slack, cost: limit }, reach, this.over)
  }

  private peeled(open: Problem, spare: number, limit: number): FullSheet[] {
    const { random } = this
    const looks = { pairs: PAIRS[below(random, PAIRS.length)]!, enough: ENOUGH[below(random, ENOUGH.length)]! }
    return peel(open, spare, limit, looks, random, this.over, this.found)
  }

  /** Takes the sheets to be emptied out of `kept`. */
  private chosen(kept: Laid[]): Laid[] {
    const { random } = this
    const wanted = EMPTIED[below(random, EMPTIED.length)]!
    const total = kept.reduce((sum, l) => sum + this.wasteOf(l), 0)
    const key = (l: Laid): number => random() * (this.wasteOf(l) + total / Math.max(1, kept.length))
    const order = kept.map((l): [number, Laid] => [key(l), l]).sort((a, b) => b[0] - a[0])
    const emptied = order.slice(0, wanted).map(([, l]) => l)
    for (const l of emptied) kept.splice(kept.indexOf(l), 1)
    return emptied
  }

  /** The problem of some pieces and what stock is free beside what is kept. */
  private opened(kept: readonly Laid[], pieces: readonly number[]): Problem {
    const { shapes, sheets } = this.problem
    return {
      shapes,
      sheets: sheets.map((s, i) => ({ ...s, count: s.count - kept.filter((l) => l.sheet === i).length })),
      pieces: pieces.map((p) => this.problem.pieces[p]!),
    }
  }

  private readonly wasteOf = (laid: Laid): number =>
    this.problem.sheets[laid.sheet]!.area -
    areaOf(
      this.problem,
      laid.lying.map((p) => p.piece),
    )
}

/** A plan made cheap enough: the sheets that waste most are given up, what they held is left. */
function within(problem: Problem, from: Layout, limit: number): Layout {
  const filled = (l: Laid): number =>
    areaOf(
      problem,
      l.lying.map((p) => p.piece),
    ) / problem.sheets[l.sheet]!.area
  const laid = [...from.laid].sort((a, b) => filled(b) - filled(a))
  const left = [...from.left]
  let cost = from.cost
  while (cost > limit) {
    const at = laid.findLastIndex((l) => problem.sheets[l.sheet]!.cost > 0)
    const [given] = laid.splice(at, 1)
    left.push(...given!.lying.map((p) => p.piece))
    cost -= problem.sheets[given!.sheet]!.cost
  }
  return { laid, left, cost }
}
