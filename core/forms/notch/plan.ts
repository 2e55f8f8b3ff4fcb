import { carriedMass } from '../../footprint/tool'
import { slotOutline } from '../../geometry/outline'
import { MODEL_VERSION, type Board, type Opening, type Seat } from '../../model/model'
import type { Stock } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { plainBoard } from '../plain-board'
import { spreadSpots } from '../spread'
import { NO_STOCK, stocksFor } from '../stocks'
import { choices } from './choices'
import { buttoned, type Buttoned } from './hung'
import { backRule, belowRule, plateRule, runRule } from './rules'

/** Plans notches: a thin plate held off the back by a strip, open at its upper edge for each button's shaft. */
export function planNotch(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['plate', 'spacer', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const [tp, ts, tb] = [stocks.plate.thickness, stocks.spacer.thickness, stocks.back.thickness]
  const { hung, refusals } = buttoned(input, trail, { thick: tp, room: ts })
  if (hung.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'Nothing in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const { centres, length } = spreadSpots(trail, hung, optionOf(choices, input, 'pitch') === 'even')
  if (length > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The plate would be ${formatLength(length, input.shop)} long. Split the things over several holders.` }) // prettier-ignore
  const { run, tall, line } = upPlate(input, trail, hung)
  const high = Math.max(lengthOf(choices, input, trail, 'backHeight'), tall)
  trail.derive('backHigh', 'Back, height', high, backRule, 'max({backHeight}, {plateHeight})', { print: 'up' })

  const upright = (
    stock: Stock,
    id: string,
    name: string,
    role: Board['role'],
    at: { y: number; width: number; low: number; as: string },
    openings: Opening[] = [],
  ): Board =>
    // prettier-ignore
    plainBoard(stock, {
      id,
      name,
      role,
      length,
      width: at.width,
      openings,
      placement: { lies: 'upright', at: { x: 0, y: at.y, z: at.low } },
      figures: { length: 'length', width: at.as, thickness: `thickness:${id}` },
    })
  const back = upright(stocks.back, 'back', 'Back', 'back', { y: 0, width: high, low: -high, as: 'backHigh' })
  const spacer = upright(stocks.spacer, 'spacer', 'Strip', 'block', { y: tb, width: trail.get('below').value, low: -tall, as: 'below' }) // prettier-ignore
  const notches = hung.map((h, i) => notch(h, centres[i]!, line, tall))
  const plate = upright(stocks.plate, 'plate', 'Plate', 'bar', { y: tb + ts, width: tall, low: -tall, as: 'plateHeight' }, notches) // prettier-ignore
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'notch',
      name: input.holder.name,
      boards: [plate, spacer, back],
      rods: [],
      reach: { value: tb + ts + tp, formula: '{thickness:back} + {thickness:spacer} + {thickness:plate}' },
      joints: [
        { order: 1, parts: ['back', 'spacer'], glued: true, by: 'screws', fixing: 'Glue, and screws from behind through the back into the strip, its lower edge level with the plate’s' }, // prettier-ignore
        { order: 2, parts: ['plate', 'spacer'], glued: true, by: 'screws', fixing: 'Glue, and screws through the plate into the strip, below the notches' }, // prettier-ignore
      ],
      fasteners: [],
      cautions: [{ at: 'hang', says: 'Hang each thing and let it swing: where it would knock, a padded pin beside it, its place found by trial, keeps it still.' }], // prettier-ignore
      seats: hung.map((h, i) => seat(h, centres[i]!, { out: tb + ts + tp, run })),
    },
  }
}

/** Heights of the plate, mm: its notches' ends from the upper edge, all of it, and those ends from its lower edge. */
function upPlate(input: PlanInput, trail: Trail, hung: readonly Buttoned[]): Record<'run' | 'tall' | 'line', number> {
  const widest = hung.reduce((a, b) => (b.button > a.button ? b : a))
  const lift = lengthOf(choices, input, trail, 'lift')
  const run = trail.derive('run', 'Notches, to the middle of their ends', lift + widest.button / 2, runRule, `{lift} + {${widest.ids.button}} / 2`) // prettier-ignore
  const clearance = settingOf(input, trail, 'headClearance')
  const reach = (h: Buttoned): number => (h.notch - h.shaft + h.button) / 2
  const lowest = hung.reduce((a, b) => (reach(b) > reach(a) ? b : a))
  const top = trail.derive('stripTop', 'Upper edge to the strip', run + reach(lowest) + clearance, belowRule, `{run} + ({${lowest.ids.slot}} − {${lowest.ids.neckAcross}} + {${lowest.ids.button}}) / 2 + {headClearance}`, { print: 'up' }) // prettier-ignore
  const below = lengthOf(choices, input, trail, 'below')
  const tall = trail.derive('plateHeight', 'Plate, height', top + below, plateRule, '{stripTop} + {below}', { print: 'up' }) // prettier-ignore
  const line = trail.derive('line', 'Lower edge to the notches’ ends', tall - run, runRule, '{plateHeight} − {run}')
  return { run, tall, line }
}

const notch = (h: Buttoned, x: number, line: number, tall: number): Opening => ({
  id: `notch-${h.order.id}`,
  kind: 'slot',
  seat: h.order.id,
  centre: { x, y: line },
  width: h.notch,
  radius: h.notch / 2,
  outline: slotOutline({ x, y: line }, h.notch, tall),
  opensTo: 'front',
  depth: null,
  slant: 0,
  dust: null,
  cut: h.bit ? 'bored' : 'sawn',
  bores: h.bit ? [{ centre: { x, y: line }, diameter: h.notch, bit: h.bit.diameter }] : [],
  figures: { x: `x:${h.order.id}`, y: 'line', width: h.ids.slot, end: h.ids.slot },
})

/** Its back lies against the plate, its shaft on the end of its notch. */
const seat = (h: Buttoned, x: number, { out, run }: { out: number; run: number }): Seat => ({
  id: h.order.id,
  tool: h.tool.id,
  name: h.tool.name,
  place: h.place,
  turn: 0,
  board: 'plate',
  opening: `notch-${h.order.id}`,
  at: { x, y: out, z: -run - (h.notch - h.shaft) / 2 },
  extent: { left: h.left, right: h.right, front: h.depth, back: 0 },
  rests: 'slot',
  sharp: false,
  mass: carriedMass(h.tool),
  reach: `{thickness:back} + {thickness:spacer} + {thickness:plate} + {${h.ids.depth}}`,
  figures: h.ids,
})
