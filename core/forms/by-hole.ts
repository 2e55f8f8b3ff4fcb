import type { Measured, Missing } from '../footprint/kind'
import { kindOf } from '../footprint/kinds'
import { part } from '../footprint/neck'
import type { Tool } from '../footprint/tool'
import { outlineBounds } from '../geometry/outline'

/** What something is like that hangs by a hole, a ring or a loop, its face out; mm. */
export interface ByHole {
  /** to either side of the hole's middle */
  left: Measured
  right: Measured
  /** how thick it is, out from the wall */
  thick: Measured
  hole: Measured
  /** its hole is stiff, and goes over all that it hangs on; a loop gives way */
  stiff: boolean
  /** from the upper edge of its hole, in the middle of its thickness, to its own origin */
  origin: { x: number; y: number; z: number }
}

type Holed = Pick<Tool, 'kind' | 'measures' | 'options'> & Partial<Pick<Tool, 'outline'>>

/** A length that is taken from an outline. */
const fromOutline = (value: number): Measured => ({ value, expression: `[${value} mm]`, moves: {} })

/** Half of its width to either side, or as far as its outline reaches from its middle. */
function sides({ measures: m, outline }: Holed, width: string): Pick<ByHole, 'left' | 'right'> & { middle: number } {
  if (!outline) return { left: part(m, width, 0.5), right: part(m, width, 0.5), middle: 0 }
  const { minX, maxX } = outlineBounds(outline)
  const half = fromOutline((maxX - minX) / 2)
  return { left: half, right: half, middle: (minX + maxX) / 2 }
}

/** Seen along its axis. */
const ring = ({ measures: m }: Holed): ByHole => ({
  left: part(m, 'outerDiameter', 0.5),
  right: part(m, 'outerDiameter', 0.5),
  thick: part(m, 'thickness'),
  hole: part(m, 'holeDiameter'),
  stiff: true,
  origin: { x: 0, y: m.thickness! / 2, z: -m.holeDiameter! / 2 },
})

/** By a loop at its top. */
const looped = (tool: Holed): ByHole => {
  const { left, right, middle } = sides(tool, 'width')
  const { maxY } = kindOf(tool.kind)!.envelope(tool).face
  return { left, right, thick: part(tool.measures, 'depth'), hole: part(tool.measures, 'loop'), stiff: false, origin: { x: -middle, y: tool.measures.depth! / 2, z: -maxY } } // prettier-ignore
}

/** By a hole or ring so far below its top. */
const flat = (tool: Holed): ByHole => {
  const { measures: m } = tool
  const { left, right, middle } = sides(tool, 'width')
  const { maxY } = kindOf(tool.kind)!.envelope(tool).face
  const down = m.holeDown ?? m.hole! / 4
  return { left, right, thick: part(m, 'thickness'), hole: part(m, 'hole'), stiff: true, origin: { x: -middle, y: m.thickness! / 2, z: down - maxY } } // prettier-ignore
}

const KINDS: Record<
  string,
  { needs: readonly string[]; box: readonly string[]; hole: string; read: (tool: Holed) => ByHole }
> = {
  ring: { needs: ['outerDiameter', 'holeDiameter', 'thickness'], box: [], hole: 'holeDiameter', read: ring },
  anything: { needs: ['loop', 'depth'], box: ['width'], hole: 'loop', read: looped },
  'flat-tool': { needs: ['hole', 'thickness'], box: ['width', 'length'], hole: 'hole', read: flat },
}

/** How something hangs by a hole; null for a kind that has none, or what is known to have none. An outline says how wide it is. */
export function byHole(tool: Holed): ByHole | Missing | null {
  const found = KINDS[tool.kind]
  if (!found || tool.measures[found.hole] === 0) return null
  const needs = [...found.needs, ...(tool.outline ? [] : found.box)]
  const missing = needs.filter((key) => tool.measures[key] === undefined)
  return missing.length > 0 ? { missing } : found.read(tool)
}
