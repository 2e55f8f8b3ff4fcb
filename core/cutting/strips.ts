import { SAME, type CutPlacement } from './instance'

/** How a cut runs: across the stock's length, or along it. */
export type Direction = 'cross' | 'rip'

const startOf = (p: CutPlacement, direction: Direction): number => (direction === 'cross' ? p.x : p.y)
const endOf = (p: CutPlacement, direction: Direction): number => startOf(p, direction) + (direction === 'cross' ? p.length : p.width) // prettier-ignore

/** Where the first of some pieces begins, as cuts of this direction count: along the length for those across it. mm */
export const first = (placed: readonly CutPlacement[], direction: Direction): number => Math.min(...placed.map((p) => startOf(p, direction))) // prettier-ignore

/** Where the last of some pieces ends; mm. */
export const last = (placed: readonly CutPlacement[], direction: Direction): number => Math.max(...placed.map((p) => endOf(p, direction))) // prettier-ignore

/** Pieces in groups that cuts of this direction part, in the order in which they lie. @param kerf what the blade takes, mm */
export function strips(placed: readonly CutPlacement[], direction: Direction, kerf: number): CutPlacement[][] {
  const groups: CutPlacement[][] = []
  let reach = -Infinity
  for (const p of [...placed].sort((a, b) => startOf(a, direction) - startOf(b, direction))) {
    if (startOf(p, direction) >= reach + kerf - SAME) groups.push([p])
    else groups.at(-1)!.push(p)
    reach = Math.max(reach, endOf(p, direction))
  }
  return groups
}

/**
 * The pieces of a sheet moved up to each other and to the sheet's corner, as far as the cuts that part them allow: what lay
 * between them stays in one piece behind them, and no edge wants a cut more than it would.
 * @param kerf what the blade takes, mm
 */
export function closedUp(placed: readonly CutPlacement[], kerf: number): CutPlacement[] {
  return closed(placed, 0, 0, kerf)
}

function closed(placed: readonly CutPlacement[], x: number, y: number, kerf: number): CutPlacement[] {
  if (placed.length === 1) return [{ ...placed[0]!, x, y }]
  const direction = (['rip', 'cross'] as const).find((d) => strips(placed, d, kerf).length > 1)
  if (!direction) return placed.map((p) => ({ ...p, x: p.x - first(placed, 'cross') + x, y: p.y - first(placed, 'rip') + y })) // prettier-ignore
  let at = direction === 'cross' ? x : y
  return strips(placed, direction, kerf).flatMap((group) => {
    const moved = direction === 'cross' ? closed(group, at, y, kerf) : closed(group, x, at, kerf)
    at = last(moved, direction) + kerf
    return moved
  })
}
