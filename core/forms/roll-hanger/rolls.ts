import type { Measured, Missing } from '../../footprint/kind'
import { part } from '../../footprint/neck'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import { FIT_SETTING, type Fit } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import type { Trail } from '../../working/trail'
import { optionOf, settingOf } from '../choice-value'
import { fieldDoubt } from '../doubt'
import type { PlanInput, Refusal } from '../form'
import { massFigure, measuredFigure } from '../measured-figure'
import { seatTool } from '../seat-tool'
import type { Spot } from '../spread'
import { choices } from './choices'
import { halfRule } from './rules'

const NEEDS = ['outerDiameter', 'holeDiameter', 'thickness']

/** What a rod feels of a roll; null for what is none, or has no hole. mm */
export function rollEnvelope({
  kind,
  measures: m,
}: Pick<Tool, 'kind' | 'measures'>): Missing | { half: Measured; radius: Measured } | null {
  if (kind !== 'ring' || m.holeDiameter === 0) return null
  const missing = NEEDS.filter((key) => m[key] === undefined)
  return missing.length > 0 ? { missing } : { half: part(m, 'thickness', 0.5), radius: part(m, 'outerDiameter', 0.5) }
}

/** A roll on the rod; mm, with the ids of its figures. */
export interface Roll extends Spot {
  order: SeatOrder
  tool: Tool
  radius: number
  ids: Record<'left' | 'right' | 'radius' | 'mass', string>
}

/** The rolls that go on the rod; the others are left out and named. @param rod its diameter, mm */
export function rollsOn(input: PlanInput, trail: Trail, rod: number): { rolls: Roll[]; refusals: Refusal[] } {
  const rolls: Roll[] = []
  const refusals: Refusal[] = []
  const play = settingOf(input, trail, FIT_SETTING[optionOf(choices, input, 'fit') as Fit])
  for (const order of input.holder.seats) {
    const seated = seatTool(input, order, (_, tool) => rollEnvelope(tool), 'has no hole to go on a rod by.')
    if ('says' in seated) {
      refusals.push(seated)
      continue
    }
    const { tool, envelope: e } = seated
    const hole = tool.measures.holeDiameter! - fieldDoubt(input, trail, tool, 'holeDiameter').value
    if (hole < rod + play - 1e-6) {
      const says = `${tool.name} is left out: its hole of ${formatLength(tool.measures.holeDiameter!, input.shop)} doesn’t go over a rod of ${formatLength(rod, input.shop)}. Take a thinner rod.`
      refusals.push({ id: `hole:${order.id}`, says, tool: tool.id, seats: [order.id] })
      continue
    }
    const place = rolls.length + 1
    const half = measuredFigure(trail, order, tool, 'half', `Half of roll ${place}`, e.half, halfRule)
    const radius = measuredFigure(trail, order, tool, 'radius', `Radius of roll ${place}`, e.radius, halfRule)
    rolls.push({ seat: order.id, order, tool, place, left: e.half.value, right: e.half.value, radius: e.radius.value, ids: { left: half, right: half, radius, mass: massFigure(trail, tool) } }) // prettier-ignore
  }
  return { rolls, refusals }
}
