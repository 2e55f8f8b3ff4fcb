import type { Shop } from '../../shop/shop'
import { at, type WallPiece } from '../extent'
import { hangsBy } from '../holding'
import { rowAt, rowsOn } from '../strips'
import type { Wall } from '../wall'
import { stripRuns, type StripRun } from './strip-pieces'

/** So much of a holder's width wants strip behind it, on both sides of its middle. */
export const CARRIED = 0.5

/** How much of a holder's width has strip behind it, left and right of its middle: each 0 to 1 of its half. */
export function carriedBy(
  runs: readonly StripRun[],
  row: number,
  x0: number,
  x1: number,
): { left: number; right: number } {
  const middle = (x0 + x1) / 2
  const over = (from: number, to: number): number =>
    runs
      .filter((r) => r.row === row)
      .reduce((sum, r) => sum + Math.max(0, Math.min(to, r.to) - Math.max(from, r.from)), 0) / Math.max(1e-9, to - from)
  return { left: over(x0, middle), right: over(middle, x1) }
}

/** Whether strip is where a piece would hang, enough of it on both sides; of a wall without strips always. */
export function carrierOf(wall: Wall, shop: Shop): (piece: WallPiece, x: number, z: number) => boolean {
  if (hangsBy(wall) !== 'strips') return () => true
  const [rows, runs] = [rowsOn(wall, shop), stripRuns(wall, shop)]
  return (piece, x, z) => {
    const row = rowAt(rows, piece, z, shop)
    if (row === null) return false
    const { x0, x1 } = at(piece.boards, x, z)
    const { left, right } = carriedBy(runs, row, x0, x1)
    return Math.min(left, right) >= CARRIED
  }
}
