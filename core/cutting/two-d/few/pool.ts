import type { Means } from '../../means'
import { eachIn, wordsFor } from '../plain/bits'
import { averageOf, type EqualSheets } from '../plain/equal-sheets'
import { Found } from '../plain/found'
import { leastFirst } from '../plain/least-first'
import type { Shape, Sheet } from '../sheets'
import { areRatherMany } from './are-few'
import { FullOfFew } from './full'
import { Scope, type Outcome } from './scope'
import { holdingOf, price, reducedOf, type Holding } from '../plain/prices'

/** So many full sheets are kept at most, those that waste least; and with each piece so many all the same. */
const KEPT = 30_000
const ROOM = 40_000
const WITH_EACH = 200

/** Fines tell nothing where after so many lists no more than so many full sheets are known. */
const SOON = 6
const NEXT_TO_NONE = 100

/** Where joins are fined a plan is taken to cost so much more than the least it may, in parts of what a sheet costs on average. */
const BEYOND_LEAST = 0.3

/** What is known of full sheets of some pieces from those of more: which there are, and what each piece is worth, mm². */
export interface Before {
  readonly found: Found
  readonly worth: Float64Array
}

/**
 * Full sheets of few pieces. Each time it is told anew what pieces are worth by those that are known, and such are listed that waste
 * little beyond it: so others come to light that hold what is hard to place (as columns are made by Gilmore and Gomory).
 * Where joins are fined a sheet costs more than it wastes: what full sheets waste and what pieces are worth is told with the fines.
 */
export class Pool {
  found: Found
  /** What each wastes beyond what its pieces are worth, mm²; all pieces together are worth what all sheets may waste. */
  reduced: Float64Array = new Float64Array()
  /** What full sheets waste that take each piece once, where parts of them may be taken: no plan of these wastes less, but for little. mm² */
  least = Infinity
  /**
   * What a plan is taken to cost in all, mm²: what is to be wasted. How many joins of it are fined isn't known: more than is reckoned with
   * where no plan costs as little.
   */
  mayCost = 0
  /** What each piece is worth, mm². */
  readonly worth: Float64Array
  /** What a sheet costs on average, mm²: what it wastes, and fines. */
  readonly average: number
  private lists = 0
  private withoutFines: Float64Array = new Float64Array()

  /**
   * @param each what a sheet wastes on average, mm²
   * @param scope how far it goes
   * @param before of what the pieces are the rest, if they are
   */
  constructor(
    private readonly pieces: readonly Shape[],
    private readonly sheet: Sheet,
    private readonly each: number,
    readonly scope = new Scope(),
    before?: Before,
  ) {
    this.average = scope.times * each
    this.found = before?.found ?? new Found(wordsFor(pieces.length))
    this.worth = before?.worth.slice() ?? new Float64Array(pieces.length)
  }

  /** What each of those found wastes, without fines, mm². */
  get wasted(): Float64Array {
    return this.scope.times > 1 ? this.withoutFines : this.found.waste
  }

  /** Whether something is known of what pieces are worth. */
  get isPriced(): boolean {
    return !this.scope.begins
  }

  /** Whether joins are fined though hardly any full sheet has few that are. */
  get isVain(): boolean {
    return this.scope.times > 1 && this.lists >= SOON && this.found.top < NEXT_TO_NONE
  }

  /** Lists more of them, in an order by chance. */
  list(means: Pick<Means, 'over' | 'random'>): void {
    this.lists++
    const before = this.found.top
    const { spare, blocks } = this.lay(means)
    this.scope.learn({ spare, blocks, before, found: this.found.top })
    if (this.scope.begins) {
      if (spare === 0) this.found = new Found(this.found.words)
      return
    }
    // told anew next time
    this.least = Infinity
    if (!means.over()) this.setPrices()
  }

  /** @returns what part of the work was to spare, 0 where not all were listed that may be; and how many blocks there were */
  private lay({ over, random }: Pick<Means, 'over' | 'random'>): Pick<Outcome, 'spare' | 'blocks'> {
    const { pieces, sheet, average, worth, found, scope } = this
    const may = scope.may(pieces, worth, average, sheet.area)
    const full = new FullOfFew(pieces, worth, sheet, scope.limit(average), may, over)
    const { laid, depth } = scope
    const left = full.all({ blocks: laid, random, depth, over }, (set, waste) =>
      found.add(set, waste + this.worthOf(set)),
    )
    return { spare: left / laid, blocks: full.isComplete ? full.blocks.top : Infinity }
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
    const { worth, pieces, average, each, sheet } = this
    if (this.found.top > ROOM) this.keepBest()
    const holding = holdingOf(this.found)
    price(this.found, holding, worth, average)
    const area = this.areaOfAll
    const slack = (area / (sheet.area - each)) * average
    this.least = worth.reduce((sum, value) => sum + value, 0)
    this.mayCost = this.scope.times > 1 ? Math.max(slack, this.least + BEYOND_LEAST * average) : slack
    const more = (slack - this.least) / area
    for (let p = 0; p < worth.length; p++) worth[p]! += more * pieces[p]!.area
    this.reduced = reducedOf(this.found, holding, worth)
    if (this.scope.times > 1) this.withoutFines = this.wastedBy(holding)
  }

  private wastedBy({ first, pieces: held }: Holding): Float64Array {
    const { pieces, sheet } = this
    return Float64Array.from({ length: this.found.top }, (_, at) =>
      held.subarray(first[at], first[at + 1]).reduce((rest, p) => rest - pieces[p]!.area, sheet.area),
    )
  }

  private keepBest(): void {
    const { found, worth } = this
    const { words, sets, waste } = found
    const holding = holdingOf(found)
    const reduced = reducedOf(found, holding, worth)
    const order = leastFirst(reduced)
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

/** Full sheets of all pieces, of which nothing is known yet. @param fine of a join, as `Scope` has it */
export const poolOf = ({ pieces, sheet, slack, count }: EqualSheets, fine = 0): Pool =>
  new Pool(pieces, sheet, averageOf(slack, count), new Scope(areRatherMany(pieces.length, count), fine))
