/** A length of stock, a sheet or an offcut to cut from. Lengths in mm. */
export interface CutStock {
  readonly id: string
  readonly length: number
  /** 0 in one dimension when it isn't told. */
  readonly width: number
  /** How many there are; Infinity where as many as wanted can be bought. */
  readonly count: number
  readonly isOffcut: boolean
}

/** A part to be cut. Lengths in mm. */
export interface CutPart {
  readonly id: string
  readonly length: number
  readonly width: number
  readonly count: number
  /** Whether it may be turned by 90 degrees: its grain doesn't matter. */
  readonly canRotate: boolean
}

/** What is to be cut from what: `1d` lengths from lengths, `2d` panels from sheets by edge-to-edge cuts. */
export interface CutInstance {
  readonly id: string
  readonly kind: '1d' | '2d'
  /** What the blade takes, mm. */
  readonly kerf: number
  readonly stock: readonly CutStock[]
  readonly parts: readonly CutPart[]
}

/** A part where it lies in its piece of stock: x along the stock's length, y along its width, sizes as placed. */
export interface CutPlacement {
  readonly stockId: string
  /** Which piece of that stock, from 0. */
  readonly stockIndex: number
  readonly partId: string
  readonly x: number
  readonly y: number
  readonly length: number
  readonly width: number
  readonly rotated: boolean
}

export interface CutPlan {
  readonly placements: readonly CutPlacement[]
  /** What has no place, each with its number of pieces. */
  readonly unplaced: readonly { readonly partId: string; readonly count: number }[]
  /** Bought stock that is used: area in mm² (2d) or length in mm (1d). */
  readonly bought: number
  /** No plan which cuts everything buys less than this, same measure. */
  readonly atLeast: number
  /** Nothing is better: the bound is met, or the search has been through. */
  readonly proven: boolean
  /** The clock ended the search before its budget of iterations did. */
  readonly endedByClock: boolean
}

/** Two lengths nearer than this, in mm, are the same: sums of lengths in mm carry errors far below it. */
export const SAME = 1e-6

/** Each piece of the instance on its own: the index of its part. */
export const piecesOf = (instance: CutInstance): number[] =>
  instance.parts.flatMap((part, i) => Array.from({ length: part.count }, () => i))
