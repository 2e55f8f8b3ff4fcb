import type { Shop } from '../../shop/shop'
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

/** Usual ones, as their makers name them; what they hold stands on the packet. */
const PLUG = { diameter: 8, screw: 5, deep: 50 }
const METAL = { diameter: 4.2, through: 20 }

/** A length that is sold: up to the next 10 mm. */
const sold = (mm: number): number => Math.ceil(mm / 10 - 1e-9) * 10

/** The usual fixing of a wall that is not of wood, through so much; null for wood studs. mm */
export function anchorOf({ behind = 'wood' }: Pick<Wall, 'behind'>, side: number): Anchor | null {
  if (behind === 'wood') return null
  if (behind === 'masonry') {
    const length = sold(side + PLUG.deep)
    return { item: 'plug', name: `Plug ${PLUG.diameter} with screw ${PLUG.screw} x ${length}`, diameter: PLUG.screw, length, gauge: null, bite: PLUG.deep, hole: PLUG.diameter } // prettier-ignore
  }
  const length = sold(side + METAL.through)
  return { item: 'metal stud screw', name: `Self-drilling screw ${METAL.diameter} x ${length}`, diameter: METAL.diameter, length, gauge: null, bite: METAL.through, hole: null } // prettier-ignore
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
