import { circle, type Point } from '../geometry/outline'
import type { Opening, Rod } from '../model/model'
import type { Stock } from '../shop/shop'
import type { Rule } from '../working/figure'
import type { Trail } from '../working/trail'
import type { RodHole } from './rod-hole'

/** The upright board that pins lean up from: how thick, with that figure's id, and how high its lower edge stands; mm. */
export interface PinBoard {
  thickness: number
  figure: string
  low: number
  rod: Stock
  hole: RodHole
  /** how far its pins lean up, degrees; on the trail as `pinSlant` */
  slant: number
}

/** One pin of a board: where its middle leaves the face, from the datum end and the lower edge, and how far it stands out; mm. */
export interface LeaningPin {
  id: string
  name: string
  /** what its length is called */
  label: string
  seat: string
  at: Point
  out: number
  figures: { x: string; y: string; out: string; arm: string }
}

/**
 * A pin that leans up, and the hole it is glued into: its end stays within the board, level with its back. Its length goes on the
 * trail as `pin:ID`; `thickness:rod` and `pinSlant` must be there.
 */
export function leaningPin(trail: Trail, board: PinBoard, pin: LeaningPin, rule: Rule): { opening: Opening; rod: Rod } {
  const { thickness, rod, hole, slant } = board
  const lean = (slant * Math.PI) / 180
  const inset = (rod.thickness / 2) * Math.sin(lean)
  const length = trail.derive(`pin:${pin.id}`, pin.label, (thickness - inset + pin.out) / Math.cos(lean), rule, `({${board.figure}} − {thickness:rod} / 2 × sin({pinSlant}) + {${pin.figures.out}}) / cos({pinSlant})`, { print: 'up' }) // prettier-ignore
  return {
    opening: {
      id: `hole-${pin.id}`,
      kind: 'bore',
      seat: pin.seat,
      centre: pin.at,
      width: hole.diameter,
      radius: hole.diameter / 2,
      outline: circle(pin.at.x, pin.at.y, hole.diameter / 2),
      opensTo: null,
      depth: null,
      slant,
      dust: null,
      cut: 'bored',
      bores: hole.bores(pin.at),
      figures: { x: pin.figures.x, y: pin.figures.y, width: hole.figure, end: hole.figure },
    },
    rod: {
      id: `pin-${pin.id}`,
      name: pin.name,
      role: 'pin',
      material: rod.material,
      stock: rod.id,
      diameter: rod.thickness,
      length,
      at: { x: pin.at.x, y: inset, z: board.low + pin.at.y + (inset - thickness) * Math.tan(lean) },
      toward: { x: 0, y: Math.cos(lean), z: Math.sin(lean) },
      seats: [pin.seat],
      figures: { length: `pin:${pin.id}`, diameter: 'thickness:rod', arm: pin.figures.arm },
    },
  }
}
