import type { Shape } from './sheets'

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

/** Equal pieces side by side along an axis. */
export const rowOf = (shape: Shape, pieces: readonly number[], axis: 0 | 1): Block =>
  pieces
    .map((piece): Block => ({ ...shape, made: { piece } }))
    .reduce((row, next) => {
      const [l, w] = axis === 0 ? [row.l + next.l, row.w] : [row.l, row.w + next.w]
      const parts = [
        { block: row, turned: false },
        { block: next, turned: false },
      ] as const
      return { l, w, area: l * w, turns: shape.turns, made: { axis, parts } }
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
