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

/**
 * A tool that hangs between the arms by its neck, its head across both. Its place is counted out from the wall, so what
 * it reaches back and forward are the sides of its spot. mm, with the ids of its figures.
 */
export interface Hung extends Spot {
  order: SeatOrder
  tool: Tool
  /** to the left and right of the gap's middle */
  sides: { left: number; right: number }
  neck: number
  doubt: number
  ids: Spot['ids'] & Record<'front' | 'back' | 'neckAcross' | 'neckDoubt' | 'straddle' | 'mass', string>
}

/** Works out what each seat asks of the arms. Seats whose tool is gone, unmeasured or has no head are left out and named. */
export function hung(input: PlanInput, trail: Trail): { hung: Hung[]; refusals: Refusal[] } {
  const found: Hung[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const cannot = 'has no head to lie across two arms.'
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
  const value = (id: string): number => trail.get(id).value
  const [left, right] = [put('left', 'Left extent', e.left), put('right', 'Right extent', e.right)]
  const neckDoubt = doubtOf('neck', 'Bar', e.neckAcross)
  const straddle = straddleOf(input, trail, { order, tool, place, across: 'the arms' }, [
    { name: 'left', label: 'Left extent', reach: e.left, figure: left },
    { name: 'right', label: 'Right extent', reach: e.right, figure: right },
  ])
  const [front, back] = [put('front', 'Front extent', e.front), put('back', 'Back extent', e.back)]
  return {
    seat: order.id,
    order,
    tool,
    place,
    left: e.back.value,
    right: e.front.value,
    sides: { left: e.left.value, right: e.right.value },
    neck: e.neckAcross.value,
    doubt: value(neckDoubt),
    ids: {
      left: back,
      right: front,
      front,
      back,
      neckAcross: put('across', 'Bar across the gap', e.neckAcross),
      neckDoubt,
      straddle,
      mass: massFigure(trail, tool),
    },
  }
}
