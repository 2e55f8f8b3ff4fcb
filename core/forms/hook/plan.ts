import { carriedMass } from '../../footprint/tool'
import type { Outline, Segment } from '../../geometry/outline'
import { MODEL_VERSION, type Board, type Joint, type Seat } from '../../model/model'
import type { Stock } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { backBoard, plainBoard } from '../plain-board'
import { spreadSpots } from '../spread'
import { NO_STOCK, stocksFor } from '../stocks'
import { choices } from './choices'
import { hooks, type Hook } from './hooks'
import { backRule } from './rules'

/** Plans hooks: each a board on edge with a hollow and a nose, its whole height against the back. */
export function planHook(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['hook', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const { hooks: all, refusals } = hooks(input, trail)
  if (all.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'Nothing in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const { centres, length } = spreadSpots(trail, all, optionOf(choices, input, 'pitch') === 'even')
  if (length > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The back would be ${formatLength(length, input.shop)} long. Split the things over several holders.` }) // prettier-ignore
  const highest = all.reduce((a, b) => (b.height > a.height ? b : a))
  const height = Math.max(lengthOf(choices, input, trail, 'backHeight'), highest.height)
  trail.derive('backHigh', 'Height of the back', height, backRule, `max({backHeight}, {${highest.ids.height}})`)
  const tb = stocks.back.thickness
  const back = backBoard(stocks.back, {
    length,
    width: height,
    low: -height,
    as: { length: 'length', width: 'backHigh' },
  })
  const boards = all.map((h, i) => hookBoard(stocks.hook, h, centres[i]!, tb, input.shop.settings.web))
  const longest = all.reduce((a, b) => (b.length > a.length ? b : a))
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'hook',
      name: input.holder.name,
      boards: [back, ...boards],
      rods: [],
      reach: { value: tb + longest.length, formula: `{thickness:back} + {${longest.ids.length}}` },
      joints: boards.map((b, i): Joint => ({
        order: i + 1,
        parts: ['back', b.id],
        glued: true,
        by: 'screws',
        fixing: 'Glue, and screws from behind through the back into the hook',
      })),
      fasteners: [],
      seats: all.map((h, i) => seat(h, centres[i]!, tb, input.shop.settings.web)),
    },
  }
}

/** A hook on edge: wood under the hollow, wood behind it, the nose before it, the lower front corner taken off. */
function hookBoard(stock: Stock, h: Hook, x: number, y: number, web: number): Board {
  return plainBoard(stock, {
    id: `hook-${h.order.id}`,
    name: `Hook ${h.place}`,
    role: 'hook',
    length: h.length,
    width: h.height,
    outline: hookOutline(h, web),
    placement: { lies: 'end', at: { x: x - stock.thickness / 2, y, z: -h.height } },
    figures: { length: h.ids.length, width: h.ids.height, thickness: 'thickness:hook' },
  })
}

/** @param web wood behind the hollow and before it, mm */
export function hookOutline(
  { length, height, hollow, arm }: Pick<Hook, 'length' | 'height' | 'hollow' | 'arm'>,
  web: number,
): Outline {
  // prettier-ignore
  const line = (x: number, y: number): Segment => ({ kind: 'line', to: { x, y } })
  const [from, to] = [web, web + hollow]
  const centre = { x: (from + to) / 2, y: arm + hollow / 2 }
  const corner = Math.min(arm, length) / 2
  return {
    start: { x: 0, y: 0 },
    segments: [
      line(length - corner, 0),
      line(length, corner),
      line(length, height),
      line(to, height),
      ...(height > centre.y ? [line(to, centre.y)] : []),
      { kind: 'arc', to: { x: from, y: centre.y }, centre, radius: hollow / 2, clockwise: true },
      ...(height > centre.y ? [line(from, height)] : []),
      line(0, height),
      line(0, 0),
    ],
  }
}

function seat(h: Hook, x: number, tb: number, web: number): Seat {
  const { origin, turn, thick } = h.envelope
  const middle = tb + web + h.hollow / 2
  return {
    id: h.order.id,
    tool: h.tool.id,
    name: h.tool.name,
    place: h.place,
    turn,
    board: `hook-${h.order.id}`,
    opening: null,
    at: { x: x + origin.x, y: middle + origin.y, z: h.arm - h.height + h.rise + origin.z },
    extent: {
      left: h.envelope.left.value + origin.x,
      right: h.envelope.right.value - origin.x,
      front: thick.value / 2 - origin.y,
      back: thick.value / 2 + origin.y,
    },
    rests: 'hook',
    sharp: false,
    mass: carriedMass(h.tool),
    reach: `{thickness:back} + {web} + {${h.ids.hollow}} / 2 + {${h.ids.thick}} / 2`,
    figures: h.ids,
  }
}
