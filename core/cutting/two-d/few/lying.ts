import type { Lying } from '../blocks'
import type { Shape } from '../sheets'
import type { Rectangle } from '../slicing/curves'
import { ALONG, PIECE, type FewBlocks } from './blocks'
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
  return wayLying(full.blocks, way)
}

function wayLying(blocks: FewBlocks, { taken, last }: Way): Lying[] {
  const lying: Lying[] = []
  let [x, y] = [0, 0]
  for (const { block, axis } of taken) {
    lay(blocks, block, x, y, lying)
    if (axis === ALONG) x += blocks.l[block]!
    else y += blocks.w[block]!
  }
  lay(blocks, last, x, y, lying)
  return lying
}

function lay(blocks: FewBlocks, block: number, x: number, y: number, lying: Lying[]): void {
  const [one, other] = [blocks.one[block]!, blocks.other[block]!]
  if (blocks.axis[block] === PIECE) {
    lying.push({ piece: one, x, y, turned: other === 1 })
    return
  }
  const along = blocks.axis[block] === ALONG
  lay(blocks, one, x, y, lying)
  lay(blocks, other, along ? x + blocks.l[one]! : x, along ? y : y + blocks.w[one]!, lying)
}
