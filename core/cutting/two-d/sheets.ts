import { SAME } from '../instance'
import { copyTree, gatherWaste, leaf, type Node } from './tree'

/** A part as the search knows it: a kerf is added on both axes, so that neighbours just touch. */
export interface Shape {
  readonly l: number
  readonly w: number
  readonly area: number
  readonly turns: boolean
}

/** A kind of stock as the search knows it, one kerf longer and wider than it is. */
export interface Sheet {
  readonly l: number
  readonly w: number
  readonly area: number
  readonly count: number
  /** What one costs: its true area in mm², 0 for an offcut. */
  readonly cost: number
}

export interface Problem {
  readonly shapes: readonly Shape[]
  readonly sheets: readonly Sheet[]
  /** The shape of each piece. */
  readonly pieces: readonly number[]
}

/** No more sheets than these are filled together. */
const MOST_SHEETS = 40

/** Pieces by their shape: those of one size, that may be turned alike, have one together. */
export function sameTogether(all: readonly Shape[]): Pick<Problem, 'shapes' | 'pieces'> {
  const shapes: Shape[] = []
  const byName = new Map<string, number>()
  const pieces = all.map(({ l, w, area, turns }) => {
    const name = `${l} ${w} ${turns}`
    const known = byName.get(name) ?? shapes.push({ l, w, area, turns }) - 1
    byName.set(name, known)
    return known
  })
  return { shapes, pieces }
}

/** Area of some pieces, with their kerfs, mm². */
export const areaOf = (problem: Problem, pieces: readonly number[]): number =>
  pieces.reduce((sum, p) => sum + problem.shapes[problem.pieces[p]!]!.area, 0)

/** Area of all pieces of a problem, with their kerfs, mm². */
export const areaOfAll = ({ pieces, shapes }: Problem): number => pieces.reduce((sum, p) => sum + shapes[p]!.area, 0)

/** Where each of equal pieces is told apart that makes many of one: so many sizes for each piece there have to be. */
const DIFFERENT = 0.7

/** Whether nearly all pieces differ. */
export const mostDiffer = ({ pieces }: Problem): boolean => new Set(pieces).size > DIFFERENT * pieces.length

/** How many pieces there are of each shape. */
export function demandOf(problem: Problem): Uint16Array {
  const counts = new Uint16Array(problem.shapes.length)
  for (const p of problem.pieces) counts[p]!++
  return counts
}

/**
 * The sheets that may be used: all that cost nothing, and of the others, large ones first, as many as the limit allows; none
 * where they are too many to be filled together.
 */
export function stockWithin(problem: Problem, limit: number): number[] {
  const used: number[] = []
  let cost = 0
  const order = problem.sheets.map((_, i) => i).sort((a, b) => problem.sheets[b]!.area - problem.sheets[a]!.area)
  for (const i of order) {
    const sheet = problem.sheets[i]!
    for (let n = 0; n < sheet.count && cost + sheet.cost <= limit; n++) {
      if (used.length >= MOST_SHEETS) return []
      used.push(i)
      cost += sheet.cost
    }
  }
  return used
}

/** What some sheets cost, mm² of what is bought. */
export const costOf = ({ sheets }: Problem, some: readonly { readonly sheet: number }[]): number =>
  some.reduce((sum, { sheet }) => sum + sheets[sheet]!.cost, 0)

/** Area of some of the sheets, by their kind, with a kerf, mm². */
export const roomOf = ({ sheets }: Problem, stock: readonly number[]): number =>
  stock.reduce((sum, s) => sum + sheets[s]!.area, 0)

/** One piece of stock that is being cut. */
export interface Bin {
  readonly sheet: number
  root: Node
  waste: Node[]
  /** The plan that may change it; any other copies it first. */
  owner: object
}

export function newBin(problem: Problem, sheet: number, owner: object): Bin {
  const s = problem.sheets[sheet]!
  const root = leaf(s.l, s.w, -1, null)
  return { sheet, root, waste: [root], owner }
}

export function copyBin(bin: Bin, owner: object): Bin {
  const waste: Node[] = new Array(bin.waste.length)
  for (let i = 0; i < waste.length; i++) bin.waste[i]!.slot = i
  return { sheet: bin.sheet, root: copyTree(bin.root, waste), waste, owner }
}

export function lookForWaste(bin: Bin): void {
  bin.waste.length = 0
  gatherWaste(bin.root, bin.waste)
}

export const isEmpty = (bin: Bin): boolean => bin.root.kids === null && bin.root.piece < 0

/** Whether something l x w goes into a sheet, turned by 90 degrees too where it may be; mm. */
export const goesInto = (sheet: Sheet, l: number, w: number, turns: boolean): boolean =>
  (l <= sheet.l + SAME && w <= sheet.w + SAME) || (turns && w <= sheet.l + SAME && l <= sheet.w + SAME)
