import type { Lying } from '../blocks'
import type { Shape } from '../sheets'
import type { Rectangle } from '../slicing/curves'
import { lyingTaken } from '../plain/lying'
import { FullOfFew, type Way } from './full'

/** Areas that are added up in another order differ by far less than this, mm². */
const ABOUT = 1

/**
 * Where pieces lie that are known to fill a sheet.
 * @param waste what they waste, mm²
 * @throws where they don't fill it so
 */
export function lyingFull(pieces: readonly Shape[], sheet: Rectangle, waste: number): Lying[] {
  const full = new FullOfFew(pieces, sheet, waste + ABOUT)
  const all = 2 ** pieces.length - 1
  let way: Way | null = null
  full.all({ blocks: Infinity, over: () => false }, (set, _, how) => {
    if (!way && set[0]! >>> 0 === all) way = how()
  })
  if (!way) throw new Error('These pieces fill no sheet')
  const { taken, last }: Way = way
  return lyingTaken(full.blocks, taken, last)
}
