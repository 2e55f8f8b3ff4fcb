import type { Board } from '../model/model'
import { boardBox } from '../model/standing'
import { materialOf } from '../shop/materials'
import { GRAVITY, GRAVITY_TEXT } from '../units/gravity'
import { evenSag, flatInertia } from './beam'
import { longSag } from './long-sag'
import { spineRule, spineSagRule } from './rules'
import { answerTo, offer, remedy, type Check, type Subject } from './subject'
import type { Remedy } from './verdict'

/** A stretch of a board between two brackets, with what hangs on it. */
interface Span {
  from: Board
  to: Board
  length: number
  seats: Subject['model']['seats']
}

/** Boards that stand on brackets: whether they sag between them. The worst stretch is told. */
export const checkSag: Check = (subject) => {
  const { model, trail, input } = subject
  const rail = model.boards.find((b) => b.role === 'rail')
  const brackets = model.boards.filter((b) => b.role === 'bracket')
  if (!rail || brackets.length < 2) return []
  const base = { id: 'rail sag', check: 'sag', title: 'Sag of the rail', board: rail.id }
  const material = materialOf(input.shop.materials, rail.material)
  if (!material) {
    const says = `The stiffness of ${rail.material} is not known: add it to the shop’s materials.`
    return [{ ...base, level: 'watch', says, seats: [], candidates: [] }]
  }
  const spans = spansOf(subject, brackets).filter((s) => s.seats.length > 0)
  if (spans.length === 0) return []
  const widest = rail.openings.reduce((a, b) => (b.width > a.width ? b : a))
  const spine = trail.derive('spine', 'Spine behind the slots', widest.centre.y - widest.width / 2, spineRule, `{${widest.figures.y}} − {${widest.figures.width}} / 2`, { print: 'down' }) // prettier-ignore
  const origin = { kind: 'stock', id: rail.stock, key: 'material' } as const
  trail.given('railStiffness', `Stiffness of ${material.name}`, material.stiffness, origin, { quantity: 'stiffness', note: material.source }) // prettier-ignore
  const inertia = flatInertia(spine, rail.thickness)
  const sagOf = (s: Span): number => evenSag(GRAVITY * massOf(s), s.length, material.stiffness, inertia)
  const worst = spans.reduce((a, b) => (sagOf(b) / b.length > sagOf(a) / a.length ? b : a))
  const at = (b: Board): string => `{at:${b.id}}`
  const span = trail.derive('railSpan', 'Span between brackets', worst.length, spineRule, `${at(worst.to)} − ${at(worst.from)} − {${worst.from.figures.thickness}}`) // prettier-ignore
  const masses = worst.seats.map((s) => `{${s.figures.mass}}`).join(' + ')
  const sag = trail.derive('railSag', 'Sag of the rail at once', sagOf(worst), spineSagRule, `5 × (${masses}) × ${GRAVITY_TEXT} × {railSpan}³ / (384 × {railStiffness} × [1000 MPa/GPa] × {spine} × {${rail.figures.thickness}}³ / 12)`, { print: 'up' }) // prettier-ignore
  return [
    longSag(subject, {
      ...base,
      material,
      sag: { id: 'railSag', value: sag },
      span: { value: span, text: '{railSpan}' },
      long: { id: 'railSagLong', label: 'Sag of the rail in the long run' },
      limit: { id: 'railSagLimit', label: 'The rail may sag' },
      found: (atOnce) => `Between brackets the rail sags ${atOnce} at once`,
      waysOut: () => waysOut(subject, worst),
    }),
  ]
}

const massOf = ({ seats }: Span): number => seats.reduce((sum, s) => sum + s.mass!, 0)

function spansOf({ model }: Subject, brackets: readonly Board[]): Span[] {
  const sorted = [...brackets].sort((a, b) => a.placement.at.x - b.placement.at.x)
  return sorted.slice(1).map((to, i): Span => {
    const from = sorted[i]!
    const [left, right] = [boardBox(from).x[1], boardBox(to).x[0]]
    const seats = model.seats.filter((s) => s.mass !== null && s.at.x > left && s.at.x < right)
    return { from, to, length: right - left, seats }
  })
}

/** A second layer, one more bracket, the back along its length, or the heaviest left out. */
function waysOut({ input }: Subject, worst: Span): Remedy[] {
  const brackets = Number(answerTo(input, 'support') ?? '0')
  const [heaviest] = [...worst.seats].sort((a, b) => b.mass! - a.mass!)
  return [
    ...offer(input, 'Glue up a second layer', 'layers', '2'),
    ...offer(input, `${brackets + 1} brackets`, 'support', String(brackets + 1)),
    ...offer(input, 'Let the back carry it along its length', 'support', 'back'),
    remedy(`Leave ${heaviest!.name} out`, { kind: 'leave out', seats: [heaviest!.id] }),
  ]
}
