import { materialOf } from '../shop/materials'
import { formatLength } from '../units/format-length'
import { pinStress } from './beam'
import { GRAVITY, GRAVITY_TEXT } from '../units/gravity'
import { thickerRods, thinnerRods, unknownRod } from './rod-stock'
import { pinDepthRule, pinRule, strengthRule } from './rules'
import { limitFrom, offer, remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Verdict } from './verdict'

/** Pins: whether they bear what hangs on them, and whether the wood is thick enough to hold them. */
export const checkPins: Check = (subject) => [...pins(subject), ...pinDepth(subject)]

function pins(subject: Subject): Verdict[] {
  const { trail, model, input } = subject
  const loaded = model.rods.flatMap((rod) => {
    const seat = model.seats.find((s) => rod.seats.includes(s.id))
    if (rod.role !== 'pin' || !rod.figures.arm || !seat?.mass) return []
    const share = model.rods.filter((r) => r.role === 'pin' && r.seats.includes(seat.id)).length
    const load = (limitFrom(subject, 'handling') * seat.mass * GRAVITY) / share
    return [{ rod, seat, share, stress: pinStress(load, trail.get(rod.figures.arm).value, rod.diameter) }]
  })
  if (loaded.length === 0) return []
  const worst = loaded.reduce((a, b) => (b.stress > a.stress ? b : a))
  const { rod, seat } = worst
  const material = materialOf(input.shop.materials, rod.material)
  if (!material) return [unknownRod(rod, 'pin', 'pin', 'Pins')]
  const origin = { kind: 'stock', id: rod.stock, key: 'material' } as const
  trail.given('rodStrength', `Bending strength of ${material.name}`, material.strength, origin, { quantity: 'stress', note: material.source }) // prettier-ignore
  const value = trail.derive(
    'pinStress',
    'Stress in a pin',
    worst.stress,
    pinRule,
    `32 × {handling} × {${seat.figures.mass}} × ${GRAVITY_TEXT} / ${worst.share} × {${rod.figures.arm}} / (π × {${rod.figures.diameter}}³)`,
    { quantity: 'stress', print: 'up', note: seat.name },
  )
  const limit = trail.derive('pinLimit', 'What a pin bears', material.strength / limitFrom(subject, 'strengthPart'), strengthRule, '{rodStrength} / {strengthPart}', { quantity: 'stress' }) // prettier-ignore
  const level = value > limit + TOLERANCE ? 'stop' : 'pass'
  const found = `The pin under ${seat.name} is bent to ${value.toFixed(2)} MPa`
  return [
    {
      id: 'pin',
      check: 'pin',
      title: 'Pins',
      level,
      says: level === 'pass' ? `${found}; ${material.name} bears ${limit.toFixed(1)}.` : `${found}: more than ${limit.toFixed(1)} breaks it off.`, // prettier-ignore
      seats: [seat.id],
      figure: 'pinStress',
      limitFigure: 'pinLimit',
      measured: { value, limit, sense: 'at most', quantity: 'stress', print: 'up' },
      candidates:
        level === 'pass'
          ? []
          : [...thickerRods(subject, rod), remedy(`Leave ${seat.name} out`, { kind: 'leave out', seats: [seat.id] })],
    },
  ]
}

/** Whether the wood is thick enough to hold a pin. */
function pinDepth(subject: Subject): Verdict[] {
  const { trail, model, input } = subject
  const pin = model.rods.find((r) => r.role === 'pin')
  const board = pin && model.boards.find((b) => b.openings.some((o) => o.seat !== null && pin.seats.includes(o.seat)))
  if (!pin || !board) return []
  const limit = trail.derive('pinDepthLimit', 'A pin goes in at least', limitFrom(subject, 'pinDepth') * pin.diameter, pinDepthRule, `{pinDepth} × {${pin.figures.diameter}}`, { print: 'up' }) // prettier-ignore
  const value = board.thickness
  const level = value < limit - TOLERANCE ? 'stop' : 'pass'
  const { shop } = input
  const [has, wants] = [formatLength(value, shop, 'down'), formatLength(limit, shop, 'up')]
  return [
    {
      id: 'pin depth',
      check: 'pin',
      title: 'Pins in the wood',
      level,
      says: level === 'pass' ? `Pins go ${has} into the ${board.name.toLowerCase()}; at least ${wants} wanted.` : `Pins go only ${has} into the ${board.name.toLowerCase()}: less than ${wants} levers out.`, // prettier-ignore
      seats: [],
      board: board.id,
      figure: board.figures.thickness,
      limitFigure: 'pinDepthLimit',
      measured: { value, limit, sense: 'at least', quantity: 'length', print: 'down' },
      candidates:
        level === 'pass'
          ? []
          : [...offer(input, 'Glue up a second layer', 'layers', '2'), ...thinnerRods(subject, pin)],
    },
  ]
}
