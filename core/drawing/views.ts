import { outlineBounds, unite, type Bounds, type Point } from '../geometry/outline'
import type { Tool } from '../footprint/tool'
import type { HolderModel } from '../model/model'
import { boardOf } from '../model/model'
import type { LengthFormat } from '../units/format-length'
import { frontDimensions, topDimensions } from './dimensions'
import { boardOutline, seatItem } from './project'
import type { BoardItem, SeatItem, View } from './view'

const TITLES: Record<View['name'], string> = { top: 'From above', front: 'From the front' }

const shifted = (box: Bounds, { x, y }: Point): Bounds => ({
  minX: box.minX + x,
  minY: box.minY + y,
  maxX: box.maxX + x,
  maxY: box.maxY + y,
})

/**
 * Draws a holder: boards and their openings, the seated tools as ghosts, and the dimensions.
 * Seen from above, the wall is at the top.
 * @returns views in mm, x right, y up
 */
export function holderViews(model: HolderModel, tools: ReadonlyMap<string, Tool>, format: LengthFormat): View[] {
  return (['top', 'front'] as const).map((name): View => {
    const boards = paintOrder(model, name).map((board): BoardItem => ({
      role: 'board',
      outline: boardOutline(board, name),
      board: board.id,
    }))
    const seats = model.seats.map((seat): SeatItem => {
      const board = boardOf(model, seat.board)
      const opening = board.openings.find((o) => o.id === seat.opening)!
      return seatItem(board, opening, seat, tools.get(seat.tool), name)
    })
    const boardBounds = unite(boards.map((b) => outlineBounds(b.outline)))!
    const ghosts = seats.flatMap(({ neck, ghost }) => ghost.map((g) => shifted(outlineBounds(g.outline), neck)))
    const drilled = model.boards.find((b) => b.openings.length > 0)
    return {
      name,
      title: TITLES[name],
      bounds: unite([boardBounds, ...ghosts])!,
      boardBounds,
      boards,
      seats,
      dimensions:
        name === 'top' ? (drilled ? topDimensions(drilled, model.working, format) : []) : frontDimensions(model.boards),
    }
  })
}

/** What is nearer to the eye is drawn later. */
function paintOrder(model: HolderModel, name: View['name']) {
  const near = (b: HolderModel['boards'][number]) => (name === 'top' ? b.placement.at.z : b.placement.at.y)
  return [...model.boards].sort((a, b) => near(a) - near(b))
}
