import { formatLength } from '../units/format-length'
import { seenRule } from './rules'
import { letFollow, limitFrom, remedy, TOLERANCE, type Check } from './subject'

/** Whether a front hides what stands behind it: told of what is seen least of, by its own height. */
export const checkSeen: Check = (subject) => {
  const { model, trail, input } = subject
  if (!trail.has('lip') || !model.boards.some((b) => b.role === 'lip')) return []
  const lip = trail.get('lip').value
  const all = model.seats.flatMap((seat) => {
    const high = seat.figures.high
    return seat.rests === 'shelf' && high && trail.has(high) ? [{ seat, high, part: 1 - lip / trail.get(high).value }] : [] // prettier-ignore
  })
  if (all.length === 0) return []
  const { seat, high } = all.reduce((a, b) => (b.part < a.part ? b : a))
  const tall = trail.get(high).value
  const share = limitFrom(subject, 'seenPart')
  const value = trail.derive('seen', `${seat.place} is seen over the front by`, tall - lip, seenRule, `{${high}} − {lip}`, { print: 'down', note: seat.name }) // prettier-ignore
  const limit = trail.derive('seenLeast', 'To be seen at least', share * tall, seenRule, `{seenPart} × {${high}}`, { print: 'up' }) // prettier-ignore
  const level = value < limit - TOLERANCE ? 'watch' : 'pass'
  const [has, wants] = [formatLength(Math.max(0, value), input.shop, 'down'), formatLength(limit, input.shop, 'up')]
  return [
    {
      id: 'seen',
      check: 'seen',
      title: 'Seen',
      level,
      says: level === 'pass' ? `Of each thing enough is seen over the front; of ${seat.name} ${has}.` : `The front hides ${seat.name}: ${value <= 0 ? 'nothing of it is' : `${has} of it are`} seen, ${wants} wanted. What must be found quickly stays in sight.`, // prettier-ignore
      seats: level === 'pass' ? [] : [seat.id],
      figure: 'seen',
      limitFigure: 'seenLeast',
      measured: { value, limit, sense: 'at least', quantity: 'length', print: 'down' },
      candidates:
        level === 'pass'
          ? []
          : [
              ...letFollow(input, 'Let the front follow from what stands behind it', 'lip'),
              remedy(`Leave ${seat.name} out`, { kind: 'leave out', seats: [seat.id] }),
            ],
    },
  ]
}
