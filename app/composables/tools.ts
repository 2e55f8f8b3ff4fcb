import { kindOf } from '#core/footprint/kinds'
import type { Shape } from '#core/footprint/kind'
import { remarksOn, unmeasured } from '#core/footprint/measuring'
import { plainTool, type Tool } from '#core/footprint/tool'
import { outlineBounds, unite, type Bounds } from '#core/geometry/outline'
import { coordinate, svgPath } from '#core/geometry/svg-path'

/** A tool as it stands in the tray: what is seen of it, the box round it (mm), and what is to be said of it. */
export interface Standing {
  tool: Tool
  shapes: Shape[]
  paths: { part: Shape['part']; d: string }[]
  box: Bounds
  /** the box as an SVG's, whose y points down */
  viewBox: string
  /** figures still to be measured */
  missing: number
  /** figures that contradict each other or are out of the ordinary */
  doubt: boolean
  /** what a search looks in, in lower case */
  words: string
}

const lacking = new WeakMap<Tool, readonly string[]>()

/** The figures that a tool still lacks, by their labels. */
export function lacks(tool: Tool): readonly string[] {
  let found = lacking.get(tool)
  if (!found) lacking.set(tool, (found = unmeasured(tool)))
  return found
}

/** Shapes of one part that follow each other, as one path. */
function merged(shapes: readonly Shape[]): Standing['paths'] {
  const paths: Standing['paths'] = []
  for (const { part, outline } of shapes) {
    const last = paths.at(-1)
    if (last?.part === part) last.d += svgPath(outline)
    else paths.push({ part, d: svgPath(outline) })
  }
  return paths
}

/** A tool's record is replaced when it changes, never changed in place, so what is worked out from it stands with it. */
const known = new WeakMap<Tool, Standing>()

export function standing(tool: Tool): Standing {
  let found = known.get(tool)
  if (!found) {
    const kind = kindOf(tool.kind)
    const shapes = kind?.silhouette(tool)[kind.shown] ?? []
    const box = unite(shapes.map((s) => outlineBounds(s.outline))) ?? { minX: 0, minY: 0, maxX: 1, maxY: 1 }
    found = {
      tool,
      shapes,
      paths: merged(shapes),
      box,
      viewBox: [box.minX, -box.maxY, box.maxX - box.minX, box.maxY - box.minY].map(coordinate).join(' '),
      missing: lacks(tool).length,
      doubt: remarksOn(tool, String).length > 0,
      words: [tool.name, tool.group, kind?.name, ...(kind?.covers ?? []), tool.usedAt, tool.note]
        .join(' ')
        .toLowerCase(),
    }
    known.set(tool, found)
  }
  return found
}

/** A new tool with nothing measured yet. */
export const blankTool = (group = '', kind = 'headed'): Tool => ({ ...plainTool(crypto.randomUUID(), kind, ''), group })
