import { carriedMass } from '../../footprint/tool'
import { circle } from '../../geometry/outline'
import { MODEL_VERSION, type Board, type Opening, type Rod, type Seat } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { backBoard, plainBoard } from '../plain-board'
import { rodHole } from '../rod-hole'
import { spreadSpots } from '../spread'
import { NO_STOCK, stocksFor } from '../stocks'
import { acrossRods, type Across } from './across'
import { choices } from './choices'
import { hung, type Hung } from './hung'

/** Plans a twin rail: two rods between two ends, on a back. */
export function planTwinRail(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['end', 'back', 'rod'])
  if (!stocks) {
    const rod = input.shop.stock.some((s) => s.form === 'rod')
    return refuse(rod ? NO_STOCK : { id: 'stock', says: 'The shop has no rods to make this from. Add one under the shop’s settings.' }) // prettier-ignore
  }
  const { hung: all, refusals } = hung(input, trail)
  if (all.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No tools in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const even = optionOf(choices, input, 'pitch') === 'even'
  const end = { id: 'thickness:end', value: stocks.end.thickness }
  const { centres, length } = spreadSpots(trail, all, even, end)
  if (length > LARGEST_SIZE) {
    const says = `The rods would be ${formatLength(length, input.shop)} long. Split the tools over several holders.`
    return refuse(...refusals, { id: 'too long', says })
  }
  const across = acrossRods(input, trail, all, stocks.rod.thickness)
  const tb = stocks.back.thickness
  const hole = rodHole(input, trail, stocks.rod.thickness)
  const socket = (id: string, x: number, figure: string): Opening => {
    const centre = { x, y: across.below + stocks.rod.thickness / 2 }
    return {
      id,
      kind: 'bore',
      seat: null,
      centre,
      width: hole.diameter,
      radius: hole.diameter / 2,
      outline: circle(centre.x, centre.y, hole.diameter / 2),
      opensTo: null,
      depth: null,
      slant: 0,
      dust: null,
      cut: 'bored',
      bores: hole.bores(centre),
      figures: { x: figure, y: 'below', width: hole.figure, end: hole.figure },
    }
  }
  const foot = across.edge - across.high
  const plate = (id: string, name: string, x: number): Board =>
    plainBoard(stocks.end, {
      id,
      name,
      role: 'end',
      length: across.out,
      width: across.high,
      openings: [
        socket(`${id}-rear`, across.rear, 'rear'),
        socket(`${id}-front`, across.rear + across.apart, 'frontRod'),
      ],
      placement: { lies: 'end', at: { x, y: tb, z: foot } },
      figures: { length: 'out', width: 'high', thickness: 'thickness:end' },
    })
  const height = trail.get('backHeight').value
  const back = backBoard(stocks.back, {
    length,
    width: height,
    low: across.edge - height,
    as: { length: 'length', width: 'backHeight' },
  })
  const rod = (id: string, name: string, y: number): Rod => ({
    id,
    name,
    role: 'rail',
    material: stocks.rod.material,
    stock: stocks.rod.id,
    diameter: stocks.rod.thickness,
    length,
    at: { x: 0, y: tb + y, z: -stocks.rod.thickness / 2 },
    toward: { x: 1, y: 0, z: 0 },
    seats: all.map((h) => h.order.id),
    figures: { length: 'length', diameter: 'thickness:rod' },
  })
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'twin-rail',
      name: input.holder.name,
      boards: [back, plate('left', 'Left end', 0), plate('right', 'Right end', length - stocks.end.thickness)],
      rods: [rod('rear-rod', 'Rear rod', across.rear), rod('front-rod', 'Front rod', across.rear + across.apart)],
      reach: { value: tb + across.out, formula: '{thickness:back} + {out}' },
      joints: [
        {
          order: 1,
          parts: ['left', 'rear-rod'],
          glued: true,
          by: 'socket',
          fixing: 'Glue the rear rod into the left end',
        },
        {
          order: 2,
          parts: ['left', 'front-rod'],
          glued: true,
          by: 'socket',
          fixing: 'Glue the front rod into the left end',
        },
        { order: 3, parts: ['rear-rod', 'right'], glued: true, by: 'socket', fixing: 'Put the right end over both rods and glue it, before anything is fixed to the back' }, // prettier-ignore
        { order: 4, parts: ['front-rod', 'right'], glued: true, by: 'socket', fixing: 'The front rod goes in with it' },
        {
          order: 5,
          parts: ['back', 'left'],
          glued: true,
          by: 'screws',
          fixing: 'Glue, and screws from behind through the back into the left end',
        },
        { order: 6, parts: ['back', 'right'], glued: true, by: 'screws', fixing: 'The same into the right end' },
      ],
      fasteners: [],
      seats: all.map((h, i) => seat(h, centres[i]!, tb, across)),
    },
  }
}

const seat = (h: Hung, x: number, tb: number, across: Across): Seat => ({
  id: h.order.id,
  tool: h.tool.id,
  name: h.tool.name,
  place: h.place,
  turn: h.order.turn,
  board: 'back',
  opening: null,
  at: { x, y: tb + across.line, z: 0 },
  extent: { left: h.left, right: h.right, front: h.front, back: h.back },
  rests: 'rods',
  sharp: false,
  mass: carriedMass(h.tool),
  reach: `{thickness:back} + {line} + {${h.ids.front}}`,
  figures: h.ids,
})
