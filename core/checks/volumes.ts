import type { HolderModel } from '../model/model'
import { boardLump, rodLump } from '../solid/mass'
import type { Trail } from '../working/trail'
import { volumeRule } from './rules'

/** A part of the wood: its volume in mm³ with the figure of it, how far its middle is from the wall, mm, and what it is cut from. */
export interface WoodPart {
  volume: number
  figure: string
  out: number
  material: string
  stock: string
}

/** Every board and rod of a holder by volume, its figures on the trail: the whole piece, less what is taken out of it. */
export function woodVolumes({ boards, rods }: Pick<HolderModel, 'boards' | 'rods'>, trail: Trail): WoodPart[] {
  const figureOf = (id: string, name: string, volume: number, piece: string, whole: number): string => {
    const taken = whole - volume
    const formula = taken > 1e-7 * whole ? `${piece} − [${taken} mm³]` : piece
    trail.derive(`volume:${id}`, `Volume of ${name}`, volume, volumeRule, formula, { quantity: 'volume' })
    return `volume:${id}`
  }
  return [
    ...boards.map((b): WoodPart => {
      const { volume, at } = boardLump(b)
      const { length, width, thickness } = b.figures
      const figure = figureOf(b.id, b.name, volume, `{${length}} × {${width}} × {${thickness}}`, b.length * b.width * b.thickness) // prettier-ignore
      return { volume, figure, out: at.y, material: b.material, stock: b.stock }
    }),
    ...rods.map((r): WoodPart => {
      const { volume, at } = rodLump(r)
      const figure = figureOf(r.id, r.name, volume, `π × {${r.figures.diameter}}² / 4 × {${r.figures.length}}`, (Math.PI * r.diameter ** 2 * r.length) / 4) // prettier-ignore
      return { volume, figure, out: at.y, material: r.material, stock: r.stock }
    }),
  ]
}
