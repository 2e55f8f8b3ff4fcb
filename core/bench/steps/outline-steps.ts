import type { Point, Segment } from '../../geometry/outline'
import type { Board } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { blankFeatures, isShaped, markOf, openingFeatures, outlineOf } from './features'
import { sawFor } from './machines'
import { EDGES } from '../marks'
import { step, wants, wantsDry, type Bench, type Step } from './step'
import { MINUTES } from './times'
import { running, theNames } from './words'

/** Sides nearer than this lie on the blank's edge, mm. */
const ON_EDGE = 1e-6

/** A board smaller than this is held by a clamp while it is sawn, mm. */
const SMALL = { length: 150, width: 80 }

/** The sides of a board's outline that are not the edges of its blank, in their order. */
export function shapedSides({
  outline,
  length,
  width,
}: Pick<Board, 'outline' | 'length' | 'width'>): { from: Point; side: Segment }[] {
  // prettier-ignore
  let from = outline.start
  return outline.segments.flatMap((side) => {
    const [a, b] = [from, side.to]
    from = side.to
    const on = (p: number, q: number, edge: number): boolean => Math.abs(p - edge) < ON_EDGE && Math.abs(q - edge) < ON_EDGE // prettier-ignore
    const isEdge = on(a.x, b.x, 0) || on(a.x, b.x, length) || on(a.y, b.y, 0) || on(a.y, b.y, width)
    return side.kind === 'line' && isEdge ? [] : [{ from: a, side }]
  })
}

/** Which end lines are counted from, where a board has no datum end of its own accord. */
const datumEnd: Partial<Record<Board['placement']['lies'], readonly string[]>> = {
  end: ['Its datum end is the one at the wall.'],
  post: ['Its datum end is the lower one.'],
}

/** Boards of one shape: laid out once, and sawn in a stack. */
function alikeShapes(boards: readonly Board[]): Board[][] {
  const groups = new Map<string, Board[]>()
  for (const b of boards) {
    const key = JSON.stringify([b.length, b.width, b.thickness, b.placement.lies, b.outline], (_, v: unknown) => (typeof v === 'number' ? v.toFixed(3) : v)) // prettier-ignore
    groups.set(key, [...(groups.get(key) ?? []), b])
  }
  return [...groups.values()]
}

/** Sawing boards to their shapes: a step for each shape, laid out from the blank's square edges. @param marked features that marking makes */
export function outlineSteps({ model, shop }: Bench, marked: ReadonlySet<string>): Step[] {
  return alikeShapes(model.boards.filter(isShaped)).map((alike) => {
    const [b] = alike as [Board]
    const names = theNames(alike.map((x) => x.name))
    const saw = sawFor(shop, 'slot', {
      long: b.length,
      fence: b.width,
      thickness: b.thickness,
      tilt: 0,
      // it is turned so that the less of it lies in the saw's frame
      reach: Math.min(b.length, b.width) / 2,
    })
    const stacked = saw === null ? 1 : Math.min(alike.length, Math.floor((saw.greatestDepth ?? b.thickness) / b.thickness)) // prettier-ignore
    const sides = shapedSides(b)
    const curved = sides.some(({ side }) => side.kind === 'arc')
    const ids = alike.map((x) => x.id)
    return step({
      id: `shape:${b.id}`,
      kind: 'shape',
      title: `Saw ${names} to ${alike.length === 1 ? 'its shape' : 'their shape'}`,
      parts: ids,
      settings: [
        { label: 'Saw', value: saw?.name ?? 'none in the shop that cuts this thickness' },
        { label: 'Blank', value: `${formatLength(b.length, shop)} × ${formatLength(b.width, shop)}` },
      ],
      says: [
        ...(datumEnd[b.placement.lies] ?? []),
        ...sides.map(({ from, side }) => drawn(from, side, b, shop)),
        ...(curved ? ['Or stick the full-size template on it, on the same edges.'] : []),
        ...(stacked > 1 ? [`Stack ${stacked === alike.length ? 'them' : `${stacked} at a time`}, datum ends and square edges flush, a brad in the waste, and saw them together.`] : []), // prettier-ignore
        `The blade in the waste, the line left standing; then ${curved ? 'rasp and sand' : 'plane or sand'} to it, square to the face.`,
      ],
      cautions: [
        ...(b.length < SMALL.length || b.width < SMALL.width ? ['Small parts are held in a vice or clamp, never by fingers.'] : []), // prettier-ignore
        'Support the waste: as it comes off it pinches the blade.',
      ],
      makes: ids.map(outlineOf),
      // marked, bored and slotted while its edges are still square
      wants: [
        ...wantsDry(...alike.flatMap(blankFeatures)),
        ...wants(...alike.flatMap((x) => x.openings.flatMap((o) => openingFeatures(x, o)))),
        ...wants(...ids.map(markOf).filter((f) => marked.has(f))),
      ],
      minutes: MINUTES.setUp + MINUTES.side * sides.length * Math.ceil(alike.length / Math.max(1, stacked)),
      show: { look: 'board', boards: ids },
    })
  })
}

/** One side as it is drawn on the blank. */
function drawn(from: Point, side: Segment, board: Board, shop: Bench['shop']): string {
  const edge = EDGES[board.placement.lies].from
  const at = (p: Point): string => `${running([p.x], shop)} from the datum end and ${running([p.y], shop)} from the ${edge}` // prettier-ignore
  if (side.kind === 'line') return `Draw a line from ${at(from)} to ${at(side.to)}.`
  return `Draw an arc of ${formatLength(side.radius, shop)} about ${at(side.centre)}: from ${at(from)} to ${at(side.to)}.`
}
