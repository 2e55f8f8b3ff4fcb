import { kindOf } from '#core/footprint/kinds'
import type { Shape } from '#core/footprint/kind'
import type { Tool } from '#core/footprint/tool'
import { outlineBounds, unite, type Bounds } from '#core/geometry/outline'

/** A tool as it stands in the tray: its silhouette from the side and the box round it, mm. */
export interface Standing {
  tool: Tool
  shapes: Shape[]
  box: Bounds
}

export function standing(tool: Tool): Standing {
  const shapes = kindOf(tool.kind)?.silhouette(tool).side ?? []
  return {
    tool,
    shapes,
    box: unite(shapes.map((s) => outlineBounds(s.outline))) ?? { minX: 0, minY: 0, maxX: 1, maxY: 1 },
  }
}

/** A new tool with nothing measured yet. */
export const blankTool = (group = ''): Tool => ({
  id: crypto.randomUUID(),
  name: '',
  kind: 'headed',
  group,
  measures: {},
  options: { head: 'block', neck: 'round' },
  sure: 'rule',
  sureOf: {},
  mass: null,
  use: 'weekly',
  note: '',
})
