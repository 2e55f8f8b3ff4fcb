import { shortSide } from '../fit/pipe'
import { openingColumns, openingKey, openingRows, type Board, type HolderModel, type Rod } from '../model/model'
import { gridStep, type LengthFormat } from '../units/format-length'
import { printedMarks } from '../units/grid'
import type { Working } from '../working/figure'
import type { Dimension } from './view'

/** Dimensions that only meet end to end share a row, mm. */
const SAME_PLACE = 1e-6

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
 * Dimensions of a board seen face on: nearest the edge the slots and webs, then the chain from centre to
 * centre (differences of printed marks), then the whole length; at the sides the line of centres and the depth.
 */
export function faceDimensions(board: Board, working: Working, format: LengthFormat): Dimension[] {
  const has = new Set(working.map((f) => f.id))
  const { at, lies } = board.placement
  const start = lies === 'end' ? at.y : at.x
  /** where so much from the back or lower edge is seen */
  const across = (y: number): number => (lies === 'flat' ? -at.y - y : at.z + y)
  const rows = openingRows(board)
  // beside the front edge the openings of the row next to it
  const openings = rows.at(-1) ?? []
  const row = rows.length
  const webId = (name: 'start' | 'end') => (row > 1 ? `web:${name}:${row}` : `web:${name}`)
  const found: Dimension[] = []

  let edge = 0
  openings.forEach((o, i) => {
    const [left, right] = [o.centre.x - o.width / 2, o.centre.x + o.width / 2]
    const before = openings[i - 1]
    const web = before ? `web:${openingKey(board, before)}` : webId('start')
    if (has.has(web))
      found.push(
        along('bottom', 1, { id: web, figure: web, from: start + edge, to: start + left, print: 'down', about: true }),
      )
    found.push(
      along('bottom', 1, {
        id: o.figures.width,
        figure: o.figures.width,
        from: start + left,
        to: start + right,
        print: 'up',
      }),
    )
    edge = right
  })
  const end = webId('end')
  if (openings.length > 0 && has.has(end)) {
    found.push(
      along('bottom', 1, {
        id: end,
        figure: end,
        from: start + edge,
        to: start + board.length,
        print: 'down',
        about: true,
      }),
    )
  }

  const columns = openingColumns(board)
  const stations = [0, ...columns.map((o) => o.centre.x), board.length]
  const { steps } = printedMarks(stations, gridStep(format))
  if (columns.length > 0) {
    steps.forEach((value, i) => {
      const figure = columns[i]?.figures.x ?? board.figures.length
      found.push(
        along('bottom', 2, {
          id: `chain:${i}`,
          figure,
          from: start + stations[i]!,
          to: start + stations[i + 1]!,
          value,
        }),
      )
    })
  }
  found.push(along('bottom', 3, { id: 'length', figure: board.figures.length, from: start, to: start + board.length }))

  // from the back edge to each row of openings in turn, and on to the front edge
  let from = across(0)
  rows.forEach(([line], r) => {
    const to = across(line!.centre.y)
    const step = `rowStep:${r + 1}`
    const figure = r === 0 ? line!.figures.y : has.has(step) ? step : has.has('rowStep') ? 'rowStep' : line!.figures.y
    found.push(along('left', 1, { id: r === 0 ? 'centre' : `row:${r + 1}`, figure, from, to }))
    from = to
  })
  if (rows.length > 0 && has.has('front'))
    found.push(along('left', 1, { id: 'front', figure: 'front', from, to: across(board.width) }))
  found.push(along('left', 2, { id: 'depth', figure: board.figures.width, from: across(0), to: across(board.width) }))
  return found
}

/** Dimensions of the boards seen from the front, beside those of a board seen face on: thickness of what lies flat, height of what stands upright. */
export function frontDimensions(boards: readonly Board[], face: readonly Dimension[] = []): Dimension[] {
  const along = boards.filter((b) => b.placement.lies === 'flat' || b.placement.lies === 'upright')
  const sizes = along.map(sizeFromFront).filter((d) => !face.some((f) => f.figure === d.figure))
  return [...along.flatMap(deepestBore), ...inRows(sizes, face)]
}

/** Dimensions of one side in rows in which none runs over another, nor over those that stand there before; the shortest nearest to the boards. */
function inRows(all: readonly Dimension[], before: readonly Dimension[]): Dimension[] {
  const placed: Dimension[] = [...before]
  for (const d of [...all].sort((a, b) => Math.abs(a.to - a.from) - Math.abs(b.to - b.from))) {
    const [low, high] = [Math.min(d.from, d.to), Math.max(d.from, d.to)]
    const meets = (p: Dimension): boolean =>
      p.side === d.side && Math.min(p.from, p.to) < high - SAME_PLACE && Math.max(p.from, p.to) > low + SAME_PLACE
    const taken = placed.filter(meets).map((p) => p.row)
    let row = d.row
    while (taken.includes(row)) row++
    placed.push({ ...d, row })
  }
  return placed.slice(before.length)
}

/** How deep the deepest blind bore of a flat board goes. */
function deepestBore({ placement: { at, lies }, openings }: Board): Dimension[] {
  const blind = openings.filter((o) => o.depth !== null && o.figures.depth !== undefined)
  if (lies !== 'flat' || blind.length === 0) return []
  const { depth, figures } = blind.reduce((a, b) => (b.depth! > a.depth! ? b : a))
  return [
    along('right', 1, { id: figures.depth!, figure: figures.depth!, from: at.z - depth!, to: at.z, print: 'down' }),
  ]
}

function sizeFromFront(board: Board): Dimension {
  const { at, lies } = board.placement
  const flat = lies === 'flat'
  return along(flat ? 'right' : 'left', 1, {
    id: `front:${board.id}`,
    figure: flat ? board.figures.thickness : board.figures.width,
    from: flat ? at.z - board.thickness : at.z,
    to: flat ? at.z : at.z + board.width,
    row: flat && deepestBore(board).length > 0 ? 2 : 1,
  })
}

const standsOut = ({ placement: { lies } }: Board): boolean => lies === 'end' || lies === 'post'

/** Dimensions of a pipe seen from the side: its long side, and the low one where its mouth is slanted. */
function pipeDimensions(rods: readonly Rod[]): Dimension[] {
  const rod = rods.find((r) => r.pipe)
  if (!rod) return []
  const { length, diameter, at, figures, pipe } = rod
  const low = at.z + shortSide(length, diameter, pipe!.slant)
  return [
    ...(figures.low ? [along('right', 1, { id: 'pipe:low', figure: figures.low, from: at.z, to: low })] : []),
    along('left', 1, { id: 'pipe:long', figure: figures.length, from: at.z, to: at.z + length }),
  ]
}

/** Dimensions of the boards seen from the side: how far each size of end reaches out, and how high it is; and of pipes. */
export function sideDimensions({ boards, rods }: Pick<HolderModel, 'boards' | 'rods'>): Dimension[] {
  const ends = boards.filter(
    (b, i) => standsOut(b) && boards.findIndex((o) => o.figures.length === b.figures.length) === i,
  )
  return [
    ...pipeDimensions(rods),
    ...ends.flatMap(({ id, placement: { at, lies }, length, width, figures }, i) => {
      const [out, up] = lies === 'post' ? [width, length] : [length, width]
      const [outFigure, upFigure] = lies === 'post' ? [figures.width, figures.length] : [figures.length, figures.width]
      return [
        along('bottom', 1 + i, { id: `side:${id}`, figure: outFigure, from: at.y, to: at.y + out }),
        along('right', 1 + i, { id: `side:${id}:height`, figure: upFigure, from: at.z, to: at.z + up }),
      ]
    }),
  ]
}
