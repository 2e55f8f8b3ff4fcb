import { below, randomFrom, type Random } from '../../random'
import { knownBy, PRIME } from '../known-by'
import { meet, wordsFor } from '../plain/bits'
import { twiceAsLong } from '../plain/longer'
import { ACROSS, ALONG, PIECE, type PlainBlocks } from '../plain/lying'
import type { Shape } from '../sheets'
import type { Rectangle } from '../slicing/curves'
import { BySize, exactly } from './by-size'

/** There is room for so many at first. */
const FIRST = 4096

/** Of the same pieces those are the same whose sizes are, in so many parts of a mm. */
const FINE = 8

/**
 * Blocks without any waste, in plain arrays: of each set of pieces and size one. All of two pieces, then all of three, and so on,
 * until there are enough of them; five thousand take a fiftieth of a second. A row is made in one order only.
 */
export class ExactBlocks implements PlainBlocks {
  l = new Float64Array(FIRST)
  w = new Float64Array(FIRST)
  axis = new Uint8Array(FIRST)
  one = new Int32Array(FIRST)
  other = new Int32Array(FIRST)
  /** Bits of the pieces, `words` of them for each block. */
  sets: Int32Array
  readonly words: number
  top = 0
  /** By how wide they are and how long. */
  readonly bySize = new BySize()
  /** The sheet, mm. */
  readonly length: number
  readonly width: number
  private name = new Float64Array(FIRST)
  private readonly known = new Set<number>()

  constructor(
    sheet: Rectangle,
    private readonly pieces: readonly Shape[],
  ) {
    this.words = wordsFor(pieces.length)
    this.sets = new Int32Array(FIRST * this.words)
    ;[this.length, this.width] = [exactly(sheet.l), exactly(sheet.w)]
  }

  /**
   * Makes them; once.
   * @param most pieces in one
   * @param enough with more than so many none of more pieces are made, and of those with the most pieces so many are kept, by chance
   */
  build(most: number, enough: number, random: Random): void {
    this.addPieces()
    const ends = [0, this.top]
    const ofCount = [this.indexed(0)]
    for (let count = 2; count <= most && this.top <= enough; count++) {
      for (let larger = count - 1; 2 * larger >= count; larger--)
        for (let i = ends[larger - 1]!; i < ends[larger]!; i++)
          this.joinEach(i, ofCount[count - larger - 1]!, larger > count - larger)
      const from = ends.at(-1)!
      if (this.top > enough) this.keepSome(from, enough, random)
      ends.push(this.top)
      ofCount.push(this.indexed(from))
    }
    for (let block = 0; block < this.top; block++) this.bySize.add(this.w[block]!, this.l[block]!, block)
  }

  private addPieces(): void {
    const random = randomFrom(1)
    this.pieces.forEach(({ l, w, turns }, piece) => {
      const name = Math.floor(random() * PRIME)
      for (const turned of turns ? [false, true] : [false]) {
        const [length, width] = [exactly(turned ? w : l), exactly(turned ? l : w)]
        if (length > this.length || width > this.width) continue
        const at = this.add(length, width, name, PIECE, piece, Number(turned))
        if (at >= 0) this.sets[at * this.words + (piece >> 5)] = 1 << (piece & 31)
      }
    })
  }

  /** Blocks from one on, by their sizes, for each axis. */
  private indexed(from: number): readonly [along: BySize, across: BySize] {
    const [along, across] = [new BySize(), new BySize()]
    for (let i = from; i < this.top; i++) {
      along.add(this.w[i]!, this.l[i]!, i)
      across.add(this.l[i]!, this.w[i]!, i)
    }
    return [along, across]
  }

  /** @param both in both orders */
  private joinEach(block: number, others: readonly [along: BySize, across: BySize], both: boolean): void {
    for (const axis of [ALONG, ACROSS] as const)
      for (const other of others[axis - 1]!.reaching(axis === ALONG ? this.w[block]! : this.l[block]!)) {
        this.join(block, other, axis)
        if (both) this.join(other, block, axis)
      }
  }

  /** Joins two blocks of one width that have no piece in common; a row only with what comes after its last block. */
  private join(i: number, j: number, axis: typeof ALONG | typeof ACROSS): void {
    const { l, w, name, words, sets } = this
    if (this.axis[j] === axis || (this.axis[i] === axis ? this.other[i]! : i) >= j) return
    const length = axis === ALONG ? exactly(l[i]! + l[j]!) : l[i]!
    const width = axis === ALONG ? w[i]! : exactly(w[i]! + w[j]!)
    if (length > this.length || width > this.width || meet(sets, i * words, sets, j * words, words)) return
    const at = this.add(length, width, (name[i]! + name[j]!) % PRIME, axis, i, j)
    if (at < 0) return
    for (let k = 0; k < words; k++) this.sets[at * words + k] = this.sets[i * words + k]! | this.sets[j * words + k]!
  }

  /** @returns its number; -1 where there is the same already */
  private add(l: number, w: number, name: number, axis: number, one: number, other: number): number {
    const known = knownBy(name, Math.round(l * FINE), Math.round(w * FINE))
    if (this.known.has(known)) return -1
    this.known.add(known)
    if (this.top === this.l.length) this.grow()
    const at = this.top++
    ;[this.l[at], this.w[at], this.name[at]] = [l, w, name]
    ;[this.axis[at], this.one[at], this.other[at]] = [axis, one, other]
    return at
  }

  /** Of the blocks from one on, of which no other is made yet, keeps so many by chance. */
  private keepSome(from: number, kept: number, random: Random): void {
    for (let at = from; at < Math.min(from + kept, this.top); at++) this.exchange(at, at + below(random, this.top - at))
    this.top = Math.min(this.top, from + kept)
  }

  /** Exchanges two blocks. */
  private exchange(one: number, other: number): void {
    const { words } = this
    const exchanged = (list: Float64Array | Int32Array | Uint8Array, a: number, b: number): void => {
      ;[list[a], list[b]] = [list[b]!, list[a]!]
    }
    for (const list of [this.l, this.w, this.name, this.axis, this.one, this.other]) exchanged(list, one, other)
    for (let k = 0; k < words; k++) exchanged(this.sets, one * words + k, other * words + k)
  }

  private grow(): void {
    ;[this.l, this.w, this.name] = [twiceAsLong(this.l), twiceAsLong(this.w), twiceAsLong(this.name)]
    ;[this.axis, this.one, this.other, this.sets] = [
      twiceAsLong(this.axis),
      twiceAsLong(this.one),
      twiceAsLong(this.other),
      twiceAsLong(this.sets),
    ]
  }
}
