import { AllWays, FEW } from '../all-ways'
import type { Lying } from '../blocks'
import { exchange, has, meet } from '../plain/bits'
import { ACROSS, ALONG, lyingTaken } from '../plain/lying'
import { areaOfAll, type Problem, type Sheet } from '../sheets'
import { CloseBlocks } from './blocks'
import { inOrder, type Taken } from './way'

/** All ways are gone through for rests of so many pieces at least, that may waste this part of their area at least. */
const FEWEST = 11
const HOPEFUL = 0.035

/** So many blocks are taken away at most, that together waste this part of what the sheet may. */
const DEPTH = 4
const PART = 0.4

/** What is taken away may waste this part of that at once, and as much more as it takes of the sheet. */
const AT_LEAST = 0.15

/** A block is no larger than this part of the sheet. */
const LARGEST = 0.6

/** A block may waste this part of what it takes, in parts of what the sheet may; more, but not so much, if too few rests are left. */
const LITTLE = 0.6
const MORE = 1.4
const MUCH = 2.5
const ENOUGH = 30
/** And so much besides, in the same parts. */
const BASE = 0.01

/** How far it goes: with so many blocks no more waste is allowed; more are not made, and so many are laid and looked at. */
const REACH = { enough: 1000, blocks: 20_000, laid: 50_000, looks: 3_000_000 }

/** The ways of so many rests are gone through. */
const TRIES = 60

/** What is left of a sheet, few pieces, that may waste some part of its area. */
interface Rest {
  readonly x: number
  readonly y: number
  readonly l: number
  readonly w: number
  readonly share: number
  readonly set: Int32Array
  readonly taken: Taken | null
}

/**
 * Fills a sheet with all of some pieces: blocks that waste little are taken away from it edge to edge, so that most of what may be
 * wasted is left for a rest of few pieces, for which all ways are gone through. Rests that may waste most come first.
 */
export class CloseLast {
  /** What a block could waste, in parts of what the sheet may, for enough to be left the time before. */
  private before = 0

  /** @param allWays for as many pieces as a rest may have, or more */
  constructor(private readonly allWays = new AllWays()) {}

  /** @returns where all pieces lie; null where no way was found or the time was up */
  fill(problem: Problem, kind: number, over: () => boolean): readonly Lying[] | null {
    const sheet = problem.sheets[kind]!
    const spare = sheet.area - areaOfAll(problem)
    if (spare < 0) return null
    if (problem.pieces.length <= FEW) return this.allWays.fill(problem, sheet, over)
    for (let part = Math.max(LITTLE, this.before / MORE); !over(); part *= MORE) {
      const rests = new Rests(problem, sheet, spare, (part * spare) / sheet.area, over)
      rests.find()
      if (rests.found.length < ENOUGH && rests.blocks.top < REACH.enough && part * MORE < MUCH) continue
      this.before = part
      return rests.fill(this.allWays)
    }
    return null
  }
}

/** Rests of few pieces that are left of a sheet. */
class Rests {
  readonly found: Rest[] = []
  readonly blocks: CloseBlocks
  private readonly met = new Set<string>()
  private readonly set: Int32Array
  private readonly most: number
  private left = REACH.laid

  constructor(
    private readonly problem: Problem,
    private readonly sheet: Sheet,
    private readonly spare: number,
    share: number,
    private readonly over: () => boolean,
  ) {
    const { pieces, shapes } = problem
    const all = pieces.map((p) => shapes[p]!)
    this.most = PART * spare
    const may = { share, base: BASE * spare, most: this.most }
    this.blocks = new CloseBlocks(all, sheet, may, LARGEST * sheet.area, REACH.blocks)
    this.set = new Int32Array(this.blocks.words)
  }

  find(): void {
    this.blocks.build(this.over)
    const { l, w } = this.sheet
    this.takeAway({ x: 0, y: 0, l, w }, 0, this.problem.pieces.length, null, 0)
    this.found.sort((a, b) => b.share - a.share)
  }

  /** @returns where all pieces of the sheet lie; null where no rest was filled */
  fill(allWays: AllWays): Lying[] | null {
    const { problem, blocks } = this
    for (const { x, y, l, w, set, taken } of this.found.slice(0, TRIES)) {
      if (this.over()) return null
      const left = problem.pieces.flatMap((_, i) => (has(set, 0, i) ? [] : [i]))
      const rest = { ...problem, pieces: left.map((p) => problem.pieces[p]!) }
      const last = allWays.fill(rest, { l, w }, this.over)
      if (!last) continue
      const inRest = last.map((p) => ({ ...p, piece: left[p.piece]!, x: x + p.x, y: y + p.y }))
      return [...lyingTaken(blocks, inOrder(taken)), ...inRest]
    }
    return null
  }

  private takeAway(
    at: Pick<Rest, 'x' | 'y' | 'l' | 'w'>,
    waste: number,
    pieces: number,
    taken: Taken | null,
    depth: number,
  ): void {
    const { blocks, most, sheet } = this
    const { x, y, l, w } = at
    if (pieces <= FEW) return this.note(at, waste, taken)
    if (depth === DEPTH || this.left <= 0 || blocks.looks > REACH.looks) return
    const may = most * Math.min(1, 1 + AT_LEAST - (l * w) / sheet.area)
    for (const axis of [ALONG, ACROSS] as const) {
      const [length, width] = axis === ALONG ? [l, w] : [w, l]
      const { along, across } = blocks.reach[axis - 1]!
      blocks.reach[axis - 1]!.reaching(length, width, may - waste, blocks.thinnest, (block) => {
        const wasted = waste + blocks.waste[block]! + (width - across[block]!) * along[block]!
        const rest = pieces - blocks.pieces[block]!
        if (wasted > most || rest < FEWEST || blocks.axis[block] === axis) return
        if ((taken?.axis === axis && block < taken.block) || !this.isFree(block) || this.left-- <= 0) return
        const takes = along[block]!
        this.turn(block)
        const next = axis === ALONG ? { x: x + takes, y, l: l - takes, w } : { x, y: y + takes, l, w: w - takes }
        this.takeAway(next, wasted, rest, { block, axis, before: taken }, depth + 1)
        this.turn(block)
      })
    }
  }

  private note(at: Pick<Rest, 'x' | 'y' | 'l' | 'w'>, waste: number, taken: Taken | null): void {
    const share = (this.spare - waste) / (at.l * at.w)
    const name = `${this.set.join()} ${Math.round(at.l)} ${Math.round(at.w)}`
    if (share < HOPEFUL || this.met.has(name)) return
    this.met.add(name)
    this.found.push({ ...at, share, set: this.set.slice(), taken })
  }

  private isFree(block: number): boolean {
    const { words, sets } = this.blocks
    return !meet(this.set, 0, sets, block * words, words)
  }

  /** Puts the pieces of a block into the set, or takes them out. */
  private turn(block: number): void {
    const { words, sets } = this.blocks
    exchange(this.set, sets, block * words, words)
  }
}
