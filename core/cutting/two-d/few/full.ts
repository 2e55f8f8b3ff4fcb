import { SAME } from '../../instance'
import { shuffle, type Random } from '../../random'
import type { Shape } from '../sheets'
import type { Rectangle } from '../slicing/curves'
import { exchange, meet, wordsFor } from '../plain/bits'
import { leastFirst } from '../plain/least-first'
import { ACROSS, ALONG } from '../plain/lying'
import { AGREE, FewBlocks, type May } from './blocks'
import { Pile } from './pile'
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

/** Some blocks that waste about as much. */
interface Alike {
  /** All by their length and how far they reach across. */
  readonly all: Sizes
  /** Those that may be taken away along an axis, by what they take along it and how far they reach across: all but rows along it. */
  readonly taken: readonly [along: Sizes, across: Sizes]
}

/**
 * What is taken away may waste more than a full sheet as long as so much of the sheet is left, in parts of it; then the less the less
 * is left.
 */
const MUCH_LEFT = 0.6

/** Each block that is taken away first has work for so many blocks at least, as long as there is any. */
const LEAST_EACH = 500

/** A full sheet that is told counts as so many blocks: of very many, as long as little is known of what pieces are worth, some do. */
const TOLD = 20

/**
 * One that is looked at, for it might go in by its size, counts as such a part of a block: that is how long it takes. Mostly ten are
 * looked at for one that is laid, but at times thousands.
 */
const LOOKED_AT = 0.002

/** How far it goes. */
export interface Effort {
  /** How many blocks are laid at most: taken away from a sheet, or filling the rest of it; as some more where that makes it full. */
  readonly blocks: number
  /** Where it is told all that are taken away first have as much of the work each, by chance; else those that come first. */
  readonly random?: Random
  /** So many at most are taken away from a sheet before one fills the rest. */
  readonly depth: number
  readonly over: () => boolean
}

/** Is told a set, good until it returns, what it wastes less what its pieces are worth, mm², and how. */
type At = (set: Int32Array, waste: number, way: () => Way) => void

type Axis = typeof ALONG | typeof ACROSS

/** The clock is asked once in so many of them. */
const SELDOM = 256

/**
 * All sets of few pieces that fill a sheet and waste little more than they are worth: blocks of a few are taken away from it edge
 * to edge, until one fills the rest. Of two that are taken away along the same axis one after the other the order is settled.
 */
export class FullOfFew {
  readonly blocks: FewBlocks
  private readonly alike: readonly Alike[]
  /** Whether there are no more blocks than may be made, and all are: else no sheets are found. */
  readonly isComplete: boolean
  private readonly set: Int32Array
  private readonly taken: { block: number; axis: number }[] = []
  /** The shortest side of all pieces, mm: what is narrower takes none. */
  private readonly shortest: number
  /** How many more may be laid; so many of them by those that come later. */
  private left = 0
  private reserved = 0
  /** Whether all were gone through. */
  private isAll = true
  private laid = 0
  private depth = 0
  private readonly pile = new Pile()
  private over = (): boolean => false

  /**
   * @param worth of each piece, mm²
   * @param limit what a sheet may waste less what its pieces are worth, mm²
   * @param may what blocks may be: what is taken away from a sheet together is held to the waste of one
   * @param over whether the time for making blocks is up
   */
  constructor(
    pieces: readonly Shape[],
    worth: Float64Array,
    private readonly sheet: Rectangle,
    private readonly limit: number,
    private readonly may: May,
    over: () => boolean,
  ) {
    const words = wordsFor(pieces.length)
    this.blocks = new FewBlocks(sheet, words, MOST_BLOCKS)
    this.isComplete = this.blocks.build(pieces, worth, may, over)
    this.alike = alike(this.blocks)
    this.set = new Int32Array(words)
    this.shortest = pieces.reduce((least, { l, w }) => Math.min(least, l, w), Infinity)
  }

  /**
   * Goes through all of them, until so many blocks were laid or the time is up.
   * @param at is told each set, some more than once
   * @returns how many more might have been laid; 0 where it didn't come to its end
   */
  all({ blocks, random, depth, over }: Effort, at: At): number {
    if (!this.isComplete) return 0
    ;[this.left, this.reserved, this.isAll, this.depth, this.over] = [blocks, 0, true, depth, over]
    const [l, w] = [this.sheet.l + SAME / 2, this.sheet.w + SAME / 2]
    if (random) this.share(l, w, random, at)
    else this.takeAway(l, w, 0, 0, -1, (block, now, wasted) => this.take(block, now, l, w, wasted, at))
    return this.isAll ? Math.max(0, this.left) : 0
  }

  /**
   * Takes away each block that may be the first, in an order by chance: what one leaves of its share of the work others have. With
   * those that came to the end of it it is begun anew as long as work is left.
   */
  private share(l: number, w: number, random: Random, at: At): void {
    let first: { block: number; axis: Axis; wasted: number }[] = []
    this.takeAway(l, w, 0, 0, -1, (block, axis, wasted) => first.push({ block, axis, wasted }))
    shuffle(random, first)
    while (first.length > 0 && this.left > 0)
      first = first.filter(({ block, axis, wasted }, i) => {
        if (this.left <= 0) return true
        this.reserved = Math.max(0, this.left - Math.max(LEAST_EACH, this.left / (first.length - i)))
        this.isAll = true
        this.take(block, axis, l, w, wasted, at)
        return !this.isAll
      })
  }

  /** Fills a rest. @param axis along which a block was taken away last, and which */
  private fill(l: number, w: number, waste: number, axis: number, block: number, at: At): void {
    const { blocks, taken, pile } = this
    const rest = this.limit - waste
    const from = pile.top
    for (const { all } of this.alike) all.filling(l, w, rest, pile)
    this.countLooked()
    for (let i = from; i < pile.top && !this.isSpent(); i++) {
      const last = pile.blocks[i]!
      if (!this.isFree(last)) continue
      const [long, wide] = [blocks.l[last]!, blocks.w[last]!]
      const wasted = blocks.waste[last]! + l * w - long * wide + this.fined(l - long) + this.fined(w - wide)
      if (wasted > rest || !this.goesOn()) continue
      this.left -= TOLD
      this.turn(last)
      at(this.set, waste + wasted, () => ({ taken: [...taken], last }))
      this.turn(last)
    }
    pile.top = from
    if (taken.length === this.depth) return
    this.takeAway(l, w, waste, axis, block, (next, now, wasted) => this.take(next, now, l, w, waste + wasted, at))
  }

  /**
   * All blocks that may be taken away from a rest.
   * @param axis along which one was taken away last, and which
   * @param at is told each, along which axis and what that wastes, mm²
   */
  private takeAway(
    l: number,
    w: number,
    waste: number,
    axis: number,
    block: number,
    at: (block: number, axis: Axis, wasted: number) => void,
  ): void {
    const { blocks, limit, may, sheet, shortest, pile } = this
    const spare = may.waste - waste
    const muchLeft = MUCH_LEFT * sheet.l * sheet.w
    for (const now of [ALONG, ACROSS] as const) {
      const [length, width] = now === ALONG ? [l, w] : [w, l]
      const [takes, reaches] = now === ALONG ? [blocks.l, blocks.w] : [blocks.w, blocks.l]
      const from = pile.top
      for (const { taken } of this.alike) taken[now - 1]!.reaching(length - shortest, width, spare, pile)
      this.countLooked()
      for (let i = from; i < pile.top && !this.isSpent(); i++) {
        const one = pile.blocks[i]!
        if ((axis === now && one < block) || !this.isFree(one)) continue
        const left = length - takes[one]!
        const gap = width - reaches[one]!
        const wasted = blocks.waste[one]! + gap * takes[one]! + this.fined(gap)
        if (wasted > spare) continue
        if (waste + wasted <= limit + (may.waste - limit) * Math.min(1, (left * width) / muchLeft)) at(one, now, wasted)
      }
      pile.top = from
    }
  }

  /** Takes away a block from a rest, and fills what that leaves. @param waste what all that is taken away wastes then, mm² */
  private take(block: number, axis: Axis, l: number, w: number, waste: number, at: At): void {
    const { blocks, taken } = this
    if (!this.goesOn()) return
    this.turn(block)
    taken.push({ block, axis })
    if (axis === ALONG) this.fill(l - blocks.l[block]!, w, waste, axis, block, at)
    else this.fill(l, w - blocks.w[block]!, waste, axis, block, at)
    taken.pop()
    this.turn(block)
  }

  /** What counts as waste beside a gap of so many mm, mm². */
  private fined(gap: number): number {
    return gap > AGREE ? this.may.fine : 0
  }

  /** Counts those that were looked at. */
  private countLooked(): void {
    this.left -= LOOKED_AT * this.pile.looked
    this.pile.looked = 0
  }

  /** Whether no work is left: then not all are gone through. */
  private isSpent(): boolean {
    if (this.left > this.reserved) return false
    this.isAll = false
    return true
  }

  /** Counts one more that is laid. @returns whether there is time left for it */
  private goesOn(): boolean {
    if (++this.laid % SELDOM !== 0 || !this.over()) {
      this.left--
      return true
    }
    // nor for any other
    ;[this.left, this.reserved, this.isAll] = [0, 0, false]
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
function alike({ top, l, w, waste, axis }: FewBlocks): Alike[] {
  const order = leastFirst(waste, top)
  const parts = waste[order[0]!]! < 0 ? PARTS : [1]
  const butRows = (blocks: Int32Array, along: Axis): Int32Array => blocks.filter((at) => axis[at] !== along)
  const some = parts.map((part, i) => order.subarray(Math.ceil((parts[i - 1] ?? 0) * top), Math.ceil(part * top)))
  return some
    .filter((blocks) => blocks.length > 0)
    .map((blocks) => ({
      all: new Sizes(blocks, l, w, waste),
      taken: [new Sizes(butRows(blocks, ALONG), l, w, waste), new Sizes(butRows(blocks, ACROSS), w, l, waste)],
    }))
}
