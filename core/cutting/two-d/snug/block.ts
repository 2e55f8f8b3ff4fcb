import type { Packed } from '../packed-counts'

/**
 * Pieces that together make a rectangle with little waste or none. Along its axis it is a row: of each set of pieces only
 * one order is built, the elements of a row by falling number.
 */
export interface SnugBlock {
  /** In the order they were built; -1 while it waits for its turn. */
  number: number
  readonly l: number
  readonly w: number
  /** Area of its pieces, mm². */
  readonly net: number
  readonly turns: boolean
  /** Empty while it waits for its turn: most never have it. */
  holds: Packed
  /** The sum of the names of what it holds, below `PRIME`. */
  readonly name: number
  /** The rank by area of its largest piece, from 0 up. */
  readonly largest: number
  /** What the sides that are joined in it differ by together, mm, and how many joins there are. */
  readonly uneven: number
  readonly joins: number
  /** What its joins leave to chance, bits: of each the number of blocks there were that go with its side, 1 added. */
  readonly chance: number
  /** A shape, or what it is joined of. */
  readonly made: number | Join
}

export interface Join {
  readonly axis: 0 | 1
  readonly parts: readonly [Oriented, Oriented]
  /** The lowest number in the row. */
  readonly last: number
}

export interface Oriented {
  readonly block: SnugBlock
  readonly turned: boolean
}

/** A block lying one of its two ways: how far it reaches along the axis it is joined on and across, mm. */
export interface Side extends Oriented {
  readonly along: number
  readonly across: number
  /** The same as of the block, once more: to be looked at one after the other quickly. */
  readonly number: number
  readonly net: number
  readonly uneven: number
  readonly joins: number
  readonly holds: Packed
}

/** How far it reaches along the length and along the width, mm. */
export const sizeOf = ({ block: { l, w }, turned }: Oriented): readonly [l: number, w: number] =>
  turned ? [w, l] : [l, w]

/** The axis along which a block that lies turned or not is a row; -1 for a piece. */
export const axisOf = ({ block, turned }: Oriented): -1 | 0 | 1 =>
  typeof block.made === 'number' ? -1 : turned ? ((1 - block.made.axis) as 0 | 1) : block.made.axis
