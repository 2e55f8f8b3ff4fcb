import { boredBy, bitToBuy, chooseBit, neededOpening } from '../../fit/bore'
import { boreRule, doubtRule, neededRule, sawnRule } from '../../fit/rules'
import { kindOf } from '../../footprint/kinds'
import type { Measured, ShankEnvelope } from '../../footprint/kind'
import type { Tool } from '../../footprint/tool'
import type { SeatOrder } from '../../model/holder'
import { bitName } from '../../shop/bit-name'
import { FIT_SETTING, type Bit, type Fit } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import { holeOf } from '../bit-hole'
import { optionOf, settingOf } from '../choice-value'
import type { PlanInput, Refusal } from '../form'
import { doubtFigure, massFigure, measuredFigure } from '../measured-figure'
import { seatTool } from '../seat-tool'
import { fieldDoubt } from '../doubt'
import { choices } from './choices'
import { pocketBores, widestTo, type PocketBore } from './pocket'
import { depthRule, extentRule, leastDepthRule, oneBoreRule, pocketRule, sinkRule, wantedDepthRule } from './rules'

/** One tool in the block, with everything the layout needs and the ids of its figures on the trail. mm */
export interface Socket {
  order: SeatOrder
  tool: Tool
  place: number
  left: number
  right: number
  front: number
  back: number
  /** of its shank's own bore, and how wide it is at its mouth */
  bore: number
  mouth: number
  bit: Bit | null
  /** null: through */
  depth: number | null
  rests: 'shoulder' | 'floor'
  sharp: boolean
  /** how far the end of its shank stands above the block */
  lift: number
  /** the bores of its pocket above the shank's own, the widest first; none for a plain one */
  pocket: readonly PocketBore[]
  /** from the top of the block, how far it reaches up, and what goes in reaches down; mm */
  above: number
  below: number
  ids: Record<'left' | 'right' | 'front' | 'back' | 'neckAcross' | 'needed' | 'slot' | 'mouth' | 'mass', string> &
    Partial<Record<'shoulder' | 'shoulderDoubt' | 'length' | 'depth' | 'depthLeast' | 'sink' | 'overall', string>>
}

/** A tool that can stand in the block, before its bore is settled. */
interface Standing {
  order: SeatOrder
  tool: Tool
  place: number
  envelope: ShankEnvelope
  needed: number
  ids: Pick<
    Socket['ids'],
    'left' | 'right' | 'front' | 'back' | 'neckAcross' | 'needed' | 'mass' | 'length' | 'overall'
  >
}

/**
 * Works out what each seat asks of the block. Seats whose tool is gone, unmeasured or can't stand in a bore are left out
 * and named.
 * @param block thickness of the block, on the trail under `blockThickness`; mm
 */
export function sockets(input: PlanInput, trail: Trail, block: number): { sockets: Socket[]; refusals: Refusal[] } {
  const standing: Standing[] = []
  const refusals: Refusal[] = []
  for (const order of input.holder.seats) {
    const found = stand(input, trail, order, standing.length + 1)
    if ('says' in found) refusals.push(found)
    else standing.push(found)
  }
  const one = optionOf(choices, input, 'bores') === 'one' && standing.length > 0 ? thickest(standing) : null
  if (one)
    trail.derive('neededAll', 'Opening needed for all', one.needed, oneBoreRule, `{${one.ids.needed}}`, {
      print: 'up',
      note: one.tool.name,
    })
  return { sockets: standing.map((s) => socket(input, trail, s, one, block)), refusals }
}

const NO_SHANK = 'has no shank to stand on: a socket block can’t hold it.'

/** What goes in by less stands in nothing, mm. */
const LEAST_IN = 1

/** Figures that contradict each other leave nothing that could stand in a bore. */
function nothingIn(order: SeatOrder, tool: Tool, fields: string[]): Refusal {
  const labels = fields.map(
    (key) =>
      kindOf(tool.kind)!
        .fields.find((f) => f.key === key)
        ?.label.toLowerCase() ?? key,
  )
  const says = `${tool.name} is left out: by its figures nothing of it goes into a bore. Measure again: ${labels.join(', ')}.`
  return { id: `nothing in:${order.id}`, says, tool: tool.id, fields, seats: [order.id] }
}

const thickest = (all: readonly Standing[]): Standing => all.reduce((a, b) => (b.needed > a.needed ? b : a))

function stand(input: PlanInput, trail: Trail, order: SeatOrder, place: number): Standing | Refusal {
  const found = seatTool(input, order, (kind, tool, turn) => kind.shank?.(tool, turn), NO_SHANK)
  if ('says' in found) return found
  const { tool, envelope } = found
  if (envelope.length.value < LEAST_IN) return nothingIn(order, tool, Object.keys(envelope.length.moves))
  const put = (name: string, label: string, m: Measured) =>
    measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, extentRule)
  const across = put('across', 'Shank across', envelope.across)
  const doubt = doubtFigure(input, trail, order, tool, 'across', `Shank of ${place}`, envelope.across)
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const allowance = settingOf(input, trail, fit)
  const needed = trail.derive(
    `needed:${order.id}`,
    `Opening needed for ${place}`,
    neededOpening(envelope.across.value, trail.get(doubt).value, allowance),
    neededRule,
    `{${across}} + {${doubt}} + {${fit}}`,
    { print: 'up' },
  )
  const mass = massFigure(trail, tool)
  return {
    order,
    tool,
    place,
    envelope,
    needed,
    ids: {
      neckAcross: across,
      needed: `needed:${order.id}`,
      left: put('left', 'Left reach', envelope.left),
      right: put('right', 'Right reach', envelope.right),
      front: put('front', 'Front reach', envelope.front),
      back: put('back', 'Back reach', envelope.back),
      length: put('length', 'Shank', envelope.length),
      overall: put('overall', 'Overall length', envelope.overall),
      mass,
    },
  }
}

function socket(input: PlanInput, trail: Trail, s: Standing, one: Standing | null, block: number): Socket {
  const { envelope, order, tool, place } = s
  const { bore, bit } = boreFor(input, trail, s, one)
  const slot = `bore:${order.id}`
  const resting = shoulderOf(input, trail, s, bore)
  const deep = depthOf(input, trail, s, bore, slot, block)
  const onShoulder = resting !== null && (deep === null || deep.depth >= envelope.length.value)
  const pocket = onShoulder && deep === null ? pocketOf(input, trail, s, bore, block) : null
  const lift = onShoulder ? -(pocket?.sink ?? 0) : Math.max(0, envelope.length.value - (deep?.depth ?? block))
  return {
    order,
    tool,
    place,
    left: envelope.left.value,
    right: envelope.right.value,
    front: envelope.front.value,
    back: envelope.back.value,
    bore,
    mouth: pocket ? boredBy(pocket.bores[0]!.bit) : bore,
    bit,
    depth: deep?.depth ?? null,
    rests: onShoulder ? 'shoulder' : 'floor',
    sharp: envelope.sharp,
    lift,
    pocket: pocket?.bores ?? [],
    above: envelope.overall.value - envelope.length.value + lift,
    below: envelope.length.value - lift,
    ids: { ...s.ids, slot, mouth: slot, ...(onShoulder ? resting : {}), ...deep?.ids, ...pocket?.ids },
  }
}

/** The bore of one socket: its own, or the one for all. */
function boreFor(input: PlanInput, trail: Trail, s: Standing, one: Standing | null): { bore: number; bit: Bit | null } {
  const { shop } = input
  const needed = one?.needed ?? s.needed
  const neededId = one ? 'neededAll' : s.ids.needed
  const id = `bore:${s.order.id}`
  const bit = chooseBit({ needed, bits: shop.bits })
  if (bit) {
    const note = `${bitName(bit.diameter, shop)} bit`
    const formula = `{${holeOf(input, trail, bit)}} ≥ {${neededId}}`
    return { bore: trail.derive(id, `Bore ${s.place}`, boredBy(bit), boreRule, formula, { print: 'up', note }), bit }
  }
  const wanted = bitToBuy(needed, shop.unit)
  const note = wanted === null ? '' : `no bit owned is big enough; a ${bitName(wanted, shop)} one would do`
  return { bore: trail.derive(id, `Bore ${s.place}`, needed, sawnRule, `{${neededId}}`, { print: 'up', note }), bit }
}

/** What comes to rest on the wood round the bore: the first thing from below that can't drop through. */
function shoulderOf(
  input: PlanInput,
  trail: Trail,
  { envelope, order, tool, place }: Standing,
  bore: number,
): { shoulder: string; shoulderDoubt: string } | null {
  const least = settingOf(input, trail, 'shoulderBearing')
  const [...all] = envelope.shoulders
  const resting = all.find((m) => (m.value - bore) / 2 >= least) ?? all.at(-1)
  if (!resting) return null
  return {
    shoulder: measuredFigure(trail, order, tool, 'shoulder', `Shoulder of ${place}`, resting, extentRule),
    shoulderDoubt: doubtFigure(input, trail, order, tool, 'shoulder', `Shoulder of ${place}`, resting),
  }
}

/** The pocket of a handle whose profile was measured; null where none is wanted or no bit is wide enough. */
function pocketOf(
  input: PlanInput,
  trail: Trail,
  { order, tool, place }: Standing,
  bore: number,
  block: number,
): { sink: number; bores: PocketBore[]; ids: { sink: string; mouth: string } } | null {
  const { profile } = tool
  if (optionOf(choices, input, 'pocket') !== 'matched' || profile.length < 2) return null
  const origin = { kind: 'measurement', tool: tool.id, field: 'profile' } as const
  const [topId, widestId, doubtId] = [`profileTop:${order.id}`, `profileWidest:${order.id}`, `profileDoubt:${order.id}`]
  const floor = settingOf(input, trail, 'floor')
  const top = trail.given(topId, `${tool.name}: profile measured up to`, profile.at(-1)!.at, origin)
  const sink = Math.min(top, block - floor)
  trail.given(widestId, `${tool.name}: widest of what sinks in`, widestTo(profile, sink), origin)
  const fit = FIT_SETTING[optionOf(choices, input, 'fit') as Fit]
  const doubt = fieldDoubt(input, trail, tool, 'profile')
  trail.derive(doubtId, `Profile of ${place} may be out by`, doubt.value, doubtRule, doubt.text, { print: 'up' })
  const more = doubt.value + settingOf(input, trail, fit)
  const bores = pocketBores(profile, { sink, more, shank: bore, bits: input.shop.bits })
  if (bores.length === 0) return null
  const ids = { sink: `sink:${order.id}`, mouth: `mouth:${order.id}` }
  trail.derive(ids.sink, `Handle ${place} sinks in`, sink, sinkRule, `min({${topId}}, {blockThickness} − {floor})`)
  const hole = holeOf(input, trail, bores[0]!.bit)
  trail.derive(ids.mouth, `Mouth of ${place}`, boredBy(bores[0]!.bit), pocketRule, `{${hole}} ≥ {${widestId}} + {${doubtId}} + {${fit}}`, { print: 'up' }) // prettier-ignore
  bores.forEach(({ bit, depth }, i) => {
    const note = `${bitName(bit.diameter, input.shop)} bit`
    trail.derive(`pocket:${order.id}:${i + 1}`, `Pocket ${place}, bore ${i + 1} deep`, depth, pocketRule, `{${ids.sink}} − ${sink - depth}`, { print: 'down', note }) // prettier-ignore
  })
  return { sink, bores, ids }
}

/** How deep a blind bore goes; null for one that goes through. */
function depthOf(
  input: PlanInput,
  trail: Trail,
  { envelope, order, tool, place }: Standing,
  bore: number,
  boreId: string,
  block: number,
): { depth: number; ids: { depth: string; depthLeast: string } } | null {
  const whole = envelope.shoulders.length === 0
  if (!whole && optionOf(choices, input, 'hole') === 'through') return null
  const ids = { depth: `depth:${order.id}`, depthLeast: `depthLeast:${order.id}` }
  const wantedId = `depthWanted:${order.id}`
  const times = settingOf(input, trail, 'blindTimes')
  const share = settingOf(input, trail, 'blindShare')
  const put = (name: string, label: string, m: Measured) =>
    measuredFigure(trail, order, tool, name, `${label} of ${place}`, m, extentRule)
  const overall = put('overall', 'Overall length', envelope.overall)
  const wanted = whole ? envelope.length.value : Math.max(times * bore, share * envelope.overall.value)
  const formula = whole
    ? `{${put('length', 'Shank', envelope.length)}}`
    : `max({blindTimes} × {${boreId}}, {blindShare} × {${overall}})`
  trail.derive(wantedId, `Depth wanted for ${place}`, wanted, wantedDepthRule, formula)
  const floor = settingOf(input, trail, 'floor')
  const depth = trail.derive(
    ids.depth,
    `Depth of bore ${place}`,
    Math.min(wanted, block - floor),
    depthRule,
    `min({${wantedId}}, {blockThickness} − {floor})`,
    { print: 'down' },
  )
  trail.derive(
    ids.depthLeast,
    `Least depth for ${place}`,
    share * envelope.overall.value,
    leastDepthRule,
    `{blindShare} × {${overall}}`,
  )
  return { depth, ids }
}
