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

/**
 * The board behind a holder, against the wall from end to end of it. Lengths mm.
 * @param low its lower edge, @param as ids of the figures of its length and height
 */
export const backBoard = (
  stock: Stock,
  { length, width, low, as }: { length: number; width: number; low: number; as: { length: string; width: string } },
): Board =>
  plainBoard(stock, {
    id: 'back',
    name: 'Back',
    role: 'back',
    length,
    width,
    placement: { lies: 'upright', at: { x: 0, y: 0, z: low } },
    figures: { ...as, thickness: 'thickness:back' },
  })
