import type { Measured, Missing } from '../../footprint/kind'
import { kindOf } from '../../footprint/kinds'
import { part } from '../../footprint/neck'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import { byHole } from '../by-hole'

/** What a hook feels of something that hangs over it by a loop, a hole or its frame; mm. */
export interface HangEnvelope {
  left: Measured
  right: Measured
  /** how thick it is where it lies in the hollow, out from the wall */
  thick: Measured
  /** what has to go over the nose; null where that was not measured */
  hole: Measured | null
  /** what its hole has to go over: the nose alone, as a loop, the whole hook, or a frame nose and arm */
  goesOver: 'nose' | 'hook' | 'frame'
  /** the way it is turned */
  turn: SeatOrder['turn']
  /** from the bottom of the hollow’s middle to its own origin */
  origin: { x: number; y: number; z: number }
}

/** What has to be measured of a frame. */
const FRAME = ['frameWidth', 'throat']

/** By its frame, the screw beside the hook: its plane along the wall. */
function framed(tool: Tool): HangEnvelope {
  const { measures: m } = tool
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
    goesOver: 'frame',
    turn: 1,
    origin: { x: -m.throat! / 2, y: 0, z: 0 },
  }
}

/** The envelope of something on a hook; null for a kind that hangs on none, or has no hole. */
export function hangEnvelope(tool: Tool): HangEnvelope | Missing | null {
  if (tool.kind === 'c-clamp') {
    const missing = FRAME.filter((key) => tool.measures[key] === undefined)
    return missing.length > 0 ? { missing } : framed(tool)
  }
  const holed = byHole(tool)
  if (!holed || 'missing' in holed) return holed
  return { ...holed, goesOver: holed.stiff ? 'hook' : 'nose', turn: 0 }
}
