import type { Measured } from '../footprint/kind'
import type { Tool } from '../footprint/tool'
import type { SeatOrder } from '../model/holder'
import type { Rule } from '../working/figure'
import type { Trail } from '../working/trail'
import type { PlanInput } from './form'
import { settingOf } from './choice-value'
import { doubtFigure } from './measured-figure'

export const straddleRule: Rule = {
  id: 'straddle.across',
  says: 'A head lies across by both its sides; of an uneven one by no more than its shorter side twice, and a bearing: that side has to reach the middle of what carries it, whatever the other does.',
  source: 'Geometry of the head',
}

/** One side of a head: what it is called, how far it reaches from the neck, and the id of that figure. */
export interface Side {
  name: string
  label: string
  reach: Measured
  figure: string
}

/** How far a side surely reaches, mm, with the text of that. */
interface Reach {
  least: number
  text: string
}

/**
 * How long a head lies across two rods, arms or pins, with the doubt of its measuring counted against it.
 * @returns id of the figure
 */
export function straddleOf(
  input: PlanInput,
  trail: Trail,
  { order, tool, place, across }: { order: SeatOrder; tool: Tool; place: number; across: string },
  sides: readonly [Side, Side],
): string {
  const id = `straddle:${order.id}`
  const bearing = settingOf(input, trail, 'bearing')
  const [a, b] = sides.map((s) => {
    const doubt = doubtFigure(input, trail, order, tool, s.name, `${s.label} of ${place}`, s.reach)
    return { least: trail.get(s.figure).value - trail.get(doubt).value, text: `{${s.figure}} − {${doubt}}` }
  }) as [Reach, Reach]
  const shorter = a.least <= b.least ? a : b
  const value = Math.min(a.least + b.least, 2 * shorter.least + bearing)
  trail.derive(id, `Head ${place} across ${across}`, value, straddleRule, `min(${a.text} + ${b.text}, 2 × (${shorter.text}) + {bearing})`, { print: 'down' }) // prettier-ignore
  return id
}
