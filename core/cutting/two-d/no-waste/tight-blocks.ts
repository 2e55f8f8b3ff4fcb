import TinyQueue from 'tinyqueue'
import { SAME } from '../../instance'
import { randomFrom } from '../../random'
import { PackedCounts, type Packed } from '../packed-counts'
import { demandOf, type Problem, type Shape } from '../sheets'

/**
 * Pieces that together make a rectangle without any waste. Along its axis it is a row: of each set of pieces only one
 * order is built, the elements of a row by falling number.
 */
export interface TightBlock {
  readonly number: number
  readonly l: number
  readonly w: number
  readonly area: number
  readonly turns: boolean
  readonly holds: Packed
  /** The sum of the names of what it holds, below `PRIME`. */
  readonly name: number
  /** A shape, or what it is joined of. */
  readonly made: number | Join
}

export interface Join {
  readonly axis: 0 | 1
  readonly parts: readonly [Oriented, Oriented]
  /** The lowest number in the row. */
  readonly last: number
}

export interface Oriented {
  readonly block: TightBlock
  readonly turned: boolean
}

/** A block lying one of its two ways: how far it reaches along the axis it is joined on, mm. */
export interface Side extends Oriented {
  readonly along: number
}

/** Sums of names stay below this. */
export const PRIME = 2 ** 50 - 27

/** Sizes to the µm as whole numbers; the odd part keeps what is exact to half a µm from being rounded both ways. */
export const whole = (size: number): number => Math.round(size * 1000 + 0.137)

/** What a block is known by: its pieces and its size. */
export const known = (name: number, l: number, w: number): number =>
  (name + whole(l) * 268_435_399 + whole(w) * 179_424_673) % PRIME

/** The axis along which a block that lies turned or not is a row; -1 for a piece. */
export const axisOf = ({ block, turned }: Oriented): -1 | 0 | 1 =>
  typeof block.made === 'number' ? -1 : turned ? ((1 - block.made.axis) as 0 | 1) : block.made.axis

/** Blocks of one size across an axis, the short ones first. */
export interface Across {
  /** Those that can be joined along the axis, for they are no rows along it themselves: what can't be turned, what can. */
  readonly sides: readonly [Side[], Side[]]
  /** All, by their length along the axis in µm. */
  readonly byLength: Map<number, Oriented[]>
}

type Waiting = Omit<TightBlock, 'number'>

/** Blocks without waste, the small ones first; those that fit no sheet left out. */
export class TightBlocks {
  readonly packing: PackedCounts
  readonly all: TightBlock[] = []
  /** By the axis on which they are joined, and the size across. */
  private readonly across: readonly Map<number, Across>[] = [new Map(), new Map()]
  private readonly seen = new Set<number>()
  private readonly waiting = new TinyQueue<Waiting>([], (a, b) => a.area - b.area)

  /** All blocks up to this area have been built, mm². */
  upTo = 0

  constructor(private readonly problem: Problem) {
    const demand = demandOf(problem)
    this.packing = new PackedCounts(demand)
    const random = randomFrom(1)
    problem.shapes.forEach(({ l, w, area, turns }, shape) => {
      const name = Math.floor(random() * PRIME)
      if (demand[shape]! > 0) this.offer({ l, w, area, turns, holds: this.packing.one(shape), name, made: shape })
    })
  }

  /** Builds all, or as many as are asked for or as there is time for. */
  build(atMost: number, over: () => boolean): void {
    while (this.waiting.length > 0) {
      if (this.all.length >= atMost || ((this.all.length & 255) === 0 && over())) return
      const block: TightBlock = { ...this.waiting.pop()!, number: this.all.length }
      this.upTo = block.area - SAME
      this.all.push(block)
      this.keep({ block, turned: false })
      if (block.turns) this.keep({ block, turned: true })
      this.join({ block, turned: false }, false)
      this.join({ block, turned: false }, true)
      // with what can be turned itself once is enough
      if (block.turns) this.join({ block, turned: true }, false)
    }
    this.upTo = Infinity
  }

  /** Blocks of one size across an axis. */
  of(axis: 0 | 1, across: number): Across | undefined {
    return this.across[axis]!.get(whole(across))
  }

  private keep(oriented: Oriented): void {
    const [l, w] = sizeOf(oriented)
    this.keepAlong(0, w, { ...oriented, along: l })
    this.keepAlong(1, l, { ...oriented, along: w })
  }

  private keepAlong(axis: 0 | 1, across: number, side: Side): void {
    let there = this.across[axis]!.get(whole(across))
    if (!there) this.across[axis]!.set(whole(across), (there = { sides: [[], []], byLength: new Map() }))
    if (axisOf(side) !== axis) there.sides[side.block.turns ? 1 : 0].push(side)
    const length = whole(side.along)
    const same = there.byLength.get(length)
    if (same) same.push(side)
    else there.byLength.set(length, [side])
  }

  /** @param turning whether it is joined with blocks that can be turned, or with the others */
  private join(mine: Oriented, turning: boolean): void {
    const [l, w] = sizeOf(mine)
    const { block } = mine
    for (const axis of [0, 1] as const) {
      const last = axisOf(mine) === axis ? (block.made as Join).last : block.number
      for (const other of this.of(axis, axis === 0 ? w : l)?.sides[turning ? 1 : 0] ?? []) {
        const b = other.block
        const size = { l: axis === 0 ? l + other.along : l, w: axis === 0 ? w : w + other.along }
        const turns = block.turns && turning
        if (b.number > last || !fitsSome(this.problem, size.l, size.w, turns)) break
        if (!this.packing.both(block.holds, b.holds)) continue
        const area = block.area + b.area
        const name = (block.name + b.name) % PRIME
        this.offer({
          ...{ ...size, area, turns, name },
          holds: this.packing.sum(block.holds, b.holds),
          made: { axis, parts: [mine, other], last: b.number },
        })
      }
    }
  }

  private offer(block: Waiting): void {
    const name = known(block.name, block.l, block.w)
    if (this.seen.has(name)) return
    this.seen.add(name)
    this.waiting.push(block)
  }
}

export const sizeOf = ({ block, turned }: Oriented): [number, number] =>
  turned ? [block.w, block.l] : [block.l, block.w]

const fitsSome = ({ sheets }: Problem, l: number, w: number, turns: boolean): boolean =>
  sheets.some((s) => holds(s, l, w) || (turns && holds(s, w, l)))

const holds = (sheet: Pick<Shape, 'l' | 'w'>, l: number, w: number): boolean =>
  whole(l) <= whole(sheet.l) && whole(w) <= whole(sheet.w)
