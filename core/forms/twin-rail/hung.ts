import type { Measured, NeckEnvelope } from '../../footprint/kind'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import type { Trail } from '../../working/trail'
import type { PlanInput, Refusal } from '../form'
import { doubtFigure, massFigure, measuredFigure } from '../measured-figure'
import { seatTool } from '../seat-tool'
import type { Spot } from '../spread'
import { straddleOf } from '../straddle'
import { extentRule } from './rules'

/** A tool that hangs between the rods by its neck, its head across both; mm, with the ids of its figures. */
export interface Hung extends Spot {
  order: SeatOrder
  tool: Tool
  front: number
  back: number
  /** the neck across the gap, and what it may be thicker than measured */
  neck: number
  doubt: number
  ids: Record<'left' | 'right' | 'front' | 'back' | 'neckAlong' | 'neckDoubt' | 'straddle' | 'mass', string>
}

/** Works out what each seat asks of the rods. Seats whose tool is gone, unmeasured or has no head are left out and named. */
export function hung(input: PlanInput, trail: Trail): { hung: Hung[]; refusals: Refusal[] } {
  const found: Hung[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const cannot = 'has no head to lie across two rods.'
    const seated = seatTool(input, order, (kind, tool, turn) => kind.neck?.(tool, turn), cannot)
    if ('says' in seated) refusals.push(seated)
    else found.push(one(input, trail, order, seated.tool, seated.envelope, found.length + 1))
  }
  return { hung: found, refusals }
}

function one(input: PlanInput, trail: Trail, order: SeatOrder, tool: Tool, e: NeckEnvelope, place: number): Hung {
  const put = (name: string, label: string, m: Measured): string =>
    measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, extentRule)
  const doubtOf = (name: string, label: string, m: Measured): string =>
    doubtFigure(input, trail, order, tool, name, `${label} of ${place}`, m)
  const [front, back] = [put('front', 'Front extent', e.front), put('back', 'Back extent', e.back)]
  const neckDoubt = doubtOf('neck', 'Neck', e.neckAlong)
  const value = (id: string): number => trail.get(id).value
  const straddle = straddleOf(input, trail, { order, tool, place, across: 'the rods' }, [
    { name: 'front', label: 'Front extent', reach: e.front, figure: front },
    { name: 'back', label: 'Back extent', reach: e.back, figure: back },
  ])
  const mass = massFigure(trail, tool)
  return {
    seat: order.id,
    order,
    tool,
    place,
    left: e.left.value,
    right: e.right.value,
    front: e.front.value,
    back: e.back.value,
    neck: e.neckAlong.value,
    doubt: value(neckDoubt),
    ids: {
      left: put('left', 'Left extent', e.left),
      right: put('right', 'Right extent', e.right),
      front,
      back,
      neckAlong: put('along', 'Neck across the gap', e.neckAlong),
      neckDoubt,
      straddle,
      mass,
    },
  }
}
