import { GRAVITY, GRAVITY_TEXT } from '../units/gravity'
import { magnetRule } from './rules'
import { formatExact } from '../units/format-length'
import { answerTo, limitFrom, offer, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Seat } from '../model/model'
import type { Verdict } from './verdict'

/** Covers over discs that are thinner than usual, and can still be kept to, mm. */
const THIN = { mm: [1, 0.5], in: [25.4 / 32] } as const

/** Whether what sticks to magnets stays where it is: friction against its weight. */
export const checkMagnets: Check = (subject) =>
  subject.model.seats.filter((s) => s.rests === 'magnet').map((seat) => holds(subject, seat))

const TILTS = ['0', '10', '20', '30']

function holds(subject: Subject, seat: Seat): Verdict {
  const { trail, input } = subject
  const base = { id: `magnet:${seat.id}`, check: 'magnet', title: `Magnets ${seat.place}`, seats: [seat.id], board: seat.board } // prettier-ignore
  // discs each pull so much; a strip pulls as a whole
  const { mass, discs, pull } = seat.figures as Record<'mass' | 'pull', string> & { discs?: string }
  if (seat.mass === null) {
    const says = `${seat.name} was not weighed: whether its magnets hold it can’t be said.`
    return { ...base, level: 'watch', says, measure: { tool: seat.tool, fields: ['mass'] }, candidates: [] }
  }
  const tilt = Math.abs(seat.tilt ?? 0)
  const angle = (tilt * Math.PI) / 180
  const weight = seat.mass * GRAVITY
  const mu = limitFrom(subject, 'magnetFriction')
  const spare = limitFrom(subject, 'magnetSpare')
  const pulled = (discs ? trail.get(discs).value : 1) * trail.get(pull).value
  const held = (mu * (pulled + weight * Math.sin(angle))) / 2 / (weight * Math.cos(angle)) // prettier-ignore
  const load = `{${mass}} × ${GRAVITY_TEXT}`
  const [pressing, sliding] = tilt === 0 ? ['', load] : [` + ${load} × sin({tilt})`, `${load} × cos({tilt})`]
  const figure = `magnetHeld:${seat.id}`
  trail.derive(figure, `Held ${seat.place}, times`, held, magnetRule, `{magnetFriction} × (${discs ? `{${discs}} × ` : ''}{${pull}}${pressing}) / 2 / (${sliding})`, { quantity: 'ratio', print: 'down' }) // prettier-ignore
  const level = held < 1 - TOLERANCE ? 'stop' : held < spare - TOLERANCE ? 'watch' : 'pass'
  const found = `Friction holds ${seat.name} ${held.toFixed(1)} times over`
  const steeper = TILTS.filter((t) => Number(t) > Number(answerTo(input, 'tilt') ?? '0'))
  return {
    ...base,
    level,
    says: level === 'pass' ? `${found}; ${spare.toFixed(1)} is wanted. An estimate: try it with a pull.` : `${found}: ${spare.toFixed(1)} is wanted. It would slide down.`, // prettier-ignore
    figure,
    limitFigure: 'magnetSpare',
    measured: { value: held, limit: spare, sense: 'at least', quantity: 'ratio', print: 'down' },
    candidates:
      level === 'pass'
        ? []
        : [
            ...(discs ? THIN[input.shop.unit].map((cover) => remedy(`A cover of ${formatExact(cover, input.shop)}`, { kind: 'choice', key: 'cover', value: cover })) : []), // prettier-ignore
            ...offer(input, 'Discs under each', 'magnets', 'discs'),
            ...offer(input, 'A bought strip', 'magnets', 'strip'),
            ...steeper.flatMap((t) => offer(input, `Lean the ledge back ${t}°`, 'tilt', t)),
            remedy(`Leave ${seat.name} out`, { kind: 'leave out', seats: [seat.id] }),
          ],
  }
}
