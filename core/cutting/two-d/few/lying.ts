import type { Lying } from '../blocks'
import type { Shape } from '../sheets'
import type { Rectangle } from '../slicing/curves'
import { lyingTaken } from '../plain/lying'
import { FullOfFew, type Way } from './full'
import { DEEPEST } from './scope'

/** Areas that are added up in another order differ by far less than this, mm². */
const ABOUT = 1

/** A sheet that no blocks of so few pieces fill is looked at with more in a block, up to so many: that takes longer. */
const [FEWEST, MOST] = [3, 5]

/**
 * Where pieces lie that are known to fill a sheet.
 * @param waste what they waste, mm²
 * @returns null where no way is found in which they waste no more
 */
export function lyingFull(pieces: readonly Shape[], sheet: Rectangle, waste: number): Lying[] | null {
  const all = 2 ** pieces.length - 1
  const worth = new Float64Array(pieces.length)
  for (let most = FEWEST; most <= MOST; most++) {
    const may = { pieces: most, waste: waste + ABOUT, each: worth, base: Infinity }
    const full = new FullOfFew(pieces, worth, sheet, may.waste, may)
    let way: Way | null = null
    full.all({ blocks: Infinity, depth: DEEPEST, over: () => way !== null }, (set, _, how) => {
      if (!way && set[0]! >>> 0 === all) way = how()
    })
    if (!way) continue
    const { taken, last }: Way = way
    return lyingTaken(full.blocks, taken, last)
  }
  return null
}
