import { contactOf, onBoard, axesOf, type Contact } from '../../model/contact'
import { openingRows, WALL_FORM, type Board } from '../../model/model'
import { EDGES } from '../marks'
import { blankFeatures, markOf } from './features'
import { step, wantsDry, type Bench, type Step } from './step'
import { cutOutLines, isCutOut } from './cut-outs'
import type { Point } from '../../geometry/outline'
import { tipped } from '../../model/tilt'
import { formatAngle } from '../../units/angle'
import { formatLength } from '../../units/format-length'
import { MINUTES } from './times'
import { listed, lower, running, theName, upper } from './words'

const FACE: Record<Board['placement']['lies'], string> = {
  flat: 'the upper face',
  upright: 'the face that goes to the wall',
  end: 'the face towards the datum, its end at the wall being the datum end',
  post: 'the face towards the datum, its lower end being the datum end',
}

/** Marking: a step for each board that is drilled, sawn, or screwed through. */
export function markSteps({ model, shop }: Bench): Step[] {
  // a wall's strips are marked in one go, but for those that are screwed on from behind
  const strips = model.form === WALL_FORM && model.joints.length === 0 ? model.boards.filter((b) => b.bevel) : []
  const others = model.boards.filter((b) => !strips.includes(b)).flatMap((board) => markStep(model, board, shop))
  return strips.length > 0 ? [...others, stripMarks(model, strips, shop)] : others
}

function markStep(model: Bench['model'], board: Board, shop: Bench['shop']): Step[] {
  const screws = screwLines(model, board, shop)
  const places = placeLines(model, board, shop)
  if (board.openings.length === 0 && screws.length + places.length === 0) return []
  const slanted = board.openings.some((o) => o.slant !== 0)
  const face = slanted || isPutUp(model, board) ? 'the face that looks out' : FACE[board.placement.lies]
  const rows = openingRows({ ...board, openings: board.openings.filter((o) => !isCutOut(o)) })
  const cutOuts = cutOutLines(board, shop)
  return [
    step({
      id: `mark:${board.id}`,
      kind: 'mark',
      title: `Mark out ${theName(board.name)}`,
      parts: [board.id],
      settings: [
        { label: 'Mark on', value: face },
        ...(rows.length > 0 ? [{ label: rows.length > 1 ? 'Lines of centres' : 'Line of centres', value: `${running(rows.map((r) => r[0]!.centre.y), shop)} from the ${EDGES[board.placement.lies].from}` }] : []), // prettier-ignore
      ],
      says: [
        `Write ‘${board.name}’ on ${face}, with an arrow to its ${EDGES[board.placement.lies].to} and a cross at the datum end.`,
        ...(board.openings.length > cutOuts.length ? [`Hook the rule on the datum end and don’t move it: every mark of the stick in one go${board.openings.some((o) => o.opensTo !== null) ? '; cross the waste side of each saw line' : ''}.`] : []), // prettier-ignore
        ...cutOuts,
        ...slopes(board, shop),
        ...places,
        ...screws,
      ],
      makes: [markOf(board.id)],
      wants: wantsDry(...blankFeatures(board)),
      minutes: MINUTES.markBoard + MINUTES.mark * (board.openings.length * 3 + screws.length * 2),
      show: { look: 'board', boards: [board.id] },
    }),
  ]
}

/** Whether a board is screwed to the wall as it is, nothing fixed to it from behind: what is marked on it is seen. */
const isPutUp = ({ form, joints }: Bench['model'], { id, placement }: Board): boolean =>
  form === WALL_FORM && placement.lies === 'upright' && joints.every((j) => !j.parts.includes(id))

/** The strips of a wall: all marked in one go, each by its screws. */
function stripMarks(model: Bench['model'], strips: readonly Board[], shop: Bench['shop']): Step {
  const screwsOf = (b: Board): number[] => model.fasteners.filter((f) => f.through === b.id).map((f) => f.at.x - b.placement.at.x).sort((p, q) => p - q) // prettier-ignore
  const one = model.fasteners.find((f) => strips.some((b) => b.id === f.through))
  const alike = new Map<string, string[]>()
  for (const b of strips) {
    const text = `${formatLength(b.length, shop)}: ${screwsOf(b).length > 0 ? `${running(screwsOf(b), shop)} from the left end` : 'no stud behind it'}.` // prettier-ignore
    alike.set(text, [...(alike.get(text) ?? []), alike.has(text) ? lower(b.name) : b.name])
  }
  return step({
    id: 'mark:strips',
    kind: 'mark',
    title: 'Mark the screws on the strips',
    parts: strips.map((b) => b.id),
    settings: one ? [{ label: 'From the lower edge', value: running([one.at.z - strips.find((b) => b.id === one.through)!.placement.at.z], shop) }] : [], // prettier-ignore
    says: [
      'Write its number on each, with an arrow up: the wide face looks out, the bevel is up.',
      ...[...alike].map(([text, names]) => `${listed(names)}, ${text}`),
    ],
    makes: strips.map((b) => markOf(b.id)),
    wants: wantsDry(...strips.flatMap(blankFeatures)),
    minutes: MINUTES.markBoard * strips.length,
  })
}

/** Where the saw lines of sloped slots leave the front edge: running figures from the datum end. */
function slopes(board: Board, shop: Bench['shop']): string[] {
  const sloped = board.openings.filter((o) => o.slope)
  if (sloped.length === 0) return []
  const ends = sloped.map((o) => [o.outline.start.x, o.outline.segments.at(-2)!.to.x].sort((a, b) => a - b))
  const lines = ends.map((pair) => running(pair, shop)).join('; ')
  return [`On the ${EDGES[board.placement.lies].to} the saw lines are at ${lines}: from there they slope ${formatAngle(sloped[0]!.slope!)} down to the bores’ tangents.`] // prettier-ignore
}

/** Where screws go through a board, by what they go into: running figures, and how far from the edge. */
function screwLines(model: Bench['model'], board: Board, shop: Bench['shop']): string[] {
  const axis = axesOf(board)
  // through an edge there is nothing to mark on the face
  const through = model.fasteners.filter((f) => f.through === board.id && f.toward[axis.thickness] !== 0)
  const into = new Map<string | null, { what: string; points: Point[] }>()
  for (const f of through) {
    const group = into.get(f.into) ?? { what: f.kind === 'brad' ? 'Brads' : 'Screws', points: [] }
    group.points.push(onBoard(board, f.at))
    into.set(f.into, group)
  }
  const edge = EDGES[board.placement.lies].from
  return [...into].flatMap(([id, { what, points }]) => {
    const to = id === null ? 'the wall' : theName(model.boards.find((b) => b.id === id)!.name)
    return inLines(points).map(({ xs, ys }) => `${what} into ${to}: ${running(xs, shop)} from the datum end, ${running(ys, shop)} from the ${edge}.`) // prettier-ignore
  })
}

/** Places nearer than this stand in one line, mm. */
const SAME_LINE = 0.005

/** Points as few lines: those at one height together, or those of one station, and then lines with the same places. */
function inLines(points: readonly Point[]): { xs: number[]; ys: number[] }[] {
  const by = (line: 'x' | 'y', along: 'x' | 'y'): { at: number[]; places: number[] }[] => {
    const lines: { at: number[]; places: number[] }[] = []
    for (const p of [...points].sort((a, b) => a[line] - b[line])) {
      const last = lines.at(-1)
      if (last && Math.abs(last.at[0]! - p[line]) < SAME_LINE) last.places.push(p[along])
      else lines.push({ at: [p[line]], places: [p[along]] })
    }
    const merged = new Map<string, { at: number[]; places: number[] }>()
    for (const { at, places } of lines) {
      const sorted = places.sort((a, b) => a - b)
      const key = sorted.map((v) => v.toFixed(2)).join(' ')
      const same = merged.get(key)
      if (same) same.at.push(...at)
      else merged.set(key, { at, places: sorted })
    }
    return [...merged.values()]
  }
  const [rows, columns] = [by('y', 'x'), by('x', 'y')]
  return columns.length < rows.length
    ? columns.map(({ at, places }) => ({ xs: at, ys: places }))
    : rows.map(({ at, places }) => ({ xs: places, ys: at }))
}

/** The line of a leaning board's lower face on what it stands against: both its ends, by the square edges. */
function slantedLine(
  board: Board,
  other: Board,
  contact: Contact,
  tip: NonNullable<Contact['tip']>,
  shop: Bench['shop'],
): string {
  // prettier-ignore
  const low = contact.across.axis === 'z' ? contact.across.from : contact.along.from
  const [from, to] = contact.along.axis === 'y' ? [contact.along.from, contact.along.to] : [contact.across.from, contact.across.to] // prettier-ignore
  const at = (y: number): { x: number; y: number } =>
    onBoard(board, tipped({ x: contact.at, y, z: low }, tip.tilt, tip.about))
  const [a, b] = [at(from), at(to)]
  const place = (p: { x: number; y: number }): string => `${running([p.x], shop)} from the datum end and ${running([p.y], shop)} from the ${EDGES[board.placement.lies].from}` // prettier-ignore
  return `${upper(theName(other.name))} leans by ${formatAngle(Math.abs(tip.tilt))}: draw the line of its lower edge from ${place(a)} to ${place(b)}, and the upper one ${formatLength(other.placement.lies === 'upright' ? other.width : other.thickness, shop)} above it.` // prettier-ignore
}

/** Where other boards stand on this one, so that glue goes there and nowhere else. */
function placeLines(model: Bench['model'], board: Board, shop: Bench['shop']): string[] {
  return model.joints.flatMap(({ parts }): string[] => {
    const other = model.boards.find((b) => b.id === parts[1])
    if (parts[0] !== board.id || !other) return []
    const contact = contactOf(board, other)
    if (!contact || contact.axis !== axesOf(board).thickness) return []
    const { tip } = contact
    // only what leans otherwise than this board is drawn at a slant on it
    if (tip && (board.placement.tilt ?? 0) !== tip.tilt) return [slantedLine(board, other, contact, tip, shop)]
    const corner = (end: 'from' | 'to') => {
      const p = { x: 0, y: 0, z: 0 }
      p[contact.axis] = contact.at
      p[contact.along.axis] = contact.along[end]
      p[contact.across.axis] = contact.across[end]
      return onBoard(board, tip ? tipped(p, tip.tilt, tip.about) : p)
    }
    const [a, b] = [corner('from'), corner('to')]
    const span = (p: number, q: number): string => running([Math.min(p, q), Math.max(p, q)], shop)
    const whole = Math.min(a.x, b.x) < 0.01 && Math.max(a.x, b.x) > board.length - 0.01
    const alongText = whole ? '' : ` and ${span(a.x, b.x)} from the datum end`
    return [
      `${upper(theName(other.name))} stands between ${span(a.y, b.y)} from the ${EDGES[board.placement.lies].from}${alongText}.`,
    ]
  })
}
