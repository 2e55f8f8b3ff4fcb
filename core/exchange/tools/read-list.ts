import type { OpenList, ReadingOrder } from './open-list'
import { readRow, readTool, type RowRead } from './read-row'

/** How many rows a list has below its headings. */
export const rowCount = (list: OpenList): number => (list.kind === 'table' ? list.rows.length : list.tools.length)

/**
 * Reads a list row by row, in its order, so that a caller can tell how far it is and stop. Two rows with one id are
 * one tool told twice: the second is told as a problem.
 * @param order what each column is; not asked of a JSON list
 * @param newId makes an id for a tool that has none
 */
export function* readList(list: OpenList, order: ReadingOrder, newId: () => string): Generator<RowRead> {
  const torn = new Map(list.kind === 'table' ? list.torn.map((t) => [t.row, t.message]) : [])
  const seen = new Set<string>()
  for (let i = 0; i < rowCount(list); i++) {
    const read =
      list.kind === 'table' ? readRow(i + 2, list.rows[i]!, order, newId) : readTool(i + 1, list.tools[i], newId)
    const message = torn.get(i + 1)
    const again = read.ok && seen.has(read.tool.id)
    if (read.ok) seen.add(read.tool.id)
    if (message !== undefined || again) {
      const name = read.ok ? read.tool.name : read.name
      const problem = { column: message === undefined ? 'id' : '', message: message ?? 'an earlier row has this id.' }
      yield { row: read.row, ok: false, name, problems: [problem, ...(read.ok ? [] : read.problems)] }
    } else yield read
  }
}
