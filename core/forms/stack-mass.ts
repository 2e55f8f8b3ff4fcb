import { carriedMass, type Tool } from '../footprint/tool'
import type { Rule } from '../working/figure'
import type { Trail } from '../working/trail'
import { massFigure } from './measured-figure'

export const stackRule: Rule = {
  id: 'shelf.stack',
  says: 'A stack weighs as often as much as one as there are in it.',
  source: 'Geometry of the shelf; makers’ instructions for vents',
}

/** What so many of a tool weigh together, kg; null when it was not weighed. */
export function stackMass(tool: Tool, stack: number): number | null {
  const one = carriedMass(tool)
  return one === null ? null : stack * one
}

/** Puts the weight of a stack on the trail, if its tool was weighed. @returns the figure's id, whether it is there or not */
export function stackMassFigure(trail: Trail, tool: Tool, seat: string, place: number, stack: number): string {
  const one = massFigure(trail, tool)
  if (stack === 1 || !trail.has(one)) return one
  const id = `stackMass:${seat}`
  trail.derive(id, `Weight of stack ${place}`, stack * trail.get(one).value, stackRule, `${stack} × {${one}}`, { quantity: 'mass' }) // prettier-ignore
  return id
}
