import type { HolderModel } from '../model/model'
import type { Shop } from '../shop/shop'

/** One line of a parts list. mm; printed as a cut size by whoever writes it out. */
export interface Part {
  board: string
  name: string
  count: number
  material: string
  /** name of the board or sheet it is cut from */
  stock: string
  length: number
  width: number
  thickness: number
  openings: number
}

/** The parts a holder is made of, in the order of its model. */
export const partsOf = (model: HolderModel, shop: Pick<Shop, 'stock'>): Part[] =>
  model.boards.map((b) => ({
    board: b.id,
    name: b.name,
    count: b.layers,
    material: b.material,
    stock: shop.stock.find((s) => s.id === b.stock)?.name ?? b.stock,
    length: b.length,
    width: b.width,
    thickness: b.thickness / b.layers,
    openings: b.openings.length,
  }))
