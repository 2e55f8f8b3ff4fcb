import { part } from '../../footprint/neck'
import { carriedMass, type Tool } from '../../footprint/tool'
import { MODEL_VERSION, type Board } from '../../model/model'
import type { SeatOrder } from '../../model/holder'
import { FIT_SETTING, type Fit } from '../../shop/shop'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import { fieldDoubt } from '../doubt'
import type { Plan, PlanInput, Refusal } from '../form'
import { measuredFigure } from '../measured-figure'
import { plainBoard } from '../plain-board'
import { seatTool } from '../seat-tool'
import { centreRule, spreadSpots, type Spot } from '../spread'
import { NO_STOCK, stocksFor } from '../stocks'
import { choices } from './choices'
import { jawRule } from './rules'

/** The jaws of a clamp are so much of its length: as far as it goes over a bar. */
const BITE = 0.3

/** A jaw is so much thicker than half of its mouth, at its tip. */
const JAW = 0.65

const NEEDS = ['mouth', 'jawWidth', 'length']

/** Field keys that a clamp lacks; null for what is no spring clamp. */
export const lacks = ({ kind, measures }: Pick<Tool, 'kind' | 'measures'>): string[] | null =>
  kind === 'spring-clamp' ? NEEDS.filter((key) => measures[key] === undefined) : null

type Clamp = Spot & { order: SeatOrder; tool: Tool }

/** Plans a clip bar: a bar on two blocks before a back, clamps clipped over it from above. */
export function planClipBar(input: PlanInput): Plan {
  const trail = new Trail()
  const { shop, holder } = input
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['bar', 'end', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const { clamps, refusals } = clampsOn(input, trail, stocks.bar.thickness)
  if (clamps.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No clamps in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const end = { id: 'thickness:end', value: stocks.end.thickness }
  const { centres, length } = spreadSpots(trail, clamps, optionOf(choices, input, 'pitch') === 'even', end)
  if (length > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The bar would be ${formatLength(length, shop)} long. Split the clamps over several short bars.` }) // prettier-ignore
  const high = lengthOf(choices, input, trail, 'barHeight')
  const out = standOff(input, trail, clamps, stocks.bar.thickness)
  const [tb, bar] = [stocks.back.thickness, stocks.bar.thickness]
  const upright = (id: string, name: string, role: Board['role'], stock: typeof stocks.bar, y: number): Board =>
    plainBoard(stock, {
      id,
      name,
      role,
      length,
      width: high,
      placement: { lies: 'upright', at: { x: 0, y, z: -high } },
      figures: { length: 'length', width: 'barHeight', thickness: `thickness:${id}` },
    })
  const block = (id: string, name: string, x: number): Board =>
    plainBoard(stocks.end, {
      id,
      name,
      role: 'end',
      length: out,
      width: high,
      placement: { lies: 'end', at: { x, y: tb, z: -high } },
      figures: { length: 'standOff', width: 'barHeight', thickness: 'thickness:end' },
    })
  const ends = [block('left', 'Left block', 0), block('right', 'Right block', length - end.value)]
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'clip-bar',
      name: holder.name,
      boards: [
        upright('bar', 'Bar', 'bar', stocks.bar, tb + out),
        upright('back', 'Back', 'back', stocks.back, 0),
        ...ends,
      ],
      rods: [],
      reach: { value: tb + out + bar, formula: '{thickness:back} + {standOff} + {thickness:bar}' },
      joints: [
        ...ends.map((b, i) => ({ order: 1 + i, parts: ['back', b.id] as [string, string], glued: true, by: 'screws' as const, fixing: 'Glue, and screws from behind through the back into the block' })), // prettier-ignore
        ...ends.map((b, i) => ({ order: 3 + i, parts: ['bar', b.id] as [string, string], glued: true, by: 'screws' as const, fixing: 'Glue, and screws through the bar into the block, in pilot holes' })), // prettier-ignore
      ],
      fasteners: [],
      seats: clamps.map((c, i) => ({
        id: c.order.id,
        tool: c.tool.id,
        name: c.tool.name,
        place: c.place,
        turn: 0,
        // clipped on from above, its handles up
        tilt: 180,
        board: 'bar',
        opening: null,
        at: { x: centres[i]!, y: tb + out + bar / 2, z: -Math.min(high, BITE * c.tool.measures.length!) },
        extent: { left: c.left, right: c.right, front: 0, back: 0 },
        rests: 'shelf' as const,
        sharp: false,
        mass: carriedMass(c.tool),
        reach: '{thickness:back} + {standOff} + {thickness:bar} / 2',
        figures: c.ids,
      })),
    },
  }
}

/** Room for the rear jaws behind the bar: half of the widest mouth with its jaw, less half of the bar, clear of the back. */
function standOff(input: PlanInput, trail: Trail, clamps: readonly Clamp[], bar: number): number {
  const own = input.holder.choices.standOff
  if (typeof own === 'number') return trail.given('standOff', 'Stand-off', own, { kind: 'choice', key: 'standOff' })
  const widest = clamps.reduce((a, b) => (b.tool.measures.mouth! > a.tool.measures.mouth! ? b : a))
  const clearance = settingOf(input, trail, 'headClearance')
  const mouth = widest.tool.measures.mouth!
  return trail.derive('standOff', 'Stand-off', JAW * mouth - bar / 2 + clearance, jawRule, `${JAW} × {m:${widest.tool.id}.mouth} − {thickness:bar} / 2 + {headClearance}`, { print: 'up', note: widest.tool.name }) // prettier-ignore
}

/** The clamps that open wide enough for the bar; the others are left out and named. @param bar its thickness, mm */
function clampsOn(input: PlanInput, trail: Trail, bar: number): { clamps: Clamp[]; refusals: Refusal[] } {
  const clamps: Clamp[] = []
  const refusals: Refusal[] = []
  const play = settingOf(input, trail, FIT_SETTING[optionOf(choices, input, 'fit') as Fit])
  for (const order of input.holder.seats) {
    const seated = seatTool(
      input,
      order,
      (_, tool) => envelopeOf(tool),
      'is no spring clamp: it can’t be clipped on a bar.',
    )
    if ('says' in seated) {
      refusals.push(seated)
      continue
    }
    const { tool, envelope } = seated
    const opens = tool.measures.mouth! - fieldDoubt(input, trail, tool, 'mouth').value
    if (opens < bar + play - 1e-6) {
      const says = `${tool.name} is left out: it opens ${formatLength(opens, input.shop, 'down')}, too little for a bar of ${formatLength(bar, input.shop)}. Take a thinner board.`
      refusals.push({ id: `mouth:${order.id}`, says, tool: tool.id, seats: [order.id] })
      continue
    }
    const place = clamps.length + 1
    measuredFigure(trail, order, tool, 'mouth', `Mouth of ${place}`, part(tool.measures, 'mouth'), jawRule)
    const half = measuredFigure(trail, order, tool, 'half', `Half the jaw of ${place}`, envelope.half, centreRule)
    clamps.push({ seat: order.id, order, tool, place, left: envelope.half.value, right: envelope.half.value, ids: { left: half, right: half } }) // prettier-ignore
  }
  return { clamps, refusals }
}

function envelopeOf(tool: Tool): { half: ReturnType<typeof part> } | { missing: string[] } | null {
  const missing = lacks(tool)
  if (!missing) return null
  return missing.length > 0 ? { missing } : { half: part(tool.measures, 'jawWidth', 0.5) }
}
