import { allForms } from '../forms/all-forms'
import type { HolderForm } from '../forms/form'
import { kindOf } from '../footprint/kinds'
import type { Tool } from '../footprint/tool'

/** A form that can hold a tool, and the labels of the figures that it still lacks for that. */
export interface WayToHold {
  form: HolderForm
  lacks: string[]
}

/** The forms that a tool can be held by: those that it is measured for first, then those that lack the fewest figures. */
export function waysToHold(tool: Tool): WayToHold[] {
  const label = (key: string): string => kindOf(tool.kind)?.fields.find((f) => f.key === key)?.label ?? key
  return allForms
    .flatMap((form) => {
      const lacks = form.lacks(tool)
      return lacks ? [{ form, lacks: lacks.map(label) }] : []
    })
    .sort((a, b) => a.lacks.length - b.lacks.length)
}
