import { centreOfGravity, type CentreOfGravity } from '../../footprint/balance'
import { kindOf } from '../../footprint/kinds'
import type { Tool } from '../../footprint/tool'
import type { Trail } from '../../working/trail'
import { fieldDoubt } from '../doubt'
import type { PlanInput } from '../form'
import { tipSpareRule, tipsRule, upRule } from './rules'
import type { Stood } from './stood'

type State = 'bare' | 'battery'

const STATE: Record<State, string> = { bare: 'bare', battery: 'with its battery' }

/** The states a tool is put away in: with a battery too, unless it runs on a cord and nothing of a battery was measured. */
export const statesOf = ({ kind, measures, massWithBattery }: Tool): State[] => {
  const battery = kindOf(kind)!.fields.some((f) => f.balance === 'battery' && measures[f.key] !== undefined)
  return battery || massWithBattery !== null || measures.cordLength === undefined ? ['bare', 'battery'] : ['bare']
}

/** A balance point on the trail, by its figure's id, and what it may be out by. */
interface Balance {
  id: string
  doubt: ReturnType<typeof fieldDoubt> | null
}

/** Puts one balance point of a tool on the trail: as measured, or as its shape has it, of which no doubt is known. */
function balanceOn(
  input: PlanInput,
  trail: Trail,
  tool: Tool,
  axis: 'x' | 'y' | 'z',
  state: State,
  cog: CentreOfGravity,
): Balance {
  // prettier-ignore
  const kind = kindOf(tool.kind)!
  const field = kind.fields.find((f) => f.balance === state && kind.balancedAt(f.key, tool)?.axis === axis)
  if (field) {
    const id = `m:${tool.id}.${field.key}`
    const origin = { kind: 'measurement', tool: tool.id, field: field.key } as const
    trail.given(id, `${tool.name}: ${field.label.toLowerCase()}`, cog[axis], origin)
    return { id, doubt: fieldDoubt(input, trail, tool, field.key) }
  }
  const id = `balance-${axis}:${tool.id}:${state}`
  const ways = { x: 'from the side', y: 'from the rear', z: 'over its base' }
  trail.given(id, `${tool.name}, ${STATE[state]}: balance ${ways[axis]}`, cog[axis], { kind: 'shape', tool: tool.id })
  return { id, doubt: null }
}

/**
 * Puts on the trail at what angle a tool tips over the stop, for each state it is put away in, and how much steeper than the
 * deck that is. What its figures may be out by counts against it.
 * @param bears height of the edge over the deck that it would tip over, mm, with the text of its figure
 * @param tilt of the deck, degrees, on the trail as `tilt`
 */
export function tipping(
  input: PlanInput,
  trail: Trail,
  s: Stood,
  bears: { value: number; text: string },
  tilt: number,
): void {
  // prettier-ignore
  const { tool, order, place } = s
  for (const state of statesOf(tool)) {
    const cog = centreOfGravity(tool, state)!
    const base = order.turn % 2 === 1 ? 'baseWidth' : 'baseLength'
    const along = order.turn % 2 === 1 ? 'x' : 'y'
    const at = balanceOn(input, trail, tool, along, state, cog)
    const high = balanceOn(input, trail, tool, 'z', state, cog)
    // what faces the stop is the front, the left, the rear or the right
    const isFar = order.turn === 0 || order.turn === 3
    const doubts = [isFar ? fieldDoubt(input, trail, tool, base) : null, at.doubt].filter((d) => d !== null)
    const less = doubts.reduce((sum, d) => sum + d.value, 0)
    const up = (isFar ? tool.measures[base]! - cog[along] : cog[along]) - less
    const key = `${order.id}:${state}`
    const upId = `balanceUp:${key}`
    trail.derive(upId, `Balance of ${place} up the deck`, up, upRule, `${isFar ? `{${s.ids.up}} − {${at.id}}` : `{${at.id}}`}${doubts.map((d) => ` − ${d.text}`).join('')}`, { print: 'down', note: STATE[state] }) // prettier-ignore
    const over = cog.z + (high.doubt?.value ?? 0) - bears.value
    const angle = over > 0 ? (Math.atan2(Math.max(0, up), over) * 180) / Math.PI : 90
    const formula =
      over > 0
        ? `atan(max(0, {${upId}}) / ({${high.id}}${high.doubt ? ` + ${high.doubt.text}` : ''} − ${bears.text}))`
        : '90'
    trail.derive(`tips:${key}`, `${place} tips at`, angle, tipsRule, formula, { quantity: 'angle', print: 'down', note: STATE[state] }) // prettier-ignore
    trail.derive(`tipSpare:${key}`, `Spare of ${place} against tipping`, angle - tilt, tipSpareRule, `{tips:${key}} − {tilt}`, { quantity: 'angle', print: 'down', note: STATE[state] }) // prettier-ignore
  }
}
