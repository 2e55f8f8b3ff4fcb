import type { Shop } from '../../shop/shop'
import { rackOn } from '../holding'
import type { Wall } from '../wall'
import { sheetStock, stripStock } from './made'

/**
 * How far from the wall what a holder hangs on is at a height, mm. A holder on a strip brings that thickness itself.
 * @param z over the floor: a rack that leans stands further out below
 */
export function standsOff(wall: Wall, shop: Shop, z: number): number {
  if (wall.holds === 'panel' || wall.holds === 'backed' || wall.holds === 'framed') return sheetStock(shop)?.thickness ?? 0 // prettier-ignore
  if (wall.holds !== 'uprights' && wall.holds !== 'rack') return 0
  const { high, lean } = rackOn(wall)
  const off = wall.holds === 'rack' ? Math.max(0, high - z) * Math.tan((lean * Math.PI) / 180) : 0
  return (stripStock(shop)?.thickness ?? 0) + shop.settings.uprightDepth + off
}
