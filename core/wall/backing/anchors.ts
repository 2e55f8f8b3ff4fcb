import { screwDiameter } from '../../fit/screw'
import type { Shop } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import type { Wall } from '../wall'

/** What is put into a wall that a wood screw doesn't hold in. mm */
export interface Anchor {
  item: string
  name: string
  diameter: number
  length: number
  gauge: number | null
  bite: number
  /** of the hole that is drilled for it; null for one that drills its own */
  hole: number | null
}

/** Usual ones as they are sold where a unit is used, mm; how they are named; what they hold stands on the packet. */
const USUAL = {
  mm: {
    plug: { hole: 8, screw: 5, deep: 50, named: (length: number): string => `Plug 8 with screw 5 x ${length}` },
    metal: { screw: 4.2, through: 20, named: (length: number): string => `Self-drilling screw 4.2 x ${length}` },
    /** lengths go up by so much */
    step: 10,
  },
  in: {
    plug: { hole: (5 / 16) * 25.4, screw: screwDiameter(10), deep: 2 * 25.4, named: (length: number): string => `Plug 5/16 with screw #10 x ${inches(length)}` }, // prettier-ignore
    metal: { screw: screwDiameter(8), through: 0.75 * 25.4, named: (length: number): string => `Self-drilling screw #8 x ${inches(length)}` }, // prettier-ignore
    step: 25.4 / 4,
  },
}

const inches = (mm: number): string => formatLength(mm, { unit: 'in', gridMm: 1, gridIn: 8 }).replace('"', '')

/** The usual fixing of a wall that is not of wood, through so much, of the shop's unit; null for wood studs. mm */
export function anchorOf(
  { behind = 'wood' }: Pick<Wall, 'behind'>,
  side: number,
  { unit }: Pick<Shop, 'unit'>,
): Anchor | null {
  if (behind === 'wood') return null
  const { plug, metal, step } = USUAL[unit]
  const sold = (mm: number): number => Math.ceil(mm / step - 1e-9) * step
  if (behind === 'masonry') {
    const length = sold(side + plug.deep)
    return { item: 'plug', name: plug.named(length), diameter: plug.screw, length, gauge: null, bite: plug.deep, hole: plug.hole } // prettier-ignore
  }
  const length = sold(side + metal.through)
  return { item: 'metal stud screw', name: metal.named(length), diameter: metal.screw, length, gauge: null, bite: metal.through, hole: null } // prettier-ignore
}

/** What there is to say about such a wall, in the shop's words; null for wood studs. */
export const anchorAdvice = ({ behind = 'wood' }: Pick<Wall, 'behind'>, { unit }: Pick<Shop, 'unit'>): string | null =>
  ({
    wood: null,
    metal:
      'Metal studs: their thin flange holds little. Self-drilling screws as the studs’ maker names them, hollow-wall anchors beside them, or a wooden batten behind the lining for what is heavy. What they hold is not reckoned here: ask the maker.',
    masonry:
      `Masonry: plugs and screws as their maker names them; usual are plugs of ${unit === 'in' ? '5/16", 2"' : '8 mm, 50 mm'} deep in solid brick or concrete, longer ones in hollow or light blocks, none in a joint. What they hold is not reckoned here: it stands on the packet.`, // prettier-ignore
  })[behind]
