import type { Measured, NeckEnvelope } from '../../footprint/kind'
import { kindOf } from '../../footprint/kinds'
import { surenessOf, type Tool } from '../../footprint/tool'
import { bitToBuy, boredBy, chooseBit, neededOpening } from '../../fit/bore'
import { boreRule, neededRule, sawnRule } from '../../fit/rules'
import type { SeatOrder } from '../../model/holder'
import { bitName } from '../../shop/bit-name'
import { FIT_SETTING, SURE_SETTING, type Fit } from '../../shop/shop'
import { namedIn, type Trail } from '../../working/trail'
import { optionOf, settingOf } from '../choice-value'
import type { PlanInput, Refusal } from '../form'
import { choices } from './choices'
import type { Along } from './layout'
import { extentRule } from './rules'

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
  bit: number | null
  ids: Record<'left' | 'right' | 'front' | 'back' | 'neckAcross' | 'neckAlong' | 'slot' | 'needed' | 'mass', string>
}

/** Puts a measured extent on the trail: the measurement itself, or what is reckoned from it. */
function measuredFigure(trail: Trail, seat: SeatOrder, tool: Tool, name: string, label: string, m: Measured): string {
  const fields = kindOf(tool.kind)!.fields
  for (const key of namedIn(m.expression)) {
    const field = fields.find((f) => f.key === key)!
    const id = `m:${tool.id}.${key}`
    trail.given(id, `${tool.name}: ${field.label.toLowerCase()}`, tool.measures[key]!, {
      kind: 'measurement',
      tool: tool.id,
      field: key,
    })
  }
  const formula = m.expression.replace(/\{(\w+)\}/g, `{m:${tool.id}.$1}`)
  const alone = /^\{([^}]+)\}$/.exec(formula)
  if (alone) return alone[1]!
  const id = `${name}:${seat.id}`
  trail.derive(id, label, m.value, extentRule, formula)
  return id
}

function slotFigures(
  input: PlanInput,
  trail: Trail,
  seat: SeatOrder,
  tool: Tool,
  place: number,
  neck: Measured,
  neckId: string,
) {
  const { shop } = input
  const fit = optionOf(choices, input, 'fit') as Fit
  const allowance = settingOf(input, trail, FIT_SETTING[fit])
  const sure = surenessOf(tool, namedIn(neck.expression)[0] ?? '')
  const doubt = settingOf(input, trail, SURE_SETTING[sure])
  const neededId = `needed:${seat.id}`
  const slotId = `slot:${seat.id}`
  const needed = trail.derive(
    neededId,
    `${place} needs an opening of`,
    neededOpening(neck.value, doubt, allowance),
    neededRule,
    `{${neckId}} + {${SURE_SETTING[sure]}} + {${FIT_SETTING[fit]}}`,
    { print: 'up' },
  )
  const bored = optionOf(choices, input, 'slots') === 'bored'
  const bit = bored ? chooseBit({ needed, bits: shop.bits }) : null
  let slot: number
  if (bit) {
    const bitId = `bit:${bit.diameter}`
    trail.given(
      bitId,
      `Hole of the ${bitName(bit.diameter, shop)} bit`,
      boredBy(bit),
      { kind: 'bit', diameter: bit.diameter },
      { print: 'up' },
    )
    slot = trail.derive(slotId, `Slot ${place}`, boredBy(bit), boreRule, `{${bitId}} ≥ {${neededId}}`, {
      print: 'up',
      note: `${bitName(bit.diameter, shop)} bit`,
    })
  } else {
    const wanted = bored ? bitToBuy(needed, shop.unit) : null
    slot = trail.derive(slotId, `Slot ${place}`, needed, bored ? boreRule : sawnRule, `{${neededId}}`, {
      print: 'up',
      note:
        wanted === null ? 'sawn to the line' : `no bit owned is big enough; a ${bitName(wanted, shop)} one would do`,
    })
  }
  return { slot, slotId, neededId, bit: bit ? bit.diameter : null }
}

/**
 * Works out what each seat asks of the rail. Seats whose tool is gone or not measured are left out and named.
 */
export function railSeats(input: PlanInput, trail: Trail): { seats: RailSeat[]; refusals: Refusal[] } {
  const seats: RailSeat[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const tool = input.tools.get(order.tool)
    if (!tool) {
      refusals.push({
        id: `gone:${order.id}`,
        says: 'A tool that was in this holder is no longer in the tray; its place is left out.',
        seats: [order.id],
      })
      continue
    }
    const kind = kindOf(tool.kind)
    const envelope = kind?.neck?.(tool, order.turn)
    if (!kind || !envelope) {
      refusals.push({
        id: `kind:${order.id}`,
        says: `${tool.name} has no head to hang by: a finger rail can’t hold it.`,
        tool: tool.id,
        seats: [order.id],
      })
      continue
    }
    if ('missing' in envelope) {
      const labels = envelope.missing.map((key) => kind.fields.find((f) => f.key === key)!.label.toLowerCase())
      refusals.push({
        id: `unmeasured:${order.id}`,
        says: `${tool.name} is left out until it is measured: ${labels.join(', ')}.`,
        tool: tool.id,
        fields: envelope.missing,
        seats: [order.id],
      })
      continue
    }
    seats.push(railSeat(input, trail, order, tool, envelope, seats.length + 1))
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
    measuredFigure(trail, order, tool, name, `${label} of ${place}`, m)
  const neckId = put('across', 'Neck across the slot', e.neckAcross)
  const ids = {
    neckAcross: neckId,
    neckAlong: put('along', 'Neck along the slot', e.neckAlong),
    left: put('left', 'Left extent', e.left),
    right: put('right', 'Right extent', e.right),
    front: put('front', 'Front extent', e.front),
    back: put('back', 'Back extent', e.back),
    mass: `mass:${tool.id}`,
  }
  if (tool.mass !== null) {
    trail.given(
      ids.mass,
      `${tool.name}: weight`,
      tool.mass,
      { kind: 'measurement', tool: tool.id, field: 'mass' },
      { quantity: 'mass' },
    )
  }
  const { slot, slotId, neededId, bit } = slotFigures(input, trail, order, tool, place, e.neckAcross, neckId)
  return {
    order,
    tool,
    place,
    slot,
    bit,
    left: e.left.value,
    right: e.right.value,
    front: e.front.value,
    back: e.back.value,
    neckAcross: e.neckAcross.value,
    neckAlong: e.neckAlong.value,
    rectangular: e.neckShape === 'rectangular',
    ids: { ...ids, slot: slotId, needed: neededId },
  }
}
