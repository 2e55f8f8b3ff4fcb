import { polygon, rectangle, type Outline } from '../../geometry/outline'
import { newPiece } from '../../shop/pieces-of-stock'
import type { Shop, Stock } from '../../shop/shop'
import { bearersOf } from '../holding'
import { PLUMB, type Thing, type Wall } from '../wall'
import { cornerAt } from './stretches'

/** A rectangle cut out of a sheet, from the sheet's own left and lower edges. mm */
export interface CutOut {
  thing: Thing
  x0: number
  x1: number
  y0: number
  y1: number
}

/** One sheet on the wall: where its box begins, what it measures, and its outline from there. mm */
export interface SheetPiece {
  column: number
  tier: number
  x: number
  z: number
  width: number
  height: number
  /** the studs or ends it reaches from and to, along the wall, before a corner out of plumb is followed */
  from: number
  to: number
  outline: Outline
  cutOuts: CutOut[]
  /** places of screws along the wall and over the floor */
  screws: { x: number; z: number }[]
  /** its right edge lies on a stud, or at the wall's end */
  seamHolds: boolean
}

/** What places reckoned in inches may be out by and still be the same, mm. */
const SAME = 1e-6

/** A screw keeps so far from a sheet's edge and twice that from a cut-out, mm. */
const FROM_EDGE = 10

/** A second tier lower than this is left open, mm. */
const LEAST_TIER = 50

/** What is cut out of a sheet; a bench stands before it. */
const CUT: readonly Thing['kind'][] = ['outlet', 'switch', 'window', 'door']

/** Where sheets meet along the wall: each as wide as the stock, back to a stud. */
export function seamsOf(wall: Wall, widest: number): { at: number; holds: boolean }[] {
  const studs = bearersOf(wall)
  const seams: { at: number; holds: boolean }[] = []
  let at = 0
  while (wall.width - at > widest + SAME) {
    const stud = studs.filter((s) => s > at + FROM_EDGE * 4 && s <= at + widest + SAME).at(-1)
    seams.push({ at: stud ?? at + widest, holds: stud !== undefined })
    at = stud ?? at + widest
  }
  return [...seams, { at: wall.width, holds: true }]
}

/** Every sheet that covers a wall, from the left, from the floor. */
export function sheetPieces(wall: Wall, shop: Shop, stock: Stock): SheetPiece[] {
  const { length: long, width } = newPiece(shop, stock)
  const wide = width ?? long
  const tiers = Array.from({ length: Math.max(1, Math.ceil((wall.height - LEAST_TIER) / long)) }, (_, n) => ({ low: n * long, high: Math.min((n + 1) * long, wall.height) })) // prettier-ignore
  const seams = seamsOf(wall, wide)
  return seams.flatMap((seam, column) => {
    const from = column === 0 ? 0 : seams[column - 1]!.at
    return tiers.flatMap(({ low, high }, tier): SheetPiece[] => {
      const piece = onePiece(wall, shop, { from, to: seam.at, low, high, first: column === 0, last: column === seams.length - 1 }) // prettier-ignore
      return piece ? [{ ...piece, column: column + 1, tier: tier + 1, seamHolds: seam.holds }] : []
    })
  })
}

interface Field {
  from: number
  to: number
  low: number
  high: number
  first: boolean
  last: boolean
}

function onePiece(wall: Wall, shop: Shop, f: Field): Omit<SheetPiece, 'column' | 'tier' | 'seamHolds'> | null {
  const { left, right } = wall.corners ?? { left: PLUMB, right: PLUMB }
  const middle = wall.height / 2
  const heights = [f.low, ...(f.low < middle && f.high > middle ? [middle] : []), f.high]
  const start = heights.map((z) => f.from + (f.first ? cornerAt(left, z, wall.height) : 0))
  const end = heights.map((z) => f.to + (f.last ? cornerAt(right, z, wall.height) : 0))
  const [x, far] = [Math.min(...start), Math.max(...end)]
  const tapered = [...start, ...end].some((v, i) => Math.abs(v - (i < start.length ? x : far)) > 1e-6)
  const outline = tapered
    ? polygon([...heights.map((z, i) => [end[i]! - x, z - f.low] as const), ...heights.map((z, i) => [start[i]! - x, z - f.low] as const).reverse()]) // prettier-ignore
    : rectangle(0, 0, far - x, f.high - f.low)
  const [width, height] = [far - x, f.high - f.low]
  const cutOuts = wall.things.filter((t) => CUT.includes(t.kind)).flatMap((t) => cutOutOf(t, { x, z: f.low, width, height }, shop)) // prettier-ignore
  if (cutOuts.some((c) => c.x1 - c.x0 > width - 1 && c.y1 - c.y0 > height - 1)) return null
  return {
    x,
    z: f.low,
    width,
    height,
    from: f.from,
    to: f.to,
    outline,
    cutOuts,
    screws: screwsOf(wall, shop, { ...f, x, far, cutOuts }),
  }
}

/** What of a thing, with room round it, lies in a sheet; none where it doesn't. */
function cutOutOf(t: Thing, s: { x: number; z: number; width: number; height: number }, shop: Shop): CutOut[] {
  const play = shop.settings.cutOutPlay
  const x0 = Math.max(0, t.x - play - s.x)
  const x1 = Math.min(s.width, t.x + t.width + play - s.x)
  const y0 = Math.max(0, t.z - play - s.z)
  const y1 = Math.min(s.height, t.z + t.height + play - s.z)
  return x1 - x0 > 1 && y1 - y0 > 1 ? [{ thing: t, x0, x1, y0, y1 }] : []
}

/** Screws on the studs behind a sheet: closer where its edge lies on one. */
function screwsOf(
  wall: Wall,
  { settings }: Shop,
  { x, far, from, to, low, high, cutOuts }: Field & { x: number; far: number; cutOuts: readonly CutOut[] },
): { x: number; z: number }[] {
  const onEdge = (s: number): boolean => Math.abs(s - from) < 1 || Math.abs(s - to) < 1
  return bearersOf(wall)
    .filter((s) => s > x - 1e-6 && s < far + 1e-6)
    .flatMap((s) => {
      const every = onEdge(s) ? settings.sheetEdgeSpacing : settings.sheetFieldSpacing
      const at = Math.min(Math.max(s, x + FROM_EDGE), far - FROM_EDGE)
      const [first, last] = [low + FROM_EDGE, high - FROM_EDGE]
      const gaps = Math.max(1, Math.ceil((last - first) / every - 1e-9))
      return Array.from({ length: gaps + 1 }, (_, i) => ({ x: at, z: first + (i * (last - first)) / gaps }))
    })
    .filter((p) => cutOuts.every((c) => p.x < x + c.x0 - 2 * FROM_EDGE || p.x > x + c.x1 + 2 * FROM_EDGE || p.z < low + c.y0 - 2 * FROM_EDGE || p.z > low + c.y1 + 2 * FROM_EDGE)) // prettier-ignore
}
