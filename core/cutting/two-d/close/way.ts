import type { Block } from '../blocks'
import type { Shape } from '../sheets'
import { ALONG, PIECE } from '../plain/lying'
import type { CloseBlocks } from './blocks'

/** A block that was taken away from a rectangle, along which axis, and what was taken before it. */
export interface Taken {
  readonly block: number
  readonly axis: number
  readonly before: Taken | null
}

/** The shape of each piece, and what it is known by. */
type ShapeOf = (piece: number) => readonly [shape: Shape, name: number]

/** One of the blocks as those of other ways are, and whether it lies turned: one of a single piece may. */
export function blockOf(blocks: CloseBlocks, at: number, shapeOf: ShapeOf): { block: Block; turned: boolean } {
  const [one, other] = [blocks.one[at]!, blocks.other[at]!]
  if (blocks.axis[at] === PIECE) {
    const [shape, piece] = shapeOf(one)
    return { block: { ...shape, made: { piece } }, turned: other === 1 }
  }
  const [l, w] = [blocks.l[at]!, blocks.w[at]!]
  const axis = blocks.axis[at] === ALONG ? 0 : 1
  const parts = [blockOf(blocks, one, shapeOf), blockOf(blocks, other, shapeOf)] as const
  return { block: { l, w, area: l * w, turns: false, made: { axis, parts } }, turned: false }
}

/** What was taken away, the first one first. */
export function inOrder(taken: Taken | null): Taken[] {
  const all: Taken[] = []
  for (let one = taken; one; one = one.before) all.unshift(one)
  return all
}
