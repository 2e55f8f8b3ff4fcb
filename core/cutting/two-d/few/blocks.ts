import { firstWhere } from '../../by-halves'
import { SAME } from '../../instance'
import type { Shape } from '../sheets'
import type { Rectangle } from '../slicing/curves'
import { meet } from '../plain/bits'
import { twiceAsLong } from '../plain/longer'
import { ACROSS, ALONG, PIECE } from '../plain/lying'

/** What blocks may be. */
export interface May {
  /** The most parts in one: pieces, or blocks of pieces whose sides agree wherever they are joined. */
  readonly parts: number
  /** What one may waste less what its pieces are worth, mm². */
  readonly waste: number
  /** So much more each of its pieces may waste than it is worth, and all together, mm². */
  readonly each: Float64Array
  readonly base: number
  /** So much a join counts as waste whose sides don't agree, beside what it wastes, mm². */
  readonly fine: number
}

/**
 * Blocks of as many pieces in as many parts, also by how far they reach across each axis; the least that one takes along it, wastes
 * and may.
 */
interface Alike {
  readonly parts: number
  readonly all: Int32Array
  readonly byReach: readonly [along: Int32Array, across: Int32Array]
  readonly takes: readonly [along: number, across: number]
  readonly waste: number
  readonly each: number
}

/** There is room for so many at first. */
const FIRST = 2048

/** Sides that agree differ by no more than this, mm. */
export const AGREE = 0.05

/** Blocks of more pieces than parts are made as long as no more were tried than this, and as there are no more. */
const TRIED = 2_000_000
const ENOUGH = 40_000

/** The clock is asked once in so many blocks that are joined with others. */
const SELDOM = 64

/**
 * All blocks of a few parts that go into a sheet and waste no more than they may, in plain arrays: a hundred thousand take a
 * tenth of a second. Sides that agree were mostly one cut: blocks joined by such are one part, however many pieces that makes, and
 * there are but few of them. A row is made in one order only; which pieces a block holds are bits of some words.
 */
export class FewBlocks {
  l = new Float64Array(FIRST)
  w = new Float64Array(FIRST)
  /** What each wastes less what its pieces are worth, mm². */
  waste = new Float64Array(FIRST)
  axis = new Uint8Array(FIRST)
  /** What it is made of: two blocks, or a piece and whether it is turned. */
  one = new Int32Array(FIRST)
  other = new Int32Array(FIRST)
  /** How many parts each is made of. */
  parts = new Uint8Array(FIRST)
  /** Bits of the pieces, `words` of them for each block. */
  sets: Int32Array
  top = 0
  /** What the pieces of each may waste more than they are worth, mm². */
  private each = new Float64Array(FIRST)
  private tried = 0
  private joined = 0
  private isOver = false

  /**
   * @param words how many numbers the bits of a set take
   * @param most how many blocks may be made
   */
  constructor(
    private readonly sheet: Rectangle,
    readonly words: number,
    private readonly most: number,
  ) {
    this.sets = new Int32Array(FIRST * words)
  }

  /**
   * @param worth of each piece, mm²
   * @param over whether the time is up
   * @returns false where there are more blocks than may be made, or than there was time for
   */
  build(pieces: readonly Shape[], worth: Float64Array, may: May, over: () => boolean): boolean {
    const { sheet } = this
    pieces.forEach(({ l, w, turns }, piece) => {
      for (const turned of turns ? [false, true] : [false]) {
        const [length, width] = turned ? [w, l] : [l, w]
        if (length > sheet.l + SAME || width > sheet.w + SAME || this.top === this.most) continue
        this.sets[this.top * this.words + (piece >> 5)] = 1 << (piece & 31)
        const at = this.add(length, width, -worth[piece]!, PIECE, piece, Number(turned))
        ;[this.parts[at], this.each[at]] = [1, may.each[piece]!]
      }
    })
    const made = [this.alikeFrom(0, may.parts)]
    for (let count = 2; count <= pieces.length && this.goesOn(count, may); count++) {
      const first = this.top
      for (let larger = count - 1; 2 * larger >= count; larger--)
        this.joinEach(made[larger - 1]!, made[count - larger - 1]!, may, over)
      made.push(this.alikeFrom(first, may.parts))
    }
    return this.top < this.most && !this.isOver
  }

  /** Whether blocks of so many pieces are made. */
  private goesOn(count: number, may: May): boolean {
    return !this.isOver && (count <= may.parts || (this.tried < TRIED && this.top < ENOUGH))
  }

  /** All from one on, by how many parts they are made of. */
  private alikeFrom(first: number, most: number): Alike[] {
    const { l, w, waste, each } = this
    const from = Int32Array.from({ length: this.top - first }, (_, i) => first + i)
    return Array.from({ length: most }, (_, i) => i + 1).map((parts) => {
      const all = from.filter((i) => this.parts[i] === parts)
      const least = (of: Float64Array): number => all.reduce((least, i) => Math.min(least, of[i]!), Infinity)
      const by = (of: Float64Array): Int32Array => all.slice().sort((a, b) => of[a]! - of[b]!)
      return {
        parts,
        all,
        byReach: [by(w), by(l)],
        takes: [least(l), least(w)],
        waste: least(waste),
        each: all.reduce((most, i) => Math.max(most, each[i]!), -Infinity),
      }
    })
  }

  /** Joins blocks of so many pieces with such of no more, whatever parts they are made of. */
  private joinEach(some: readonly Alike[], others: readonly Alike[], may: May, over: () => boolean): void {
    for (const one of some)
      for (const other of others) {
        if (some === others && other.parts > one.parts) continue
        for (const axis of [ALONG, ACROSS]) this.joinAll(one, other, axis, may, over)
      }
  }

  /** Joins blocks with such as have no more pieces, and reach about as far across: as far, where they may be no part more. */
  private joinAll(larger: Alike, smaller: Alike, axis: number, may: May, over: () => boolean): void {
    const more = may.parts - larger.parts - smaller.parts
    if (more < -1 || larger.all.length === 0 || smaller.all.length === 0) return
    const { waste, each } = this
    const [takes, reaches] = axis === ALONG ? [this.l, this.w] : [this.w, this.l]
    const byReach = smaller.byReach[axis - 1]!
    for (const i of larger.all) {
      if (this.isOver || (this.joined++ % SELDOM === 0 && (this.isOver = over()))) return
      const spare = Math.min(may.waste, each[i]! + smaller.each + may.base) - waste[i]! - smaller.waste + SAME
      if (spare < 0) continue
      const furthest = reaches[i]! + (more < 0 ? AGREE : spare / takes[i]!)
      const nearest = reaches[i]! - (more < 0 ? AGREE : spare / smaller.takes[axis - 1]!)
      const first = firstWhere(byReach.length, (at) => reaches[byReach[at]!]! >= nearest)
      for (let k = first; k < byReach.length && reaches[byReach[k]!]! <= furthest; k++) {
        this.tried++
        this.join(i, byReach[k]!, axis, may)
        if (larger !== smaller) this.join(byReach[k]!, i, axis, may)
      }
    }
  }

  /** Joins two blocks that have no piece in common; a row is joined only with what comes after its last block. */
  private join(i: number, j: number, axis: number, may: May): void {
    const { waste, each, other, words, sheet, sets } = this
    if (this.top === this.most || this.axis[j] === axis || (this.axis[i] === axis ? other[i]! : i) >= j) return
    const [takes, reaches] = axis === ALONG ? [this.l, this.w] : [this.w, this.l]
    const gap = reaches[i]! - reaches[j]!
    const agree = Math.abs(gap) <= AGREE
    const beside = (gap < 0 ? -gap * takes[i]! : gap * takes[j]!) + (agree ? 0 : may.fine)
    const wasted = waste[i]! + waste[j]! + beside
    if (wasted > Math.min(may.waste, each[i]! + each[j]! + may.base)) return
    const long = takes[i]! + takes[j]!
    if (long > (axis === ALONG ? sheet.l : sheet.w) + SAME || meet(sets, i * words, sets, j * words, words)) return
    const parts = this.parts[i]! + this.parts[j]! - Number(agree)
    if (parts > may.parts) return
    const wide = Math.max(reaches[i]!, reaches[j]!)
    const at = this.add(axis === ALONG ? long : wide, axis === ALONG ? wide : long, wasted, axis, i, j)
    ;[this.parts[at], this.each[at]] = [parts, each[i]! + each[j]!]
    for (let k = 0; k < words; k++) this.sets[at * words + k] = sets[i * words + k]! | sets[j * words + k]!
  }

  /** @returns the place of one more */
  private add(l: number, w: number, waste: number, axis: number, one: number, other: number): number {
    if (this.top + 1 === this.l.length) this.grow()
    const at = this.top++
    ;[this.l[at], this.w[at], this.waste[at], this.axis[at]] = [l, w, waste, axis]
    ;[this.one[at], this.other[at]] = [one, other]
    return at
  }

  private grow(): void {
    ;[this.l, this.w] = [twiceAsLong(this.l), twiceAsLong(this.w)]
    ;[this.waste, this.each] = [twiceAsLong(this.waste), twiceAsLong(this.each)]
    ;[this.parts, this.axis, this.one, this.other, this.sets] = [
      twiceAsLong(this.parts),
      twiceAsLong(this.axis),
      twiceAsLong(this.one),
      twiceAsLong(this.other),
      twiceAsLong(this.sets),
    ]
  }
}
