import { rocking } from '../fit/bevel'
import { formatAngle } from '../units/angle'
import { formatLength } from '../units/format-length'
import { handOn, loadCases, loadsOf, outOf } from './loads'
import type { SettingKey } from '../shop/settings'
import { forceUnitFor, formatForce } from '../units/force'
import { GRAVITY, GRAVITY_TEXT } from '../units/gravity'
import { heldRule, outRule, staysRule } from './rules'
import { answerTo, limitFrom, offer, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'

/** Whether a holder on a strip stays put: the back is high enough for strip and foot, and it does not rock forward. */
export const checkRocking: Check = (subject) => {
  const { model } = subject
  const strip = model.boards.find((b) => b.role === 'strip')
  if (!strip) return []
  return [...sawTilts(subject), ...room(subject), ...rocks(subject), ...ridesUp(subject)]
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
  const clipped = answerTo(input, 'hung') === 'clip'
  const over = clipped ? trail.get('stripShort').value + limitFrom(subject, 'slatRoom') : 0
  const limit = trail.get('stripLong').value + over + foot
  if (back.width >= limit - TOLERANCE) return []
  const [has, wants] = [formatLength(back.width, input.shop), formatLength(limit, input.shop, 'up')]
  return [
    {
      id: 'strip room',
      check: 'hanging',
      title: 'Room for strip and foot',
      level: 'watch',
      says: `The back of ${has} is too low for a strip and a whole ${clipped ? 'keeper below the wall’s' : 'foot below it'}: ${wants} is wanted.`,
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

const DRAG: Record<string, SettingKey> = { snug: 'dragSnug', sliding: 'dragSliding', easy: 'dragEasy' }

/** Whether a tool that is drawn upward lifts the holder off its strip: its drag against what the wood weighs alone. */
function ridesUp(subject: Subject): Verdict[] {
  const { input, model, trail } = subject
  const drag = DRAG[answerTo(input, 'fit') ?? '']
  if (!drag) return []
  const kept = answerTo(input, 'hung') === 'clip' ? 'keeper' : model.boards.some((b) => b.role === 'slat') ? 'lock slat' : null // prettier-ignore
  const base = { id: 'riding up', check: 'hanging', title: 'Riding up', seats: [] }
  if (kept) return [{ ...base, level: 'pass', says: `The ${kept} below the wall strip keeps it from riding up.`, candidates: [] }] // prettier-ignore
  loadsOf(subject)
  const limit = limitFrom(subject, drag)
  const value = trail.derive('staysDown', 'Weight that stays', trail.get('woodMass').value * GRAVITY, staysRule, `{woodMass} × ${GRAVITY_TEXT}`, { quantity: 'force', print: 'down' }) // prettier-ignore
  const level = value < limit - TOLERANCE ? 'watch' : 'pass'
  const unit = forceUnitFor(input.shop.unit)
  const found = `Its wood alone weighs ${formatForce(value, unit)}`
  return [
    {
      ...base,
      level,
      says: level === 'pass' ? `${found}; a tool that is drawn out drags with about ${formatForce(limit, unit)}.` : `${found}, less than the ${formatForce(limit, unit)} with which a tool drags: the last one lifts it off its strip.`, // prettier-ignore
      figure: 'staysDown',
      limitFigure: drag,
      measured: { value, limit, sense: 'at least', quantity: 'force', print: 'down' },
      candidates:
        level === 'pass'
          ? []
          : [
              ...offer(input, 'Add a lock slat', 'lock', 'slat'),
              ...offer(input, 'Hook it over and under the strip', 'hung', 'clip'),
              ...offer(input, 'Sliding fit', 'fit', 'sliding'),
              ...offer(input, 'Easy fit', 'fit', 'easy'),
            ],
    },
  ]
}
