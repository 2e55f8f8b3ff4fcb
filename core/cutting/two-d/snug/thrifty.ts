import type { FullSheet } from '../build-up'
import type { CloseSheets } from '../close/full'
import type { Problem } from '../sheets'
import { fullSheet } from './full'
import type { SnugSheets } from './sheets'

/** A full sheet that was found: what it wastes, mm², how many pieces it takes, and how it is cut. */
export interface Candidate {
  readonly waste: number
  readonly pieces: number
  readonly sheet: () => FullSheet
}

export const ofSnug = ({ found, packing }: SnugSheets): Candidate[] =>
  found.map((one) => ({ waste: one.waste, pieces: packing.total(one.holds), sheet: () => fullSheet(packing, one) }))

export const ofClose = (sheets: CloseSheets): Candidate[] =>
  Array.from({ length: sheets.count }, (_, i) => ({
    waste: sheets.wasteOf(i),
    pieces: sheets.piecesOf(i),
    sheet: () => sheets.fullSheet(i),
  }))

/**
 * Full sheets in order, those first that take the least of what the last sheets are filled with: of what may be wasted and of
 * the pieces, for the more pieces there are in a sheet the less it has to waste for them to go in.
 * @param slack what the sheets that are left may waste in all, mm²
 */
export function thriftyFirst(found: readonly Candidate[], { pieces: all }: Problem, slack: number): Candidate[] {
  const takes = ({ waste, pieces }: Candidate): number => waste / (slack + 1) + pieces / all.length
  return found
    .map((s): [number, Candidate] => [takes(s), s])
    .sort((a, b) => a[0] - b[0])
    .map(([, s]) => s)
}
