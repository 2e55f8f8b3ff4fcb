import { outlineBounds } from '../geometry/outline'
import type { Board } from '../model/model'
import { materialOf, type Material } from '../shop/materials'
import { formatMass, massUnitFor } from '../units/mass'
import { GRAVITY, GRAVITY_TEXT } from '../units/gravity'
import { evenSag, flatInertia } from './beam'
import { longSag } from './long-sag'
import { cheekSagRule, wholeRule } from './rules'
import { stockAsked } from './stock-asked'
import { offer, remedy, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'

/** Other stock is proposed so often at most. */
const MOST = 3

/** A board that only its ends carry, with what is glued on along it. */
interface Carried {
  board: Board
  /** as long as it, and stiffens it */
  along: Board[]
}

/** Boards that lean between two cheeks, held by nothing else: whether they sag under what stands on them. Those that do are told, else one that passes. */
export const checkCheekSag: Check = (subject) => {
  const found = carriedByCheeks(subject).flatMap((c) => sagging(subject, c))
  const bad = found.filter((v) => v.level !== 'pass')
  return bad.length > 0 ? bad : found.slice(0, 1)
}

function carriedByCheeks({ model }: Subject): Carried[] {
  const partOf = (id: string): Board | undefined => model.boards.find((b) => b.id === id)
  return model.boards.flatMap((board): Carried[] => {
    if (board.placement.lies !== 'flat' || !model.seats.some((s) => s.board === board.id)) return []
    const joints = model.joints.filter((j) => j.parts.includes(board.id))
    const others = joints.flatMap((j) => partOf(j.parts.find((p) => p !== board.id)!) ?? [])
    const [ends, isBacked] = [others.filter((b) => b.role === 'end'), others.some((b) => b.role === 'back')]
    if (isBacked || ends.length !== 2) return []
    return [{ board, along: others.filter((b) => b.role === 'lip' && b.placement.lies === 'upright') }]
  })
}

function sagging(subject: Subject, { board, along }: Carried): Verdict[] {
  const { model, trail, input } = subject
  const { shop } = input
  const weighed = model.seats.filter((s) => s.board === board.id && s.mass !== null)
  if (weighed.length === 0) return []
  const base = { id: `cheek sag:${board.id}`, check: 'sag', title: `Sag of the ${board.name.toLowerCase()}`, board: board.id, seats: [] } // prettier-ignore
  const bearing = [board, ...along].map((b) => ({ b, material: materialOf(shop.materials, b.material) }))
  const unknown = bearing.find(({ material }) => !material)
  if (unknown) return [{ ...base, level: 'watch', says: `The stiffness of ${unknown.b.material} is not known: add it to the shop’s materials.`, candidates: [] }] // prettier-ignore
  const beams = bearing.map(({ b, material }) => beamOf(subject, b, material!, b === board))
  const tilt = Math.abs(board.placement.tilt ?? 0)
  const square = Math.cos((tilt * Math.PI) / 180)
  const mass = weighed.reduce((sum, s) => sum + s.mass!, 0)
  const stiff = beams.reduce((sum, beam) => sum + beam.value, 0)
  const masses = weighed.map((s) => `{${s.figures.mass}}`).join(' + ')
  const lean = trail.has('tilt') ? ' × cos({tilt})' : ''
  const span = board.figures.length
  const sagId = `cheekSag:${board.id}`
  const sag = trail.derive(sagId, `${base.title} at once`, evenSag(GRAVITY * mass * square, board.length, 1, stiff), cheekSagRule, `5 × (${masses}) × ${GRAVITY_TEXT}${lean} × {${span}}³ / (384 × [1000 MPa/GPa] × (${beams.map((beam) => beam.text).join(' + ')}))`, { print: 'up' }) // prettier-ignore
  const name = board.name.toLowerCase()
  return [
    longSag(subject, {
      ...base,
      material: bearing[0]!.material!,
      sag: { id: sagId, value: sag },
      span: { value: board.length, text: `{${span}}` },
      long: { id: `cheekSagLong:${board.id}`, label: `${base.title} in the long run` },
      limit: { id: `cheekSagLimit:${board.id}`, label: `The ${name} may sag` },
      found: (atOnce) => `Between its cheeks the ${name}, under ${formatMass(mass, massUnitFor(input.shop.unit))}, sags ${atOnce} at once`, // prettier-ignore
      waysOut: () => waysOut(subject, board),
    }),
  ]
}

/** Stiffness times second moment of a board, GPa mm⁴, with the text of that: of one that lies flat what its openings leave whole. */
function beamOf(
  { trail }: Subject,
  b: Board,
  { stiffness, name, source }: Material,
  isFlat: boolean,
): { value: number; text: string } {
  const modulus = `cheekStiffness:${b.id}`
  const origin = { kind: 'stock', id: b.stock, key: 'material' } as const
  trail.given(modulus, `Stiffness of ${name}`, stiffness, origin, { quantity: 'stiffness', note: source })
  const { width, thickness } = b.figures
  if (!isFlat) return { value: stiffness * flatInertia(b.thickness, b.width), text: `{${modulus}} × {${thickness}} × {${width}}³ / 12` } // prettier-ignore
  const lost = Math.max(0, ...b.openings.map((o) => outlineBounds(o.outline)).map(({ minY, maxY }) => Math.min(maxY, b.width) - Math.max(minY, 0))) // prettier-ignore
  const whole = `cheekWhole:${b.id}`
  trail.derive(whole, `${b.name} beside its openings`, b.width - lost, wholeRule, `{${width}}${lost > 0 ? ` − [${lost} mm]` : ''}`, { print: 'down' }) // prettier-ignore
  return { value: stiffness * flatInertia(b.width - lost, b.thickness), text: `{${modulus}} × {${whole}} × {${thickness}}³ / 12` } // prettier-ignore
}

/** Thicker stock, a level board that its back carries, or less on it. */
function waysOut(subject: Subject, board: Board): Remedy[] {
  const { input, model } = subject
  const key = stockAsked(subject, board)
  const thicker = input.shop.stock
    .filter((s) => s.id !== board.stock && (s.form === 'board' || s.form === 'sheet'))
    .sort((a, b) => b.thickness - a.thickness)
    .slice(0, MOST)
  const on = model.seats.filter((s) => s.board === board.id)
  const heaviest = on.reduce((a, b) => ((b.mass ?? 0) > (a.mass ?? 0) ? b : a))
  const half = input.holder.seats.slice(Math.ceil(input.holder.seats.length / 2)).map((s) => s.id)
  return [
    ...(key ? thicker.map((s) => remedy(`Make it from ${s.name}`, { kind: 'choice', key, value: s.id })) : []),
    ...offer(input, 'Let it stand level on its back', 'tilt', '0'),
    ...(on.length > 1 ? [remedy(`Leave ${heaviest.name} out`, { kind: 'leave out', seats: [heaviest.id] })] : []),
    ...(half.length > 0 ? [remedy('Keep the first half here', { kind: 'leave out', seats: half })] : []),
  ]
}
