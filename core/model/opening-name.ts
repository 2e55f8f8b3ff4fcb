import type { Board, Opening } from './model'

/** The openings of a board in the order in which they are marked: from the datum end. */
export const fromDatum = (board: Pick<Board, 'openings'>): Opening[] =>
  [...board.openings].sort((a, b) => a.centre.x - b.centre.x || a.centre.y - b.centre.y)

/** What each opening of a board that is for no seat is called, by its id: for a rod, or what it lets through; numbered. */
export function openingNames(board: Pick<Board, 'openings'>): Map<string, string> {
  const count = new Map<string, number>()
  const names = new Map<string, string>()
  for (const { id, seat, lets } of fromDatum(board)) {
    if (seat !== null) continue
    const what = lets === undefined ? 'rod' : lets.replace(/^an? /, '')
    count.set(what, (count.get(what) ?? 0) + 1)
    names.set(id, `${what} ${count.get(what)}`)
  }
  return names
}
