import { carriedMass } from '../../footprint/tool'
import { boredBy } from '../../fit/bore'
import { circle } from '../../geometry/outline'
import { MODEL_VERSION, type Opening } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import type { Plan, PlanInput, PlannedModel, Refusal } from '../form'
import { backBoard, plainBoard } from '../plain-board'
import { NO_STOCK, stocksFor } from '../stocks'
import type { Bit } from '../../shop/shop'
import { tiltOf } from '../tilting'
import { choices } from './choices'
import { onCheeks } from './on-cheeks'
import { layRows, type Rows } from './rows'
import { blockRule } from './rules'
import { sockets, type Socket } from './sockets'

/** Wood thinner than this, mm, is none. */
const THINNEST = 1e-6

/** Plans a socket block: a flat block with bores in rows, and an upright back behind or below it. */
export function planSocketBlock(input: PlanInput): Plan {
  const trail = new Trail()
  const { shop, holder } = input
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['block', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const layers = Number(optionOf(choices, input, 'layers'))
  trail.given('layers', 'Layers', layers, { kind: 'choice', key: 'layers' }, { quantity: 'count' })
  const thickness = trail.derive(
    'blockThickness',
    'Block thickness',
    layers * stocks.block.thickness,
    blockRule,
    '{layers} × {thickness:block}',
  )
  const floor = settingOf(input, trail, 'floor')
  if (thickness - floor < THINNEST)
    return refuse({ id: 'too thin', says: `A block of ${formatLength(thickness, shop)} leaves no floor under a bore.` })

  const { sockets: all, refusals } = sockets(input, trail, thickness)
  if (all.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No tools in this holder yet. Add the first one from those that could join.' })
  }
  const laid = layRows(input, trail, all)
  if (Math.max(laid.length, laid.width) > LARGEST_SIZE)
    return refuse(...refusals, {
      id: 'too long',
      says: `The block would be ${formatLength(laid.length, shop)} long. Split the tools over several holders, or take more rows.`,
    })
  const flare = optionOf(choices, input, 'mouth') === 'flared' ? settingOf(input, trail, 'mouthFlare') : null
  const clash = clashing(all, laid, flare ?? 0)
  if (clash) return refuse(...refusals, clash)

  const backHeight = lengthOf(choices, input, trail, 'backHeight')
  const behind = optionOf(choices, input, 'back') === 'behind'
  // dust falls out by the smallest hole that can be drilled here
  const smallest = Math.min(...shop.bits.map(boredBy))
  const dust = optionOf(choices, input, 'dust') === 'yes' && Number.isFinite(smallest) ? smallest : null
  const openings = laid.rows.flatMap((row, r) => row.map((s) => bore(s, laid, laid.rowIds[r]!, dust, flare)))
  const block = plainBoard(stocks.block, {
    id: 'block',
    name: 'Block',
    role: 'block',
    thickness,
    layers,
    length: laid.length,
    width: laid.width,
    openings,
    placement: { lies: 'flat', at: { x: 0, y: stocks.back.thickness, z: 0 } },
    figures: { length: 'length', width: 'width', thickness: 'blockThickness', layer: 'thickness:block' },
  })
  const back = backBoard(stocks.back, {
    length: laid.length,
    width: backHeight,
    low: behind ? -thickness : -backHeight,
    as: { length: 'length', width: 'backHeight' },
  })
  const fixing = 'Glue, and screws from behind through the back into the block’s back edge, clear of the bores'
  const level: PlannedModel = {
    version: MODEL_VERSION,
    form: 'socket-block',
    name: holder.name,
    boards: [block, back],
    rods: [],
    reach: { value: stocks.back.thickness + laid.width, formula: '{thickness:back} + {width}' },
    joints: [{ order: 1, parts: ['back', 'block'], glued: true, by: 'screws', fixing }],
    fasteners: [],
    seats: laid.rows.flat().map((s) => ({
      id: s.order.id,
      tool: s.tool.id,
      name: s.tool.name,
      place: s.place,
      turn: s.order.turn,
      board: 'block',
      opening: `bore-${s.order.id}`,
      at: { x: laid.centres.get(s)!.x, y: stocks.back.thickness + laid.centres.get(s)!.y, z: s.lift },
      extent: { left: s.left, right: s.right, front: s.front, back: s.back },
      rests: s.rests,
      sharp: s.sharp,
      mass: carriedMass(s.tool),
      reach: `{thickness:back} + {${laid.rowIds[laid.rows.findIndex((row) => row.includes(s))]}} + {${s.ids.front}}`,
      figures: s.ids,
    })),
  }
  const tilt = tiltOf(choices, input, trail)
  const rise = laid.rows.length > 1 && optionOf(choices, input, 'stand') === 'stepped' ? lengthOf(choices, input, trail, 'rise') : 0 // prettier-ignore
  if (tilt === 0 && rise === 0) return { trail, refusals, model: level }
  const model = onCheeks(trail, level, laid, { tilt, rise, behind })
  const tight = rise > 0 ? noRoom(model, flare ?? 0) : null
  return tight ? refuse(...refusals, tight) : { trail, refusals, model }
}

function bore(s: Socket, laid: Rows, row: string, dust: number | null, flare: number | null): Opening {
  const centre = laid.centres.get(s)!
  const [mouth, ...below] = s.pocket
  const wide = s.mouth
  const made = (bit: Bit) => ({ centre, diameter: boredBy(bit), bit: bit.diameter })
  const steps = mouth && [...below.map(({ bit, depth }) => ({ ...made(bit), depth })), { ...made(s.bit!), depth: null }]
  const width = s.ids.mouth
  return {
    id: `bore-${s.order.id}`,
    kind: 'bore',
    seat: s.order.id,
    centre,
    width: wide,
    radius: wide / 2,
    outline: circle(centre.x, centre.y, wide / 2),
    opensTo: null,
    depth: mouth ? mouth.depth : s.depth,
    slant: 0,
    cut: 'bored',
    dust: dust !== null && s.depth !== null && dust < s.bore ? dust : null,
    bores: mouth ? [made(mouth.bit)] : s.bit ? [made(s.bit)] : [],
    ...(steps ? { steps } : {}),
    ...(flare === null ? {} : { flare }),
    figures: {
      x: `x:${s.order.id}`,
      y: row,
      width,
      end: width,
      ...(mouth ? { depth: `pocket:${s.order.id}:1` } : s.ids.depth ? { depth: s.ids.depth } : {}),
    },
  }
}

/** Bores that run into each other or out of the block are refused, not drawn. */
function clashing(all: readonly Socket[], { centres, length, width }: Rows, flare: number): Refusal | null {
  for (let i = 0; i < all.length; i++) {
    const a = all[i]!
    const p = centres.get(a)!
    const edge = Math.min(p.x, length - p.x, p.y, width - p.y) - a.mouth / 2 - flare
    if (edge < THINNEST)
      return { id: 'overlap', says: `Bore ${a.place} (${a.tool.name}) would break out of the block’s edge.`, seats: [a.order.id] } // prettier-ignore
    for (const b of all.slice(i + 1)) {
      const q = centres.get(b)!
      if (Math.hypot(p.x - q.x, p.y - q.y) - (a.mouth + b.mouth) / 2 - 2 * flare < THINNEST)
        return {
          id: 'overlap',
          says: `Bores ${a.place} and ${b.place} (${a.tool.name}, ${b.tool.name}) would run into each other.`,
          seats: [a.order.id, b.order.id],
        }
    }
  }
  return null
}

/** Rows on steps have boards of their own: bores that would break out of those are refused too. */
function noRoom({ boards, seats }: PlannedModel, flare: number): Refusal | null {
  for (const board of boards)
    for (const o of board.openings)
      if (Math.min(o.centre.y, board.width - o.centre.y) - o.radius - flare < THINNEST) {
        const name = seats.find((s) => s.id === o.seat)?.name ?? ''
        return { id: 'overlap', says: `The bore of ${name} would break out of the board of its row. Widen the gap, or let the rows stand level.`, seats: o.seat ? [o.seat] : [] } // prettier-ignore
      }
  return null
}
