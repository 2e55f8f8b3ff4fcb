import type { Means } from '../../means'
import type { Shape } from '../sheets'
import { has } from '../plain/bits'
import type { Found } from '../plain/found'

/** What some full sheets leave. */
export interface Open {
  /** The sheets chosen, by their place among those found. */
  readonly chosen: readonly number[]
  /** The pieces in them, as bits. */
  readonly covered: Int32Array
}

/** How many sheets there are, the area of each and what they may waste in all, mm². */
export interface Sheets {
  readonly area: number
  readonly count: number
  readonly slack: number
}

/**
 * How many sheets are chosen at most, fewer where there are many to choose from; how many after each second one: so there are many
 * beginnings; and of the sheets that go with one after the first how many are tried.
 */
export interface Course {
  readonly chosen: number
  readonly afterTwo: number
  readonly tried: number
  /** So many sheets are chosen from at most, those that waste least beyond what their pieces are worth. */
  readonly from: number
}

/** Such come first that waste least so counted, but for so much by chance, in parts of what a sheet wastes on average. */
const CHANCE = 0.5

/** To look through so many sheets takes as long as to choose one. */
const LOOKED_THROUGH = 256

/** The clock is asked once in so many of them. */
const SELDOM = 64

/**
 * Goes through sets of full sheets that have no piece in common and leave one sheet: always the piece that the fewest sheets
 * hold of those that go with the ones chosen is given one of them (after D. E. Knuth, Dancing links, 2000).
 */
export class SetsOfSheets {
  private readonly areas: Float64Array
  /** Of those found such as go with the first so many chosen; none wastes more than is left to be wasted. */
  private readonly going: readonly Int32Array[]
  /** How many of those hold each piece. */
  private readonly holding: Int32Array
  private readonly chosen: number[] = []
  private left = 0
  private asked = 0

  /** @param reduced what each of those found wastes beyond what its pieces are worth, mm² */
  constructor(
    pieces: readonly Shape[],
    private readonly found: Found,
    private readonly reduced: Float64Array,
    private readonly sheets: Sheets,
    private readonly means: Means,
  ) {
    this.areas = Float64Array.from(pieces, (p) => p.area)
    this.going = Array.from({ length: sheets.count }, () => new Int32Array(found.top))
    this.holding = new Int32Array(pieces.length)
  }

  /**
   * Each time in another order.
   * @param at is told each set; with true all ends
   * @returns whether it came to its end by itself, though not all may have been chosen after two
   */
  leavingOne(course: Course, at: (open: Open) => boolean): boolean {
    const { found, reduced, sheets, means } = this
    const order = Int32Array.from({ length: found.top }, (_, i) => i).sort((a, b) => reduced[a]! - reduced[b]!)
    const chance = (CHANCE * sheets.slack) / sheets.count
    const keys = Float64Array.from({ length: found.top }, (_, i) => reduced[i]! + chance * means.random())
    const some = order.subarray(0, course.from).sort((a, b) => keys[a]! - keys[b]!)
    this.going[0]!.set(some)
    this.left = course.chosen
    const isFound = this.choose(some.length, new Int32Array(found.words), sheets.slack, { left: Infinity }, course, at)
    return !isFound && this.left > 0
  }

  /**
   * @param going how many sheets go with those chosen, @param spare what may yet be wasted, mm²
   * @param budget how many more may be chosen here
   */
  private choose(
    going: number,
    covered: Int32Array,
    spare: number,
    budget: { left: number },
    course: Course,
    at: (open: Open) => boolean,
  ): boolean {
    const { chosen, found } = this
    const level = chosen.length
    this.left -= 1 + going / LOOKED_THROUGH
    if (this.left <= 0 || budget.left-- <= 0 || (++this.asked % SELDOM === 0 && this.isOver())) return false
    if (level === this.sheets.count - 1) return at({ covered, chosen: [...chosen] })
    const rarest = this.rarest(going, covered)
    if (rarest < 0) return false
    const list = this.going[level]!
    let tries = level === 0 ? Infinity : course.tried
    for (let i = 0; i < going && tries > 0; i++) {
      const next = list[i]!
      if (!found.holds(next, rarest) || found.waste[next]! > spare) continue
      tries--
      const now = covered.slice()
      found.addTo(now, next)
      const left = spare - found.waste[next]!
      const goes = this.goingWith(next, going, left)
      chosen.push(next)
      const all = this.choose(goes, now, left, level === 1 ? { left: course.afterTwo } : budget, course, at)
      chosen.pop()
      if (all) return true
      if (this.left <= 0 || budget.left <= 0) return false
    }
    return false
  }

  private isOver(): boolean {
    if (!this.means.over()) return false
    this.left = 0
    return true
  }

  /** Sheets that go with one more. @returns how many */
  private goingWith(one: number, going: number, spare: number): number {
    const { found } = this
    const level = this.chosen.length
    if (level + 2 >= this.sheets.count) return 0
    const [from, to] = [this.going[level]!, this.going[level + 1]!]
    let top = 0
    for (let i = 0; i < going; i++) {
      const other = from[i]!
      if (found.waste[other]! <= spare && !found.meet(one, other)) to[top++] = other
    }
    return top
  }

  /** The piece not covered that the fewest sheets hold, but one at least; -1 if there is none, or more than a sheet is in no other. */
  private rarest(going: number, covered: Int32Array): number {
    const { holding, areas } = this
    holding.fill(0)
    this.found.count(this.going[this.chosen.length]!, going, holding)
    let [rarest, alone] = [-1, 0]
    for (let p = 0; p < holding.length; p++) {
      if (has(covered, 0, p)) continue
      if (holding[p] === 0) alone += areas[p]!
      else if (rarest < 0 || holding[p]! < holding[rarest]!) rarest = p
    }
    return alone > this.sheets.area ? -1 : rarest
  }
}
