import { materialOf } from '../shop/materials'
import { formatLength } from '../units/format-length'
import { GRAVITY, GRAVITY_TEXT } from '../units/gravity'
import { hookRule, strengthRule } from './rules'
import { limitFrom, remedy, TOLERANCE, type Check } from './subject'

/** Hooks: whether the wood under the hollow bears what hangs in it, pulled down as it is put on. The worst is told. */
export const checkHooks: Check = (subject) => {
  const { model, trail, input } = subject
  const loaded = model.seats.flatMap((seat) => {
    const board = model.boards.find((b) => b.id === seat.board)
    if (seat.rests !== 'hook' || !seat.mass || !board) return []
    const { armHeight, hollow } = seat.figures as Record<'armHeight' | 'hollow', string>
    const [arm, wide] = [trail.get(armHeight).value, trail.get(hollow).value]
    const web = limitFrom(subject, 'web')
    const moment = limitFrom(subject, 'handling') * seat.mass * GRAVITY * (web + wide / 2)
    return [{ seat, board, arm, stress: (6 * moment) / (board.thickness * arm ** 2) }]
  })
  if (loaded.length === 0) return []
  const worst = loaded.reduce((a, b) => (b.stress > a.stress ? b : a))
  const { seat, board } = worst
  const base = { id: 'hook', check: 'hook', title: 'Hooks', seats: [seat.id], board: board.id }
  const material = materialOf(input.shop.materials, board.material)
  if (!material) {
    const says = `The strength of ${board.material} is not known: add it to the shop’s materials.`
    return [{ ...base, level: 'watch', says, candidates: [] }]
  }
  const { mass, hollow, armHeight } = seat.figures as Record<'mass' | 'hollow' | 'armHeight', string>
  const value = trail.derive(
    'hookStress',
    'Stress in a hook',
    worst.stress,
    hookRule,
    `6 × {handling} × {${mass}} × ${GRAVITY_TEXT} × ({web} + {${hollow}} / 2) / ({${board.figures.thickness}} × {${armHeight}}²)`,
    { quantity: 'stress', print: 'up', note: seat.name },
  )
  const origin = { kind: 'stock', id: board.stock, key: 'material' } as const
  trail.given('hookStrength', `Bending strength of ${material.name}`, material.strength, origin, { quantity: 'stress', note: material.source }) // prettier-ignore
  const limit = trail.derive('hookLimit', 'What a hook bears', material.strength / limitFrom(subject, 'strengthPart'), strengthRule, '{hookStrength} / {strengthPart}', { quantity: 'stress' }) // prettier-ignore
  const level = value > limit + TOLERANCE ? 'stop' : 'pass'
  const found = `Under ${seat.name} the hook is bent to ${value.toFixed(2)} MPa`
  const higher = Math.ceil((worst.arm * Math.sqrt(value / limit)) / 5) * 5
  return [
    {
      ...base,
      level,
      says: level === 'pass' ? `${found}; ${material.name} bears ${limit.toFixed(1)}.` : `${found}: more than ${limit.toFixed(1)} breaks it off.`, // prettier-ignore
      figure: 'hookStress',
      limitFigure: 'hookLimit',
      measured: { value, limit, sense: 'at most', quantity: 'stress', print: 'up' },
      candidates:
        level === 'pass'
          ? []
          : [
              remedy(`${formatLength(higher, input.shop)} of wood under the hollow`, { kind: 'choice', key: 'armHeight', value: higher }), // prettier-ignore
              remedy(`Leave ${seat.name} out`, { kind: 'leave out', seats: [seat.id] }),
            ],
    },
  ]
}
