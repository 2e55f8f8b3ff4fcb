import { SAME } from '../instance'
import { piecesIn, type Block, type Lying } from './blocks'
import type { FullSheet } from './build-up'
import type { State } from './ruin-recreate'
import type { Problem } from './sheets'
import type { Node } from './tree'

/** What lies in one piece of stock, with kerfs. */
export interface Laid {
  readonly sheet: number
  readonly lying: readonly Lying[]
}

/** A plan of the whole problem. */
export interface Layout {
  readonly laid: readonly Laid[]
  readonly left: readonly number[]
  readonly cost: number
}

/** Where each piece of a plan of single pieces lies. */
export const layoutOf = (problem: Problem, state: State): Layout => ({
  laid: state.bins.map((bin) => ({
    sheet: bin.sheet,
    lying: lyingIn(bin.root, 0, 0, (piece, node) => {
      const shape = problem.shapes[problem.pieces[piece]!]!
      return [Math.abs(shape.l - node.l) > SAME || Math.abs(shape.w - node.w) > SAME, piece]
    }).map(({ piece, x, y, turned }) => ({ piece, x, y, turned })),
  })),
  left: state.left,
  cost: state.cost,
})

/** A plan whose pieces are blocks as one of the pieces in them. */
export const outOfBlocks = (blocks: readonly Block[], layout: Layout): Layout => ({
  laid: layout.laid.map((l) => ({
    sheet: l.sheet,
    lying: l.lying.flatMap((b) => piecesIn(blocks[b.piece]!, b.x, b.y, b.turned)),
  })),
  left: layout.left.flatMap((b) => piecesIn(blocks[b]!, 0, 0, false).map((p) => p.piece)),
  cost: layout.cost,
})

function lyingIn(node: Node, x: number, y: number, read: (piece: number, node: Node) => [boolean, number]): Lying[] {
  if (!node.kids) {
    if (node.piece < 0) return []
    const [turned, piece] = read(node.piece, node)
    return [{ piece, x, y, turned }]
  }
  const lying: Lying[] = []
  let at = 0
  // Waste last, so that what remains is in one piece at the far end
  const kids = [...node.kids].sort((a, b) => Number(a.piece < 0 && !a.kids) - Number(b.piece < 0 && !b.kids))
  for (const kid of kids) {
    lying.push(...lyingIn(kid, node.axis === 0 ? x + at : x, node.axis === 0 ? y : y + at, read))
    at += node.axis === 0 ? kid.l : kid.w
  }
  return lying
}

/** A full sheet laid with the pieces that were taken for it, in order of their shapes. */
export function layFull(problem: Problem, full: FullSheet, taken: readonly number[]): Laid {
  const sheet = problem.sheets[full.sheet]!
  const { block } = full.built
  const turned = block.l > sheet.l + SAME || block.w > sheet.w + SAME
  const waiting = new Map<number, number[]>()
  for (const piece of taken) {
    const shape = problem.pieces[piece]!
    waiting.set(shape, [...(waiting.get(shape) ?? []), piece])
  }
  const lying = piecesIn(block, 0, 0, turned).map((l) => ({
    ...l,
    piece: waiting.get(l.piece)!.shift()!,
  }))
  return { sheet: full.sheet, lying }
}
