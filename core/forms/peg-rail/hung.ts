import type { Measured, Missing } from '../../footprint/kind'
import { kindOf } from '../../footprint/kinds'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import type { Trail } from '../../working/trail'
import { FIT_SETTING, type Fit } from '../../shop/shop'
import { byHole } from '../by-hole'
import { optionOf, settingOf } from '../choice-value'
import type { PlanInput, Refusal } from '../form'
import { doubtFigure, massFigure, measuredFigure } from '../measured-figure'
import { seatTool } from '../seat-tool'
import { straddleOf } from '../straddle'
import type { Spot } from '../spread'
import { choices } from './choices'
import { armRule, besideRule, gapRule, longRule, pairRule, sizeRule, straddleLimitRule } from './rules' // prettier-ignore

/** What a rail feels of something on a pin or on two: mm. */
export interface PinEnvelope {
  left: Measured
  right: Measured
  /** how far it reaches back from where it hangs, and forward */
  back: Measured
  front: Measured
  /** what stands between two pins; null for what hangs on one */
  neck: Measured | null
  /** the loop or hole that a pin goes into; null for what hangs between two */
  hole: Measured | null
  /**
   * Where its own origin stands: right of its pin, out from where it hangs, and up from the top of its pins; of what hangs by a loop
   * over itself, from below the pin. mm
   */
  origin: { x: number; y: number; z: number; below: boolean }
}

/** The envelope of a tool on pins; null for a kind that hangs on none. */
export function pinEnvelope(
  tool: Pick<Tool, 'kind' | 'measures' | 'options'> & Partial<Pick<Tool, 'outline'>>,
  turn: SeatOrder['turn'],
): PinEnvelope | Missing | null {
  const holed = byHole(tool)
  if (holed && 'missing' in holed) return holed
  if (holed) {
    const { left, right, thick, hole, stiff, origin } = holed
    const half: Measured = { value: thick.value / 2, expression: `${thick.expression} / 2`, moves: scaled(thick.moves, 0.5) } // prettier-ignore
    return { left, right, back: half, front: half, neck: null, hole, origin: { ...origin, below: !stiff } }
  }
  const e = kindOf(tool.kind)?.neck?.(tool, turn)
  if (!e || 'missing' in e) return e ?? null
  return { left: e.left, right: e.right, back: e.back, front: e.front, neck: e.neckAcross, hole: null, origin: { x: 0, y: 0, z: 0, below: false } } // prettier-ignore
}

const scaled = (moves: Measured['moves'], by: number): Measured['moves'] =>
  Object.fromEntries(Object.entries(moves).map(([key, times]) => [key, times * by]))

/** Something on its pin or pins; mm, with the ids of its figures. */
export interface Hung extends Spot {
  order: SeatOrder
  tool: Tool
  front: number
  back: number
  /** from the one pin of a pair to the other; null for what hangs on one */
  apart: number | null
  hole: number | null
  /** from the rail's face to where it hangs, and how far its pins stand out */
  arm: number
  out: number
  origin: PinEnvelope['origin']
  ids: Record<'left' | 'right' | 'front' | 'mass' | 'arm' | 'out', string> &
    Partial<Record<'slot' | 'needed' | 'neckAcross' | 'straddle' | 'straddleLimit' | 'hole' | 'holeDoubt', string>>
}

/**
 * Works out what each seat asks of the rail. Seats whose tool is gone, unmeasured or hangs on no pin are left out and named.
 * @param pin diameter of the pins, on the trail as `thickness:rod`; mm
 */
export function hung(input: PlanInput, trail: Trail, pin: number): { hung: Hung[]; refusals: Refusal[] } {
  const found: Hung[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const seated = seatTool(
      input,
      order,
      (_, tool, turn) => pinEnvelope(tool, turn),
      'has nothing to hang on a pin by.',
    )
    if ('says' in seated) refusals.push(seated)
    else found.push(one(input, trail, order, seated.tool, seated.envelope, found.length + 1, pin))
  }
  return { hung: found, refusals }
}

function one(
  input: PlanInput,
  trail: Trail,
  order: SeatOrder,
  tool: Tool,
  e: PinEnvelope,
  place: number,
  pin: number,
): Hung {
  const put = (name: string, label: string, m: Measured): string =>
    measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, sizeRule)
  const doubt = (name: string, label: string, m: Measured): string =>
    doubtFigure(input, trail, order, tool, name, `${label} of ${place}`, m)
  const clearance = settingOf(input, trail, 'headClearance')
  const keep = settingOf(input, trail, 'frontKeep')
  const back = put('back', 'Back extent', e.back)
  const armId = `arm:${order.id}`
  const arm = trail.derive(armId, `Load ${place} from the face`, e.back.value + clearance, armRule, `{${back}} + {headClearance}`) // prettier-ignore
  // a head rests on its pins along their whole length: they reach just past its neck
  const half = e.neck ? e.neck.value / 2 : e.front.value
  const past = e.neck ? `{${put('neckAcross', 'Neck', e.neck)}} / 2` : `{${put('front', 'Front extent', e.front)}}`
  const out = trail.derive(`out:${order.id}`, `Pin ${place} stands out`, arm + half + keep, longRule, `{${armId}} + ${past} + {frontKeep}`, { print: 'up' }) // prettier-ignore
  const mass = massFigure(trail, tool)
  const sides = { left: put('left', 'Left extent', e.left), right: put('right', 'Right extent', e.right) }
  const base = {
    seat: order.id,
    order,
    tool,
    place,
    front: e.front.value,
    back: e.back.value,
    arm,
    out,
    origin: e.origin,
  }
  const ids = { mass, arm: armId, out: `out:${order.id}`, front: put('front', 'Front extent', e.front) }
  if (!e.neck)
    return {
      ...base,
      left: e.left.value,
      right: e.right.value,
      apart: null,
      hole: e.hole!.value,
      ids: { ...ids, ...sides, hole: put('hole', 'Hole', e.hole!), holeDoubt: doubt('hole', 'Hole', e.hole!) },
    }
  const pair = pairOf(input, trail, order, place, e.neck, doubt('neck', 'Neck', e.neck), put('neckAcross', 'Neck', e.neck), pin) // prettier-ignore
  const straddle = straddleOf(input, trail, { order, tool, place, across: 'its pins' }, [
    { name: 'left', label: 'Left extent', reach: e.left, figure: sides.left },
    { name: 'right', label: 'Right extent', reach: e.right, figure: sides.right },
  ])
  const beside = (side: 'left' | 'right', label: string): { id: string; value: number } => {
    const value = Math.max(e[side].value, (pair.apart + pin) / 2)
    const id = `${side}Past:${order.id}`
    trail.derive(id, `${label} of ${place} with its pin`, value, besideRule, `max({${sides[side]}}, ({apart:${order.id}} + {thickness:rod}) / 2)`) // prettier-ignore
    return { id, value }
  }
  const [left, right] = [beside('left', 'Left extent'), beside('right', 'Right extent')]
  return {
    ...base,
    left: left.value,
    right: right.value,
    apart: pair.apart,
    hole: null,
    ids: {
      ...ids,
      left: left.id,
      right: right.id,
      slot: pair.gapId,
      needed: pair.gapId,
      neckAcross: pair.neckId,
      straddle,
      straddleLimit: pair.limitId,
    },
  }
}

/** How far the two pins of a pair stand apart, with the gap between them. */
function pairOf(
  input: PlanInput,
  trail: Trail,
  { id }: SeatOrder,
  place: number,
  neck: Measured,
  doubtId: string,
  neckId: string,
  pin: number,
): { apart: number; gapId: string; neckId: string; limitId: string } {
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const play = settingOf(input, trail, fit)
  const gapId = `pinGap:${id}`
  const gap = trail.derive(gapId, `Gap between the pins ${place}`, neck.value + trail.get(doubtId).value + play, gapRule, `{${neckId}} + {${doubtId}} + {${fit}}`, { print: 'up' }) // prettier-ignore
  const apart = trail.derive(`apart:${id}`, `Pins ${place} apart`, gap + pin, pairRule, `{${gapId}} + {thickness:rod}`)
  const bearing = settingOf(input, trail, 'bearing')
  const limitId = `straddleLimit:${id}`
  trail.derive(limitId, `Head ${place} must be longer than`, gap + pin + play + bearing, straddleLimitRule, `{${gapId}} + {thickness:rod} + {${fit}} + {bearing}`, { print: 'up' }) // prettier-ignore
  return { apart, gapId, neckId, limitId }
}
