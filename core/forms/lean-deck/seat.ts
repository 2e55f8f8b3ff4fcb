import { carriedMass } from '../../footprint/tool'
import type { Seat } from '../../model/model'
import { tipSeat } from '../../model/tilt'
import { cosine, sine } from '../tilting'
import type { Stood } from './stood'

/** How the deck stands: its slope in degrees, how long it is up it, and the line that it leans about; mm. */
interface Deck {
  tilt: number
  depth: number
  about: { y: number; z: number }
}

/** A tool on the deck, its lower edge on the stop. @param x its middle from the datum end, mm */
export function seatOn(s: Stood, x: number, { tilt, depth, about }: Deck): Seat {
  const { order, tool, place, ids, origin } = s
  const [sin, cos] = [sine(tilt), cosine(tilt)]
  const level: Seat = {
    id: order.id,
    tool: tool.id,
    name: tool.name,
    place,
    turn: order.turn,
    board: 'deck',
    opening: null,
    at: { x: x + origin.x, y: about.y + depth + origin.y, z: 0 },
    extent: { left: s.left + origin.x, right: s.right - origin.x, front: 0, back: 0 },
    rests: 'shelf',
    sharp: false,
    mass: carriedMass(tool),
    reach: `{thickness:back} + {tiltOff} + cos({tilt}) × {depth} + sin({tilt}) × {${ids.high}}`,
    figures: { ...ids, ...(s.slot ? { slot: s.slot.ids.wide } : {}) },
  }
  const seat = tipSeat(level, -tilt, about)
  const from = seat.at.y - about.y
  return { ...seat, extent: { ...seat.extent, front: cos * depth + sin * s.high - from, back: from } }
}
