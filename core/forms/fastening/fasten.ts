import { screwDiameter } from '../../fit/screw'
import type { Board, Fastener, Joint, Place } from '../../model/model'
import { tipped, tippedWay } from '../../model/tilt'
import { densityOf, materialOf } from '../../shop/materials'
import type { Shop } from '../../shop/shop'
import type { Plan, PlanInput, PlannedModel } from '../form'
import { bradsFor, pilotBit, screwsFor } from './choose-fastener'
import { Around, lineOf, nearestFree, spaced, type Line, type Unplaced } from './places'
import { intoWall } from './wall'

/** Places the screws and brads of every joint, in the order of the joints, and those into the wall; the same for all forms. */
export function fasten(plan: Plan, input: PlanInput): Plan {
  const { model } = plan
  if (!model) return plan
  const around = new Around(model)
  const driven: Fastener[] = []
  for (const joint of [...model.joints].sort((a, b) => a.order - b.order)) {
    driven.push(...joinBy(model, input.shop, joint, around))
    for (const part of joint.parts) around.stand(part)
  }
  driven.push(...intoWall(model, input, around))
  return { ...plan, model: { ...model, fasteners: driven } }
}

/** What a joint's fasteners may be, without where, the best first; none where nothing the shop has would do. */
function kindsFor(joint: Joint, line: Line, into: Board, shop: Shop): Unplaced[] {
  const { side } = line
  // a sheet’s edge is end grain by half at most: only solid wood splits so
  const solid = ['softwood', 'hardwood'].includes(materialOf(shop.materials, into.material)?.kind ?? 'softwood')
  const common = {
    through: joint.parts[0],
    into: joint.parts[1],
    side,
    endGrain: line.endGrain && solid,
    joint: joint.order,
  }
  const brads = joint.by === 'brads' ? bradsFor(line, shop) : []
  const density = densityOf(shop, into.material)
  return [
    ...brads.map((b): Unplaced => ({ ...common, kind: 'brad', item: b.id, name: b.name, diameter: b.thickness, length: b.length, gauge: null, bite: b.length - side, pilot: null })), // prettier-ignore
    ...screwsFor(line, shop).map((s): Unplaced => ({ ...common, kind: 'screw', item: s.id, name: s.name, diameter: screwDiameter(s.gauge), length: s.length, gauge: s.gauge, bite: s.length - side, pilot: pilotBit(s.gauge, density, shop) })), // prettier-ignore
  ]
}

/** The fasteners of one joint: the best kind of which all find a place, else the one of which most do. */
function joinBy(model: PlannedModel, shop: Shop, joint: Joint, around: Around): Fastener[] {
  if (joint.by !== 'screws' && joint.by !== 'brads') return []
  const [through, into] = joint.parts.map((id) => model.boards.find((b) => b.id === id))
  const line = through && into ? lineOf(through, into) : null
  if (!line) return []
  let best: Fastener[] = []
  for (const kind of kindsFor(joint, line, into!, shop)) {
    const wanted = positions(line, kind, shop)
    const placed = place(kind, line, wanted, around)
    if (placed.length > best.length) best = placed
    if (placed.length === wanted.length) break
  }
  for (const f of best) around.drive(f)
  return best
}

function positions({ contact: { along } }: Line, kind: Unplaced, { settings }: Shop): number[] {
  const [every, end] = kind.kind === 'brad' ? [settings.bradSpacing, settings.bradEnd] : [settings.screwSpacing, settings.screwEnd] // prettier-ignore
  return spaced(along.from, along.to, end * kind.diameter, every)
}

/** Puts fasteners where they are wanted, or as near to it as they are clear of everything. */
function place(kind: Unplaced, { contact, side, across }: Line, wanted: readonly number[], around: Around): Fastener[] {
  const { tip } = contact
  const square: Place = { x: 0, y: 0, z: 0, [contact.axis]: contact.sense }
  const toward = tip ? tippedWay(square, tip.tilt) : square
  const at = (position: number): Place => {
    const found = { x: 0, y: 0, z: 0 }
    found[contact.axis] = contact.at - contact.sense * side
    found[contact.along.axis] = position
    found[contact.across.axis] = across
    return tip ? tipped(found, tip.tilt, tip.about) : found
  }
  const { from, to } = contact.along
  const reach = (wanted.length > 1 ? wanted[1]! - wanted[0]! : to - from) / 2 - kind.diameter
  const placed: Fastener[] = []
  const put: number[] = []
  for (const position of wanted) {
    const isFree = (p: number): boolean =>
      p > from + kind.diameter &&
      p < to - kind.diameter &&
      put.every((other) => Math.abs(other - p) > 2 * kind.diameter) &&
      around.free({ ...kind, at: at(p), toward })
    const found = nearestFree(position, reach, isFree)
    if (found === null) continue
    placed.push({ ...kind, id: `${kind.kind}-${kind.joint}-${placed.length + 1}`, at: at(found), toward })
    put.push(found)
  }
  return placed
}
