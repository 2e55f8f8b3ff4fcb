import type { Board } from '../model/model'
import { gridStep, type LengthFormat } from '../units/format-length'
import { printedMarks } from '../units/grid'
import type { Working } from '../working/figure'
import type { Dimension } from './view'

type Draft = Pick<Dimension, 'id' | 'figure' | 'from' | 'to'> & Partial<Dimension>

const along = (side: Dimension['side'], row: number, draft: Draft): Dimension => ({
  side,
  row,
  value: Math.abs(draft.to - draft.from),
  print: 'nearest',
  about: false,
  prefix: '',
  ...draft,
})

/**
 * Dimensions of a board seen face on from above: nearest the edge the slots and webs, then the chain from centre to
 * centre (differences of printed marks), then the whole length; at the sides the line of centres and the depth.
 */
export function topDimensions(board: Board, working: Working, format: LengthFormat): Dimension[] {
  const has = new Set(working.map((f) => f.id))
  const { at } = board.placement
  const openings = [...board.openings].sort((a, b) => a.centre.x - b.centre.x)
  const found: Dimension[] = []

  let edge = 0
  openings.forEach((o, i) => {
    const [left, right] = [o.centre.x - o.width / 2, o.centre.x + o.width / 2]
    const web = i === 0 ? 'web:start' : `web:${openings[i - 1]!.seat}`
    if (has.has(web))
      found.push(
        along('bottom', 1, { id: web, figure: web, from: at.x + edge, to: at.x + left, print: 'down', about: true }),
      )
    found.push(
      along('bottom', 1, {
        id: o.figures.width,
        figure: o.figures.width,
        from: at.x + left,
        to: at.x + right,
        print: 'up',
      }),
    )
    edge = right
  })
  if (openings.length > 0 && has.has('web:end')) {
    found.push(
      along('bottom', 1, {
        id: 'web:end',
        figure: 'web:end',
        from: at.x + edge,
        to: at.x + board.length,
        print: 'down',
        about: true,
      }),
    )
  }

  const stations = [0, ...openings.map((o) => o.centre.x), board.length]
  const { steps } = printedMarks(stations, gridStep(format))
  if (openings.length > 0) {
    steps.forEach((value, i) => {
      const figure = openings[i]?.figures.x ?? board.figures.length
      found.push(
        along('bottom', 2, { id: `chain:${i}`, figure, from: at.x + stations[i]!, to: at.x + stations[i + 1]!, value }),
      )
    })
  }
  found.push(along('bottom', 3, { id: 'length', figure: board.figures.length, from: at.x, to: at.x + board.length }))

  const [backEdge, frontEdge] = [-at.y, -at.y - board.width]
  const line = openings[0]
  if (line) {
    const centre = backEdge - line.centre.y
    found.push(along('left', 1, { id: 'centre', figure: line.figures.y, from: backEdge, to: centre }))
    if (has.has('front')) found.push(along('left', 1, { id: 'front', figure: 'front', from: centre, to: frontEdge }))
  }
  found.push(along('left', 2, { id: 'depth', figure: board.figures.width, from: backEdge, to: frontEdge }))
  return found
}

/** Dimensions of the boards seen from the front: thickness of what lies flat, height of what stands upright. */
export function frontDimensions(boards: readonly Board[]): Dimension[] {
  return boards.map((board, i) => {
    const { at, lies } = board.placement
    const flat = lies === 'flat'
    return along(flat ? 'right' : 'left', 1, {
      id: `front:${board.id}`,
      figure: flat ? board.figures.thickness : board.figures.width,
      from: flat ? at.z - board.thickness : at.z,
      to: flat ? at.z : at.z + board.width,
      row: flat ? 1 : 1 + (i > 1 ? 1 : 0),
    })
  })
}
