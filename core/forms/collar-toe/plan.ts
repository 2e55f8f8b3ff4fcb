import { circle, slotOutline } from '../../geometry/outline'
import { MODEL_VERSION, type Board, type Joint, type Opening } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { seatOnHandle } from '../on-handle'
import { backBoard, plainBoard } from '../plain-board'
import { spreadSpots } from '../spread'
import { NO_STOCK, stocksFor } from '../stocks'
import { choices } from './choices'
import { backRule, cupRule, depthRule, heightRule, lineRule } from './rules'
import { stoodTools, type Stood } from './stood'

/** The collar holds the shortest tool at this part of its length; the rule says so. */
const HELD_AT = 0.6

/** Less than this over the collar is too little to take a tool by, mm. */
const LEAST_ABOVE = 30

/** Plans a collar and a toe: two boards one over the other on a back, with holes in line. */
export function planCollarToe(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['collar', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const { stood: all, refusals } = stoodTools(input, trail)
  if (all.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No tools in this holder yet. Add the first one from those that could join.' })
  }
  const high = collarHeight(input, trail, all)
  const [t, tb] = [stocks.collar.thickness, stocks.back.thickness]
  const short = all.find((s) => s.overall < high + LEAST_ABOVE)
  if (short || high < t + LEAST_ABOVE)
    return refuse(...refusals, { id: 'too high', says: short ? `${short.tool.name} is ${formatLength(short.overall, input.shop)} long: too little of it would stand over a collar ${formatLength(high, input.shop)} up.` : 'The collar is too near to the toe.', ...(short ? { seats: [short.order.id] } : {}) }) // prettier-ignore
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const { centres, length } = spreadSpots(trail, all, optionOf(choices, input, 'pitch') === 'even')
  if (Math.max(length, high) > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The boards would be ${formatLength(length, input.shop)} long. Split the tools over several holders.` }) // prettier-ignore
  const stopped = optionOf(choices, input, 'toe') === 'stop'
  const { cup, floor } = cupOf(input, trail, t, stopped)
  if (cup < 1)
    return refuse(...refusals, { id: 'too thin', says: `A toe of ${formatLength(t, input.shop)} leaves no cup over a floor of ${formatLength(floor, input.shop)}. Take thicker stock, or a hole and a stop.` }) // prettier-ignore
  const { line, depth } = across(input, trail, all)
  const clash = clashing(all, centres, length)
  if (clash) return refuse(...refusals, clash)

  const slotted = optionOf(choices, input, 'collar') === 'slot'
  const flat = (id: string, name: string, z: number, openings: Opening[]): Board =>
    plainBoard(stocks.collar, {
      id,
      name,
      role: id === 'stop' ? 'shelf' : 'block',
      length,
      width: depth,
      openings,
      placement: { lies: 'flat', at: { x: 0, y: tb, z } },
      figures: { length: 'length', width: 'depth', thickness: 'thickness:collar' },
    })
  const collar = flat('collar', 'Collar', 0, all.map((s, i) => hole(s, 'collar', { x: centres[i]!, y: line }, slotted ? depth : null, null))) // prettier-ignore
  const toe = flat('toe', 'Toe', -high, all.map((s, i) => hole(s, 'toe', { x: centres[i]!, y: line }, null, stopped ? null : cup))) // prettier-ignore
  const stop = stopped ? [flat('stop', 'Stop', -high - t, [])] : []
  const low = high + (stopped ? 2 : 1) * t
  const backHigh = trail.derive('backHigh', 'Height of the back', low, backRule, `{collarHeight} + ${stopped ? '2 × ' : ''}{thickness:collar}`) // prettier-ignore
  const back = backBoard(stocks.back, {
    length,
    width: backHigh,
    low: -low,
    as: { length: 'length', width: 'backHigh' },
  })
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'collar-toe',
      name: input.holder.name,
      boards: [collar, toe, ...stop, back],
      rods: [],
      reach: { value: tb + depth, formula: '{thickness:back} + {depth}' },
      joints: joints(stopped),
      fasteners: [],
      seats: all.map((s, i) =>
        seatOnHandle(
          s,
          { x: centres[i]!, y: tb + line, z: -high - cup },
          { board: 'toe', opening: `toe-${s.order.id}` },
        ),
      ),
    },
  }
}

/** From the top of the toe to the top of the collar. */
function collarHeight(input: PlanInput, trail: Trail, all: readonly Stood[]): number {
  const own = input.holder.choices.collarHeight
  if (typeof own === 'number') return trail.given('collarHeight', 'Collar over the toe', own, { kind: 'choice', key: 'collarHeight' }) // prettier-ignore
  const shortest = all.reduce((a, b) => (b.overall < a.overall ? b : a))
  return trail.derive('collarHeight', 'Collar over the toe', HELD_AT * shortest.overall, heightRule, `${HELD_AT} × {${shortest.ids.overall}}`, { note: shortest.tool.name }) // prettier-ignore
}

/** How deep a tool stands in the toe: the cup, or the whole toe over its stop. */
function cupOf(input: PlanInput, trail: Trail, t: number, stopped: boolean): { cup: number; floor: number } {
  const floor = settingOf(input, trail, 'floor')
  if (stopped) return { cup: trail.derive('cupDeep', 'Tools stand in the toe', t, cupRule, '{thickness:collar}'), floor } // prettier-ignore
  const wanted = lengthOf(choices, input, trail, 'cup')
  return { cup: trail.derive('cupDeep', 'Depth of a cup', Math.min(wanted, t - floor), cupRule, 'min({cup}, {thickness:collar} − {floor})', { print: 'down' }), floor } // prettier-ignore
}

/** The one line of centres, and the boards’ depth. */
function across(input: PlanInput, trail: Trail, all: readonly Stood[]): { line: number; depth: number } {
  const clearance = settingOf(input, trail, 'headClearance')
  const keep = settingOf(input, trail, 'frontKeep')
  const [furthest, widest] = [all.reduce((a, b) => (b.out > a.out ? b : a)), all.reduce((a, b) => (b.bore > a.bore ? b : a))] // prettier-ignore
  const line = trail.derive('line', 'Back edge to the line of centres', Math.max(furthest.out + clearance, widest.bore / 2 + keep), lineRule, `max({${furthest.ids.front}} + {headClearance}, {${widest.ids.slot}} / 2 + {frontKeep})`) // prettier-ignore
  const depth = trail.derive('depth', 'Depth of the boards', line + widest.bore / 2 + keep, depthRule, `{line} + {${widest.ids.slot}} / 2 + {frontKeep}`) // prettier-ignore
  return { line, depth }
}

/** A hole for one tool. @param edge where a slot opens, or null; @param depth of a blind one, or null; mm */
const hole = (
  s: Stood,
  on: 'collar' | 'toe',
  centre: { x: number; y: number },
  edge: number | null,
  depth: number | null,
): Opening => ({
  // prettier-ignore
  id: `${on}-${s.order.id}`,
  kind: edge === null ? 'bore' : 'slot',
  seat: s.order.id,
  centre,
  width: s.bore,
  radius: s.bore / 2,
  outline: edge === null ? circle(centre.x, centre.y, s.bore / 2) : slotOutline(centre, s.bore, edge),
  opensTo: edge === null ? null : 'front',
  depth,
  slant: 0,
  cut: 'bored',
  dust: null,
  bores: s.bit ? [{ centre, diameter: s.bore, bit: s.bit.diameter }] : [],
  figures: { x: `x:${s.order.id}`, y: 'line', width: s.ids.slot, end: s.ids.slot, ...(depth === null ? {} : { depth: 'cupDeep' }) }, // prettier-ignore
})

const joints = (stopped: boolean): Joint[] => {
  const behind = 'Glue, and screws from behind through the back into the back edge, clear of the holes'
  const all = [
    ...(stopped ? [{ parts: ['stop', 'toe'] as [string, string], fixing: 'Glue, and screws from below through the stop, clear of the holes' }] : []), // prettier-ignore
    { parts: ['back', 'collar'] as [string, string], fixing: behind },
    { parts: ['back', 'toe'] as [string, string], fixing: behind },
  ]
  return all.map((joint, i) => ({ order: i + 1, ...joint, glued: true, by: 'screws' as const }))
}

/** Holes that run into each other or out of the ends are refused, not drawn. */
function clashing(all: readonly Stood[], centres: readonly number[], length: number): Refusal | null {
  for (const [i, s] of all.entries()) {
    const before = all[i - 1]
    const left = before ? centres[i]! - centres[i - 1]! - (s.bore + before.bore) / 2 : centres[i]! - s.bore / 2
    const right = i === all.length - 1 ? length - centres[i]! - s.bore / 2 : 1
    if (left < 1e-6 || right < 1e-6)
      return { id: 'overlap', says: `The holes of ${s.place} (${s.tool.name}) would run into the next ones or out of the end. Widen the gap or the margin.`, seats: [s.order.id] } // prettier-ignore
  }
  return null
}
