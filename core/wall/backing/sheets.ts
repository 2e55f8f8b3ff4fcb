import { plainBoard } from '../../forms/plain-board'
import { rectangle } from '../../geometry/outline'
import type { Board, Opening } from '../../model/model'
import type { Shop, Stock } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import type { Wall } from '../wall'
import { lengthText, NOTHING, plus, screwed, sheetStock, thicknessOf, type Made } from './made'
import { cutOutRule, sheetHeightRule, sheetRule } from './rules'
import { sheetPieces, type SheetPiece } from './sheet-pieces'

/** Sheets over the whole wall, their seams on studs. */
export function sheets(wall: Wall, shop: Shop, trail: Trail): Made {
  const stock = sheetStock(shop)
  if (!stock) return NOTHING
  thicknessOf(trail, stock, 'sheet')
  const pieces = sheetPieces(wall, shop, stock)
  const boards = pieces.map((p) => sheetBoard(trail, wall, p, stock))
  return { boards, fasteners: pieces.flatMap((p, i) => screwed(wall, shop, boards[i]!, p.screws)) }
}

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
