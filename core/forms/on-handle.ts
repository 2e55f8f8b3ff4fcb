import type { Measured, Missing } from '../footprint/kind'
import { part } from '../footprint/neck'
import { diagonal } from '../footprint/shank'
import { carriedMass, type Tool } from '../footprint/tool'
import type { SeatOrder } from '../model/holder'
import type { Place, Seat } from '../model/model'

/** What holds a tool that stands on the end of its handle feels of it; mm. */
export interface StandEnvelope {
  /** the handle at its thickest */
  handle: Measured
  /** to either side, and to front and back, where it is widest */
  aside: Measured
  out: Measured
  overall: Measured
  /** from the end of its handle up to its own origin */
  originUp: number
  /** it is drawn handle up: it stands the other way round */
  turnedOver: boolean
  /** its upper end is an edge or a point */
  sharpUp: boolean
}

/** Half of the wider of two fields. */
const wider = (m: Record<string, number>, a: string, b: string): Measured => part(m, (m[b] ?? 0) > m[a]! ? b : a, 0.5)

interface Reader {
  needs: readonly string[]
  read: (m: Record<string, number>, tool: Tool) => StandEnvelope
}

const KINDS: Record<string, Reader> = {
  'turning-tool': {
    needs: ['handleDiameter', 'handleLength', 'overallLength'],
    read: (m, tool) => ({
      handle: part(m, 'handleDiameter'),
      aside: wider(m, 'handleDiameter', 'bladeWidth'),
      out: wider(m, 'handleDiameter', 'bladeWidth'),
      overall: part(m, 'overallLength'),
      originUp: m.handleLength!,
      turnedOver: false,
      sharpUp: tool.options.delicate !== 'none',
    }),
  },
  'handled-blade': {
    needs: ['handleDiameter', 'bladeLength', 'overallLength'],
    read: (m, tool) => ({
      // a flat handle wants the hole that its corners pass
      handle: m.handleThickness === undefined || Math.abs(m.handleThickness - m.handleDiameter!) < 0.01 ? part(m, 'handleDiameter') : diagonal(m, 'handleDiameter', 'handleThickness'), // prettier-ignore
      aside: wider(m, 'handleDiameter', 'bladeWidth'),
      out: wider(m, 'handleDiameter', 'bladeWidth'),
      overall: part(m, 'overallLength'),
      originUp: Math.max(1, m.overallLength! - m.bladeLength!),
      turnedOver: true,
      sharpUp: tool.options.delicate !== 'none',
    }),
  },
  'long-handled': {
    needs: ['handleDiameter', 'headWidth', 'headDepth', 'overallLength'],
    read: (m, tool) => ({
      handle: part(m, 'handleDiameter'),
      aside: wider(m, 'handleDiameter', 'headWidth'),
      out: wider(m, 'handleDiameter', 'headDepth'),
      overall: part(m, 'overallLength'),
      originUp: m.overallLength! - (m.headHeight ?? Math.min(m.headWidth! * 0.6, m.overallLength! * 0.4)),
      turnedOver: false,
      sharpUp: tool.options.delicate === 'edge',
    }),
  },
}

/** The envelope of a tool that stands on its handle’s end, turned as asked; null for a kind that doesn’t. */
export function standEnvelope(tool: Tool, turn: number): StandEnvelope | Missing | null {
  const found = KINDS[tool.kind]
  if (!found) return null
  const missing = found.needs.filter((key) => tool.measures[key] === undefined)
  if (missing.length > 0) return { missing }
  const e = found.read(tool.measures, tool)
  return turn % 2 === 1 ? { ...e, aside: e.out, out: e.aside } : e
}

/** A tool that stands on its handle's end, as its form has worked it out; mm, with the ids of its figures. */
export interface OnHandle {
  order: SeatOrder
  tool: Tool
  place: number
  envelope: StandEnvelope
  left: number
  right: number
  out: number
  ids: Record<'front', string> & Record<string, string>
}

/**
 * Its seat. `line` must be on the trail: from the back edge of the boards to the line of centres.
 * @param at the end of its handle, @param on the board that it stands on, and the opening it stands in
 */
export const seatOnHandle = (s: OnHandle, at: Place, on: Pick<Seat, 'board' | 'opening'>): Seat => ({
  id: s.order.id,
  tool: s.tool.id,
  name: s.tool.name,
  place: s.place,
  turn: s.order.turn,
  ...(s.envelope.turnedOver ? { tilt: 180 } : {}),
  ...on,
  at: { ...at, z: at.z + s.envelope.originUp },
  extent: { left: s.left, right: s.right, front: s.out, back: s.out },
  rests: 'floor',
  sharp: false,
  edgeUp: s.envelope.sharpUp,
  mass: carriedMass(s.tool),
  reach: `{thickness:back} + {line} + {${s.ids.front}}`,
  figures: s.ids,
})
