import type { HolderModel, Rod } from '../model/model'
import type { Shop } from '../shop/shop'

/** Rods whose lengths differ by less are alike, mm. */
const SAME_SIZE = 1e-6

const ROD: Record<Rod['role'], string> = { rail: 'Rod', pin: 'Pin', pipe: 'Pipe' }

/** One line of a parts list, a board or rods that are alike. mm; printed as a cut size by whoever writes it out. */
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

const stockName = (shop: Pick<Shop, 'stock'>, id: string): string => shop.stock.find((s) => s.id === id)?.name ?? id

/** The parts a holder is made of, in the order of its model: its boards, then its rods, alike ones together. */
export function partsOf(model: HolderModel, shop: Pick<Shop, 'stock'>): Part[] {
  const boards = model.boards.map((b) => ({
    board: b.id,
    name: b.name,
    count: b.layers,
    material: b.material,
    stock: stockName(shop, b.stock),
    length: b.length,
    width: b.width,
    thickness: b.thickness / b.layers,
    openings: b.openings.length,
  }))
  const rods: Part[] = []
  for (const r of model.rods) {
    const alike = rods.find((p) => Math.abs(p.length - r.length) < SAME_SIZE && p.stock === stockName(shop, r.stock))
    if (alike) {
      alike.count++
      alike.name = `${ROD[r.role]}s`
      continue
    }
    rods.push({
      board: r.id,
      name: ROD[r.role],
      count: 1,
      material: r.material,
      stock: stockName(shop, r.stock),
      length: r.length,
      width: r.diameter,
      thickness: r.diameter,
      openings: 0,
    })
  }
  return [...boards, ...rods]
}
