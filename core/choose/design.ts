import { inspect } from '../checks/inspect'
import type { Verdict } from '../checks/verdict'
import { formOf } from '../forms/all-forms'
import type { PlanInput, Refusal } from '../forms/form'
import type { HolderModel } from '../model/model'
import type { Figure, Working } from '../working/figure'

/** A holder worked out: its model (null when it can't be drawn), every figure, and what the checks say. */
export interface Design {
  input: PlanInput
  model: HolderModel | null
  working: Working
  verdicts: Verdict[]
  refusals: Refusal[]
}

/**
 * Plans a holder and looks it over.
 * @throws RangeError when the holder's form is not known
 */
export function design(input: PlanInput): Design {
  const form = formOf(input.holder.form)
  if (!form) throw new RangeError(`no form of holder is called ${input.holder.form}`)
  const plan = form.plan(input)
  const verdicts = inspect(plan, input)
  const working = plan.trail.all()
  return {
    input,
    model: plan.model && { ...plan.model, working },
    working,
    verdicts,
    refusals: plan.refusals,
  }
}

/** A holder drawn anew without being looked over, for while a figure of it is dragged; the verdicts are those given. */
export function drawnDesign(input: PlanInput, verdicts: Verdict[]): Design {
  const form = formOf(input.holder.form)
  if (!form) throw new RangeError(`no form of holder is called ${input.holder.form}`)
  const { trail, model, refusals } = form.plan(input)
  const working = trail.all()
  return { input, model: model && { ...model, working }, working, verdicts, refusals }
}

/** Finds a figure of a working by its id. */
export function finder(working: Working): (id: string) => Figure {
  const byId = new Map(working.map((f) => [f.id, f]))
  return (id) => {
    const figure = byId.get(id)
    if (!figure) throw new RangeError(`no figure ${id} in this working`)
    return figure
  }
}
