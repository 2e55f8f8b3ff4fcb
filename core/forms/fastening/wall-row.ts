import { outlineArea } from '../../geometry/area'
import { rectangle } from '../../geometry/outline'
import { bodiesOf, type Board, type HolderModel } from '../../model/model'
import { boardBox, rodBox, type Box } from '../../model/standing'
import type { Rule } from '../../working/figure'
import type { Plan, PlanInput, PlannedModel } from '../form'
import { fasten } from './fasten'
import { boxesMeet } from './places'
import { INSET, isScrewedOn, wallScrew } from './wall'

/** What a row of screws takes along an edge of the back: as far from the edge as from what stands before it, mm. */
const ROW = 2 * INSET

/** An upper row lower than this part of the back is none: it would be levered out. */
const UPPER = 0.4

export const rowRule: Rule = {
  id: 'back.row',
  says: 'Where what stands before the back leaves no way to screws along its upper edge, the back stands past it by a row of them: 15 mm to either side.',
  source: 'Workshop practice; a driver wants a straight way to each screw',
}

/**
 * A plan with its fasteners; the back of what is screwed to the wall is made higher where a driver would not get at a row
 * of screws along its upper edge, or at any, as far as there is room.
 */
export function fixed(plan: Plan, input: PlanInput): Plan {
  const fastened = fasten(plan, input)
  const { model } = fastened
  const back = model?.boards.find((b) => b.role === 'back')
  if (!model || !back || !isScrewedOn(input) || !isPlain(back) || !wallScrew(model, input)) return fastened
  const { z } = boardBox(back)
  const rows = model.fasteners.filter((f) => f.into === null).map((f) => f.at.z)
  if (Math.max(-Infinity, ...rows) > z[1] - UPPER * (z[1] - z[0])) return fastened
  if (isClear(model, back, 'above')) return fasten(higher(plan, back, 'above'), input)
  // openings are figured from the lower edge
  if (rows.length === 0 && back.openings.length === 0 && isClear(model, back, 'below'))
    return fasten(higher(plan, back, 'below'), input)
  return fastened
}

/** Upright, square and of its blank's own shape. */
const isPlain = ({ placement, bevel, outline, length, width }: Board): boolean =>
  placement.lies === 'upright' && !placement.tilt && !bevel && Math.abs(outlineArea(outline) - length * width) < 1

/** Whether nothing stands where the back would reach to: no part, and no tool behind the back's face. */
function isClear(
  model: Pick<HolderModel, 'boards' | 'rods' | 'bought' | 'seats'>,
  back: Board,
  way: 'above' | 'below',
): boolean {
  // prettier-ignore
  const { x, y, z } = boardBox(back)
  const room: Box = { x, y, z: way === 'above' ? [z[1], z[1] + ROW] : [z[0] - ROW, z[0]] }
  const parts = [
    ...bodiesOf(model)
      .filter((b) => b.id !== back.id)
      .map(boardBox),
    ...model.rods.map(rodBox),
  ]
  return !parts.some((part) => boxesMeet(part, room)) && model.seats.every((s) => s.at.y - s.extent.back >= y[1] - 1e-6)
}

/** The same with a higher back. */
function higher({ model, trail, refusals }: Plan, back: Board, way: 'above' | 'below'): Plan {
  const { figures, width, length, placement } = back
  const id = 'backRow'
  const high = trail.derive(id, 'Back, with a row of screws', width + ROW, rowRule, `{${figures.width}} + 2 × [${INSET} mm]`) // prettier-ignore
  const down = way === 'below' ? ROW : 0
  const raised: Board = {
    ...back,
    width: high,
    outline: rectangle(0, 0, length, high),
    placement: { ...placement, at: { ...placement.at, z: placement.at.z - down } },
    figures: { ...figures, width: id },
  }
  const boards = (model as PlannedModel).boards.map((b) => (b.id === back.id ? raised : b))
  return { trail, refusals, model: { ...(model as PlannedModel), boards } }
}
