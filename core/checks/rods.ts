import { ROD_LOOSE, ROD_TOO_LOOSE } from '../fit/bore'
import { bitName } from '../shop/bit-name'
import { materialOf } from '../shop/materials'
import { formatLength } from '../units/format-length'
import { formatMass, massUnitFor } from '../units/mass'
import { evenSag, roundInertia } from './beam'
import { GRAVITY, GRAVITY_TEXT } from '../units/gravity'
import { thickerRods, unknownRod } from './rod-stock'
import { sagRule } from './rules'
import { longSag } from './long-sag'
import { buyBit } from './buy-bit'
import { remedy, TOLERANCE, type Check, type Subject } from './subject'
import type { Remedy, Verdict } from './verdict'

/** Rods and pins: whether a bit makes their holes. Rods between two ends: whether heads lie across them, and whether they sag. */
export const checkRods: Check = (subject) => {
  const { rods } = subject.model
  if (rods.length === 0) return straddles(subject)
  return [...sockets(subject), ...straddles(subject), ...railSag(subject)]
}

/** Whether a bit makes the holes that rods go into, and how loose they leave them. */
function sockets({ model, input }: Subject): Verdict[] {
  const { shop } = input
  const [opening] = model.boards.flatMap((b) => b.openings).filter((o) => model.seats.every((s) => s.opening !== o.id))
  const [rod] = model.rods
  if (!opening || !rod) return []
  const verdict = (level: Verdict['level'], says: string, candidates: Remedy[] = []): Verdict[] => [
    {
      id: 'rod holes',
      check: 'bit',
      title: `Holes for the ${rod.role === 'pipe' ? 'pipes' : 'rods'}`,
      level,
      says,
      seats: [],
      candidates,
    },
  ]
  const [bore] = opening.bores
  const thick = formatLength(rod.diameter, shop)
  const many = rod.role === 'pipe' ? 'pipes' : 'rods'
  if (opening.cut === 'sawn')
    return verdict(
      'pass',
      `No bit you own bores the ${thick} that the ${many} go into: their holes are sawn to the line.`,
    )
  const buying = buyBit(input, rod.diameter, rod.diameter + ROD_TOO_LOOSE)
  if (!bore) return verdict('stop', `No bit you own bores the ${thick} that the ${many} go into.`, buying)
  const loose = bore.diameter - rod.diameter
  if (loose > ROD_LOOSE) {
    const says = `The ${bitName(bore.bit, shop)} bit leaves the ${many} ${formatLength(loose, shop)} of play: wedge them, or find a nearer bit.`
    return verdict('watch', says, buying)
  }
  return verdict('pass', `${many === 'pipes' ? 'Pipes' : 'Rods'} of ${thick}: ${bitName(bore.bit, shop)} bit.`)
}

function straddles(subject: Subject): Verdict[] {
  const { trail, model, input } = subject
  return model.seats.flatMap((seat): Verdict[] => {
    // two pins of its own, or what all lie across
    const { straddle: figure, straddleLimit: limitFigure = 'straddleLimit' } = seat.figures
    if (!figure) return []
    const [value, limit] = [trail.get(figure).value, trail.get(limitFigure).value]
    const between = seat.rests === 'pin' ? 'pins' : seat.rests
    const level = value < limit - TOLERANCE ? 'stop' : 'pass'
    const found = `${seat.name} lies ${formatLength(value, input.shop, 'down')} across the ${between}`
    return [
      {
        id: `straddle:${seat.id}`,
        check: 'straddle',
        title: `Across the ${between} ${seat.place}`,
        level,
        says:
          level === 'pass'
            ? `${found}; at least ${formatLength(limit, input.shop, 'up')} wanted.`
            : `${found}: with less than ${formatLength(limit, input.shop, 'up')} it can slip between them.`,
        seats: [seat.id],
        figure,
        limitFigure,
        measured: { value, limit, sense: 'at least', quantity: 'length', print: 'down' },
        candidates:
          level === 'pass'
            ? []
            : [
                ...([0, 1] as const)
                  .filter((turn) => turn !== seat.turn % 2)
                  .map((turn) => remedy('Turn it a quarter', { kind: 'turn', seat: seat.id, turn })),
                remedy(`Leave ${seat.name} out`, { kind: 'leave out', seats: [seat.id] }),
              ],
      },
    ]
  })
}

function railSag(subject: Subject): Verdict[] {
  const { trail, model, input } = subject
  const rails = model.rods.filter((r) => r.role === 'rail')
  const [rod] = rails
  if (!rod) return []
  const weighed = model.seats.filter((s) => rod.seats.includes(s.id) && s.mass !== null)
  if (weighed.length === 0) return []
  const material = materialOf(input.shop.materials, rod.material)
  if (!material) return [unknownRod(rod, 'rod sag', 'sag', 'Sag of the rods')]
  const mass = weighed.reduce((sum, s) => sum + s.mass!, 0)
  const span = rod.length - 2 * trail.get('thickness:end').value
  const origin = { kind: 'stock', id: rod.stock, key: 'material' } as const
  trail.given('stiffness', `Stiffness of ${material.name}`, material.stiffness, origin, { quantity: 'stiffness', note: material.source }) // prettier-ignore
  const masses = weighed.map((s) => `{${s.figures.mass}}`).join(' + ')
  const load = (mass * GRAVITY) / rails.length
  const sag = trail.derive(
    'rodSag',
    'Sag of a rod at once',
    evenSag(load, span, material.stiffness, roundInertia(rod.diameter)),
    sagRule,
    `5 × (${masses}) × ${GRAVITY_TEXT} / ${rails.length} × ({${rod.figures.length}} − 2 × {thickness:end})³ / (384 × {stiffness} × [1000 MPa/GPa] × π × {${rod.figures.diameter}}⁴ / 64)`,
    { print: 'up' },
  )
  return [
    longSag(subject, {
      id: 'rod sag',
      title: 'Sag of the rods',
      material,
      sag: { id: 'rodSag', value: sag },
      span: { value: span, text: `({${rod.figures.length}} − 2 × {thickness:end})` },
      long: { id: 'rodSagLong', label: 'Sag of a rod in the long run' },
      limit: { id: 'rodSagLimit', label: 'A rod may sag' },
      found: (atOnce) => `Under ${formatMass(mass, massUnitFor(input.shop.unit))} each rod sags ${atOnce} at once`,
      waysOut: () => [
        ...thickerRods(subject, rod),
        ...[...weighed]
          .sort((a, b) => b.mass! - a.mass!)
          .slice(0, 2)
          .map((s) => remedy(`Leave ${s.name} out`, { kind: 'leave out', seats: [s.id] })),
      ],
    }),
  ]
}
