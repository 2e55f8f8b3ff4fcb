import { firstWhere } from '../../by-halves'
import type { Side } from './block'

/** Blocks of one size across: their lengths as whole numbers, the shortest first, and themselves. */
interface Row {
  readonly lengths: number[]
  readonly sides: Side[]
}

/** Blocks lying one of their two ways, by their size across and along an axis, as whole numbers. */
export class BySize {
  /** An array is looked through quicker than a map. */
  private readonly rows: (Row | undefined)[] = []

  add(across: number, along: number, side: Side): void {
    const { lengths, sides } = (this.rows[across] ??= { lengths: [], sides: [] })
    const at = firstWhere(lengths.length, (i) => lengths[i]! > along)
    lengths.splice(at, 0, along)
    sides.splice(at, 0, side)
  }

  /** Adds those of a size across that are no shorter and no longer than told to what was found, the shortest first. */
  gather(across: number, shortest: number, longest: number, found: Side[]): void {
    const row = this.rows[across]
    if (!row) return
    const { lengths, sides } = row
    const first = firstWhere(lengths.length, (i) => lengths[i]! >= shortest)
    for (let i = first; i < lengths.length && lengths[i]! <= longest; i++) found.push(sides[i]!)
  }
}
