import type { Shop } from '#core/shop/shop'
import type { Arrangement } from '#core/wall/arrange'
import type { WallPiece } from '#core/wall/extent'
import type { Wall } from '#core/wall/wall'

export interface ToArrange {
  wall: Wall
  pieces: WallPiece[]
  shop: Shop
  seconds: number
}

export type FromArrange =
  { say: 'so far'; arrangement: Arrangement; done: boolean } | { say: 'failed'; message: string }
