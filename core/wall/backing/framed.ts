import { bradsFor } from '../../forms/fastening/choose-fastener'
import { plainBoard } from '../../forms/plain-board'
import type { Board, Fastener, Joint } from '../../model/model'
import { newPiece } from '../../shop/pieces-of-stock'
import type { Shop, Stock } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import { bearersOf, frameOn } from '../holding'
import { FRAME_EDGE } from '../strips'
import type { Framed, Wall } from '../wall'
import { intoBoard, NOTHING, screwed, sheetStock, stripStock, thicknessOf, type Made } from './made'
import { trimRule } from './rules'
import { stripBoards } from './strips-up'

/** From screw to screw along a strip from behind, and from brad to brad along a moulding; from their ends. mm */
const SCREWS = 300
const BRADS = 250
const FROM_END = 40

/** Whether a panel comes out of a sheet, one way or the other; its grain runs along its length where it has any. */
export const fitsSheet = ({ width, height }: Framed, { length, width: wide, grain }: Stock): boolean => {
  const [l, w] = [length ?? Infinity, wide ?? Infinity]
  return (width <= l && height <= w) || (grain === 'none' && height <= l && width <= w)
}

/**
 * A panel that is made on the bench and hung as one piece: mouldings round its edges, bevelled strips screwed on from
 * behind, then screws through it into the studs, between its strips.
 */
export function framed(wall: Wall, shop: Shop, trail: Trail): Made {
  const [sheet, trim] = [sheetStock(shop), stripStock(shop)]
  const frame = frameOn(wall)
  if (!sheet || !trim || !fitsSheet(frame, { ...sheet, ...newPiece(shop, sheet) })) return NOTHING
  const t = thicknessOf(trail, sheet, 'sheet')
  const panel = panelBoard(trail, wall.id, frame, sheet)
  const edges = mouldings(trail, frame, trim, t)
  const strips = stripBoards(wall, shop, trail, t)
  const boards = [panel, ...edges, ...(strips?.boards ?? [])]
  const joints: Joint[] = []
  const fasteners: Fastener[] = []
  const join = (part: Board, by: Joint['by'], fixing: string, made: Fastener[]): void => {
    const order = joints.length + 1
    // a moulding is nailed through itself into the panel, a strip screwed through the panel from behind
    const parts: [string, string] = by === 'brads' || by === 'glue' ? [part.id, 'panel'] : ['panel', part.id]
    joints.push({ order, parts, glued: true, by, fixing })
    fasteners.push(...made.map((f) => ({ ...f, joint: order })))
  }
  for (const edge of edges) {
    const brads = bradded(shop, edge, frame, t)
    join(edge, brads.length > 0 ? 'brads' : 'glue', 'Glue, and brads through the moulding into the panel’s edge, its face flush with the panel’s', brads) // prettier-ignore
  }
  strips?.boards.forEach((strip, i) => {
    const z = strips.pieces[i]!.low + strips.body / 2
    join(strip, 'screws', 'Glue, and screws from behind through the panel into the body of the strip, the bevel up and away from the panel', fromBehind(shop, strip, z, t)) // prettier-ignore
  })
  return { boards, joints, fasteners: [...fasteners, ...toTheWall(wall, shop, panel, frame, strips?.pieces.map((p) => p.high) ?? [])] } // prettier-ignore
}

function panelBoard(trail: Trail, wall: string, { x, z, width, height }: Framed, stock: Stock): Board {
  const drawn = (id: string, label: string, value: number): number => trail.given(id, label, value, { kind: 'wall', id: wall, key: 'frame' }) // prettier-ignore
  const length = drawn('panel:wide', 'Panel, along the wall', width)
  const high = drawn('panel:high', 'Panel, height', height)
  return plainBoard(stock, {
    id: 'panel',
    name: 'Panel',
    role: 'panel',
    length,
    width: high,
    placement: { lies: 'upright', at: { x, y: 0, z } },
    figures: { length: 'panel:wide', width: 'panel:high', thickness: 'thickness:sheet' },
  })
}

function mouldings(trail: Trail, { x, z, width, height }: Framed, stock: Stock, deep: number): Board[] {
  const t = trail.given('thickness:trim', 'Thickness of the mouldings', stock.thickness, { kind: 'stock', id: stock.id, key: 'thickness' }, { note: stock.name }) // prettier-ignore
  const long = trail.derive('trim:long', 'Moulding above and below, length', width + 2 * t, trimRule, '{panel:wide} + 2 × {thickness:trim}') // prettier-ignore
  const figures = (length: string): Board['figures'] => ({ length, width: 'thickness:sheet', thickness: 'thickness:trim' }) // prettier-ignore
  const over = (id: string, name: string, at: number): Board =>
    plainBoard(stock, { id, name, role: 'lip', length: long, width: deep, placement: { lies: 'flat', at: { x: x - t, y: 0, z: at } }, figures: figures('trim:long') }) // prettier-ignore
  const beside = (id: string, name: string, at: number): Board =>
    plainBoard(stock, { id, name, role: 'lip', length: height, width: deep, placement: { lies: 'post', at: { x: at, y: 0, z } }, figures: figures('panel:high') }) // prettier-ignore
  return [beside('trim-left', 'Left moulding', x - t), beside('trim-right', 'Right moulding', x + width), over('trim-below', 'Lower moulding', z), over('trim-above', 'Upper moulding', z + height + t)] // prettier-ignore
}

/** Places along a length, no further apart than so much. */
function along(from: number, to: number, every: number): number[] {
  const [a, b] = [from + FROM_END, to - FROM_END]
  if (b <= a) return [(from + to) / 2]
  const gaps = Math.max(1, Math.ceil((b - a) / every - 1e-9))
  return Array.from({ length: gaps + 1 }, (_, i) => a + (i * (b - a)) / gaps)
}

function bradded(shop: Shop, edge: Board, { x, z, width, height }: Framed, deep: number): Fastener[] {
  const [brad] = bradsFor({ side: edge.thickness, room: 60, edge: deep / 2 }, shop)
  if (!brad) return []
  const kind = { kind: 'brad' as const, item: brad.id, name: brad.name, diameter: brad.thickness, length: brad.length, gauge: null, side: edge.thickness, bite: brad.length - edge.thickness, endGrain: false, pilot: null, through: edge.id, into: 'panel', joint: null } // prettier-ignore
  const upright = edge.placement.lies === 'post'
  const [left, low] = [edge.id === 'trim-left', edge.id === 'trim-below']
  const places = upright ? along(z, z + height, BRADS) : along(x, x + width, BRADS)
  return places.map((p, i) => ({
    ...kind,
    id: `${edge.id}-${i + 1}`,
    at: upright
      ? { x: left ? x - edge.thickness : x + width + edge.thickness, y: deep / 2, z: p }
      : { x: p, y: deep / 2, z: low ? z - edge.thickness : z + height + edge.thickness },
    toward: upright ? { x: left ? 1 : -1, y: 0, z: 0 } : { x: 0, y: 0, z: low ? 1 : -1 },
  }))
}

function fromBehind(shop: Shop, strip: Board, z: number, t: number): Fastener[] {
  const screw = intoBoard(shop, t, strip, { room: strip.thickness, edge: 15 })
  if (!screw) return []
  const { x } = strip.placement.at
  return along(x, x + strip.length, SCREWS).map((p, i) => ({ ...screw, id: `${strip.id}-behind-${i + 1}`, at: { x: p, y: 0, z }, toward: { x: 0, y: 1, z: 0 }, through: 'panel' })) // prettier-ignore
}

/** Screws through the panel on each stud: below the lowest strip, above the highest, and over every other one between. */
function toTheWall(wall: Wall, shop: Shop, panel: Board, { x, z, width, height }: Framed, highs: number[]): Fastener[] {
  const rows = [...new Set(highs)].sort((a, b) => a - b)
  const between = rows.slice(0, -1).filter((_, i) => i % 2 === 0).map((high) => high + wall.strips.gap / 2) // prettier-ignore
  const heights = [z + FRAME_EDGE / 2, ...between, z + height - FRAME_EDGE / 2]
  const columns = bearersOf(wall).filter((s) => s > x + FROM_END / 2 && s < x + width - FROM_END / 2)
  return screwed(wall, shop, panel, columns.flatMap((s) => heights.map((h) => ({ x: s, z: h })))) // prettier-ignore
}
