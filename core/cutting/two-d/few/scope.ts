import type { Shape } from '../sheets'
import type { May } from './blocks'

/**
 * At first full sheets may waste this part of what they do on average; more from time to time until so many are found, but no more
 * than another part; and less where there are too many to go through, until so many of them are found all the same, or to where they may
 * waste next to nothing.
 */
const FIRST = 0.2
const FIRST_FINED = 0.7
const ENOUGH = 2000
const LAST = 1.5
const LEAST = 0.05
const FURTHER = 1.5
const LESS_FAR = 0.7

/**
 * Then so much, in the same parts, beyond what their pieces are worth; more and more as long as all are listed that there are, and
 * less where there are too many. Of what is left of a heap so much may be wasted at once.
 */
const THEN = 0
const MORE = 0.1
const LESS = 0.1
const OF_REST = 0.1

/** What is taken away from a sheet may waste so much more than a full one, in the same parts, and so much beside what its pieces may. */
const IN_BLOCKS = 0.3
const BASE = 0.1

/** How much more they may waste from one time to the next where there are so few blocks, and how much less where so many or more than may be. */
const WIDER = 1.15
const FEW_BLOCKS = 8000
const NARROWER = 0.8
const MANY_BLOCKS = 25_000
const FAR_NARROWER = 0.35

/** The most parts in a block at first and at last; one more from time to time, where no more than such a part of the sheets is new. */
const FEWEST = 3
const MOST = 5
const FEW_NEW = 0.05

/**
 * So many blocks are taken away from a sheet at first and at last; one more where all was listed with this part of the work to spare,
 * and little of it was new: of rather many pieces a sheet whether it was new or not.
 */
const SHALLOWEST = 3
export const DEEPEST = 6
const EASILY = 0.2

/** How many blocks are laid each time: 200,000 take a fifth of a second. Of what is left of a heap this part of them does. */
const LAID = 200_000
const LAID_OF_MANY = 800_000
const PART_OF_REST = 0.25

/**
 * Where sides agree more often than by chance a join whose sides don't is fined: it counts as such a part of what a sheet wastes on average,
 * beside what it wastes. Of so many joins that are fined a sheet costs as much with fines as is reckoned with.
 */
export const FINE = 0.2
const JOINS = 4

/** What came of a list. */
export interface Outcome {
  /** The part of the work that was to spare; 0 where not all were listed that may be. */
  readonly spare: number
  /** How many blocks there were: infinitely many where there are more than may be made. */
  readonly blocks: number
  /** How many full sheets were known before, and are now. */
  readonly before: number
  readonly found: number
}

/** How far full sheets of few pieces are listed: further from time to time as long as that can be done, and less far where it can't. */
export class Scope {
  /** Nothing is known of what pieces are worth. */
  begins = true
  depth = SHALLOWEST
  /** How many blocks are laid each time. */
  laid: number
  private most: number
  /** So many times as much as it wastes a sheet costs with fines, on average. */
  readonly times: number
  private wide = 1
  private parts = FEWEST

  /**
   * @param areMany whether there are rather many pieces in a sheet
   * @param fine of a join whose sides don't agree, in parts of what a sheet wastes on average
   */
  constructor(
    private readonly areMany = false,
    private readonly fine = 0,
  ) {
    this.times = 1 + JOINS * fine
    this.most = fine > 0 ? FIRST_FINED : FIRST
    this.laid = areMany ? LAID_OF_MANY : LAID
  }

  /** For what is left of a heap, of which it is known what pieces are worth. */
  ofRest(): Scope {
    const rest = new Scope(this.areMany, this.fine)
    ;[rest.begins, rest.most, rest.laid] = [false, OF_REST, this.laid * PART_OF_REST]
    ;[rest.depth, rest.wide, rest.parts] = [this.depth, this.wide, this.parts]
    return rest
  }

  /** What a full sheet may cost beyond what its pieces are worth, mm². @param average what a sheet costs on average, mm² */
  limit(average: number): number {
    return this.most * average
  }

  /**
   * What blocks may be.
   * @param worth of each piece, mm²
   * @param average what a sheet costs on average, mm², @param area of it, mm²
   */
  may(pieces: readonly Shape[], worth: Float64Array, average: number, area: number): May {
    const { wide, parts, begins } = this
    return {
      parts,
      waste: this.limit(average) + (begins ? 0 : IN_BLOCKS * average),
      each: worth.map((value, p) => wide * Math.max(value, (pieces[p]!.area * average) / area) - value),
      base: BASE * wide * average,
      fine: (this.fine * average) / this.times,
    }
  }

  /** Is told what came of a list, for the next one. */
  learn(outcome: Outcome): void {
    const { spare, blocks } = outcome
    if (blocks === Infinity) this.wide *= FAR_NARROWER
    else if (blocks > MANY_BLOCKS) this.wide *= NARROWER
    const isLittleNew = !this.begins && outcome.found - outcome.before < FEW_NEW * outcome.found
    if (spare > EASILY && (this.areMany || isLittleNew)) this.depth = Math.min(DEEPEST, this.depth + 1)
    else if (spare === 0) this.depth = Math.max(SHALLOWEST, this.depth - 1)
    if (this.begins) this.begin(outcome)
    else this.goOn(outcome, isLittleNew)
  }

  private begin({ spare, before, found }: Outcome): void {
    const all = spare > 0
    this.begins = found < ENOUGH && (all ? this.most < LAST : before === 0 && this.most > LEAST)
    this.most = !this.begins ? THEN : this.most * (all ? FURTHER : LESS_FAR)
  }

  private goOn({ spare, blocks }: Outcome, isLittleNew: boolean): void {
    this.most += spare > 0 ? MORE : -LESS
    if (spare === 0 || blocks >= FEW_BLOCKS) return
    this.wide *= WIDER
    if (isLittleNew) this.parts = Math.min(MOST, this.parts + 1)
  }
}
