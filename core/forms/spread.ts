import type { Rule } from '../working/figure'
import type { Trail } from '../working/trail'

const source = 'Geometry; the gap and the margin are settings'
const rule = (id: string, says: string): Rule => ({ id: `spread.${id}`, says, source })

export const centreRule = rule(
  'centre',
  'Each centre stands from the one before by how far that tool reaches towards it, the gap, and how far this one reaches back; the first by the margin.',
)
export const pitchRule = rule('pitch', 'An even pitch takes the greatest distance between neighbours everywhere.')
export const lengthRule = rule('length', 'From the datum end past the tool that stands last, and the margin.')

/** A tool's place along a holder: how far it reaches to each side of its centre, mm, and the ids of those figures. */
export interface Spot {
  seat: string
  place: number
  left: number
  right: number
  ids: { left: string; right: string }
}

/** Ids of the figures which the spread starts and ends with, such as the thickness of an end; empty for none. */
export interface Ends {
  id: string
  value: number
}

/**
 * Places tools side by side with a gap between neighbours, by their own sizes or at an even pitch. The centres go on the
 * trail as `x:SEAT`, the whole as `length`; `gap` and `margin` must be there.
 * @param spots in order from the datum end, at least one
 * @param end what stands outside the margin at either end
 * @param suffix of the ids of length and pitch, where there are several rows
 * @returns mm
 */
export function spreadSpots(
  trail: Trail,
  spots: readonly Spot[],
  even: boolean,
  end: Ends | null = null,
  suffix = '',
): { centres: number[]; length: number } {
  const { value: gap } = trail.get('gap')
  const { value: margin } = trail.get('margin')
  const outside = end ? `{${end.id}} + ` : ''
  const pairs = spots.slice(1).map((b, i) => ({ a: spots[i]!, b, apart: spots[i]!.right + gap + b.left }))
  const widest = even && pairs.length > 0 ? pairs.reduce((m, p) => (p.apart > m.apart ? p : m)) : null
  if (widest) {
    const { a, b, apart } = widest
    const formula = `{${a.ids.right}} + {gap} + {${b.ids.left}}`
    trail.derive(`pitch${suffix}`, 'Even pitch', apart, pitchRule, formula, {
      note: `between ${a.place} and ${b.place}`,
    })
  }
  const centres: number[] = []
  spots.forEach((s, i) => {
    const before = spots[i - 1]
    const value = before
      ? centres[i - 1]! + (widest?.apart ?? pairs[i - 1]!.apart)
      : (end?.value ?? 0) + margin + s.left
    const step = before && (widest ? `{pitch${suffix}}` : `{${before.ids.right}} + {gap} + {${s.ids.left}}`)
    const formula = before ? `{x:${before.seat}} + ${step}` : `${outside}{margin} + {${s.ids.left}}`
    centres.push(trail.derive(`x:${s.seat}`, `Centre ${s.place} from the datum end`, value, centreRule, formula))
  })
  const last = spots.at(-1)!
  const length = trail.derive(
    `length${suffix}`,
    'Length',
    centres.at(-1)! + last.right + margin + (end?.value ?? 0),
    lengthRule,
    `{x:${last.seat}} + {${last.ids.right}} + {margin}${end ? ` + {${end.id}}` : ''}`,
  )
  return { centres, length }
}
