import type { Measured } from '../footprint/kind'
import type { Tool } from '../footprint/tool'
import type { SeatOrder } from '../model/holder'
import type { Rule } from '../working/figure'
import type { Trail } from '../working/trail'
import type { PlanInput } from './form'
import { doubtFigure } from './measured-figure'

const rule: Rule = {
  id: 'straddle.across',
  says: 'A head is as long across what carries it as its shorter side reaches from the neck, twice: a longer side holds nothing on the other.',
  source: 'Geometry of the head',
}

/** One side of a head: what it is called, how far it reaches from the neck, and the id of that figure. */
export interface Side {
  name: string
  label: string
  reach: Measured
  figure: string
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
  const [shorter] = sides
    .map((s) => ({ ...s, doubt: doubtFigure(input, trail, order, tool, s.name, `${s.label} of ${place}`, s.reach) }))
    .map((s) => ({ ...s, least: trail.get(s.figure).value - trail.get(s.doubt).value }))
    .sort((a, b) => a.least - b.least) as [Side & { doubt: string; least: number }, unknown]
  trail.derive(id, `Head ${place} across ${across}`, 2 * shorter.least, rule, `2 × ({${shorter.figure}} − {${shorter.doubt}})`, { print: 'down' }) // prettier-ignore
  return id
}
