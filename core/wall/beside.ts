import type { Shop } from '../shop/shop'
import { at, type WallBox, type WallPiece } from './extent'
import { carrierOf } from './backing/carried'
import { keepOuts, mayHang, placedOn, roomOf } from './may-hang'
import { STEPS } from './places-tried'
import type { Wall } from './wall'

/**
 * The nearest free place beside where a piece hangs, at the same height, on the right first; where there is none, a little
 * aside of it, for the hand to move it on. mm
 */
export function besideOf(
  wall: Wall,
  pieces: readonly WallPiece[],
  shop: Shop,
  piece: WallPiece,
  { x, z }: { x: number; z: number },
): { x: number; z: number } {
  const outs = keepOuts(wall, shop)
  const carries = carrierOf(wall, shop)
  const others: WallBox[] = placedOn(wall, pieces).flatMap(({ hung, piece: p }) => [at(p.all, hung.x, hung.z), at(roomOf(p), hung.x, hung.z)]) // prettier-ignore
  const { fine } = STEPS[shop.unit]
  for (let off = fine; off <= wall.width; off += fine)
    for (const way of [1, -1]) {
      const to = x + way * off
      if (mayHang(wall, outs, piece, to, z, others) && carries(piece, to, z)) return { x: to, z }
    }
  return { x: x + 5 * fine, z }
}
