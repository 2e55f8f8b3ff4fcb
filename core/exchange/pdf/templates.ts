import { flipped, moved, type Outline, type Point } from '../../geometry/outline'
import { isShaped } from '../../bench/steps/features'
import { axesOf, onBoard } from '../../model/contact'
import { drilled, type Board, type HolderModel, type Opening } from '../../model/model'
import { bitName } from '../../shop/bit-name'
import type { Shop } from '../../shop/shop'
import { formatLength, gridStep } from '../../units/format-length'
import { toGrid } from '../../units/grid'
import { canBeTried } from '../file-names'
import { BARS_HIGH, checkBars } from './check-bars'
import { PAPERS, type Ink, type Page, type Paper, type Pen } from './page'

/** How templates are laid out. */
export interface TemplateChoice {
  paper: Paper
  /** what the 100 mm check bar measured on a page from this printer, mm; 100 where it prints true */
  measured: number
}

/** Room that printers leave free, and for the head and the check bars; mm. */
const EDGE = 10
const HEAD = 10
const FOOT = BARS_HIGH

/** How much neighbouring pages share, mm: enough to tape them. */
const OVERLAP = 12

const CUT: Pen = { width: 0.3 }
const THIN: Pen = { width: 0.15 }
const FAINT: Pen = { width: 0.12, grey: 0.55, dash: 1.5 }

/** A printer that is out by more than this is not corrected but looked at, as a part. */
export const WORST_PRINTER = 0.1

/** One page's part of a board, in the board's own plane as it is drawn: y down. mm */
export interface Tile {
  column: number
  row: number
  x: number
  y: number
  width: number
  height: number
}

/** Where pages cover a drawing of some size, neighbours overlapping. @param room of one page, mm */
export function tilesOf(width: number, height: number, room: { width: number; height: number }): Tile[] {
  const steps = (size: number, one: number): number[] => {
    const count = size <= one ? 1 : 1 + Math.ceil((size - one) / (one - OVERLAP) - 1e-9)
    return Array.from({ length: count }, (_, i) => i * (one - OVERLAP))
  }
  const [xs, ys] = [steps(width, room.width), steps(height, room.height)]
  return ys.flatMap((y, row) => xs.map((x, column) => ({ column, row, x, y, ...room })))
}

/** A board as it is drawn on paper: from its datum end to the right, a flat one's back edge at the top. */
interface Drawn {
  outline: (o: Outline) => Outline
  point: (p: Point) => Point
  width: number
  height: number
}

function drawnBoard(board: Board, pad: number): Drawn {
  const flat = board.placement.lies === 'flat' || board.placement.lies === 'post'
  // pages have y down: an upright board is turned over, so that its upper edge is at the top
  const over = (o: Outline): Outline => (flat ? o : moved(flipped(o), 0, board.width))
  return {
    outline: (o) => moved(over(o), pad, pad),
    point: ({ x, y }) => ({ x: x + pad, y: (flat ? y : board.width - y) + pad }),
    width: board.length + 2 * pad,
    height: board.width + 2 * pad,
  }
}

/** White round a board on its template, mm. */
const PAD = 8

const cross = ({ x, y }: Point, arm: number, pen: Pen): Ink[] => [
  { kind: 'line', from: { x: x - arm, y }, to: { x: x + arm, y }, pen },
  { kind: 'line', from: { x, y: y - arm }, to: { x, y: y + arm }, pen },
]

/** Everything on one board's template, mm, y down. */
function boardInk(model: HolderModel, board: Board, drawn: Drawn, shop: Shop): Ink[] {
  const ink: Ink[] = [{ kind: 'outline', outline: drawn.outline(board.outline), pen: CUT }]
  for (const o of board.openings) ink.push(...openingInk(model, board, o, drawn, shop))
  for (const f of model.fasteners.filter((x) => x.through === board.id && x.toward[axesOf(board).thickness] !== 0)) {
    const p = drawn.point(onBoard(board, f.at))
    ink.push(...cross(p, 2.5, THIN), { kind: 'text', at: { x: p.x + 1.2, y: p.y - 1 }, text: f.kind, size: 2.2 })
  }
  const datum = drawn.point({ x: 0, y: board.width / 2 })
  ink.push({ kind: 'text', at: { x: datum.x - 2, y: datum.y }, text: 'datum end', size: 3, align: 'middle', upright: true, bold: true }) // prettier-ignore
  const edge = drawn.point({
    x: board.length / 2,
    y: ['flat', 'post'].includes(board.placement.lies) ? 0 : board.width,
  })
  ink.push({ kind: 'text', at: { x: edge.x, y: edge.y - 1.5 }, text: ['flat', 'post'].includes(board.placement.lies) ? `${board.name}: back edge` : `${board.name}: upper edge`, size: 3, align: 'middle' }) // prettier-ignore
  if (board.bevel) {
    const up = board.thickness * Math.tan((board.bevel.tilt * Math.PI) / 180)
    ink.push({
      kind: 'line',
      from: drawn.point({ x: 0, y: up }),
      to: drawn.point({ x: board.length, y: up }),
      pen: FAINT,
    })
  }
  return ink
}

function openingInk(model: HolderModel, board: Board, o: Opening, drawn: Drawn, shop: Shop): Ink[] {
  const seat = model.seats.find((s) => s.id === o.seat)
  const centre = drawn.point(o.centre)
  const at = formatLength(toGrid(o.centre.x, gridStep(shop)), shop)
  return [
    { kind: 'outline', outline: drawn.outline(o.outline), pen: CUT },
    ...drilled(o).flatMap(({ centre: c, diameter, bit, depth }, n): Ink[] => {
      const p = drawn.point(c)
      const deep = depth === null ? '' : `, ${formatLength(depth, shop, 'down')} deep`
      return [
        { kind: 'circle', centre: p, radius: diameter / 2, pen: THIN },
        ...cross(p, Math.min(diameter / 2 + 2, 8), THIN),
        {
          kind: 'text',
          at: { x: p.x + 1, y: p.y + 3.4 + 3 * (o.steps ? n : 0) },
          text: `${bitName(bit, shop)}${deep}`,
          size: 2.6,
        },
      ]
    }),
    ...(o.bores.length === 0 ? cross(centre, 4, THIN) : []),
    { kind: 'text', at: { x: centre.x + 1, y: centre.y - 1.2 }, text: `${seat ? `${seat.place} ` : ''}at ${at}`, size: 2.6, bold: true }, // prettier-ignore
  ]
}

/** A small map of the pages of a board, this one's filled. */
function pageMap(tiles: readonly Tile[], here: Tile, right: number, y: number): Ink[] {
  const [w, h] = [6, 4]
  const columns = Math.max(...tiles.map((t) => t.column)) + 1
  return tiles.map((t): Ink => {
    const x0 = right - (columns - t.column) * w
    const y0 = y + t.row * h
    const box: Outline = {
      start: { x: x0, y: y0 },
      segments: [[x0 + w, y0], [x0 + w, y0 + h], [x0, y0 + h], [x0, y0]].map(([px, py]) => ({ kind: 'line', to: { x: px!, y: py! } })), // prettier-ignore
    }
    return { kind: 'outline', outline: box, pen: THIN, fill: t === here ? 0.6 : 1 }
  })
}

/** Marks that neighbouring pages share, in the drawing's own plane: laid over each other they join the pages. */
function joinMarks(tiles: readonly Tile[]): { at: Point; name: string }[] {
  const marks: { at: Point; name: string }[] = []
  const letters = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ'
  const name = (): string => `${letters[Math.floor(marks.length / 9) % 26]!}${(marks.length % 9) + 1}`
  for (const t of tiles) {
    const rightward = tiles.find((o) => o.row === t.row && o.column === t.column + 1)
    const below = tiles.find((o) => o.column === t.column && o.row === t.row + 1)
    if (rightward) for (const part of [0.12, 0.88]) marks.push({ at: { x: rightward.x + OVERLAP / 2, y: t.y + t.height * part }, name: name() }) // prettier-ignore
    if (below) for (const part of [0.12, 0.88]) marks.push({ at: { x: t.x + t.width * part, y: below.y + OVERLAP / 2 }, name: name() }) // prettier-ignore
  }
  return marks
}

/** A page lying or standing, whichever takes fewer sheets; the room for the drawing on it, mm on paper. */
function bestPage(width: number, height: number, paper: Paper, scale: number) {
  const upright = PAPERS[paper]
  const tries = [upright, { width: upright.height, height: upright.width }].map((page) => {
    const room = { width: (page.width - 2 * EDGE) / scale, height: (page.height - 2 * EDGE - HEAD - FOOT) / scale }
    return { page, tiles: tilesOf(width, height, room) }
  })
  return tries.reduce((a, b) => (b.tiles.length < a.tiles.length ? b : a))
}

/**
 * A drawing at true size over as many pages as it takes: pages share a strip, crosses in it join them, a map tells which
 * page this is, check bars tell whether the printer is true.
 */
function tiled(
  title: string,
  drawn: Pick<Drawn, 'width' | 'height'>,
  ink: readonly Ink[],
  choice: TemplateChoice,
  unit: Shop['unit'],
): Page[] {
  const scale = 100 / choice.measured
  const { page, tiles } = bestPage(drawn.width, drawn.height, choice.paper, scale)
  const marks = joinMarks(tiles).flatMap(({ at, name }): Ink[] => [
    ...cross(at, 4, THIN),
    { kind: 'circle', centre: at, radius: 2, pen: THIN },
    { kind: 'text', at: { x: at.x + 2.4, y: at.y - 1 }, text: name, size: 2.4 },
  ])
  const top = EDGE + HEAD
  return tiles.map((tile, i): Page => {
    const box = { x: EDGE, y: top, width: tile.width * scale, height: tile.height * scale }
    return {
      ...page,
      ink: [
        { kind: 'text', at: { x: EDGE, y: EDGE + 4 }, text: title, size: 4, bold: true },
        {
          kind: 'text',
          at: { x: EDGE, y: EDGE + 8.5 },
          text: `page ${i + 1} of ${tiles.length}, true size: print without ‘fit to page’`,
          size: 2.8,
        },
        ...(tiles.length > 1 ? pageMap(tiles, tile, page.width - EDGE, EDGE) : []),
        {
          kind: 'window',
          box,
          at: { x: EDGE - tile.x * scale, y: top - tile.y * scale },
          scale,
          ink: [...ink, ...marks],
        },
        ...checkBars(EDGE, page.height - EDGE - FOOT + 3, scale, unit),
      ],
    }
  })
}

/** Boards with something to mark on them, and of those that are only sawn to a shape one of each. */
function toMark({ boards, fasteners }: HolderModel): Board[] {
  const isMarked = (b: Board): boolean => b.openings.length > 0 || fasteners.some((f) => f.through === b.id)
  const shapes = boards.filter((b) => !isMarked(b) && isShaped(b))
  const outline = (b: Board): string => JSON.stringify(b.outline, (_, v: unknown) => (typeof v === 'number' ? v.toFixed(3) : v)) // prettier-ignore
  const isFirst = (b: Board): boolean => shapes.find((s) => outline(s) === outline(b)) === b
  return boards.filter((b) => isMarked(b) || (shapes.includes(b) && isFirst(b)))
}

/** Templates of every board that is marked or has a shape of its own, true size, over pages of a paper. */
export function templatePages(model: HolderModel, shop: Shop, choice: TemplateChoice): Page[] {
  return toMark(model).flatMap((board) => {
    const drawn = drawnBoard(board, PAD)
    return tiled(`${model.name}: ${board.name}`, drawn, boardInk(model, board, drawn, shop), choice, shop.unit)
  })
}

/** Most holes and slots on a test piece. */
const HOLES = 3
const SLOTS = 2

/** A test piece in card on one page: up to three holes and two slots of the holder, true size; null where it has none. */
export function testPiecePage(model: HolderModel, shop: Shop, choice: TemplateChoice): Page | null {
  const all = model.boards.flatMap((board) => board.openings.filter(canBeTried).map((opening) => ({ board, opening })))
  const unlike = all.filter(({ opening: o }, i) => all.findIndex((x) => Math.abs(x.opening.width - o.width) < 0.05 && x.opening.opensTo === o.opensTo) === i) // prettier-ignore
  const holes = unlike.filter(({ opening }) => opening.bores.length > 0).slice(0, HOLES)
  const slots = unlike.filter(({ opening }) => opening.opensTo !== null).slice(0, SLOTS)
  if (holes.length + slots.length === 0) return null
  const ink: Ink[] = []
  let x = 6
  const tallest = Math.max(...[...holes, ...slots].map(({ opening }) => opening.width))
  const line = tallest / 2 + 10
  const name = ({ opening }: (typeof all)[number]): string => model.seats.find((s) => s.id === opening.seat)?.name ?? opening.lets ?? 'rod' // prettier-ignore
  for (const hole of holes) {
    const { width, bores } = hole.opening
    const c = { x: x + width / 2, y: line }
    ink.push({ kind: 'circle', centre: c, radius: width / 2, pen: CUT }, ...cross(c, 5, THIN), { kind: 'text', at: { x: c.x, y: line + width / 2 + 5 }, text: bitName(bores[0]!.bit, shop), size: 3, align: 'middle', bold: true }, { kind: 'text', at: { x: c.x, y: line + width / 2 + 8.5 }, text: name(hole), size: 2.6, align: 'middle' }) // prettier-ignore
    x += Math.max(width, 22) + 8
  }
  for (const slot of slots) {
    const { width, radius } = slot.opening
    const depth = Math.max(width * 1.5, 30)
    const [left, right] = [x, x + width]
    const round: Outline = {
      start: { x: left, y: line - radius + depth },
      segments: [
        { kind: 'line', to: { x: left, y: line } },
        { kind: 'line', to: { x: left + radius, y: line - radius } },
        { kind: 'line', to: { x: right - radius, y: line - radius } },
        { kind: 'line', to: { x: right, y: line } },
        { kind: 'line', to: { x: right, y: line - radius + depth } },
      ],
    }
    const arcs: Outline = {
      ...round,
      segments: [
        round.segments[0]!,
        { kind: 'arc', to: { x: left + radius, y: line - radius }, centre: { x: left + radius, y: line }, radius, clockwise: false }, // prettier-ignore
        round.segments[2]!,
        { kind: 'arc', to: { x: right, y: line }, centre: { x: right - radius, y: line }, radius, clockwise: false },
        round.segments[4]!,
        { kind: 'line', to: round.start },
      ],
    }
    ink.push({ kind: 'outline', outline: arcs, pen: CUT }, { kind: 'text', at: { x: x + width / 2, y: line - radius + depth + 5 }, text: `slot ${formatLength(width, shop, 'up')}`, size: 3, align: 'middle', bold: true }, { kind: 'text', at: { x: x + width / 2, y: line - radius + depth + 8.5 }, text: name(slot), size: 2.6, align: 'middle' }) // prettier-ignore
    x += Math.max(width, 22) + 8
  }
  const [page] = tiled(
    `${model.name}: try it in card first`,
    { width: x, height: line + tallest * 1.5 + 45 },
    ink,
    choice,
    shop.unit,
  )
  return page!
}
