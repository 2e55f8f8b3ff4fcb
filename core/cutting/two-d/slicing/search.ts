import type { Means } from '../../means'
import type { Laid, Layout } from '../layout'
import { areaOfAll, costOf, goesInto, roomOf, stockWithin, type Problem, type Shape, type Sheet } from '../sheets'
import { Annealing } from './annealing'
import { layTree } from './lay'

/**
 * How far a move may reach over more than before, at the start and at the end of a run, in parts of what a piece has in area,
 * and the steps for each piece. What has been cooled down once is warmed up only.
 */
const COLD = 0.009
const MELTED: Course = { heat: 0.09, steps: 30_000 }
const WARMED: Course = { heat: 0.04, steps: 20_000 }

/** How a run goes. */
export interface Course {
  readonly heat: number
  readonly steps: number
  /** Steps for each piece from one stop to the next. */
  readonly part?: number
}

/** The same, where it isn't told. */
const PART = 5000

/** Steps at one heat. */
const EVEN = 500

/** Looks for a plan that costs no more than a limit, by slicing trees that are cooled down, in run after run. */
export class SlicingSearch {
  private readonly sheets: readonly number[]
  /** Area of a piece, on average, mm². */
  private readonly unit: number
  /** Whether this way is one for the problem. */
  readonly goes: boolean
  private annealing: Annealing | null = null
  private run: { heat: number; steps: number; part: number; done: number; seconds: number } | null = null

  /**
   * @param limit what the sheets may cost, mm²
   * @param first the first run
   */
  constructor(
    private readonly problem: Problem,
    limit: number,
    private readonly means: Means,
    private readonly first: Course = MELTED,
  ) {
    this.sheets = stockWithin(problem, limit)
    const area = areaOfAll(problem)
    this.unit = area / problem.pieces.length
    this.goes = roomOf(problem, this.sheets) >= area
  }

  /** Goes on to the next stop. @returns at the end of a run what goes into its sheets, else null */
  next(): Layout | null {
    const { problem, means } = this
    this.run ??= this.begin()
    const { run } = this
    const { heat, steps, part } = run
    const annealing = (this.annealing ??= this.begun())
    for (let left = part * problem.pieces.length; left > 0 && run.done < steps && !means.over(); left -= EVEN) {
      run.done += EVEN
      // towards the end of the time it is cooled down all the same
      const byTime = Number.isFinite(run.seconds) ? 1.06 * (1 - means.secondsLeft() / run.seconds) : 0
      const progress = Math.min(1, Math.max(run.done / steps, byTime))
      if (annealing.run(EVEN, this.unit * heat * (COLD / heat) ** progress)) run.done = steps
    }
    if (run.done < steps && !means.over()) return null
    this.run = null
    return this.laid(annealing)
  }

  /** How far pieces reach over all sheets, mm²; 0 before the first step. */
  get reachesOver(): number {
    return this.annealing?.reachesOver ?? 0
  }

  private begin(): NonNullable<SlicingSearch['run']> {
    const { heat, steps, part = PART } = this.annealing ? WARMED : this.first
    return { heat, steps: steps * this.problem.pieces.length, part, done: 0, seconds: this.means.secondsLeft() }
  }

  /** Trees with the pieces shared out, uncooled. */
  private begun(): Annealing {
    const { problem, means, sheets } = this
    const { pieces } = problem
    return new Annealing(
      pieces.map((p) => problem.shapes[p]!),
      spread(
        problem,
        sheets.map((s) => problem.sheets[s]!),
      ),
      sheets.map((s) => problem.sheets[s]!),
      means.random,
    )
  }

  private laid(annealing: Annealing): Layout {
    const { problem } = this
    const laid = this.sheets
      .map((sheet, tree): Laid => ({ sheet, lying: annealing.goesIn(tree) ? layTree(problem, annealing, tree) : [] }))
      .filter((l) => l.lying.length > 0)
    const lies = new Set(laid.flatMap((l) => l.lying.map((p) => p.piece)))
    return {
      laid,
      left: problem.pieces.flatMap((_, piece) => (lies.has(piece) ? [] : [piece])),
      cost: costOf(problem, laid),
    }
  }
}

/** Shares pieces out among sheets: each, the largest first, to the one with the most room of those that it goes into. */
function spread(problem: Problem, sheets: readonly Sheet[]): number[][] {
  const groups: number[][] = sheets.map(() => [])
  const room = sheets.map((s) => s.area)
  const shape = (piece: number): Shape => problem.shapes[problem.pieces[piece]!]!
  const order = problem.pieces.map((_, piece) => piece).sort((a, b) => shape(b).area - shape(a).area)
  for (const piece of order) {
    const { l, w, turns, area } = shape(piece)
    const goes = sheets.flatMap((s, i) => (goesInto(s, l, w, turns) ? [i] : []))
    const to = (goes.length > 0 ? goes : sheets.map((_, i) => i)).reduce((a, b) => (room[b]! > room[a]! ? b : a))
    groups[to]!.push(piece)
    room[to]! -= area
  }
  return groups
}
