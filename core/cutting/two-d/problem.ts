import { SAME, piecesOf, type CutInstance } from '../instance'
import { goesInto, sameTogether, type Problem, type Shape, type Sheet } from './sheets'

/** An instance as the search takes it, and what of it fits no piece of stock at all. */
export interface Posed {
  readonly problem: Problem
  /** The part of each piece of the problem. */
  readonly partOf: readonly number[]
  /** Parts, once for each piece, which no piece of stock holds. */
  readonly tooLarge: readonly number[]
}

/** Whether a sheet holds a shape, turned where it may be. */
export const holds = (sheet: Sheet, { l, w, turns }: Shape): boolean => goesInto(sheet, l, w, turns)

/** Adds a kerf to the length and width of parts and of stock, and puts parts of the same size together. */
export function pose(instance: CutInstance): Posed {
  const { kerf } = instance
  const sheets = instance.stock.map((s): Sheet => {
    const [l, w] = [s.length + kerf, s.width + kerf]
    return { l, w, area: l * w, count: s.count, cost: s.isOffcut ? 0 : s.length * s.width }
  })
  const shapes: Shape[] = []
  const partOf: number[] = []
  const tooLarge: number[] = []
  for (const part of piecesOf(instance)) {
    const p = instance.parts[part]!
    const [l, w] = [p.length + kerf, p.width + kerf]
    const shape: Shape = { l, w, area: l * w, turns: p.canRotate && Math.abs(l - w) > SAME }
    if (sheets.some((s) => s.count > 0 && holds(s, shape))) {
      shapes.push(shape)
      partOf.push(part)
    } else tooLarge.push(part)
  }
  return { problem: { ...sameTogether(shapes), sheets }, partOf, tooLarge }
}
