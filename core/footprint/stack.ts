import { kindOf } from './kinds'
import type { Tool } from './tool'

/** Whether all there are of a tool stand in one place, one against the other. */
export const isStack = ({ kind }: Pick<Tool, 'kind'>): boolean => (kindOf(kind)?.stacks ?? null) !== null

/** So many of a tool against each other, as one that is as thick as all of them. */
export function stacked<T extends Pick<Tool, 'kind' | 'measures'>>(tool: T, count: number): T {
  const key = kindOf(tool.kind)?.stacks
  const one = key ? tool.measures[key] : undefined
  return key && one !== undefined && count > 1 ? { ...tool, measures: { ...tool.measures, [key]: one * count } } : tool
}
