import { surenessOf, type Tool } from '../footprint/tool'
import { kindOf } from '../footprint/kinds'
import { SURE_SETTING } from '../shop/shop'
import type { Trail } from '../working/trail'
import { settingOf } from './choice-value'
import type { PlanInput } from './form'

/**
 * What one figure of a tool may be out by: as its way of measuring says, or half of what several readings differ by, if
 * that is more. Puts what it comes from on the trail.
 * @returns mm, and the formula's text
 */
export function fieldDoubt(input: PlanInput, trail: Trail, tool: Tool, field: string): { value: number; text: string } {
  const key = SURE_SETTING[surenessOf(tool, field)]
  const sure = settingOf(input, trail, key)
  const spread = tool.spread?.[field]
  if (spread === undefined || spread / 2 <= sure) return { value: sure, text: `{${key}}` }
  const id = `spread:${tool.id}.${field}`
  const label =
    kindOf(tool.kind)
      ?.fields.find((f) => f.key === field)
      ?.label.toLowerCase() ?? field
  trail.given(id, `${tool.name}: readings of its ${label} differ by`, spread, {
    kind: 'readings',
    tool: tool.id,
    field,
  })
  return { value: spread / 2, text: `{${id}} / 2` }
}
