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
    const ends = [0, this.top]
    for (let count = 2; count <= may.pieces; count++) {
      for (let larger = count - 1; 2 * larger >= count; larger--) {
        const smaller = count - larger
        for (let i = ends[larger - 1]!; i < ends[larger]!; i++)
          for (let j = ends[smaller - 1]!; j < ends[smaller]!; j++) {
            this.join(i, j, may)
            if (larger > smaller) this.join(j, i, may)
          }
      }
      ends.push(this.top)
    }
    return this.top < this.most
  }

  /** Joins two blocks that have no piece in common; a row is joined only with what comes after its last block. */
  private join(i: number, j: number, may: May): void {
    const { l, w, waste, each, axis, other, words, sets } = this
    const wasted = waste[i]! + waste[j]!
    const limit = Math.min(may.waste, each[i]! + each[j]! + may.base)
    if (wasted > limit || meet(sets, i * words, sets, j * words, words)) return
    const long = l[i]! + l[j]!
    const wide = w[i]! + w[j]!
    if (axis[j] !== ALONG && (axis[i] === ALONG ? other[i]! : i) < j && long <= this.sheet.l + SAME) {
      const more = w[i]! < w[j]! ? (w[j]! - w[i]!) * l[i]! : (w[i]! - w[j]!) * l[j]!
      if (wasted + more <= limit) this.put(i, j, ALONG, long, Math.max(w[i]!, w[j]!), wasted + more)
    }
    if (axis[j] !== ACROSS && (axis[i] === ACROSS ? other[i]! : i) < j && wide <= this.sheet.w + SAME) {
      const more = l[i]! < l[j]! ? (l[j]! - l[i]!) * w[i]! : (l[i]! - l[j]!) * w[j]!
      if (wasted + more <= limit) this.put(i, j, ACROSS, Math.max(l[i]!, l[j]!), wide, wasted + more)
    }
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
