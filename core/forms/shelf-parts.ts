import type { Seat } from '../model/model'
import type { Rule } from '../working/figure'
import type { Trail } from '../working/trail'
import { settingOf } from './choice-value'
import type { PlanInput } from './form'
import type { OnShelf } from './on-shelf'
import { stackMass } from './stack-mass'

const source = 'Geometry of the shelf; limits from workshop practice'
const rule = (id: string, says: string): Rule => ({ id: `shelf.${id}`, says, source })

export const depthRule = rule('depth', 'The shelf is as deep as what reaches furthest out, clear of the back, and loose by as much at the lip.') // prettier-ignore
export const dividerRule = rule('divider', 'A divider stands in the middle of the gap between two neighbours.')

/** The shelf's depth: the longest tool, clear of the back, and as loose at the lip; mm. */
export function shelfDepth(input: PlanInput, trail: Trail, all: readonly OnShelf[]): number {
  const clearance = settingOf(input, trail, 'headClearance')
  const own = input.holder.choices.depth
  if (typeof own === 'number')
    return trail.given('depth', 'Shelf depth', own, { kind: 'choice', key: 'depth' }, { note: 'this holder’s own' })
  const longest = all.reduce((a, b) => (b.out > a.out ? b : a))
  return trail.derive('depth', 'Shelf depth', longest.out + 2 * clearance, depthRule, `{${longest.ids.out}} + 2 × {headClearance}`, { print: 'up', note: longest.tool.name }) // prettier-ignore
}

/** Where each divider's left face stands: in the middle between two neighbours; mm. */
export const dividersBetween = (
  trail: Trail,
  all: readonly OnShelf[],
  centres: readonly number[],
  thickness: number,
): number[] =>
  all.slice(1).map((b, i) => {
    const a = all[i]!
    const value = (centres[i]! + a.right + centres[i + 1]! - b.left - thickness) / 2
    const formula = `({x:${a.seat}} + {${a.ids.right}} + {x:${b.seat}} − {${b.ids.left}} − {thickness:divider}) / 2`
    return trail.derive(`divider:${i + 1}`, `Divider ${i + 1} from the datum end`, value, dividerRule, formula)
  })

/** What stands on the shelf, its middle at `x` and the back of its room at `y`; mm. The shelf's board is called `shelf`. */
export const shelfSeat = (l: OnShelf, x: number, y: number): Seat => ({
  id: l.order.id,
  tool: l.tool.id,
  name: l.tool.name,
  place: l.place,
  turn: l.order.turn,
  board: 'shelf',
  opening: null,
  at: { x: x + l.origin.x, y: y + l.origin.y, z: l.origin.z },
  extent: { left: l.left + l.origin.x, right: l.right - l.origin.x, front: l.out - l.origin.y, back: l.origin.y },
  rests: 'shelf',
  sharp: l.tool.options.delicate === 'edge',
  ...(l.stack > 1 ? { stack: l.stack } : {}),
  mass: stackMass(l.tool, l.stack),
  reach: `{thickness:back} + {headClearance} + {${l.ids.out}}`,
  figures: l.ids,
})
