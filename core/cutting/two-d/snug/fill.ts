import type { FullSheet } from '../build-up'
import { areaOfAll, type Problem } from '../sheets'
import type { Play } from './blocks'
import { without } from '../rest'
import { cover, type Spent } from './cover'
import { Filling, type Tries } from './filling'
import { fullSheet } from './full'
import { Pool } from './pool'
import { SnugSheets, type Reach as SheetsReach } from './sheets'

/** How far it goes. */
export interface Reach extends SheetsReach {
  /** How many times a sheet is chosen. */
  readonly nodes: number
  /** How often what a set of sheets leaves is looked through, where those chosen leave some; else that is not done. */
  readonly tries?: Tries
}

/** Below this part of a sheet's area a plan wastes nothing at all, and sizes agree or don't. */
const NOTHING = 1e-6

/** Nothing is wasted. */
export const EXACTLY: Play = { share: 0, most: 1 }

/**
 * Where more than this part may be wasted, sides that nearly agree are too many to tell anything; the more pieces there are in
 * a sheet the sooner: a part for each of them.
 */
export const TOO_MUCH = 0.02
const TOO_MUCH_EACH = 0.15

/** Of full sheets that go together in many ways so many are kept: the likeliest. */
const KEPT = 2000

/** What sets of sheets leave is looked through for so many blocks and sheets. */
const WORK = 100_000

/** A sheet may waste so many times what sheets do on average. */
const MORE_THAN_OTHERS = 2

/**
 * What one sheet may waste, mm².
 * @param slack what may be wasted in all, mm²
 * @param sheets how many sheets there are, by area
 */
export const oneMayWaste = (slack: number, sheets: number): number => slack * Math.min(1, MORE_THAN_OTHERS / sheets)

/**
 * What blocks may waste where the sheets of a plan may waste some area in all; null where that is so much that it is no use.
 * @param slack what may be wasted in all, mm²
 * @param room the area of the sheets, mm²
 * @param times how many times the share of all a block may waste
 */
export function playFor(problem: Problem, slack: number, room: number, times: number): Play | null {
  const largest = Math.max(...problem.sheets.map((s) => s.area))
  if (slack < NOTHING * largest) return EXACTLY
  const sheets = Math.max(1, room / largest)
  const each = problem.pieces.length / sheets
  if (slack > Math.min(TOO_MUCH, TOO_MUCH_EACH / each) * room) return null
  return { share: (times * slack) / room, most: oneMayWaste(slack, sheets) }
}

/**
 * Sheets with little waste that together take every piece, or as much of them as was found: as many as go together of those
 * found from all pieces, then the same from what they left.
 * @param may what all of them may waste and cost, mm²
 */
export function fillSnugly(problem: Problem, play: Play, may: Spent, reach: Reach, over: () => boolean): FullSheet[] {
  const full: FullSheet[] = []
  let { waste, cost } = may
  while (!over()) {
    const { rest } = without(problem, full)
    if (rest.pieces.length === 0) break
    const snug = new SnugSheets(rest, { ...play, most: Math.min(play.most, Math.max(1, waste)) }, reach)
    snug.find(over)
    const left = { waste: waste + 1, cost }
    const chosen = cover(rest, snug.packing, snug.found, left, reach.nodes, over)
    if (chosen.length === 0) break
    let more: readonly FullSheet[] = chosen.map((s) => fullSheet(snug.packing, s))
    if (reach.tries && !takesAll(rest, more)) {
      const pool = new Pool(rest, KEPT)
      pool.add(snug.found)
      const work = { left: WORK }
      const effort = { tries: reach.tries, tried: new Set<string>(), lasts: work, more: work, over }
      const set = new Filling(rest, play, left, effort).filled(pool)
      if (takesAll(rest, set)) more = set
    }
    full.push(...more)
    for (const { waste: lost, sheet } of more) [waste, cost] = [waste - lost, cost - problem.sheets[sheet]!.cost]
  }
  return full
}

const takesAll = (problem: Problem, full: readonly FullSheet[]): boolean =>
  full.reduce((sum, { sheet, waste }) => sum + problem.sheets[sheet]!.area - waste, 0) >= areaOfAll(problem) - 1
