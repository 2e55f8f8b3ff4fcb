import type { Shop } from '../shop/shop'
import { costAt } from './arrange-cost'
import { at, type WallBox, type WallPiece } from './extent'
import { carrierOf } from './backing/carried'
import { keepOuts, mayHang, placedOn, roomOf } from './may-hang'
import { hangsBy } from './holding'
import { heightsFor, rowsOn } from './strips'
import { placesTried } from './places-tried'
import type { Wall } from './wall'

/** A place at which something of a size would hang: the lower left corner, mm. */
export interface Room {
  x: number
  z: number
}

/** A piece of a size that hangs by nothing yet: on strips its own is at the top. mm */
function boxOf(width: number, height: number, shop: Shop, strips: boolean): WallPiece {
  const box: WallBox = { x0: 0, x1: width, z0: 0, z1: height }
  return { holder: '', name: '', boards: box, all: box, mass: null, screws: [], fixings: [], out: 0, hook: strips ? height - shop.settings.stripWidth / 2 : null, above: 60, use: 3 } // prettier-ignore
}

/**
 * Where a holder of a size would still hang: covering nothing, meeting nothing, with room for a hand above it. The nearest
 * to the work and the best reach first; no two over each other.
 * @param width, @param height of it with its tools, mm
 */
export function roomFor(
  wall: Wall,
  pieces: readonly WallPiece[],
  shop: Shop,
  { width, height, most = 4 }: { width: number; height: number; most?: number },
): Room[] {
  const piece = boxOf(width, height, shop, hangsBy(wall) === 'strips')
  const outs = keepOuts(wall, shop)
  const carries = carrierOf(wall, shop)
  const others = placedOn(wall, pieces).flatMap(({ hung, piece: p }) => [at(roomOf(p), hung.x, hung.z), at(p.all, hung.x, hung.z)]) // prettier-ignore
  const rows = rowsOn(wall, shop)
  const heights =
    hangsBy(wall) === 'strips' ? heightsFor(rows, piece, shop) : placesTried(0, wall.height - height, shop)
  const spots: (Room & { cost: number })[] = []
  for (const x of placesTried(0, wall.width - width, shop))
    for (const z of heights) if (mayHang(wall, outs, piece, x, z, others) && carries(piece, x, z)) spots.push({ x, z, cost: costAt(wall, shop, piece, x, z) }) // prettier-ignore
  spots.sort((a, b) => a.cost - b.cost || a.x - b.x || a.z - b.z)
  const taken: Room[] = []
  for (const s of spots) {
    if (taken.length >= most) break
    if (taken.every((t) => Math.abs(t.x - s.x) >= width || Math.abs(t.z - s.z) >= height))
      taken.push({ x: s.x, z: s.z })
  }
  return taken
}
