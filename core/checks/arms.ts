import { materialOf } from '../shop/materials'
import { boardBox } from '../model/standing'
import { formatLength } from '../units/format-length'
import { GRAVITY, GRAVITY_TEXT } from '../units/gravity'
import { armRule, strengthRule } from './rules'
import { limitFrom, remedy, TOLERANCE, type Check } from './subject'

/** Arms that stand out from the back: whether they bear what hangs on them, pressed down as it is put on. */
export const checkArms: Check = (subject) => {
  const { model, trail, input } = subject
  const arms = model.boards.filter((b) => b.role === 'arm')
  const [arm] = arms
  const loaded = model.seats.filter((s) => s.rests === 'arms' && s.mass)
  if (!arm || loaded.length === 0) return []
  const material = materialOf(input.shop.materials, arm.material)
  if (!material) {
    const says = `The strength of ${arm.material} is not known: add it to the shop’s materials.`
    return [{ id: 'arm', check: 'arm', title: 'Arms', level: 'watch', says, seats: [], board: arm.id, candidates: [] }]
  }
  const face = boardBox(arm).y[0]
  const handling = limitFrom(subject, 'handling')
  const moment = loaded.reduce((sum, s) => sum + handling * s.mass! * GRAVITY * (s.at.y - face), 0) / arms.length
  const terms = loaded.map((s) => `{${s.figures.mass}} × [${s.at.y - face} mm]`).join(' + ')
  const { thickness, width: height } = arm.figures
  const value = trail.derive(
    'armStress',
    'Stress in an arm',
    (6 * moment) / (arm.thickness * arm.width ** 2),
    armRule,
    `6 × {handling} × ${GRAVITY_TEXT} × (${terms}) / ${arms.length} / ({${thickness}} × {${height}}²)`,
    { quantity: 'stress', print: 'up' },
  )
  const origin = { kind: 'stock', id: arm.stock, key: 'material' } as const
  trail.given('armStrength', `Bending strength of ${material.name}`, material.strength, origin, { quantity: 'stress', note: material.source }) // prettier-ignore
  const limit = trail.derive('armLimit', 'What an arm bears', material.strength / limitFrom(subject, 'strengthPart'), strengthRule, '{armStrength} / {strengthPart}', { quantity: 'stress' }) // prettier-ignore
  const level = value > limit + TOLERANCE ? 'stop' : 'pass'
  const found = `Where they leave the back the arms are bent to ${value.toFixed(2)} MPa`
  const higher = Math.ceil((arm.width * Math.sqrt(value / limit)) / 10) * 10
  const last = loaded.at(-1)!
  return [
    {
      id: 'arm',
      check: 'arm',
      title: 'Arms',
      level,
      says: level === 'pass' ? `${found}; ${material.name} bears ${limit.toFixed(1)}.` : `${found}: more than ${limit.toFixed(1)} breaks them off.`, // prettier-ignore
      seats: [],
      board: arm.id,
      figure: 'armStress',
      limitFigure: 'armLimit',
      measured: { value, limit, sense: 'at most', quantity: 'stress', print: 'up' },
      candidates:
        level === 'pass'
          ? []
          : [
              remedy(`Arms ${formatLength(higher, input.shop)} high`, {
                kind: 'choice',
                key: 'armHeight',
                value: higher,
              }),
              remedy(`Leave ${last.name} out`, { kind: 'leave out', seats: [last.id] }),
            ],
    },
  ]
}
