import TinyQueue from 'tinyqueue'
import { SAME } from '../../instance'
import { randomFrom } from '../../random'
import { knownBy, PRIME } from '../known-by'
import { meet, wordsFor } from '../plain/bits'
import { ACROSS, ALONG, PIECE } from '../plain/lying'
import type { Shape } from '../sheets'
import type { Rectangle } from '../slicing/curves'
import { ByReach, CELL } from './by-reach'

/** What a block may waste: a part of the area of its pieces and so much besides, mm², and no more than that, mm². */
export interface May {
  readonly share: number
  readonly base: number
  readonly most: number
}

/** Sizes are told apart by so many parts of a mm. */
const FINE = 8

/** What a block has in area beside its pieces is less than this part. */
const NEARLY = 1.1

/** The clock is asked once in so many blocks. */
const SELDOM = 64

/** So many pairs are looked at: where more blocks match than may be made most pairs are in vain. */
const PAIRS = 10_000_000

/**
 * All blocks of some pieces that waste little, in plain arrays: forty thousand take a fifth of a second. They are built on the smallest
 * first; a row is made in one order only, and of the same pieces in the same size one.
 */
export class CloseBlocks {
  readonly l: Float64Array
  readonly w: Float64Array
  /** Area of its pieces, mm², and what it wastes. */
  readonly net: Float64Array
  readonly waste: Float64Array
  readonly axis: Uint8Array
  /** What it is made of: two blocks, or a piece and whether it is turned. */
  readonly one: Int32Array
  readonly other: Int32Array
  /** How many pieces there are in it. */
  readonly pieces: Uint8Array
  /** Bits of the pieces, `words` of them for each block. */
  readonly sets: Int32Array
  readonly words: number
  top = 0
  /** There are no others. */
  complete = true
  /** Those that may be laid side by side along the length, by how wide they are, and the other way round. */
  readonly reach: readonly [along: ByReach, across: ByReach]
  /** No piece is thinner, mm. */
  readonly thinnest: number
  /** Of each block the number of its turn: with those joined that had theirs before. */
  private readonly turn: Int32Array
  private turns = 0
  private pairs = PAIRS
  private readonly name: Float64Array
  private readonly known = new Set<number>()
  private readonly waiting: TinyQueue<number>

  /**
   * @param all the pieces, no more than 255
   * @param sheet that they are to go into, mm
   * @param largest area of their pieces at most, mm²
   * @param most how many blocks are made at most
   */
  constructor(
    private readonly all: readonly Shape[],
    private readonly sheet: Rectangle,
    private readonly may: May,
    private readonly largest: number,
    private readonly most: number,
  ) {
    this.words = wordsFor(all.length)
    const numbers = (): Float64Array => new Float64Array(most)
    const indexes = (): Int32Array => new Int32Array(most)
    ;[this.l, this.w, this.net, this.waste, this.name] = [numbers(), numbers(), numbers(), numbers(), numbers()]
    ;[this.one, this.other, this.turn] = [indexes(), indexes(), indexes()]
    ;[this.axis, this.pieces] = [new Uint8Array(most), new Uint8Array(most)]
    this.sets = new Int32Array(most * this.words)
    this.reach = [new ByReach(this.l, this.w, sheet.w + 2 * SAME), new ByReach(this.w, this.l, sheet.l + 2 * SAME)]
    this.thinnest = all.reduce((least, s) => Math.min(least, s.l, s.w), Infinity)
    this.waiting = new TinyQueue<number>([], (a, b) => this.net[a]! - this.net[b]!)
  }

  /** Makes them all, or as many as may be or as there is time for. */
  build(over: () => boolean): void {
    this.addPieces()
    for (let block = this.waiting.pop(); block !== undefined; block = this.waiting.pop()) {
      if (this.complete && this.pairs > 0 && (this.turns % SELDOM !== 0 || !over())) {
        this.turn[block] = this.turns++
        for (const axis of [ALONG, ACROSS] as const) this.joinAll(block, axis)
      } else this.complete = false
      for (const reach of this.reach) reach.add(block)
    }
  }

  private addPieces(): void {
    const random = randomFrom(1)
    const { sheet } = this
    this.all.forEach(({ l, w, area, turns }, piece) => {
      const name = Math.floor(random() * PRIME)
      for (const turned of turns ? [false, true] : [false]) {
        const [length, width] = turned ? [w, l] : [l, w]
        if (length > sheet.l + SAME || width > sheet.w + SAME) continue
        const at = this.add(length, width, area, 0, name, PIECE, piece, Number(turned))
        if (at < 0) continue
        this.sets[at * this.words + (piece >> 5)] = 1 << (piece & 31)
        this.pieces[at] = 1
      }
    })
  }

  /** How many blocks were looked at for what goes into a rectangle. */
  get looks(): number {
    return this.reach[0].looks + this.reach[1].looks
  }

  /** What a block with some area of pieces may waste, mm². */
  private mayWaste(net: number): number {
    return Math.min(this.may.most, this.may.share * net + this.may.base)
  }

  /** Joins a block with all whose turn it was and that it matches: those have no larger pieces together. */
  private joinAll(block: number, axis: typeof ALONG | typeof ACROSS): void {
    const { net, waste, sheet, largest, thinnest, may } = this
    const reach = this.reach[axis - 1]!
    const [length, width] = axis === ALONG ? [sheet.l, sheet.w] : [sheet.w, sheet.l]
    const [takes, reaches] = [reach.along[block]!, reach.across[block]!]
    const spare = this.mayWaste(2 * net[block]!) - waste[block]!
    const own = may.share * net[block]! + may.base - waste[block]!
    const longest = length + SAME - takes
    const room = NEARLY * (largest - net[block]!)
    const widest = reach.upTo(Math.min(width + SAME, reaches + spare / takes))
    for (let size = reach.upTo(reaches) + 1; size <= widest; size++)
      this.joinEach(block, axis, size, Math.min(longest, room / (size * CELL)))
    for (let size = reach.upTo(reaches); size >= 0; size--) {
      const gap = reaches - (size + 1) * CELL
      // what the other is allowed for itself is a part of its own area
      const beyond = gap - may.share * (size + 1) * CELL
      if (gap * thinnest > spare || beyond * thinnest > own) return
      const short = Math.min(gap > 0 ? spare / gap : Infinity, beyond > 0 ? own / beyond : Infinity)
      this.joinEach(block, axis, size, Math.min(longest, room / Math.max(1, size * CELL), short))
    }
  }

  private joinEach(block: number, axis: typeof ALONG | typeof ACROSS, size: number, longest: number): void {
    const { net, waste, turn, words, sets, largest } = this
    const { along, across } = this.reach[axis - 1]!
    const list = this.reach[axis - 1]!.within(size, longest)
    if (!list) return
    const [takes, reaches] = [along[block]!, across[block]!]
    const isRow = this.axis[block] === axis
    for (let i = 0; i < list.length; i++) {
      const other = list[i]!
      if (along[other]! > longest || this.pairs-- <= 0) return
      const both = net[block]! + net[other]!
      const gap = reaches - across[other]!
      const wasted = waste[block]! + waste[other]! + (gap > 0 ? gap * along[other]! : -gap * takes)
      if (both > largest || wasted > this.mayWaste(both)) continue
      if (isRow && (this.axis[other] === axis || turn[this.other[block]!]! > turn[other]!)) continue
      if (meet(sets, block * words, sets, other * words, words)) continue
      const [first, second] = isRow ? [block, other] : [other, block]
      const [long, wide] = [takes + along[other]!, Math.max(reaches, across[other]!)]
      this.put(first, second, axis, axis === ALONG ? long : wide, axis === ALONG ? wide : long, both, wasted)
    }
  }

  private put(one: number, other: number, axis: number, l: number, w: number, net: number, waste: number): void {
    const { sets, words } = this
    const at = this.add(l, w, net, waste, (this.name[one]! + this.name[other]!) % PRIME, axis, one, other)
    if (at < 0) return
    for (let k = 0; k < words; k++) sets[at * words + k] = sets[one * words + k]! | sets[other * words + k]!
    this.pieces[at] = this.pieces[one]! + this.pieces[other]!
  }

  /** @returns its number; -1 where there is the same already, or as many as may be */
  private add(
    l: number,
    w: number,
    net: number,
    waste: number,
    name: number,
    axis: number,
    one: number,
    other: number,
  ): number {
    const known = knownBy(name, Math.round(l * FINE), Math.round(w * FINE))
    if (this.known.has(known)) return -1
    if (this.top === this.most) {
      this.complete = false
      return -1
    }
    this.known.add(known)
    const at = this.top++
    ;[this.l[at], this.w[at], this.net[at], this.waste[at], this.name[at]] = [l, w, net, waste, name]
    ;[this.axis[at], this.one[at], this.other[at]] = [axis, one, other]
    this.waiting.push(at)
    return at
  }
}
