import type { Means } from '../../means'
import { AllWays, FEW_FOR_TWO } from '../all-ways'
import type { Lying } from '../blocks'
import type { Layout } from '../layout'
import { together, without } from '../rest'
import { areaOfAll, type Problem } from '../sheets'
import { lastByTrees } from '../slicing/cooled'
import { ofClose, thriftyFirst, type Candidate } from '../snug/thrifty'
import { CloseSheets } from './full'
import { CloseLast } from './last-one'
import { littleWaste } from './little-waste'

/**
 * Of what both may waste one does this part at first, give or take a fifth, and more until so many full sheets are found, up to a
 * last part: one of the two wastes no more than half. With so many of them, the thriftiest, it is tried to fill the other.
 */
const LITTLE = 0.2
const MOST = 0.6
const ENOUGH = 40
const TRIES = 60

/**
 * Of no more pieces than these ever so many full sheets are tried then, that waste up to about half: the other may waste little more.
 * With one of a thousand all others go into it, which all ways tell in a few ms.
 */
const FEW = 32
const MANY = 1000
const HALF = 0.55

/** A block of those may waste this part of what it takes, in parts of what a sheet does on average, and so much besides, in the same. */
const SHARE = 1.2
const BASE = 0.02

/** How far those are looked for. */
const EFFORT = { blocks: 40_000, laid: 1_000_000, looks: 30_000_000, sheets: 10_000 }

/** Fills a sheet with all pieces that are left; null where no way was found. */
type Fill = (rest: Problem) => readonly Lying[] | null

/** Fills the last two sheets, equal ones, with pieces nearly all of which differ: one by close blocks, then the other. */
export class CloseTwo {
  private readonly allWays = new AllWays(undefined, FEW_FOR_TWO)
  private readonly lastOne = new CloseLast(this.allWays)
  private readonly area: number
  private readonly slack: number

  /** @param kind of the sheets, @param limit what both may cost, mm² */
  constructor(
    private readonly problem: Problem,
    private readonly kind: number,
    private readonly limit: number,
    private readonly means: Means,
  ) {
    this.area = problem.sheets[kind]!.area
    this.slack = 2 * this.area - areaOfAll(problem)
  }

  /** @returns the plan with all pieces; null where no way was found */
  fill(): Layout | null {
    const { problem, kind, slack, means } = this
    const first = slack * LITTLE * (0.8 + 0.4 * means.random())
    const { sheets } = littleWaste(problem, kind, [first, slack * MOST], ENOUGH, means)
    const plan = this.beside(this.thrifty(sheets).slice(0, TRIES), (rest) => this.lastOne.fill(rest, kind, means.over))
    return plan || problem.pieces.length > FEW ? plan : this.besideMany()
  }

  /** The same with many more full sheets, such as leave no more pieces than all ways are for. */
  private besideMany(): Layout | null {
    const { problem, kind, slack, area, means } = this
    const average = slack / 2
    const may = { share: (SHARE * average) / area, base: BASE * average, most: HALF * slack }
    const sheets = new CloseSheets(problem, kind, may, { ...EFFORT, over: means.over })
    sheets.find()
    const most = problem.pieces.length - FEW_FOR_TWO
    const many = this.thrifty(sheets).filter(({ pieces }) => pieces >= most)
    return this.beside(many.slice(0, MANY), (rest) => this.allWays.fill(rest, problem.sheets[kind]!, means.over))
  }

  private thrifty(sheets: CloseSheets): Candidate[] {
    return thriftyFirst(ofClose(sheets), this.problem, this.slack)
  }

  /** Tries some full sheets one after the other. @param fill fills the other sheet with what one leaves */
  private beside(some: readonly Candidate[], fill: Fill): Layout | null {
    const { problem, kind, limit, means } = this
    const { cost } = problem.sheets[kind]!
    for (const one of some) {
      if (means.over()) return null
      const full = [one.sheet()]
      const parts = without(problem, full)
      const byTrees = lastByTrees(parts.rest, kind, limit - cost, means)
      if (byTrees?.left.length === 0) return together(problem, full, parts, byTrees)
      const lying = fill(parts.rest)
      if (lying) return together(problem, full, parts, { laid: [{ sheet: kind, lying }], left: [], cost })
    }
    return null
  }
}
