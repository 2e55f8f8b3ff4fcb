import type { May } from '#core/cutting/two-d/few/blocks'
import { FullOfFew } from '#core/cutting/two-d/few/full'
import { piecesIn } from '#core/cutting/two-d/plain/bits'
import type { Shape } from '#core/cutting/two-d/sheets'
import { SHEET } from './cut-problems'

/** Everything, without a clock. */
export const ALL = { blocks: Infinity, depth: 3, over: () => false }

/** Blocks of up to three parts that waste no more than so much, mm². */
export const mayWaste = (waste: number, pieces: number): May => ({
  parts: 3,
  waste,
  each: new Float64Array(pieces),
  base: Infinity,
  fine: 0,
})

/** Full sheets that waste no more than so much, their pieces being worth nothing. */
export const fullOf = (pieces: readonly Shape[], limit: number): FullOfFew =>
  new FullOfFew(pieces, new Float64Array(pieces.length), SHEET, limit, mayWaste(limit, pieces.length), ALL.over)

/** All sets that fill the sheet, by the pieces in them, with what they waste. @param depth so many blocks are taken away at most */
export function setsOf(pieces: readonly Shape[], limit: number, depth = ALL.depth): Map<string, number> {
  const found = new Map<string, number>()
  fullOf(pieces, limit).all({ ...ALL, depth }, (set, waste) => {
    const name = piecesIn(set, pieces.length, true).join()
    found.set(name, Math.min(waste, found.get(name) ?? Infinity))
  })
  return found
}
