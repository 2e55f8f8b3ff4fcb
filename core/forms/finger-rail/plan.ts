import { carriedMass } from '../../footprint/tool'
import { slotOutline } from '../../geometry/outline'
import { MODEL_VERSION, type Joint, type Opening } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { acrossRail } from './across'
import { alongRail } from './along'
import { plainBoard } from '../plain-board'
import { NO_STOCK, stocksFor } from '../stocks'
import { bracketJoints, brackets, bracketsWanted } from './brackets'
import { choices } from './choices'
import { railRule } from './rules'
import { webBetween } from './layout'
import { railSeats, type RailSeat } from './seats'

/** Wood thinner than this, mm, is none: openings run into each other or out of the board. */
const THINNEST = 1e-6

/** Plans a finger rail: a flat board with slots open to the front, and an upright back behind or below it. */
export function planFingerRail(input: PlanInput): Plan {
  const trail = new Trail()
  const { shop, holder } = input
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['rail', 'back'])
  if (!stocks) return refuse(NO_STOCK)

  const { seats, refusals } = railSeats(input, trail)
  if (seats.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No tools in this holder yet. Add the first one from those that could join.' })
  }
  const along = alongRail(input, trail, seats)
  if (along.length > LARGEST_SIZE) {
    return refuse(...refusals, {
      id: 'too long',
      says: `The board would be ${formatLength(along.length, shop)} long. Split the tools over several holders.`,
    })
  }
  const across = acrossRail(input, trail, seats)
  const backHeight = lengthOf(choices, input, trail, 'backHeight')
  const clash = clashing(seats, along, across.centre)
  if (clash) return refuse(...refusals, clash)

  const carried = bracketsWanted(input)
  const standsBehind = carried === 0 && optionOf(choices, input, 'back') === 'behind'
  const layers = Number(optionOf(choices, input, 'layers'))
  const { thickness, thickId } = railThickness(trail, stocks.rail.thickness, layers)
  const cut = optionOf(choices, input, 'slots') === 'jigsawn' ? 'sawn' : 'bored'
  const openings = seats.map((seat, i) => slot(seat, { x: along.centres[i]!, y: across.centre }, across.depth, cut))
  const rail = plainBoard(stocks.rail, {
    id: 'rail',
    name: 'Rail',
    role: 'rail',
    thickness,
    layers,
    length: along.length,
    width: across.depth,
    openings,
    placement: { lies: 'flat', at: { x: 0, y: stocks.back.thickness, z: 0 } },
    figures: {
      length: 'length',
      width: 'depth',
      thickness: thickId,
      ...(layers > 1 ? { layer: 'thickness:rail' } : {}),
    },
  })
  const back = plainBoard(stocks.back, {
    id: 'back',
    name: 'Back',
    role: 'back',
    length: along.length,
    width: backHeight,
    placement: {
      lies: 'upright',
      at: {
        x: 0,
        y: 0,
        z: standsBehind ? -thickness : carried > 0 ? -thickness - backHeight - input.shop.settings.web : -backHeight,
      },
    },
    figures: { length: 'length', width: 'backHeight', thickness: 'thickness:back' },
  })
  const under = carried > 0 ? brackets(input, trail, { seats, centres: along.centres, length: along.length, depth: across.depth, thickness, backHeight, stock: stocks.back }) : null // prettier-ignore
  if (under?.refusal) return refuse(...refusals, under.refusal)
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'finger-rail',
      name: holder.name,
      boards: [rail, back, ...(under?.boards ?? [])],
      rods: [],
      reach: { value: stocks.back.thickness + across.depth, formula: '{thickness:back} + {depth}' },
      joints: under ? bracketJoints(under.boards) : [ALONG_BACK],
      fasteners: [],
      seats: seats.map((seat, i) => ({
        id: seat.order.id,
        tool: seat.tool.id,
        name: seat.tool.name,
        place: seat.place,
        turn: seat.order.turn,
        board: 'rail',
        opening: openings[i]!.id,
        at: { x: along.centres[i]!, y: stocks.back.thickness + across.centre + across.rests[i]!, z: 0 },
        extent: { left: seat.left, right: seat.right, front: seat.front, back: seat.back },
        rests: 'shoulder' as const,
        sharp: seat.sharp,
        mass: carriedMass(seat.tool),
        reach: `{thickness:back} + {centre}${seat.rectangular || seat.oval ? ` + {rest:${seat.order.id}}` : ''} + {${seat.ids.front}}`,
        figures: seat.ids,
      })),
    },
  }
}

const ALONG_BACK: Joint = {
  order: 1,
  parts: ['back', 'rail'],
  glued: true,
  by: 'screws',
  fixing: 'Glue, and screws from behind through the back into the rail’s back edge',
}

/** The rail's thickness, with its figure where it is of several layers. mm */
function railThickness(trail: Trail, one: number, layers: number): { thickness: number; thickId: string } {
  if (layers === 1) return { thickness: one, thickId: 'thickness:rail' }
  trail.given('layers', 'Layers', layers, { kind: 'choice', key: 'layers' }, { quantity: 'count' })
  return { thickness: trail.derive('railThickness', 'Rail thickness', layers * one, railRule, '{layers} × {thickness:rail}'), thickId: 'railThickness' } // prettier-ignore
}

const slot = (seat: RailSeat, centre: { x: number; y: number }, edge: number, cut: Opening['cut']): Opening => ({
  id: `slot-${seat.order.id}`,
  kind: 'slot',
  seat: seat.order.id,
  centre,
  width: seat.slot,
  radius: seat.end / 2,
  outline: slotOutline(centre, seat.slot, edge, seat.end / 2),
  opensTo: 'front',
  depth: null,
  slant: 0,
  cut,
  dust: null,
  bores: seat.bores.map(({ off, diameter, bit }) => ({ centre: { x: centre.x + off, y: centre.y }, diameter, bit })),
  figures: { x: `x:${seat.order.id}`, y: 'centre', width: seat.ids.slot, end: seat.ids.end },
})

/** Openings that run into each other or out of the board are refused, not drawn. */
function clashing(
  seats: readonly RailSeat[],
  { centres, length }: { centres: readonly number[]; length: number },
  line: number,
): Refusal | null {
  for (let i = 0; i + 1 < seats.length; i++) {
    const [a, b] = [seats[i]!, seats[i + 1]!]
    if (webBetween(centres[i]!, a.slot, centres[i + 1]!, b.slot) < THINNEST) {
      return {
        id: 'overlap',
        says: `Slots ${a.place} and ${b.place} (${a.tool.name}, ${b.tool.name}) would run into each other.`,
        seats: [a.order.id, b.order.id],
      }
    }
  }
  const first = seats[0]!
  if (centres[0]! - first.slot / 2 < THINNEST) {
    return {
      id: 'overlap',
      says: `Slot 1 (${first.tool.name}) would break out of the board’s end.`,
      seats: [first.order.id],
    }
  }
  const last = seats.at(-1)!
  if (length - centres.at(-1)! - last.slot / 2 < THINNEST) {
    return {
      id: 'overlap',
      says: `Slot ${last.place} (${last.tool.name}) would break out of the board’s end.`,
      seats: [last.order.id],
    }
  }
  const widest = Math.max(...seats.map((s) => s.slot))
  if (line - widest / 2 < THINNEST) {
    return { id: 'too shallow', says: 'The board is not deep enough: the slots would cut through its back edge.' }
  }
  return null
}
