import { carriedMass } from '../../footprint/tool'
import { MODEL_VERSION, type Board, type BoughtPart, type Joint, type Seat } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import type { Plan, PlanInput, PlannedModel, Refusal } from '../form'
import { backBoard, plainBoard } from '../plain-board'
import { NO_STOCK, stocksFor } from '../stocks'
import { tiltOf } from '../tilting'
import { STRONG_MAGNETS } from './caution'
import { choices } from './choices'
import { column, columnHigh, discsClash, discsIn, ledgeOverDiscs, type Discs } from './discs'
import { heldBy, type Held } from './held'
import { leanBack } from './lean-back'
import { ledgeRows, ledgesDown, type LedgeRow } from './rows'
import { backHighRule, lineRule } from './rules'
import { boughtStrips, ledgeBehindStrip, stripOn, stripsAlong, type Strip } from './strip'

/** Plans a magnet ledge: an upright board with discs sunk from behind or strips screwed on, on a back or between two cheeks. */
export function planMagnetLedge(input: PlanInput): Plan {
  const trail = new Trail()
  const { shop } = input
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['ledge', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const thick = stocks.ledge.thickness
  const magnets = optionOf(choices, input, 'magnets') === 'strip' ? stripOn(input, trail) : discsIn(input, trail, thick)
  if (!('kind' in magnets)) return refuse(magnets)
  settingOf(input, trail, 'web')
  const face = magnets.kind === 'strip' ? 'face' : 'thickness:ledge'
  const tilt = tiltOf(choices, input, trail)
  const behind = trail.get(face).value + stocks.back.thickness
  const found = heldBy(input, trail, { tilt, behind, magnets: magnets.kind })
  const { held, refusals } = withoutShort(found, (all) => highOf(trail, magnets, all))
  if (held.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No tools in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const { rows: laid, length: taken } = ledgeRows(input, trail, held)
  const along = magnets.kind === 'strip' ? stripsAlong(trail, magnets, taken) : { each: 0, length: taken, id: 'length' }
  const { length, id: longAs } = along
  if (length > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The ledge would be ${formatLength(length, shop)} long. Split the tools over several holders.` }) // prettier-ignore
  const height = magnets.kind === 'strip' ? ledgeBehindStrip(trail, magnets) : ledgeOverDiscs(trail, magnets, held)
  const line = trail.derive('line', 'Lower edge to the middle of the magnets', height / 2, lineRule, '{height} / 2')
  const rows = ledgesDown(trail, laid)
  const clash = magnets.kind === 'strip' ? null : rows.map((row) => discsClash(row.held, row.centres, { hole: magnets.hole, length })).find((c) => c !== null) // prettier-ignore
  if (clash) return refuse(...refusals, clash)

  const ledge = ({ held: own, centres, id, name, down }: LedgeRow): Board =>
    plainBoard(stocks.ledge, {
      id,
      name,
      role: 'bar',
      length,
      width: height,
      openings: magnets.kind === 'strip' ? [] : own.flatMap((h, i) => column(trail, magnets, h, centres[i]!)),
      placement: { lies: 'upright', at: { x: 0, y: stocks.back.thickness, z: -line - down } },
      figures: { length: longAs, width: 'height', thickness: 'thickness:ledge' },
    })
  const ledges = rows.map(ledge)
  const lowest = rows.at(-1)!.down
  if (rows.length > 1) trail.derive('backHigh', 'Height of the back', height + lowest, backHighRule, `{height} + ${rows.length - 1} × {rowPitch}`) // prettier-ignore
  const back = backBoard(stocks.back, {
    length,
    width: height + lowest,
    low: -line - lowest,
    as: { length: longAs, width: rows.length > 1 ? 'backHigh' : 'height' },
  })
  const tb = stocks.back.thickness
  const out = tb + trail.get(face).value
  const level: PlannedModel = {
    version: MODEL_VERSION,
    form: 'magnet-ledge',
    name: input.holder.name,
    boards: [...ledges, back],
    rods: [],
    bought: [
      magnets.kind === 'strip'
        ? boughtStrips(trail, magnets, rows, { ...along, out: tb + thick, stock: stocks.ledge })
        : sunkDiscs(magnets, ledges, held),
    ],
    reach: { value: out, formula: `{thickness:back} + {${face}}` },
    joints: ledges.map((l, i): Joint => ({ order: i + 1, parts: ['back', l.id], glued: true, by: 'screws', fixing: `${FIRST[magnets.kind]}; glue, and screws from behind through the back into the ledge${magnets.kind === 'discs' ? ', clear of the discs' : ''}` })), // prettier-ignore
    fasteners: [],
    seats: rows.flatMap((row) => row.held.map((h, i) => seat(h, row, row.centres[i]!, out, face))),
  }
  return {
    trail,
    refusals,
    model: tilt === 0 ? level : leanBack(trail, level, rows, { tilt, face, first: FIRST[magnets.kind] }),
  }
}

/** What is done to a ledge before it is fixed. */
const FIRST = {
  discs: 'The discs in their holes first, all the same way up, with a drop of epoxy',
  strip: 'The strip on the ledge’s front first, its own screws through its holes, the end faces flush',
}

const sunkDiscs = ({ name, toBuy }: Discs, ledges: readonly Board[], held: readonly Held[]): BoughtPart => ({
  id: 'discs',
  name,
  toBuy,
  count: ledges.reduce((sum, b) => sum + b.openings.length, 0),
  caution: STRONG_MAGNETS,
  seats: held.map((h) => h.order.id),
})

/** How high a ledge would be for these tools, mm. */
const highOf = (trail: Trail, magnets: Discs | Strip, held: readonly Held[]): number => {
  const edge = trail.get('web').value
  return magnets.kind === 'strip'
    ? magnets.row.width + 2 * edge
    : columnHigh(magnets, Math.max(...held.map((h) => h.discs)), edge)
}

const seat = (h: Held, row: LedgeRow, x: number, out: number, face: string): Seat => ({
  id: h.order.id,
  tool: h.tool.id,
  name: h.tool.name,
  place: h.place,
  turn: 0,
  board: row.id,
  opening: h.discs > 0 ? `disc-${h.order.id}-1` : null,
  at: { x: x + h.envelope.origin.x, y: out + h.envelope.origin.y, z: h.envelope.origin.z - row.down },
  extent: { left: h.left + h.envelope.origin.x, right: h.right - h.envelope.origin.x, front: h.thick - h.envelope.origin.y, back: h.envelope.origin.y }, // prettier-ignore
  rests: 'magnet',
  sharp: false,
  mass: carriedMass(h.tool),
  reach: `{thickness:back} + {${face}} + {${h.ids.thick}}`,
  figures: h.discs > 0 ? { ...h.ids, slot: 'discHole', needed: 'discNeeded', neckAcross: 'discDiameter' } : h.ids,
})

/**
 * Tools without those whose blade is shorter than the ledge is high, so that their handle would stand on it: they are
 * named. @param high the height of the ledge that holds them, mm
 */
function withoutShort(
  { held, refusals }: { held: Held[]; refusals: Refusal[] },
  high: (held: readonly Held[]) => number,
): { held: Held[]; refusals: Refusal[] } {
  const height = held.length > 0 ? high(held) : 0
  const short = held.filter((h) => h.tool.kind === 'handled-blade' && h.envelope.flat * 2 < height)
  if (held.length === 0 || short.length === 0) return { held, refusals }
  const left = held.filter((h) => !short.includes(h)).map((h, i) => ({ ...h, place: i + 1 }))
  const told = short.map((h) => ({ id: `short:${h.order.id}`, says: `${h.tool.name} is left out: its blade is shorter than the ledge is high, so that its handle would stand on it.`, tool: h.tool.id, seats: [h.order.id] })) // prettier-ignore
  return { held: left, refusals: [...refusals, ...told] }
}
