import { neededOpening } from '../../fit/bore'
import { routerPasses } from '../../fit/router'
import { neededRule } from '../../fit/rules'
import type { Measured } from '../../footprint/kind'
import { part } from '../../footprint/neck'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import { FIT_SETTING, type Fit } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import { optionOf, settingOf } from '../choice-value'
import { fieldDoubt } from '../doubt'
import type { PlanInput, Refusal } from '../form'
import { doubtFigure, massFigure, measuredFigure } from '../measured-figure'
import { seatTool } from '../seat-tool'
import type { Spot } from '../spread'
import { choices } from './choices'
import { handleRule, kerfRule, plateRule } from './rules'

const NEEDS = ['plateThickness', 'depthHeel', 'length', 'handleThickness'] as const

/** What a bar feels of a saw that hangs by its handle, its plate in a kerf: mm. */
export interface SawEnvelope {
  half: Measured
  /** the plate, or its back */
  thick: Measured
  heel: Measured
  toe: Measured
  length: Measured
}

/** The envelope of a saw; null for what is none. */
export function sawEnvelope({
  kind,
  measures: m,
}: Pick<Tool, 'kind' | 'measures'>): SawEnvelope | { missing: string[] } | null {
  if (kind !== 'handsaw') return null
  const missing = NEEDS.filter((key) => m[key] === undefined)
  if (missing.length > 0) return { missing }
  const backed = (m.spineThickness ?? 0) > m.plateThickness!
  return {
    half: part(m, 'handleThickness', 0.5),
    thick: part(m, backed ? 'spineThickness' : 'plateThickness'),
    heel: part(m, 'depthHeel'),
    toe: part(m, m.depthToe === undefined ? 'depthHeel' : 'depthToe'),
    length: part(m, 'length'),
  }
}

/** A saw on the bar, with the ids of its figures; mm. */
export interface Saw extends Spot {
  order: SeatOrder
  tool: Tool
  kerf: number
  passes: number
  heel: number
  length: number
  ids: Record<
    'left' | 'right' | 'leftDoubt' | 'rightDoubt' | 'neckAcross' | 'needed' | 'slot' | 'heel' | 'length' | 'mass',
    string
  >
}

/** Works out what each seat asks of the bar. Seats whose tool is gone, unmeasured or no saw are left out and named. */
export function saws(input: PlanInput, trail: Trail): { saws: Saw[]; refusals: Refusal[] } {
  const found: Saw[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const seated = seatTool(input, order, (_, tool) => sawEnvelope(tool), 'is no saw: a saw rest can’t hold it.')
    if ('says' in seated) refusals.push(seated)
    else found.push(saw(input, trail, order, seated.tool, seated.envelope, found.length + 1))
  }
  return { saws: found, refusals }
}

function saw(input: PlanInput, trail: Trail, order: SeatOrder, tool: Tool, e: SawEnvelope, place: number): Saw {
  const put = (name: string, label: string, m: Measured, rule = plateRule): string =>
    measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, rule)
  const half = put('half', 'Half the handle', e.half, handleRule)
  const halfDoubt = doubtFigure(input, trail, order, tool, 'half', `Half the handle of ${place}`, e.half)
  const thick = put('thick', 'Plate', e.thick)
  const doubt = fieldDoubt(input, trail, tool, Object.keys(e.thick.moves)[0]!)
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const needed = neededOpening(e.thick.value, doubt.value, settingOf(input, trail, fit))
  const neededId = `needed:${order.id}`
  trail.derive(neededId, `Kerf ${place} must be`, needed, neededRule, `{${thick}} + ${doubt.text} + {${fit}}`, { print: 'up' }) // prettier-ignore
  const cut = kerfFor(input, trail, order, place, needed, neededId)
  const mass = massFigure(trail, tool)
  return {
    seat: order.id,
    order,
    tool,
    place,
    left: e.half.value,
    right: e.half.value,
    heel: e.heel.value,
    length: e.length.value,
    ...cut,
    ids: {
      left: half,
      right: half,
      leftDoubt: halfDoubt,
      rightDoubt: halfDoubt,
      neckAcross: thick,
      needed: neededId,
      slot: `slot:${order.id}`,
      heel: put('heel', 'Plate at its heel', e.heel),
      length: put('length', 'Plate’s length', e.length),
      mass,
    },
  }
}

/** A kerf by the narrowest blade that is wide enough in one pass, else by passes of the widest. */
function kerfFor(
  input: PlanInput,
  trail: Trail,
  order: SeatOrder,
  place: number,
  needed: number,
  neededId: string,
): { kerf: number; passes: number } {
  const blades = input.shop.saws.filter((s) => s.kerf > 0).sort((a, b) => a.kerf - b.kerf)
  const blade = blades.find((s) => s.kerf >= needed - 1e-6) ?? blades.at(-1)
  const label = `Kerf ${place}`
  const id = `slot:${order.id}`
  if (!blade) {
    trail.derive(id, label, needed, kerfRule, `{${neededId}}`, { print: 'up', note: 'sawn to the line' })
    return { kerf: needed, passes: 1 }
  }
  const kerfId = `blade:${blade.id}`
  trail.given(kerfId, `Kerf of ${blade.name}`, blade.kerf, { kind: 'saw', id: blade.id })
  const kerf = Math.max(needed, blade.kerf)
  trail.derive(id, label, kerf, kerfRule, `max({${neededId}}, {${kerfId}})`, { print: 'up', note: blade.name })
  return { kerf, passes: routerPasses(kerf, blade.kerf)!.passes }
}
