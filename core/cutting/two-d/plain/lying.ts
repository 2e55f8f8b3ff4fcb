import type { Lying } from '../blocks'

/** How a block came about: as a piece, or of two that lie side by side along the length or the width. */
export const [PIECE, ALONG, ACROSS] = [0, 1, 2] as const

/** Blocks by their number: sizes in mm, and what each is made of, two blocks, or a piece and whether it is turned. */
export interface PlainBlocks {
  readonly l: Float64Array
  readonly w: Float64Array
  readonly axis: Uint8Array
  readonly one: Int32Array
  readonly other: Int32Array
}

/** Where the pieces of a block lie, its lower left being at x, y; mm. */
export function lyingIn(blocks: PlainBlocks, at: number, x: number, y: number): Lying[] {
  const [one, other] = [blocks.one[at]!, blocks.other[at]!]
  if (blocks.axis[at] === PIECE) return [{ piece: one, x, y, turned: other === 1 }]
  const [atX, atY] = blocks.axis[at] === ALONG ? [x + blocks.l[one]!, y] : [x, y + blocks.w[one]!]
  return [...lyingIn(blocks, one, x, y), ...lyingIn(blocks, other, atX, atY)]
}

/**
 * Where the pieces lie of blocks that are taken away from a rectangle one after the other, each along an axis.
 * @param last fills what is left, if it is one block that does
 * @returns mm from the lower left of the rectangle
 */
export function lyingTaken(
  blocks: PlainBlocks,
  taken: readonly { readonly block: number; readonly axis: number }[],
  last?: number,
): Lying[] {
  const lying: Lying[] = []
  let [x, y] = [0, 0]
  for (const { block, axis } of taken) {
    lying.push(...lyingIn(blocks, block, x, y))
    if (axis === ALONG) x += blocks.l[block]!
    else y += blocks.w[block]!
  }
  return last === undefined ? lying : [...lying, ...lyingIn(blocks, last, x, y)]
}
