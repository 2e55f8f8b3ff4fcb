import type { Means } from '../../means'
import type { Layout } from '../layout'
import { areaOfAll, stockWithin, type Problem } from '../sheets'
import { SlicingSearch, type Course } from './search'

/** How trees are cooled down for the last sheet. Ten times as many steps fill hardly more, and other pieces are another chance. */
const SHORT: Course = { heat: 0.09, steps: 1500, part: 500 }

/**
 * How far pieces may reach over after each third of it, in parts of the sheet. Of those that went in nineteen of twenty reached
 * over less, with 10 to 17 pieces, and three of four with 20; of the others about half reached over more after one third, and
 * three quarters after two.
 */
const HOPEFUL = [0.025, 0.007]

/** A last sheet that may waste less than this part of its area is not tried by trees: others fill one in a second, they take fifteen. */
const FOR_TREES = 0.06

/**
 * What trees get into the sheets in one run.
 * @param limit what the sheets may cost, mm², @param course how trees are cooled down
 * @param hopeful how far pieces may reach over from stop to stop for it to go on, in parts of the largest of these sheets
 * @returns null where there is too much for the sheets, or it was given up
 */
export function cooled(
  problem: Problem,
  limit: number,
  means: Means,
  course: Course,
  hopeful: readonly number[] = [],
): Layout | null {
  const trees = new SlicingSearch(problem, limit, means, course)
  const largest = Math.max(...stockWithin(problem, limit).map((s) => problem.sheets[s]!.area))
  for (let stop = 0; trees.goes; stop++) {
    const plan = trees.next()
    if (plan) return plan
    if (trees.reachesOver > (hopeful[stop] ?? Infinity) * largest) return null
  }
  return null
}

/**
 * What trees get into the one sheet that is left, cooled down quickly.
 * @param kind of the sheet, @param limit what it may cost, mm²
 * @returns null where it may waste too little, there is too much for it, or it was given up
 */
export function lastByTrees(problem: Problem, kind: number, limit: number, means: Means): Layout | null {
  const { area } = problem.sheets[kind]!
  return area - areaOfAll(problem) > FOR_TREES * area ? cooled(problem, limit, means, SHORT, HOPEFUL) : null
}
