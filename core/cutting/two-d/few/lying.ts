import type { Lying } from '../blocks'
import type { Shape } from '../sheets'
import type { Rectangle } from '../slicing/curves'
import { piecesIn } from '../plain/bits'
import { lyingTaken } from '../plain/lying'
import { FullOfFew, type Effort, type Way } from './full'
import { DEEPEST } from './scope'

/** Areas that are added up in another order differ by far less than this, mm². */
const ABOUT = 1

/** A sheet that no blocks of so few parts fill is looked at with more in a block, up to so many: that takes longer. */
const [FEWEST, MOST] = [3, 5]

/** Pieces of which it isn't known whether they fill a sheet: so many blocks are laid. */
const QUICK = 30_000

/**
 * Where pieces lie that are known to fill a sheet.
 * @param waste what they waste, mm²
 * @returns null where no way is found in which they waste no more, or the time is up
 */
export function lyingFull(
  pieces: readonly Shape[],
  sheet: Rectangle,
  waste: number,
  over: () => boolean,
): Lying[] | null {
  for (let parts = FEWEST; parts <= MOST && !over(); parts++) {
    const lying = lyingIn(pieces, sheet, waste, parts, { blocks: Infinity, over })
    if (lying) return lying
  }
  return null
}

/**
 * Where pieces lie that may fill a sheet, if that is soon found.
 * @param waste what they waste if they do, mm²
 * @returns null where no way is found, or the time is up
 */
export const lyingQuickly = (
  pieces: readonly Shape[],
  sheet: Rectangle,
  waste: number,
  over: () => boolean,
): Lying[] | null => lyingIn(pieces, sheet, waste, FEWEST, { blocks: QUICK, over })

/** @param parts the most in a block */
function lyingIn(
  pieces: readonly Shape[],
  sheet: Rectangle,
  waste: number,
  parts: number,
  { blocks, over }: Pick<Effort, 'blocks' | 'over'>,
): Lying[] | null {
  const worth = new Float64Array(pieces.length)
  const may = { parts, waste: waste + ABOUT, each: worth, base: Infinity, fine: 0 }
  const full = new FullOfFew(pieces, worth, sheet, may.waste, may, over)
  let way: Way | null = null
  full.all({ blocks, depth: DEEPEST, over: () => way !== null || over() }, (set, _, how) => {
    if (!way && piecesIn(set, pieces.length, false).length === 0) way = how()
  })
  if (!way) return null
  const { taken, last }: Way = way
  return lyingTaken(full.blocks, taken, last)
}
