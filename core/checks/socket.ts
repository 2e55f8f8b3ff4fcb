import { deepest, type Seat } from '../model/model'
import { formatLength } from '../units/format-length'
import { buyBit } from './buy-bit'
import { shoulderRule, standsOutRule } from './rules'
import { answerTo, limitFrom, offer, remedy, tighterFits, TOLERANCE, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'

/** Whether what stands in a bore stays up, stands deep enough, and keeps its edge off the wood. */
export const checkSockets: Check = (subject) => [
  ...subject.model.seats.flatMap((seat) => [
    ...shoulder(subject, seat),
    ...depth(subject, seat),
    ...edgeOnFloor(subject, seat),
  ]),
  ...standingOut(subject),
]

const leaveOut = (seat: Seat): Remedy => remedy(`Leave ${seat.name} out`, { kind: 'leave out', seats: [seat.id] })

function shoulder(subject: Subject, seat: Seat): Verdict[] {
  const { shoulder: id, shoulderDoubt, slot } = seat.figures
  if (seat.rests !== 'shoulder' || !id || !shoulderDoubt || !slot) return []
  const { trail, input } = subject
  const figure = `shoulderBearing:${seat.id}`
  const [size, doubt, bore] = [id, shoulderDoubt, slot].map((f) => trail.get(f).value) as [number, number, number]
  const title = `Shoulder ${seat.place}`
  const formula = `({${id}} − {${shoulderDoubt}} − {${slot}}) / 2`
  const value = trail.derive(figure, title, (size - doubt - bore) / 2, shoulderRule, formula, { print: 'down' })
  const limit = limitFrom(subject, 'shoulderBearing')
  const level = value < limit - TOLERANCE ? 'stop' : 'pass'
  const needed = trail.get(trail.has('neededAll') ? 'neededAll' : seat.figures.needed!).value
  const says =
    value <= 0
      ? `${seat.name} would drop through its bore of ${formatLength(bore, input.shop)}.`
      : `${seat.name} rests on ${formatLength(value, input.shop, 'down')} of wood on each side; at least ${formatLength(limit, input.shop)} wanted.`
  return [
    {
      id: `shoulder:${seat.id}`,
      check: 'shoulder',
      title,
      level,
      says,
      seats: [seat.id],
      board: seat.board,
      figure,
      limitFigure: 'shoulderBearing',
      measured: { value, limit, sense: 'at least', quantity: 'length', print: 'down' },
      candidates:
        level === 'pass'
          ? []
          : [
              ...offer(input, 'Each its own bore', 'bores', 'own'),
              ...tighterFits(input),
              ...buyBit(input, needed, size - doubt - 2 * limit),
              leaveOut(seat),
            ],
    },
  ]
}

function depth(subject: Subject, seat: Seat): Verdict[] {
  const { depth: id, depthLeast } = seat.figures
  if (!id || !depthLeast || seat.rests !== 'floor') return []
  const { trail, input } = subject
  const [value, limit] = [trail.get(id).value, trail.get(depthLeast).value]
  const level = value < limit - TOLERANCE ? 'watch' : 'pass'
  const deep = `${seat.name} stands ${formatLength(value, input.shop, 'down')} deep`
  const layers = Number(answerTo(input, 'layers') ?? '1')
  return [
    {
      id: `depth:${seat.id}`,
      check: 'depth',
      title: `Depth ${seat.place}`,
      level,
      says:
        level === 'pass'
          ? `${deep}; at least ${formatLength(limit, input.shop, 'up')} wanted.`
          : `${deep}; ${formatLength(limit, input.shop, 'up')} would hold it well. It leans.`,
      seats: [seat.id],
      board: seat.board,
      figure: id,
      limitFigure: depthLeast,
      measured: { value, limit, sense: 'at least', quantity: 'length', print: 'down' },
      candidates:
        level === 'pass'
          ? []
          : [1, 2].flatMap((more) => offer(input, `Glue up ${layers + more} layers`, 'layers', String(layers + more))),
    },
  ]
}

/** An edge or a point never stands on anything. */
function edgeOnFloor({ input }: Subject, seat: Seat): Verdict[] {
  if (!seat.sharp || seat.rests !== 'floor') return []
  return [
    {
      id: `edge on floor:${seat.id}`,
      check: 'edge',
      title: `Edge ${seat.place}`,
      level: 'stop',
      says: `${seat.name} would stand on its edge or point.`,
      seats: [seat.id],
      board: seat.board,
      candidates: [...offer(input, 'Bore it through', 'hole', 'through'), leaveOut(seat)],
    },
  ]
}

/** Edges that hang out below a board are told once, with how far. */
function standingOut(subject: Subject): Verdict[] {
  const { trail, model, input } = subject
  let worst: { seat: Seat; out: number; formula: string } | null = null
  for (const seat of model.seats) {
    const board = model.boards.find((b) => b.id === seat.board)
    const { length } = seat.figures
    if (!seat.sharp || seat.rests !== 'shoulder' || !length || !board) continue
    const opening = board.openings.find((o) => o.id === seat.opening)
    if (!opening || deepest(opening) !== null) continue
    const { sink } = seat.figures
    const sunk = sink ? trail.get(sink).value : 0
    const out = trail.get(length).value + sunk - board.thickness
    if (out > TOLERANCE && (!worst || out > worst.out))
      worst = { seat, out, formula: `{${length}}${sink ? ` + {${sink}}` : ''} − {${board.figures.thickness}}` }
  }
  if (!worst) return []
  trail.derive('standsOut', 'Edge below the board', worst.out, standsOutRule, worst.formula, { note: worst.seat.name })
  const much = formatLength(worst.out, input.shop, 'up')
  return [
    {
      id: 'edges out',
      check: 'edge',
      title: 'Edges below',
      level: 'watch',
      says: `Edges hang out up to ${much} below the board: hang it above where hands go, or close it off in front.`,
      seats: [worst.seat.id],
      board: worst.seat.board,
      figure: 'standsOut',
      candidates: [],
    },
  ]
}
