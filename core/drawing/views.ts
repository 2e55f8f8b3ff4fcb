import { outlineBounds, unite, type Bounds, type Point } from '../geometry/outline'
import type { Tool } from '../footprint/tool'
import { bodiesOf, boardOf, type Board, type HolderModel } from '../model/model'
import { boardBox, rodBox, type Box } from '../model/standing'
import type { LengthFormat } from '../units/format-length'
import { faceDimensions, sideDimensions, frontDimensions } from './dimensions'
import { boardOutline, FACE_ON, openingItem, rodOutline, seatItem } from './project'
import type { BoardItem, Dimension, SeatItem, View } from './view'

const TITLES: Record<View['name'], string> = { top: 'From above', front: 'From the front', side: 'From the side' }

const shifted = (box: Bounds, { x, y }: Point): Bounds => ({
  minX: box.minX + x,
  minY: box.minY + y,
  maxX: box.maxX + x,
  maxY: box.maxY + y,
})

/**
 * Draws a holder: boards and their openings, rods, the seated tools as ghosts, and the dimensions.
 * Seen from above, the wall is at the top; from the side, at the left.
 * @returns views in mm, x right, y up
 */
export function holderViews(model: HolderModel, tools: ReadonlyMap<string, Tool>, format: LengthFormat): View[] {
  return (['top', 'front', 'side'] as const).map((name): View => {
    const boards = paintOrder(model, name)
    const seats = [
      ...model.seats.map((seat) => seatItem(boardOf(model, seat.board), seat, tools.get(seat.tool), name)),
      ...socketItems(model, name),
    ]
    const boardBounds = unite(boards.map((b) => outlineBounds(b.outline)))!
    const ghosts = seats.flatMap(({ neck, ghost }) => ghost.map((g) => shifted(outlineBounds(g.outline), neck)))
    return {
      name,
      title: TITLES[name],
      bounds: unite([boardBounds, ...ghosts])!,
      boardBounds,
      boards,
      seats,
      dimensions: dimensionsOf(model, name, format),
    }
  })
}

/**
 * Openings that belong to no seat, or let something below a tool through that stands on their board, in the views in which they
 * are seen face on.
 */
const socketItems = (model: HolderModel, name: View['name']): SeatItem[] =>
  model.boards
    .filter((board) => FACE_ON[board.placement.lies] === name)
    .flatMap((board) => {
      const standing = model.seats.filter((s) => s.board === board.id && s.opening === null).map((s) => s.id)
      return board.openings
        .filter((o) => o.seat === null || standing.includes(o.seat))
        .map((o) => ({ seat: null, ...openingItem(board, o, name), neck: { x: 0, y: 0 }, ghost: [] }))
    })

/** The dimensions of the first drilled board that is seen face on, and the sizes of the others. */
function dimensionsOf(model: HolderModel, name: View['name'], format: LengthFormat): Dimension[] {
  const faceOn = (b: Board): boolean =>
    b.openings.length > 0 && b.placement.lies !== 'post' && FACE_ON[b.placement.lies] === name
  const drilled = model.boards.find(faceOn)
  const face = drilled ? faceDimensions(drilled, model.working, format) : []
  if (name === 'top') return face.length > 0 ? face : plainFromAbove(model, format)
  const sizes = name === 'front' ? frontDimensions(model.boards, face) : sideDimensions(model)
  return [...face, ...sizes.filter((d) => !face.some((f) => f.figure === d.figure))]
}

/** Length and width of the largest flat board where none is drilled. */
function plainFromAbove(model: HolderModel, format: LengthFormat): Dimension[] {
  const [flat] = model.boards
    .filter((b) => b.placement.lies === 'flat')
    .sort((a, b) => b.length * b.width - a.length * a.width)
  return flat ? faceDimensions(flat, model.working, format) : []
}

/** What is nearer to the eye is drawn later. */
function paintOrder(model: HolderModel, name: View['name']): BoardItem[] {
  const near = ({ x, y, z }: Box): number => (name === 'top' ? z[1] : name === 'front' ? y[1] : x[1])
  const bought = new Set((model.bought ?? []).flatMap((b) => (b.bodies ?? []).map((body) => body.id)))
  const parts = [
    ...bodiesOf(model).map((b) => ({ id: b.id, near: near(boardBox(b)), outline: boardOutline(b, name) })),
    ...model.rods.map((r) => ({ id: r.id, near: near(rodBox(r)), outline: rodOutline(r, name) })),
  ]
  return parts
    .sort((a, b) => a.near - b.near)
    .map(({ id, outline }): BoardItem => ({ role: 'board', outline, board: id, ...(bought.has(id) ? { bought: true } : {}) })) // prettier-ignore
}
