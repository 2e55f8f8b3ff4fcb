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

/** How many steps back the plan is that a new one has to be as good as. */
const HISTORY = 200

/** How often a spot is passed over, so that not the same one is found each time. */
const BLINK = 0.02

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
    from: State | null = null,
  ) {
    this.mover = new RuinRecreate(problem, random)
    this.now = from ?? nothingPlaced(problem)
    if (!from) this.mover.recreate(this.now, limit, 0)
    this.lacking = areaOf(problem, this.now.left)
    this.best = this.now
    this.least = this.lacking
    this.late = new Array<number>(HISTORY).fill(this.lacking)
    this.largest = Math.max(2, Math.min(12, Math.round(problem.pieces.length / 6)))
  }

  /** Goes on for some steps, or until the clock. @returns a plan with nothing left, or null; `best` is the nearest to it */
  run(until: Until): State | null {
    if (this.lacking === 0) return this.now
    for (let done = 0; done < until.steps; done++, this.step++) {
      if ((done & 31) === 0 && until.over()) return null
      const next = this.mover.next(this.now, this.limit, this.largest, BLINK)
      const lacking = areaOf(this.problem, next.left)
      if (lacking === 0) {
        this.least = 0
        return (this.best = next)
      }
      const slot = this.step % HISTORY
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
