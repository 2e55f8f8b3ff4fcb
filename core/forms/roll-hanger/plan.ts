import { carriedMass } from '../../footprint/tool'
import { circle } from '../../geometry/outline'
import { MODEL_VERSION, type Board, type Opening, type Seat } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, settingOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { backBoard, plainBoard } from '../plain-board'
import { rodHole } from '../rod-hole'
import { spreadSpots } from '../spread'
import { stocksFor } from '../stocks'
import { choices } from './choices'
import { rollsOn, type Roll } from './rolls'
import { highRule, outRule, rodRule } from './rules'

/** Plans a roll hanger: a rod through two ends on a back, drawn out sideways to change a roll. */
export function planRollHanger(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['rod', 'end', 'back'])
  if (!stocks)
    return refuse({ id: 'stock', says: 'The shop has no boards or no rods to make this from. Add them under the shop’s settings.' }) // prettier-ignore
  const d = stocks.rod.thickness
  const { rolls, refusals } = rollsOn(input, trail, d)
  if (rolls.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No rolls in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const end = { id: 'thickness:end', value: stocks.end.thickness }
  const { centres, length } = spreadSpots(trail, rolls, false, end)
  if (length > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The rod would be ${formatLength(length, input.shop)} long. Split the rolls over several holders.` }) // prettier-ignore
  const keep = settingOf(input, trail, 'frontKeep')
  const clearance = settingOf(input, trail, 'headClearance')
  const widest = rolls.reduce((a, b) => (b.radius > a.radius ? b : a))
  const line = trail.derive('rodLine', 'Back to the rod', widest.radius + clearance, rodRule, `{${widest.ids.radius}} + {headClearance}`) // prettier-ignore
  const out = trail.derive('out', 'Ends reach out', line + d / 2 + keep, outRule, '{rodLine} + {thickness:rod} / 2 + {frontKeep}', { print: 'up' }) // prettier-ignore
  const high = trail.derive('high', 'Ends, height', d + 2 * keep, highRule, '{thickness:rod} + 2 × {frontKeep}', { print: 'up' }) // prettier-ignore
  const middle = trail.derive('below', 'Lower edge to the rod', high / 2, highRule, '{high} / 2')
  const bored = rodHole(input, trail, d)
  const hole = (id: string): Opening => {
    const centre = { x: line, y: middle }
    return {
      id,
      kind: 'bore',
      seat: null,
      centre,
      width: bored.diameter,
      radius: bored.diameter / 2,
      outline: circle(line, middle, bored.diameter / 2),
      opensTo: null,
      depth: null,
      slant: 0,
      dust: null,
      cut: 'bored',
      bores: bored.bores(centre),
      figures: { x: 'rodLine', y: 'below', width: bored.figure, end: bored.figure },
    }
  }
  const tb = stocks.back.thickness
  const plate = (id: string, name: string, x: number): Board =>
    plainBoard(stocks.end, {
      id,
      name,
      role: 'end',
      length: out,
      width: high,
      openings: [hole(`${id}-rod`)],
      placement: { lies: 'end', at: { x, y: tb, z: -high } },
      figures: { length: 'out', width: 'high', thickness: 'thickness:end' },
    })
  const height = Math.max(lengthOf(choices, input, trail, 'backHeight'), high)
  trail.derive('backHigh', 'Height of the back', height, highRule, 'max({backHeight}, {high})')
  const back = backBoard(stocks.back, {
    length,
    width: height,
    low: -height,
    as: { length: 'length', width: 'backHigh' },
  })
  const seat = (r: Roll, x: number): Seat => ({
    id: r.order.id,
    tool: r.tool.id,
    name: r.tool.name,
    place: r.place,
    turn: 1,
    board: 'back',
    opening: null,
    // the roll hangs with the top of its hole on the rod, its axis along the wall
    at: { x: x + r.right, y: tb + line, z: middle - high + d / 2 - r.tool.measures.holeDiameter! / 2 },
    extent: { left: 2 * r.left, right: 0, front: r.radius, back: r.radius },
    rests: 'rods',
    sharp: false,
    mass: carriedMass(r.tool),
    reach: `{thickness:back} + {rodLine} + {${r.ids.radius}}`,
    figures: r.ids,
  })
  const loose = { glued: false, by: 'socket' as const }
  const screwed = { glued: true, by: 'screws' as const }
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'roll-hanger',
      name: input.holder.name,
      boards: [back, plate('left', 'Left end', 0), plate('right', 'Right end', length - end.value)],
      rods: [
        {
          id: 'rod',
          name: 'Rod',
          role: 'rail',
          material: stocks.rod.material,
          stock: stocks.rod.id,
          diameter: d,
          length,
          at: { x: 0, y: tb + line, z: middle - high },
          toward: { x: 1, y: 0, z: 0 },
          seats: rolls.map((r) => r.order.id),
          figures: { length: 'length', diameter: 'thickness:rod' },
        },
      ],
      reach: { value: tb + out, formula: '{thickness:back} + {out}' },
      joints: [
        { order: 1, parts: ['back', 'left'], ...screwed, fixing: 'Glue, and screws from behind through the back into the left end' }, // prettier-ignore
        { order: 2, parts: ['back', 'right'], ...screwed, fixing: 'The same into the right end' },
        { order: 3, parts: ['left', 'rod'], ...loose, fixing: 'Loose: pushed through from the right, the rolls on it' },
        { order: 4, parts: ['rod', 'right'], ...loose, fixing: 'Loose in the right end too; drawn out to change a roll' }, // prettier-ignore
      ],
      fasteners: [],
      seats: rolls.map((r, i) => seat(r, centres[i]!)),
    },
  }
}
