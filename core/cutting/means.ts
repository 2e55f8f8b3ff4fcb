import type { LinearSolver } from './linear-program'
import type { Random } from './random'

/** How many searches can go on beside the first one such that each begins elsewhere. */
export const MOST_BESIDE = 3

/** What a search may use. */
export interface Means {
  readonly random: Random
  /** Whether the time is up. */
  readonly over: () => boolean
  /** Seconds until then; Infinity without a clock. */
  readonly secondsLeft: () => number
  /** Rounds of the search at most. */
  readonly rounds: number
  readonly solver: LinearSolver | null
  /**
   * Which of the searches beside the first one for the same plan it is, from 1 to `MOST_BESIDE`; left out, or 0, it is the
   * first. Those beside it begin elsewhere, and where a way goes by steps each takes such as lie between those of the others.
   */
  readonly beside?: number
}

/** Whether it is a search beside the first. */
export const isBeside = ({ beside = 0 }: Means): boolean => beside > 0

/**
 * Means with a clock.
 * @param now reads the clock, ms
 * @param end when the time is up on it, ms; Infinity for never
 */
export function meansUntil(
  random: Random,
  rounds: number,
  solver: LinearSolver | null,
  now: () => number,
  end: number,
): Means {
  const secondsLeft = (): number => (end - now()) / 1000
  return { random, rounds, solver, secondsLeft, over: () => secondsLeft() <= 0 }
}
