import TinyQueue from 'tinyqueue'
import { firstWhere } from '../by-halves'
import { SAME } from '../instance'
import { randomFrom } from '../random'
import type { Block } from './blocks'
import { knownBy, PRIME } from './known-by'
import { PackedCounts, type Packed } from './packed-counts'
import { demandOf, goesInto, type Problem } from './sheets'

/** A block of which only the shapes are settled, not which piece of a shape: its `piece` is the index of a shape. */
export interface Built {
  readonly block: Block
  readonly counts: Uint16Array
  /** Area of the block that no piece takes, mm². */
  readonly waste: number
}

/** A block which fills a piece of stock, and what is wasted in all, mm². */
export interface FullSheet {
  readonly sheet: number
  readonly built: Built
  readonly waste: number
}

export interface BuildUp {
  /** What fills a piece of stock, with waste within what is allowed. */
  readonly full: FullSheet[]
  /** Every block within the waste allowed has been built. */
  readonly complete: boolean
}

/** How far building up goes. */
export interface Reach {
  /** Waste that a block may have, mm². */
  readonly slack: number
  /** How many pairs of blocks are looked at, at most. */
  readonly pairs: number
  /** With so many full sheets it ends. */
  readonly enough: number
  /** How much waste is worth a whole sheet's area, when it is decided what is joined next; 0 to 1. */
  readonly eager: number
}

/**
 * Builds blocks out of pieces, the least wasteful and largest first, and keeps those that fill a whole sheet
 * (P. Y. Wang, Two algorithms for constrained two-dimensional cutting stock problems, Operations Research 31, 1983).
 */
export function buildUp(problem: Problem, reach: Reach, over: () => boolean): BuildUp {
  return new Builder(problem, reach).run(over)
}

/** A block in the making; what it holds is counted only when it is its turn. */
interface Entry {
  readonly l: number
  readonly w: number
  readonly turns: boolean
  readonly waste: number
  readonly name: number
  /** The lower, the sooner it is its turn. */
  readonly key: number
  readonly made: number | { readonly axis: 0 | 1; readonly a: Side; readonly b: Side }
}

/** A block lying one of its two ways, by the side on which it is joined. */
interface Side {
  readonly size: number
  readonly along: number
  readonly turned: boolean
  readonly turns: boolean
  readonly name: number
  readonly block: Block
  readonly holds: Packed
  readonly waste: number
}

class Builder {
  private readonly packing: PackedCounts
  /** The shapes of which there are pieces. */
  private readonly shapes: readonly number[]
  private readonly nameOf: number[]
  private readonly seen = new Set<number>()
  private readonly waiting = new TinyQueue<Entry>([], (a, b) => a.key - b.key)
  /** Blocks by the side they can be joined on, for each axis, in order of size. */
  private readonly rows: [Side[], Side[]] = [[], []]
  private pairs = 0
  private readonly full: BuildUp['full'] = []
  private readonly thinnest: number
  private readonly largest: number

  constructor(
    private readonly problem: Problem,
    private readonly reach: Reach,
  ) {
    const demand = demandOf(problem)
    this.packing = new PackedCounts(demand)
    this.shapes = problem.shapes.flatMap((_, i) => (demand[i]! > 0 ? [i] : []))
    this.largest = Math.max(...problem.sheets.map((s) => s.area))
    this.thinnest = Math.min(...this.shapes.map((i) => Math.min(problem.shapes[i]!.l, problem.shapes[i]!.w)))
    const random = randomFrom(1)
    this.nameOf = problem.shapes.map(() => Math.floor(random() * PRIME))
  }

  run(over: () => boolean): BuildUp {
    for (const i of this.shapes) {
      const { l, w, turns } = this.problem.shapes[i]!
      this.offer(l, w, turns, 0, this.nameOf[i]!, i)
    }
    while (this.waiting.length > 0 && this.pairs < this.reach.pairs && this.full.length < this.reach.enough) {
      if (over()) break
      this.join(this.waiting.pop()!)
    }
    return { full: this.full, complete: this.waiting.length === 0 }
  }

  private offer(l: number, w: number, turns: boolean, waste: number, name: number, made: Entry['made']): void {
    const known = knownBy(name, Math.round(l * 1000), Math.round(w * 1000))
    if (this.seen.has(known)) return
    this.seen.add(known)
    const area = l * w
    const key = waste / area - this.reach.eager * (area / this.largest)
    const entry: Entry = { l, w, turns, waste, name, key, made }
    const { sheets } = this.problem
    for (let sheet = 0; sheet < sheets.length; sheet++) {
      const over = sheets[sheet]!.area - area + waste
      if (over <= this.reach.slack + 1 && goesInto(sheets[sheet]!, l, w, turns))
        this.full.push({ sheet, built: this.built(entry), waste: over })
    }
    this.waiting.push(entry)
  }

  private built(entry: Entry): Built {
    return { block: this.blockOf(entry), counts: this.packing.counts(this.heldBy(entry)), waste: entry.waste }
  }

  private blockOf({ l, w, turns, made }: Entry): Block {
    if (typeof made === 'number') return { ...this.problem.shapes[made]!, made: { piece: made } }
    const { axis, a, b } = made
    const parts = [
      { block: a.block, turned: a.turned },
      { block: b.block, turned: b.turned },
    ] as const
    return { l, w, area: l * w, turns, made: { axis, parts } }
  }

  private heldBy({ made }: Entry): Packed {
    return typeof made === 'number' ? this.packing.one(made) : this.packing.sum(made.a.holds, made.b.holds)
  }

  private join(entry: Entry): void {
    const { l, w, turns, name, waste } = entry
    const same = { turned: false, turns, name, waste, block: this.blockOf(entry), holds: this.heldBy(entry) }
    const sides: Side[] = [
      { size: w, along: l, ...same },
      { size: l, along: w, ...same },
    ]
    for (const axis of [0, 1] as const) {
      this.joinAlong(axis, sides[axis]!)
      insert(this.rows[axis], sides[axis]!)
      if (!turns || Math.abs(l - w) <= SAME) continue
      const turned = { ...sides[1 - axis]!, turned: true }
      this.joinAlong(axis, turned)
      insert(this.rows[axis], turned)
    }
  }

  /** Joins a block with all that are wider or narrower by no more than what may be wasted beside the narrower one. */
  private joinAlong(axis: 0 | 1, mine: Side): void {
    const row = this.rows[axis]
    const spare = this.reach.slack + 1 - mine.waste
    const widest = mine.size + spare / mine.along + SAME
    for (let i = firstFrom(row, mine.size - spare / this.thinnest - SAME); i < row.length; i++) {
      const other = row[i]!
      if (other.size > widest) break
      const gap = mine.size - other.size
      const lost = gap < 0 ? -gap * mine.along : gap * other.along
      this.pairs++
      if (lost + other.waste <= spare) this.pair(axis, mine, other, lost)
    }
  }

  private pair(axis: 0 | 1, a: Side, b: Side, lost: number): void {
    const across = Math.max(a.size, b.size)
    const along = a.along + b.along
    const l = axis === 0 ? along : across
    const w = axis === 0 ? across : along
    const turns = a.turns && b.turns
    if (!this.fitsSome(l, w, turns)) return
    if (!this.packing.both(a.holds, b.holds)) return
    const waste = a.waste + b.waste + lost
    this.offer(l, w, turns, waste, (a.name + b.name) % PRIME, { axis, a, b })
  }

  private fitsSome(l: number, w: number, turns: boolean): boolean {
    for (const s of this.problem.sheets) if (goesInto(s, l, w, turns)) return true
    return false
  }
}

const firstFrom = (row: readonly Side[], size: number): number => firstWhere(row.length, (at) => row[at]!.size >= size)

const insert = (row: Side[], side: Side): void => {
  row.splice(firstFrom(row, side.size), 0, side)
}
