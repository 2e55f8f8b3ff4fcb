import type { Design } from '../../choose/design'
import type { Verdict } from '../../checks/verdict'
import { pilotFor, screwDiameter } from '../../fit/screw'
import { screwsFor } from '../../forms/fastening/choose-fastener'
import { plainBoard } from '../../forms/plain-board'
import { rectangle } from '../../geometry/outline'
import { MODEL_VERSION, WALL_FORM, type Board, type Fastener, type HolderModel, type Opening } from '../../model/model'
import type { Shop, Stock } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import { Trail } from '../../working/trail'
import { rowsOn, stripWidth } from '../strips'
import type { Wall } from '../wall'
import { rippingSaw } from '../../shop/usual-choice'
import { pairRule } from '../../forms/hanging'
import { cutOutRule, pieceRule, sheetHeightRule, sheetRule } from './rules'
import { sheetPieces, type SheetPiece } from './sheet-pieces'
import { stripPieces, type StripPiece } from './strip-pieces'

/** The sheet that covers a wall, and the board its strips are ripped from: the shop's nearest; null where it has none. */
export const sheetStock = (shop: Shop): Stock | null => shop.stock.find((s) => s.form === 'sheet') ?? null
export const stripStock = (shop: Shop): Stock | null =>
  shop.stock
    .filter((s) => s.form === 'board' || s.form === 'sheet')
    .reduce<Stock | null>((best, s) => (best && Math.abs(best.thickness - shop.settings.stripThickness) <= Math.abs(s.thickness - shop.settings.stripThickness) ? best : s), null) // prettier-ignore

/**
 * What goes up on a wall before any holder: sheets or bevelled strips with their screws, as a model like a holder's, so
 * that it is cut, worked off and taken along like one. Its parts stand where they are on the wall, from its left corner
 * and the floor.
 */
export function wallDesign(wall: Wall, shop: Shop): Design {
  const trail = new Trail()
  const measured = (key: 'width' | 'height', label: string): number => trail.given(`wall:${key}`, label, wall[key], { kind: 'wall', id: wall.id, key }) // prettier-ignore
  measured('width', 'Width of the wall')
  measured('height', 'Height of the wall')
  wall.studs.forEach((s, i) =>
    trail.given(`stud:${i}`, `Stud ${i + 1}`, s, { kind: 'wall', id: wall.id, key: 'studs' }),
  )
  const made = wall.holds === 'panel' ? sheets(wall, shop, trail) : wall.holds === 'strips' ? strips(wall, shop, trail) : { boards: [], fasteners: [] } // prettier-ignore
  const working = trail.all()
  const model: HolderModel | null = made.boards.length === 0 ? null : {
    version: MODEL_VERSION,
    form: WALL_FORM,
    name: wall.name,
    boards: made.boards,
    rods: [],
    reach: { value: Math.max(...made.boards.map((b) => b.thickness)), formula: String(Math.max(...made.boards.map((b) => b.thickness))) }, // prettier-ignore
    joints: [],
    fasteners: made.fasteners,
    seats: [],
    working,
  } // prettier-ignore
  const holder = { id: wall.id, name: wall.name, form: WALL_FORM, seats: [], choices: {} }
  return { input: { shop, tools: new Map(), holder }, model, working, verdicts: told(wall, shop, model), refusals: [] }
}

/** How far it is from one place on the wall to another, by the studs and ends that they are. */
function lengthText(wall: Wall, from: number, to: number): string {
  const place = (x: number): string => {
    const stud = wall.studs.findIndex((s) => Math.abs(s - x) < 1e-9)
    return stud >= 0 ? `{stud:${stud}}` : Math.abs(x - wall.width) < 1e-9 ? '{wall:width}' : String(x)
  }
  return from === 0 ? place(to) : `${place(to)} − ${place(from)}`
}

/** A part of a formula that is added, none for nought. */
const plus = (v: number): string => (Math.abs(v) < 1e-9 ? '' : v > 0 ? ` + ${v}` : ` − ${-v}`)

interface Made {
  boards: Board[]
  fasteners: Fastener[]
}

/** The screw for a board on the studs; null where the shop has none that is long enough. */
function studScrew(shop: Shop, thickness: number): Omit<Fastener, 'id' | 'at' | 'toward' | 'through'> | null {
  const { wallLining, studDepth, wallDensity } = shop.settings
  const side = thickness + wallLining
  const [screw] = screwsFor({ side, room: studDepth, edge: 15 }, shop)
  if (!screw) return null
  return { kind: 'screw', item: screw.id, name: screw.name, diameter: screwDiameter(screw.gauge), length: screw.length, gauge: screw.gauge, into: null, side, bite: Math.min(screw.length - side, studDepth), endGrain: false, pilot: pilotFor(screw.gauge, wallDensity), joint: null } // prettier-ignore
}

function screwed(shop: Shop, board: Board, places: readonly { x: number; z: number }[]): Fastener[] {
  const kind = studScrew(shop, board.thickness)
  return kind === null ? [] : places.map((p, i) => ({ ...kind, id: `${board.id}-${i + 1}`, through: board.id, at: { x: p.x, y: board.thickness, z: p.z }, toward: { x: 0, y: -1, z: 0 } })) // prettier-ignore
}

function sheets(wall: Wall, shop: Shop, trail: Trail): Made {
  const stock = sheetStock(shop)
  if (!stock) return { boards: [], fasteners: [] }
  thicknessOf(trail, stock, 'sheet')
  const pieces = sheetPieces(wall, shop, stock)
  const boards = pieces.map((p) => sheetBoard(trail, wall, p, stock))
  return { boards, fasteners: pieces.flatMap((p, i) => screwed(shop, boards[i]!, p.screws)) }
}

const thicknessOf = (trail: Trail, stock: Stock, part: string): number =>
  trail.given(`thickness:${part}`, `Thickness of the ${part}s`, stock.thickness, { kind: 'stock', id: stock.id, key: 'thickness' }, { note: stock.name }) // prettier-ignore

function sheetBoard(trail: Trail, wall: Wall, p: SheetPiece, stock: Stock): Board {
  const id = p.tier === 1 ? `sheet-${p.column}` : `sheet-${p.column}-${p.tier}`
  const name = p.tier === 1 ? `Sheet ${p.column}` : `Sheet ${p.column}, above`
  const wide = trail.derive(
    `${id}:wide`,
    `${name}, along the wall`,
    p.width,
    sheetRule,
    `${lengthText(wall, p.from, p.to)}${plus(p.width - (p.to - p.from))}`,
  )
  const high = trail.derive(
    `${id}:high`,
    `${name}, height`,
    p.height,
    sheetHeightRule,
    Math.abs(p.z + p.height - wall.height) < 1e-6 ? `{wall:height}${plus(-p.z)}` : String(p.height),
  )
  const openings = p.cutOuts.map((c, n): Opening => {
    const at = { x: (c.x0 + c.x1) / 2, y: (c.y0 + c.y1) / 2 }
    const key = `${id}:cut-${n + 1}`
    const what = c.thing.name || `the ${c.thing.kind}`
    trail.derive(`${key}:x`, `Cut-out for ${what}, middle from the sheet’s left edge`, at.x, cutOutRule, String(at.x))
    trail.derive(`${key}:y`, `Cut-out for ${what}, middle from its lower edge`, at.y, cutOutRule, String(at.y))
    trail.derive(`${key}:w`, `Cut-out for ${what}, width`, c.x1 - c.x0, cutOutRule, String(c.x1 - c.x0), {
      print: 'up',
    })
    return {
      id: `cut-${n + 1}`,
      kind: 'slot',
      seat: null,
      centre: at,
      width: c.x1 - c.x0,
      radius: 0,
      outline: rectangle(c.x0, c.y0, c.x1, c.y1),
      opensTo: null,
      depth: null,
      slant: 0,
      dust: null,
      cut: 'sawn',
      bores: [],
      figures: { x: `${key}:x`, y: `${key}:y`, width: `${key}:w`, end: `${key}:w` },
    }
  })
  return plainBoard(stock, {
    id,
    name,
    role: 'panel',
    length: wide,
    width: high,
    outline: p.outline,
    openings,
    placement: { lies: 'upright', at: { x: p.x, y: 0, z: p.z } },
    figures: { length: `${id}:wide`, width: `${id}:high`, thickness: 'thickness:sheet' },
  })
}

function strips(wall: Wall, shop: Shop, trail: Trail): Made {
  const stock = stripStock(shop)
  if (!stock) return { boards: [], fasteners: [] }
  thicknessOf(trail, stock, 'strip')
  const tilt = shop.settings.stripBevel
  trail.given('stripBevel', 'Bevel of the strips', tilt, { kind: 'shop', key: 'stripBevel' }, { quantity: 'angle' })
  trail.given('stripWidth', 'Strips out of a board', shop.settings.stripWidth, { kind: 'shop', key: 'stripWidth' })
  trail.given('stripThickness', 'Thickness of the shop’s strips', shop.settings.stripThickness, {
    kind: 'shop',
    key: 'stripThickness',
  })
  const blade = rippingSaw(shop, tilt)
  if (blade) trail.given('stripKerf', `Kerf of ${blade.name}`, blade.kerf, { kind: 'saw', id: blade.id })
  const wide = stripWidth(shop)
  trail.derive(
    'stripFace',
    'Wide face of a strip',
    wide,
    pairRule,
    `({stripWidth} + {stripThickness} × tan({stripBevel})${blade ? ' − {stripKerf} / cos({stripBevel})' : ''}) / 2`,
  )
  const pieces = stripPieces(wall, shop, stock.length ?? shop.settings.longestBoard)
  const body = wide - stock.thickness * Math.tan((tilt * Math.PI) / 180)
  const boards = pieces.map((p) => stripBoard(trail, wall, p, stock, wide, tilt))
  return { boards, fasteners: pieces.flatMap((p, i) => screwed(shop, boards[i]!, p.screws.map((x) => ({ x, z: p.low + body / 2 })))) } // prettier-ignore
}

function stripBoard(trail: Trail, wall: Wall, p: StripPiece, stock: Stock, wide: number, tilt: number): Board {
  const id = `strip-${p.row}-${p.place}`
  const name = `Strip ${p.row}.${p.place}`
  const long = trail.derive(`${id}:long`, `${name}, length`, p.to - p.from, pieceRule, lengthText(wall, p.from, p.to)) // prettier-ignore
  return plainBoard(stock, {
    id,
    name,
    role: 'strip',
    length: long,
    width: wide,
    bevel: { edge: 'upper', tilt },
    placement: { lies: 'upright', at: { x: p.from, y: 0, z: p.low } },
    figures: { length: `${id}:long`, width: 'stripFace', thickness: 'thickness:strip' },
  })
}

/** What has to be known before a wall is covered, in plain words. */
function told(wall: Wall, shop: Shop, model: HolderModel | null): Verdict[] {
  const say = (id: string, level: Verdict['level'], says: string): Verdict => ({ id, check: 'wall', title: 'Wall', level, says, seats: [], candidates: [] }) // prettier-ignore
  if (wall.holds === 'studs') return []
  const found: Verdict[] = []
  const what = wall.holds === 'panel' ? 'Sheets' : 'Strips'
  if (wall.studs.length === 0) found.push(say('no studs', 'stop', `${what} are screwed into studs: find them first. For masonry or metal studs take the fixings that their makers name.`)) // prettier-ignore
  if (wall.studs.length === 1) found.push(say('one stud', 'watch', `One stud alone carries everything: look for the next ones, or frame the wall out.`)) // prettier-ignore
  if (!model) return [...found, say('nothing', 'stop', wall.holds === 'panel' ? 'The shop has no sheet to cover this wall with.' : rowsOn(wall, shop).length === 0 ? 'No strip finds room between the lowest one and the top.' : 'Nothing is left of the strips: what is on the wall is in their way.')] // prettier-ignore
  if (wall.studs.length > 0 && model.fasteners.length === 0) found.push(say('no screw', 'stop', `No screw you own goes through ${formatLength(model.boards[0]!.thickness, shop)} and a lining of ${formatLength(shop.settings.wallLining, shop)} far enough into a stud.`)) // prettier-ignore
  const loose = wall.holds === 'strips' ? model.boards.filter((b) => new Set(model.fasteners.filter((f) => f.through === b.id).map((f) => f.at.x)).size < 2) : [] // prettier-ignore
  if (loose.length > 0 && model.fasteners.length > 0) found.push(say('loose strips', 'watch', `${loose.map((b) => b.name).join(', ')}: on fewer than two studs. Leave them out, or hang nothing heavy there.`)) // prettier-ignore
  const seams = wall.holds === 'panel' && sheetStock(shop) ? sheetPieces(wall, shop, sheetStock(shop)!).filter((p) => !p.seamHolds) : [] // prettier-ignore
  if (seams.length > 0) found.push(say('seams', 'watch', 'A seam between two sheets lies on no stud: screw a batten behind it, or cut a sheet back.')) // prettier-ignore
  return found
}
