import { SAME } from '../../instance'
import type { Shape } from '../sheets'
import type { Rectangle } from '../slicing/curves'
import { exchange, meet, wordsFor } from '../plain/bits'
import { ACROSS, ALONG } from '../plain/lying'
import { FewBlocks } from './blocks'
import { Sizes } from './sizes'

/** The most blocks that are made. */
const MOST_BLOCKS = 1 << 17

/** So many blocks at most are taken away from a sheet before one fills the rest. */
const DEPTH = 3

/** A way to fill a sheet: blocks that are taken away from it edge to edge, each along one axis, and the block that fills what is left. */
export interface Way {
  readonly taken: readonly { readonly block: number; readonly axis: number }[]
  readonly last: number
}

/** How many blocks are laid at most: taken away from a sheet, or filling the rest of it. */
export interface Effort {
  readonly blocks: number
  readonly over: () => boolean
}

/** Is told a set, good until it returns, what it wastes in mm², and how. */
type At = (set: Int32Array, waste: number, way: () => Way) => void

/** The clock is asked once in so many of them. */
const SELDOM = 256

/**
 * All sets of few pieces that fill a sheet with little waste: blocks of up to three pieces are taken away from it edge to edge,
 * until one fills the rest. Of two that are taken away along the same axis one after the other the order is settled.
 */
export class FullOfFew {
  readonly blocks: FewBlocks
  /** Blocks by their length, and by their width. */
  private readonly along: Sizes
  private readonly across: Sizes
  private readonly complete: boolean
  private readonly set: Int32Array
  private readonly taken: { block: number; axis: number }[] = []
  private left = 0
  private over = (): boolean => false

  /** @param limit what a sheet may waste, mm² */
  constructor(
    pieces: readonly Shape[],
    private readonly sheet: Rectangle,
    private readonly limit: number,
  ) {
    const words = wordsFor(pieces.length)
    this.blocks = new FewBlocks(sheet, words, MOST_BLOCKS)
    this.complete = this.blocks.build(pieces, limit)
    const { top, l, w } = this.blocks
    this.along = new Sizes(top, l, w)
    this.across = new Sizes(top, w, l)
    this.set = new Int32Array(words)
  }

  /**
   * Goes through all of them, until so many blocks were laid or the time is up.
   * @param at is told each set, some more than once
   * @returns whether it came to its end
   */
  all({ blocks, over }: Effort, at: At): boolean {
    if (!this.complete) return false
    ;[this.left, this.over] = [blocks, over]
    this.fill(this.sheet.l + SAME / 2, this.sheet.w + SAME / 2, 0, 0, -1, at)
    return this.left > 0
  }

  /** @param axis along which a block was taken away last, and which */
  private fill(l: number, w: number, waste: number, axis: number, block: number, at: At): void {
    const spare = this.limit - waste
    const { blocks, set, taken } = this
    if (taken.length > 0)
      this.along.filling(l, w, spare, (last) => {
        const wasted = l * w - blocks.l[last]! * blocks.w[last]! + blocks.waste[last]!
        if (wasted > spare || !this.isFree(last) || !this.goesOn()) return
        this.turn(last)
        at(set, waste + wasted, () => ({ taken: [...taken], last }))
        this.turn(last)
      })
    if (taken.length === DEPTH) return
    for (const now of [ALONG, ACROSS] as const) {
      const [length, width] = now === ALONG ? [l, w] : [w, l]
      const [takes, reaches] = now === ALONG ? [blocks.l, blocks.w] : [blocks.w, blocks.l]
      const sizes = now === ALONG ? this.along : this.across
      sizes.reaching(length, width, spare, (next) => {
        const wasted = blocks.waste[next]! + (width - reaches[next]!) * takes[next]!
        if (wasted > spare || blocks.axis[next] === now || (axis === now && next < block) || !this.isFree(next)) return
        if (!this.goesOn()) return
        this.turn(next)
        taken.push({ block: next, axis: now })
        const rest = length - takes[next]!
        this.fill(now === ALONG ? rest : l, now === ALONG ? w : rest, waste + wasted, now, next, at)
        taken.pop()
        this.turn(next)
      })
    }
  }

  /** Counts one more that is laid. @returns whether there is work and time left for it */
  private goesOn(): boolean {
    if (this.left-- > 0 && (this.left % SELDOM !== 0 || !this.over())) return true
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
