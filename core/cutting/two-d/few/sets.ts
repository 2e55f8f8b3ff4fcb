import type { Means } from '../../means'
import type { Shape } from '../sheets'
import { has } from '../plain/bits'
import type { Found } from '../plain/found'
import { leastFirst } from '../plain/least-first'
import { beyondWorth, holdingOf, priceAgain, type Holding } from '../plain/prices'

/** What some full sheets leave. */
export interface Open {
  /** The sheets chosen, by their place among those found. */
  readonly chosen: readonly number[]
  /** The pieces in them, as bits. */
  readonly covered: Int32Array
}

/** How many sheets there are, the area of each, what they may waste in all and what they may cost with fines, mm². */
export interface Sheets {
  readonly area: number
  readonly count: number
  readonly slack: number
  readonly cost: number
}

/** Full sheets, what each costs beyond what its pieces are worth, what it wastes, and what those are worth, mm². */
export interface Listed {
  readonly found: Found
  readonly reduced: Float64Array
  readonly wasted: Float64Array
  readonly worth: Float64Array
}

/** What is left to be wasted, and for what sheets cost, mm². */
interface Spare {
  readonly waste: number
  readonly cost: number
}

/** How far sets are gone through. */
export interface Course {
  /** How much is done at most: about so many times a sheet is looked at. */
  readonly work: number
  /** Of the sheets that hold a piece so many are tried, after the first one. */
  readonly tried: number
  /** So many sheets are chosen from at most, those that waste least beyond what their pieces are worth. */
  readonly from: number
}

/** How far they are at first. */
export const COURSE: Course = { work: 6_000_000, tried: 8, from: 8000 }

/** Such come first that waste least so counted, but for so much by chance, in parts of what a sheet wastes on average. */
const CHANCE = 0.3

/** A set counts as so many sheets that are looked at; to tell what pieces are worth as so many for each, and to tell what goes with one. */
const SET = 50
const PRICED = 60
const MATCHED = 3

/**
 * Goes through sets of full sheets that have no piece in common and leave one sheet: always the piece that the fewest sheets
 * hold of those that go with the ones chosen is given one of them (after D. E. Knuth, Dancing links, 2000), or is left for the
 * last. With each one chosen it is told anew what the pieces left are worth: where that is more than may be wasted no plan can be
 * made of them, and a sheet that wastes more beyond it than is left to be wasted is in none (as columns are fixed by what they
 * cost). That is so where the sheet that is left is listed as well. Where all are gone through with work to spare it is done once more
 * for one that isn't, of which it is only told that it takes what is worth most, as much as there is room for.
 */
export class SetsOfSheets {
  private readonly areas: Float64Array
  private readonly holding: Holding
  private readonly chosen: number[] = []
  private work = 0
  /** Whether the sheet that is left is thought to be one of those listed: it need not be. */
  private isLastListed = true

  constructor(
    pieces: readonly Shape[],
    private readonly listed: Listed,
    private readonly sheets: Sheets,
    private readonly means: Means,
  ) {
    this.areas = Float64Array.from(pieces, (p) => p.area)
    this.holding = holdingOf(listed.found)
  }

  /**
   * Each time in another order.
   * @param at is told each set; with true all ends
   * @returns whether it came to its end by itself, as if the last were listed, though not all may have been tried
   */
  leavingOne(course: Course, at: (open: Open) => boolean): boolean {
    const { found, reduced, worth } = this.listed
    this.work = course.work
    const some = leastFirst(reduced, found.top).slice(0, course.from)
    const { slack, cost } = this.sheets
    const goThrough = (): boolean =>
      this.choose(some, new Int32Array(found.words), { waste: slack, cost }, worth, course, at)
    this.isLastListed = true
    if (goThrough() || this.work <= 0) return false
    this.isLastListed = false
    return !goThrough()
  }

  /**
   * @param going sheets that go with those chosen, @param covered the pieces in those, @param spare what is left to be wasted
   * @param from what pieces are worth
   */
  private choose(
    going: Int32Array,
    covered: Int32Array,
    spare: Spare,
    from: Float64Array,
    course: Course,
    at: (open: Open) => boolean,
  ): boolean {
    const { chosen, sheets } = this
    const { found, wasted } = this.listed
    if (this.isOver()) return false
    if (chosen.length === sheets.count - 1) return at({ covered, chosen: [...chosen] })
    const worth = from.slice()
    const { some, reduced } = this.priced(going, covered, spare, worth)
    const { rarest, alone } = this.rarest(some, covered)
    if (rarest < 0) return false
    let tries = chosen.length === 0 ? Infinity : course.tried
    for (const next of this.holders(rarest, some, reduced)) {
      const left = { waste: spare.waste - wasted[next]!, cost: spare.cost - found.waste[next]! }
      if (left.waste < 0) continue
      if (tries-- <= 0) break
      const now = covered.slice()
      found.addTo(now, next)
      const goes = this.goingWith(next, some, left.waste)
      chosen.push(next)
      const all = this.choose(goes, now, left, worth, course, at)
      chosen.pop()
      if (all) return true
      if (this.work <= 0) return false
    }
    if (alone + this.areas[rarest]! > sheets.area) return false
    const without = some.filter((i) => !found.holds(i, rarest))
    return this.choose(without, covered, spare, worth, course, at)
  }

  private isOver(): boolean {
    this.work -= SET
    if (this.work > 0 && !this.means.over()) return false
    this.work = 0
    return true
  }

  /**
   * Such of the sheets as may be in a plan, and what each wastes beyond what its pieces are worth; none where there can be no plan.
   * @param worth is told anew where more than two sheets are left, and nothing for pieces that are covered
   */
  private priced(
    going: Int32Array,
    covered: Int32Array,
    { cost }: Spare,
    worth: Float64Array,
  ): { some: Int32Array; reduced: Map<number, number> } {
    const { holding, sheets, chosen } = this
    const { found } = this.listed
    for (let p = 0; p < worth.length; p++) if (has(covered, 0, p)) worth[p] = 0
    const beyondOf = (i: number): [number, number] => [i, beyondWorth(found, holding, i, worth)]
    if (sheets.count - chosen.length <= 2) return { some: going, reduced: new Map(Array.from(going, beyondOf)) }
    this.work -= PRICED * going.length
    const wasted = priceAgain(found, holding, going, worth, sheets.cost / sheets.count)
    const last = this.isLastListed ? 0 : this.dearest(worth)
    const room = cost - worth.reduce((sum, value) => sum + value, 0) + last
    const reduced = new Map<number, number>()
    if (room >= 0) going.forEach((i, k) => wasted[k]! <= room && reduced.set(i, wasted[k]!))
    return { some: Int32Array.from(reduced.keys()), reduced }
  }

  /** What the pieces are worth, mm², that are worth most for their area, as many as a sheet has room for. */
  private dearest(worth: Float64Array): number {
    const { areas, sheets } = this
    const order = Int32Array.from(worth, (_, p) => p).sort((a, b) => worth[b]! / areas[b]! - worth[a]! / areas[a]!)
    let [sum, room] = [0, sheets.area]
    for (const p of order) {
      if (worth[p]! <= 0 || room <= 0) break
      sum += worth[p]! * Math.min(1, room / areas[p]!)
      room -= areas[p]!
    }
    return sum
  }

  /** Those that hold a piece, what wastes least beyond what its pieces are worth first, but for some chance. */
  private holders(piece: number, some: Int32Array, reduced: ReadonlyMap<number, number>): Int32Array {
    const { sheets, means } = this
    const chance = (CHANCE * sheets.cost) / sheets.count
    const keys = new Map<number, number>()
    for (const i of some) if (this.listed.found.holds(i, piece)) keys.set(i, reduced.get(i)! + chance * means.random())
    return Int32Array.from(keys.keys()).sort((a, b) => keys.get(a)! - keys.get(b)!)
  }

  /** Sheets that go with one more. */
  private goingWith(one: number, some: Int32Array, spare: number): Int32Array {
    const { found, wasted } = this.listed
    if (this.chosen.length + 2 >= this.sheets.count) return new Int32Array()
    this.work -= MATCHED * some.length
    return some.filter((other) => wasted[other]! <= spare && !found.meet(one, other))
  }

  /** The piece not covered that the fewest sheets hold, but one at least; -1 if there is none, or more than a sheet is in no other. */
  private rarest(some: Int32Array, covered: Int32Array): { rarest: number; alone: number } {
    const { areas } = this
    const holding = new Int32Array(areas.length)
    this.listed.found.count(some, some.length, holding)
    let [rarest, alone] = [-1, 0]
    for (let p = 0; p < holding.length; p++) {
      if (has(covered, 0, p)) continue
      if (holding[p] === 0) alone += areas[p]!
      else if (rarest < 0 || holding[p]! < holding[rarest]!) rarest = p
    }
    return { rarest: alone > this.sheets.area ? -1 : rarest, alone }
  }
}
