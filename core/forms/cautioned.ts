import { kindOf } from '../footprint/kinds'
import type { Caution } from '../model/model'
import type { Plan, PlanInput } from './form'

/** A plan with what is warned of for what it holds and for what is bought for it, each once, and whether batteries go in and out; the same for all forms. */
export function cautioned(plan: Plan, { tools }: PlanInput): Plan {
  const { model } = plan
  if (!model) return plan
  const bought = (model.bought ?? []).flatMap((b) => b.caution ?? [])
  const held = model.seats.flatMap((s) => {
    const tool = tools.get(s.tool)
    return (tool && kindOf(tool.kind)?.cautions(tool)) ?? []
  })
  const once = (at: Caution['at'], says: readonly string[]): Caution[] =>
    [...new Set(says)].map((s) => ({ at, says: s }))
  const batteries = model.seats.some((s) => kindOf(tools.get(s.tool)?.kind ?? '')?.battery)
  return {
    ...plan,
    model: {
      ...model,
      ...(batteries ? { batteries } : {}),
      cautions: [...(model.cautions ?? []), ...once('join', bought), ...once('hang', held)],
    },
  }
}
