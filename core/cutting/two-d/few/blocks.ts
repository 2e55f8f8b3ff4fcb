import { firstWhere } from '../../by-halves'
import { SAME } from '../../instance'
import type { Shape } from '../sheets'
import type { Rectangle } from '../slicing/curves'
import { meet } from '../plain/bits'
import { twiceAsLong } from '../plain/longer'
import { ACROSS, ALONG, PIECE } from '../plain/lying'

/** What blocks may be. */
export interface May {
  /** The most pieces in one. */
  readonly pieces: number
  /** What one may waste less what its pieces are worth, mm². */
  readonly waste: number
  /** So much more each of its pieces may waste than it is worth, and all together, mm². */
  readonly each: Float64Array
  readonly base: number
}

/** Blocks of as many pieces, also by how far they reach across each axis; the least that one takes along it, wastes and may. */
interface Alike {
  readonly all: Int32Array
  readonly byReach: readonly [along: Int32Array, across: Int32Array]
  readonly takes: readonly [along: number, across: number]
  readonly waste: number
  readonly each: number
}

/** There is room for so many at first. */
const FIRST = 2048

/**
 * All blocks of a few pieces that go into a sheet and waste no more than they may, in plain arrays: a hundred thousand take a
 * tenth of a second. A row is made in one order only; which pieces a block holds are bits of some words.
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
  /** Bits of the pieces, `words` of them for each block. */
  sets: Int32Array
  top = 0
  /** What the pieces of each may waste more than they are worth, mm². */
  private each = new Float64Array(FIRST)

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
   * @returns false where there are more blocks than may be made
   */
  build(pieces: readonly Shape[], worth: Float64Array, may: May): boolean {
    const { sheet } = this
    pieces.forEach(({ l, w, turns }, piece) => {
      for (const turned of turns ? [false, true] : [false]) {
        const [length, width] = turned ? [w, l] : [l, w]
        if (length > sheet.l + SAME || width > sheet.w + SAME || this.top === this.most) continue
        this.sets[this.top * this.words + (piece >> 5)] = 1 << (piece & 31)
        this.add(length, width, -worth[piece]!, may.each[piece]!, PIECE, piece, Number(turned))
      }
    })
    const alike = [this.alikeFrom(0)]
    for (let count = 2; count <= may.pieces; count++) {
      const first = this.top
      for (let larger = count - 1; 2 * larger >= count; larger--)
        for (const axis of [ALONG, ACROSS]) this.joinAll(alike[larger - 1]!, alike[count - larger - 1]!, axis, may)
      alike.push(this.alikeFrom(first))
    }
    return this.top < this.most
  }

  /** All from one on. */
  private alikeFrom(first: number): Alike {
    const { l, w, waste, each } = this
    const all = Int32Array.from({ length: this.top - first }, (_, i) => first + i)
    const least = (of: Float64Array): number => all.reduce((least, i) => Math.min(least, of[i]!), Infinity)
    const by = (of: Float64Array): Int32Array => all.slice().sort((a, b) => of[a]! - of[b]!)
    return {
      all,
      byReach: [by(w), by(l)],
      takes: [least(l), least(w)],
      waste: least(waste),
      each: all.reduce((most, i) => Math.max(most, each[i]!), -Infinity),
    }
  }

  /** Joins blocks with such as have no more pieces, and reach about as far across. */
  private joinAll(larger: Alike, smaller: Alike, axis: number, may: May): void {
    const { waste, each } = this
    const [takes, reaches] = axis === ALONG ? [this.l, this.w] : [this.w, this.l]
    const byReach = smaller.byReach[axis - 1]!
    for (const i of larger.all) {
      const spare = Math.min(may.waste, each[i]! + smaller.each + may.base) - waste[i]! - smaller.waste + SAME
      if (spare < 0) continue
      const furthest = reaches[i]! + spare / takes[i]!
      const nearest = reaches[i]! - spare / smaller.takes[axis - 1]!
      const first = firstWhere(byReach.length, (at) => reaches[byReach[at]!]! >= nearest)
      for (let k = first; k < byReach.length && reaches[byReach[k]!]! <= furthest; k++) {
        this.join(i, byReach[k]!, axis, may)
        if (larger !== smaller) this.join(byReach[k]!, i, axis, may)
      }
    }
  }

  /** Joins two blocks that have no piece in common; a row is joined only with what comes after its last block. */
  private join(i: number, j: number, axis: number, may: May): void {
    const { waste, each, other, words, sets, sheet } = this
    if (this.axis[j] === axis || (this.axis[i] === axis ? other[i]! : i) >= j) return
    const [takes, reaches] = axis === ALONG ? [this.l, this.w] : [this.w, this.l]
    const gap = reaches[i]! - reaches[j]!
    const wasted = waste[i]! + waste[j]! + (gap < 0 ? -gap * takes[i]! : gap * takes[j]!)
    if (wasted > Math.min(may.waste, each[i]! + each[j]! + may.base)) return
    const long = takes[i]! + takes[j]!
    if (long > (axis === ALONG ? sheet.l : sheet.w) + SAME || meet(sets, i * words, sets, j * words, words)) return
    const wide = Math.max(reaches[i]!, reaches[j]!)
    this.put(i, j, axis, axis === ALONG ? long : wide, axis === ALONG ? wide : long, wasted)
  }

  private put(i: number, j: number, axis: number, l: number, w: number, waste: number): void {
    if (this.top === this.most) return
    const { words, sets, each, top } = this
    for (let k = 0; k < words; k++) sets[top * words + k] = sets[i * words + k]! | sets[j * words + k]!
    this.add(l, w, waste, each[i]! + each[j]!, axis, i, j)
  }

  private add(l: number, w: number, waste: number, each: number, axis: number, one: number, other: number): void {
    const at = this.top++
    if (this.top === this.l.length) this.grow()
    ;[this.l[at], this.w[at], this.waste[at], this.each[at], this.axis[at]] = [l, w, waste, each, axis]
    ;[this.one[at], this.other[at]] = [one, other]
  }

  private grow(): void {
    ;[this.l, this.w] = [twiceAsLong(this.l), twiceAsLong(this.w)]
    ;[this.waste, this.each] = [twiceAsLong(this.waste), twiceAsLong(this.each)]
    ;[this.axis, this.one, this.other, this.sets] = [
      twiceAsLong(this.axis),
      twiceAsLong(this.one),
      twiceAsLong(this.other),
      twiceAsLong(this.sets),
    ]
  }
}
