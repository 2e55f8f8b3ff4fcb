import { boardOutline, rodOutline, seenAt } from '../../drawing/project'
import {
  circle,
  flipped,
  outlineBounds,
  rectangle,
  unite,
  type Bounds,
  type Outline,
  type Point,
} from '../../geometry/outline'
import { axesOf, onBoard } from '../../model/contact'
import { boardBox, rodBox } from '../../model/standing'
import { drilled, type Board, type Fastener, type HolderModel, type Opening } from '../../model/model'
import { formatLength, gridStep, type LengthFormat } from '../../units/format-length'
import { toGrid } from '../../units/grid'
import { shapedSides } from './outline-steps'
import { boreOf, driveOf, dustOf, fileOf, flareOf, sawOf } from './features'
import { cutUp } from './sheet-drawing'
import type { Bench, Step } from './step'

/** What a line on a card stands for: wood, what is worked on now, what was made before, waste, a mark, the wall. */
export type Ink = 'wood' | 'now' | 'made' | 'waste' | 'mark' | 'wall'

/** A figure beside the drawing, at a place and perhaps turned to read upwards. */
export interface Label {
  at: Point
  text: string
  upright: boolean
}

/** One drawing of a card: mm, x right, y up. */
export interface CardDrawing {
  title: string
  bounds: Bounds
  outlines: { ink: Ink; outline: Outline }[]
  lines: { ink: Ink; from: Point; to: Point }[]
  labels: Label[]
}

/** A screw of which less than this part is seen goes straight in. */
const ASKEW = 0.3

/** At most so many boards on one card. */
const MOST_BOARDS = 3

/** The drawings of a card: each board by itself with what is made on it, or all that stands by then from one side. */
export function stepDrawings(
  { model, cuts, shop: format }: Pick<Bench, 'model' | 'cuts'> & { shop: LengthFormat },
  s: Step,
): CardDrawing[] {
  if (!s.show) return []
  const { look, boards } = s.show
  if (look === 'sheet') {
    const alike = cuts.filter((c) => boards.includes(c.key))
    return alike.slice(0, 1).map((c) => cutUp(c, s, format, alike.length))
  }
  if (look !== 'board') return [assembled(model, boards, s, look)]
  const shown = model.boards.filter((b) => boards.includes(b.id))
  // boards that look alike are drawn once
  const unlike = shown.filter((b, i) => shown.findIndex((o) => alike(o, b)) === i)
  return unlike.slice(0, MOST_BOARDS).map((b) => oneBoard(model, b, s, format))
}

const alike = (a: Board, b: Board): boolean =>
  a.length === b.length &&
  a.width === b.width &&
  a.openings.length === b.openings.length &&
  a.openings.every((o, i) => o.centre.x === b.openings[i]!.centre.x && o.centre.y === b.openings[i]!.centre.y) &&
  a.placement.lies === b.placement.lies

function oneBoard(model: HolderModel, board: Board, s: Step, format: LengthFormat): CardDrawing {
  const flat = board.placement.lies === 'flat' || board.placement.lies === 'post'
  // a flat board is seen from above, its back edge at the top
  const seen = (o: Outline): Outline => (flat ? flipped(o) : o)
  const point = (p: Point): Point => ({ x: p.x, y: flat ? -p.y : p.y })
  const box = outlineBounds(seen(board.outline))
  const isSawn = s.kind === 'shape'
  const blank: CardDrawing['outlines'] = isSawn ? [{ ink: 'waste', outline: seen(rectangle(0, 0, board.length, board.width)) }] : [] // prettier-ignore
  const outlines: CardDrawing['outlines'] = [...blank, { ink: 'wood', outline: seen(board.outline) }]
  const lines: CardDrawing['lines'] = []
  const labels: Label[] = []
  const small = Math.max(board.length, board.width) * 0.012
  const cross = (p: Point, ink: Ink, arm = small): void => {
    const c = point(p)
    lines.push({ ink, from: { x: c.x - arm, y: c.y }, to: { x: c.x + arm, y: c.y } })
    lines.push({ ink, from: { x: c.x, y: c.y - arm }, to: { x: c.x, y: c.y + arm } })
  }
  const stations: { x: number; text: string }[] = []
  const station = (x: number): void => {
    stations.push({ x, text: formatLength(toGrid(x, gridStep(format)), format, 'nearest', false) })
  }
  for (const o of board.openings) {
    for (const item of openingInk(board, o, s)) outlines.push({ ink: item.ink, outline: seen(item.outline) })
    if (['mark', 'bore', 'saw', 'dust', 'flare'].includes(s.kind)) {
      for (const c of o.bores.length > 0 ? o.bores.map((b) => b.centre) : [o.centre])
        cross(c, 'mark', Math.max(small, o.width * 0.35))
      station(o.centre.x)
    }
  }
  if (isSawn) for (const { from, side } of shapedSides(board)) [from, side.to].forEach((p) => station(p.x))
  if (s.kind === 'mark')
    for (const f of model.fasteners.filter((x) => x.through === board.id && x.toward[axesOf(board).thickness] !== 0)) {
      const p = onBoard(board, f.at)
      cross(p, 'now')
      station(p.x)
    }
  labels.push(...spaced(stations, box, board.length))
  return { title: board.name, bounds: box, outlines, lines, labels }
}

/** Figures below the board, none over another. */
function spaced(stations: readonly { x: number; text: string }[], box: Bounds, length: number): Label[] {
  const apart = length * 0.035
  const labels: Label[] = []
  let last = -Infinity
  for (const { x, text } of [...stations].sort((a, b) => a.x - b.x)) {
    if (x - last < apart) continue
    labels.push({ at: { x, y: box.minY }, text, upright: true })
    last = x
  }
  return labels
}

/** How an opening looks at a step: what is made now, what was made before, and nothing of what comes later. */
function openingInk(board: Board, o: Opening, s: Step): { ink: Ink; outline: Outline }[] {
  const order = ['mark', 'bore', 'dust', 'flare', 'file', 'saw']
  const now = order.indexOf(s.kind)
  const found: { ink: Ink; outline: Outline }[] = []
  const bored = now < 0 || now > order.indexOf('bore')
  drilled(o).forEach((b, n) => {
    const made = s.makes.includes(boreOf(board.id, o.id, n))
    if (made || bored)
      found.push({ ink: made ? 'now' : 'made', outline: circle(b.centre.x, b.centre.y, b.diameter / 2) }) // prettier-ignore
    else found.push({ ink: 'mark', outline: circle(b.centre.x, b.centre.y, b.diameter / 2) })
  })
  const sawn = s.makes.includes(sawOf(board.id, o.id))
  const filed = s.makes.includes(fileOf(board.id, o.id))
  if (sawn || filed) found.push({ ink: 'waste', outline: o.outline })
  else if (now < 0 || s.kind === 'mark') found.push({ ink: now < 0 ? 'made' : 'mark', outline: o.outline })
  if (s.makes.includes(flareOf(board.id, o.id))) found.push({ ink: 'now', outline: circle(o.centre.x, o.centre.y, o.radius + o.flare!) }) // prettier-ignore
  if (s.makes.includes(dustOf(board.id, o.id))) found.push({ ink: 'now', outline: circle(o.centre.x, o.centre.y, o.dust! / 2) }) // prettier-ignore
  return found
}

/** The axis that comes towards whoever looks. */
const TOWARDS = { top: 'z', front: 'y', side: 'x' } as const

/**
 * Everything that stands by then, from one side, what is joined now laid out against the rest, with the screws that are driven
 * now; the wall beside it.
 */
function assembled(
  model: HolderModel,
  shown: readonly string[],
  { parts: now, makes }: Step,
  look: 'top' | 'front' | 'side',
): CardDrawing {
  const near = TOWARDS[look]
  const parts = [
    ...model.boards.map((b) => ({ id: b.id, outline: boardOutline(b, look), near: boardBox(b)[near][1] })),
    ...model.rods.map((r) => ({ id: r.id, outline: rodOutline(r, look), near: rodBox(r)[near][1] })),
  ]
    .filter(({ id }) => shown.includes(id))
    // what is nearer lies over what is behind it
    .sort((a, b) => a.near - b.near)
  const box = unite(parts.map((p) => outlineBounds(p.outline)))!
  const all = now.length === model.boards.length + model.rods.length
  const outlines = parts.map(({ id, outline }) => ({ ink: now.includes(id) && !all ? ('now' as const) : ('wood' as const), outline })) // prettier-ignore
  const pad = Math.max(box.maxX - box.minX, box.maxY - box.minY) * 0.06
  const wall = look === 'side' ? [{ ink: 'wall' as const, outline: rectangle(-pad, box.minY - pad, 0, box.maxY + pad) }] : [] // prettier-ignore
  const title =
    look === 'side' ? 'From the side, the wall on the left' : look === 'front' ? 'From the front' : 'From above'
  const lines = model.fasteners.filter((f) => makes.includes(driveOf(f.id))).flatMap((f) => fastener(f, look, pad / 4))
  const bounds = [box, ...wall.map((w) => outlineBounds(w.outline)), ...lines.map(boundsOf)]
  return { title, bounds: unite(bounds)!, outlines: [...wall, ...outlines], lines, labels: [] }
}

/** A screw or brad from one side: a line with its head across, or a cross where it goes straight in. */
function fastener(
  { at, toward, length, diameter }: Fastener,
  look: 'top' | 'front' | 'side',
  arm: number,
): CardDrawing['lines'] {
  const head = seenAt(at, look)
  const tip = seenAt({ x: at.x + toward.x * length, y: at.y + toward.y * length, z: at.z + toward.z * length }, look)
  const seen = Math.hypot(tip.x - head.x, tip.y - head.y)
  const line = (dx: number, dy: number) => ({ ink: 'now' as const, from: { x: head.x - dx, y: head.y - dy }, to: { x: head.x + dx, y: head.y + dy } }) // prettier-ignore
  if (seen < ASKEW * length) return [line(arm, 0), line(0, arm)]
  const [x, y] = [(tip.x - head.x) / seen, (tip.y - head.y) / seen]
  return [{ ink: 'now', from: head, to: tip }, line(-y * diameter, x * diameter)]
}

const boundsOf = ({ from, to }: CardDrawing['lines'][number]): Bounds => ({
  minX: Math.min(from.x, to.x),
  minY: Math.min(from.y, to.y),
  maxX: Math.max(from.x, to.x),
  maxY: Math.max(from.y, to.y),
})
