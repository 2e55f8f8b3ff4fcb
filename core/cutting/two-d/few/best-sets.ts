import { exchange, meet } from '../plain/bits'
import { leastFirst } from '../plain/least-first'
import type { Listed, Open, Sheets } from './sets'

/** Is told a set. @returns true where all is to end */
type At = (set: Open) => boolean

/**
 * Sets of full sheets that have no piece in common and leave one sheet: all there are of which no more than one is not among the best, which
 * waste least beyond what their pieces are worth. Where the true sheets are listed most of them are; then a few hundred of the best make
 * few sets, and a choice that begins with the rarest piece needs not come to them where that one is in the sheet that isn't listed.
 */
export class BestSets {
  private readonly order: Int32Array
  private readonly chosen: number[] = []
  private readonly covered: Int32Array
  /** How many are among the best. */
  private best = 0
  private work = 0

  constructor(
    private readonly listed: Listed,
    private readonly sheets: Sheets,
    private readonly over: () => boolean,
  ) {
    const { found, reduced, wasted } = listed
    this.covered = new Int32Array(found.words)
    this.order = leastFirst(reduced, found.top).filter((i) => wasted[i]! <= sheets.slack)
  }

  /**
   * More and more of them are the best.
   * @param work how much is done at most: about so many times a sheet is looked at
   * @param at is told each set once
   */
  leavingOne(work: number, at: At): void {
    const { order, sheets } = this
    if (sheets.count < 3) return
    this.work = work
    for (this.best = 1; this.best <= order.length && this.work > 0 && !this.over(); this.best++)
      if (this.choose(order.subarray(0, this.best), this.best - 1, sheets.slack, at)) return
  }

  /**
   * Chooses one more from some of the best.
   * @param going those that go with the ones chosen, the best first, @param from the place among them that it begins at
   * @param spare what may yet be wasted, mm²
   */
  private choose(going: Int32Array, from: number, spare: number, at: At): boolean {
    const { chosen, sheets, covered } = this
    const { found, wasted } = this.listed
    const more = sheets.count - 2 - chosen.length
    if (more === 0) return this.withAnother(spare, at)
    for (let i = going.length - 1; i >= Math.max(from, more - 1) && this.work > 0; i--) {
      const next = going[i]!
      const left = spare - wasted[next]!
      if (left < 0) continue
      this.work -= i
      const rest = going.subarray(0, i).filter((other) => wasted[other]! <= left && !found.meet(next, other))
      chosen.push(next)
      exchange(covered, found.sets, next * found.words, found.words)
      const ends = this.choose(rest, 0, left, at)
      exchange(covered, found.sets, next * found.words, found.words)
      chosen.pop()
      if (ends) return true
    }
    return false
  }

  /** Adds one that is not among the best. */
  private withAnother(spare: number, at: At): boolean {
    const { order, chosen, best } = this
    const { found, wasted } = this.listed
    this.work -= order.length - best
    for (let i = best; i < order.length; i++) {
      const other = order[i]!
      if (wasted[other]! > spare || meet(this.covered, 0, found.sets, other * found.words, found.words)) continue
      const covered = this.covered.slice()
      found.addTo(covered, other)
      if (at({ covered, chosen: [...chosen, other] })) return true
    }
    return false
  }
}
