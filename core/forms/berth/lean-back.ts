import { rectangle } from '../../geometry/outline'
import type { Board, Joint, Seat } from '../../model/model'
import { tipBoard, tipSeat } from '../../model/tilt'
import type { Trail } from '../../working/trail'
import type { PlannedModel } from '../form'
import { cosine, sine } from '../tilting'
import type { OnShelf } from '../on-shelf'
import { cheekHeightRule, cheekLengthRule, innerRule, offRule } from './rules'

/**
 * A level berth with its front raised: shelf, lip and dividers tipped about the shelf's upper back edge, between two
 * cheeks that take the place of the ends.
 * @param tilt degrees, above nought; on the trail as `tilt`
 */
export function leanBack(trail: Trail, level: PlannedModel, all: readonly OnShelf[], tilt: number): PlannedModel {
  const [s, c] = [sine(tilt), cosine(tilt)]
  const value = (id: string): number => trail.get(id).value
  const [tb, ts, td, tl] = ['back', 'shelf', 'divider', 'lip'].map((part) => value(`thickness:${part}`)) as [number, number, number, number] // prettier-ignore
  const [deep, high] = [value('depth'), value('divider')]
  const tallest = all.reduce((a, b) => (b.high > a.high ? b : a))
  const off = trail.derive('tiltOff', 'Shelf off the back', s * Math.max(high, tallest.high), offRule, `sin({tilt}) × max({divider}, {${tallest.ids.high}})`, { note: tallest.tool.name }) // prettier-ignore
  const out = trail.derive('cheekLength', 'Cheek, length', off + c * (deep + tl) + s * ts, cheekLengthRule, '{tiltOff} + cos({tilt}) × ({depth} + {thickness:lip}) + sin({tilt}) × {thickness:shelf}', { print: 'up' }) // prettier-ignore
  const tall = trail.derive('cheekHeight', 'Cheek, height', ts + s * (deep + tl) + c * high, cheekHeightRule, '{thickness:shelf} + sin({tilt}) × ({depth} + {thickness:lip}) + cos({tilt}) × {divider}', { print: 'up' }) // prettier-ignore
  const inner = trail.derive('shelfLength', 'Shelf, length', value('length') - 2 * td, innerRule, '{length} − 2 × {thickness:divider}') // prettier-ignore

  const about = { y: tb + off, z: 0 }
  const boards = level.boards.map((b): Board => {
    if (b.role === 'back') return b
    if (b.role === 'end') return cheek(b, out, tall, tb, ts)
    const moved = { ...b, placement: { ...b.placement, at: { ...b.placement.at, y: b.placement.at.y + off } } }
    return tipBoard(b.role === 'divider' ? moved : between(moved, inner, td), tilt, about)
  })
  return {
    ...level,
    boards,
    joints: joints(boards),
    reach: { value: tb + out, formula: '{thickness:back} + {cheekLength}' },
    seats: level.seats.map((seat, i) => leaningSeat(seat, all[i]!, { tilt, off, about, clearance: value('headClearance') })), // prettier-ignore
  }
}

const cheek = (end: Board, length: number, width: number, y: number, down: number): Board => ({
  ...end,
  name: end.id === 'left' ? 'Left cheek' : 'Right cheek',
  length,
  width,
  outline: rectangle(0, 0, length, width),
  placement: { lies: 'end', at: { x: end.placement.at.x, y, z: -down } },
  figures: { ...end.figures, length: 'cheekLength', width: 'cheekHeight' },
})

/** A board along the wall cut to go between the cheeks. */
const between = (board: Board, length: number, x: number): Board => ({
  ...board,
  length,
  outline: rectangle(0, 0, length, board.width),
  placement: { ...board.placement, at: { ...board.placement.at, x } },
  figures: { ...board.figures, length: 'shelfLength' },
})

function leaningSeat(
  seat: Seat,
  l: OnShelf,
  { tilt, off, about, clearance }: { tilt: number; off: number; about: { y: number; z: number }; clearance: number },
): Seat {
  const [s, c] = [sine(tilt), cosine(tilt)]
  const leaning = tipSeat({ ...seat, at: { ...seat.at, y: seat.at.y + off } }, tilt, about)
  const from = leaning.at.y - about.y
  return {
    ...leaning,
    extent: { ...seat.extent, front: c * (clearance + l.out) - from, back: from - (c * clearance - s * l.high) },
    reach: `{thickness:back} + {tiltOff} + cos({tilt}) × ({headClearance} + {${l.ids.out}})`,
  }
}

/** What stands on the shelf first, then the lip; the cheeks, and the back onto them. */
function joints(boards: readonly Board[]): Joint[] {
  const screwed = (through: string, into: string, fixing: string) => ({ parts: [through, into] as [string, string], glued: true, by: 'screws' as const, fixing }) // prettier-ignore
  const cheeks = boards.filter((b) => b.role === 'end')
  return [
    ...boards.filter((b) => b.role === 'divider').map((b) => screwed('shelf', b.id, 'Glue, and screws from below through the shelf')), // prettier-ignore
    { parts: ['lip', 'shelf'] as [string, string], glued: true, by: 'brads' as const, fixing: 'Glue, and brads through the lip into the shelf’s front edge' }, // prettier-ignore
    ...cheeks.map((b) => screwed(b.id, 'shelf', 'Glue, and screws through the cheek into the shelf’s end, on the line drawn at its tilt')), // prettier-ignore
    ...cheeks.map((b) => screwed('back', b.id, 'Glue, and screws from behind through the back into the cheek')),
  ].map((joint, i) => ({ order: i + 1, ...joint }))
}
