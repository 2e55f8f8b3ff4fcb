import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import { FIT_SETTING, type Fit } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import { optionOf, settingOf } from '../choice-value'
import type { PlanInput, Refusal } from '../form'
import { doubtFigure, massFigure, measuredFigure } from '../measured-figure'
import { seatTool } from '../seat-tool'
import type { Spot } from '../spread'
import { choices } from './choices'
import { halfRule, sizeRule, slotWideRule } from './rules'
import { reachesStop } from './slots'
import { standingEnvelope, type Below, type Standing } from './standing'

/** Room before and behind a guard, mm: half of what a slot is longer than it. */
export const GUARD_ROOM = 6

/** A slot for what stands out below a base, mm, with the ids of its figures. */
export interface Slot {
  /** from the edge at the stop to the near and the far end of what is in it, how deep that goes, and how wide the slot is */
  near: number
  far: number
  down: number
  wide: number
  /** its middle from the middle of the base */
  off: number
  /** room at its end */
  room: { value: number; text: string }
  ids: Record<'near' | 'far' | 'down' | 'wide' | 'middle', string>
}

/** A tool on the deck; mm, with the ids of its figures. */
export interface Stood extends Spot {
  order: SeatOrder
  tool: Tool
  up: number
  high: number
  behind: number
  half: number
  slot: Slot | null
  origin: Standing['origin']
  ids: Record<'left' | 'right' | 'half' | 'up' | 'high' | 'behind' | 'mass', string>
}

/** Works out what each seat asks of the deck. Seats whose tool is gone, unmeasured, without a base plate or with a blade that reaches to the stop are left out and named. */
export function stood(input: PlanInput, trail: Trail): { stood: Stood[]; refusals: Refusal[] } {
  const found: Stood[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const seated = seatTool(input, order, (_, tool, turn) => standingEnvelope(tool, turn), 'has no base plate to stand on.') // prettier-ignore
    if ('says' in seated) {
      refusals.push(seated)
      continue
    }
    const next = one(input, trail, order, seated.tool, seated.envelope, found.length + 1)
    const refusal = reachesStop(input, next)
    if (refusal) refusals.push(refusal)
    else found.push(next)
  }
  return { stood: found, refusals }
}

function one(input: PlanInput, trail: Trail, order: SeatOrder, tool: Tool, e: Standing, place: number): Stood {
  const half = measuredFigure(trail, order, tool, 'half', `Half the base of ${place}`, e.half, halfRule)
  const over = (side: keyof Standing['over'], says: string): string => {
    const id = `over-${side}:${order.id}`
    trail.given(id, `${tool.name} stands out ${says} by`, e.over[side], { kind: 'shape', tool: tool.id })
    return id
  }
  const to = (side: 'left' | 'right'): { id: string; value: number } => {
    if (e.over[side] === 0) return { id: half, value: e.half.value }
    const id = `${side}:${order.id}`
    const value = trail.derive(id, `Extent of ${place} to the ${side}`, e.half.value + e.over[side], halfRule, `{${half}} + {${over(side, `beyond its base to the ${side}`)}}`) // prettier-ignore
    return { id, value }
  }
  const [left, right] = [to('left'), to('right')]
  return {
    seat: order.id,
    order,
    tool,
    place,
    left: left.value,
    right: right.value,
    half: e.half.value,
    up: e.up.value,
    high: e.high.value,
    behind: e.over.behind,
    slot: e.below && slotFor(input, trail, order, tool, e.below, e.half.value, place),
    origin: e.origin,
    ids: {
      left: left.id,
      right: right.id,
      half,
      up: measuredFigure(trail, order, tool, 'up', `Base of ${place}, up the deck`, e.up, sizeRule),
      high: measuredFigure(trail, order, tool, 'high', `Height of ${place}`, e.high, sizeRule),
      behind: over('behind', 'behind its base'),
      mass: massFigure(trail, tool),
    },
  }
}

function slotFor(
  input: PlanInput,
  trail: Trail,
  order: SeatOrder,
  tool: Tool,
  below: Below,
  half: number,
  place: number,
): Slot {
  const put = (name: 'near' | 'far' | 'down' | 'middle' | 'wide', label: string): string =>
    measuredFigure(trail, order, tool, name, label, below[name], sizeRule)
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const play = settingOf(input, trail, fit)
  const doubt = doubtFigure(input, trail, order, tool, 'wide', `Guard of ${place}`, below.wide)
  const guard = put('wide', `Guard of ${place} along the wall`)
  const [more, text] = below.lengthways ? [2 * GUARD_ROOM, `[${2 * GUARD_ROOM} mm]`] : [play, `{${fit}}`]
  const wide = `slot:${order.id}`
  const width = trail.derive(wide, `Slot ${place}, width`, below.wide.value + trail.get(doubt).value + more, slotWideRule, `{${guard}} + {${doubt}} + ${text}`, { print: 'up' }) // prettier-ignore
  return {
    near: below.near.value,
    far: below.far.value,
    down: below.down.value,
    wide: width,
    off: below.middle.value - half,
    room: below.lengthways ? { value: play, text: `{${fit}}` } : { value: GUARD_ROOM, text: `[${GUARD_ROOM} mm]` },
    ids: {
      near: put('near', `Guard of ${place} from the stop`),
      far: put('far', `Far end of the guard of ${place} from the stop`),
      down: put('down', `Below the base of ${place}`),
      middle: put('middle', `Middle of the guard of ${place} in its base`),
      wide,
    },
  }
}
