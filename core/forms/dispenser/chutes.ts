import { neededOpening } from '../../fit/bore'
import { neededRule } from '../../fit/rules'
import type { Measured, Missing } from '../../footprint/kind'
import { part } from '../../footprint/neck'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import { FIT_SETTING, type Fit } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import type { SettingKey } from '../../shop/settings'
import type { Trail } from '../../working/trail'
import { optionOf, settingOf } from '../choice-value'
import { fieldDoubt } from '../doubt'
import type { PlanInput, Refusal } from '../form'
import { doubtFigure, measuredFigure } from '../measured-figure'
import { seatTool } from '../seat-tool'
import { stackMassFigure } from '../stack-mass'
import { choices } from './choices'
import { halfRule, stackHighRule } from './rules'

const NEEDS = ['outerDiameter', 'thickness']

/** What a chute feels of a disc; null for what is none. mm */
export function discEnvelope({
  kind,
  measures: m,
}: Pick<Tool, 'kind' | 'measures'>): Missing | { across: Measured; thick: Measured } | null {
  if (kind !== 'ring') return null
  const missing = NEEDS.filter((key) => m[key] === undefined)
  return missing.length > 0 ? { missing } : { across: part(m, 'outerDiameter', 1), thick: part(m, 'thickness', 1) }
}

/** With more play than this part of its width a stack leans over. */
const LEANS_FROM = 0.25

/** A stack in its chute; mm, with the ids of its figures. */
export interface Chute {
  order: SeatOrder
  tool: Tool
  place: number
  /** of a disc */
  across: number
  /** how many there are, and how high they are together */
  stack: number
  high: number
  /** what the chute measures inside, from side to side, and half of it */
  inside: number
  half: number
  /** what the lowest needs to slide out */
  gap: number
  ids: Record<'across' | 'inside' | 'half' | 'high' | 'gap' | 'thick' | 'thickDoubt' | 'mass', string>
}

interface Disc {
  order: SeatOrder
  tool: Tool
  across: Measured
  thick: Measured
}

/** The stacks that go into chutes; what is gone, unmeasured, too thin to come out one by one, or too narrow beside the others is left out and named. */
export function chutesFor(input: PlanInput, trail: Trail): { chutes: Chute[]; refusals: Refusal[] } {
  const discs: Disc[] = []
  const refusals: Refusal[] = []
  const key = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const fit = settingOf(input, trail, key)
  for (const order of input.holder.seats) {
    const seated = seatTool(input, order, (_, tool) => discEnvelope(tool), 'is no disc, puck or roll.')
    if ('says' in seated) {
      refusals.push(seated)
      continue
    }
    const { tool, envelope } = seated
    const thin = tooThin(input, trail, order, tool, Math.min(fit, input.shop.settings.fitSnug))
    if (thin) refusals.push(thin)
    else discs.push({ order, tool, ...envelope })
  }
  const deep = Math.max(...discs.map((d) => d.across.value)) + fit
  const leans = ({ across: { value } }: Disc): boolean => deep - value > LEANS_FROM * value
  for (const { order, tool, across } of discs.filter(leans)) {
    const says = `${tool.name} is left out: a stack of ${formatLength(across.value, input.shop)} leans over in chutes ${formatLength(deep, input.shop, 'up')} deep. Give it a dispenser of its own.`
    refusals.push({ id: `narrow:${order.id}`, says, tool: tool.id, seats: [order.id] })
  }
  return { chutes: discs.filter((d) => !leans(d)).map((d, i) => chuteFor(input, trail, d, i + 1, key)), refusals }
}

/** Why a disc never comes out by itself: two go wherever one does. @param fit the tightest there is, mm */
function tooThin(input: PlanInput, trail: Trail, order: SeatOrder, tool: Tool, fit: number): Refusal | null {
  const thick = tool.measures.thickness!
  const doubt = fieldDoubt(input, trail, tool, 'thickness').value
  if (neededOpening(thick, doubt, fit) < 2 * (thick - doubt)) return null
  const says = `${tool.name} is left out: of ${formatLength(thick, input.shop)} each, two come out at once wherever one does. Hang it on a rod, or measure ten with a caliper and divide.`
  return { id: `thin:${order.id}`, says, tool: tool.id, fields: ['thickness'], seats: [order.id] }
}

function chuteFor(input: PlanInput, trail: Trail, disc: Disc, place: number, key: SettingKey): Chute {
  const { order, tool } = disc
  const { id } = order
  const across = measuredFigure(trail, order, tool, 'across', `Disc of ${place}`, disc.across, halfRule)
  const thick = measuredFigure(trail, order, tool, 'thick', `Thickness of ${place}`, disc.thick, halfRule)
  const acrossDoubt = doubtFigure(input, trail, order, tool, 'across', `Disc of ${place}`, disc.across)
  const thickDoubt = doubtFigure(input, trail, order, tool, 'thick', `Thickness of ${place}`, disc.thick)
  const fit = trail.get(key).value
  const stack = Math.max(1, tool.count ?? 1)
  const inside = trail.derive(`needed:${id}`, `Chute ${place} inside`, neededOpening(disc.across.value, trail.get(acrossDoubt).value, fit), neededRule, `{${across}} + {${acrossDoubt}} + {${key}}`, { print: 'up' }) // prettier-ignore
  const half = trail.derive(`half:${id}`, `Half of chute ${place}`, inside / 2, halfRule, `{needed:${id}} / 2`)
  const high = trail.derive(`stack:${id}`, `Height of stack ${place}`, stack * disc.thick.value, stackHighRule, `${stack} × {${thick}}`) // prettier-ignore
  const gap = trail.derive(`gap:${id}`, `Needed to slide ${place} out`, neededOpening(disc.thick.value, trail.get(thickDoubt).value, fit), neededRule, `{${thick}} + {${thickDoubt}} + {${key}}`, { print: 'up' }) // prettier-ignore
  const mass = stackMassFigure(trail, tool, id, place, stack)
  return {
    ...{ order, tool, place, across: disc.across.value, stack, high, inside, half, gap },
    ids: { across, inside: `needed:${id}`, half: `half:${id}`, high: `stack:${id}`, gap: `gap:${id}`, thick, thickDoubt, mass }, // prettier-ignore
  }
}
