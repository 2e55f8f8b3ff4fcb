import type { BladeEnvelope, Kind, Measured, Missing, NeckEnvelope } from '../../footprint/kind'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import type { Trail } from '../../working/trail'
import { doubtFigure, massFigure, measuredFigure } from '../measured-figure'
import { settingOf } from '../choice-value'
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
  /** it ends in an edge or a point below the rail */
  sharp: boolean
  ids: Record<
    'left' | 'right' | 'front' | 'back' | 'neckAcross' | 'neckAlong' | 'slot' | 'end' | 'needed' | 'mass',
    string
  > &
    Partial<Record<'leftDoubt' | 'rightDoubt' | 'shoulder' | 'shoulderDoubt' | 'length', string>>
}

const NO_HEAD = 'has no head to hang by: a finger rail can’t hold it.'

/** What hangs in a slot: a head over a neck, or a handle over a blade. */
export type InSlot = NeckEnvelope | BladeEnvelope

/** How a tool hangs in a slot, turned as asked: by its blade, where it has one; null for a kind that hangs in none. */
export const inSlot = (kind: Kind, tool: Tool, turn: SeatOrder['turn']): InSlot | Missing | null =>
  kind.blade?.(tool, turn) ?? kind.neck?.(tool, turn) ?? null

/** What comes to rest on the wood beside a slot: the first from below that can't pass it, else the last. @param least bearing, mm */
export const restingOf = ({ shoulders }: BladeEnvelope, slot: number, least: number): Measured =>
  shoulders.find((m) => (m.value - slot) / 2 >= least) ?? shoulders.at(-1)!

/**
 * Works out what each seat asks of the rail. Seats whose tool is gone or not measured are left out and named.
 */
export function railSeats(input: PlanInput, trail: Trail): { seats: RailSeat[]; refusals: Refusal[] } {
  const seats: RailSeat[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const found = seatTool(input, order, inSlot, NO_HEAD)
    if ('says' in found) refusals.push(found)
    else seats.push(railSeat(input, trail, order, found.tool, found.envelope, seats.length + 1))
  }
  return { seats, refusals }
}

function railSeat(input: PlanInput, trail: Trail, order: SeatOrder, tool: Tool, e: InSlot, place: number): RailSeat {
  const put = (name: string, label: string, m: Measured) =>
    measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, extentRule)
  const neckId = put('across', 'Neck across the slot', e.neckAcross)
  const ids = {
    neckAcross: neckId,
    neckAlong: put('along', 'Neck along the slot', e.neckAlong),
    left: put('left', 'Left extent', e.left),
    right: put('right', 'Right extent', e.right),
    front: put('front', 'Front extent', e.front),
    back: put('back', 'Back extent', e.back),
    mass: massFigure(trail, tool),
  }
  const cut = slotFigures(input, trail, { seat: order, tool, place, neck: e.neckAcross, neckId })
  const doubt = (name: string, label: string, m: Measured) => doubtFigure(input, trail, order, tool, name, `${label} of ${place}`, m) // prettier-ignore
  const onShoulder = (blade: BladeEnvelope) => {
    const borne = restingOf(blade, cut.slot, settingOf(input, trail, 'shoulderBearing'))
    return { shoulder: put('shoulder', 'Shoulder', borne), shoulderDoubt: doubt('shoulder', 'Shoulder', borne), length: put('length', 'Blade', blade.length) } // prettier-ignore
  }
  const bearing =
    'shoulders' in e
      ? onShoulder(e)
      : { leftDoubt: doubt('left', 'Left extent', e.left), rightDoubt: doubt('right', 'Right extent', e.right) }
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
    sharp: 'sharp' in e && e.sharp,
    ids: { ...ids, ...bearing, ...cut.ids },
  }
}
