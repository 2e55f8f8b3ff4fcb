import { eachIn, wordsFor } from '../plain/bits'
import { Found } from '../plain/found'
import type { Shape, Sheet } from '../sheets'
import { FullOfFew } from './full'
import { holdingOf, price, reducedOf } from '../plain/prices'

/**
 * At first full sheets may waste this part of what they do on average; more from time to time until so many are found, but no more
 * than another part, and less where there are too many.
 */
const FIRST = 0.2
const ENOUGH = 2000
const LAST = 1.5
const FURTHER = 1.5
const LESS_FAR = 0.7

/**
 * Then so much, in the same parts, beyond what their pieces are worth; more and more as long as all are listed that there are, and
 * less where there are too many.
 */
const THEN = 0
const MORE = 0.1
const LESS = 0.2

/** What is taken away from a sheet may waste so much more than a full one, in the same parts, and so much beside what its pieces may. */
const IN_BLOCKS = 0.3
const BASE = 0.1

/** How much more they may waste from one round to the next where there are so few blocks, and how much less where so many or more than may be. */
const WIDER = 1.15
const FEW_BLOCKS = 8000
const NARROWER = 0.8
const MANY_BLOCKS = 25_000
const FAR_NARROWER = 0.35

/** How many blocks are laid each time: that takes a third of a second. Of what is left of a heap fewer do, and so much may be wasted. */
const LAID = 200_000
const LAID_OF_REST = 50_000
const OF_REST = 0.1

/** So many full sheets are kept at most, those that waste least; and with each piece so many all the same. */
const KEPT = 30_000
const ROOM = 40_000
const WITH_EACH = 200

/** The most pieces in a block at first and at last; one more from time to time, where no more than such a part of the sheets is new. */
const FEWEST = 3
const MOST = 5
const FEW_NEW = 0.05

/** What is known of full sheets of some pieces from those of more: which there are, what pieces are worth, and who lists those of all. */
export interface Before {
  readonly found: Found
  readonly worth: Float64Array
  readonly of: Pool
}

/**
 * Full sheets of few pieces. Each time it is told anew what pieces are worth by those that are known, and such are listed that waste
 * little beyond it: so others come to light that hold what is hard to place (as columns are made by Gilmore and Gomory).
 */
export class Pool {
  found: Found
  /** What each wastes beyond what its pieces are worth, mm²; all pieces together are worth what all sheets may waste. */
  reduced: Float64Array = new Float64Array()
  /** What full sheets waste that take each piece once, where parts of them may be taken: no plan of these wastes less, but for little. mm² */
  least = Infinity
  /** What each piece is worth, mm². */
  readonly worth: Float64Array
  /** What may be wasted beyond that in the next round, in parts of the average. */
  private most = FIRST
  private wide = 1
  private inBlock = FEWEST
  /** Nothing is known of what pieces are worth. */
  private begins: boolean
  private readonly laid: number

  /** @param before of what they are the rest */
  constructor(
    private readonly pieces: readonly Shape[],
    private readonly sheet: Sheet,
    /** What a sheet wastes on average, mm². */
    readonly average: number,
    before?: Before,
  ) {
    this.found = before?.found ?? new Found(wordsFor(pieces.length))
    this.worth = before?.worth.slice() ?? new Float64Array(pieces.length)
    this.begins = !before
    this.laid = before ? LAID_OF_REST : LAID
    if (before) [this.most, this.wide, this.inBlock] = [OF_REST, before.of.wide, before.of.inBlock]
  }

  /** Whether something is known of what pieces are worth. */
  get isPriced(): boolean {
    return !this.begins
  }

  /** Lists more of them. */
  list(over: () => boolean): void {
    const before = this.found.top
    const { all, blocks } = this.lay(over)
    const isNew = (this.found.top - before) / this.found.top
    if (blocks === Infinity) this.wide *= FAR_NARROWER
    else if (blocks > MANY_BLOCKS) this.wide *= NARROWER
    if (this.begins) {
      this.begins = all ? this.found.top < ENOUGH && this.most < LAST : before === 0
      this.most = !this.begins ? THEN : this.most * (all ? FURTHER : LESS_FAR)
      if (this.begins && !all) this.found = new Found(this.found.words)
      if (this.begins) return
    } else {
      this.most += all ? MORE : -LESS
      if (all && blocks < FEW_BLOCKS) this.wide *= WIDER
      if (all && blocks < FEW_BLOCKS && isNew < FEW_NEW) this.inBlock = Math.min(MOST, this.inBlock + 1)
    }
    // told anew next time
    this.least = Infinity
    if (!over()) this.setPrices()
  }

  /** @returns whether all were found that may be, and of how many blocks: infinitely many where there are more than may be made */
  private lay(over: () => boolean): { all: boolean; blocks: number } {
    const { pieces, sheet, average, worth, wide, found } = this
    const share = average / sheet.area
    const limit = this.most * average
    const full = new FullOfFew(pieces, worth, sheet, limit, {
      pieces: this.inBlock,
      waste: limit + (this.begins ? 0 : IN_BLOCKS * average),
      each: worth.map((value, p) => wide * Math.max(value, pieces[p]!.area * share) - value),
      base: BASE * wide * average,
    })
    const all = full.all({ blocks: this.laid, over }, (set, waste) => found.add(set, waste + this.worthOf(set)))
    return { all, blocks: full.isComplete ? full.blocks.top : Infinity }
  }

  private get areaOfAll(): number {
    return this.pieces.reduce((sum, p) => sum + p.area, 0)
  }

  private worthOf(set: Int32Array): number {
    let sum = 0
    eachIn(set, 0, set.length, (piece) => (sum += this.worth[piece]!))
    return sum
  }

  /** Sets the prices anew, such that all pieces together are worth what is to be wasted. */
  private setPrices(): void {
    const { worth, pieces, average, sheet } = this
    if (this.found.top > ROOM) this.keepBest()
    const holding = holdingOf(this.found)
    price(this.found, holding, worth, average)
    const area = this.areaOfAll
    const slack = (area / (sheet.area - average)) * average
    this.least = worth.reduce((sum, value) => sum + value, 0)
    const more = (slack - this.least) / area
    for (let p = 0; p < worth.length; p++) worth[p]! += more * pieces[p]!.area
    this.reduced = reducedOf(this.found, holding, worth)
  }

  private keepBest(): void {
    const { found, worth } = this
    const { words, sets, waste } = found
    const holding = holdingOf(found)
    const reduced = reducedOf(found, holding, worth)
    const order = Int32Array.from(reduced, (_, i) => i).sort((a, b) => reduced[a]! - reduced[b]!)
    const held = new Int32Array(worth.length)
    this.found = new Found(words)
    order.forEach((i, rank) => {
      let keep = rank < KEPT
      for (let k = holding.first[i]!; k < holding.first[i + 1]!; k++)
        if (held[holding.pieces[k]!]!++ < WITH_EACH) keep = true
      if (keep) this.found.add(sets.subarray(i * words, (i + 1) * words), waste[i]!)
    })
  }
}
