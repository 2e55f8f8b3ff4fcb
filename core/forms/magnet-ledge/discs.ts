import { boredBy, chooseBit } from '../../fit/bore'
import { discPull } from '../../fit/magnet'
import { circle } from '../../geometry/outline'
import type { Opening } from '../../model/model'
import type { Bit } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import type { Trail } from '../../working/trail'
import { holeOf } from '../bit-hole'
import { lengthOf, settingOf } from '../choice-value'
import type { PlanInput, Refusal } from '../form'
import { choices } from './choices'
import type { Held } from './held'
import { depthRule, discRule, heightRule, holeRule, pitchRule, pullRule } from './rules'

/** Discs of one kind in the ledge; mm. */
export interface Discs {
  kind: 'discs'
  name: string
  toBuy: boolean
  hole: number
  depth: number
  /** from disc to disc */
  pitch: number
  bit: Bit | null
}

/** The shop's discs sunk in a ledge so thick, mm; their figures on the trail. */
export function discsIn(input: PlanInput, trail: Trail, thick: number): Discs | Refusal {
  const { shop } = input
  const magnet = shop.magnets.find((m) => !m.toBuy) ?? shop.magnets[0]
  if (!magnet) return { id: 'magnets', says: 'The shop has no magnets. Add the discs you have, or mean to buy, under the shop’s settings.' } // prettier-ignore
  const cover = lengthOf(choices, input, trail, 'cover')
  const sized = (id: string, label: string, key: 'diameter' | 'thickness' | 'remanence'): number => trail.given(id, label, magnet[key], { kind: 'magnet', id: magnet.id, key }, { note: magnet.name, ...(key === 'remanence' ? { quantity: 'ratio' } : {}) }) // prettier-ignore
  const d = sized('discDiameter', 'Disc, diameter', 'diameter')
  const t = sized('discThickness', 'Disc, thickness', 'thickness')
  const br = sized('discBr', 'Disc, remanence, T', 'remanence')
  if (cover + t > thick + 1e-6)
    return { id: 'too thin', says: `A ledge of ${formatLength(thick, shop)} is too thin for a disc of ${formatLength(t, shop)} under a cover of ${formatLength(cover, shop)}.` } // prettier-ignore
  const depth = trail.derive('discDepth', 'Depth of a disc’s hole', thick - cover, depthRule, '{thickness:ledge} − {cover}', { print: 'down' }) // prettier-ignore
  const needed = trail.derive('discNeeded', 'Hole needed for a disc', d + settingOf(input, trail, 'discPlay'), holeRule, '{discDiameter} + {discPlay}', { print: 'up' }) // prettier-ignore
  const bit = chooseBit({ needed, bits: shop.bits })
  const hole = trail.derive('discHole', 'Hole of a disc', bit ? boredBy(bit) : needed, holeRule, bit ? `{${holeOf(input, trail, bit)}} ≥ {discNeeded}` : '{discNeeded}', { print: 'up' }) // prettier-ignore
  const gap = settingOf(input, trail, 'discGap')
  const pitch = trail.derive('discPitch', 'From disc to disc', hole + gap, pitchRule, '{discHole} + {discGap}')
  trail.derive('discPull', 'Pull of a disc', discPull(d, t, cover, br), pullRule, 'discPull({discDiameter}, {discThickness}, {cover}, {discBr})', { quantity: 'force', print: 'down' }) // prettier-ignore
  return { kind: 'discs', name: magnet.name, toBuy: magnet.toBuy, hole, depth, pitch, bit }
}

/** How high a ledge is with so many discs in a column, wood at both edges; mm. */
export const columnHigh = ({ pitch, hole }: Discs, count: number, edge: number): number =>
  (count - 1) * pitch + hole + 2 * edge

/** The ledge's height on the trail. `web` must be on it. */
export function ledgeOverDiscs(trail: Trail, discs: Discs, held: readonly Held[]): number {
  const most = held.reduce((a, b) => (b.discs > a.discs ? b : a))
  return trail.derive('height', 'Ledge height', columnHigh(discs, most.discs, trail.get('web').value), heightRule, `({${most.ids.discs!}} − 1) × {discPitch} + {discHole} + 2 × {web}`, { print: 'up', note: most.tool.name }) // prettier-ignore
}

/** The discs under one tool, one over the other about the line. */
export const column = (trail: Trail, { pitch, hole, depth, bit }: Discs, h: Held, x: number): Opening[] =>
  Array.from({ length: h.discs }, (_, n): Opening => {
    const off = n - (h.discs - 1) / 2
    const id = `disc-${h.order.id}-${n + 1}`
    const y = trail.get('line').value + off * pitch
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

/** Holes that run into each other or out of the ledge are refused. */
export function discsClash(
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
