import type { Measured } from '../footprint/kind'
import { kindOf } from '../footprint/kinds'
import { part } from '../footprint/neck'
import { isStack, stacked } from '../footprint/stack'
import type { Tool } from '../footprint/tool'
import type { SeatOrder } from '../model/holder'
import type { Place } from '../model/model'
import type { Rule } from '../working/figure'
import type { Trail } from '../working/trail'
import type { PlanInput, Refusal } from './form'
import { measuredFigure } from './measured-figure'
import { seatTool } from './seat-tool'
import type { Spot } from './spread'
import { stackMassFigure } from './stack-mass'

const source = 'Geometry of the shelf; makers’ instructions for vents'
const rule = (id: string, says: string): Rule => ({ id: `shelf.${id}`, says, source })

export const halfRule = rule(
  'half',
  'What stands on a shelf takes half of its width to each side of its middle, and what its vents want free there.',
)
export const outRule = rule('out', 'How far it reaches out from the back as it stands, with what its vents want free on either side.') // prettier-ignore
export const highRule = rule('high', 'How high it stands over the shelf.')

/** Sizes nearer than this are the same, mm. */
const SAME = 1e-6

/** Field keys of what lies on a shelf, face out: from left to right, from back to front, and its height. */
const SIZES: Record<string, readonly [across: string, out: string, high: string]> = {
  plane: ['soleWidth', 'soleLength', 'height'],
  case: ['length', 'width', 'height'],
  anything: ['width', 'depth', 'height'],
  ring: ['outerDiameter', 'thickness', 'outerDiameter'],
}

/** What a shelf feels of a tool that lies on it, mm. */
export interface ShelfEnvelope {
  half: Measured
  out: Measured
  high: Measured
}

/** How many of a tool stand in one place. */
const stackOf = (tool: Pick<Tool, 'kind'> & Partial<Pick<Tool, 'count'>>): number =>
  isStack(tool) ? (tool.count ?? 1) : 1

/** The envelope of a tool that lies on a shelf; null for a kind that lies on none. */
export function shelfEnvelope(
  tool: Pick<Tool, 'kind' | 'measures' | 'options'> & Partial<Pick<Tool, 'outline' | 'count'>>,
  turn: SeatOrder['turn'],
): ShelfEnvelope | { missing: string[] } | null {
  const sizes = SIZES[tool.kind]
  if (!sizes) return null
  const { measures: m } = tool
  // an outline says how wide and how high it is
  const missing = sizes.filter(
    (key) => m[key] === undefined && !(tool.outline && (key === 'width' || key === 'height')),
  )
  if (missing.length > 0) return { missing }
  const { top, face } = kindOf(tool.kind)!.envelope(tool)
  const wide = { key: sizes[0], shape: top.maxX - top.minX, many: 1 }
  const deep = { key: sizes[1], shape: top.maxY - top.minY, many: stackOf(tool) }
  const [across, out] = turn % 2 === 1 ? [deep, wide] : [wide, deep]
  return {
    half: vented(sizeOf(m, across, 0.5), m, 1),
    out: vented(sizeOf(m, out, 1), m, 2),
    high: sizeOf(m, { key: sizes[2], shape: face.maxY - face.minY, many: 1 }, 1),
  }
}

/**
 * A size as measured, or what its shape takes where that is more: a knob that stands out past its sole, an outline that is wider.
 * @param many so many one behind the other, @param times part of it that is asked for
 */
function sizeOf(
  m: Record<string, number>,
  { key, shape, many }: { key: string; shape: number; many: number },
  times: number,
): Measured {
  if (m[key] !== undefined && shape <= m[key] + SAME) return part(m, key, times * many)
  const value = times * many * shape
  return { value, expression: `[${value} mm]`, moves: {} }
}

/** A size with what vents want free, so many times. */
const vented = (size: Measured, m: Record<string, number>, times: 1 | 2): Measured =>
  m.ventClear
    ? {
        ...size,
        value: size.value + times * m.ventClear,
        expression: `${size.expression} + ${times === 1 ? '' : '2 × '}{ventClear}`,
      }
    : size

/** A tool on the shelf; mm, with the ids of its figures. */
export interface OnShelf extends Spot {
  order: SeatOrder
  tool: Tool
  out: number
  high: number
  /** so many of it stand in this place */
  stack: number
  /** from its back edge, its middle and its underside to its own origin, as it lies */
  origin: Place
  ids: Record<'left' | 'right' | 'out' | 'high' | 'mass', string>
}

/** Works out what each seat asks of the shelf. Seats whose tool is gone, unmeasured or lies on no shelf are left out and named. */
export function onShelf(input: PlanInput, trail: Trail): { standing: OnShelf[]; refusals: Refusal[] } {
  const found: OnShelf[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const seated = seatTool(input, order, (_, tool, turn) => shelfEnvelope(tool, turn), 'does not stand on a shelf.')
    if ('says' in seated) {
      refusals.push(seated)
      continue
    }
    const { tool, envelope: e } = seated
    const place = found.length + 1
    const half = measuredFigure(trail, order, tool, 'half', `Half the width of ${place}`, e.half, halfRule)
    const out = measuredFigure(trail, order, tool, 'out', `Reach of ${place}`, e.out, outRule)
    const high = measuredFigure(trail, order, tool, 'high', `Height of ${place}`, e.high, highRule)
    const stack = stackOf(tool)
    const whole = stacked(tool, stack)
    const mass = stackMassFigure(trail, tool, order.id, place, stack)
    found.push({
      seat: order.id,
      order,
      tool,
      place,
      left: e.half.value,
      right: e.half.value,
      out: e.out.value,
      high: e.high.value,
      stack,
      origin: originOf(whole, order.turn),
      ids: { left: half, right: half, out, high, mass },
    })
  }
  return { standing: found, refusals }
}

/** Where the origin of a tool, or of a stack, stands from the back, the middle and the underside of the room it takes, as it is turned; mm. */
function originOf(tool: Tool, turn: SeatOrder['turn']): Place {
  const { top, face } = kindOf(tool.kind)!.envelope(tool)
  const { minX, maxX, minY, maxY } = top
  const [x, y] = [(minX + maxX) / 2, (minY + maxY) / 2]
  // the middle of the room as it is turned, from the origin; and half its depth
  const middle = [
    { x, y, half: (maxY - minY) / 2 },
    { x: y, y: -x, half: (maxX - minX) / 2 },
    { x: -x, y: -y, half: (maxY - minY) / 2 },
    { x: -y, y: x, half: (maxX - minX) / 2 },
  ][turn]!
  return { x: -middle.x, y: middle.half - middle.y + (tool.measures.ventClear ?? 0), z: 0 - face.minY }
}
