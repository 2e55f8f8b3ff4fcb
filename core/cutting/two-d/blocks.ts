import { SAME } from '../instance'
import { below, type Random } from '../random'
import { goesInto, type Problem, type Shape } from './sheets'

/** Two blocks joined side by side along an axis, or a piece. What a block contains is placed from its lower left. */
export type Block = Shape & { readonly made: { readonly piece: number } | Joined }

interface Joined {
  readonly axis: 0 | 1
  readonly parts: readonly [Placed, Placed]
}

interface Placed {
  readonly block: Block
  readonly turned: boolean
}

/** A side of a block by which it may be joined to another. */
interface Side {
  readonly size: number
  readonly at: number
  /** Whether the block is turned when this side runs along the stock's width. */
  readonly turned: boolean
  /** The axis along which it is joined there: across this side. */
  readonly axis: 0 | 1
}

/** What a side that is not the next in size costs at most, as waste: 0 to 1. */
const FARTHER = 0.004

/** How many sides next in size are looked at for each. */
const NEXT = 6

/**
 * Joins pieces whose sides agree into blocks, the ones that agree best and have the fewest others to go with first,
 * with some chance. What was one board before it was cut is found again this way.
 * @param tolerance how much two sides may differ, mm
 * @param share how many of the pieces are joined at most, 0 to 1
 */
export function joinBlocks(problem: Problem, tolerance: number, share: number, random: Random): Block[] {
  const blocks: (Block | null)[] = problem.pieces.map((shape, piece) => ({
    ...problem.shapes[shape]!,
    made: { piece },
  }))
  const most = Math.floor(share * (blocks.length - 1))
  for (let joins = 0; joins < most; joins++) {
    const join = bestJoin(problem, blocks, tolerance, random)
    if (!join) break
    const [a, b, block] = join
    blocks[a] = block
    blocks[b] = null
  }
  return blocks.filter((b) => b !== null)
}

function sidesOf(blocks: readonly (Block | null)[]): Side[] {
  const sides: Side[] = []
  for (let at = 0; at < blocks.length; at++) {
    const block = blocks[at]
    if (!block) continue
    sides.push({ size: block.w, at, turned: false, axis: 0 }, { size: block.l, at, turned: false, axis: 1 })
    if (block.turns && Math.abs(block.l - block.w) > SAME)
      sides.push({ size: block.l, at, turned: true, axis: 0 }, { size: block.w, at, turned: true, axis: 1 })
  }
  return sides.sort((a, b) => a.size - b.size)
}

function bestJoin(
  problem: Problem,
  blocks: readonly (Block | null)[],
  tolerance: number,
  random: Random,
): [number, number, Block] | null {
  let best: [number, number, Block] | null = null
  let bestKey = Infinity
  const sides = sidesOf(blocks)
  for (const axis of [0, 1] as const) {
    const row = sides.filter((s) => s.axis === axis)
    for (let i = 0; i < row.length; i++) {
      const a = row[i]!
      for (let j = i + 1; j < row.length && j <= i + NEXT; j++) {
        const b = row[j]!
        const gap = b.size - a.size
        if (gap > tolerance + SAME) break
        if (a.at === b.at) continue
        const narrow = blocks[a.at]!
        const alongA = a.turned === (axis === 0) ? narrow.w : narrow.l
        const wide = blocks[b.at]!
        const alongB = b.turned === (axis === 0) ? wide.w : wide.l
        const along = alongA + alongB
        const across = b.size
        const [l, w] = axis === 0 ? [along, across] : [across, along]
        const turns = narrow.turns && wide.turns
        if (!problem.sheets.some((s) => goesInto(s, l, w, turns))) continue
        const waste = (gap * alongA) / (l * w)
        const key = waste + random() * FARTHER * (j - i)
        if (key >= bestKey) continue
        bestKey = key
        const parts: [Placed, Placed] = [
          { block: narrow, turned: a.turned },
          { block: wide, turned: b.turned },
        ]
        best = [a.at, b.at, { l, w, area: l * w, turns, made: { axis, parts } }]
      }
    }
  }
  return best
}

/** The blocks as a problem of their own: each is a piece of its own shape. */
export const problemOf = (problem: Problem, blocks: readonly Block[]): Problem => ({
  shapes: blocks,
  sheets: problem.sheets,
  pieces: blocks.map((_, i) => i),
})

/** Where a piece lies in a bin, with its kerf. */
export interface Lying {
  readonly piece: number
  readonly x: number
  readonly y: number
  readonly turned: boolean
}

/** The pieces of a block that lies at x, y. */
export function piecesIn(block: Block, x: number, y: number, turned: boolean): Lying[] {
  const { made } = block
  if ('piece' in made) return [{ piece: made.piece, x, y, turned }]
  const axis = turned ? 1 - made.axis : made.axis
  const [first, second] = made.parts
  const firstTurned = first.turned !== turned
  const step = axis === 0 ? (firstTurned ? first.block.w : first.block.l) : firstTurned ? first.block.l : first.block.w
  return [
    ...piecesIn(first.block, x, y, firstTurned),
    ...piecesIn(second.block, axis === 0 ? x + step : x, axis === 0 ? y : y + step, second.turned !== turned),
  ]
}

/** What part of all joins is made at most, drawn at random: all of them half of the time. 0 to 1 */
export const randomShare = (random: Random): number => (below(random, 2) === 0 ? 1 : random())
