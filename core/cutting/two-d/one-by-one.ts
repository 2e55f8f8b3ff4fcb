import type { Means } from '../means'
import { below } from '../random'
import type { FullSheet } from './build-up'
import { fillLastTwo } from './last-two'
import type { Layout } from './layout'
import { together, without } from './rest'
import { areaOfAll, stockWithin, type Problem } from './sheets'
import { fullSheet } from './snug/full'
import { SnugSheets, type SnugSheet } from './snug/sheets'
import { thriftyFirst } from './snug/thrifty'

/** How many sheets are left for `fillLastTwo`. */
const LAST = 2

/** How many sheets are taken of those found together. */
const TOGETHER = 2

/**
 * Of what sheets may waste on average a full one wastes this part at first, give or take a third; more, if too few are found, up
 * to so many times.
 */
const LITTLE = 0.25
const MORE = 1.35
const TOO_FEW = 40
const TRIALS = 6

/** One of so many of the best is taken. */
const BEST = 10

/** A block may waste so many times the share that its sheet does. */
const IN_BLOCKS = 2

/** How far full sheets are looked for, and how many rows there are. */
const REACH = { blocks: 1000, rests: 3000, sheets: 2000 }
const ROWS = 1000

/** Some sheets that are full, and full sheets found for what they leave. */
interface Stage {
  readonly full: readonly FullSheet[]
  readonly snug: SnugSheets
  /** The full sheets found, those that waste least with the fewest pieces first. */
  readonly found: readonly SnugSheet[]
  /** The sheets that are left. */
  readonly stock: readonly number[]
}

/**
 * Fills sheets one by one with as little waste and as few pieces as may be. So what may be wasted, and many small pieces, are
 * left for the last two. When they don't all go in, it goes back some way.
 */
export class OneByOne {
  private readonly stages: Stage[] = []
  /** The part of a sheet that full ones could waste, when so many were left, for enough to be found. */
  private readonly shares = new Map<number, number>()

  /** @param limit what the sheets may cost, mm² */
  constructor(
    private readonly problem: Problem,
    private readonly limit: number,
    private readonly means: Means,
  ) {}

  /** @returns what goes into its sheets this time; null where there is too much for them, or nothing came of it */
  next(): Layout | null {
    const { problem, means, stages } = this
    stages.length = below(means.random, stages.length + 1)
    let full = stages.length > 0 ? this.another(stages.at(-1)!) : []
    let parts = without(problem, full)
    for (let stage = this.stage(full, parts.rest); stage; stage = this.stage(full, parts.rest)) {
      stages.push(stage)
      full = this.another(stage)
      parts = without(problem, full)
    }
    const plan = fillLastTwo(parts.rest, this.limitBeside(full), means)
    return plan && together(problem, full, parts, plan)
  }

  /** Looks for full sheets; null when only the last ones are left, or when none are found. */
  private stage(full: readonly FullSheet[], rest: Problem): Stage | null {
    const stock = stockWithin(rest, this.limitBeside(full))
    const room = stock.reduce((sum, s) => sum + rest.sheets[s]!.area, 0)
    const slack = room - areaOfAll(rest)
    if (stock.length <= LAST || slack < 0 || rest.pieces.length === 0) return null
    const sheets = rest.sheets.map((s, i) => ({ ...s, count: stock.filter((at) => at === i).length }))
    const snug = this.littleWaste({ ...rest, sheets }, slack / room, stock.length)
    const found = thriftyFirst(snug, rest, slack)
    return found.length > 0 ? { full, snug, found, stock } : null
  }

  /** Full sheets with little waste, more being allowed by and by. */
  private littleWaste(rest: Problem, slack: number, left: number): SnugSheets {
    const { random, over } = this.means
    const largest = Math.max(...rest.sheets.map((s) => (s.count > 0 ? s.area : 0)))
    let share = Math.max(slack * LITTLE, (this.shares.get(left) ?? 0) / MORE) * (0.7 + 0.6 * random())
    for (let trial = 1; ; trial++, share *= MORE) {
      const play = { share: IN_BLOCKS * share, most: share * largest, evenly: true }
      const snug = new SnugSheets(rest, play, { ...REACH, rows: { most: ROWS, share } })
      snug.find(over)
      const found = snug.found.length
      if (found < TOO_FEW && (found === 0 || share <= slack) && trial < TRIALS && !over()) continue
      this.shares.set(left, share)
      return snug
    }
  }

  /** The full sheets of a stage and some of those found, such as go together; the last ones are left. */
  private another({ full, snug, found, stock }: Stage): FullSheet[] {
    const { random } = this.means
    const { packing } = snug
    const more: SnugSheet[] = []
    let held = packing.none()
    let open = found
    while (open.length > 0 && more.length < Math.min(TOGETHER, stock.length - LAST)) {
      const one = open[Math.floor(random() ** 2 * Math.min(BEST, open.length))]!
      more.push(one)
      held = packing.sum(held, one.holds)
      const isThere = (sheet: number): boolean =>
        more.filter((m) => m.sheet === sheet).length < stock.filter((s) => s === sheet).length
      open = open.filter((s) => isThere(s.sheet) && packing.both(held, s.holds))
    }
    return [...full, ...more.map((s) => fullSheet(packing, s))]
  }

  private limitBeside(full: readonly FullSheet[]): number {
    return this.limit - full.reduce((sum, f) => sum + this.problem.sheets[f.sheet]!.cost, 0)
  }
}
