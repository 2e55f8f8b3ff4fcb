import type { Trail } from '../../working/trail'
import { optionOf, settingOf } from '../choice-value'
import type { PlanInput } from '../form'
import { bracketsWanted } from './brackets'
import { choices } from './choices'
import { centreLine, restForward } from './layout'
import { centreLineRule, depthRule, reachRule, restRule, standOffRule } from './rules'
import type { RailSeat } from './seats'

/** The rail across its depth, from its back edge; mm. */
export interface Across {
  /** the line of centres */
  centre: number
  depth: number
  /** how far forward of the bore's centre each neck rests, in the seats' order */
  rests: number[]
}

/** The index of the greatest of at least one number. */
const greatest = (values: readonly number[]): number => values.reduce((best, v, i) => (v > values[best]! ? i : best), 0)

/** The front reach one seat needs, with its figures. */
function frontReach(trail: Trail, seat: RailSeat, keep: number, rest: number): number {
  const { ids, place, order, slot, neckAlong } = seat
  const across =
    ids.end === ids.slot ? `{${ids.neckAcross}}` : `max(0, {${ids.neckAcross}} − ({${ids.slot}} − {${ids.end}}))`
  const restId = `rest:${order.id}`
  if (seat.rectangular || seat.oval) {
    const formula = seat.oval ? `max(0, ({${ids.neckAlong}} − {${ids.end}}) / 2)` : `max(0, {${ids.neckAlong}} / 2 − √({${ids.end}}² − ${across}²) / 2)` // prettier-ignore
    trail.derive(restId, `Neck ${place} rests forward by`, rest, restRule, formula)
  }
  const forward = seat.rectangular || seat.oval ? `{${restId}} + ` : ''
  return trail.derive(
    `reach:${order.id}`,
    `Front reach for ${place}`,
    Math.max(slot / 2 + keep, rest + neckAlong / 2 + keep),
    reachRule,
    `max({${ids.slot}} / 2 + {frontKeep}, ${forward}{${ids.neckAlong}} / 2 + {frontKeep})`,
  )
}

/** Reckons the line of centres and the depth of the rail. */
export function acrossRail(input: PlanInput, trail: Trail, seats: readonly RailSeat[]): Across {
  const keep = settingOf(input, trail, 'frontKeep')
  const clearance = settingOf(input, trail, 'headClearance')
  const share = settingOf(input, trail, 'backWeb')
  const below = optionOf(choices, input, 'back') === 'below' || bracketsWanted(input) > 0
  const standOff = below
    ? trail.derive(
        'standOff',
        'Stand-off behind the rail',
        trail.get('thickness:back').value,
        standOffRule,
        '{thickness:back}',
      )
    : trail.given('standOff', 'Stand-off behind the rail', 0, { kind: 'choice', key: 'back' })

  const rests = seats.map((s) =>
    s.rectangular
      ? restForward(s.neckAlong, s.neckAcross, s.slot, s.end)
      : s.oval
        ? Math.max(0, (s.neckAlong - s.end) / 2)
        : 0,
  )
  const reaches = seats.map((seat, i) => frontReach(trail, seat, keep, rests[i]!))
  const furthest = seats[greatest(reaches)]!
  const front = trail.derive(
    'front',
    'Line of centres to the front edge',
    Math.max(...reaches),
    reachRule,
    `{reach:${furthest.order.id}}`,
    {
      note: `the greatest of ${seats.length}: ${furthest.tool.name}`,
    },
  )

  const own = input.holder.choices.depth
  if (typeof own === 'number') {
    trail.given('depth', 'Board depth', own, { kind: 'choice', key: 'depth' }, { note: 'this holder’s own' })
    const centre = trail.derive(
      'centre',
      'Back edge to the line of centres',
      own - front,
      centreLineRule,
      '{depth} − {front}',
    )
    return { centre, depth: own, rests }
  }
  const deepest = seats[greatest(seats.map((s) => s.back))]!
  const widest = seats[greatest(seats.map((s) => s.slot))]!
  const centre = trail.derive(
    'centre',
    'Back edge to the line of centres',
    centreLine(seats, front, clearance, standOff, share),
    centreLineRule,
    `max({${deepest.ids.back}} + {headClearance} − {standOff}, ({${widest.ids.slot}} / 2 + {backWeb} × {front}) / (1 − {backWeb}))`,
    { note: `${deepest.tool.name} reaches back furthest; slot ${widest.place} is the widest` },
  )
  const depth = trail.derive('depth', 'Board depth', centre + front, depthRule, '{centre} + {front}', {
    print: 'nearest',
  })
  return { centre, depth, rests }
}
