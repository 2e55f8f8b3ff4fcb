import { carriedMass } from '../../footprint/tool'
import { rectangle } from '../../geometry/outline'
import { MODEL_VERSION, type Board, type Opening, type Seat } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import type { Plan, PlanInput, Refusal } from '../form'
import { backBoard, plainBoard } from '../plain-board'
import { spreadSpots } from '../spread'
import { NO_STOCK, stocksFor } from '../stocks'
import { choices } from './choices'
import { backRule, centreLineRule, deepRule, depthRule, guideRule } from './rules'
import { saws, type Saw } from './saws'

/** Wood thinner than this, mm, is none. */
const THINNEST = 1e-6

/** The guide stands by this part of the shortest plate below the bar. */
const GUIDE_AT = 0.6

/** Plans a saw rest: a flat bar with kerfs open to the front, a guide below it in line, and a back behind both. */
export function planSawRest(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['rail', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const { saws: all, refusals } = saws(input, trail)
  if (all.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No saws in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const { centres, length } = spreadSpots(trail, all, optionOf(choices, input, 'pitch') === 'even')
  if (length > LARGEST_SIZE) {
    const says = `The bar would be ${formatLength(length, input.shop)} long. Split the saws over several holders.`
    return refuse(...refusals, { id: 'too long', says })
  }
  const clash = clashing(all, centres, length)
  if (clash) return refuse(...refusals, clash)
  const across = acrossBar(input, trail, all)
  if (across.end < THINNEST)
    return refuse(...refusals, { id: 'too shallow', says: 'The bar is not deep enough: the kerfs would cut through its back edge.' }) // prettier-ignore

  const { rail: stock } = stocks
  const drop = optionOf(choices, input, 'guide') === 'with' ? guideBelow(trail, all, stock.thickness) : 0
  const height = backHeight(input, trail, drop)
  const openings = (suffix: string): Opening[] => all.map((s, i) => kerf(s, centres[i]!, across, suffix))
  const bar = (id: string, name: string, z: number): Board =>
    plainBoard(stock, {
      id,
      name,
      role: 'rail',
      length,
      width: across.depth,
      openings: openings(id === 'rail' ? '' : '-guide'),
      placement: { lies: 'flat', at: { x: 0, y: stocks.back.thickness, z } },
      figures: { length: 'length', width: 'depth', thickness: 'thickness:rail' },
    })
  const back = backBoard(stocks.back, {
    length,
    width: height,
    low: -height,
    as: { length: 'length', width: drop > 0 ? 'height' : 'backHeight' },
  })
  const bars = [bar('rail', 'Bar', 0), ...(drop > 0 ? [bar('guide', 'Guide bar', -drop)] : [])]
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'saw-rest',
      name: input.holder.name,
      boards: [...bars, back],
      rods: [],
      reach: { value: stocks.back.thickness + across.depth, formula: '{thickness:back} + {depth}' },
      joints: bars.map((b, i) => ({
        order: i + 1,
        parts: ['back', b.id],
        glued: true,
        by: 'screws',
        fixing: 'Glue, and screws from behind through the back into the bar’s back edge',
      })),
      fasteners: [],
      seats: all.map((s, i) => seat(s, centres[i]!, stocks.back.thickness + across.end)),
    },
  }
}

const seat = (s: Saw, x: number, y: number): Seat => ({
  id: s.order.id,
  tool: s.tool.id,
  name: s.tool.name,
  place: s.place,
  turn: 0,
  board: 'rail',
  opening: `kerf-${s.order.id}`,
  // the plate stands just clear of the kerf's end
  at: { x, y, z: 0 },
  extent: { left: s.left, right: s.right, front: s.heel, back: 0 },
  rests: 'shoulder',
  sharp: true,
  mass: carriedMass(s.tool),
  reach: `{thickness:back} + {end} + {${s.ids.heel}}`,
  figures: s.ids,
})

const kerf = (s: Saw, x: number, { end, depth }: { end: number; depth: number }, suffix: string): Opening => ({
  id: `kerf-${s.order.id}${suffix}`,
  kind: 'slot',
  seat: s.order.id,
  centre: { x, y: end },
  width: s.kerf,
  radius: 0,
  outline: rectangle(x - s.kerf / 2, end, x + s.kerf / 2, depth),
  opensTo: 'front',
  depth: null,
  slant: 0,
  dust: null,
  cut: 'sawn',
  bores: [],
  figures: { x: `x:${s.order.id}`, y: 'end', width: s.ids.slot, end: s.ids.slot },
})

/** The bar from its back edge: where the kerfs end, and its depth; mm. */
function acrossBar(input: PlanInput, trail: Trail, all: readonly Saw[]): { end: number; depth: number } {
  const keep = settingOf(input, trail, 'frontKeep')
  const share = settingOf(input, trail, 'backWeb')
  const deepest = all.reduce((a, b) => (b.heel > a.heel ? b : a))
  const front = trail.derive('front', 'Kerfs from the front edge', deepest.heel + keep, deepRule, `{${deepest.ids.heel}} + {frontKeep}`, { note: deepest.tool.name }) // prettier-ignore
  const own = input.holder.choices.depth
  const depth =
    typeof own === 'number'
      ? trail.given('depth', 'Bar depth', own, { kind: 'choice', key: 'depth' }, { note: 'this holder’s own' })
      : trail.derive('depth', 'Bar depth', front / (1 - share), depthRule, '{front} / (1 − {backWeb})')
  const end = trail.derive(
    'end',
    'Back edge to the end of the kerfs',
    depth - front,
    centreLineRule,
    '{depth} − {front}',
  )
  return { end, depth }
}

/** How far the guide's top lies below the bar's, mm. */
function guideBelow(trail: Trail, all: readonly Saw[], thickness: number): number {
  const shortest = all.reduce((a, b) => (b.length < a.length ? b : a))
  const value = Math.max(GUIDE_AT * shortest.length, 2 * thickness)
  const formula = `max(${GUIDE_AT} × {${shortest.ids.length}}, 2 × {thickness:rail})`
  return trail.derive('drop', 'Guide below the bar', value, guideRule, formula, { note: shortest.tool.name })
}

function backHeight(input: PlanInput, trail: Trail, drop: number): number {
  const given = lengthOf(choices, input, trail, 'backHeight')
  if (drop === 0) return given
  const value = Math.max(given, drop + trail.get('thickness:rail').value)
  return trail.derive('height', 'Back height', value, backRule, 'max({backHeight}, {drop} + {thickness:rail})')
}

/** Kerfs that run into each other or out of the bar are refused, not drawn. */
function clashing(all: readonly Saw[], centres: readonly number[], length: number): Refusal | null {
  for (let i = 0; i < all.length; i++) {
    const a = all[i]!
    const before = i === 0 ? 0 : centres[i - 1]! + all[i - 1]!.kerf / 2
    const after = i === all.length - 1 ? length : Infinity
    if (centres[i]! - a.kerf / 2 - before < THINNEST || after - centres[i]! - a.kerf / 2 < THINNEST)
      return {
        id: 'overlap',
        says: `Kerf ${a.place} (${a.tool.name}) would run into the one beside it or out of the bar’s end.`,
        seats: [a.order.id],
      }
  }
  return null
}
