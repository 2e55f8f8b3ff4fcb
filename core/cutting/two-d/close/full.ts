import { SAME } from '../../instance'
import type { FullSheet } from '../build-up'
import { exchange, has, meet, wordsFor } from '../plain/bits'
import { Found } from '../plain/found'
import type { Problem } from '../sheets'
import { ACROSS, ALONG } from '../plain/lying'
import { CloseBlocks, type May } from './blocks'
import { blockOf, inOrder, type Taken } from './way'

/** A block of a sheet is no larger than this part of it: of the two sides of a cut one is no more than half. */
const HALF = 0.51

/** So many blocks are taken away from a sheet before one fills the rest. */
const DEPTH = 3

/** What is taken away from a sheet may waste this part of what the sheet may, and as much more as it takes of it. */
const AT_LEAST = 0.05

/** How far it goes: blocks that are made, those that are laid, those that are looked at for it, and sheets. */
export interface Effort {
  readonly blocks: number
  readonly laid: number
  readonly looks: number
  readonly sheets: number
  readonly over: () => boolean
}

/** How a sheet was filled. */
interface Way {
  readonly taken: Taken
  readonly last: number
}

/**
 * Sheets of one kind that some of the pieces fill with little waste: blocks are taken away from a sheet edge to edge, until one
 * fills the rest.
 */
export class CloseSheets {
  private readonly blocks: CloseBlocks
  private readonly found: Found
  private readonly ways: Way[] = []
  private readonly pieces: Uint8Array
  private readonly set: Int32Array
  private readonly most: number
  private left: number
  private held = 0

  /**
   * @param kind of the sheet
   * @param may what a block may waste; a sheet may waste the most that one may
   */
  constructor(
    private readonly problem: Problem,
    private readonly kind: number,
    may: May,
    private readonly effort: Effort,
  ) {
    const { shapes, pieces } = problem
    const all = pieces.map((p) => shapes[p]!)
    const sheet = problem.sheets[kind]!
    this.most = may.most
    this.left = effort.laid
    this.blocks = new CloseBlocks(all, sheet, may, HALF * sheet.area, effort.blocks)
    this.found = new Found(wordsFor(all.length))
    this.pieces = new Uint8Array(effort.sheets)
    this.set = new Int32Array(wordsFor(all.length))
  }

  /** @returns whether these are all there are that are made of such blocks */
  find(): boolean {
    const { sheet } = this
    this.blocks.build(this.effort.over)
    this.takeAway(sheet.l + SAME / 2, sheet.w + SAME / 2, 0, null)
    return this.blocks.complete && this.left > 0
  }

  /** How many sheets were found. */
  get count(): number {
    return this.ways.length
  }

  /** How many blocks there are. */
  get built(): number {
    return this.blocks.top
  }

  /** What one of them wastes, mm². */
  wasteOf(at: number): number {
    return this.found.waste[at]!
  }

  /** How many pieces it takes. */
  piecesOf(at: number): number {
    return this.pieces[at]!
  }

  /** One of them, by its number from 0, the same as full sheets of other ways are. */
  fullSheet(at: number): FullSheet {
    const { problem, blocks, found, kind } = this
    const { taken, last } = this.ways[at]!
    const shapeOf = (piece: number) => [problem.shapes[problem.pieces[piece]!]!, problem.pieces[piece]!] as const
    const counts = new Uint16Array(problem.shapes.length)
    problem.pieces.forEach((shape, piece) => (counts[shape]! += Number(has(found.sets, at * found.words, piece))))
    const { l, w } = this.sheet
    const fill = (rest: readonly Taken[], long: number, wide: number): ReturnType<typeof blockOf> => {
      const [next, ...more] = rest
      if (!next) return blockOf(blocks, last, shapeOf)
      const one = blockOf(blocks, next.block, shapeOf)
      const other =
        next.axis === ALONG
          ? fill(more, long - blocks.l[next.block]!, wide)
          : fill(more, long, wide - blocks.w[next.block]!)
      const made = { axis: next.axis === ALONG ? 0 : 1, parts: [one, other] } as const
      return { block: { l: long, w: wide, area: long * wide, turns: false, made }, turned: false }
    }
    const { block } = fill(inOrder(taken), l, w)
    const waste = found.waste[at]!
    return { sheet: kind, waste, built: { block, counts, waste } }
  }

  private get sheet(): Problem['sheets'][number] {
    return this.problem.sheets[this.kind]!
  }

  /** Fills what is left of the sheet by one block, or takes one more away: of two along the same axis the order is settled. */
  private takeAway(l: number, w: number, waste: number, taken: Taken | null): void {
    const { blocks, most } = this
    if (blocks.looks > this.effort.looks) this.left = 0
    if (this.left <= 0) return
    if (taken) {
      blocks.reach[0].filling(l, w, most - waste, (last) => {
        const wasted = waste + l * w - blocks.l[last]! * blocks.w[last]! + blocks.waste[last]!
        if (wasted <= most && this.isFree(last) && this.goesOn()) this.note(wasted, { taken, last })
      })
    }
    if (taken && depthOf(taken) === DEPTH) return
    for (const axis of [ALONG, ACROSS] as const) {
      const [length, width] = axis === ALONG ? [l, w] : [w, l]
      const { along, across } = blocks.reach[axis - 1]!
      const longest = taken ? length : length * HALF
      const spare = this.mayWaste(l * w) - waste
      blocks.reach[axis - 1]!.reaching(longest, width, spare, blocks.thinnest, (block) => {
        const rest = length - along[block]!
        const wasted = waste + blocks.waste[block]! + (width - across[block]!) * along[block]!
        if (wasted > this.mayWaste(rest * width) || blocks.axis[block] === axis) return
        if ((taken?.axis === axis && block < taken.block) || !this.isFree(block) || !this.goesOn()) return
        this.turn(block, 1)
        const now = { block, axis, before: taken }
        this.takeAway(axis === ALONG ? rest : l, axis === ALONG ? w : rest, wasted, now)
        this.turn(block, -1)
      })
    }
  }

  /** What may be wasted before so much of the sheet is left, mm². */
  private mayWaste(rest: number): number {
    return this.most * Math.min(1, 1 + AT_LEAST - rest / this.sheet.area)
  }

  private note(waste: number, way: Way): void {
    const { found, effort } = this
    this.turn(way.last, 1)
    const known = found.at(this.set)
    if (known < 0 && found.top < effort.sheets) {
      found.add(this.set, waste)
      this.pieces[this.ways.length] = this.held
      this.ways.push(way)
    } else if (known >= 0 && waste < found.waste[known]!) {
      found.add(this.set, waste)
      this.ways[known] = way
    }
    this.turn(way.last, -1)
    if (found.top === effort.sheets) this.left = 0
  }

  /** Counts one more that is laid. @returns whether there is work and time left for it */
  private goesOn(): boolean {
    if (this.left-- > 0 && ((this.left & 255) !== 0 || !this.effort.over())) return true
    this.left = 0
    return false
  }

  private isFree(block: number): boolean {
    const { words, sets } = this.blocks
    return !meet(this.set, 0, sets, block * words, words)
  }

  /** Puts the pieces of a block into the set, or takes them out. */
  private turn(block: number, times: 1 | -1): void {
    const { words, sets, pieces } = this.blocks
    this.held += times * pieces[block]!
    exchange(this.set, sets, block * words, words)
  }
}

const depthOf = (taken: Taken | null): number => (taken ? 1 + depthOf(taken.before) : 0)
