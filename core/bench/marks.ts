import type { Board, Bore, HolderModel, Opening } from '../model/model'
import { fromDatum, openingNames } from '../model/opening-name'
import { gridStep, type LengthFormat } from '../units/format-length'
import { printedMarks, toGrid } from '../units/grid'

/** What a mark on a board is for. */
export type MarkKind = 'datum' | 'saw' | 'centre' | 'bore' | 'end'

/** One mark, as a running figure from the datum end. mm */
export interface Mark {
  kind: MarkKind
  label: string
  /** where the model has it */
  x: number
  /** where it is printed: on the shop's grid, to the nearest */
  printed: number
  /** from the edge that the board's figures are counted from, printed, for a bore's centre */
  across: number | null
  /** diameter stamped on the bit, for a bore's centre */
  bit: number | null
  /** how deep it is bored, or null for through; mm */
  depth: number | null
  /** which side of a saw line or end mark is waste */
  waste: 'left' | 'right' | null
  seat: string | null
  /** id of the figure it comes from */
  figure: string | null
}

/** Main marks are the ends and the centres; saw lines and bores stand about them. */
export const isMain = ({ kind }: Mark): boolean => kind !== 'saw' && kind !== 'bore'

/** A figure of the chain: from one main mark to the next, the difference of what is printed. mm */
export interface Link {
  from: string
  to: string
  printed: number
}

/** Marks so near to each other stand at one place, mm. */
const SAME_PLACE = 1e-6

/** What a board's edges are called, by how it stands: the one its figures are counted from, and the one slots mostly open at. */
export const EDGES = {
  flat: { from: 'back edge', to: 'front edge' },
  upright: { from: 'lower edge', to: 'upper edge' },
  end: { from: 'lower edge', to: 'upper edge' },
  post: { from: 'back edge', to: 'front edge' },
} as const satisfies Record<Board['placement']['lies'], { from: string; to: string }>

/** Which of its seat's openings in a board one is: to the left or right, nearer to one edge or the other, or by number. */
function whichOf(board: Board, opening: Opening): string {
  const all = board.openings.filter((o) => o.seat === opening.seat)
  if (all.length < 2) return ''
  const places = (of: (o: Opening) => number): number[] =>
    all.map(of).sort((a, b) => a - b).filter((v, i, sorted) => i === 0 || v - sorted[i - 1]! > SAME_PLACE) // prettier-ignore
  const [xs, ys] = [places((o) => o.centre.x), places((o) => o.centre.y)]
  const { from, to } = EDGES[board.placement.lies]
  if (all.length === 2 && xs.length === 2) return opening.centre.x - xs[0]! > SAME_PLACE ? ', right' : ', left'
  if (all.length === 2 && ys.length === 2) return `, ${(opening.centre.y - ys[0]! > SAME_PLACE ? to : from).replace(' edge', '')}` // prettier-ignore
  const inOrder = [...all].sort((a, b) => a.centre.x - b.centre.x || a.centre.y - b.centre.y)
  return `, ${inOrder.indexOf(opening) + 1} of ${all.length}`
}

/** Every mark of one board, the edge from which they are counted across, and the chain from main mark to main mark. */
export interface MarkedBoard {
  board: string
  acrossFrom: (typeof EDGES)[keyof typeof EDGES]['from']
  marks: Mark[]
  chain: Link[]
}

/**
 * Marks of a board along its length from the datum end: ends, centres, bores and saw lines, each to the nearest grid
 * point by itself, never pitch by pitch, so that no mark is more than half a grid step out.
 */
export function boardMarks(model: HolderModel, board: Board, format: LengthFormat): MarkedBoard {
  const grid = gridStep(format)
  const mark = (kind: MarkKind, label: string, x: number, more: Partial<Mark> = {}): Mark => ({
    kind,
    label,
    x,
    printed: toGrid(x, grid),
    across: null,
    bit: null,
    depth: null,
    waste: null,
    seat: null,
    figure: null,
    ...more,
  })
  const marks = [mark('datum', 'Datum end', 0)]
  const names = openingNames(board)
  for (const opening of fromDatum(board)) {
    const seat = model.seats.find((s) => s.id === opening.seat)
    const name = seat ? `${seat.place}${whichOf(board, opening)}` : names.get(opening.id)!
    const { x, y } = opening.centre
    const about = { seat: opening.seat, figure: opening.figures.x, depth: opening.depth }
    const sawn = opening.opensTo !== null
    const edge = opening.opensTo === 'back' ? `, ${EDGES[board.placement.lies].from}` : ''
    // on the front edge: of a sloped slot higher and further apart than at its end
    const lines = opening.slope ? [opening.outline.start.x, opening.outline.segments.at(-2)!.to.x] : [x - opening.width / 2, x + opening.width / 2] // prettier-ignore
    const [low, high] = [Math.min(...lines), Math.max(...lines)]
    const across = toGrid(y, grid)
    const [one, two] = opening.bores
    const bore = ({ centre, bit }: Bore, side: string) =>
      mark('bore', `Bore ${name}, ${side}`, centre.x, { ...about, across, bit })
    marks.push(
      ...(sawn ? [mark('saw', `Saw line ${name}, left${edge}`, low, { ...about, waste: 'right' })] : []),
      ...(one && two ? [bore(one, 'left')] : []),
      mark('centre', `Centre ${name}`, x, { ...about, across, bit: two ? null : (one?.bit ?? null) }),
      ...(one && two ? [bore(two, 'right')] : []),
      ...(sawn ? [mark('saw', `Saw line ${name}, right${edge}`, high, { ...about, waste: 'left' })] : []),
    )
  }
  marks.push(mark('end', 'End', board.length, { waste: 'right', figure: board.figures.length }))
  // bores of several rows may stand at one place along the board: it is one station of the chain
  const main = marks.filter(isMain).filter((m, i, all) => i === 0 || m.x - all[i - 1]!.x > SAME_PLACE)
  const { steps } = printedMarks(
    main.map((m) => m.x),
    grid,
  )
  // a sloped slot's saw lines stand higher than its end: they come in the order in which a rule meets them
  const inOrder = [...marks].sort((a, b) => a.printed - b.printed)
  const chain = steps.map((printed, i) => ({ from: main[i]!.label, to: main[i + 1]!.label, printed }))
  return { board: board.id, acrossFrom: EDGES[board.placement.lies].from, marks: inOrder, chain }
}
