import { formatAngle } from '../units/angle'
import type { Seat } from '../model/model'
import { kindOf } from '../footprint/kinds'
import { limitFrom, numbersFor, offer, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'

const STATES = ['bare', 'battery'] as const

/** Whether what stands on a leaning deck tips over its stop: in each state that it is put away in; the worst is told. */
export const checkTipping: Check = (subject) => subject.model.seats.flatMap((seat) => tips(subject, seat))

function tips(subject: Subject, seat: Seat): Verdict[] {
  const { trail, input } = subject
  const states = STATES.filter((state) => trail.has(`tipSpare:${seat.id}:${state}`))
  if (states.length === 0) return []
  const spareOf = (state: (typeof STATES)[number]): number => trail.get(`tipSpare:${seat.id}:${state}`).value
  const worst = states.reduce((a, b) => (spareOf(b) < spareOf(a) ? b : a))
  const spare = spareOf(worst)
  const limit = limitFrom(subject, 'tipSpare')
  const unmeasured = states.flatMap((s) => unmeasuredBalance(subject, seat, s))
  // turned along the wall it would tip over its side, and how far across it balances is on no card
  const aside = seat.turn % 2 === 1
  const level = spare < limit - TOLERANCE ? 'stop' : unmeasured.length > 0 || aside ? 'watch' : 'pass'
  const state = states.length === 1 ? '' : worst === 'bare' ? ', its battery out,' : ', its battery in,'
  const found = `${seat.name}${state} would tip over the stop at ${formatAngle(trail.get(`tips:${seat.id}:${worst}`).value)}; the deck leans at ${formatAngle(trail.get('tilt').value)}`
  const says =
    level === 'stop'
      ? `${found}: ${formatAngle(limit)} to spare are wanted.`
      : level === 'watch'
        ? `${found}. Its balance${unmeasured.length > 0 ? '' : ' across its base'} is reckoned from its shape: ${unmeasured.length > 0 ? 'measure' : 'try'} it before you trust the deck.`
        : `${found}: ${formatAngle(spare)} to spare.`
  const measure = unmeasured.length > 0 ? { measure: { tool: seat.tool, fields: unmeasured } } : {}
  return [
    {
      id: `tipping:${seat.id}`,
      check: 'tipping',
      title: `Tipping ${seat.place}`,
      level,
      says,
      seats: [seat.id],
      figure: `tipSpare:${seat.id}:${worst}`,
      limitFigure: 'tipSpare',
      measured: { value: spare, limit, sense: 'at least', quantity: 'angle', print: 'down' },
      ...measure,
      candidates: level === 'stop' ? waysOut(input, seat, trail.get(`tips:${seat.id}:${worst}`).value - limit) : [],
    },
  ]
}

/** Fields of the balance in a state that were not measured. */
function unmeasuredBalance({ input }: Subject, seat: Seat, state: 'bare' | 'battery'): string[] {
  const tool = input.tools.get(seat.tool)
  const fields = (tool && kindOf(tool.kind)?.fields) ?? []
  return fields.filter((f) => f.balance === state && tool!.measures[f.key] === undefined).map((f) => f.key)
}

/** The steepest deck that is flat enough, if there is one, a lip over the plate, or the tool turned or left out. @param least angle that will do */
function waysOut(input: Subject['input'], seat: Seat, least: number): Remedy[] {
  const flat = Math.max(...numbersFor(input, 'angle').filter((angle) => angle <= least + TOLERANCE))
  const turns = [0, 2].filter((turn) => turn !== seat.turn)
  return [
    ...offer(input, `Lean it at ${flat}°`, 'angle', String(flat)),
    ...offer(input, 'Catch the plate under a lip', 'bears', 'lip'),
    ...turns.map((turn) => remedy(turn === 0 ? 'Turn its front to the stop' : 'Turn its rear to the stop', { kind: 'turn', seat: seat.id, turn: turn as Seat['turn'] })), // prettier-ignore
    remedy(`Leave ${seat.name} out`, { kind: 'leave out', seats: [seat.id] }),
  ]
}
