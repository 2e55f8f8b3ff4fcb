import { unite } from '../geometry/outline'
import type { Tool } from '../footprint/tool'
import type { HolderModel } from '../model/model'
import type { LengthFormat } from '../units/format-length'
import { frontDimensions, topDimensions } from './dimensions'
import { boardOpenings, boardOutline, boxesOf, ghost } from './project'
import type { OutlineItem, View } from './view'

const TITLES: Record<View['name'], string> = { top: 'From above', front: 'From the front' }

/**
 * Draws a holder: boards and their openings, the seated tools as ghosts, and the dimensions.
 * Seen from above, the wall is at the top.
 * @returns views in mm, x right, y up
 */
export function holderViews(model: HolderModel, tools: ReadonlyMap<string, Tool>, format: LengthFormat): View[] {
  return (['top', 'front'] as const).map((name): View => {
    const openings = model.boards.map((board) => boardOpenings(board, name))
    const boards: OutlineItem[] = paintOrder(model, name).map((board) => ({
      role: 'board',
      outline: boardOutline(board, name),
      board: board.id,
      seat: null,
    }))
    const ghosts = model.seats.flatMap((seat) => {
      const tool = tools.get(seat.tool)
      return tool ? ghost(seat, tool, name) : []
    })
    const flat = model.boards.find((b) => b.openings.length > 0)
    return {
      name,
      title: TITLES[name],
      bounds: unite(boxesOf([...boards, ...ghosts]))!,
      outlines: [...boards, ...openings.flatMap((o) => o.outlines), ...ghosts],
      lines: openings.flatMap((o) => o.lines),
      dimensions:
        name === 'top' ? (flat ? topDimensions(flat, model.working, format) : []) : frontDimensions(model.boards),
    }
  })
}

/** What is nearer to the eye is drawn later. */
function paintOrder(model: HolderModel, name: View['name']) {
  const near = (b: HolderModel['boards'][number]) => (name === 'top' ? b.placement.at.z : b.placement.at.y)
  return [...model.boards].sort((a, b) => near(a) - near(b))
}
