import TinyQueue from 'tinyqueue'
import type { Means } from '../means'
import { FEW_FOR_TWO } from './all-ways'
import type { FullSheet } from './build-up'
import { isForClose, isLittle, littleWaste } from './close/little-waste'
import { fillLastTwo } from './last-two'
import type { Layout } from './layout'
import { holds } from './problem'
import { together, without, type Rest } from './rest'
import { areaOfAll, costOf, roomOf, stockWithin, type Problem, type Sheet } from './sheets'
import { SnugSheets } from './snug/sheets'
import { ofClose, ofSnug, thriftyFirst, type Candidate } from './snug/thrifty'

/** How many sheets are left for `fillLastTwo`. */
const LAST = 2

/**
 * Of what sheets may waste on average a full one wastes this part at first, give or take a third; more, if too few are found, up
 * to so many times. As many as may be are too many: of a hundred small pieces that takes half a second, and a third of that finds
 * better ones where less may be wasted.
 */
const LITTLE = 0.25
const MORE = 1.35
const TOO_FEW = 40
const TRIALS = 6
const LESS = 0.5

/** So many of the full sheets found next are kept, each as a beginning of its own. */
const KEPT = 10

/** In one of so many rounds it is begun anew. */
const ANEW = 4

/** Of so few pieces a sheet all sheets are filled at once as well, each time it is begun anew. */
const FEW_EACH = 8

/** Beginnings that leave as many sheets are gone on with until so many blocks were built: of few pieces there are few blocks. */
const WORK = 1000

/** A block may waste so many times the share that its sheet does. */
const IN_BLOCKS = 2

/** How far full sheets are looked for, and how many rows there are. */
const REACH = { blocks: 1000, rests: 3000, sheets: 2000 }
const ROWS = 1000

/** Where nearly all pieces differ, and sheets are equal: more blocks for the same work, the part at first, and how many are enough. */
const CLOSE_WORK = 20
const CLOSE_LITTLE = 0.25
const CLOSE_ENOUGH = 30

/** Full sheets that were found, and how much work that was: in blocks. */
interface Tried {
  readonly found: readonly Candidate[]
  readonly work: number
}

/** Some sheets that are full, and what they leave. */
interface Begun {
  readonly full: readonly FullSheet[]
  readonly parts: Rest
  /** The sheets that are left. */
  readonly stock: readonly number[]
  /** What they may waste, mm². */
  readonly slack: number
  /** The more may be wasted and the more pieces there are, the likelier they go in: a tenth more of one is about a tenth of the other. */
  readonly worth: number
}

/**
 * Fills sheets one by one with as little waste and as few pieces as may be. So what may be wasted, and many small pieces, are
 * left for the last two. Each round goes on by one sheet with the best beginning of one sheet, with the best of two, and so on,
 * and ends the best of those that leave two sheets; where few pieces are left with more than one. So the last two are ever the
 * best of many (after S. G. Vadlamudi et al., Anytime column search, AI 2012: Advances in Artificial Intelligence).
 */
export class OneByOne {
  /** Beginnings that wait to be gone on with, by how many sheets they leave. */
  private readonly waiting = new Map<number, TinyQueue<Begun>>()
  /** What those leave that were met. */
  private readonly met = new Set<string>()
  /** The part of a sheet that full ones could waste, when so many were left, for enough to be found. */
  private readonly shares = new Map<number, number>()
  /** The part of what sheets may waste that a full one could do at least, for not too many to be found. */
  private little = LITTLE
  private readonly first: Begun
  /** Nearly all pieces differ, there are many in a sheet, and it may waste little. */
  private readonly isClose: boolean
  private rounds = 0

  /** @param limit what the sheets may cost, mm² */
  constructor(
    private readonly problem: Problem,
    private readonly limit: number,
    private readonly means: Means,
  ) {
    this.first = this.begun([])
    const { stock } = this.first
    this.isClose = isForClose(problem, stock) && isLittle(problem, stock)
  }

  /** @returns what goes into its sheets this time; null where there is too much for them, or nothing came of it */
  next(): Layout | null {
    const { first } = this
    if (first.stock.length <= LAST) return this.end(first)
    if (this.rounds++ % ANEW === 0) {
      const atOnce = this.fewEach ? this.end(first) : null
      if (atOnce?.left.length === 0) return atOnce
      this.goOn(first)
    }
    for (let left = first.stock.length - 1; left > LAST; left--) this.goOnWith(left)
    if (this.waiting.get(LAST)?.length) return this.endSome()
    // all were gone on with, or no sheet could be filled: from the start again, and all sheets at once
    this.met.clear()
    this.rounds = 0
    return this.end(first)
  }

  private get fewEach(): boolean {
    return this.problem.pieces.length <= FEW_EACH * this.first.stock.length
  }

  /** Goes on with the best beginnings that leave so many sheets. */
  private goOnWith(left: number): void {
    for (let work = 0; work < WORK && !this.means.over();) {
      const begun = this.best(left)
      if (!begun) return
      work += this.goOn(begun)
    }
  }

  /** Ends the best beginnings: of few pieces more of them, for that is quick. @returns what goes in, or nearly */
  private endSome(): Layout | null {
    let nearest: Layout | null = null
    for (let work = 0; work < 1 && !(nearest && this.means.over());) {
      const last = this.best(LAST)
      if (!last) break
      work += 3 ** Math.min(0, last.parts.rest.pieces.length - FEW_FOR_TWO)
      const plan = this.end(last)
      if (plan?.left.length === 0) return plan
      if (!nearest || (plan && plan.left.length < nearest.left.length)) nearest = plan
    }
    return nearest
  }

  private best(left: number): Begun | undefined {
    return this.waiting.get(left)?.pop()
  }

  private begun(full: readonly FullSheet[]): Begun {
    const all = without(this.problem, full)
    const rest = withoutTooSmall(all.rest)
    const parts = { ...all, rest }
    const stock = stockWithin(rest, this.limitBeside(full))
    const slack = roomOf(rest, stock) - areaOfAll(rest)
    const pieces = rest.pieces.length
    return { full, parts, stock, slack, worth: pieces > 0 ? slack * pieces : Infinity }
  }

  private end({ full, parts }: Begun): Layout | null {
    const nothing = { laid: [], left: [], cost: 0 }
    if (parts.rest.pieces.length === 0) return together(this.problem, full, parts, nothing)
    const plan = fillLastTwo(parts.rest, this.limitBeside(full), this.means)
    return plan && together(this.problem, full, parts, plan)
  }

  /** Looks for full sheets in what is left, and keeps the best of them. @returns how many blocks were built for it */
  private goOn({ full, parts: { rest }, stock, slack }: Begun): number {
    if (slack < 0 || rest.pieces.length === 0 || this.means.over()) return 0
    const sheets = rest.sheets.map((s, i) => ({ ...s, count: stock.filter((at) => at === i).length }))
    const now = { ...rest, sheets }
    const { found, work } = this.isClose
      ? this.closely(now, stock[0]!, slack, stock.length)
      : this.littleWaste(now, slack / roomOf(rest, stock), stock.length)
    let kept = 0
    for (const one of thriftyFirst(found, rest, slack)) {
      if (kept === KEPT) break
      if (this.keep(this.begun([...full, one.sheet()]))) kept++
    }
    return work
  }

  /** @returns whether it is new */
  private keep(begun: Begun): boolean {
    const { slack, parts, stock } = begun
    const leaves = parts.rest.pieces.join()
    if (slack < 0 || this.met.has(leaves)) return false
    this.met.add(leaves)
    const left = Math.max(stock.length, LAST)
    const queue = this.waiting.get(left) ?? new TinyQueue<Begun>([], (a, b) => b.worth - a.worth)
    this.waiting.set(left, queue)
    queue.push(begun)
    return true
  }

  /** Full sheets of one kind, all but equal pieces being told apart. */
  private closely(rest: Problem, kind: number, slack: number, left: number): Tried {
    const { random } = this.means
    const { area } = rest.sheets[kind]!
    const first = Math.max((slack * CLOSE_LITTLE) / left, ((this.shares.get(left) ?? 0) * area) / MORE)
    const { sheets, most, built } = littleWaste(
      rest,
      kind,
      [first * (0.8 + 0.4 * random()), slack],
      CLOSE_ENOUGH,
      this.means,
    )
    this.shares.set(left, most / area)
    return { found: ofClose(sheets), work: built / CLOSE_WORK }
  }

  /** Full sheets with little waste, more being allowed by and by. */
  private littleWaste(rest: Problem, slack: number, left: number): Tried {
    const { random, over } = this.means
    const largest = Math.max(...rest.sheets.map((s) => (s.count > 0 ? s.area : 0)))
    let share = Math.max(slack * this.little, (this.shares.get(left) ?? 0) / MORE) * (0.7 + 0.6 * random())
    for (let trial = 1, built = 0; ; trial++, share *= MORE) {
      const play = { share: IN_BLOCKS * share, most: share * largest, evenly: true }
      const snug = new SnugSheets(rest, play, { ...REACH, rows: { most: ROWS, share } })
      snug.find(over)
      const found = snug.found.length
      built += snug.built
      if (found < TOO_FEW && (found === 0 || share <= slack) && trial < TRIALS && !over()) continue
      this.shares.set(left, share)
      if (found >= REACH.sheets) this.little *= LESS
      else if (trial > 1) this.little = Math.min(LITTLE, this.little * MORE)
      return { found: ofSnug(snug), work: built }
    }
  }

  private limitBeside(full: readonly FullSheet[]): number {
    return this.limit - costOf(this.problem, full)
  }
}

/** The same without the sheets that none of the pieces goes into. */
function withoutTooSmall(problem: Problem): Problem {
  const { shapes, pieces } = problem
  const isUsed = (sheet: Sheet): boolean => pieces.some((p) => holds(sheet, shapes[p]!))
  return { ...problem, sheets: problem.sheets.map((s) => (isUsed(s) ? s : { ...s, count: 0 })) }
}
