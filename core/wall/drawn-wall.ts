import type { Design } from '../choose/design'
import { boardOutline } from '../drawing/project'
import { holderViews } from '../drawing/views'
import { boardBox } from '../model/standing'
import { moved, rectangle, type Outline, type Point } from '../geometry/outline'
import type { Shop } from '../shop/shop'
import { formatLength } from '../units/format-length'
import { wallDesign } from './backing/wall-model'
import { at, wallPiece } from './extent'
import { placedOn, postsHit } from './may-hang'
import { rowAt, rowsOn } from './strips'
import type { Wall } from './wall'

/** What a line on a wall's drawing is; the layers of its files are called so. */
export const WALL_LAYERS = ['wall', 'stud', 'thing', 'backing', 'holder', 'tool', 'screw'] as const
export type WallLayer = (typeof WALL_LAYERS)[number]

/** A wall from the front: mm from its left corner and the floor, x right, y up. */
export interface DrawnWall {
  outlines: { layer: WallLayer; outline: Outline }[]
  lines: { layer: WallLayer; from: Point; to: Point }[]
  dots: { layer: WallLayer; at: Point }[]
  texts: { layer: WallLayer; at: Point; text: string }[]
}

/** Where one holder hangs, as it is set out. mm */
export interface Located {
  holder: string
  name: string
  left: number
  right: number
  top: number
  bottom: number
  /** number of the strip it hangs on from below; null where it hangs on none */
  strip: number | null
  /** studs that its screws go into */
  studs: number[]
}

/** Where everything hangs, from the left. */
export function locating(wall: Wall, designs: ReadonlyMap<string, Design>, shop: Shop): Located[] {
  const pieces = [...designs.values()].flatMap((d) => wallPiece(d) ?? [])
  const rows = rowsOn(wall, shop)
  return placedOn(wall, pieces)
    .map(({ hung, piece }): Located => {
      const { x0, x1, z0, z1 } = at(piece.boards, hung.x, hung.z)
      return { holder: piece.holder, name: piece.name, left: x0, right: x1, top: z1, bottom: z0, strip: rowAt(rows, piece, hung.z, shop), studs: postsHit(wall, piece, hung.x) } // prettier-ignore
    })
    .sort((a, b) => a.left - b.left)
}

/** Draws a wall with what it is covered with and what hangs on it. @param designs of its holders, by their ids */
export function drawnWall(wall: Wall, designs: ReadonlyMap<string, Design>, shop: Shop): DrawnWall {
  const drawn: DrawnWall = { outlines: [], lines: [], dots: [], texts: [] }
  drawn.outlines.push({ layer: 'wall', outline: rectangle(0, 0, wall.width, wall.height) })
  for (const s of wall.studs) drawn.lines.push({ layer: 'stud', from: { x: s, y: 0 }, to: { x: s, y: wall.height } })
  const backing = wallDesign(wall, shop).model
  for (const b of backing?.boards ?? []) {
    const { x, z } = b.placement.at
    drawn.outlines.push({ layer: 'backing', outline: boardOutline(b, 'front') })
    for (const o of b.openings) drawn.outlines.push({ layer: 'backing', outline: moved(o.outline, x, z) })
    drawn.texts.push({
      layer: 'backing',
      at: { x: x + 20, y: (boardBox(b).z[0] + boardBox(b).z[1]) / 2 },
      text: b.name,
    })
  }
  for (const f of backing?.fasteners ?? []) drawn.dots.push({ layer: 'screw', at: { x: f.at.x, y: f.at.z } })
  for (const t of wall.things) {
    drawn.outlines.push({ layer: 'thing', outline: rectangle(t.x, t.z, t.x + t.width, t.z + t.height) })
    drawn.texts.push({ layer: 'thing', at: { x: t.x + 10, y: t.z + t.height / 2 }, text: t.name || t.kind })
  }
  for (const { holder, x, z } of wall.hung) {
    const d = designs.get(holder)
    if (!d?.model) continue
    const view = holderViews(d.model, d.input.tools, shop).find((v) => v.name === 'front')!
    const [dx, dy] = [x - view.boardBounds.minX, z - view.boardBounds.minY]
    for (const b of view.boards) drawn.outlines.push({ layer: 'holder', outline: moved(b.outline, dx, dy) })
    for (const s of view.seats) for (const g of s.ghost) drawn.outlines.push({ layer: 'tool', outline: moved(g.outline, dx + s.neck.x, dy + s.neck.y) }) // prettier-ignore
    drawn.texts.push({ layer: 'holder', at: { x: x + 5, y: view.boardBounds.maxY + dy + 15 }, text: `${d.model.name} at ${formatLength(x, shop)}` }) // prettier-ignore
  }
  return drawn
}
