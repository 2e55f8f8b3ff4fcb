import type { Seat } from '../model/model'
import { formatAngle } from '../units/angle'
import { briefForce, forceUnitFor } from '../units/force'
import { formatLength } from '../units/format-length'
import { GRAVITY, GRAVITY_TEXT } from '../units/gravity'
import { drawRule, oneAtATimeRule, slideRule } from './rules'
import { gridOn, limitFrom, remedy, tighterFits, TOLERANCE, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'

/** What is drawn out from below: whether it comes one at a time, how hard it drags, and what keeps the lowest in. */
export const checkDrawnOut: Check = (subject) => {
  if (!subject.trail.has('pickGap')) return []
  return [oneAtATime(subject), ...drags(subject), keepsIn(subject)]
}

const leaveOut = ({ id, name }: Seat): Remedy => remedy(`Leave ${name} out`, { kind: 'leave out', seats: [id] })

function oneAtATime(subject: Subject): Verdict {
  const { trail, model, input } = subject
  const half = gridOn(subject) / 2
  const thinnest = (s: Seat): number => trail.get(s.figures.thick!).value - trail.get(s.figures.thickDoubt!).value
  const seat = model.seats.reduce((a, b) => (thinnest(b) < thinnest(a) ? b : a))
  const value = trail.get('pickGap').value
  const limit = trail.derive('pickMost', `Two of ${seat.place} come out from`, 2 * thinnest(seat) - half, oneAtATimeRule, `2 × ({${seat.figures.thick}} − {${seat.figures.thickDoubt}}) − {grid} / 2`, { print: 'down', note: seat.name }) // prettier-ignore
  const level = value > limit - TOLERANCE ? 'watch' : 'pass'
  const [has, may] = [formatLength(value, input.shop, 'up'), formatLength(Math.max(0, limit), input.shop, 'down')]
  return {
    id: 'one at a time',
    check: 'one at a time',
    title: 'One at a time',
    level,
    says: level === 'pass' ? `The gap of ${has} lets one of ${seat.name} out, not two: that takes ${may}.` : `Through a gap of ${has} two of ${seat.name} may come out at once: less than ${may} is wanted.`, // prettier-ignore
    seats: level === 'pass' ? [] : [seat.id],
    figure: 'pickGap',
    limitFigure: 'pickMost',
    measured: { value, limit, sense: 'at most', quantity: 'length', print: 'up' },
    candidates: level === 'pass' ? [] : [...tighterFits(input), ...(model.seats.length > 1 ? [leaveOut(seat)] : [])],
  }
}

/** How hard the lowest of the heaviest stack drags, with all of it on top. */
function drags(subject: Subject): Verdict[] {
  const { trail, model, input } = subject
  const friction = limitFrom(subject, 'slideFriction')
  const dragOf = ({ mass, stack = 1 }: Seat): number => friction * GRAVITY * mass! * (2 - 1 / stack)
  const weighed = model.seats.filter((s) => s.mass !== null)
  if (weighed.length === 0) return []
  const seat = weighed.reduce((a, b) => (dragOf(b) > dragOf(a) ? b : a))
  const value = trail.derive('drag', `The lowest of ${seat.place} drags`, dragOf(seat), drawRule, `{slideFriction} × ${GRAVITY_TEXT} × {${seat.figures.mass}} × (2 − 1 / ${seat.stack ?? 1})`, { quantity: 'force', print: 'up', note: seat.name }) // prettier-ignore
  const limit = limitFrom(subject, 'drawMost')
  const level = value > limit + TOLERANCE ? 'watch' : 'pass'
  const unit = forceUnitFor(input.shop.unit)
  const [has, may] = [briefForce(value, unit), briefForce(limit, unit)]
  return [
    {
      id: 'drag',
      check: 'drag',
      title: 'Drawn out',
      level,
      says: level === 'pass' ? `The lowest of ${seat.name} drags ${has} under a full stack; up to ${may} goes with two fingers.` : `Under a full stack the lowest of ${seat.name} drags ${has}: more than the ${may} that go with two fingers. Wax the floor, or keep fewer in it.`, // prettier-ignore
      seats: level === 'pass' ? [] : [seat.id],
      figure: 'drag',
      limitFigure: 'drawMost',
      measured: { value, limit, sense: 'at most', quantity: 'force', print: 'up' },
      candidates: level === 'pass' || model.seats.length === 1 ? [] : [leaveOut(seat)],
    },
  ]
}

/** Nothing but friction keeps the lowest behind its gap. */
function keepsIn(subject: Subject): Verdict {
  const friction = limitFrom(subject, 'slideFriction')
  const limit = limitFrom(subject, 'tipSpare')
  const value = subject.trail.derive('slides', 'Slides out of the gap at', (Math.atan(friction) * 180) / Math.PI, slideRule, 'atan({slideFriction})', { quantity: 'angle', print: 'down' }) // prettier-ignore
  const level = value < limit - TOLERANCE ? 'watch' : 'pass'
  return {
    id: 'slides',
    check: 'keep',
    title: 'Kept in against knocks',
    level,
    says: level === 'pass' ? `Friction keeps the lowest in until the floor is tipped by ${formatAngle(value)}; ${formatAngle(limit)} are wanted.` : `The lowest slides out once the floor is tipped by ${formatAngle(value)}: ${formatAngle(limit)} are wanted. Leave the floor unwaxed, and hang it plumb.`, // prettier-ignore
    seats: [],
    figure: 'slides',
    limitFigure: 'tipSpare',
    measured: { value, limit, sense: 'at least', quantity: 'angle', print: 'down' },
    candidates: [],
  }
}
