import { carriedMass } from '../../footprint/tool'
import { MODEL_VERSION, type Seat } from '../../model/model'
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
import { lyingOn, type Lying } from './lying'
import { boardRule, heightRule, lengthRule, liesRule, pinRule } from './rules'

/** Wood that stays round a pin's hole at the board's edges, mm; the checks want more. */
const LEAST_ROUND = 1

/** One pin: under what, and where on the board, from the datum end and the lower edge; mm. */
interface Pin {
  id: string
  name: string
  under: Lying
  x: number
  y: number
}

/** Plans an outline board: flat things against one board, each on two pins that lean up, set to its outline. */
export function planOutlineBoard(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['board', 'rod'])
  if (!stocks)
    return refuse({ id: 'stock', says: 'The shop has no boards or no rods to make this from. Add them under the shop’s settings.' }) // prettier-ignore
  const d = stocks.rod.thickness
  const { lying, refusals } = lyingOn(input, trail, d)
  if (lying.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'Nothing on this board yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  const margin = lengthOf(choices, input, trail, 'margin')
  const { centres, length } = spreadSpots(trail, lying, false)
  if (length > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The board would be ${formatLength(length, input.shop)} long. Split the things over several.` }) // prettier-ignore
  const height = heightOf(input, trail, lying, margin)
  const layers = Number(optionOf(choices, input, 'layers'))
  trail.given('layers', 'Layers', layers, { kind: 'choice', key: 'layers' }, { quantity: 'count' })
  const thickness = trail.derive('boardThickness', 'Thickness of the board, in all', layers * stocks.board.thickness, boardRule, '{layers} × {thickness:board}') // prettier-ignore
  const slant = settingOf(input, trail, 'pinSlant')
  const lean = (slant * Math.PI) / 180
  const pins = lying.flatMap((l, i) => pinsOf(trail, l, centres[i]!, height))
  const hole = rodHole(input, trail, d)
  // the holes lean: at the back of the board they are that much lower
  const low = thickness * Math.tan(lean) + hole.diameter / 2 / Math.cos(lean) + LEAST_ROUND
  const tight = pins.find((p) => p.y < low || p.y > height - hole.diameter / 2 - LEAST_ROUND || p.x < hole.diameter / 2 + LEAST_ROUND || p.x > length - hole.diameter / 2 - LEAST_ROUND) // prettier-ignore
  if (tight)
    return refuse(...refusals, { id: 'too low', says: `The hole of a pin under ${tight.under.tool.name} would come out at the board’s edge: make the board higher, or the margin wider.`, seats: [tight.under.seat] }) // prettier-ignore

  const holding = { thickness, figure: 'boardThickness', low: -height, rod: stocks.rod, hole, slant }
  const made = pins.map((p) => leaningPin(trail, holding, { id: p.id, name: p.name, label: `Length of ${p.name.toLowerCase()}`, seat: p.under.seat, at: { x: p.x, y: p.y }, out: p.under.out, figures: { x: `x:${p.id}`, y: `y:${p.id}`, out: p.under.ids.out, arm: p.under.ids.arm } }, lengthRule)) // prettier-ignore
  const board = plainBoard(stocks.board, {
    id: 'board',
    name: 'Board',
    role: 'back',
    thickness,
    layers,
    length,
    width: height,
    openings: made.map((m) => m.opening),
    placement: { lies: 'upright', at: { x: 0, y: 0, z: -height } },
    figures: { length: 'length', width: 'height', thickness: 'boardThickness', layer: 'thickness:board' },
  })
  const longest = lying.reduce((a, b) => (b.out > a.out ? b : a))
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'outline-board',
      name: input.holder.name,
      boards: [board],
      rods: made.map((m) => m.rod),
      reach: { value: thickness + longest.out, formula: `{boardThickness} + {${longest.ids.out}}` },
      joints: pins.map((p, i) => ({ order: i + 1, parts: ['board', `pin-${p.id}`], glued: true, by: 'socket', fixing: 'Glue; the pin’s end flush with the back of the board' })), // prettier-ignore
      fasteners: [],
      seats: lying.map((l, i) => seat(l, { x: centres[i]!, y: height / 2 - height }, { thickness, d, lean })),
    },
  }
}

/** The board's height: as given, else by the tallest thing as it lies. */
function heightOf(input: PlanInput, trail: Trail, lying: readonly Lying[], margin: number): number {
  const own = input.holder.choices.height
  if (typeof own === 'number')
    return trail.given('height', 'Height of the board', own, { kind: 'choice', key: 'height' }, { note: 'this holder’s own' }) // prettier-ignore
  const tallest = lying.reduce((a, b) => (b.high > a.high ? b : a))
  return trail.derive('height', 'Height of the board', tallest.high + 2 * margin, heightRule, `[${tallest.high} mm] + 2 × {margin}`, { print: 'up', note: tallest.tool.name }) // prettier-ignore
}

const plus = (mm: number): string => `${mm < 0 ? '−' : '+'} [${Math.abs(mm)} mm]`

/** The two pins under a thing, whose middle stands so far along, half-way up the board. */
function pinsOf(trail: Trail, l: Lying, x: number, height: number): Pin[] {
  const middle = trail.derive(`middle:${l.seat}`, `Middle of ${l.place} from the lower edge`, height / 2, liesRule, '{height} / 2') // prettier-ignore
  return (['left', 'right'] as const).map((side): Pin => {
    const { pin } = l.rest[side]
    const id = `${l.seat}-${side[0]}`
    const [dx, dy] = [pin.x - l.middle.x, pin.y - l.middle.y]
    const name = `Pin ${l.place}, ${side}`
    const at = trail.derive(`x:${id}`, `${name} from the datum end`, x + dx, pinRule, `{x:${l.seat}} ${plus(dx)}`)
    const up = trail.derive(`y:${id}`, `${name} from the lower edge`, middle + dy, pinRule, `{middle:${l.seat}} ${plus(dy)}`) // prettier-ignore
    return { id, name, under: l, x: at, y: up }
  })
}

/** Its back against the board, its lower edge on its pins where they are highest under it. */
function seat(
  l: Lying,
  at: { x: number; y: number },
  { thickness, d, lean }: { thickness: number; d: number; lean: number },
): Seat {
  const raised = l.thick * Math.tan(lean) + (d / 2) * (1 / Math.cos(lean) - 1)
  return {
    id: l.seat,
    tool: l.tool.id,
    name: l.tool.name,
    place: l.place,
    turn: 0,
    ...(l.along ? { along: true as const } : {}),
    board: 'board',
    opening: null,
    at: { x: at.x - l.middle.x, y: thickness + l.thick, z: at.y - l.middle.y + raised },
    extent: { left: -l.box.minX, right: l.box.maxX, front: 0, back: l.thick },
    rests: 'pin',
    sharp: false,
    mass: carriedMass(l.tool),
    reach: `{boardThickness} + {${l.ids.thick}}`,
    figures: l.ids,
  }
}
