import type { HolderModel } from '../model/model'

/** One line of a parts list. mm; printed as a cut size by whoever writes it out. */
export interface Part {
  board: string
  name: string
  count: number
  material: string
  length: number
  width: number
  thickness: number
  openings: number
}

/** The parts a holder is made of, in the order of its model. */
export const partsOf = (model: HolderModel): Part[] =>
  model.boards.map((b) => ({
    board: b.id,
    name: b.name,
    count: 1,
    material: b.material,
    length: b.length,
    width: b.width,
    thickness: b.thickness,
    openings: b.openings.length,
  }))
