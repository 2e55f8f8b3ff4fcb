import { carriedMass } from '../../footprint/tool'
import { MODEL_VERSION, type Seat } from '../../model/model'
import { FIT_SETTING, type Fit } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { leaningPin } from '../leaning-pin'
import { plainBoard } from '../plain-board'
import { rodHole } from '../rod-hole'
import { spreadSpots } from '../spread'
import { stocksFor } from '../stocks'
import { choices } from './choices'
import { hung, type Hung } from './hung'
import { heightRule, leftPinRule, lineRule, pinLengthRule, railRule } from './rules'

/** Wood below a hole where it comes out at the back of the rail, mm; the checks want more. */
const LEAST_BELOW = 1

/** One pin: which seat it carries, and where along the rail; mm. */
interface Pin {
  id: string
  name: string
  hung: Hung
  x: number
  figure: string
}

/** Plans a peg rail: an upright board with pins that lean up, each thing on one of them or between two. */
export function planPegRail(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['rail', 'rod'])
  if (!stocks)
    return refuse({ id: 'stock', says: 'The shop has no boards or no rods to make this from. Add them under the shop’s settings.' }) // prettier-ignore
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const play = settingOf(input, trail, fit)
  const d = stocks.rod.thickness
  const found = hung(input, trail, d)
  const all: Hung[] = []
  const refusals = [...found.refusals]
  for (const h of found.hung) {
    const hole = h.hole === null ? Infinity : h.hole - trail.get(h.ids.holeDoubt!).value - play
    if (hole >= d - 1e-6) all.push(h)
    else {
      const says = `${h.tool.name} is left out: its hole of ${formatLength(h.hole!, input.shop)} doesn’t go over a pin of ${formatLength(d, input.shop)}. Take a thinner rod.`
      refusals.push({ id: `hole:${h.order.id}`, says, tool: h.tool.id, seats: [h.order.id] })
    }
  }
  if (all.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'Nothing in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const { centres, length } = spreadSpots(trail, all, optionOf(choices, input, 'pitch') === 'even')
  if (length > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The rail would be ${formatLength(length, input.shop)} long. Split the things over several holders.` }) // prettier-ignore

  const pins = all.flatMap((h, i) => pinsOf(trail, h, centres[i]!))
  const hole = rodHole(input, trail, d)
  const bore = hole.diameter
  const clash = clashing(pins, length, bore)
  if (clash) return refuse(...refusals, clash)

  const layers = Number(optionOf(choices, input, 'layers'))
  trail.given('layers', 'Layers', layers, { kind: 'choice', key: 'layers' }, { quantity: 'count' })
  const thickness = trail.derive('railThickness', 'Rail thickness', layers * stocks.rail.thickness, railRule, '{layers} × {thickness:rail}') // prettier-ignore
  const slant = settingOf(input, trail, 'pinSlant')
  const web = settingOf(input, trail, 'web')
  const own = input.holder.choices.height
  const height =
    typeof own === 'number'
      ? trail.given('height', 'Rail height', own, { kind: 'choice', key: 'height' }, { note: 'this holder’s own' })
      : trail.derive('height', 'Rail height', 2 * Math.max(2 * d, web) + d + thickness, heightRule, '2 × max(2 × {thickness:rod}, {web}) + {thickness:rod} + {railThickness}', { print: 'up' }) // prettier-ignore
  const lean = (slant * Math.PI) / 180
  // the holes lean: at the back of the rail they are that much lower
  if (height / 2 < thickness * Math.tan(lean) + bore / 2 / Math.cos(lean) + LEAST_BELOW)
    return refuse(...refusals, { id: 'too low', says: `A rail ${formatLength(height, input.shop)} high is too low for its pins: their holes would come out at its lower edge.` }) // prettier-ignore
  const line = trail.derive('line', 'Lower edge to the pins', height / 2, lineRule, '{height} / 2')

  const board = { thickness, figure: 'railThickness', low: -line, rod: stocks.rod, hole, slant }
  const made = pins.map((p) => leaningPin(trail, board, { id: p.id, name: p.name, label: `Pin of ${p.hung.place}`, seat: p.hung.order.id, at: { x: p.x, y: line }, out: p.hung.out, figures: { x: p.figure, y: 'line', out: p.hung.ids.out, arm: p.hung.ids.arm } }, pinLengthRule)) // prettier-ignore
  const rail = plainBoard(stocks.rail, {
    id: 'rail',
    name: 'Rail',
    role: 'back',
    thickness,
    layers,
    length,
    width: height,
    openings: made.map((m) => m.opening),
    placement: { lies: 'upright', at: { x: 0, y: 0, z: -line } },
    figures: { length: 'length', width: 'height', thickness: 'railThickness', layer: 'thickness:rail' },
  })
  const longest = all.reduce((a, b) => (b.out > a.out ? b : a))
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'peg-rail',
      name: input.holder.name,
      boards: [rail],
      rods: made.map((m) => m.rod),
      reach: { value: thickness + longest.out, formula: `{railThickness} + {${longest.ids.out}}` },
      joints: pins.map((p, i) => ({
        order: i + 1,
        parts: ['rail', `pin-${p.id}`],
        glued: true,
        by: 'socket',
        fixing: 'Glue; the pin’s end flush with the back of the rail',
      })),
      fasteners: [],
      seats: all.map((h, i) => seat(h, centres[i]!, thickness, d, lean)),
    },
  }
}

/** The pin of what hangs on one, or the two of what hangs between them. */
function pinsOf(trail: Trail, h: Hung, x: number): Pin[] {
  const { order, place, apart } = h
  if (apart === null) return [{ id: order.id, name: `Pin ${place}`, hung: h, x, figure: `x:${order.id}` }]
  return ([-1, 1] as const).map((side) => {
    const id = `${order.id}-${side < 0 ? 'l' : 'r'}`
    const label = `${side < 0 ? 'Left' : 'Right'} pin ${place} from the datum end`
    const formula = `{x:${order.id}} ${side < 0 ? '−' : '+'} {apart:${order.id}} / 2`
    const at = trail.derive(`x:${id}`, label, x + (side * apart) / 2, leftPinRule, formula)
    return { id, name: `Pin ${place}, ${side < 0 ? 'left' : 'right'}`, hung: h, x: at, figure: `x:${id}` }
  })
}

const seat = (h: Hung, x: number, thickness: number, d: number, lean: number): Seat => ({
  id: h.order.id,
  tool: h.tool.id,
  name: h.tool.name,
  place: h.place,
  turn: h.order.turn,
  board: 'rail',
  opening: null,
  at: { x: x + h.origin.x, y: thickness + h.arm + h.origin.y, z: pinUnder(h, d, lean) + h.origin.z },
  extent: {
    left: h.left + h.origin.x,
    right: h.right - h.origin.x,
    front: h.front - h.origin.y,
    back: h.back + h.origin.y,
  },
  rests: 'pin',
  sharp: false,
  mass: carriedMass(h.tool),
  reach: `{railThickness} + {${h.ids.arm}} + {${h.ids.front}}`,
  figures: h.ids,
})

/**
 * The height of what it hangs by over the line of the pins at the rail's face, mm. It hangs plumb: it lies on its pins where they are
 * highest under it; what has a loop hangs below its pin, where that is lowest over it.
 */
function pinUnder({ arm, front, back, out, origin }: Hung, d: number, lean: number): number {
  const half = d / 2 / Math.cos(lean)
  return origin.below ? (arm - back) * Math.tan(lean) - half : Math.min(out, arm + front) * Math.tan(lean) + half
}

/** Pins that run into each other or out of the rail are refused, not drawn. */
function clashing(pins: readonly Pin[], length: number, bore: number): Refusal | null {
  const sorted = [...pins].sort((a, b) => a.x - b.x)
  const wrong = sorted.find((p, i) => {
    const before = i === 0 ? bore / 2 : p.x - sorted[i - 1]!.x - bore
    const first = i === 0 ? p.x - bore / 2 : before
    return first < 1e-6 || p.x + bore / 2 > length - 1e-6
  })
  if (!wrong) return null
  const { tool, place, order } = wrong.hung
  const says = `A pin of ${place} (${tool.name}) would run into the one beside it or out of the rail’s end. Widen the gap.`
  return { id: 'overlap', says, seats: [order.id] }
}
