import { rectangle } from '../geometry/outline'
import type { Board } from '../model/model'
import type { Stock } from '../shop/shop'

/** A rectangular board of one layer, its grain along its length. Lengths mm. */
export const plainBoard = (
  stock: Stock,
  board: Pick<Board, 'id' | 'name' | 'role' | 'length' | 'width' | 'placement' | 'figures'> & Partial<Board>,
): Board => ({
  material: stock.material,
  stock: stock.id,
  thickness: stock.thickness,
  layers: 1,
  grain: 'along length',
  outline: rectangle(0, 0, board.length, board.width),
  openings: [],
  ...board,
})
