import { below, shuffle, type Random } from '../../random'
import { exchange, meet } from '../plain/bits'
import { Found } from '../plain/found'
import { ACROSS, ALONG, lyingTaken } from '../plain/lying'
import type { Lying } from '../blocks'
import type { ExactBlocks } from './blocks'
import { exactly } from './by-size'
import { Reaching, shorterThan, type EquallyFar } from './reaching'

type Axis = typeof ALONG | typeof ACROSS

/** A block that was taken away from a sheet. */
interface Taken {
  readonly block: number
  readonly axis: Axis
}

/** A way to fill a sheet. */
interface Way {
  readonly taken: readonly Taken[]
  readonly last: number
}

/** What there is work for with each block that is taken away first: so many times what it would be if all got the same. */
const SHARE = 2

/** The clock is asked once in so many blocks. */
const SELDOM = 256

/**
 * Sheets that some of the pieces fill without waste: blocks are taken away from one edge to edge, until one fills the rest. Of what
 * there is work for each block that is the first has its share, in an order by chance: so no piece is in more of them for that.
 */
export class ExactSheets {
  readonly found: Found
  /** Whether these are all that there are of these blocks. */
  complete = true
  /** How many blocks were laid. */
  laid = 0
  private readonly ways: Way[] = []
  private readonly set: Int32Array
  private readonly taken: Taken[] = []
  private readonly reach: readonly [along: Reaching, across: Reaching]
  /** How many more blocks may be laid, and sheets be found, with the one taken away first. */
  private left = 0
  private room = 0

  constructor(
    private readonly blocks: ExactBlocks,
    private readonly random: Random,
    private readonly over: () => boolean,
  ) {
    this.found = new Found(blocks.words)
    this.set = new Int32Array(blocks.words)
    this.reach = [new Reaching(blocks, ALONG), new Reaching(blocks, ACROSS)]
  }

  /**
   * @param depth so many blocks are taken away at most
   * @param laid so many are laid in all, about
   * @param most no more are found than so many, about
   */
  list(depth: number, laid: number, most: number): void {
    const { length, width } = this.blocks
    const first = this.shuffled()
    let left = laid
    first.forEach((taken, i) => {
      const share = SHARE / (first.length - i)
      const work = Math.max(0, Math.ceil(share * left))
      this.left = work
      this.room = Math.ceil(share * (most - this.found.top))
      this.take(length, width, taken, depth)
      left -= work - this.left
      if (this.left === 0) this.complete = false
    })
  }

  /** Where the pieces of one of them lie, mm. */
  lyingIn(at: number): Lying[] {
    const { taken, last } = this.ways[at]!
    return lyingTaken(this.blocks, taken, last)
  }

  /** All blocks that may be taken away first. */
  private shuffled(): Taken[] {
    const { blocks, random } = this
    const all: Taken[] = []
    for (const axis of [ALONG, ACROSS] as const)
      for (const block of this.reaching(axis, blocks.length, blocks.width)?.blocks ?? []) all.push({ block, axis })
    shuffle(random, all)
    return all
  }

  /** Blocks that reach across a rectangle. */
  private reaching(axis: Axis, l: number, w: number): EquallyFar | undefined {
    return this.reach[axis - 1]!.across(axis === ALONG ? w : l)
  }

  /** Takes a block away from a rectangle, fills what is left by one more or takes more away. */
  private take(l: number, w: number, taken: Taken, depth: number): void {
    const { blocks } = this
    const { block, axis } = taken
    this.turn(block)
    this.taken.push(taken)
    if (axis === ALONG) this.fill(exactly(l - blocks.l[block]!), w, depth - 1, taken)
    else this.fill(l, exactly(w - blocks.w[block]!), depth - 1, taken)
    this.taken.pop()
    this.turn(block)
  }

  /** Of blocks that are taken away along the same axis one after the other each is no longer than the one before. */
  private fill(l: number, w: number, depth: number, before: Taken): void {
    const { blocks, random } = this
    for (const last of blocks.bySize.filling(w, l)) if (this.goesOn(last)) this.note(last)
    if (depth === 0) return
    for (const axis of [ALONG, ACROSS] as const) {
      const list = this.reaching(axis, l, w)
      if (!list) continue
      const shorter = shorterThan(list, axis === ALONG ? l : w)
      const count = axis === before.axis ? Math.min(shorter, this.reach[axis - 1]!.place[before.block]!) : shorter
      const from = below(random, count)
      for (let i = 0; i < count && this.left > 0; i++) {
        const block = list.blocks[from + i < count ? from + i : from + i - count]!
        if (this.goesOn(block)) this.take(l, w, { block, axis }, depth)
      }
    }
  }

  /** Counts one more that is laid. @returns whether there is work and time left for it, and its pieces are free */
  private goesOn(block: number): boolean {
    const { words, sets } = this.blocks
    if (this.left <= 0) return false
    this.left--
    this.laid++
    if (this.left % SELDOM === 0 && this.over()) this.left = 0
    return !meet(this.set, 0, sets, block * words, words)
  }

  private note(last: number): void {
    const { found, set } = this
    this.turn(last)
    if (this.room > 0 && found.at(set) < 0) {
      found.add(set, 0)
      this.ways.push({ taken: [...this.taken], last })
      if (--this.room === 0) this.left = 0
    }
    this.turn(last)
  }

  /** Puts the pieces of a block into the set, or takes them out. */
  private turn(block: number): void {
    const { words, sets } = this.blocks
    exchange(this.set, sets, block * words, words)
  }
}
