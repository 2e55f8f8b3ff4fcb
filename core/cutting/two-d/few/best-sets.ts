import { exchange, meet } from '../plain/bits'
import { leastFirst } from '../plain/least-first'
import type { Listed, Open, Sheets } from './sets'

/** To choose one more counts as so many that are looked at besides. */
const CHOSEN = 10

/** Is told a set. @returns true where all is to end */
type At = (set: Open) => boolean

/**
 * Sets of full sheets that have no piece in common and leave one sheet: all there are of which no more than one is not among the best, which
 * waste least beyond what their pieces are worth. Where the true sheets are listed most of them are; then a few hundred of the best make
 * few sets, and a choice that begins with the rarest piece needs not come to them where that one is in the sheet that isn't listed.
 */
export class BestSets {
  private readonly order: Int32Array
  /** The pieces that each has, as bits, and what it wastes, mm², in that order: they are read over and over. */
  private readonly sets: Int32Array
  private readonly waste: Float64Array
  private readonly words: number
  /** Those chosen, by their places in the order, and the pieces in them. */
  private readonly chosen: number[] = []
  private readonly covered: Int32Array
  /** By how many are chosen: those that go with them, the best first. */
  private readonly going: readonly Int32Array[]
  /** How many are among the best. */
  private best = 0
  private work = 0

  constructor(
    { found, reduced, wasted }: Listed,
    private readonly sheets: Sheets,
    private readonly over: () => boolean,
  ) {
    const { words } = found
    this.words = words
    this.covered = new Int32Array(words)
    this.order = leastFirst(reduced, found.top).filter((i) => wasted[i]! <= sheets.slack)
    this.waste = Float64Array.from(this.order, (i) => wasted[i]!)
    this.sets = new Int32Array(this.order.length * words)
    this.going = Array.from({ length: Math.max(1, sheets.count - 1) }, () => new Int32Array(this.order.length))
    this.order.forEach((i, at) => this.sets.set(found.sets.subarray(i * words, (i + 1) * words), at * words))
  }

  /**
   * More and more of them are the best.
   * @param work how much is done at most: about so many times a sheet is looked at
   * @param at is told each set once
   */
  leavingOne(work: number, at: At): void {
    const { order, sheets } = this
    if (sheets.count < 3) return
    order.forEach((_, place) => (this.going[0]![place] = place))
    this.work = work
    for (this.best = 1; this.best <= order.length && this.work > 0 && !this.over(); this.best++)
      if (this.choose(this.best, this.best - 1, sheets.slack, at)) return
  }

  /**
   * Chooses one more from some of the best.
   * @param count of those that go with the ones chosen, the best first, @param from the place among them that it begins at
   * @param spare what may yet be wasted, mm²
   */
  private choose(count: number, from: number, spare: number, at: At): boolean {
    const { chosen, sheets, covered, sets, words } = this
    const more = sheets.count - 2 - chosen.length
    if (more === 0) return this.withAnother(spare, at)
    const going = this.going[chosen.length]!
    for (let i = count - 1; i >= Math.max(from, more - 1) && this.work > 0; i--) {
      const next = going[i]!
      const left = spare - this.waste[next]!
      if (left < 0) continue
      this.work -= i + CHOSEN
      const rest = this.goOn(next, i, left)
      chosen.push(next)
      exchange(covered, sets, next * words, words)
      const ends = this.choose(rest, 0, left, at)
      exchange(covered, sets, next * words, words)
      chosen.pop()
      if (ends) return true
    }
    return false
  }

  /** Finds such of the first so many as go with one more. @returns how many there are */
  private goOn(one: number, count: number, left: number): number {
    const { sets, waste, words, chosen } = this
    const [going, rest] = [this.going[chosen.length]!, this.going[chosen.length + 1]!]
    let top = 0
    for (let i = 0; i < count; i++) {
      const other = going[i]!
      if (waste[other]! <= left && !meet(sets, one * words, sets, other * words, words)) rest[top++] = other
    }
    return top
  }

  /** Adds one that is not among the best. */
  private withAnother(spare: number, at: At): boolean {
    const { order, chosen, best, covered, sets, waste, words } = this
    this.work -= order.length - best
    for (let i = best; i < order.length; i++) {
      if (waste[i]! > spare || meet(covered, 0, sets, i * words, words)) continue
      const all = covered.slice()
      exchange(all, sets, i * words, words)
      if (at({ covered: all, chosen: [...chosen, i].map((place) => order[place]!) })) return true
    }
    return false
  }
}
