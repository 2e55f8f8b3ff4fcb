import { outlineBounds } from '../../geometry/outline'
import type { Board, Opening } from '../../model/model'
import { openingNames } from '../../model/opening-name'
import type { LengthFormat } from '../../units/format-length'
import { EDGES } from '../marks'
import { running, upper } from './words'

/** Sides nearer than this lie on the board's edge, mm. */
const ON_EDGE = 1e-6

/** Whether an opening is cut out square, as for an outlet. */
export const isCutOut = ({ cut, opensTo, radius }: Opening): boolean =>
  cut === 'sawn' && opensTo === null && radius === 0

/** Whether a cut-out is cut off by an edge of its board, so that a saw gets in from there. */
export function runsOut(board: Pick<Board, 'length' | 'width'>, { outline }: Opening): boolean {
  const { minX, maxX, minY, maxY } = outlineBounds(outline)
  return minX < ON_EDGE || minY < ON_EDGE || maxX > board.length - ON_EDGE || maxY > board.width - ON_EDGE
}

/** Where the four lines of each cut-out of a board are drawn: running figures from the datum end and from an edge. */
export function cutOutLines(board: Board, format: LengthFormat): string[] {
  const names = openingNames(board)
  return board.openings.filter(isCutOut).map((o) => {
    const { minX, maxX, minY, maxY } = outlineBounds(o.outline)
    const what = upper(names.get(o.id) ?? o.id)
    return `${what}: cut out between ${running([minX, maxX], format)} from the datum end and ${running([minY, maxY], format)} from the ${EDGES[board.placement.lies].from}.` // prettier-ignore
  })
}
