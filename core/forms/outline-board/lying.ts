import { spun, outlineBounds, roundedRectangle, type Outline } from '../../geometry/outline'
import type { Measured } from '../../footprint/kind'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import type { Trail } from '../../working/trail'
import { optionOf, settingOf } from '../choice-value'
import type { PlanInput, Refusal } from '../form'
import { massFigure, measuredFigure } from '../measured-figure'
import { seatTool } from '../seat-tool'
import type { Spot } from '../spread'
import { choices } from './choices'
import { restOn, type Rest } from './rest-on'
import { armRule, outRule, reachRule, sizeRule } from './rules'

type Flat = Pick<Tool, 'kind' | 'measures' | 'options'> & Partial<Pick<Tool, 'outline'>>

/** How thick a flat thing is, by kind. */
const THICK: Record<string, string> = { 'flat-tool': 'thickness', anything: 'depth' }

/** Field keys that a tool lacks to lie on an outline board; null for a kind that is not flat. A box does for what has no outline of its own. */
export function lacksForOutline({ kind, measures, outline }: Flat): string[] | null {
  const thick = THICK[kind]
  if (!thick) return null
  const box = outline ? [] : kind === 'anything' ? ['width', 'height'] : ['outline']
  return [...box, thick].filter((key) => measures[key] === undefined)
}

/** Its outline as it was taken; of what has none its box, as its card draws it. */
const outlineOf = ({ measures: m, outline }: Flat): Outline =>
  outline ?? roundedRectangle(-m.width! / 2, -m.height!, m.width! / 2, 0, Math.min(m.width!, m.height!) * 0.08)

/** Something that lies against the board; mm, with the ids of its figures. */
export interface Lying extends Spot {
  order: SeatOrder
  tool: Tool
  rest: Rest
  /** its top points to the datum */
  along: boolean
  /** from its own origin, as it lies, to the middle of what it and its pins take up, and how high that is; mm */
  middle: { x: number; y: number }
  high: number
  /** its outline as it lies, from its own origin */
  box: ReturnType<typeof outlineBounds>
  thick: number
  out: number
  ids: Record<'left' | 'right' | 'thick' | 'arm' | 'out' | 'mass', string>
}

/** The ways a thing may lie, the first before the second where both are alike. */
const WAYS: Record<string, readonly boolean[]> = { steadiest: [false, true], upright: [false], along: [true] }

/** What was found of an outline for pins of a radius: an outline is a record’s own, and stays as it is. */
const known = new WeakMap<Outline, Map<string, Rest | null>>()
function restKnown(outline: Outline, along: boolean, radius: number): Rest | null {
  const own = known.get(outline) ?? new Map<string, Rest | null>()
  known.set(outline, own)
  const key = `${along} ${radius}`
  if (!own.has(key)) own.set(key, restOn(along ? spun(outline, 90) : outline, radius))
  return own.get(key)!
}

/** What lies on the board, each on the two pins that bear it best. @param d diameter of the pins, on the trail as `thickness:rod`; mm */
export function lyingOn(input: PlanInput, trail: Trail, d: number): { lying: Lying[]; refusals: Refusal[] } {
  const lying: Lying[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const seated = seatTool(
      input,
      order,
      (_, tool) => envelopeOf(tool),
      'is not flat: it has no outline to set pins to.',
    )
    if ('says' in seated) {
      refusals.push(seated)
      continue
    }
    const { tool } = seated
    const best = WAYS[optionOf(choices, input, 'lay')]!.map((along) => ({
      along,
      rest: restKnown(seated.envelope.outline, along, d / 2),
    }))
      .filter((way): way is { along: boolean; rest: Rest } => way.rest !== null)
      .sort((a, b) => b.rest.worth - a.rest.worth)[0]
    if (best) lying.push(one(input, trail, order, seated.tool, seated.envelope.outline, best, lying.length + 1, d))
    else refusals.push({ id: `rolls:${order.id}`, says: `${tool.name} is left out: no two pins under it hold it so that it neither slides nor rolls off. Let it lie another way, or take its outline the way up in which its heavy end hangs.`, tool: tool.id, seats: [order.id] }) // prettier-ignore
  }
  return { lying, refusals }
}

function envelopeOf(tool: Tool): { outline: Outline } | { missing: string[] } | null {
  const missing = lacksForOutline(tool)
  if (!missing) return null
  return missing.length > 0 ? { missing } : { outline: outlineOf(tool) }
}

function one(
  input: PlanInput,
  trail: Trail,
  order: SeatOrder,
  tool: Tool,
  outline: Outline,
  { along, rest }: { along: boolean; rest: Rest },
  place: number,
  d: number,
): Lying {
  const box = outlineBounds(along ? spun(outline, 90) : outline)
  const pins = [rest.left.pin, rest.right.pin]
  const [minX, maxX] = [Math.min(box.minX, ...pins.map((p) => p.x - d / 2)), Math.max(box.maxX, ...pins.map((p) => p.x + d / 2))] // prettier-ignore
  const [minY, maxY] = [Math.min(box.minY, ...pins.map((p) => p.y - d / 2)), box.maxY]
  const thickness: Measured = {
    value: tool.measures[THICK[tool.kind]!]!,
    expression: `{${THICK[tool.kind]}}`,
    moves: {},
  }
  const thick = measuredFigure(trail, order, tool, 'thick', `Thickness of ${place}`, thickness, sizeRule)
  const half = trail.derive(`half:${order.id}`, `Half of what ${place} takes along`, (maxX - minX) / 2, reachRule, `[${maxX - minX} mm] / 2`) // prettier-ignore
  trail.derive(`arm:${order.id}`, `Load ${place} from the board`, thickness.value / 2, armRule, `{${thick}} / 2`) // prettier-ignore
  const keep = settingOf(input, trail, 'frontKeep')
  const out = trail.derive(`out:${order.id}`, `Pins ${place} stand out`, thickness.value + keep, outRule, `{${thick}} + {frontKeep}`, { print: 'up' }) // prettier-ignore
  return {
    seat: order.id,
    order,
    tool,
    place,
    left: half,
    right: half,
    rest,
    along,
    middle: { x: (minX + maxX) / 2, y: (minY + maxY) / 2 },
    high: maxY - minY,
    box,
    thick: thickness.value,
    out,
    ids: { left: `half:${order.id}`, right: `half:${order.id}`, thick, arm: `arm:${order.id}`, out: `out:${order.id}`, mass: massFigure(trail, tool) }, // prettier-ignore
  }
}
