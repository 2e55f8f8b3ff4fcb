import TinyQueue from 'tinyqueue'
import { SAME } from '../instance'
import type { Means } from '../means'
import { AllWays, FEW } from './all-ways'
import { piecesIn, type Lying } from './blocks'
import type { Layout } from './layout'
import type { Packed } from './packed-counts'
import { areaOfAll, sameTogether, type Problem } from './sheets'
import { PRIME } from './known-by'
import type { Side } from './snug/block'
import { SnugBlocks } from './snug/blocks'
import { blockOf } from './snug/full'

/**
 * All ways are gone through for rests of so many pieces at least that may waste this part of their area at least. Of 14 pieces
 * that may waste four to six hundredths one in fifty goes in, of those that may waste six to eight one in ten; of ten pieces none.
 */
const FEWEST = 11
const HOPEFUL = 0.045

/** What is taken away may waste this part of what the sheet may, a block so many times its share, give or take a third. */
const PART = 0.5
const IN_BLOCKS = 1.3
const MOST_IN_BLOCKS = 0.15

/** How far it is looked for: blocks, rows, rests that are gone on with, and those whose ways are all gone through. */
const BLOCKS = 2000
const ROWS = 2000
const RESTS = 300
const TRIES = 150

/** What is left of a sheet when some blocks are taken away from it. */
interface Rest {
  readonly x: number
  readonly y: number
  readonly l: number
  readonly w: number
  readonly holds: Packed
  /** The sum of the numbers of what was taken away, each with its axis: what is known by it was met before. */
  readonly name: number
  /** How many pieces are left. */
  readonly pieces: number
  /** What may be wasted in it, mm², and in parts of its area. */
  readonly spare: number
  readonly share: number
  readonly taken: { readonly from: Rest; readonly side: Side } | null
}

/**
 * Fills a sheet with all of some pieces: blocks that waste little are taken away from it edge to edge, so that most of what may
 * be wasted is left for a rest of few pieces, for which all ways are gone through. Rests that may waste most come first.
 */
export class LastOne {
  private readonly allWays = new AllWays()

  /** @param ways of how many rests all ways may yet be gone through */
  constructor(public ways = Infinity) {}

  /**
   * @param kind of the sheet
   * @param means with each try blocks may waste a little more or less
   * @returns the plan with all pieces; null where no way was found
   */
  fill(problem: Problem, kind: number, means: Means): Layout | null {
    const lying = this.lying(problem, kind, means)
    return lying && { laid: [{ sheet: kind, lying }], left: [], cost: problem.sheets[kind]!.cost }
  }

  private lying({ shapes, pieces, sheets }: Problem, kind: number, { random, over }: Means): Lying[] | null {
    const problem = { ...sameTogether(pieces.map((p) => shapes[p]!)), sheets }
    const sheet = problem.sheets[kind]!
    const all = problem.pieces.length
    const spare = sheet.area - areaOfAll(problem)
    const share = spare / sheet.area
    if (spare < 0) return null
    if (all <= FEW) return this.allWays.fill(problem, sheet, over)
    // no rest of few pieces could waste enough
    if ((share * all) / FEW < HOPEFUL) return null
    const blocks = blocksFor(problem, kind, share * (0.7 + 0.6 * random()), over)
    const open = new TinyQueue<Rest>([], (a, b) => b.share - a.share)
    const none = blocks.packing.none()
    open.push({ x: 0, y: 0, l: sheet.l, w: sheet.w, holds: none, name: 0, pieces: all, spare, share, taken: null })
    const met = new Set<number>()
    let [rests, tries] = [0, 0]
    for (let rest = open.pop(); rest && tries < TRIES && this.ways > 0 && !over(); rest = open.pop()) {
      if (met.has(rest.name)) continue
      met.add(rest.name)
      if (rest.pieces > FEW) {
        if (rests++ < RESTS) smaller(blocks, rest, spare * (1 - PART)).forEach((r) => open.push(r))
      } else if (rest.pieces >= FEWEST && rest.share >= HOPEFUL) {
        tries++
        this.ways--
        const lying = this.fillRest(problem, blocks, rest, over)
        if (lying) return lying
      }
    }
    return null
  }

  private fillRest(problem: Problem, { packing }: SnugBlocks, rest: Rest, over: () => boolean): Lying[] | null {
    const taken = Array.from(packing.counts(rest.holds))
    const waiting: number[][] = problem.shapes.map(() => [])
    const left: number[] = []
    problem.pieces.forEach((shape, piece) => (taken[shape]!-- > 0 ? waiting[shape]! : left).push(piece))
    const last = this.allWays.fill({ ...problem, pieces: left.map((p) => problem.pieces[p]!) }, rest, over)
    if (!last) return null
    const lying = last.map((p) => ({ ...p, piece: left[p.piece]!, x: rest.x + p.x, y: rest.y + p.y }))
    for (let { taken } = rest; taken; { taken } = taken.from)
      for (const p of piecesIn(blockOf(taken.side.block), taken.from.x, taken.from.y, taken.side.turned))
        lying.push({ ...p, piece: waiting[p.piece]!.pop()! })
    return lying
  }
}

function blocksFor(problem: Problem, kind: number, share: number, over: () => boolean): SnugBlocks {
  const sheets = problem.sheets.map((s, i) => ({ ...s, count: Number(i === kind) }))
  const most = share * problem.sheets[kind]!.area * PART
  const play = { share: Math.min(MOST_IN_BLOCKS, IN_BLOCKS * share), most, evenly: true }
  const blocks = new SnugBlocks({ ...problem, sheets }, play, BLOCKS)
  blocks.build(over)
  blocks.addRows({ most: ROWS, share }, over)
  return blocks
}

/**
 * What is left of a rest when one more block is taken away that reaches across it.
 * @param least what has to be left to be wasted, mm²
 */
function smaller(blocks: SnugBlocks, from: Rest, least: number): Rest[] {
  const { packing } = blocks
  const found: Rest[] = []
  for (const axis of [0, 1] as const) {
    const [length, across] = axis === 0 ? [from.l, from.w] : [from.w, from.l]
    const what = { across, longest: length - SAME, number: 0, waste: from.spare - least }
    for (const side of [false, true].flatMap((turning) => blocks.cutAway(axis, turning, what))) {
      const { along, block } = side
      const spare = from.spare - (along * across - block.net)
      if (!packing.both(from.holds, block.holds)) continue
      const [l, w] = axis === 0 ? [length - along, across] : [across, length - along]
      const [x, y] = axis === 0 ? [from.x + along, from.y] : [from.x, from.y + along]
      const pieces = from.pieces - packing.total(block.holds)
      const name = (from.name + block.name + axis) % PRIME
      const holds = packing.sum(from.holds, block.holds)
      found.push({ x, y, l, w, holds, name, pieces, spare, share: spare / (l * w), taken: { from, side } })
    }
  }
  return found
}
