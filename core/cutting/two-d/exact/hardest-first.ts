import type { Means } from '../../means'
import type { Lying } from '../blocks'
import { holdingOf, price, reducedOf } from '../plain/prices'
import type { Layout } from '../layout'
import { piecesIn } from '../plain/bits'
import { equalSheetsOf, planOf, type EqualSheets } from '../plain/equal-sheets'
import type { Found } from '../plain/found'
import { leastFirst } from '../plain/least-first'
import { likeliest } from '../plain/likeliest'
import { Waiting } from '../plain/waiting'
import { areaOfAll, mostDiffer, roomOf, type Problem, type Shape } from '../sheets'
import { ExactBlocks } from './blocks'
import { covering } from './cover'
import { ExactSheets } from './full'

/** No more than so much may be wasted, mm². */
const NOTHING = 1

/** Pieces are counted in bytes. */
const TOO_MANY = 255

/** Blocks hold so many pieces at most; with so many blocks, or up to so many times as many, by chance, none of more pieces are made. */
const IN_BLOCK = 12
const ENOUGH = 3000
const MORE = 4

/** So many blocks are taken away from a sheet, up to so many where that makes few sheets; and so many are laid in all, and sheets kept. */
const DEPTHS = [3, 4, 5]
const FEW = 500
const LAID = 500_000
const MOST = 60_000

/** The likeliest sheets are chosen, but for so much by chance: in the same measure a piece is worth half at most. */
const CHANCE = 0.1

/** For each of so many sheets that are left one more is chosen at once. */
const FOR_EACH = 5

/** So many of them are kept, each as a beginning of its own. */
const KEPT = 10

/** In one of so many rounds it is begun anew; and in one of so many what waits is forgotten, or there would be ever more. */
const ANEW = 4
const FORGET = 100

/**
 * So many rounds follow each other, or as many as it takes to lay so many blocks, each that is made and each sheet that is found
 * counting as so many: that takes one to four seconds.
 */
const ROUNDS = 20
const WORK = 5_000_000
const MADE = 20

/** When so many sheets are left such are looked for that cover all pieces, and so many are chosen for it at most. */
const LAST = 4
const CHOSEN = 20_000

/** Sheets that are full, and the pieces they leave. */
interface Begun {
  readonly laid: readonly (readonly Lying[])[]
  readonly left: readonly number[]
  /** What those are worth in all, but for a little by chance: the less, the more plans there are of them. */
  readonly rank: number
}

/**
 * Fills equal sheets without any waste, one after the other, what is hard to place first. Each piece is worth so much that all are
 * equally often in full sheets (see `price`); what is dear goes with few others. The sheets that are worth most are the likeliest,
 * and leave what goes with much: so ever more sheets can be made of what is left, until some of them cover all of it. Each round
 * goes on with the best beginning of one sheet, of two, and so on.
 */
export class HardestFirst {
  private readonly all: EqualSheets
  private readonly waiting = new Waiting<Begun>()
  private rounds = 0
  private work = 0

  /** Whether it is of use: more than two equal sheets, nothing to be wasted, and most pieces differ. */
  static isFor(problem: Problem, stock: readonly number[]): boolean {
    const { length } = problem.pieces
    const slack = roomOf(problem, stock) - areaOfAll(problem)
    const isEqual = stock.length > 2 && stock.every((s) => s === stock[0])
    return isEqual && length <= TOO_MANY && mostDiffer(problem) && slack >= -NOTHING && slack <= NOTHING
  }

  /** @param limit what the sheets may cost, mm² */
  constructor(
    problem: Problem,
    limit: number,
    private readonly means: Means,
  ) {
    this.all = equalSheetsOf(problem, limit)
  }

  /** @returns a plan with all pieces; null where some rounds came to none */
  next(): Layout | null {
    this.work = 0
    for (let i = 0; i < ROUNDS && this.work < WORK && !this.means.over(); i++) {
      const plan = this.round()
      if (plan) return plan
    }
    return null
  }

  private round(): Layout | null {
    const { pieces, count } = this.all
    if (this.rounds % FORGET === 0) this.waiting.forget()
    if (this.rounds++ % ANEW === 0) {
      const all = { laid: [], left: pieces.map((_, i) => i), rank: 0 }
      const plan = this.goOn(all, count)
      if (plan) return plan
    }
    for (let left = count - 1; left > 1 && !this.means.over(); left--) {
      const begun = this.waiting.next(left)
      const plan = begun && this.goOn(begun, left)
      if (plan) return plan
    }
    return null
  }

  /** Lists full sheets of what a beginning leaves, covers it by them, or keeps the likeliest. @param count sheets that are left */
  private goOn(begun: Begun, count: number): Layout | null {
    const { means } = this
    const pieces = begun.left.map((p) => this.all.pieces[p]!)
    const sheets = this.listed(pieces)
    if (sheets.found.top < count || means.over()) return null
    const lyingIn = (at: number): Lying[] => sheets.lyingIn(at).map((l) => ({ ...l, piece: begun.left[l.piece]! }))
    const cover = count <= LAST ? covering(sheets.found, pieces.length, CHOSEN, means.over) : null
    if (cover) return planOf(this.all, [...begun.laid, ...cover.map(lyingIn)])
    if (count > 2) this.keep(begun, count, sheets.found, lyingIn)
    return null
  }

  private listed(pieces: readonly Shape[]): ExactSheets {
    const { random, over } = this.means
    const blocks = new ExactBlocks(this.all.sheet, pieces)
    blocks.build(IN_BLOCK, Math.floor(ENOUGH * MORE ** random()), random)
    let sheets = new ExactSheets(blocks, random, over)
    for (const depth of DEPTHS) {
      sheets = new ExactSheets(blocks, random, over)
      sheets.list(depth, LAID, MOST)
      this.work += sheets.laid + MADE * (blocks.top + sheets.found.top)
      if (sheets.found.top >= FEW || !sheets.complete) break
    }
    return sheets
  }

  private keep(begun: Begun, count: number, found: Found, lyingIn: (at: number) => Lying[]): void {
    const { random } = this.means
    const worth = new Float64Array(begun.left.length)
    const holding = holdingOf(found)
    price(found, holding, worth, 1)
    const rank = reducedOf(found, holding, worth).map((r) => r + CHANCE * random())
    const order = leastFirst(rank)
    const all = worth.reduce((sum, value) => sum + value, 0)
    const many = Math.max(1, Math.floor(count / FOR_EACH))
    let kept = 0
    for (let i = 0; i < order.length && kept < KEPT; i++) {
      const chosen = likeliest(found, order, i, many, found.waste, Infinity)
      const covered = new Int32Array(found.words)
      for (const at of chosen) found.addTo(covered, at)
      const left = piecesIn(covered, begun.left.length, false).map((p) => begun.left[p]!)
      if (!this.waiting.isNew(left)) continue
      kept++
      this.waiting.add(count - chosen.length, {
        laid: [...begun.laid, ...chosen.map(lyingIn)],
        left,
        rank: chosen.reduce((sum, at) => sum + rank[at]!, all),
      })
    }
  }
}
