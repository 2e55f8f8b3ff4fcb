import type { Problem } from '../sheets'
import type { SnugSheet, SnugSheets } from './sheets'

/**
 * Full sheets in order, those first that take the least of what the last sheets are filled with: of what may be wasted and of
 * the pieces, for the more pieces there are in a sheet the less it has to waste for them to go in.
 * @param slack what the sheets that are left may waste in all, mm²
 */
export function thriftyFirst({ found, packing }: SnugSheets, { pieces }: Problem, slack: number): SnugSheet[] {
  const takes = ({ waste, holds }: SnugSheet): number => waste / (slack + 1) + packing.total(holds) / pieces.length
  return found
    .map((s): [number, SnugSheet] => [takes(s), s])
    .sort((a, b) => a[0] - b[0])
    .map(([, s]) => s)
}
