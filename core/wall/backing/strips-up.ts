import { pairRule } from '../../forms/hanging'
import { plainBoard } from '../../forms/plain-board'
import type { Board } from '../../model/model'
import { newPiece } from '../../shop/pieces-of-stock'
import type { Shop, Stock } from '../../shop/shop'
import { rippingSaw } from '../../shop/usual-choice'
import type { Trail } from '../../working/trail'
import { stripWidth } from '../strips'
import type { Wall } from '../wall'
import { lengthText, NOTHING, screwed, stripStock, thicknessOf, type Made } from './made'
import { pieceRule } from './rules'
import { stripPieces, type StripPiece } from './strip-pieces'

/** Strips on a wall, each with where it is, and how high of each the bevel leaves whole; mm. */
export interface StripsUp {
  boards: Board[]
  pieces: StripPiece[]
  body: number
}

/** Bevelled strips on studs, or on what is between so thick; mm. */
export function strips(wall: Wall, shop: Shop, trail: Trail, behind = 0): Made {
  const made = stripBoards(wall, shop, trail, behind)
  if (!made) return NOTHING
  const { boards, pieces, body } = made
  return { boards, fasteners: pieces.flatMap((p, i) => screwed(wall, shop, boards[i]!, p.screws.map((x) => ({ x, z: p.low + body / 2 })), behind)) } // prettier-ignore
}

/** Bevelled strips as boards; null where the shop has no stock for them. @param behind what is between them and the wall, mm */
export function stripBoards(wall: Wall, shop: Shop, trail: Trail, behind: number): StripsUp | null {
  const stock = stripStock(shop)
  if (!stock) return null
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
  const pieces = stripPieces(wall, shop, newPiece(shop, stock).length)
  const body = wide - stock.thickness * Math.tan((tilt * Math.PI) / 180)
  const boards = pieces.map((p) => stripBoard(trail, wall, p, stock, wide, tilt, behind))
  return { boards, pieces, body }
}

function stripBoard(
  trail: Trail,
  wall: Wall,
  p: StripPiece,
  stock: Stock,
  wide: number,
  tilt: number,
  behind: number,
): Board {
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
    placement: { lies: 'upright', at: { x: p.from, y: behind, z: p.low } },
    figures: { length: `${id}:long`, width: 'stripFace', thickness: 'thickness:strip' },
  })
}
