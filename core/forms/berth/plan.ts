import { MODEL_VERSION, type Board, type Joint } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf } from '../choice-value'
import type { Plan, PlanInput, PlannedModel, Refusal } from '../form'
import { onShelf } from '../on-shelf'
import { backBoard, plainBoard } from '../plain-board'
import { dividersBetween, shelfDepth, shelfSeat } from '../shelf-parts'
import { spreadSpots } from '../spread'
import { NO_STOCK, stocksFor } from '../stocks'
import { tiltOf } from '../tilting'
import { choices } from './choices'
import { leanBack } from './lean-back'
import { lipRule } from './rules'

/** Plans a berth: a shelf with a lip in front, ends, dividers between the tools, and a back. */
export function planBerth(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['shelf', 'lip', 'divider', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const { standing: all, refusals } = onShelf(input, trail)
  if (all.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No tools in this holder yet. Add the first one from those that could join.' })
  }
  const gap = lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const divided = optionOf(choices, input, 'dividers') === 'with'
  const td = stocks.divider.thickness
  if (divided && all.length > 1 && gap < td)
    return refuse(...refusals, { id: 'no room', says: `A divider of ${formatLength(td, input.shop)} has no room in a gap of ${formatLength(gap, input.shop)}. Widen the gap, or do without dividers.` }) // prettier-ignore
  const end = { id: 'thickness:divider', value: td }
  const { centres, length } = spreadSpots(trail, all, optionOf(choices, input, 'pitch') === 'even', end)
  if (length > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The shelf would be ${formatLength(length, input.shop)} long. Split the tools over several holders.` }) // prettier-ignore
  const depth = shelfDepth(input, trail, all)
  const clearance = trail.get('headClearance').value
  const longest = Math.max(...all.map((l) => l.out))
  if (longest + clearance > depth + 1e-6)
    return refuse(...refusals, { id: 'too shallow', says: `The shelf is not deep enough: ${formatLength(longest + clearance, input.shop)} is needed.` }) // prettier-ignore
  const lip = lengthOf(choices, input, trail, 'lip')
  const high = lengthOf(choices, input, trail, 'divider')
  const height = lengthOf(choices, input, trail, 'backHeight')
  const [tb, ts] = [stocks.back.thickness, stocks.shelf.thickness]

  const shelf = plainBoard(stocks.shelf, {
    id: 'shelf',
    name: 'Shelf',
    role: 'shelf',
    length,
    width: depth,
    placement: { lies: 'flat', at: { x: 0, y: tb, z: 0 } },
    figures: { length: 'length', width: 'depth', thickness: 'thickness:shelf' },
  })
  const lipHigh = trail.derive('lipBoard', 'Lip board', lip + ts, lipRule, '{lip} + {thickness:shelf}')
  const front = plainBoard(stocks.lip, {
    id: 'lip',
    name: 'Lip',
    role: 'lip',
    length,
    width: lipHigh,
    placement: { lies: 'upright', at: { x: 0, y: tb + depth, z: -ts } },
    figures: { length: 'length', width: 'lipBoard', thickness: 'thickness:lip' },
  })
  const back = backBoard(stocks.back, {
    length,
    width: height,
    low: -ts,
    as: { length: 'length', width: 'backHeight' },
  })
  const plate = (id: string, name: string, role: Board['role'], x: number): Board =>
    plainBoard(stocks.divider, {
      id,
      name,
      role,
      length: depth,
      width: high,
      placement: { lies: 'end', at: { x, y: tb, z: 0 } },
      figures: { length: 'depth', width: 'divider', thickness: 'thickness:divider' },
    })
  const dividers = divided ? dividersBetween(trail, all, centres, td).map((x, i) => plate(`divider-${i + 1}`, `Divider ${i + 1}`, 'divider', x)) : [] // prettier-ignore
  const standing = [plate('left', 'Left end', 'end', 0), ...dividers, plate('right', 'Right end', 'end', length - td)]
  const level: PlannedModel = {
    version: MODEL_VERSION,
    form: 'berth',
    name: input.holder.name,
    boards: [shelf, back, front, ...standing],
    rods: [],
    reach: { value: tb + depth + stocks.lip.thickness, formula: '{thickness:back} + {depth} + {thickness:lip}' },
    joints: joints(standing),
    fasteners: [],
    seats: all.map((l, i) => shelfSeat(l, centres[i]!, tb + clearance)),
  }
  const tilt = tiltOf(choices, input, trail)
  return { trail, refusals, model: tilt === 0 ? level : leanBack(trail, level, all, tilt) }
}

const joints = (standing: readonly Board[]): Joint[] => [
  {
    order: 1,
    parts: ['back', 'shelf'],
    glued: true,
    by: 'screws',
    fixing: 'Glue, and screws from behind through the back into the shelf’s back edge',
  },
  ...standing.map((b, i): Joint => ({ order: 2 + i, parts: ['shelf', b.id], glued: true, by: 'screws', fixing: 'Glue, and screws from below through the shelf' })), // prettier-ignore
  { order: 2 + standing.length, parts: ['lip', 'shelf'], glued: true, by: 'brads', fixing: 'Glue, and brads through the lip into the shelf’s front edge' }, // prettier-ignore
]
