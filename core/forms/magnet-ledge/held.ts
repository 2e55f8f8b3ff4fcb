import { GRAVITY, GRAVITY_TEXT } from '../../units/gravity'
import type { Measured } from '../../footprint/kind'
import { carriedMass, type Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import type { Trail } from '../../working/trail'
import { formatLength } from '../../units/format-length'
import { optionOf, settingOf } from '../choice-value'
import type { PlanInput, Refusal } from '../form'
import { massFigure, measuredFigure } from '../measured-figure'
import { seatTool } from '../seat-tool'
import type { Spot } from '../spread'
import { cosine, sine } from '../tilting'
import { choices } from './choices'
import type { Discs } from './discs'
import { acrossRule, countRule, extentRule, mostRule, shareRule, stripPullRule, thickRule } from './rules'
import { behindFace, stickEnvelope, type StickEnvelope } from './sticking'
import type { Strip } from './strip'

/** A tool on the ledge; mm, with the ids of its figures. */
export interface Held extends Spot {
  order: SeatOrder
  tool: Tool
  envelope: StickEnvelope
  /** discs under it; none on a strip */
  discs: number
  up: number
  down: number
  thick: number
  ids: Record<'left' | 'right' | 'up' | 'down' | 'thick' | 'mass' | 'pull', string> & { discs?: string }
}

/** Everything of a ledge that its tools are held by, before its height is known. */
export interface LedgeFacts {
  /** degrees */
  tilt: number
  /** wood behind the ledge’s face up to the wall, mm */
  behind: number
  magnets: (Discs | Strip)['kind']
}

/**
 * Works out how many discs each tool wants. Seats whose tool is gone, unmeasured or no steel, or whose handle is too thick
 * to lie against the ledge, are left out and named. The magnets' figures must be on the trail.
 */
export function heldBy(input: PlanInput, trail: Trail, facts: LedgeFacts): { held: Held[]; refusals: Refusal[] } {
  const found: Held[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const seated = seatTool(input, order, (_, tool) => stickEnvelope(tool), 'does not stick to a magnet.')
    if ('says' in seated) {
      refusals.push(seated)
      continue
    }
    const { tool, envelope } = seated
    const room = facts.behind - input.shop.settings.headClearance
    if (behindFace(tool, envelope) > room + 1e-6) {
      const says = `${tool.name} is left out: its handle reaches ${formatLength(behindFace(tool, envelope), input.shop, 'up')} behind its blade, into the wall. Take a thicker ledge.`
      refusals.push({ id: `behind:${order.id}`, says, tool: tool.id, seats: [order.id] })
      continue
    }
    found.push(held(input, trail, order, tool, envelope, found.length + 1, facts))
  }
  if (facts.magnets === 'discs' && optionOf(choices, input, 'discs') === 'most' && found.length > 0) {
    const most = found.reduce((a, b) => (b.discs > a.discs ? b : a))
    trail.derive('discsAll', 'Discs under each', most.discs, mostRule, `{${most.ids.discs!}}`, { quantity: 'count', note: most.tool.name }) // prettier-ignore
    for (const h of found) {
      h.discs = most.discs
      h.ids = { ...h.ids, discs: 'discsAll' }
    }
  }
  return { held: found, refusals }
}

function held(
  input: PlanInput,
  trail: Trail,
  order: SeatOrder,
  tool: Tool,
  e: StickEnvelope,
  place: number,
  { magnets, tilt }: LedgeFacts,
): Held {
  const put = (name: string, label: string, m: Measured, rule = extentRule): string =>
    measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, rule)
  const mass = massFigure(trail, tool)
  const ids = {
    left: put('left', 'Left extent', e.left),
    right: put('right', 'Right extent', e.right),
    up: put('up', 'Reach up', e.up),
    down: put('down', 'Reach down', e.down),
    thick: put('thick', 'Thickness', e.thick, thickRule),
    mass,
    pull: `pull:${order.id}`,
  }
  const thin = e.steel !== null && e.steel.value < settingOf(input, trail, 'thinSteelUnder')
  const parts = [...(e.round ? (['roundSteel'] as const) : []), ...(thin ? (['thinSteel'] as const) : [])]
  const share = parts.reduce((all, key) => all * settingOf(input, trail, key), 1)
  const shares = parts.map((p) => ` × {${p}}`).join('')
  const seen = { order, tool, place, envelope: e, left: e.left.value, right: e.right.value, up: e.up.value, down: e.down.value, thick: e.thick.value } // prettier-ignore
  if (magnets === 'strip') {
    const across = put('touch', 'Width across the strip', e.across, acrossRule)
    trail.derive(ids.pull, `Pull of the strip on ${place}`, (trail.get('barPull').value * e.across.value * share) / 100, stripPullRule, `{barPull} × {${across}} / [100 mm]${shares}`, { quantity: 'force', print: 'down' }) // prettier-ignore
    return { ...seen, seat: order.id, discs: 0, ids }
  }
  const pull = trail.derive(ids.pull, `Pull of a disc on ${place}`, trail.get('discPull').value * share, shareRule, `{discPull}${shares}`, { quantity: 'force', print: 'down' }) // prettier-ignore
  const wanted = wantedDiscs(input, trail, { id: order.id, place, mass: carriedMass(tool), massId: mass, pull, pullId: ids.pull, tilt }) // prettier-ignore
  // beyond where the tool lies flat a disc does nothing
  const useful = Math.max(1, Math.floor((2 * e.flat) / trail.get('discPitch').value))
  const discs = Math.min(Math.max(1, Math.ceil(wanted - 1e-9)), useful)
  const count = `discs:${order.id}`
  trail.derive(count, `Discs under ${place}`, discs, countRule, `${discs}${carriedMass(tool) === null || discs < wanted ? '' : ` ≥ {discsWanted:${order.id}}`}`, { quantity: 'count', note: discs < wanted ? 'no more lie flat under it' : '' }) // prettier-ignore
  return { ...seen, seat: order.id, discs, ids: { ...ids, discs: count } }
}

interface Wanted {
  id: string
  place: number
  mass: number | null
  massId: string
  pull: number
  pullId: string
  tilt: number
}

/** How many discs hold a tool so many times over; one where it was not weighed. */
function wantedDiscs(input: PlanInput, trail: Trail, { id, place, mass, massId, pull, pullId, tilt }: Wanted): number {
  if (mass === null) return 1
  const [mu, spare] = [settingOf(input, trail, 'magnetFriction'), settingOf(input, trail, 'magnetSpare')]
  const weight = mass * GRAVITY
  const value = (2 * spare * weight * cosine(tilt)) / mu / pull - (weight * sine(tilt)) / pull
  const leaning = tilt === 0 ? '' : ' × cos({tilt})'
  const pressing = tilt === 0 ? '' : ` − {${massId}} × ${GRAVITY_TEXT} × sin({tilt}) / {${pullId}}`
  return trail.derive(`discsWanted:${id}`, `Discs wanted under ${place}`, value, countRule, `2 × {magnetSpare} × {${massId}} × ${GRAVITY_TEXT}${leaning} / {magnetFriction} / {${pullId}}${pressing}`, { quantity: 'ratio', print: 'up' }) // prettier-ignore
}
