import { polygon, rectangle } from '../../geometry/outline'
import { MODEL_VERSION, type Board, type Joint, type Opening } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { onShelf, type OnShelf } from '../on-shelf'
import { backBoard, plainBoard } from '../plain-board'
import { dividersBetween, shelfDepth, shelfSeat } from '../shelf-parts'
import { spreadSpots } from '../spread'
import { NO_STOCK, stocksFor } from '../stocks'
import { Air, cordAt, overlap } from './air'
import { choices } from './choices'
import { heightsOf } from './sizes'

/** Plans a tray: a floor with a front, ends, dividers if wanted, and a back; holes for air and slots for cords. */
export function planTray(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['shelf', 'lip', 'divider', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const { standing: all, refusals } = onShelf(input, trail)
  if (all.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'Nothing in this tray yet. Add the first thing from those that could join.' })
  }
  const format = (mm: number): string => formatLength(mm, input.shop)
  const gap = lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const divided = optionOf(choices, input, 'dividers') === 'with' && all.length > 1
  const [tb, ts, td] = [stocks.back.thickness, stocks.shelf.thickness, stocks.divider.thickness]
  if (divided && gap < td)
    return refuse(...refusals, { id: 'no room', says: `A divider of ${format(td)} has no room in a gap of ${format(gap)}. Widen the gap, or do without dividers.` }) // prettier-ignore
  const end = { id: 'thickness:divider', value: td }
  const { centres, length } = spreadSpots(trail, all, optionOf(choices, input, 'pitch') === 'even', end)
  if (length > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The tray would be ${format(length)} long. Split the things over several holders.` }) // prettier-ignore
  const depth = shelfDepth(input, trail, all)
  const clearance = trail.get('headClearance').value
  const deepest = Math.max(...all.map((l) => l.out))
  if (deepest + clearance > depth + 1e-6)
    return refuse(...refusals, { id: 'too shallow', says: `The tray is not deep enough: ${format(deepest + clearance)} is needed.` }) // prettier-ignore
  const { front, sides, frontBoard, back: high } = heightsOf(input, trail, all)

  const through = openings(input, trail, all, centres, { front: frontBoard, floor: ts, end: Math.max(front, sides), endAt: (y) => sides + ((front - sides) * y) / depth }) // prettier-ignore
  if (overlap(through.front))
    return refuse(...refusals, { id: 'overlap', says: 'Slots for cords would run into each other in the front: widen the gap, or do without them.' }) // prettier-ignore
  const shelf = plainBoard(stocks.shelf, {
    id: 'shelf',
    name: 'Floor',
    role: 'shelf',
    length,
    width: depth,
    placement: { lies: 'flat', at: { x: 0, y: tb, z: 0 } },
    figures: { length: 'length', width: 'depth', thickness: 'thickness:shelf' },
  })
  const before = plainBoard(stocks.lip, {
    id: 'lip',
    name: 'Front',
    role: 'lip',
    length,
    width: frontBoard,
    openings: through.front,
    placement: { lies: 'upright', at: { x: 0, y: tb + depth, z: -ts } },
    figures: { length: 'length', width: 'frontBoard', thickness: 'thickness:lip' },
  })
  const behind = backBoard(stocks.back, { length, width: high, low: -ts, as: { length: 'length', width: 'backHigh' } })
  const side = (id: string, name: string, role: Board['role'], x: number, cut: Opening[] = []): Board =>
    plainBoard(stocks.divider, {
      id,
      name,
      role,
      length: depth,
      width: Math.max(front, sides),
      outline: front === sides ? rectangle(0, 0, depth, front) : polygon([[0, 0], [depth, 0], [depth, front], [0, sides]]), // prettier-ignore
      openings: cut,
      placement: { lies: 'end', at: { x, y: tb, z: 0 } },
      figures: { length: 'depth', width: sides >= front ? 'sides' : 'lip', thickness: 'thickness:divider' },
    })
  const ends = [side('left', 'Left end', 'end', 0, through.left), side('right', 'Right end', 'end', length - td, through.right)] // prettier-ignore
  const dividers = divided ? dividersBetween(trail, all, centres, td).map((x, i) => side(`divider-${i + 1}`, `Divider ${i + 1}`, 'divider', x)) : [] // prettier-ignore
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'tray',
      name: input.holder.name,
      boards: [shelf, behind, before, ...ends, ...dividers],
      rods: [],
      reach: { value: tb + depth + stocks.lip.thickness, formula: '{thickness:back} + {depth} + {thickness:lip}' },
      joints: joints(ends, dividers),
      fasteners: [],
      seats: all.map((l, i) => shelfSeat(l, centres[i]!, tb + clearance)),
    },
  }
}

/** Heights of what openings are cut into, mm: the front's board and the floor's thickness below it; an end's blank, and its wood so far from the back. */
interface Walls {
  front: number
  floor: number
  end: number
  endAt: (out: number) => number
}

/** What goes through the front and the two ends. */
function openings(
  input: PlanInput,
  trail: Trail,
  all: readonly OnShelf[],
  centres: readonly number[],
  walls: Walls,
): Record<'front' | 'left' | 'right', Opening[]> {
  const found: Record<'front' | 'left' | 'right', Opening[]> = { front: [], left: [], right: [] }
  if (optionOf(choices, input, 'air') === 'without') return found
  const asks = all.some((l, i) => l.tool.measures.ventClear || cordAt(l, i + 1, all.length))
  if (!asks) return found
  const air = new Air(input, trail)
  const front = { floor: { value: walls.floor, text: '{thickness:shelf} + ' }, high: walls.front, wood: walls.front }
  all.forEach((l, i) => {
    const leaves = cordAt(l, i + 1, all.length)
    const slot = leaves === 'front' ? air.slot(l, `cord-${l.seat}`, { value: centres[i]!, figure: `x:${l.seat}` }, front) : [] // prettier-ignore
    found.front.push(...slot, ...air.holes(l, centres[i]!, front, slot.length > 0))
    if (leaves !== 'left' && leaves !== 'right') return
    const out = air.out(l)
    found[leaves].push(...air.slot(l, `cord-${leaves}-${l.seat}`, out, { floor: { value: 0, text: '' }, high: walls.end, wood: walls.endAt(out.value) })) // prettier-ignore
  })
  return found
}

/** Ends and dividers onto the floor, the back onto floor and ends, the front last. */
function joints(ends: readonly Board[], dividers: readonly Board[]): Joint[] {
  const screwed = (a: string, b: string, fixing: string) => ({ parts: [a, b] as [string, string], glued: true, by: 'screws' as const, fixing }) // prettier-ignore
  return [
    ...[...ends, ...dividers].map((b) => screwed('shelf', b.id, 'Glue, and screws from below through the floor')),
    screwed('back', 'shelf', 'Glue, and screws from behind through the back into the floor’s back edge'),
    ...ends.map((b) => screwed('back', b.id, 'Glue, and screws from behind through the back into the end')),
    { ...screwed('lip', 'shelf', 'Glue, and brads through the front into the floor’s front edge'), by: 'brads' as const }, // prettier-ignore
    ...ends.map((b) => ({ ...screwed('lip', b.id, 'Glue, and brads through the front into the end'), by: 'brads' as const })), // prettier-ignore
  ].map((joint, i) => ({ order: i + 1, ...joint }))
}
