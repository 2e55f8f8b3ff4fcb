import type { Measured, Missing } from '../../footprint/kind'
import { kindOf } from '../../footprint/kinds'
import { part } from '../../footprint/neck'
import type { Tool } from '../../footprint/tool'
import { outlineArea } from '../../geometry/area'
import { outlineBounds } from '../../geometry/outline'

/** What a ledge feels of a tool that sticks to it upright, front out; mm. */
export interface StickEnvelope {
  /** to each side of the middle of its discs, and above and below it */
  left: Measured
  right: Measured
  up: Measured
  down: Measured
  /** how thick it lies on the ledge */
  thick: Measured
  /** how far it is flat on the ledge above and below that middle: its discs stand within */
  flat: number
  round: boolean
  /** how wide it lies across a strip */
  across: Measured
  /** thickness of its steel, where it is not round */
  steel: Measured | null
  /** from the middle of its discs to its own origin: right, out from the ledge’s face, up */
  origin: { x: number; y: number; z: number }
}

const fixed = (value: number): Measured => ({ value, expression: `[${value} mm]`, moves: {} })

type Reader = (m: Record<string, number>, tool: Tool) => StickEnvelope

/** A bit lies on its cutting part where that is wider than its shank, else on its whole length. */
const bit: Reader = (m) => {
  const headed = m.cuttingDiameter! > m.shankDiameter!
  const widest = headed ? 'cuttingDiameter' : 'shankDiameter'
  const cutting = m.overallLength! - m.shankLength!
  const half = part(m, widest, 0.5)
  const middle = headed ? cutting / 2 : cutting - m.overallLength! / 2
  const cuttingHalf: Measured = { value: cutting / 2, expression: '({overallLength} − {shankLength}) / 2', moves: { overallLength: 0.5, shankLength: 0.5 } } // prettier-ignore
  const whole = part(m, 'overallLength', 0.5)
  return {
    left: half,
    right: half,
    up: headed ? cuttingHalf : whole,
    down: headed ? { value: m.shankLength! + cutting / 2, expression: '({overallLength} + {shankLength}) / 2', moves: { overallLength: 0.5, shankLength: 0.5 } } : whole, // prettier-ignore
    thick: part(m, widest),
    flat: headed ? cutting / 2 : m.overallLength! / 2,
    round: true,
    across: part(m, widest),
    steel: null,
    origin: { x: 0, y: m[widest]! / 2, z: -middle },
  }
}

/** How far the short leg of a bent key reaches aside. */
const legAside = (m: Record<string, number>): Measured => ({
  value: m.shortLeg! - m.acrossFlats! / 2,
  expression: '{shortLeg} − {acrossFlats} / 2',
  moves: { shortLeg: 1, acrossFlats: 0.5 },
})

/** A bent key lies on its long leg, with room for the short one on either side. */
const key: Reader = (m) => ({
  left: legAside(m),
  right: legAside(m),
  up: part(m, 'longLeg', 0.5),
  down: part(m, 'longLeg', 0.5),
  thick: part(m, 'acrossFlats'),
  flat: m.longLeg! / 2,
  round: false,
  across: part(m, 'acrossFlats'),
  steel: part(m, 'acrossFlats'),
  origin: { x: 0, y: m.acrossFlats! / 2, z: m.longLeg! / 2 - m.acrossFlats! },
})

/** A blade lies flat, its handle above. */
const blade: Reader = (m) => ({
  left: part(m, 'handleDiameter', 0.5),
  right: part(m, 'handleDiameter', 0.5),
  up: {
    ...part(m, 'overallLength'),
    value: m.overallLength! - m.bladeLength! / 2,
    expression: '{overallLength} − {bladeLength} / 2',
  },
  down: part(m, 'bladeLength', 0.5),
  thick: part(m, 'bladeThickness'),
  flat: m.bladeLength! / 2,
  round: false,
  // at least so wide as it is thick
  across: part(m, m.bladeWidth === undefined ? 'bladeThickness' : 'bladeWidth'),
  steel: part(m, 'bladeThickness'),
  origin: { x: 0, y: m.bladeThickness! / 2, z: m.bladeLength! / 2 },
})

/** A flat tool lies on the middle of its outline. */
const flat: Reader = (m, tool) => {
  const { minX, maxX, minY, maxY } = outlineBounds(tool.outline!)
  const [x, z] = [(minX + maxX) / 2, (minY + maxY) / 2]
  const [wide, high] = [fixed((maxX - minX) / 2), fixed((maxY - minY) / 2)]
  return {
    left: wide,
    right: wide,
    up: high,
    down: high,
    thick: part(m, 'thickness'),
    flat: high.value / 2,
    round: false,
    // its mean over the whole height
    across: fixed(Math.abs(outlineArea(tool.outline!)) / (maxY - minY)),
    steel: part(m, 'thickness'),
    origin: { x: -x, y: m.thickness!, z: -z },
  }
}

const KINDS: Record<string, { needs: readonly string[]; read: Reader }> = {
  bit: { needs: ['shankDiameter', 'shankLength', 'cuttingDiameter', 'overallLength'], read: bit },
  'hex-key': { needs: ['acrossFlats', 'longLeg', 'shortLeg'], read: key },
  'handled-blade': { needs: ['handleDiameter', 'bladeThickness', 'bladeLength', 'overallLength'], read: blade },
  'flat-tool': { needs: ['thickness'], read: flat },
}

/** The envelope of a tool that sticks to a magnet; null for a kind that is no steel, or a flat one without its outline. */
export function stickEnvelope(tool: Tool): StickEnvelope | Missing | null {
  const found = KINDS[tool.kind]
  if (!found || (tool.kind === 'flat-tool' && !tool.outline)) return null
  const missing = found.needs.filter((k) => tool.measures[k] === undefined)
  return missing.length > 0 ? { missing } : found.read(tool.measures, tool)
}

/** How far a tool reaches behind the face that it lies on, as a handle thicker than its blade does; mm. */
export const behindFace = (tool: Tool, { origin }: StickEnvelope): number =>
  Math.max(0, -(kindOf(tool.kind)!.envelope(tool).side.minX + origin.y))
