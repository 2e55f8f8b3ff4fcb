import { seenOf } from '../footprint/body'
import { kindOf } from '../footprint/kinds'
import { outlineBounds } from '../geometry/outline'
import type { Seat } from '../model/model'
import { boardBox } from '../model/standing'
import { formatLength } from '../units/format-length'
import { fingersRule, liftRule } from './rules'
import { limitFrom, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Verdict } from './verdict'

/** Whether a hand gets at each tool, and how far one has to be lifted to be out. */
export const checkTaking: Check = (subject) => [...fingers(subject), ...lifts(subject), ...wideBelow(subject), ...edgesUp(subject)] // prettier-ignore

/** The two neighbours that leave the least room between them: told where it is too little for fingers. */
function fingers(subject: Subject): Verdict[] {
  const { trail, model, input } = subject
  const rows = new Map<string, Seat[]>()
  for (const s of model.seats.filter(
    (k) => trail.has(`x:${k.id}`) && trail.has(k.figures.left ?? '') && trail.has(k.figures.right ?? ''),
  )) {
    // what stands on a board has its own origin anywhere: all of it stands in one row
    const key = s.rests === 'shelf' ? s.board : `${s.board} ${s.at.y.toFixed(1)}`
    rows.set(key, [...(rows.get(key) ?? []), s])
  }
  const x = (s: Seat): number => trail.get(`x:${s.id}`).value
  const side = (s: Seat, to: 'left' | 'right'): number => trail.get(s.figures[to]!).value
  const pairs = [...rows.values()].flatMap((row) => {
    const sorted = [...row].sort((a, b) => x(a) - x(b))
    return sorted.slice(1).map((b, i) => ({ a: sorted[i]!, b, room: x(b) - side(b, 'left') - x(sorted[i]!) - side(sorted[i]!, 'right') })) // prettier-ignore
  })
  if (pairs.length === 0) return []
  const { a, b, room } = pairs.reduce((p, q) => (q.room < p.room ? q : p))
  const limit = limitFrom(subject, 'fingers')
  const value = trail.derive('fingerRoom', 'Least room for fingers', room, fingersRule, `{x:${b.id}} − {${b.figures.left}} − {x:${a.id}} − {${a.figures.right}}`, { print: 'down', note: `${a.name}, ${b.name}` }) // prettier-ignore
  const level = value < limit - TOLERANCE ? 'watch' : 'pass'
  const [has, wants] = [formatLength(value, input.shop, 'down'), formatLength(limit, input.shop)]
  return [
    {
      id: 'fingers',
      check: 'fingers',
      title: 'Room for fingers',
      level,
      says: level === 'pass' ? `${has} between neighbours at least; ${wants} wanted.` : `Only ${has} between ${a.name} and ${b.name}: fingers want ${wants}.`, // prettier-ignore
      seats: level === 'pass' ? [] : [a.id, b.id],
      figure: 'fingerRoom',
      limitFigure: 'fingers',
      measured: { value, limit, sense: 'at least', quantity: 'length', print: 'down' },
      candidates: level === 'pass' || !trail.has('gap') ? [] : [remedy(`A gap of ${formatLength(trail.get('gap').value + limit - value, input.shop, 'up')}`, { kind: 'choice', key: 'gap', value: trail.get('gap').value + limit - value })], // prettier-ignore
    },
  ]
}

/** How far down a seated tool reaches from its own origin, mm; a tilted one along its own axis. */
function reachDown(seat: Seat, { input }: Subject): number | null {
  const tool = input.tools.get(seat.tool)
  const kind = tool && kindOf(tool.kind)
  if (!kind) return null
  const { minY, maxY } = kind.envelope(tool).face
  return Math.max(0, seat.tilt === 180 ? maxY : -minY)
}

/** What stands in a closed hole is lifted out: the one that must go highest is told. */
function lifts(subject: Subject): Verdict[] {
  const { trail, model, input } = subject
  const lifted = model.seats.flatMap((seat) => {
    // the highest board that closes round it
    const closed = model.boards.filter((b) => b.openings.some((o) => o.seat === seat.id && o.opensTo === null))
    const down = reachDown(seat, subject)
    if (closed.length === 0 || down === null || (seat.rests !== 'floor' && seat.rests !== 'shoulder')) return []
    const top = Math.max(...closed.map((b) => boardBox(b).z[1]))
    const leans = seat.tilt !== undefined && seat.tilt !== 180
    return [{ seat, down, lift: leans ? down : down + top - seat.at.z }]
  })
  if (lifted.length === 0) return []
  const { seat, lift, down } = lifted.reduce((a, b) => (b.lift > a.lift ? b : a))
  const limit = limitFrom(subject, 'liftFree')
  trail.given('reachDown', `${seat.name} reaches down`, down, { kind: 'shape', tool: seat.tool })
  const over = lift - down
  const formula = `{reachDown}${over === 0 ? '' : over > 0 ? ` + [${over} mm]` : ` − [${-over} mm]`}`
  const value = trail.derive('lift', 'Lifted out by', lift, liftRule, formula, { print: 'up', note: seat.name })
  const level = value > limit + TOLERANCE ? 'watch' : 'pass'
  const much = formatLength(value, input.shop, 'up')
  return [
    {
      id: 'lift',
      check: 'lift',
      title: 'Lifted out',
      level,
      says: level === 'pass' ? `${seat.name} is lifted ${much} to be out, the most of all: keep that free above it.` : `${seat.name} must be lifted ${much} to be out: hang it where that is free above, and in reach.`, // prettier-ignore
      seats: level === 'pass' ? [] : [seat.id],
      figure: 'lift',
      limitFigure: 'liftFree',
      measured: { value, limit, sense: 'at most', quantity: 'length', print: 'up' },
      candidates: [],
    },
  ]
}

/** How far above its lowest parts a tool’s neck ends, where it is the head itself that lies on the rods; mm. */
const UNDER_HEAD = 1

/** Between two rods closed at both ends a tool is drawn up: nothing below its neck may be wider than their gap. */
function wideBelow({ model, input, trail }: Subject): Verdict[] {
  if (!trail.has('rodGap')) return []
  const gap = trail.get('rodGap').value
  return model.seats.flatMap((seat): Verdict[] => {
    const tool = input.tools.get(seat.tool)
    const kind = tool && kindOf(tool.kind)
    if (!kind || seat.rests !== 'rods') return []
    const below = kind
      .bodies(tool)
      .filter((b) => b.part !== 'hole' && outlineBounds(seenOf(b, 'face')).maxY < -UNDER_HEAD)
    const look = seat.turn % 2 === 1 ? 'face' : 'side'
    const wide = Math.max(0, ...below.map((b) => { const { minX, maxX } = outlineBounds(seenOf(b, look)); return maxX - minX })) // prettier-ignore
    if (wide <= gap + TOLERANCE) return []
    const [has, may] = [formatLength(wide, input.shop, 'up'), formatLength(gap, input.shop, 'down')]
    return [
      {
        id: `stuck:${seat.id}`,
        check: 'lift',
        title: `Out of the rods ${seat.place}`,
        level: 'stop',
        says: `Below its neck ${seat.name} is ${has} wide there, more than the ${may} between the rods: it can’t be drawn up.`, // prettier-ignore
        seats: [seat.id],
        candidates: [
          ...([0, 1, 2, 3] as const).filter((t) => t !== seat.turn).map((turn) => remedy('Turn it a quarter', { kind: 'turn', seat: seat.id, turn })), // prettier-ignore
          remedy(`Leave ${seat.name} out`, { kind: 'leave out', seats: [seat.id] }),
        ],
      },
    ]
  })
}

/** Edges and points that stand up out of a holder, handle down. */
function edgesUp({ model }: Subject): Verdict[] {
  const up = model.seats.filter((s) => s.edgeUp)
  if (up.length === 0) return []
  return [
    {
      id: 'edges up',
      check: 'edge',
      title: 'Edges up',
      level: 'watch',
      says: `${up.length === 1 ? `${up[0]!.name} stands` : `${up.length} tools stand`} with the edge up: hang it so that edges are above the eyes or behind something, and cover them where children come.`, // prettier-ignore
      seats: up.map((s) => s.id),
      candidates: [],
    },
  ]
}
