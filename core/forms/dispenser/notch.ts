import { boredBy, chooseBit } from '../../fit/bore'
import { slotOutline } from '../../geometry/outline'
import type { Opening } from '../../model/model'
import type { Trail } from '../../working/trail'
import { holeOf } from '../bit-hole'
import { settingOf } from '../choice-value'
import type { PlanInput } from '../form'
import type { Chute } from './chutes'
import { notchLineRule, notchRule } from './rules'

/** A bit may be so much wider than what is wanted, in parts of the disc: more, and it drops through. */
const WIDEST = 0.75

/**
 * The notches in the floor by which a finger reaches the lowest from below; `depth` must be on the trail.
 * @param centres of the chutes, @param edge the floor’s front edge, from its back edge; mm
 */
export function fingerNotches(
  input: PlanInput,
  trail: Trail,
  chutes: readonly Chute[],
  centres: readonly number[],
  edge: number,
): Opening[] {
  const wide = chutes.map((c) => notchWidth(input, trail, c))
  const widest = wide.reduce((a, b) => (b.mm > a.mm ? b : a))
  const y = trail.derive('notchLine', 'Back edge to the notches’ line of centres', (trail.get('depth').value + widest.mm) / 2, notchLineRule, `({depth} + {${widest.figure}}) / 2`) // prettier-ignore
  return chutes.map(({ order: { id } }, i): Opening => {
    const { mm, bit, figure } = wide[i]!
    const centre = { x: centres[i]!, y }
    return {
      id: `notch-${id}`,
      kind: 'slot',
      seat: null,
      lets: 'a finger',
      centre,
      width: mm,
      radius: mm / 2,
      outline: slotOutline(centre, mm, edge),
      opensTo: 'front',
      depth: null,
      slant: 0,
      dust: null,
      cut: bit === null ? 'sawn' : 'bored',
      bores: bit === null ? [] : [{ centre, diameter: mm, bit }],
      figures: { x: `x:${id}`, y: 'notchLine', width: figure, end: figure },
    }
  })
}

/** How wide a notch is, by which bit; mm, with the figure’s id. */
function notchWidth(
  input: PlanInput,
  trail: Trail,
  { order: { id }, place, across, ids }: Chute,
): { mm: number; bit: number | null; figure: string } {
  const notch = settingOf(input, trail, 'fingerNotch')
  const wanted = Math.min(notch, across / 2)
  const bit = chooseBit({ needed: wanted, bits: input.shop.bits, atMost: WIDEST * across })
  const least = `min({fingerNotch}, {${ids.across}} / 2)`
  const figure = `notch:${id}`
  const mm = trail.derive(figure, `Finger notch of ${place}`, bit ? boredBy(bit) : wanted, notchRule, bit ? `{${holeOf(input, trail, bit)}} ≥ ${least}` : least, { print: 'up' }) // prettier-ignore
  return { mm, bit: bit?.diameter ?? null, figure }
}
