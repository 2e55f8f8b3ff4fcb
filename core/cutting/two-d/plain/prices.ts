import { eachIn } from './bits'
import type { Found } from './found'

/**
 * Sheets are taken the likelier the less they waste: by a factor of e for each of these parts of what a sheet wastes on average. The
 * first one leaves much to chance and is settled soon; the last one nearly tells the least of all.
 */
const CHANCE = [0.25, 0.12, 0.06]

/** How often prices are changed for each; and in one of so many all sheets are looked at, in the others such as count. */
const STEPS = 40
const ALL = 10

/** What is told anew of other sheets of the same pieces needs no more than these, and so many steps each. */
const KNOWN = [0.12, 0.06]
const STEPS_KNOWN = 25

/** Where it was told before, for more sheets, these are enough, and so many steps each. */
const AGAIN = [0.06, 0.03]
const FEWER_STEPS = 10

/** Each step goes so many times as far as it is sure to be right. */
const FAR = 1.5

/** A sheet that is taken as seldom as this power of e counts for nothing. */
const NEVER = -14

/** A piece is worth this part at most of what a sheet wastes on average: of one that no sheet holds nothing is known. */
const MOST = 0.5

/** A piece that is held too often by more than that gets cheaper by no more at once. */
const OFTEN = 1e6

/** Which pieces some full sheets hold, one sheet after the other, and where each begins. */
export interface Holding {
  readonly first: Int32Array
  readonly pieces: Uint8Array
}

/** Which pieces full sheets hold. */
export function holdingOf({ top, words, sets }: Found): Holding {
  const first = new Int32Array(top + 1)
  const pieces: number[] = []
  for (let i = 0; i < top; i++) {
    eachIn(sets, i * words, words, (piece) => pieces.push(piece))
    first[i + 1] = pieces.length
  }
  return { first, pieces: Uint8Array.from(pieces) }
}

/** What one of the full sheets wastes less what its pieces are worth, mm². @param worth of each piece, mm² */
export function beyondWorth(found: Found, { first, pieces }: Holding, at: number, worth: Float64Array): number {
  let beyond = found.waste[at]!
  for (let k = first[at]!; k < first[at + 1]!; k++) beyond -= worth[pieces[k]!]!
  return beyond
}

/** The same for all of them. */
export const reducedOf = (found: Found, holding: Holding, worth: Float64Array): Float64Array =>
  Float64Array.from({ length: found.top }, (_, at) => beyondWorth(found, holding, at, worth))

/**
 * What each piece is worth: so much that all are equally often in full sheets, each in one, if those are taken the likelier the less
 * they waste beyond what their pieces are worth. What is dear is in few sheets, or in such as waste much, wherever it is put; what is
 * cheap fits anywhere. So the sheets of good plans waste the least so counted (duals of a cutting plan after P. C. Gilmore and
 * R. E. Gomory, A linear programming approach to the cutting stock problem, Operations Research 9, 1961; smoothed as by iterative
 * scaling, J. N. Darroch and D. Ratcliff, Generalized iterative scaling for log-linear models, 1972).
 * @param worth of each piece until now, mm²; is changed. Where it is known of any, a part of the steps does
 * @param average what a sheet wastes on average, mm²: where none wastes anything the measure of what is told, of any size
 */
export function price(found: Found, holding: Holding, worth: Float64Array, average: number): void {
  const held = new Float64Array(worth.length)
  const all = Int32Array.from({ length: found.top }, (_, i) => i)
  const some = new Some(found, holding, all)
  const isKnown = worth.some((value) => value !== 0)
  const [parts, steps] = isKnown ? [KNOWN, STEPS_KNOWN] : [CHANCE, STEPS]
  for (const part of parts)
    for (let step = 0; step < steps; step++) {
      some.countHeld(worth, part * average, step % ALL === 0, held)
      change(worth, held, part * average, some.longest, average)
    }
}

/**
 * The same for some of the full sheets where it was told for more of them: pieces that none of those holds keep what they are worth.
 * @param sheets some of those found, by their numbers
 * @param worth of each piece until now, mm²; is changed, @param average what a sheet wastes on average, mm²
 * @returns what each of those sheets wastes beyond it, mm²
 */
export function priceAgain(
  found: Found,
  holding: Holding,
  sheets: Int32Array,
  worth: Float64Array,
  average: number,
): Float64Array {
  const { first, pieces } = holding
  const held = new Float64Array(worth.length)
  const some = new Some(found, holding, sheets)
  const keeps = worth.slice()
  const isHeld = new Uint8Array(worth.length)
  for (const i of sheets) for (let k = first[i]!; k < first[i + 1]!; k++) isHeld[pieces[k]!] = 1
  for (const part of AGAIN)
    for (let step = 0; step < FEWER_STEPS; step++) {
      some.countHeld(worth, part * average, true, held)
      change(worth, held, part * average, some.longest, average)
      for (let p = 0; p < worth.length; p++) if (isHeld[p] === 0) worth[p] = keeps[p]!
    }
  return Float64Array.from(sheets, (i) => beyondWorth(found, holding, i, worth))
}

/** Makes pieces dearer that are held too seldom, and cheaper those that are too often. */
function change(worth: Float64Array, held: Float64Array, unit: number, longest: number, average: number): void {
  const far = (FAR * unit) / longest
  for (let p = 0; p < held.length; p++) {
    const times = Math.min(OFTEN, Math.max(1 / OFTEN, held[p]!))
    worth[p] = Math.min(MOST * average, worth[p]! - far * Math.log(times))
  }
}

/** Some full sheets, of which such as count are told from those that are taken next to never. */
class Some {
  /** The most pieces that one of them holds. */
  readonly longest: number
  private readonly counting: Int32Array
  private count = 0

  constructor(
    private readonly found: Found,
    private readonly holding: Holding,
    private readonly all: Int32Array,
  ) {
    const { first } = holding
    this.counting = new Int32Array(all.length)
    this.longest = all.reduce((most, i) => Math.max(most, first[i + 1]! - first[i]!), 1)
  }

  /** How often each piece is held. @param anew whether all are looked at, and not only such as counted last */
  countHeld(worth: Float64Array, unit: number, anew: boolean, held: Float64Array): void {
    const { all, counting } = this
    const { waste } = this.found
    const { first, pieces } = this.holding
    const looked = anew ? all.length : this.count
    const from = anew ? all : counting
    held.fill(0)
    if (anew) this.count = 0
    for (let j = 0; j < looked; j++) {
      const i = from[j]!
      const end = first[i + 1]!
      let spare = -waste[i]!
      for (let k = first[i]!; k < end; k++) spare += worth[pieces[k]!]!
      if (spare < NEVER * unit) continue
      if (anew) counting[this.count++] = i
      const likely = Math.exp(Math.min(-NEVER, spare / unit))
      for (let k = first[i]!; k < end; k++) held[pieces[k]!]! += likely
    }
  }
}
