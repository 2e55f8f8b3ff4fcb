import { MODEL_VERSION, type Board, type Joint, type Seat } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, settingOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { backBoard, plainBoard } from '../plain-board'
import { lengthRule } from '../spread'
import { stackMass } from '../stack-mass'
import { NO_STOCK, stocksFor } from '../stocks'
import { choices } from './choices'
import { chutesFor, type Chute } from './chutes'
import { fingerNotches } from './notch'
import { backRule, centreRule, depthRule, floorRule, frontRule, highRule, pickRule } from './rules'

/** Plans a dispenser: chutes between sides that stand on a floor, closed in front down to the gap that the lowest comes out by. */
export function planDispenser(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['shelf', 'lip', 'divider', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const { chutes, refusals } = chutesFor(input, trail)
  if (chutes.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'Nothing in this dispenser yet. Add the first stack from those that could join.' }) // prettier-ignore
  }
  const [tb, ts, td, tl] = [stocks.back.thickness, stocks.shelf.thickness, stocks.divider.thickness, stocks.lip.thickness] // prettier-ignore
  const { centres, length } = along(trail, chutes, td)
  const { depth, gap, high, back: backHigh } = heights(input, trail, chutes, ts)
  if (Math.max(length, backHigh) > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The dispenser would be ${formatLength(Math.max(length, backHigh), input.shop)} long. Split the stacks over several.` }) // prettier-ignore
  if (high - gap < trail.get('lipHeight').value - 1e-6)
    return refuse(...refusals, { id: 'too low', says: `The chutes are too low: over the gap of ${formatLength(gap, input.shop, 'up')} too little of the front is left. Make them higher, or let them follow from the stacks.` }) // prettier-ignore

  const floorDeep = trail.derive('floorDeep', 'Depth of the floor', depth + tl, floorRule, '{depth} + {thickness:lip}', { print: 'up' }) // prettier-ignore
  const shelf = plainBoard(stocks.shelf, {
    id: 'shelf',
    name: 'Floor',
    role: 'shelf',
    length,
    width: floorDeep,
    openings: fingerNotches(input, trail, chutes, centres, floorDeep),
    placement: { lies: 'flat', at: { x: 0, y: tb, z: 0 } },
    figures: { length: 'length', width: 'floorDeep', thickness: 'thickness:shelf' },
  })
  const side = (id: string, name: string, role: Board['role'], x: number): Board =>
    plainBoard(stocks.divider, {
      id,
      name,
      role,
      length: high,
      width: depth,
      placement: { lies: 'post', at: { x, y: tb, z: 0 } },
      figures: { length: 'high', width: 'depth', thickness: 'thickness:divider' },
    })
  const sides = [
    side('left', 'Left side', 'end', 0),
    ...chutes.slice(1).map((c, i) => side(`divider-${i + 1}`, `Divider ${i + 1}`, 'divider', centres[i + 1]! - c.half - td)), // prettier-ignore
    side('right', 'Right side', 'end', length - td),
  ]
  const frontHigh = trail.derive('frontHigh', 'Height of the front', high - gap, frontRule, '{high} − {pickGap}')
  const front = plainBoard(stocks.lip, {
    id: 'lip',
    name: 'Front',
    role: 'lip',
    length,
    width: frontHigh,
    placement: { lies: 'upright', at: { x: 0, y: tb + depth, z: gap } },
    figures: { length: 'length', width: 'frontHigh', thickness: 'thickness:lip' },
  })
  const back = backBoard(stocks.back, {
    length,
    width: backHigh,
    low: -ts,
    as: { length: 'length', width: 'backHigh' },
  })
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'dispenser',
      name: input.holder.name,
      boards: [shelf, back, front, ...sides],
      rods: [],
      reach: { value: tb + floorDeep, formula: '{thickness:back} + {floorDeep}' },
      joints: joints(sides),
      fasteners: [],
      seats: chutes.map((c, i) => seat(c, { x: centres[i]!, y: tb + depth / 2 })),
    },
  }
}

/** Middles of the chutes from the datum end, and the length of all of them; mm. */
function along(trail: Trail, chutes: readonly Chute[], thick: number): { centres: number[]; length: number } {
  const centres: number[] = []
  chutes.forEach((c, i) => {
    const before = chutes[i - 1]
    const value = before ? centres[i - 1]! + before.half + thick + c.half : thick + c.half
    const formula = before
      ? `{x:${before.order.id}} + {${before.ids.half}} + {thickness:divider} + {${c.ids.half}}`
      : `{thickness:divider} + {${c.ids.half}}`
    centres.push(trail.derive(`x:${c.order.id}`, `Middle of chute ${c.place} from the datum end`, value, centreRule, formula)) // prettier-ignore
  })
  const last = chutes.at(-1)!
  const length = trail.derive('length', 'Length', centres.at(-1)! + last.half + thick, lengthRule, `{x:${last.order.id}} + {${last.ids.half}} + {thickness:divider}`) // prettier-ignore
  return { centres, length }
}

/** Depth inside, the gap over the floor, and how high chutes and back are; mm. @param floor its thickness */
function heights(
  input: PlanInput,
  trail: Trail,
  chutes: readonly Chute[],
  floor: number,
): { depth: number; gap: number; high: number; back: number } {
  const most = (of: (c: Chute) => number): Chute => chutes.reduce((a, b) => (of(b) > of(a) ? b : a))
  const [widest, thickest, tallest] = [most((c) => c.inside), most((c) => c.gap), most((c) => c.high)]
  const depth = trail.derive('depth', 'Depth of the chutes inside', widest.inside, depthRule, `{${widest.ids.inside}}`, { print: 'up', note: widest.tool.name }) // prettier-ignore
  const gap = trail.derive('pickGap', 'Gap over the floor', thickest.gap, pickRule, `{${thickest.ids.gap}}`, { print: 'up', note: thickest.tool.name }) // prettier-ignore
  const lip = settingOf(input, trail, 'lipHeight')
  const own = input.holder.choices.high
  const high =
    typeof own === 'number'
      ? trail.given('high', 'Height of the chutes', own, { kind: 'choice', key: 'high' }, { note: 'this holder’s own' })
      : trail.derive('high', 'Height of the chutes', Math.max(tallest.high, gap + lip), highRule, `max({${tallest.ids.high}}, {pickGap} + {lipHeight})`, { print: 'up', note: tallest.tool.name }) // prettier-ignore
  const set = lengthOf(choices, input, trail, 'backHeight')
  const back = trail.derive('backHigh', 'Height of the back', Math.max(set, high + floor), backRule, 'max({backHeight}, {high} + {thickness:shelf})', { print: 'up' }) // prettier-ignore
  return { depth, gap, high, back }
}

/** A stack as it lies: face up, its uppermost at its own origin. */
const seat = (c: Chute, { x, y }: { x: number; y: number }): Seat => ({
  id: c.order.id,
  tool: c.tool.id,
  name: c.tool.name,
  place: c.place,
  turn: 0,
  tilt: 90,
  board: 'shelf',
  opening: null,
  at: { x, y, z: c.high },
  extent: { left: c.across / 2, right: c.across / 2, front: c.across / 2, back: c.across / 2 },
  rests: 'shelf',
  sharp: false,
  ...(c.stack > 1 ? { stack: c.stack } : {}),
  mass: stackMass(c.tool, c.stack),
  reach: `{thickness:back} + ({depth} + {${c.ids.across}}) / 2`,
  figures: { across: c.ids.across, gap: c.ids.gap, thick: c.ids.thick, thickDoubt: c.ids.thickDoubt, mass: c.ids.mass },
})

/** Sides and dividers onto the floor, the back onto floor and sides, the front last. */
function joints(sides: readonly Board[]): Joint[] {
  const screwed = (a: string, b: string, fixing: string) => ({ parts: [a, b] as [string, string], glued: true, by: 'screws' as const, fixing }) // prettier-ignore
  return [
    ...sides.map((b) => screwed('shelf', b.id, 'Glue, and screws from below through the floor')),
    screwed('back', 'shelf', 'Glue, and screws from behind through the back into the floor’s back edge'),
    ...sides.map((b) => screwed('back', b.id, 'Glue, and screws from behind through the back along the side’s back edge')), // prettier-ignore
    ...sides.map((b) => ({ ...screwed('lip', b.id, 'Glue, and brads through the front along the side’s front edge, its upper edge level with the side’s: that leaves the gap over the floor'), by: 'brads' as const })), // prettier-ignore
  ].map((joint, i) => ({ order: i + 1, ...joint }))
}
