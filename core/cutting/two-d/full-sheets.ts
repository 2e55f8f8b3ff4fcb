import { programText, type LinearSolver, type Program } from '../linear-program'
import type { Means } from '../means'
import { buildUp, type FullSheet } from './build-up'
import { fillLastTwo } from './last-two'
import { layFull, type Layout } from './layout'
import { together, without } from './rest'
import type { Play } from './snug/blocks'
import type { Agreeing } from './snug/agreeing'
import { BySteps } from './snug/by-steps'
import { fillSnugly, playFor, type Reach } from './snug/fill'
import { ButForHoles } from './snug/holes'
import { WithoutWaste } from './snug/without-waste'
import { areaOfAll, costOf, demandOf, roomOf, stockWithin, type Problem } from './sheets'

/** How far all pieces are built up, one time after the other: the share of the slack that one sheet may waste, pairs. */
const LEVELS: readonly { share: number; pairs: number }[] = [
  { share: 0, pairs: 2_000_000 },
  { share: 0.3, pairs: 4_000_000 },
  { share: 0.1, pairs: 4_000_000 },
  { share: 1, pairs: 4_000_000 },
  { share: 0.03, pairs: 4_000_000 },
]

interface Level extends Reach {
  /** How many times the share of all a block may waste. */
  readonly times: number
}

/** How far sheets are looked for before that, where next to nothing may be wasted. */
const SNUG_LEVELS: readonly Level[] = [
  { times: 2.3, blocks: 3000, rests: 10_000, sheets: 5000, nodes: 1000 },
  { times: 1.3, blocks: 4000, rests: 10_000, sheets: 5000, nodes: 1000 },
  { times: 3.5, blocks: 2000, rests: 10_000, sheets: 5000, nodes: 1000 },
]

/** A last sheet that may waste this part at least is filled at once. */
const LAST = 0.035

/** How much waste a large block is worth when it is decided what is joined next. */
const EAGER = 0.02

/** So many full sheets are kept, the least wasteful ones. */
const KEPT = 600

/** Branches of the search for the best sheets. */
const NODES = 50

/** Full sheets from all pieces, and the most of them that go together. */
export class FullSheets {
  private readonly full = new Map<string, FullSheet>()
  /** What a plan at the bound wastes in all, and the area of its sheets, mm². */
  readonly slack: number
  private readonly room: number
  private level = 0
  private snugLevel = 0
  private chosenFrom = ''
  /** The ways to look for sides that agree, one after the other; searches beside the first leave holes to it. */
  private readonly ways: readonly Agreeing[]

  constructor(
    private readonly problem: Problem,
    least: number,
    private readonly means: Means,
  ) {
    this.room = roomFor(problem, least)
    this.slack = Math.max(0, this.room - areaOfAll(problem))
    const { slack, room, isTight } = this
    const { beside = 0 } = means
    const bySteps = new BySteps(problem, slack, room, beside)
    if (isTight) this.ways = [new WithoutWaste(problem, beside)]
    else this.ways = beside > 0 ? [bySteps] : [new ButForHoles(problem, slack, room), bySteps]
  }

  /** What blocks may waste, where that is next to nothing, for some times the share that the plan may waste. */
  readonly play = (times: number): Play | null => playFor(this.problem, this.slack, this.room, times)

  /** Keeps a full sheet from elsewhere. */
  readonly add = (f: FullSheet): void => {
    if (f.waste <= this.slack + 1) this.full.set(`${f.sheet} ${f.built.counts.join(',')}`, f)
  }

  /** Builds up once more with more waste allowed, and lays the full sheets that together cover most. */
  next(limit: number): Layout {
    return this.laid(this.snug(limit) ?? this.grown(limit))
  }

  /** Whether nothing may be wasted. */
  get isTight(): boolean {
    return this.play(1)?.share === 0
  }

  /** Whether sides that agree may tell more, and how many rounds of the other ways that is worth. */
  get agree(): Pick<Agreeing, 'goes' | 'worth'> {
    return this.way
  }

  private get way(): Agreeing {
    return this.ways.find((w) => w.goes) ?? this.ways.at(-1)!
  }

  /** Looks for sides that agree, then for such as nearly do, and lays the full sheets that together cover most. */
  agreeing(limit: number): Layout {
    const full = this.way.next(limit, this.means.over)
    full.forEach(this.add)
    return this.withLast(full, limit) ?? this.laid(full)
  }

  /** With what they leave in one more sheet, where it may waste enough for that. */
  private withLast(full: readonly FullSheet[], limit: number): Layout | null {
    const parts = without(this.problem, full)
    const { rest } = parts
    const left = limit - costOf(this.problem, full)
    const stock = stockWithin(rest, left)
    const room = roomOf(rest, stock)
    if (rest.pieces.length === 0 || stock.length !== 1 || room - areaOfAll(rest) < LAST * room) return null
    const plan = fillLastTwo(rest, left, this.means)
    return plan && together(this.problem, full, parts, plan)
  }

  private laid(drawn: readonly FullSheet[]): Layout {
    const byShape: number[][] = this.problem.shapes.map(() => [])
    this.problem.pieces.forEach((shape, piece) => byShape[shape]!.push(piece))
    const laid = drawn.map((f) =>
      layFull(
        this.problem,
        f,
        Array.from(f.built.counts).flatMap((n, shape) => byShape[shape]!.splice(0, n)),
      ),
    )
    return { laid, left: byShape.flat(), cost: costOf(this.problem, laid) }
  }

  /** Full sheets with next to no waste; null where more may be wasted, or when that has been tried. */
  private snug(limit: number): FullSheet[] | null {
    if (this.isTight) return null
    const reach = SNUG_LEVELS[this.snugLevel++]
    const play = reach && this.play(reach.times)
    if (!play) return null
    const full = fillSnugly(this.problem, play, { waste: this.slack, cost: limit }, reach, this.means.over)
    full.forEach(this.add)
    return full
  }

  private grown(limit: number): FullSheet[] {
    this.grow()
    const from = `${limit} ${this.full.size}`
    const known = from === this.chosenFrom || this.full.size === 0 || !this.means.solver
    this.chosenFrom = from
    return known ? [] : this.chosen(this.means.solver!, limit)
  }

  private grow(): void {
    const level = LEVELS[this.level++]
    if (!level) return
    const reach = { slack: level.share * this.slack, pairs: level.pairs, enough: KEPT, eager: EAGER }
    const { full, complete } = buildUp(this.problem, reach, this.means.over)
    full.forEach(this.add)
    if (complete && LEVELS[this.level]?.share === level.share) this.level++
  }

  /** The full sheets that together cover most, by a program in whole numbers. */
  private chosen(solver: LinearSolver, limit: number): FullSheet[] {
    const full = [...this.full.values()].sort((a, b) => a.waste - b.waste).slice(0, KEPT)
    const { sheets } = this.problem
    const name = (i: number): string => `x${i}`
    const each = (times: (f: FullSheet) => number): { name: string; times: number }[] =>
      full.map((f, i) => ({ name: name(i), times: times(f) })).filter((t) => t.times !== 0)
    const rows = [
      ...Array.from(demandOf(this.problem), (than, shape) => ({
        name: `s${shape}`,
        terms: each((f) => f.built.counts[shape]!),
        than,
      })),
      ...sheets.map((s, sheet) => ({
        name: `t${sheet}`,
        terms: each((f) => Number(f.sheet === sheet)),
        than: s.count,
      })),
      { name: 'cost', terms: each((f) => sheets[f.sheet]!.cost), than: limit },
    ]
    const program: Program = {
      minimise: each((f) => -Math.round((f.built.block.area - f.built.waste) / 100)),
      rows: rows.filter((r) => r.terms.length > 0 && Number.isFinite(r.than)).map((r) => ({ ...r, is: '<=' as const })),
      most: full.map((_, i) => ({ name: name(i), times: 40 })),
      whole: full.map((_, i) => name(i)),
    }
    const found = solver(programText(program), { seconds: this.means.secondsLeft(), nodes: NODES })
    if (!found) return []
    return full.flatMap((f, i) => Array.from({ length: Math.round(found.values.get(name(i)) ?? 0) }, () => f))
  }
}

/** The area of the offcuts and of the sheets for what has to be bought at least, mm². */
function roomFor(problem: Problem, least: number): number {
  const bought = problem.sheets.filter((s) => s.cost > 0).map((s) => s.area / s.cost)
  const offcuts = problem.sheets.reduce((sum, s) => sum + (s.cost === 0 ? s.area * s.count : 0), 0)
  return offcuts + (bought.length > 0 ? Math.min(...bought) * least : 0)
}
