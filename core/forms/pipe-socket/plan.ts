import { shortSide, pipePair } from '../../fit/pipe'
import { circle } from '../../geometry/outline'
import { MODEL_VERSION, type Board, type Joint, type Opening, type Rod } from '../../model/model'
import { rippingSaw } from '../../shop/usual-choice'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { seatOnHandle } from '../on-handle'
import { backBoard, plainBoard } from '../plain-board'
import { rodHole, type RodHole } from '../rod-hole'
import { spreadSpots } from '../spread'
import { stocksFor } from '../stocks'
import { boreOfPipe, choices } from './choices'
import { backRule, boreRule, collarRule, depthRule, lengthRule, lineRule, lowRule, pairRule } from './rules'
import { inPipes, type InPipe } from './stood'

/** Less than this over a pipe is too little to take a tool by, mm. */
const LEAST_ABOVE = 30

/** Plans pipe sockets: pipes through a collar and a toe onto a stop, all three on a back; their mouths cut at a slant. */
export function planPipeSocket(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['pipe', 'collar', 'back'])
  if (!stocks)
    return refuse({ id: 'stock', says: 'The shop has no pipe or no boards to make this from. Add them under the shop’s settings.' }) // prettier-ignore
  const { pipe } = stocks
  const bore = boreOfPipe(pipe)
  if (bore === null)
    return refuse({ id: 'wall', says: `How thick the wall of ${pipe.name} is is not known, so neither is what goes into it. Write it with the pipe, under the shop’s boards.` }) // prettier-ignore
  trail.given('pipeWall', 'Wall of the pipe', pipe.wall!, { kind: 'stock', id: pipe.id, key: 'wall' }, { note: pipe.name }) // prettier-ignore
  trail.derive('pipeBore', 'Bore of the pipe', bore, boreRule, '{thickness:pipe} − 2 × {pipeWall}', { print: 'down' })
  const { stood: all, refusals } = inPipes(input, trail)
  if (all.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No tools in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const { centres, length } = spreadSpots(trail, all, optionOf(choices, input, 'pitch') === 'even')
  const up = heights(input, trail, all, pipe.thickness)
  const [t, tb] = [stocks.collar.thickness, stocks.back.thickness]
  if (Math.max(length, up.long) > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The boards would be ${formatLength(length, input.shop)} long. Split the tools over several holders.` }) // prettier-ignore
  if (up.collar < 2 * t + LEAST_ABOVE)
    return refuse(...refusals, { id: 'too short', says: 'The pipes are too short: the collar would lie on the toe. Make them longer, or their mouths less slanted.' }) // prettier-ignore
  const short = all.find((s) => s.overall < up.long + LEAST_ABOVE)
  if (short)
    return refuse(...refusals, { id: 'too high', says: `${short.tool.name} is ${formatLength(short.overall, input.shop)} long: too little of it would stand over a pipe of ${formatLength(up.long, input.shop)}.`, seats: [short.order.id] }) // prettier-ignore
  const { line, depth } = across(input, trail, all, pipe.thickness)
  const hole = rodHole(input, trail, pipe.thickness, 'thickness:pipe')
  const clash = clashing(all, centres, length, hole.diameter)
  if (clash) return refuse(...refusals, clash)

  const flat = (id: string, name: string, z: number): Board =>
    plainBoard(stocks.collar, {
      id,
      name,
      role: id === 'stop' ? 'shelf' : 'block',
      length,
      width: depth,
      openings: id === 'stop' ? [] : all.map((s, i) => holeFor(s, id, { x: centres[i]!, y: line }, hole)),
      placement: { lies: 'flat', at: { x: 0, y: tb, z } },
      figures: { length: 'length', width: 'depth', thickness: 'thickness:collar' },
    })
  const high = trail.derive('backHigh', 'Height of the back', up.collar + t, backRule, '{collarHeight} + {thickness:collar}', { print: 'up' }) // prettier-ignore
  const back = backBoard(stocks.back, { length, width: high, low: -high, as: { length: 'length', width: 'backHigh' } })
  const rods = all.map((s, i): Rod => ({
    id: `pipe-${s.order.id}`,
    name: `Pipe ${s.place}`,
    role: 'pipe',
    material: pipe.material,
    stock: pipe.id,
    diameter: pipe.thickness,
    length: up.long,
    at: { x: centres[i]!, y: tb + line, z: -up.collar },
    toward: { x: 0, y: 0, z: 1 },
    pipe: { bore, slant: up.slant },
    seats: [s.order.id],
    figures: { length: 'pipeLength', diameter: 'thickness:pipe', ...(up.slant > 0 ? { low: 'pipeLow' } : {}) },
  }))
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'pipe-socket',
      name: input.holder.name,
      boards: [flat('collar', 'Collar', 0), flat('toe', 'Toe', t - up.collar), flat('stop', 'Stop', -up.collar), back],
      rods,
      reach: { value: tb + depth, formula: '{thickness:back} + {depth}' },
      joints: joints(rods),
      fasteners: [],
      seats: all.map((s, i) =>
        seatOnHandle(s, { x: centres[i]!, y: tb + line, z: -up.collar }, { board: 'stop', opening: null }),
      ),
    },
  }
}

/** A pipe's long side, the slant of its mouth, and how high the collar's top stands over the stop; mm and degrees. */
function heights(
  input: PlanInput,
  trail: Trail,
  all: readonly InPipe[],
  diameter: number,
): { long: number; slant: number; collar: number } {
  const slant = Number(optionOf(choices, input, 'mouth'))
  trail.given('slant', 'Slant of the mouths', slant, { kind: 'choice', key: 'mouth' }, { quantity: 'angle' })
  const own = input.holder.choices.pipeLength
  const longest = all.reduce((a, b) => (b.overall > a.overall ? b : a))
  const share = settingOf(input, trail, 'blindShare')
  const long =
    typeof own === 'number'
      ? trail.given('pipeLength', 'Pipe, long side', own, { kind: 'choice', key: 'pipeLength' }, { note: 'this holder’s own' }) // prettier-ignore
      : trail.derive('pipeLength', 'Pipe, long side', Math.max(share * longest.overall, 3 * diameter), lengthRule, `max({blindShare} × {${longest.ids.overall}}, 3 × {thickness:pipe})`, { print: 'up' }) // prettier-ignore
  const low = trail.derive('pipeLow', 'Pipe, short side', shortSide(long, diameter, slant), lowRule, '{pipeLength} − {thickness:pipe} × tan({slant})') // prettier-ignore
  const blade = rippingSaw(input.shop)
  if (all.length > 1 && slant > 0 && blade) {
    trail.given('kerf', `Kerf of ${blade.name}`, blade.kerf, { kind: 'saw', id: blade.id })
    trail.derive('pipePair', 'Piece for two pipes', pipePair(long, diameter, slant, blade.kerf), pairRule, '2 × {pipeLength} − {thickness:pipe} × tan({slant}) + {kerf} / cos({slant})', { print: 'up' }) // prettier-ignore
  }
  const lip = lengthOf(choices, input, trail, 'lip')
  const collar = trail.derive('collarHeight', 'Collar over the stop', low - lip, collarRule, '{pipeLow} − {lip}')
  return { long, slant, collar }
}

/** The one line of centres, and the boards' depth. */
function across(
  input: PlanInput,
  trail: Trail,
  all: readonly InPipe[],
  diameter: number,
): { line: number; depth: number } {
  const clearance = settingOf(input, trail, 'headClearance')
  const keep = settingOf(input, trail, 'frontKeep')
  const furthest = all.reduce((a, b) => (b.out > a.out ? b : a))
  const line = trail.derive('line', 'Back edge to the line of pipes', Math.max(furthest.out + clearance, diameter / 2 + keep), lineRule, `max({${furthest.ids.front}} + {headClearance}, {thickness:pipe} / 2 + {frontKeep})`) // prettier-ignore
  const depth = trail.derive('depth', 'Depth of the boards', line + diameter / 2 + keep, depthRule, '{line} + {thickness:pipe} / 2 + {frontKeep}') // prettier-ignore
  return { line, depth }
}

const holeFor = (s: InPipe, on: string, centre: { x: number; y: number }, hole: RodHole): Opening => {
  const bores = hole.bores(centre)
  return {
    id: `${on}-${s.order.id}`,
    kind: 'bore',
    seat: null,
    lets: 'a pipe',
    centre,
    width: hole.diameter,
    radius: hole.diameter / 2,
    outline: circle(centre.x, centre.y, hole.diameter / 2),
    opensTo: null,
    depth: null,
    slant: 0,
    dust: null,
    cut: bores.length > 0 ? 'bored' : 'sawn',
    bores,
    figures: { x: `x:${s.order.id}`, y: 'line', width: hole.figure, end: hole.figure },
  }
}

/** The stop onto the toe, the three onto the back, and the pipes through collar and toe onto the stop. */
function joints(pipes: readonly Rod[]): Joint[] {
  const behind = 'Glue, and screws from behind through the back into the back edge, clear of the holes'
  const screwed = (parts: [string, string], fixing: string) => ({ parts, glued: true, by: 'screws' as const, fixing })
  return [
    screwed(['stop', 'toe'], 'Glue, and screws from below through the stop, clear of the holes'),
    screwed(['back', 'collar'], behind),
    screwed(['back', 'toe'], behind),
    ...pipes.map((p) => ({ parts: ['collar', p.id] as [string, string], glued: false, by: 'socket' as const, fixing: 'Pushed through the collar and the toe onto the stop, the low side of its mouth in front; a sliver of wood beside it keeps it from turning' })), // prettier-ignore
  ].map((joint, i) => ({ order: i + 1, ...joint }))
}

/** Holes that run into each other or out of the ends are refused, not drawn. */
function clashing(all: readonly InPipe[], centres: readonly number[], length: number, width: number): Refusal | null {
  const i = all.findIndex((_, n) => {
    const before = n === 0 ? centres[n]! - width / 2 : centres[n]! - centres[n - 1]! - width
    return before < 1e-6 || centres[n]! + width / 2 > length - 1e-6
  })
  if (i < 0) return null
  const { place, tool, order } = all[i]!
  return { id: 'overlap', says: `The pipe of ${place} (${tool.name}) would run into the next one or out of the boards’ end. Widen the gap or the margin.`, seats: [order.id] } // prettier-ignore
}
