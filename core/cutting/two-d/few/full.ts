import { SAME } from '../../instance'
import type { Shape } from '../sheets'
import type { Rectangle } from '../slicing/curves'
import { exchange, meet, wordsFor } from '../plain/bits'
import { ACROSS, ALONG } from '../plain/lying'
import { FewBlocks, type May } from './blocks'
import { Sizes } from './sizes'

/** The most blocks that are made. */
const MOST_BLOCKS = 1 << 17

/** A way to fill a sheet: blocks that are taken away from it edge to edge, each along one axis, and the block that fills what is left. */
export interface Way {
  readonly taken: readonly { readonly block: number; readonly axis: number }[]
  readonly last: number
}

/**
 * Blocks that waste about as much less than their pieces are worth lie together: the least of all so many in a hundred, and so on.
 * A few waste far less than nothing then, and for their sake alone all others need not be looked at.
 */
const PARTS = [0.02, 0.1, 0.3, 0.6, 1]

/** Some blocks, none of which wastes less than so much, mm², by their length and by their width. */
interface Alike {
  readonly least: number
  readonly along: Sizes
  readonly across: Sizes
}

/** How far it goes. */
export interface Effort {
  /** How many blocks are laid at most: taken away from a sheet, or filling the rest of it. */
  readonly blocks: number
  /** So many at most are taken away from a sheet before one fills the rest. */
  readonly depth: number
  readonly over: () => boolean
}

/** Is told a set, good until it returns, what it wastes less what its pieces are worth, mm², and how. */
type At = (set: Int32Array, waste: number, way: () => Way) => void

/** The clock is asked once in so many of them. */
const SELDOM = 256

/**
 * All sets of few pieces that fill a sheet and waste little more than they are worth: blocks of a few are taken away from it edge
 * to edge, until one fills the rest. Of two that are taken away along the same axis one after the other the order is settled.
 */
export class FullOfFew {
  readonly blocks: FewBlocks
  private readonly alike: readonly Alike[]
  /** Whether there are no more blocks than may be made: else no sheets are found. */
  readonly isComplete: boolean
  private readonly set: Int32Array
  private readonly taken: { block: number; axis: number }[] = []
  private left = 0
  private laid = 0
  private depth = 0
  private over = (): boolean => false

  /**
   * @param worth of each piece, mm²
   * @param limit what a sheet may waste less what its pieces are worth, mm²
   * @param may what blocks may be: what is taken away from a sheet together is held to the waste of one
   */
  constructor(
    pieces: readonly Shape[],
    worth: Float64Array,
    private readonly sheet: Rectangle,
    private readonly limit: number,
    private readonly may: May,
  ) {
    const words = wordsFor(pieces.length)
    this.blocks = new FewBlocks(sheet, words, MOST_BLOCKS)
    this.isComplete = this.blocks.build(pieces, worth, may)
    this.alike = alike(this.blocks)
    this.set = new Int32Array(words)
  }

  /**
   * Goes through all of them, until so many blocks were laid or the time is up.
   * @param at is told each set, some more than once
   * @returns how many more might have been laid; 0 where it didn't come to its end
   */
  all({ blocks, depth, over }: Effort, at: At): number {
    if (!this.isComplete) return 0
    ;[this.left, this.depth, this.over] = [blocks, depth, over]
    this.fill(this.sheet.l + SAME / 2, this.sheet.w + SAME / 2, 0, 0, -1, at)
    return Math.max(0, this.left)
  }

  /** @param axis along which a block was taken away last, and which */
  private fill(l: number, w: number, waste: number, axis: number, block: number, at: At): void {
    const { blocks, set, taken } = this
    const rest = this.limit - waste
    const lay = (last: number): void => {
      const wasted = l * w - blocks.l[last]! * blocks.w[last]! + blocks.waste[last]!
      if (wasted > rest || !this.isFree(last) || !this.goesOn()) return
      this.turn(last)
      at(set, waste + wasted, () => ({ taken: [...taken], last }))
      this.turn(last)
    }
    if (taken.length > 0)
      for (const { least, along } of this.alike) if (least <= rest) along.filling(l, w, rest - least, lay)
    if (taken.length === this.depth) return
    const spare = this.may.waste - waste
    for (const now of [ALONG, ACROSS] as const) {
      const [length, width] = now === ALONG ? [l, w] : [w, l]
      const [takes, reaches] = now === ALONG ? [blocks.l, blocks.w] : [blocks.w, blocks.l]
      const take = (next: number): void => {
        const wasted = blocks.waste[next]! + (width - reaches[next]!) * takes[next]!
        if (wasted > spare || blocks.axis[next] === now || (axis === now && next < block) || !this.isFree(next)) return
        if (!this.goesOn()) return
        this.turn(next)
        taken.push({ block: next, axis: now })
        const left = length - takes[next]!
        this.fill(now === ALONG ? left : l, now === ALONG ? w : left, waste + wasted, now, next, at)
        taken.pop()
        this.turn(next)
      }
      for (const { least, along, across } of this.alike)
        if (least <= spare) (now === ALONG ? along : across).reaching(length, width, spare - least, take)
    }
  }

  /** Counts one more that is laid. @returns whether there is work and time left for it */
  private goesOn(): boolean {
    if (this.left-- > 0 && (++this.laid % SELDOM !== 0 || !this.over())) return true
    this.left = 0
    return false
  }

  private isFree(block: number): boolean {
    const { words, sets } = this.blocks
    return !meet(this.set, 0, sets, block * words, words)
  }

  /** Puts the pieces of a block into the set, or takes them out. */
  private turn(block: number): void {
    const { words, sets } = this.blocks
    exchange(this.set, sets, block * words, words)
  }
}

/** Blocks by what they waste, about, and by their sizes; all together where none of their pieces is worth anything. */
function alike({ top, l, w, waste }: FewBlocks): Alike[] {
  const order = Int32Array.from({ length: top }, (_, i) => i).sort((a, b) => waste[a]! - waste[b]!)
  const parts = waste[order[0]!]! < 0 ? PARTS : [1]
  const some = parts.map((part, i) => order.subarray(Math.ceil((parts[i - 1] ?? 0) * top), Math.ceil(part * top)))
  return some
    .filter((blocks) => blocks.length > 0)
    .map((blocks) => ({ least: waste[blocks[0]!]!, along: new Sizes(blocks, l, w), across: new Sizes(blocks, w, l) }))
}
