import type { Trail } from '../../working/trail'
import { lengthOf, optionOf } from '../choice-value'
import type { PlanInput } from '../form'
import { choices } from './choices'
import { spreadAlong, widestNeighbours, type Spread } from './layout'
import { centreRule, evenRule, lengthRule } from './rules'
import type { RailSeat } from './seats'

/** The spread the holder's choices ask for, its lengths on the trail. */
export function spreadOf(input: PlanInput, trail: Trail): Spread {
  return {
    gap: lengthOf(choices, input, trail, 'gap'),
    margin: lengthOf(choices, input, trail, 'margin'),
    even: optionOf(choices, input, 'pitch') === 'even',
    overhang: optionOf(choices, input, 'ends') === 'overhang',
  }
}

/** Reckons the centres and the length of the rail. mm */
export function alongRail(
  input: PlanInput,
  trail: Trail,
  seats: readonly RailSeat[],
): { centres: number[]; length: number } {
  const spread = spreadOf(input, trail)
  const { centres, length } = spreadAlong(seats, spread)
  const x = (seat: RailSeat) => `x:${seat.order.id}`
  const apart = (a: RailSeat, b: RailSeat) => `{${a.ids.right}} + {gap} + {${b.ids.left}}`

  const widest = spread.even ? widestNeighbours(seats, spread.gap) : null
  if (widest) {
    const [a, b] = [seats[widest.index]!, seats[widest.index + 1]!]
    trail.derive('pitch', 'Even pitch', widest.distance, evenRule, apart(a, b), {
      note: `between ${a.place} and ${b.place}`,
    })
  }
  seats.forEach((seat, i) => {
    const before = seats[i - 1]
    const start = spread.overhang ? `{${seat.ids.slot}} / 2` : `{${seat.ids.left}}`
    const step = before && `{${x(before)}} + ${widest ? '{pitch}' : apart(before, seat)}`
    trail.derive(
      x(seat),
      `Centre ${seat.place} from the datum end`,
      centres[i]!,
      centreRule,
      step ?? `{margin} + ${start}`,
    )
  })
  const last = seats.at(-1)!
  const end = spread.overhang ? `{${last.ids.slot}} / 2` : `{${last.ids.right}}`
  trail.derive('length', 'Board length', length, lengthRule, `{${x(last)}} + ${end} + {margin}`)
  return { centres, length }
}
