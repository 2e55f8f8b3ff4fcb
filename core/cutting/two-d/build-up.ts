import TinyQueue from 'tinyqueue'
import { SAME } from '../instance'
import type { Block } from './blocks'
import { goesInto, type Problem } from './sheets'

/** A block of which only the shapes are settled, not which piece of a shape: its `piece` is the index of a shape. */
export interface Built {
  readonly block: Block
  readonly counts: Uint16Array
  /** Area of the block that no piece takes, mm². */
  readonly waste: number
}

export interface BuildUp {
  /** Blocks which fill a piece of stock, with waste within what is allowed: sheet, block. */
  readonly full: { readonly sheet: number; readonly built: Built; readonly waste: number }[]
  /** Every block within the waste allowed has been built. */
  readonly complete: boolean
}

/**
 * Builds blocks out of pieces, the least wasteful and largest first, and keeps those that fill a whole sheet
 * (P. Y. Wang, Two algorithms for constrained two-dimensional cutting stock problems, Operations Research 31, 1983).
 * @param slack waste that a block may have, mm²
 * @param eager how much waste is worth a whole sheet's area, when it is decided what is joined next; 0 to 1
 * @param most how many pairs of blocks are looked at, at most
 */
export function buildUp(problem: Problem, slack: number, most: number, over: () => boolean, eager = 0.02): BuildUp {
  return new Builder(problem, slack, eager).run(most, over)
}

interface Waiting extends Built {
  readonly key: number
}

class Builder {
  private readonly demand: Uint16Array
  private readonly seen = new Set<string>()
  private readonly waiting = new TinyQueue<Waiting>([], (a, b) => a.key - b.key)
  /** Blocks by the side they can be joined on, for each axis: [size, built, turned], in order of size. */
  private readonly rows: [Entry[], Entry[]] = [[], []]
  private pairs = 0
  private readonly full: BuildUp['full'] = []
  private readonly reach: number
  private readonly largest: number

  constructor(
    private readonly problem: Problem,
    private readonly slack: number,
    private readonly eager: number,
  ) {
    this.demand = new Uint16Array(problem.shapes.length)
    for (const shape of problem.pieces) this.demand[shape]!++
    this.largest = Math.max(...problem.sheets.map((s) => s.area))
    this.reach = slack / Math.min(...problem.shapes.map((s) => Math.min(s.l, s.w)))
  }

  run(most: number, over: () => boolean): BuildUp {
    this.problem.shapes.forEach((shape, i) => {
      if (this.demand[i] === 0) return
      const counts = new Uint16Array(this.demand.length)
      counts[i] = 1
      this.offer({ block: { ...shape, made: { piece: i } }, counts, waste: 0 })
    })
    while (this.waiting.length > 0 && this.pairs < most) {
      if (over()) break
      this.join(this.waiting.pop()!)
    }
    return { full: this.full, complete: this.waiting.length === 0 }
  }

  private offer(built: Built): void {
    const { block, counts, waste } = built
    const name = `${block.l.toFixed(3)} ${block.w.toFixed(3)} ${counts.join(',')}`
    if (this.seen.has(name)) return
    this.seen.add(name)
    this.problem.sheets.forEach((s, sheet) => {
      const fits = goesInto(s, block.l, block.w, block.turns)
      const over = s.area - block.area + waste
      if (fits && over <= this.slack + 1) this.full.push({ sheet, built, waste: over })
    })
    this.waiting.push({ ...built, key: waste / block.area - this.eager * (block.area / this.largest) })
  }

  private join(built: Built): void {
    const { block } = built
    const sides: Entry[] = [
      { size: block.w, along: block.l, built, turned: false },
      { size: block.l, along: block.w, built, turned: false },
    ]
    for (const axis of [0, 1] as const) {
      this.joinAlong(axis, sides[axis]!)
      insert(this.rows[axis], sides[axis]!)
      if (!block.turns || Math.abs(block.l - block.w) <= SAME) continue
      const turned = { ...sides[1 - axis]!, turned: true }
      this.joinAlong(axis, turned)
      insert(this.rows[axis], turned)
    }
  }

  private joinAlong(axis: 0 | 1, mine: Entry): void {
    const row = this.rows[axis]
    for (let i = firstFrom(row, mine.size - this.reach - SAME); i < row.length; i++) {
      const other = row[i]!
      if (other.size > mine.size + this.reach + SAME) break
      this.pair(axis, mine, other)
    }
  }

  private pair(axis: 0 | 1, a: Entry, b: Entry): void {
    this.pairs++
    const across = Math.max(a.size, b.size)
    const lost = a.size < b.size ? (b.size - a.size) * a.along : (a.size - b.size) * b.along
    const waste = a.built.waste + b.built.waste + lost
    if (waste > this.slack + 1) return
    const along = a.along + b.along
    const l = axis === 0 ? along : across
    const w = axis === 0 ? across : along
    const turns = a.built.block.turns && b.built.block.turns
    if (!this.problem.sheets.some((s) => goesInto(s, l, w, turns))) return
    const counts = new Uint16Array(this.demand.length)
    for (let i = 0; i < counts.length; i++) {
      counts[i] = a.built.counts[i]! + b.built.counts[i]!
      if (counts[i]! > this.demand[i]!) return
    }
    const parts = [
      { block: a.built.block, turned: a.turned },
      { block: b.built.block, turned: b.turned },
    ] as const
    this.offer({ block: { l, w, area: l * w, turns, made: { axis, parts } }, counts, waste })
  }
}

interface Entry {
  readonly size: number
  readonly along: number
  readonly built: Built
  readonly turned: boolean
}

function firstFrom(row: readonly Entry[], size: number): number {
  let low = 0
  let high = row.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (row[middle]!.size < size) low = middle + 1
    else high = middle
  }
  return low
}

const insert = (row: Entry[], entry: Entry): void => {
  row.splice(firstFrom(row, entry.size), 0, entry)
}
