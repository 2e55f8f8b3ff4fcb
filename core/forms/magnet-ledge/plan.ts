import { boredBy, chooseBit } from '../../fit/bore'
import { circle } from '../../geometry/outline'
import { MODEL_VERSION, type Board, type Joint, type Opening, type Seat } from '../../model/model'
import type { Bit } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { holeOf } from '../bit-hole'
import { lengthOf, settingOf } from '../choice-value'
import type { Plan, PlanInput, PlannedModel, Refusal } from '../form'
import { plainBoard } from '../plain-board'
import { NO_STOCK, stocksFor } from '../stocks'
import { tiltOf } from '../tilting'
import { choices } from './choices'
import { heldBy, type Held } from './held'
import { leanBack } from './lean-back'
import { ledgeRows, ledgesDown, type LedgeRow } from './rows'
import { backHighRule, depthRule, discRule, heightRule, holeRule, lineRule, pitchRule } from './rules'

/** Plans a magnet ledge: an upright board with discs sunk from behind, on a back or between two cheeks. */
export function planMagnetLedge(input: PlanInput): Plan {
  const trail = new Trail()
  const { shop } = input
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['ledge', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const cover = lengthOf(choices, input, trail, 'cover')
  const thick = stocks.ledge.thickness
  const magnet = shop.magnets.find((m) => !m.toBuy) ?? shop.magnets[0]
  if (!magnet) return refuse({ id: 'magnets', says: 'The shop has no magnets. Add the discs you have, or mean to buy, under the shop’s settings.' }) // prettier-ignore
  const sized = (id: string, label: string, key: 'diameter' | 'thickness' | 'remanence'): number => trail.given(id, label, magnet[key], { kind: 'magnet', id: magnet.id, key }, { note: magnet.name, ...(key === 'remanence' ? { quantity: 'ratio' } : {}) }) // prettier-ignore
  const [d, t] = [
    sized('discDiameter', 'Disc, diameter', 'diameter'),
    sized('discThickness', 'Disc, thickness', 'thickness'),
  ]
  sized('discBr', 'Disc, remanence, T', 'remanence')
  if (cover + t > thick + 1e-6)
    return refuse({ id: 'too thin', says: `A ledge of ${formatLength(thick, shop)} is too thin for a disc of ${formatLength(t, shop)} under a cover of ${formatLength(cover, shop)}.` }) // prettier-ignore
  const depth = trail.derive('discDepth', 'Depth of a disc’s hole', thick - cover, depthRule, '{thickness:ledge} − {cover}', { print: 'down' }) // prettier-ignore
  const needed = trail.derive('discNeeded', 'Hole needed for a disc', d + settingOf(input, trail, 'discPlay'), holeRule, '{discDiameter} + {discPlay}', { print: 'up' }) // prettier-ignore
  const bit = chooseBit({ needed, bits: shop.bits })
  const hole = trail.derive('discHole', 'Hole of a disc', bit ? boredBy(bit) : needed, holeRule, bit ? `{${holeOf(input, trail, bit)}} ≥ {discNeeded}` : '{discNeeded}', { print: 'up' }) // prettier-ignore
  const gap = settingOf(input, trail, 'discGap')
  const pitch = trail.derive('discPitch', 'From disc to disc', hole + gap, pitchRule, '{discHole} + {discGap}')

  const tilt = tiltOf(choices, input, trail)
  const found = heldBy(input, trail, { tilt, behind: thick + stocks.back.thickness, magnet })
  const edge = settingOf(input, trail, 'web')
  const { held, refusals } = withoutShort(found, (most) => (most - 1) * pitch + hole + 2 * edge)
  if (held.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No tools in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const { rows: laid, length } = ledgeRows(input, trail, held)
  if (length > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The ledge would be ${formatLength(length, shop)} long. Split the tools over several holders.` }) // prettier-ignore
  const most = held.reduce((a, b) => (b.discs > a.discs ? b : a))
  const height = trail.derive('height', 'Ledge height', (most.discs - 1) * pitch + hole + 2 * edge, heightRule, `({${most.ids.discs}} − 1) × {discPitch} + {discHole} + 2 × {web}`, { print: 'up', note: most.tool.name }) // prettier-ignore
  const line = trail.derive('line', 'Lower edge to the middle of the discs', height / 2, lineRule, '{height} / 2')
  const rows = ledgesDown(trail, laid)
  const clash = rows.map((row) => clashing(row.held, row.centres, { hole, length })).find((c) => c !== null)
  if (clash) return refuse(...refusals, clash)

  const ledge = ({ held: own, centres, id, name, down }: LedgeRow): Board =>
    plainBoard(stocks.ledge, {
      id,
      name,
      role: 'bar',
      length,
      width: height,
      openings: own.flatMap((h, i) => column(trail, h, { x: centres[i]!, line, pitch, hole, depth, bit })),
      placement: { lies: 'upright', at: { x: 0, y: stocks.back.thickness, z: -line - down } },
      figures: { length: 'length', width: 'height', thickness: 'thickness:ledge' },
    })
  const ledges = rows.map(ledge)
  const lowest = rows.at(-1)!.down
  if (rows.length > 1) trail.derive('backHigh', 'Height of the back', height + lowest, backHighRule, `{height} + ${rows.length - 1} × {rowPitch}`) // prettier-ignore
  const back = plainBoard(stocks.back, {
    id: 'back',
    name: 'Back',
    role: 'back',
    length,
    width: height + lowest,
    placement: { lies: 'upright', at: { x: 0, y: 0, z: -line - lowest } },
    figures: { length: 'length', width: rows.length > 1 ? 'backHigh' : 'height', thickness: 'thickness:back' },
  })
  const tb = stocks.back.thickness
  const count = ledges.reduce((sum, b) => sum + b.openings.length, 0)
  const level: PlannedModel = {
    version: MODEL_VERSION,
    form: 'magnet-ledge',
    name: input.holder.name,
    boards: [...ledges, back],
    rods: [],
    bought: [{ id: 'discs', name: magnet.name, toBuy: magnet.toBuy, count, seats: held.map((h) => h.order.id) }], // prettier-ignore
    reach: { value: tb + thick, formula: '{thickness:back} + {thickness:ledge}' },
    joints: ledges.map((l, i): Joint => ({ order: i + 1, parts: ['back', l.id], glued: true, by: 'screws', fixing: 'The discs in their holes first, all the same way up, with a drop of epoxy; then glue, and screws from behind through the back into the ledge, clear of the discs' })), // prettier-ignore
    fasteners: [],
    seats: rows.flatMap((row) => row.held.map((h, i) => seat(h, row, row.centres[i]!, tb + thick))),
  }
  return { trail, refusals, model: tilt === 0 ? level : leanBack(trail, level, rows, tilt) }
}

/** The discs under one tool, one over the other about the line. */
function column(
  trail: Trail,
  h: Held,
  { x, line, pitch, hole, depth, bit }: { x: number; line: number; pitch: number; hole: number; depth: number; bit: Bit | null }, // prettier-ignore
): Opening[] {
  return Array.from({ length: h.discs }, (_, n): Opening => {
    const off = n - (h.discs - 1) / 2
    const id = `disc-${h.order.id}-${n + 1}`
    const y = line + off * pitch
    const figure = off === 0 ? 'line' : `y:${id}`
    if (off !== 0) trail.derive(figure, `Disc ${n + 1} of ${h.place} from the lower edge`, y, discRule, `{line} + ${off} × {discPitch}`) // prettier-ignore
    return {
      id,
      kind: 'bore',
      seat: h.order.id,
      centre: { x, y },
      width: hole,
      radius: hole / 2,
      outline: circle(x, y, hole / 2),
      opensTo: null,
      depth,
      slant: 0,
      dust: null,
      cut: 'bored',
      bores: bit ? [{ centre: { x, y }, diameter: hole, bit: bit.diameter }] : [],
      figures: { x: `x:${h.order.id}`, y: figure, width: 'discHole', end: 'discHole', depth: 'discDepth' },
    }
  })
}

const seat = (h: Held, row: LedgeRow, x: number, face: number): Seat => ({
  id: h.order.id,
  tool: h.tool.id,
  name: h.tool.name,
  place: h.place,
  turn: 0,
  board: row.id,
  opening: `disc-${h.order.id}-1`,
  at: { x: x + h.envelope.origin.x, y: face + h.envelope.origin.y, z: h.envelope.origin.z - row.down },
  extent: { left: h.left + h.envelope.origin.x, right: h.right - h.envelope.origin.x, front: h.thick - h.envelope.origin.y, back: h.envelope.origin.y }, // prettier-ignore
  rests: 'magnet',
  sharp: false,
  mass: h.tool.mass,
  reach: `{thickness:back} + {thickness:ledge} + {${h.ids.thick}}`,
  figures: { ...h.ids, slot: 'discHole', needed: 'discNeeded', neckAcross: 'discDiameter' },
})

/**
 * Tools without those whose blade is shorter than the ledge is high, so that their handle would stand on it: they are
 * named. @param high the height of a ledge with so many discs in a column, mm
 */
function withoutShort(
  { held, refusals }: { held: Held[]; refusals: Refusal[] },
  high: (most: number) => number,
): { held: Held[]; refusals: Refusal[] } {
  const height = high(Math.max(...held.map((h) => h.discs)))
  const short = held.filter((h) => h.tool.kind === 'handled-blade' && h.envelope.flat * 2 < height)
  if (held.length === 0 || short.length === 0) return { held, refusals }
  const left = held.filter((h) => !short.includes(h)).map((h, i) => ({ ...h, place: i + 1 }))
  const told = short.map((h) => ({ id: `short:${h.order.id}`, says: `${h.tool.name} is left out: its blade is shorter than the ledge is high, so that its handle would stand on it.`, tool: h.tool.id, seats: [h.order.id] })) // prettier-ignore
  return { held: left, refusals: [...refusals, ...told] }
}

/** Holes that run into each other or out of the ledge are refused. */
function clashing(
  held: readonly Held[],
  centres: readonly number[],
  { hole, length }: { hole: number; length: number },
): Refusal | null {
  for (let i = 0; i < held.length; i++) {
    const before = i === 0 ? centres[0]! - hole / 2 : centres[i]! - centres[i - 1]! - hole
    const after = i === held.length - 1 ? length - centres[i]! - hole / 2 : 1
    if (before > 1e-6 && after > 1e-6) continue
    const { place, tool, order } = held[i]!
    return { id: 'overlap', says: `The discs under ${place} (${tool.name}) would run into the next ones or out of the ledge’s end. Widen the gap.`, seats: [order.id] } // prettier-ignore
  }
  return null
}
