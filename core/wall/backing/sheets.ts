import { plainBoard } from '../../forms/plain-board'
import { rectangle } from '../../geometry/outline'
import type { Board, Opening } from '../../model/model'
import { SETTINGS } from '../../shop/settings'
import type { Shop, Stock } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import type { ThingKind, Wall } from '../wall'
import { lengthText, NOTHING, plus, screwed, sheetStock, thicknessOf, type Made } from './made'
import { cutOutRule, sheetHeightRule, sheetRule } from './rules'
import { sheetPieces, type CutOut, type SheetPiece } from './sheet-pieces'

/** Sheets over the whole wall, their seams on studs. */
export function sheets(wall: Wall, shop: Shop, trail: Trail): Made {
  const stock = sheetStock(shop)
  if (!stock) return NOTHING
  thicknessOf(trail, stock, 'sheet')
  const pieces = sheetPieces(wall, shop, stock)
  const boards = pieces.map((p) => sheetBoard(trail, shop, wall, p, stock))
  return { boards, fasteners: pieces.flatMap((p, i) => screwed(wall, shop, boards[i]!, p.screws)) }
}

/** What a sheet is cut out for. */
const LETS: Partial<Record<ThingKind, Opening['lets']>> = { outlet: 'an outlet', switch: 'a switch', window: 'a window', door: 'a door' } // prettier-ignore

function sheetBoard(trail: Trail, shop: Shop, wall: Wall, p: SheetPiece, stock: Stock): Board {
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
    Math.abs(p.z + p.height - wall.height) < 1e-6 ? `{wall:height}${plus(-p.z)}` : `[${p.height} mm]`,
  )
  const openings = p.cutOuts.map((c, n): Opening => {
    const at = { x: (c.x0 + c.x1) / 2, y: (c.y0 + c.y1) / 2 }
    const key = `${id}:cut-${n + 1}`
    const what = c.thing.name || `the ${c.thing.kind}`
    cutOutFigures(trail, shop, wall, p, c, key, what)
    return {
      id: `cut-${n + 1}`,
      kind: 'slot',
      seat: null,
      lets: LETS[c.thing.kind],
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

/** A cut-out's figures, back to what was measured on the wall; one that a sheet's edge cuts off is told as it is. */
function cutOutFigures(
  trail: Trail,
  shop: Shop,
  wall: Wall,
  p: SheetPiece,
  c: CutOut,
  key: string,
  what: string,
): void {
  const { thing } = c
  const measured = (of: 'x' | 'z' | 'width' | 'height', label: string): string => {
    const id = `thing:${thing.id}:${of}`
    if (!trail.has(id)) trail.given(id, `${what}: ${label}`, thing[of], { kind: 'wall', id: wall.id, key: 'things' })
    return `{${id}}`
  }
  const [x, width] = [measured('x', 'from the left'), measured('width', 'width')]
  const [z, height] = [measured('z', 'over the floor'), measured('height', 'height')]
  const whole = (low: number, high: number, at: number, size: number): boolean => Math.abs((low + high) / 2 - at - size / 2) < 1e-6 // prettier-ignore
  const [wide, high] = [whole(c.x0, c.x1, thing.x - p.x, thing.width), whole(c.y0, c.y1, thing.z - p.z, thing.height)]
  const { label, quantity } = SETTINGS.cutOutPlay
  const play = trail.given(
    'cutOutPlay',
    label,
    shop.settings.cutOutPlay,
    { kind: 'shop', key: 'cutOutPlay' },
    { quantity },
  )
  const [atX, atY] = [(c.x0 + c.x1) / 2, (c.y0 + c.y1) / 2]
  trail.derive(`${key}:x`, `Cut-out for ${what}, middle from the sheet’s left edge`, atX, cutOutRule, wide ? `${x} + ${width} / 2 − [${p.x} mm]` : `[${atX} mm]`) // prettier-ignore
  trail.derive(`${key}:y`, `Cut-out for ${what}, middle from its lower edge`, atY, cutOutRule, high ? `${z} + ${height} / 2 − [${p.z} mm]` : `[${atY} mm]`) // prettier-ignore
  trail.derive(`${key}:w`, `Cut-out for ${what}, width`, c.x1 - c.x0, cutOutRule, Math.abs(c.x1 - c.x0 - thing.width - 2 * play) < 1e-6 ? `${width} + 2 × {cutOutPlay}` : `[${c.x1 - c.x0} mm]`, { print: 'up' }) // prettier-ignore
}
