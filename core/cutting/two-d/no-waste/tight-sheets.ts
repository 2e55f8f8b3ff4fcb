import { SAME } from '../../instance'
import type { Block } from '../blocks'
import type { FullSheet } from '../build-up'
import type { Packed } from '../packed-counts'
import type { Problem } from '../sheets'
import { known, PRIME, TightBlocks, whole, type Oriented, type Side, type TightBlock } from './tight-blocks'

/** A piece of stock filled without waste: what was taken away from it, and the block that fills what was left. */
export interface TightSheet {
  readonly sheet: number
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
}

/** What is left of a sheet when some blocks are taken away from it. */
interface Rest {
  readonly l: number
  readonly w: number
  readonly holds: Packed
  readonly name: number
  /** What was taken away last. */
  readonly taken: Taken | null
}

interface Taken {
  readonly from: Rest
  readonly axis: 0 | 1
  readonly side: Side
}

/**
 * Pieces of stock filled without any waste. Blocks are built up as far as that goes, to half of a sheet at least; from the
 * sheet blocks are taken away, edge to edge, until one block fills what is left: of the two sides of a cut one is never
 * more than half.
 */
export class TightSheets {
  readonly found: TightSheet[] = []
  private readonly blocks: TightBlocks
  private readonly seen = new Set<number>()

  constructor(private readonly problem: Problem) {
    this.blocks = new TightBlocks(problem)
  }

  get packing(): TightBlocks['packing'] {
    return this.blocks.packing
  }

  /** @returns whether these are all there are */
  find(reach: Reach, over: () => boolean): boolean {
    this.blocks.build(reach.blocks, over)
    const ended = this.problem.sheets.map((s, sheet) => s.count === 0 || this.takeAway(sheet, reach, over))
    const largest = Math.max(...this.problem.sheets.map((s) => s.area))
    return ended.every(Boolean) && this.blocks.upTo >= largest / 2
  }

  private takeAway(sheet: number, reach: Reach, over: () => boolean): boolean {
    const { l, w } = this.problem.sheets[sheet]!
    const all: Rest = { l, w, holds: this.packing.none(), name: 0, taken: null }
    this.close(sheet, all)
    const open = [all]
    const met = new Set<number>()
    let rests = 0
    const keep = (rest: Rest): void => {
      const name = known(rest.name, rest.l, rest.w)
      if (met.has(name)) return
      met.add(name)
      open.push(rest)
    }
    for (let rest = open.pop(); rest; rest = open.pop()) {
      if (this.found.length >= reach.sheets || rests++ > reach.rests || ((rests & 63) === 0 && over())) return false
      this.smaller(sheet, rest, 0, keep)
      this.smaller(sheet, rest, 1, keep)
    }
    return true
  }

  /** Takes one more block away, of a row in one order only. What one block may fill is closed, the rest is kept. */
  private smaller(sheet: number, from: Rest, axis: 0 | 1, keep: (rest: Rest) => void): void {
    const { l, w, taken: before } = from
    const least = before?.axis === axis ? before.side.block.number : 0
    const there = this.blocks.of(axis, axis === 0 ? w : l)
    if (!there) return
    for (const sides of there.sides)
      for (const side of sides) {
        const { block, along } = side
        if (block.area > (l * w) / 2 + SAME) break
        const rest = axis === 0 ? l - along : w - along
        const closes = rest * (axis === 0 ? w : l) <= this.blocks.upTo
        if (closes && !there.byLength.has(whole(rest))) continue
        if (block.number < least || !this.packing.both(from.holds, block.holds)) continue
        const size = axis === 0 ? { l: rest, w } : { l, w: rest }
        const holds = this.packing.sum(from.holds, block.holds)
        const name = (from.name + block.name) % PRIME
        const left = { ...size, holds, name, taken: { from, axis, side } }
        if (closes) this.close(sheet, left)
        else keep(left)
      }
  }

  /** Fills what is left of a sheet by one block. */
  private close(sheet: number, rest: Rest): void {
    for (const last of this.blocks.of(0, rest.w)?.byLength.get(whole(rest.l)) ?? []) {
      if (!this.packing.both(rest.holds, last.block.holds)) continue
      const name = (rest.name + last.block.name + sheet) % PRIME
      if (this.seen.has(name)) continue
      this.seen.add(name)
      this.found.push({ sheet, holds: this.packing.sum(rest.holds, last.block.holds), rest, last })
    }
  }

  /** The same as other full sheets are. */
  full({ sheet, holds, rest, last }: TightSheet): FullSheet {
    let all = { block: this.blockOf(last.block), turned: last.turned }
    for (let { taken } = rest; taken; { taken } = taken.from) {
      const { axis, side } = taken
      const { l, w } = taken.from
      const parts = [{ block: this.blockOf(side.block), turned: side.turned }, all] as const
      all = { block: { l, w, area: l * w, turns: false, made: { axis, parts } }, turned: false }
    }
    return { sheet, waste: 0, built: { block: all.block, counts: this.packing.counts(holds), waste: 0 } }
  }

  private blockOf({ l, w, area, turns, made }: TightBlock): Block {
    if (typeof made === 'number') return { l, w, area, turns, made: { piece: made } }
    const [a, b] = made.parts
    const parts = [
      { block: this.blockOf(a.block), turned: a.turned },
      { block: this.blockOf(b.block), turned: b.turned },
    ] as const
    return { l, w, area, turns, made: { axis: made.axis, parts } }
  }
}
