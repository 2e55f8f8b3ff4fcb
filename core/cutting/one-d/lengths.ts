import { SAME, piecesOf, type CutInstance } from '../instance'

/** A length of stock as the search knows it: one kerf longer than it is. */
export interface Bar {
  readonly length: number
  readonly count: number
  /** What one costs: its true length in mm, 0 for an offcut. */
  readonly cost: number
}

/** Lengths to be cut from lengths: a kerf is added to each, so that neighbours just touch. */
export interface Lengths {
  readonly bars: readonly Bar[]
  /** Different lengths, the longest first. */
  readonly sizes: readonly number[]
  /** How many of each. */
  readonly demand: readonly number[]
  /** The parts of each size, one entry a piece. */
  readonly partsOf: readonly (readonly number[])[]
  /** Whether a size may be cut from a bar: the width is there too. */
  readonly may: readonly (readonly boolean[])[]
  /** Parts, once a piece, that no bar holds. */
  readonly tooLong: readonly number[]
}

/** Which bar is cut into how many of each size. */
export interface Pattern {
  readonly bar: number
  readonly counts: readonly number[]
}

export function poseLengths(instance: CutInstance): Lengths {
  const { kerf, stock, parts } = instance
  const bars = stock.map((s) => ({ length: s.length + kerf, count: s.count, cost: s.isOffcut ? 0 : s.length }))
  const wide = (part: number, bar: number): boolean =>
    parts[part]!.width === 0 || stock[bar]!.width === 0 || parts[part]!.width <= stock[bar]!.width + SAME
  const fits = (part: number, bar: number): boolean =>
    bars[bar]!.count > 0 && wide(part, bar) && parts[part]!.length + kerf <= bars[bar]!.length + SAME
  const groups = new Map<string, { size: number; may: boolean[]; parts: number[] }>()
  const tooLong: number[] = []
  for (const part of piecesOf(instance)) {
    const may = bars.map((_, bar) => fits(part, bar))
    if (!may.includes(true)) {
      tooLong.push(part)
      continue
    }
    const size = parts[part]!.length + kerf
    const name = `${size} ${may.join()}`
    const group = groups.get(name) ?? { size, may, parts: [] }
    group.parts.push(part)
    groups.set(name, group)
  }
  const sorted = [...groups.values()].sort((a, b) => b.size - a.size)
  return {
    bars,
    sizes: sorted.map((g) => g.size),
    demand: sorted.map((g) => g.parts.length),
    partsOf: sorted.map((g) => g.parts),
    may: sorted.map((g) => g.may),
    tooLong,
  }
}

export const costOfPatterns = (lengths: Lengths, patterns: readonly Pattern[]): number =>
  patterns.reduce((sum, p) => sum + lengths.bars[p.bar]!.cost, 0)
