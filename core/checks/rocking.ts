import { rocking } from '../fit/bevel'
import { toolWeight, weighTogether, woodWeight, type Weight } from '../solid/mass'
import { formatLength } from '../units/format-length'
import { heldRule, outRule } from './rules'
import { limitFrom, offer, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'

/** One way in which a holder may be loaded: what it weighs then, and how heavy a hand pulls at the front edge. */
interface LoadCase {
  name: string
  weight: Weight
  hand: number
}

/** All tools in, each one out, and a hand that pulls at the front edge. */
function cases({ model, input }: Subject, pull: number): LoadCase[] {
  const wood = woodWeight(model, input.shop)
  const loads = model.seats.map((seat) => ({ seat, weight: toolWeight(seat, input.tools.get(seat.tool)) }))
  const all = weighTogether([wood, ...loads.map((l) => l.weight)].filter((w) => w !== null))
  if (!all) return []
  const without = loads.flatMap(({ seat, weight }): LoadCase[] => {
    if (!weight || all.mass - weight.mass <= 0) return []
    const rest = weighTogether([all, { mass: -weight.mass, at: weight.at }])
    return rest ? [{ name: `without ${seat.name}`, weight: rest, hand: 0 }] : []
  })
  return [
    { name: 'all tools in', weight: all, hand: 0 },
    ...without,
    { name: 'a hand pulling at the front edge', weight: all, hand: pull },
  ]
}

/** Whether a holder on a strip stays put: the back is high enough for strip and foot, and it does not rock forward. */
export const checkRocking: Check = (subject) => {
  const { model } = subject
  const strip = model.boards.find((b) => b.role === 'strip')
  if (!strip) return []
  return [...room(subject), ...rocks(subject)]
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
  const pull = limitFrom(subject, 'pull')
  const spare = limitFrom(subject, 'rockingSpare')
  const tilt = trail.get('stripBevel').value
  const arm = trail.get('bevelArm').value
  const edge = model.reach.value
  const worst = cases(subject, pull)
    .map((c) => ({ ...c, out: (c.weight.mass * c.weight.at.y + c.hand * edge) / (c.weight.mass + c.hand) }))
    .reduce<(LoadCase & { out: number }) | null>((a, b) => (a && a.out >= b.out ? a : b), null)
  if (!worst || arm <= 0) return []
  const hand = worst.hand > 0 ? { more: ` + {pull} × ${edge}`, all: ' + {pull}' } : { more: '', all: '' }
  const formula = `(${worst.weight.mass} × ${worst.weight.at.y}${hand.more}) / (${worst.weight.mass}${hand.all})`
  const out = trail.derive('loadOut', 'Weight out from the wall', worst.out, outRule, formula, { print: 'up', note: worst.name }) // prettier-ignore
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
