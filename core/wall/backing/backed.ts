import { outlineBounds } from '../../geometry/outline'
import type { Board, Fastener } from '../../model/model'
import type { Shop } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import type { Wall } from '../wall'
import { intoBoard, sheetStock, type Made } from './made'
import { sheets } from './sheets'
import { strips } from './strips-up'

/** From screw to screw of a strip into the sheet behind it, and from its ends, mm. */
const EVERY = 200
const FROM_END = 30

/**
 * Bevelled strips on sheets: the sheets first, the strips' screws through them into the studs; where no screw of the shop
 * is long enough for that, closer ones into the sheets alone.
 */
export function backed(wall: Wall, shop: Shop, trail: Trail): Made {
  const under = sheets(wall, shop, trail)
  const over = strips(wall, shop, trail, sheetStock(shop)?.thickness ?? 0)
  const boards = [...under.boards, ...over.boards]
  if (over.fasteners.length > 0) return { boards, fasteners: [...under.fasteners, ...over.fasteners] }
  return { boards, fasteners: [...under.fasteners, ...over.boards.flatMap((b) => intoSheet(b, under.boards, shop))] }
}

/** Screws of a strip into the sheets behind it, in its body, clear of their seams and cut-outs. */
function intoSheet(strip: Board, sheetsBehind: readonly Board[], shop: Shop): Fastener[] {
  const { x, y, z } = strip.placement.at
  const tilt = strip.bevel!.tilt
  const body = strip.width - strip.thickness * Math.tan((tilt * Math.PI) / 180)
  const gaps = Math.max(1, Math.ceil((strip.length - 2 * FROM_END) / EVERY))
  const places = Array.from({ length: gaps + 1 }, (_, i) => x + FROM_END + (i * (strip.length - 2 * FROM_END)) / gaps)
  return places.flatMap((at, i): Fastener[] => {
    const sheet = sheetsBehind.find((s) => holdsAt(s, at, z + body / 2))
    const screw = sheet && intoBoard(shop, strip.thickness, sheet, { room: sheet.thickness, edge: 15 })
    if (!screw) return []
    return [{ ...screw, id: `${strip.id}-${i + 1}`, at: { x: at, y: y + strip.thickness, z: z + body / 2 }, toward: { x: 0, y: -1, z: 0 }, through: strip.id }] // prettier-ignore
  })
}

/** Whether there is wood of a sheet at a place on the wall, a little round it. */
function holdsAt({ placement: { at }, length, width, openings }: Board, x: number, z: number): boolean {
  const [u, v] = [x - at.x, z - at.z]
  if (u < FROM_END / 2 || u > length - FROM_END / 2 || v < 0 || v > width) return false
  return openings.every((o) => {
    const { minX, maxX, minY, maxY } = outlineBounds(o.outline)
    return u < minX - FROM_END / 2 || u > maxX + FROM_END / 2 || v < minY - FROM_END / 2 || v > maxY + FROM_END / 2
  })
}
