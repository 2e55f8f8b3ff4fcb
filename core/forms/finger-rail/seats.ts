import type { Measured, NeckEnvelope } from '../../footprint/kind'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import type { Trail } from '../../working/trail'
import { doubtFigure, massFigure, measuredFigure } from '../measured-figure'
import type { PlanInput, Refusal } from '../form'
import type { Along } from './layout'
import { seatTool } from '../seat-tool'
import { extentRule } from './rules'
import { slotFigures } from './slot-figures'

/** One seat with everything the layout needs, and the ids of its figures on the trail. mm */
export interface RailSeat extends Along {
  order: SeatOrder
  tool: Tool
  place: number
  front: number
  back: number
  neckAcross: number
  neckAlong: number
  rectangular: boolean
  /** round at its ends, but longer than wide: those meet the round of the bore too */
  oval: boolean
  /** diameter of the slot's closed end */
  end: number
  /** what is drilled, by its distance from the slot's middle */
  bores: { off: number; diameter: number; bit: number }[]
  ids: Record<
    | 'left'
    | 'right'
    | 'leftDoubt'
    | 'rightDoubt'
    | 'front'
    | 'back'
    | 'neckAcross'
    | 'neckAlong'
    | 'slot'
    | 'end'
    | 'needed'
    | 'mass',
    string
  >
}

const NO_HEAD = 'has no head to hang by: a finger rail can’t hold it.'

/**
 * Works out what each seat asks of the rail. Seats whose tool is gone or not measured are left out and named.
 */
export function railSeats(input: PlanInput, trail: Trail): { seats: RailSeat[]; refusals: Refusal[] } {
  const seats: RailSeat[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const found = seatTool(input, order, (kind, tool, turn) => kind.neck?.(tool, turn), NO_HEAD)
    if ('says' in found) refusals.push(found)
    else seats.push(railSeat(input, trail, order, found.tool, found.envelope, seats.length + 1))
  }
  return { seats, refusals }
}

function railSeat(
  input: PlanInput,
  trail: Trail,
  order: SeatOrder,
  tool: Tool,
  e: NeckEnvelope,
  place: number,
): RailSeat {
  const put = (name: string, label: string, m: Measured) =>
    measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, extentRule)
  const neckId = put('across', 'Neck across the slot', e.neckAcross)
  const ids = {
    neckAcross: neckId,
    neckAlong: put('along', 'Neck along the slot', e.neckAlong),
    left: put('left', 'Left extent', e.left),
    right: put('right', 'Right extent', e.right),
    leftDoubt: doubtFigure(input, trail, order, tool, 'left', `Left extent of ${place}`, e.left),
    rightDoubt: doubtFigure(input, trail, order, tool, 'right', `Right extent of ${place}`, e.right),
    front: put('front', 'Front extent', e.front),
    back: put('back', 'Back extent', e.back),
    mass: massFigure(trail, tool),
  }
  const cut = slotFigures(input, trail, { seat: order, tool, place, neck: e.neckAcross, neckId })
  return {
    order,
    tool,
    place,
    slot: cut.slot,
    end: cut.end,
    bores: cut.bores,
    left: e.left.value,
    right: e.right.value,
    front: e.front.value,
    back: e.back.value,
    neckAcross: e.neckAcross.value,
    neckAlong: e.neckAlong.value,
    rectangular: e.neckShape === 'rectangular',
    oval: e.neckShape === 'round' && e.neckAlong.value > e.neckAcross.value + 1e-9,
    ids: { ...ids, ...cut.ids },
  }
}
