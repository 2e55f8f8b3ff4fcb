import { kindOf } from '../footprint/kinds'
import type { Seat } from '../model/model'
import { formatLength } from '../units/format-length'
import { formatMass, massUnitFor } from '../units/mass'
import { buyBit } from './buy-bit'
import { bearingRule } from './rules'
import { limitFrom, offer, remedy, tighterFits, TOLERANCE, type Check, type Subject } from './subject'
import type { Level, Remedy, Verdict } from './verdict'

/** Wood under each head beside its slot: more is wanted under a heavy tool. */
export const checkBearings: Check = (subject) =>
  subject.model.seats.filter((s) => s.figures.leftDoubt && s.figures.slot).map((seat) => seatBearing(subject, seat))

function seatBearing(subject: Subject, seat: Seat): Verdict {
  const { trail, input } = subject
  const { shop } = input
  const { left, right, leftDoubt, rightDoubt, slot } = seat.figures as Record<string, string>
  const value = (figure: string) => trail.get(figure).value
  const sides = [
    { extent: left!, doubt: leftDoubt! },
    { extent: right!, doubt: rightDoubt! },
  ].map((s) => ({ ...s, least: value(s.extent) - value(s.doubt) }))
  const side = sides[0]!.least <= sides[1]!.least ? sides[0]! : sides[1]!
  const width = value(slot!)
  const id = `bearing:${seat.id}`
  const title = `Bearing ${seat.place}`
  const bearing = trail.derive(
    id,
    title,
    side.least - width / 2,
    bearingRule,
    `{${side.extent}} − {${side.doubt}} − {${slot}} / 2`,
    { print: 'down' },
  )

  const heavyFrom = limitFrom(subject, 'heavyFrom')
  const heavy = seat.mass !== null && seat.mass > heavyFrom
  const limitKey = heavy ? 'bearingHeavy' : 'bearing'
  const limit = limitFrom(subject, limitKey)
  const heavyLimit = shop.settings.bearingHeavy
  const unweighed = seat.mass === null && bearing < heavyLimit - TOLERANCE
  const level: Level = bearing < limit - TOLERANCE ? 'stop' : unweighed ? 'watch' : 'pass'
  const found = `${seat.name} bears on ${formatLength(bearing, shop, 'down')} of wood on each side of its slot`
  const says =
    level === 'pass'
      ? `${found}; at least ${formatLength(limit, shop)} wanted.`
      : level === 'watch'
        ? `${found}; over ${formatMass(heavyFrom, massUnitFor(shop.unit))} it would want ${formatLength(heavyLimit, shop)}. Weigh it.`
        : bearing <= 0
          ? `${seat.name} would fall through its slot of ${formatLength(width, shop)}.`
          : `${found}; at least ${formatLength(limit, shop)} is wanted${heavy ? ' for one so heavy' : ''}.`
  return {
    id,
    check: 'bearing',
    title,
    level,
    says,
    seats: [seat.id],
    board: seat.board,
    figure: id,
    limitFigure: limitKey,
    measured: { value: bearing, limit, sense: 'at least', quantity: 'length', print: 'down' },
    ...(level === 'watch' ? { measure: { tool: seat.tool, fields: ['mass'] } } : {}),
    candidates: level === 'stop' ? candidates(subject, seat, side.least - limit) : [],
  }
}

/** @param halfWidest half the widest slot that would still leave enough bearing, mm */
function candidates({ input, trail }: Subject, seat: Seat, halfWidest: number): Remedy[] {
  const { tools } = input
  const found: Remedy[] = []
  const tool = tools.get(seat.tool)
  for (const attitude of kindOf(tool?.kind ?? '')?.attitudes ?? []) {
    if (attitude.turn !== seat.turn)
      found.push(remedy(`Turn it: ${attitude.label}`, { kind: 'turn', seat: seat.id, turn: attitude.turn }))
  }
  found.push(
    ...tighterFits(input),
    ...offer(input, 'Two bores and a file', 'slots', 'filed'),
    ...offer(input, 'Cut the slots with a jigsaw', 'slots', 'jigsawn'),
    ...buyBit(input, trail.get(seat.figures.needed!).value, 2 * halfWidest),
    remedy(`Leave ${seat.name} out`, { kind: 'leave out', seats: [seat.id] }),
  )
  return found
}
