import { doubtRule } from '../fit/rules'
import { kindOf } from '../footprint/kinds'
import type { Measured } from '../footprint/kind'
import { heavier, type Tool } from '../footprint/tool'
import type { SeatOrder } from '../model/holder'
import type { Rule } from '../working/figure'
import { namedIn, type Trail } from '../working/trail'
import { fieldDoubt } from './doubt'
import type { PlanInput } from './form'

/** Puts a measured extent on the trail: the measurement itself, or what is reckoned from it by a rule. @returns the figure's id */
export function measuredFigure(
  trail: Trail,
  seat: SeatOrder,
  tool: Tool,
  name: string,
  label: string,
  m: Measured,
  rule: Rule,
): string {
  const fields = kindOf(tool.kind)!.fields
  for (const key of namedIn(m.expression)) {
    const id = `m:${tool.id}.${key}`
    if (trail.has(id)) continue
    const field = fields.find((f) => f.key === key)!
    trail.given(id, `${tool.name}: ${field.label.toLowerCase()}`, tool.measures[key]!, {
      kind: 'measurement',
      tool: tool.id,
      field: key,
    })
  }
  const formula = m.expression.replaceAll('{', `{m:${tool.id}.`)
  const [only] = namedIn(formula)
  if (formula === `{${only}}`) return only!
  const id = `${name}:${seat.id}`
  trail.derive(id, label, m.value, rule, formula)
  return id
}

/** Puts what a measured extent may be out by on the trail. @returns the figure's id */
export function doubtFigure(
  input: PlanInput,
  trail: Trail,
  seat: SeatOrder,
  tool: Tool,
  name: string,
  label: string,
  m: Measured,
): string {
  const terms = Object.entries(m.moves).map(([field, times]) => {
    const doubt = fieldDoubt(input, trail, tool, field)
    return { value: times * doubt.value, text: times === 1 ? doubt.text : `${doubt.text} × ${times}` }
  })
  const id = `${name}Doubt:${seat.id}`
  const value = terms.reduce((sum, t) => sum + t.value, 0)
  trail.derive(id, `${label} may be out by`, value, doubtRule, terms.map((t) => t.text).join(' + '), { print: 'up' })
  return id
}

/** Puts a tool's weight on the trail, with its battery where that is the heavier, if it was weighed. @returns the figure's id, whether it is there or not */
export function massFigure(trail: Trail, tool: Tool): string {
  const id = `mass:${tool.id}`
  const weight = heavier(tool)
  if (weight) {
    const origin = { kind: 'measurement', tool: tool.id, field: weight.as } as const
    const label = weight.as === 'mass' ? 'weight' : 'weight with its battery'
    trail.given(id, `${tool.name}: ${label}`, weight.kg, origin, { quantity: 'mass' })
  }
  return id
}
