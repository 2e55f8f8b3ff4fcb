import TinyQueue from 'tinyqueue'
import { SAME } from '../../instance'
import { PRIME } from '../known-by'
import type { Packed } from '../packed-counts'
import type { Problem } from '../sheets'
import { sizeOf, type Oriented, type Side } from './block'
import { SnugBlocks, type Play, type Rows } from './blocks'

/** A piece of stock filled with little waste or none: what was taken away from it, and the block that fills what was left. */
export interface SnugSheet {
  readonly sheet: number
  /** What of it no piece takes, mm². */
  readonly waste: number
  /** What the sides that are joined in it differ by together, and from the edges of the sheet, mm. */
  readonly uneven: number
  /** What the joins in its blocks leave to chance, bits. */
  readonly chance: number
  readonly holds: Packed
  readonly rest: Rest
  readonly last: Oriented
}

/** How far it goes. */
export interface Reach {
  readonly blocks: number
  /** Rectangles that are left when something is taken away from a sheet. */
  readonly rests: number
  readonly sheets: number
  /** Rows that are built beside the blocks. */
  readonly rows?: Rows
}

/** What part of the waste allowed a sheet that is taken up is worth, when it is decided where to go on. */
const PROMISING = 0.8

/** The same where sides may differ by a step: a whole sheet is worth so many steps. */
const EVEN = 3

/** What is left of a sheet when some blocks are taken away from it. */
interface Rest {
  readonly l: number
  readonly w: number
  /** Area of what was taken away, mm², and what it was. */
  readonly net: number
  /** What sides differ by in it and beside it, mm, and what the joins in it leave to chance, bits. */
  readonly uneven: number
  readonly chance: number
  readonly holds: Packed
  readonly name: number
  /** What may still be wasted, mm². */
  readonly spare: number
  /** What was taken away last. */
  readonly taken: Taken | null
}

interface Taken {
  readonly from: Rest
  readonly axis: 0 | 1
  readonly side: Side
}

/**
 * Pieces of stock filled with little waste or none. Blocks are built up as far as that goes, to half of a sheet at least;
 * from the sheet blocks are taken away, edge to edge, until one block fills what is left: of the two sides of a cut one is
 * never more than half.
 */
export class SnugSheets {
  readonly found: SnugSheet[] = []
  private readonly blocks: SnugBlocks
  private readonly seen = new Set<number>()

  constructor(
    private readonly problem: Problem,
    private readonly play: Play,
    private readonly reach: Reach,
  ) {
    this.blocks = new SnugBlocks(problem, play, reach.blocks)
  }

  get packing(): SnugBlocks['packing'] {
    return this.blocks.packing
  }

  /** How many blocks there are. */
  get built(): number {
    return this.blocks.all.length
  }

  /** @returns whether these are all there are whose blocks keep to the play, those with a hole left aside */
  find(over: () => boolean): boolean {
    this.blocks.build(over)
    if (this.reach.rows) this.blocks.addRows(this.reach.rows, over)
    const ended = this.problem.sheets.map((s, sheet) => s.count === 0 || this.takeAway(sheet, over))
    const largest = Math.max(...this.problem.sheets.map((s) => s.area))
    return ended.every(Boolean) && this.blocks.upTo >= largest / 2
  }

  private takeAway(sheet: number, over: () => boolean): boolean {
    const { l, w } = this.problem.sheets[sheet]!
    const all: Rest = {
      l,
      w,
      net: 0,
      uneven: 0,
      chance: 0,
      holds: this.packing.none(),
      name: 0,
      spare: this.play.most,
      taken: null,
    }
    this.close(sheet, all)
    const key = this.order(l * w)
    const open = new TinyQueue<Rest>([all], (a, b) => key(a) - key(b))
    const met = new Set<number>()
    let rests = 0
    const keep = (rest: Rest): void => {
      const name = this.blocks.known(rest.name, rest.l, rest.w)
      if (met.has(name)) return
      met.add(name)
      open.push(rest)
    }
    for (let rest = open.pop(); rest; rest = open.pop()) {
      if (this.found.length >= this.reach.sheets || rests++ > this.reach.rests || ((rests & 7) === 0 && over()))
        return false
      for (const axis of [0, 1] as const)
        for (const turning of [false, true]) this.smaller(sheet, rest, axis, turning, keep)
    }
    return true
  }

  /** Those first that have wasted little for what they have taken, or whose sides differ little for it. */
  private order(area: number): (rest: Rest) => number {
    const { most, step } = this.play
    return step === undefined
      ? ({ spare, net }) => (most - spare) / most - (PROMISING * net) / area
      : ({ uneven, net }) => uneven / step - (EVEN * net) / area
  }

  /**
   * Takes one more block away, of a row in one order only. What one block may fill is closed, the rest is kept. Where there may
   * be a hole in what is left that may be the smaller side of the cut.
   */
  private smaller(sheet: number, from: Rest, axis: 0 | 1, turning: boolean, keep: (rest: Rest) => void): void {
    const { blocks, packing } = this
    const { l, w, taken: before } = from
    const least = before?.axis === axis ? before.side.block.number : 0
    // sides of a whole sheet may differ by more than those of a block: where there are few blocks it is looked further
    const { step, hole } = blocks.play
    const goesOn = hole !== undefined || (step !== undefined && blocks.upTo === Infinity)
    const [length, across] = axis === 0 ? [l, w] : [w, l]
    const longest = hole === undefined ? (length + SAME) / 2 : length - SAME
    const what = { across, longest, number: least, waste: from.spare + SAME }
    for (const side of blocks.cutAway(axis, turning, what)) {
      const { block, along } = side
      const left = length - along
      const [rl, rw] = axis === 0 ? [left, w] : [l, left]
      const closes = left * across <= blocks.upTo
      if (closes && !goesOn && blocks.exact && blocks.filling(rl, rw, 0).length === 0) continue
      if (!packing.both(from.holds, side.holds)) continue
      const rest: Rest = {
        l: rl,
        w: rw,
        net: from.net + block.net,
        uneven: from.uneven + block.uneven + across - side.across,
        chance: from.chance + block.chance,
        holds: packing.sum(from.holds, block.holds),
        name: (from.name + block.name) % PRIME,
        spare: from.spare - (along * across - block.net),
        taken: { from, axis, side },
      }
      // where not the smallest blocks come first some that fill it may have been built all the same
      if (closes || !blocks.bySize) this.close(sheet, rest)
      if (!closes || goesOn) keep(rest)
    }
  }

  /** Fills what is left of a sheet by one block, or by one beside which the hole is. */
  private close(sheet: number, rest: Rest): void {
    const { hole = 0, most } = this.play
    const area = this.problem.sheets[sheet]!.area - rest.net
    for (const last of this.lasts(rest)) {
      const waste = area - last.net
      if (waste > most + hole + SAME || !this.packing.both(rest.holds, last.holds)) continue
      const [l, w] = sizeOf(last)
      if (w > rest.w + SAME || l > rest.l + SAME) continue
      const name = (rest.name + last.block.name + sheet) % PRIME
      if (this.seen.has(name)) continue
      this.seen.add(name)
      const uneven = rest.uneven + last.block.uneven + rest.w - w + rest.l - l
      const chance = rest.chance + last.block.chance
      const holds = this.packing.sum(rest.holds, last.block.holds)
      this.found.push({ sheet, waste, uneven, chance, holds, rest, last })
    }
  }

  private lasts({ l, w, spare }: Rest): readonly Side[] {
    const { blocks } = this
    const filling = blocks.filling(l, w, spare)
    const { hole } = this.play
    return hole === undefined
      ? filling
      : [...filling, ...blocks.shorter(0, l, w, hole), ...blocks.shorter(1, w, l, hole)]
  }
}
