import type { Measured, Missing } from '../../footprint/kind'
import { kindOf } from '../../footprint/kinds'
import { part } from '../../footprint/neck'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'

/** What a hook feels of something that hangs over it by a loop, a hole or its frame; mm. */
export interface HangEnvelope {
  left: Measured
  right: Measured
  /** how thick it is where it lies in the hollow, out from the wall */
  thick: Measured
  /** what has to go over the nose; null where that was not measured */
  hole: Measured | null
  /** the way it is turned */
  turn: SeatOrder['turn']
  /** from the bottom of the hollow’s middle to its own origin */
  origin: { x: number; y: number; z: number }
}

type Reader = (m: Record<string, number>, tool: Tool) => HangEnvelope

/** Seen along its axis: the top of its hole lies on the hook. */
const ring: Reader = (m) => ({
  left: part(m, 'outerDiameter', 0.5),
  right: part(m, 'outerDiameter', 0.5),
  thick: part(m, 'thickness'),
  hole: part(m, 'holeDiameter'),
  turn: 0,
  origin: { x: 0, y: m.thickness! / 2, z: -m.holeDiameter! / 2 },
})

/** By a loop at its top. */
const looped: Reader = (m, tool) => ({
  left: part(m, 'width', 0.5),
  right: part(m, 'width', 0.5),
  thick: part(m, 'depth'),
  hole: part(m, 'loop'),
  turn: 0,
  origin: { x: 0, y: m.depth! / 2, z: -kindOf(tool.kind)!.envelope(tool).face.maxY },
})

/** By its frame, the screw beside the hook: its plane along the wall. */
const clamp: Reader = (m, tool) => {
  const { minX, maxX } = kindOf(tool.kind)!.envelope(tool).side
  const aside = (value: number): Measured => ({
    value,
    expression: `{throat} × ${value / m.throat!}`,
    moves: { throat: 1 },
  })
  return {
    left: aside(m.throat! / 2 - minX),
    right: aside(maxX - m.throat! / 2),
    thick: part(m, 'frameWidth'),
    hole: m.opening === undefined ? null : part(m, 'opening'),
    turn: 1,
    origin: { x: -m.throat! / 2, y: 0, z: 0 },
  }
}

const KINDS: Record<string, { needs: readonly string[]; read: Reader; hole: string | null }> = {
  ring: { needs: ['outerDiameter', 'holeDiameter', 'thickness'], read: ring, hole: 'holeDiameter' },
  anything: { needs: ['width', 'height', 'depth', 'loop'], read: looped, hole: 'loop' },
  'c-clamp': { needs: ['frameWidth', 'throat'], read: clamp, hole: null },
}

/** The envelope of something on a hook; null for a kind that hangs on none, or has no hole. */
export function hangEnvelope(tool: Tool): HangEnvelope | Missing | null {
  const found = KINDS[tool.kind]
  if (!found || (found.hole && tool.measures[found.hole] === 0)) return null
  const missing = found.needs.filter((key) => tool.measures[key] === undefined)
  return missing.length > 0 ? { missing } : found.read(tool.measures, tool)
}
