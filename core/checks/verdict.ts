import type { Quantity } from '../working/figure'
import type { Rounding } from '../units/grid'
import type { Change } from './change'

/** `pass`: as it should be; `watch`: can be built, but look; `stop`: don't build it so. */
export type Level = 'pass' | 'watch' | 'stop'

/** A way out that may be tried: what it would be called, and the change it makes. */
export interface Remedy {
  label: string
  change: Change
}

/** What one check finds at one place. */
export interface Verdict {
  /** check and place, such as `web:s1`; the same place keeps its id when a plan changes */
  id: string
  check: string
  title: string
  level: Level
  /** what was found, in the shop's words and units */
  says: string
  /** the figure checked, its limit and the rule, where the check has figures */
  measured?: { value: number; limit: number; sense: 'at least' | 'at most'; quantity: Quantity; print: Rounding }
  /** id of the figure on the trail, which shows the working */
  figure?: string
  limitFigure?: string
  /** seats and board it is about */
  seats: string[]
  board?: string
  /** tool and fields to measure again, where that is the way out */
  measure?: { tool: string; fields: string[] }
  /** changes worth trying, not yet proved */
  candidates: Remedy[]
}

const ORDER: Level[] = ['pass', 'watch', 'stop']

/** The graver of two levels. */
export const worse = (a: Level, b: Level): Level => (ORDER.indexOf(a) >= ORDER.indexOf(b) ? a : b)
export const isGraver = (a: Level, b: Level): boolean => ORDER.indexOf(a) > ORDER.indexOf(b)

/** The gravest level of several verdicts. */
export const worstOf = (verdicts: readonly Verdict[]): Level =>
  verdicts.reduce<Level>((l, v) => worse(l, v.level), 'pass')
