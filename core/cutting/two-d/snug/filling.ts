import type { FullSheet } from '../build-up'
import { without } from '../rest'
import { areaOfAll, type Problem } from '../sheets'
import { WIDEST_STEP, type Play } from './blocks'
import type { Spent } from './cover'
import { fullSheet } from './full'
import { goTogether, type Together } from './go-together'
import { byAgreement, Pool, type Agreement } from './pool'
import { SnugSheets, type Reach } from './sheets'

/** How many times a piece is given a sheet or left, where one sheet may be left, and where more; fewer in what a set leaves. */
const NODES = { last: 100_000, more: 20_000 }
const NODES_WITHIN = { last: 10_000, more: 3000 }

/** Of sets that leave so many sheets only those of the full sheets whose sides differ least are gone through. */
const AMONG = [Infinity, Infinity, 300, 100]

/** How far full sheets are looked for in what leaves one sheet, and in what leaves more: there are few pieces then. */
const LAST: Reach = { blocks: 2000, rests: 2000, sheets: 1 }
const MORE: Reach = { blocks: 4000, rests: 4000, sheets: 1000 }

/** The same for the last one where it may have a hole: then not the first that is found takes all. */
const LAST_WITH_HOLE: Reach = { blocks: 2000, rests: 5000, sheets: 5000 }

/**
 * How much larger the step is for them at first, and from one time to the next; so many times, but for the first sets as long as
 * blocks are few: where few pieces shrank, those that are left shrank by far more than all did on average.
 */
const LAST_STEP = 1.4
const MORE_STEP = 1.2
const WIDER = 1.4
const TIMES = 3
const FIRST_SETS = 2

/** How often what a set leaves is looked through: where that is one sheet, and where it is two, three and so on. */
export interface Tries {
  readonly lasts: number
  readonly more: readonly number[]
}

const WITHIN: Tries = { lasts: 30, more: [3, 2, 1] }

/** How many blocks and sheets may yet be made. */
export interface Work {
  left: number
}

/** How far what sets leave is looked through. */
export interface Effort {
  readonly tries: Tries
  /** What is left by sets that were looked through: it isn't again. */
  readonly tried: Set<string>
  /** For last sheets, and for more than one. */
  readonly lasts: Work
  readonly more: Work
  readonly over: () => boolean
}

/**
 * Sheets that go together, and that take every piece or as much as was found. What sets of full sheets leave, of one sheet, of
 * two and so on, is looked through as if there were nothing else: of sets that leave as many those first whose sides differ least.
 */
export class Filling {
  private readonly nodes: typeof NODES

  /**
   * @param may what sheets may waste and cost in all, mm²
   * @param within whether it is itself what a set of full sheets leaves: then fewer sets are gone through
   */
  constructor(
    private readonly problem: Problem,
    private readonly play: Play,
    private readonly may: Spent,
    private readonly effort: Effort,
    within = false,
  ) {
    this.nodes = within ? NODES_WITHIN : NODES
  }

  /**
   * @param pool the full sheets found
   * @returns full sheets that take every piece, or as much of them as was found
   */
  filled(pool: Pool): readonly FullSheet[] {
    const { tries, more, lasts, over } = this.effort
    const full = (set: Together): FullSheet[] => set.sheets.map((s) => fullSheet(pool.packing, s))
    const { best: first, sets: ones } = this.openSets(pool, 1, this.nodes.last)
    if (first.rest < 1) return full(first)
    for (const [set, times] of this.untried(ones, tries.lasts)) {
      if (over() || lasts.left <= 0) break
      const last = this.lastOf(without(this.problem, full(set)).rest, set.left, times)
      if (last) return [...full(set), last]
    }
    let [best, least] = [full(first), first.rest]
    for (const [i, most] of tries.more.entries()) {
      if (over() || more.left <= 0) return best
      const { sets } = this.openSets(pool, i + 2, this.nodes.more)
      for (const [set, times] of this.untried(sets, most)) {
        if (over() || more.left <= 0) return best
        const found = this.moreOf(without(this.problem, full(set)).rest, set.left, times)
        const rest = set.rest - areaIn(this.problem, found)
        if (rest < least) [best, least] = [[...full(set), ...found], rest]
        if (least < 1) return best
      }
    }
    return best
  }

  /**
   * Sets that leave no more than so many sheets, one for all that leave the same pieces, those first whose sides differ least;
   * and of all sets the one that leaves least.
   */
  private openSets(pool: Pool, sheets: number, nodes: number): { sets: readonly Together[]; best: Together } {
    const { problem, may, effort } = this
    const area = sheets * Math.max(...problem.sheets.map((s) => s.area))
    const byRest = new Map<string, Together & Agreement>()
    const among = pool.best(AMONG[sheets - 1]!)
    const best = goTogether(problem, pool.packing, among, may, { area, nodes, over: effort.over }, (set) => {
      const uneven = set.sheets.reduce((sum, s) => sum + s.uneven, 0)
      const chance = set.sheets.reduce((sum, s) => sum + s.chance, 0)
      const name = set.holds.join()
      const same = byRest.get(name)
      const agreed = { ...set, sheets: [...set.sheets], uneven, chance }
      if (!same || byAgreement(agreed, same) < 0) byRest.set(name, agreed)
      return set.rest < 1
    })
    return { sets: [...byRest.values()].sort(byAgreement), best }
  }

  /**
   * The first of the sets that leave what was not looked through yet, and with how many steps to do so; asked for the next one,
   * it was.
   */
  private *untried(sets: readonly Together[], most: number): Generator<readonly [Together, times: number]> {
    const { tried } = this.effort
    let count = 0
    for (const set of sets) {
      const name = set.holds.join()
      if (set.sheets.length === 0 || tried.has(name)) continue
      if (count === most) return
      yield [set, count++ < FIRST_SETS ? Infinity : TIMES]
      tried.add(name)
    }
  }

  /** One sheet that takes all there is. */
  private lastOf(rest: Problem, left: Spent, times: number): FullSheet | null {
    const sheets = rest.sheets.map((s) => (s.cost <= left.cost + 1 ? s : { ...s, count: 0 }))
    const area = areaOfAll(rest)
    for (const play of this.wider(LAST_STEP, times)) {
      const reach = play.hole === undefined ? LAST : LAST_WITH_HOLE
      const snug = new SnugSheets({ ...rest, sheets }, allowing(play, left), reach)
      snug.find(this.effort.over)
      this.effort.lasts.left -= snug.built
      const all = snug.found.find(({ sheet, waste }) => sheets[sheet]!.area - waste >= area - 1)
      if (all) return fullSheet(snug.packing, all)
      if (snug.built >= reach.blocks) break
    }
    return null
  }

  /** Some sheets that take all there is, or as much as was found. */
  private moreOf(rest: Problem, left: Spent, times: number): readonly FullSheet[] {
    const { more, over } = this.effort
    const pool = new Pool(rest)
    const effort: Effort = { tries: WITHIN, tried: new Set(), lasts: more, more, over }
    let best: readonly FullSheet[] = []
    for (const play of this.wider(MORE_STEP, times)) {
      const snug = new SnugSheets(rest, allowing(play, left), MORE)
      snug.find(over)
      more.left -= snug.built + snug.found.length
      pool.add(snug.found)
      const full = new Filling(rest, play, left, effort, true).filled(pool)
      if (areaIn(rest, full) > areaIn(rest, best)) best = full
      if (areaIn(rest, best) >= areaOfAll(rest) - 1 || over() || more.left <= 0) break
      if (snug.built >= MORE.blocks) break
    }
    return best
  }

  /** The same with larger and larger steps, so many times at most, where there are steps. */
  private *wider(first: number, times: number): Generator<Play> {
    const { step, ...play } = this.play
    if (step === undefined) yield play
    else
      for (let time = 0, wide = step * first; time < times && wide <= WIDEST_STEP; time++, wide *= WIDER)
        yield { ...play, step: wide }
  }
}

/** That all that may yet be wasted is wasted in one sheet, in a hole if there may be one. */
const allowing = (play: Play, { waste }: Spent): Play =>
  play.hole === undefined ? { ...play, most: waste } : { ...play, hole: waste }

/** Area of the pieces in some full sheets, mm². */
const areaIn = ({ sheets }: Problem, full: readonly FullSheet[]): number =>
  full.reduce((sum, { sheet, waste }) => sum + sheets[sheet]!.area - waste, 0)
