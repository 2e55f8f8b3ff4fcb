import { screwDiameter } from '../../fit/screw'
import type { Fastener, Place } from '../../model/model'
import { boardBox } from '../../model/standing'
import { optionOf } from '../choice-value'
import type { PlanInput, PlannedModel } from '../form'
import { hangingChoices } from '../hanging-choices'
import { pilotBit, screwsFor } from './choose-fastener'
import { nearestFree, spaced, type Around, type Unplaced } from './places'

/** From an edge of the back to a row of screws into the wall, mm. */
export const INSET = 15

/** How far a row is moved from its edge to be clear of what stands in front, mm at a time. */
const STEP = 5

const TO_WALL: Place = { x: 0, y: -1, z: 0 }

/** The screw by which a holder is fixed to the wall; null where the shop has none that is long enough. */
export function wallScrew(model: PlannedModel, input: PlanInput): Unplaced | null {
  const { shop } = input
  const back = model.boards.find((b) => b.role === 'back')!
  const { wallPanel, wallDensity, wallLining, studDepth } = shop.settings
  const studs = wayHung(input) === 'studs'
  const [side, deep] = studs ? [back.thickness + wallLining, studDepth] : [back.thickness, wallPanel]
  // what sticks out behind a panel does no harm: it may be longer by that
  const [screw] = screwsFor({ side, room: studs ? deep : deep + 60, edge: INSET }, shop)
  if (!screw) return null
  return {
    kind: 'screw',
    item: screw.id,
    name: screw.name,
    diameter: screwDiameter(screw.gauge),
    length: screw.length,
    gauge: screw.gauge,
    through: back.id,
    into: null,
    side,
    bite: Math.min(screw.length - side, deep),
    endGrain: false,
    pilot: pilotBit(screw.gauge, wallDensity, shop),
    joint: null,
  }
}

const wayHung = (input: PlanInput): string => optionOf(hangingChoices, input, 'hung')
/** Screwed to a panel or to studs, not hung on a strip. */
export const isScrewedOn = (input: PlanInput): boolean => !['strip', 'clip'].includes(wayHung(input))

/** Where a stud may be behind a back: by their spacing about its middle; mm along it. */
function studsBehind(from: number, to: number, spacing: number, inset: number): number[] {
  const gaps = Math.max(0, Math.floor((to - from - 2 * inset) / spacing))
  return Array.from({ length: gaps + 1 }, (_, i) => (from + to) / 2 + (i - gaps / 2) * spacing)
}

/** A screw this far from a stud's centre is still in it, mm. */
const IN_STUD = 12

/**
 * Screws through the back into the wall, where a holder is screwed on: a row along its upper edge and one along its lower,
 * each moved to where a driver gets at it.
 */
export function intoWall(model: PlannedModel, input: PlanInput, around: Around): Fastener[] {
  const back = model.boards.find((b) => b.role === 'back')
  if (!back || !isScrewedOn(input)) return []
  const kind = wallScrew(model, input)
  if (!kind) return []
  const { x, y, z } = boardBox(back)
  for (const part of [...model.boards, ...model.rods]) around.stand(part.id)
  const placed: Fastener[] = []
  const at = (px: number, pz: number): Place => ({ x: px, y: y[1], z: pz })
  const isFree = (px: number, pz: number): boolean =>
    px > x[0] + kind.diameter && px < x[1] - kind.diameter && around.free({ ...kind, at: at(px, pz), toward: TO_WALL }) // prettier-ignore
  const inset = Math.min(INSET, (z[1] - z[0]) / 3)
  const middle = (z[0] + z[1]) / 2
  const end = Math.max(30, kind.diameter * 4)
  const { wallScrewSpacing, studSpacing } = input.shop.settings
  const studs = wayHung(input) === 'studs'
  const wanted = studs ? studsBehind(x[0], x[1], studSpacing, end) : spaced(x[0], x[1], end, wallScrewSpacing)
  const reach = studs ? IN_STUD : wanted.length > 1 ? (wanted[1]! - wanted[0]!) / 2 - kind.diameter : (x[1] - x[0]) / 2

  for (const [edge, way, name] of [
    [z[1] - inset, -1, 'upper'],
    [z[0] + inset, 1, 'lower'],
  ] as const) {
    // the first height, from this edge towards the middle, at which most of the row is free
    let best: number[] = []
    let height = edge
    for (let pz: number = edge; way * (pz - middle) <= 0; pz += way * STEP) {
      if (around.closes({ from: x[0], to: x[1] }, y[1], pz)) continue
      const found = wanted.map((px) => nearestFree(px, reach, (p) => isFree(p, pz))).filter((p) => p !== null)
      if (found.length <= best.length) continue
      best = found
      height = pz
      if (found.length === wanted.length) break
    }
    const row = best.map((px, i): Fastener => ({ ...kind, id: `wall-${name}-${i + 1}`, at: at(px, height), toward: TO_WALL })) // prettier-ignore
    for (const f of row) around.drive(f)
    placed.push(...row)
  }
  return placed
}
