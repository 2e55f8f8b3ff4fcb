import { SAME } from '../../instance'
import { randomFrom } from '../../random'
import { knownBy, PRIME } from '../known-by'
import { PackedCounts, type Packed } from '../packed-counts'
import { areaOfAll, demandOf, type Problem, type Shape } from '../sheets'
import { axisOf, sizeOf, type Join, type Oriented, type Side, type SnugBlock } from './block'
import { BySize } from './by-size'
import { Joinable, type CutAway } from './joinable'
import { spanningRows } from './spanning'
import { EachInTurn, LikeliestFirst, SmallestFirst, type Turns } from './turns'

/** How much blocks may waste. */
export interface Play {
  /** Of the area of a block at most this part, from 0 up; with 0 sizes agree to the µm. */
  readonly share: number
  /** One block or sheet at most, mm². */
  readonly most: number
  /** So much besides may be wasted in one place, as where a piece is missing, mm². */
  readonly hole?: number
  /** Large pieces are to be in as many blocks as small ones are; else the smallest blocks are built first. */
  readonly evenly?: boolean
  /** Those first of which the joins tell most: the fewer other blocks a block might have been joined with the likelier it is right. */
  readonly likely?: boolean
  /** Sides that are joined differ by no more, mm; else by as much as the area tells. */
  readonly step?: number
}

/** How many rows are built that reach from edge to edge of a sheet, at most, and what they may waste in parts of their area. */
export interface Rows {
  readonly most: number
  readonly share: number
}

/** Sides that differ by more are never joined, mm. */
export const WIDEST_STEP = 25

/**
 * But of no more pieces than these by so large a part of the sheet's side, parted among the pieces of one sheet: what little may
 * be wasted is a wide gap beside a large piece. Of more pieces there are other full sheets enough, and to find those takes longer.
 */
const FEW = 22
const WIDEST_OF_FEW = 0.5

/** All differences in a block together come to no more than so many steps, and so many more for each join. */
const AT_ONCE = 0.8
const FOR_EACH = 0.1

/** What a block holds that waits for its turn. */
const NONE: Packed = new Int32Array()

/** Blocks with little waste; those that fit no sheet left out. */
export class SnugBlocks {
  readonly packing: PackedCounts
  readonly all: SnugBlock[] = []
  /** Nothing may be wasted: then of blocks that are as wide the shorter has less in it. */
  readonly exact: boolean
  /** The smallest are built first. */
  readonly bySize: boolean
  /** All blocks whose pieces come to no more than this area have been built, mm². */
  upTo = 0
  /** Along each axis. */
  private readonly sized = [new BySize(), new BySize()] as const
  /** Those that can be joined along an axis, for they are no rows along it themselves: what can't be turned, what can. */
  private readonly joinable: readonly (readonly [Joinable, Joinable])[]
  private readonly seen = new Set<number>()
  private readonly waiting: Turns
  /** The least area of the pieces in what was not made, for it would not have its turn, mm². */
  private leftOut = Infinity
  /** What sizes are counted in, mm. */
  private readonly unit: number
  private readonly thinnest: number
  private readonly widest: number

  constructor(
    private readonly problem: Problem,
    readonly play: Play,
    private readonly atMost: number,
  ) {
    this.exact = play.share === 0
    this.unit = this.exact ? 0.001 : 1
    this.widest = play.step ?? widestFor(problem)
    const longest = Math.max(...problem.sheets.map((s) => Math.max(s.l, s.w)))
    const joinable = (): Joinable => {
      const sizes = this.exact ? 0 : Math.ceil(longest) + 2
      return new Joinable((size) => this.whole(size), FOR_EACH * (play.step ?? 0), sizes)
    }
    this.joinable = [0, 1].map(() => [joinable(), joinable()] as const)
    const demand = demandOf(problem)
    this.packing = new PackedCounts(demand)
    const wanted = problem.shapes.filter((_, shape) => demand[shape]! > 0)
    this.thinnest = Math.min(...wanted.map((s) => Math.min(s.l, s.w)))
    this.bySize = !play.evenly && !play.likely
    this.waiting = turnsOf(play, problem.shapes.length, atMost)
    const ranks = ranksOf(problem.shapes)
    const random = randomFrom(1)
    problem.shapes.forEach(({ l, w, area, turns }, shape) => {
      const name = Math.floor(random() * PRIME)
      const largest = ranks[shape]!
      if (demand[shape]! > 0)
        // all fields in one order, here and where blocks are joined: objects of one kind are looked up much quicker
        this.offer({
          number: -1,
          l,
          w,
          net: area,
          turns,
          holds: this.packing.one(shape),
          name,
          largest,
          uneven: 0,
          joins: 0,
          chance: 0,
          made: shape,
        })
    })
  }

  /** Builds all, or as many as may be or as there is time for. */
  build(over: () => boolean): void {
    while (this.all.length < this.atMost && ((this.all.length & 63) !== 0 || !over())) {
      const block = this.waiting.pop()
      if (!block) break
      this.take(block)
      for (const axis of [0, 1] as const) {
        this.join({ block, turned: false }, axis, false)
        this.join({ block, turned: false }, axis, true)
        // with what can be turned itself once is enough
        if (block.turns) this.join({ block, turned: true }, axis, false)
      }
    }
    this.upTo = Math.min(this.waiting.least(), this.leftOut) - SAME
  }

  /** Builds rows of them that reach from edge to edge of a sheet: so many, evenly by their largest piece, the least wasteful first. */
  addRows({ most, share }: Rows, over: () => boolean): void {
    const waiting = new EachInTurn(this.problem.shapes.length)
    spanningRows(this.all, this.problem, this.packing, share, over, (row) => {
      if (this.isNew(row)) waiting.push(row)
    })
    for (let i = 0; i < most; i++) {
      const row = waiting.pop()
      if (!row) return
      this.take(row)
    }
  }

  /** A size as a whole number; the odd part keeps what is exact to half a unit from being rounded both ways. */
  whole(size: number): number {
    return Math.round(size / this.unit + 0.137)
  }

  /** What some pieces with a size are known by. */
  known(name: number, l: number, w: number): number {
    return knownBy(name, this.whole(l), this.whole(w))
  }

  /** Blocks that can be cut away from a rectangle along an axis, by their size across, of each size the shortest first. */
  cutAway(axis: 0 | 1, turning: boolean, what: CutAway): readonly Side[] {
    return this.joinable[axis]![turning ? 1 : 0].cutAway(what, this.narrower(what.waste))
  }

  /** Blocks, lying as they must, that fill a rectangle but for about some area, mm and mm²: those it holds are among them. */
  filling(l: number, w: number, spare: number): readonly Side[] {
    const found: Side[] = []
    const widest = this.whole(w)
    const longest = this.whole(l)
    if (this.exact) this.sized[0].gather(widest, longest, longest, found)
    else
      for (let size = Math.max(0, this.whole(w - spare / l)); size <= widest; size++) {
        const left = spare - (widest - size - 1) * l
        this.sized[0].gather(size, this.whole(l - left / w), longest, found)
      }
    return found
  }

  /** Blocks as wide as a rectangle that leave a hole at its end along an axis of no more than some area, mm and mm². */
  shorter(axis: 0 | 1, along: number, across: number, spare: number): readonly Side[] {
    const found: Side[] = []
    const shortest = along - spare / across - SAME
    this.sized[axis].gather(this.whole(across), this.whole(shortest), this.whole(along), found)
    return found.filter((side) => side.along >= shortest && side.along < along - SAME)
  }

  /** How much narrower a block may be than what it is laid beside, when an area may be wasted, mm. */
  private narrower(spare: number): number {
    return this.exact ? 0 : Math.min(this.widest, spare / this.thinnest)
  }

  private take(block: SnugBlock): void {
    block.number = this.all.length
    if (block.holds === NONE && typeof block.made !== 'number') {
      const [one, other] = block.made.parts
      block.holds = this.packing.sum(one.block.holds, other.block.holds)
    }
    this.all.push(block)
    this.keep({ block, turned: false })
    if (block.turns) this.keep({ block, turned: true })
  }

  private keep(oriented: Oriented): void {
    const { block, turned } = oriented
    const [l, w] = sizeOf(oriented)
    const { number, net, uneven, joins, holds } = block
    this.keepAlong(0, { block, turned, along: l, across: w, number, net, uneven, joins, holds })
    this.keepAlong(1, { block, turned, along: w, across: l, number, net, uneven, joins, holds })
  }

  private keepAlong(axis: 0 | 1, side: Side): void {
    if (axisOf(side) !== axis) this.joinable[axis]![side.block.turns ? 1 : 0].add(side)
    this.sized[axis].add(this.whole(side.across), this.whole(side.along), side)
  }

  /** @param turning whether it is joined with blocks that can be turned, or with the others */
  private join(mine: Oriented, axis: 0 | 1, turning: boolean): void {
    const { block } = mine
    const { share, step } = this.play
    const [l, w] = sizeOf(mine)
    const [along, across] = axis === 0 ? [l, w] : [w, l]
    const number = axisOf(mine) === axis ? (block.made as Join).last : block.number
    const waste = this.spare(2 * block.net) - (l * w - block.net)
    const turns = block.turns && turning
    // else it would never have its turn
    const net = this.waiting.most - block.net
    // the smallest were built first: what has a higher number is larger
    const area = Math.min(net, this.bySize ? this.all[number]!.net : Infinity) / (1 - share) + SAME
    const { sides, chance, leftOut } = this.joinable[axis]![turning ? 1 : 0].fitting({
      across,
      narrower: this.narrower(waste),
      wider: this.exact ? 0 : Math.min(this.widest, waste / along),
      longest: this.longest(axis, across, turns) - along,
      area,
      net,
      number,
      waste,
      uneven: step === undefined ? Infinity : step * (AT_ONCE + FOR_EACH * (block.joins + 1)) - block.uneven,
      chance: this.waiting.unlikely - block.chance,
    })
    this.leftOut = Math.min(this.leftOut, block.net + leftOut)
    for (const other of sides) {
      const b = other.block
      const gap = across - other.across
      const [long, wide] = [along + other.along, Math.max(across, other.across)]
      const [nl, nw] = axis === 0 ? [long, wide] : [wide, long]
      if (gap < 0 && !this.fitsSome(nl, nw, turns)) continue
      const both = block.net + other.net
      if (!this.exact && long * wide - both > this.spare(both)) continue
      const name = (block.name + b.name) % PRIME
      if (!this.packing.both(block.holds, other.holds) || !this.isNew({ name, l: nl, w: nw })) continue
      this.waiting.push({
        number: -1,
        l: nl,
        w: nw,
        net: both,
        turns,
        holds: NONE,
        name,
        largest: Math.max(block.largest, b.largest),
        uneven: block.uneven + other.uneven + Math.abs(gap),
        joins: block.joins + other.joins + 1,
        chance: block.chance + b.chance + chance,
        made: { axis, parts: [mine, other], last: b.number },
      })
    }
  }

  /** What a block of some pieces may waste, mm². */
  private spare(net: number): number {
    return Math.min(this.play.most, (net * this.play.share) / (1 - this.play.share)) + SAME
  }

  private offer(block: SnugBlock): void {
    if (this.isNew(block)) this.waiting.push(block)
  }

  /** Whether there is none of the same pieces and size. */
  private isNew({ name, l, w }: Pick<SnugBlock, 'name' | 'l' | 'w'>): boolean {
    const known = this.known(name, l, w)
    if (this.seen.has(known)) return false
    this.seen.add(known)
    return true
  }

  /** How long what has a size across may be along an axis to fit some sheet, mm. */
  private longest(axis: 0 | 1, across: number, turns: boolean): number {
    let longest = 0
    for (const { l, w } of this.problem.sheets) {
      const [along, beside] = axis === 0 ? [l, w] : [w, l]
      if (across <= beside + SAME) longest = Math.max(longest, along)
      if (turns && across <= along + SAME) longest = Math.max(longest, beside)
    }
    return longest + SAME
  }

  private fitsSome(l: number, w: number, turns: boolean): boolean {
    for (const s of this.problem.sheets) if (holds(s, l, w) || (turns && holds(s, w, l))) return true
    return false
  }
}

/** What sides that are joined may differ by, mm. */
function widestFor(problem: Problem): number {
  if (problem.pieces.length > FEW) return WIDEST_STEP
  const largest = Math.max(...problem.sheets.map((s) => s.area))
  const each = (problem.pieces.length * largest) / areaOfAll(problem)
  return Math.max(WIDEST_STEP, (WIDEST_OF_FEW * Math.sqrt(largest)) / each)
}

function turnsOf({ evenly, likely }: Play, ranks: number, atMost: number): Turns {
  if (evenly) return new EachInTurn(ranks)
  return likely ? new LikeliestFirst(atMost) : new SmallestFirst(atMost)
}

/** The place of each shape by its area, the smallest first. */
function ranksOf(shapes: readonly Shape[]): number[] {
  const ranks = shapes.map(() => 0)
  const order = shapes.map((_, i) => i).sort((a, b) => shapes[a]!.area - shapes[b]!.area)
  order.forEach((shape, rank) => (ranks[shape] = rank))
  return ranks
}

const holds = (sheet: Pick<Shape, 'l' | 'w'>, l: number, w: number): boolean =>
  l <= sheet.l + SAME && w <= sheet.w + SAME
