import { rocking } from '../fit/bevel'
import { formatAngle } from '../units/angle'
import { formatLength } from '../units/format-length'
import { handOn, loadCases, loadsOf, outOf } from './loads'
import { heldRule, outRule } from './rules'
import { limitFrom, offer, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'

/** Whether a holder on a strip stays put: the back is high enough for strip and foot, and it does not rock forward. */
export const checkRocking: Check = (subject) => {
  const { model } = subject
  const strip = model.boards.find((b) => b.role === 'strip')
  if (!strip) return []
  return [...sawTilts(subject), ...room(subject), ...rocks(subject)]
}

/** Whether a saw here tilts as far as the bevel. */
function sawTilts({ input, trail }: Subject): Verdict[] {
  const tilt = trail.get('stripBevel').value
  if (input.shop.saws.some((s) => (s.tilt ?? 0) >= tilt - TOLERANCE)) return []
  const says = `No saw you own tilts to ${formatAngle(tilt)}: have the strips ripped, or settle on a flatter bevel. The kerf is left out of their width.`
  return [
    { id: 'strip saw', check: 'hanging', title: 'Ripping the strip', level: 'watch', says, seats: [], candidates: [] },
  ]
}

function room(subject: Subject): Verdict[] {
  const { trail, model, input } = subject
  const back = model.boards.find((b) => b.role === 'back')!
  const foot = limitFrom(subject, 'footHeight')
  const limit = trail.get('stripLong').value + foot
  if (back.width >= limit - TOLERANCE) return []
  const [has, wants] = [formatLength(back.width, input.shop), formatLength(limit, input.shop, 'up')]
  return [
    {
      id: 'strip room',
      check: 'hanging',
      title: 'Room for strip and foot',
      level: 'watch',
      says: `The back of ${has} is too low for a strip and a whole foot below it: ${wants} is wanted.`,
      seats: [],
      board: back.id,
      figure: back.figures.width,
      measured: { value: back.width, limit, sense: 'at least', quantity: 'length', print: 'down' },
      candidates: taller(subject, limit),
    },
  ]
}

/** A taller back, rounded up to whole centimetres; none where the form has no such length. */
function taller({ input, trail }: Subject, least: number): Remedy[] {
  const key = trail.has('backHeight') ? 'backHeight' : trail.has('height') ? 'height' : null
  if (!key) return []
  const value = Math.ceil(least / 10) * 10
  return [remedy(`Back ${formatLength(value, input.shop)} high`, { kind: 'choice', key, value })]
}

function rocks(subject: Subject): Verdict[] {
  const { trail, model, input } = subject
  const spare = limitFrom(subject, 'rockingSpare')
  const tilt = trail.get('stripBevel').value
  const arm = trail.get('bevelArm').value
  if (arm <= 0) return []
  const worst = loadCases(loadsOf(subject), handOn(subject)).reduce((a, b) =>
    outOf(a.loads) >= outOf(b.loads) ? a : b,
  )
  const moments = worst.loads.map((l) => `${l.massText} × ${l.outText}`).join(' + ')
  const formula = `(${moments}) / (${worst.loads.map((l) => l.massText).join(' + ')})`
  const out = trail.derive('loadOut', 'Weight out from the wall', outOf(worst.loads), outRule, formula, { print: 'up', note: worst.name }) // prettier-ignore
  const { held, heldByFriction } = rocking(arm, out, tilt)
  trail.derive('rocking', 'Held against rocking, times', held, heldRule, '{bevelArm} × tan({stripBevel}) / {loadOut}', { quantity: 'ratio', print: 'down', note: worst.name }) // prettier-ignore
  const level = heldByFriction < 1 - TOLERANCE ? 'stop' : held < spare - TOLERANCE ? 'watch' : 'pass'
  const found = `With ${worst.name}, the strip and foot hold ${held.toFixed(2)} times what rocks it forward`
  const says =
    level === 'pass'
      ? `${found}; ${spare.toFixed(1)} is wanted.`
      : level === 'watch'
        ? `${found}: it hangs, but with less than ${spare.toFixed(1)} a knock may lift the foot.`
        : `${found}, and friction does not make up for it: it tips off the strip.`
  const high = (spare * out) / Math.tan((tilt * Math.PI) / 180) - arm
  const back = model.boards.find((b) => b.role === 'back')!
  return [
    {
      id: 'rocking',
      check: 'hanging',
      title: 'Rocking',
      level,
      says,
      seats: [],
      figure: 'rocking',
      limitFigure: 'rockingSpare',
      measured: { value: held, limit: spare, sense: 'at least', quantity: 'ratio', print: 'down' },
      candidates:
        level === 'pass'
          ? []
          : [...taller(subject, back.width + Math.max(high, 0)), ...offer(input, 'Screw it on', 'hung', 'screwed')],
    },
  ]
}
