import type { Random } from '../random'
import { RuinRecreate, type State } from './ruin-recreate'
import { areaOf, type Problem } from './sheets'

/** When a search has to end: the clock, and its budget of steps. */
export interface Until {
  readonly over: () => boolean
  readonly steps: number
}

const nothingPlaced = (problem: Problem): State => ({
  bins: [],
  left: problem.pieces.map((_, i) => i),
  cost: 0,
})

/** A first plan, without a limit to what it costs. Pieces that fit nothing are left. */
export function firstPlan(problem: Problem, random: Random): State {
  const state = nothingPlaced(problem)
  new RuinRecreate(problem, random).recreate(state, Infinity, 0)
  return state
}

/** How a search goes about it. */
export interface Pace {
  /** how many steps back the plan is that a new one has to be as good as: the more, the slower it settles */
  readonly history: number
  /** how many pieces are taken out in one step, at most; and of all, what part */
  readonly most: number
  readonly part: number
  /** how often a spot is passed over, so that not the same one is found each time */
  readonly blink: number
}

/** Settles in some thousand steps. */
export const QUICK: Pace = { history: 200, most: 12, part: 1 / 6, blink: 0.02 }

/** Settles in some ten thousand steps, and lower. */
export const PATIENT: Pace = { history: 1000, most: 24, part: 1 / 4, blink: 0.01 }

/**
 * Looks for a plan that costs no more than a limit: ruin and recreate, late acceptance on the area that has no place.
 * It can be run piecemeal.
 */
export class LimitSearch {
  private readonly mover: RuinRecreate
  private readonly late: number[]
  private readonly largest: number
  private now: State
  private lacking: number
  /** The plan that leaves least. */
  best: State
  /** Area without a place in it, mm². */
  least: number
  private step = 0

  constructor(
    private readonly problem: Problem,
    private readonly limit: number,
    random: Random,
    private readonly pace: Pace = QUICK,
    from: State | null = null,
  ) {
    this.mover = new RuinRecreate(problem, random)
    this.now = from ?? nothingPlaced(problem)
    if (!from) this.mover.recreate(this.now, limit, 0)
    this.lacking = areaOf(problem, this.now.left)
    this.best = this.now
    this.least = this.lacking
    this.late = new Array<number>(pace.history).fill(this.lacking)
    this.largest = Math.max(2, Math.min(pace.most, Math.round(problem.pieces.length * pace.part)))
  }

  /** Goes on for some steps, or until the clock. @returns a plan with nothing left, or null; `best` is the nearest to it */
  run(until: Until): State | null {
    if (this.lacking === 0) return this.now
    for (let done = 0; done < until.steps; done++, this.step++) {
      if ((done & 31) === 0 && until.over()) return null
      const next = this.mover.next(this.now, this.limit, this.largest, this.pace.blink)
      const lacking = areaOf(this.problem, next.left)
      if (lacking === 0) {
        this.least = 0
        return (this.best = next)
      }
      const slot = this.step % this.pace.history
      if (lacking <= this.lacking || lacking <= this.late[slot]!) {
        this.now = next
        this.lacking = lacking
        if (lacking < this.least) {
          this.best = next
          this.least = lacking
        }
      }
      if (this.lacking < this.late[slot]!) this.late[slot] = this.lacking
    }
    return null
  }
}
