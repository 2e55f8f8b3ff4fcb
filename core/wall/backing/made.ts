import { screwDiameter } from '../../fit/screw'
import { pilotBit, screwsFor } from '../../forms/fastening/choose-fastener'
import type { Board, Fastener, Joint } from '../../model/model'
import { densityOf } from '../../shop/materials'
import type { Shop, Stock } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import { inBox, keepOuts } from '../may-hang'
import type { Wall } from '../wall'
import { anchorOf } from './anchors'

/** What goes up on a wall. */
export interface Made {
  boards: Board[]
  fasteners: Fastener[]
  joints?: Joint[]
}

export const NOTHING: Made = { boards: [], fasteners: [] }

/** The sheet that covers a wall, and the board its strips are ripped from: the shop's nearest; null where it has none. */
export const sheetStock = (shop: Shop): Stock | null => shop.stock.find((s) => s.form === 'sheet') ?? null
export const stripStock = (shop: Shop): Stock | null =>
  shop.stock
    .filter((s) => s.form === 'board' || s.form === 'sheet')
    .reduce<Stock | null>((best, s) => (best && Math.abs(best.thickness - shop.settings.stripThickness) <= Math.abs(s.thickness - shop.settings.stripThickness) ? best : s), null) // prettier-ignore

/** How far it is from one place on the wall to another, by the studs and ends that they are. */
export function lengthText(wall: Wall, from: number, to: number): string {
  const place = (x: number): string => {
    const stud = wall.studs.findIndex((s) => Math.abs(s - x) < 1e-9)
    return stud >= 0 ? `{stud:${stud}}` : Math.abs(x - wall.width) < 1e-9 ? '{wall:width}' : `[${x} mm]`
  }
  return from === 0 ? place(to) : `${place(to)} − ${place(from)}`
}

/** A part of a formula that is added, mm; none for nought. */
export const plus = (v: number): string => (Math.abs(v) < 1e-9 ? '' : v > 0 ? ` + [${v} mm]` : ` − [${-v} mm]`)

/** The thickness of some stock on the trail, as `thickness:PART`. */
export const thicknessOf = (trail: Trail, stock: Stock, part: string): number =>
  trail.given(`thickness:${part}`, `Thickness of the ${part}s`, stock.thickness, { kind: 'stock', id: stock.id, key: 'thickness' }, { note: stock.name }) // prettier-ignore

/** The screw that goes through so much into a stud, or the plug of masonry; null where the shop has none that is long enough. mm */
function wallScrew(
  wall: Wall,
  shop: Shop,
  thickness: number,
): Omit<Fastener, 'id' | 'at' | 'toward' | 'through'> | null {
  const { wallLining, studDepth, wallDensity } = shop.settings
  const side = thickness + wallLining
  const anchor = anchorOf(wall, side, shop)
  if (anchor) return { ...anchor, kind: 'screw', into: null, side, endGrain: false, pilot: anchor.hole, joint: null }
  const [screw] = screwsFor({ side, room: studDepth, edge: 15 }, shop)
  if (!screw) return null
  return { kind: 'screw', item: screw.id, name: screw.name, diameter: screwDiameter(screw.gauge), length: screw.length, gauge: screw.gauge, into: null, side, bite: Math.min(screw.length - side, studDepth), endGrain: false, pilot: pilotBit(screw.gauge, wallDensity, shop), joint: null } // prettier-ignore
}

/**
 * The screws of a board into the wall. @param behind what is between the board and the wall besides its lining, mm
 */
export function screwed(
  wall: Wall,
  shop: Shop,
  board: Board,
  places: readonly { x: number; z: number }[],
  behind = 0,
): Fastener[] {
  const kind = wallScrew(wall, shop, board.thickness + behind)
  // none where a pipe or a cable is known to run
  const pipes = keepOuts(wall, shop).filter((k) => k.of === 'screws')
  const sound = places.filter((p) => pipes.every(({ box }) => !inBox(p, box)))
  return kind === null ? [] : sound.map((p, i) => ({ ...kind, id: `${board.id}-${i + 1}`, through: board.id, at: { x: p.x, y: behind + board.thickness, z: p.z }, toward: { x: 0, y: -1, z: 0 } })) // prettier-ignore
}

/** The screw that goes through a board so thick into another of what goes up; null where the shop has none that fits. mm */
export function intoBoard(
  shop: Shop,
  side: number,
  into: Board,
  { room, edge }: { room: number; edge: number },
): Omit<Fastener, 'id' | 'at' | 'toward' | 'through'> | null {
  const [screw] = screwsFor({ side, room, edge }, shop)
  if (!screw) return null
  const pilot = pilotBit(screw.gauge, densityOf(shop, into.material), shop)
  return { kind: 'screw', item: screw.id, name: screw.name, diameter: screwDiameter(screw.gauge), length: screw.length, gauge: screw.gauge, into: into.id, side, bite: Math.min(screw.length - side, room), endGrain: false, pilot, joint: null } // prettier-ignore
}
