import { kindOf } from '#core/footprint/kinds'
import type { Tool } from '#core/footprint/tool'
import { demoProjects } from '../../demo/projects'
import { chance } from './bench'
import type { DeviceId } from './device'

/** What lies between the jaws, on the pan, on the bed: which tool, and which of its figures. */
export interface Lying {
  tool: string
  kind: string
  field: string
}

const demoTools = new Map<string, Tool>()
for (const { shopId, project } of demoProjects())
  for (const tool of project.tools) demoTools.set(`${shopId}-${tool.id}`, tool)

/** Weights of tools that nobody weighed lie here, kg; angles here, degrees. */
const USUAL = { mass: 0.8, angle: 45 }

/**
 * What a device would really find: the sample tools measure what they are known to measure; anything else is made up
 * from what its kind commonly measures, the same each time.
 * @returns mm, kg or degrees
 */
export function truthOf(device: DeviceId, { tool, kind, field }: Lying): number {
  const known = demoTools.get(tool)
  const own = 0.9 + 0.2 * chance(`${tool} ${field}`)
  if (device === 'gauge') return USUAL.angle + (own - 1) * 4
  if (device === 'scale') {
    const bare = known?.mass ?? USUAL.mass * own
    return field === 'massWithBattery' ? (known?.massWithBattery ?? bare + 0.4) : bare
  }
  const typical = kindOf(known?.kind ?? kind)?.fields.find((f) => f.key === field)?.typical ?? 25
  return known?.measures[field] ?? typical * own
}
