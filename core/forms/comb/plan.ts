import { slopedSlotOutline } from '../../geometry/outline'
import { kindOf } from '../../footprint/kinds'
import { MODEL_VERSION, type Board, type Joint, type Opening, type Seat } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import { cosine, sine } from '../tilting'
import { slopedSlot, type SlopedSlot } from '../sloped-slot'
import type { Plan, PlanInput, Refusal } from '../form'
import { plainBoard } from '../plain-board'
import { spreadSpots } from '../spread'
import { NO_STOCK, stocksFor } from '../stocks'
import { choices } from './choices'
import { lyingTools, type Lying } from './lying'
import { apartRule, depthRule, dropRule, lineRule, postRule, restRule, runRule, spanRule } from './rules'

/** So much of the shortest tool lies between the posts; the rule says so. */
const SPANNED = 0.5

/** Wood thinner than this, mm, is none. */
const THINNEST = 1e-6

/** The slots across a post, from its back edge; mm and degrees. */
interface Across {
  line: number
  depth: number
  slope: number
  cut: SlopedSlot
}

/** Plans a comb: posts on a back, slots in their front edges, tools lying across them with their heads beside the first. */
export function planComb(input: PlanInput): Plan {
  const trail = new Trail()
  const refuse = (...refusals: Refusal[]): Plan => ({ model: null, trail, refusals })
  const stocks = stocksFor(choices, input, trail, ['post', 'back'])
  if (!stocks) return refuse(NO_STOCK)
  const { lying: all, refusals } = lyingTools(input, trail)
  if (all.length === 0) {
    if (refusals.length > 0) return refuse(...refusals)
    return refuse({ id: 'empty', says: 'No tools in this holder yet. Add the first one from those that could join.' })
  }
  lengthOf(choices, input, trail, 'gap')
  lengthOf(choices, input, trail, 'margin')
  const { centres, length } = spreadSpots(trail, all, optionOf(choices, input, 'pitch') === 'even')
  const across = acrossPost(input, trail, all)
  const tall = trail.derive('postLength', 'Post, height', length + across.cut.drop, postRule, '{length} + {drop}', { print: 'up' }) // prettier-ignore
  const span = spanOf(input, trail, all)
  const [tp, tb] = [stocks.post.thickness, stocks.back.thickness]
  const posts = Number(optionOf(choices, input, 'posts'))
  if (Math.max(tall, span) > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The posts would be ${formatLength(tall, input.shop)} high. Split the tools over several holders.` }) // prettier-ignore
  if (span < posts * tp + 10)
    return refuse(...refusals, { id: 'too short', says: `A span of ${formatLength(span, input.shop)} has no room for ${posts} posts: the tools are too short to lie across them.` }) // prettier-ignore
  const clash = clashing(all, centres, length, across.cut)
  if (clash) return refuse(...refusals, clash)

  const post = (n: number): Board =>
    plainBoard(stocks.post, {
      id: `post-${n + 1}`,
      name: `Post ${n + 1}`,
      role: 'end',
      length: tall,
      width: across.depth,
      openings: all.map((l, i) => slot(l, n, { x: centres[i]!, y: across.line }, across)),
      placement: { lies: 'post', at: { x: (n / (posts - 1)) * (span - tp), y: tb, z: 0 } },
      figures: { length: 'postLength', width: 'depth', thickness: 'thickness:post' },
    })
  const back = plainBoard(stocks.back, {
    id: 'back',
    name: 'Back',
    role: 'back',
    length: span,
    width: tall,
    placement: { lies: 'upright', at: { x: 0, y: 0, z: 0 } },
    figures: { length: 'span', width: 'postLength', thickness: 'thickness:back' },
  })
  const boards = Array.from({ length: posts }, (_, n) => post(n))
  const clearance = settingOf(input, trail, 'headClearance')
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'comb',
      name: input.holder.name,
      boards: [...boards, back],
      rods: [],
      reach: { value: tb + across.depth, formula: '{thickness:back} + {depth}' },
      joints: boards.map((b, i): Joint => ({ order: i + 1, parts: ['back', b.id], glued: true, by: 'screws', fixing: 'Glue, and screws from behind through the back into the post’s back edge' })), // prettier-ignore
      fasteners: [],
      seats: all.map((l, i) => seat(l, { x: -clearance, y: tb + across.line, z: centres[i]! }, across.slope)),
    },
  }
}

/** Where slots end, how deep the posts are, and how the slots slope. */
function acrossPost(input: PlanInput, trail: Trail, all: readonly Lying[]): Across {
  const clearance = settingOf(input, trail, 'headClearance')
  const [web, keep] = [settingOf(input, trail, 'web'), settingOf(input, trail, 'frontKeep')]
  const [deepest, widest] = [all.reduce((a, b) => (b.back > a.back ? b : a)), all.reduce((a, b) => (b.slot > a.slot ? b : a))] // prettier-ignore
  const line = trail.derive('line', 'Back edge to the ends of the slots', Math.max(deepest.back + clearance, 2 * web + widest.slot / 2), lineRule, `max({${deepest.ids.back}} + {headClearance}, 2 × {web} + {${widest.ids.slot}} / 2)`) // prettier-ignore
  const outward = (l: Lying): number => Math.max(l.slot / 2, l.rest + l.neckOut / 2)
  const out = all.reduce((a, b) => (outward(b) > outward(a) ? b : a))
  if (out.rest > 0) trail.derive('rest', 'It rests forward by', out.rest, restRule, `{${out.ids.neckAlong}} / 2`, { note: out.tool.name }) // prettier-ignore
  const forward = out.rest > 0 ? '{rest} + ' : ''
  const depth = trail.derive('depth', 'Depth of the posts', line + outward(out) + keep, depthRule, `{line} + max({${out.ids.slot}} / 2, ${forward}{${out.ids.neckAlong}} / 2) + {frontKeep}`, { print: 'up' }) // prettier-ignore
  const slope = Number(optionOf(choices, input, 'slope'))
  if (slope > 0)
    trail.given('slope', 'Slope of the slots', slope, { kind: 'choice', key: 'slope' }, { quantity: 'angle' })
  const cut = slopedSlot(depth, widest.slot, slope, line - widest.slot / 2)
  trail.derive('run', 'Run of a slot', cut.run, runRule, '{depth} − {line}')
  trail.derive('drop', 'A slot drops by', cut.drop, dropRule, slope > 0 ? '{run} × tan({slope})' : '0 × {run}')
  trail.derive('sawApart', 'Saw lines apart on the edge', cut.sawLinesApart, apartRule, `{${widest.ids.slot}}${slope > 0 ? ' / cos({slope})' : ''}`, { print: 'nearest', note: widest.tool.name }) // prettier-ignore
  return { line, depth, slope, cut }
}

/** From the outside of the first post to the outside of the last. */
function spanOf(input: PlanInput, trail: Trail, all: readonly Lying[]): number {
  const own = input.holder.choices.span
  if (typeof own === 'number') return trail.given('span', 'Span', own, { kind: 'choice', key: 'span' })
  const shortest = all.reduce((a, b) => (b.overall < a.overall ? b : a))
  return trail.derive('span', 'Span', SPANNED * shortest.overall, spanRule, `${SPANNED} × {${shortest.ids.overall}}`, { note: shortest.tool.name }) // prettier-ignore
}

const slot = (l: Lying, post: number, centre: { x: number; y: number }, { depth, slope }: Across): Opening => ({
  id: `slot-${post + 1}-${l.order.id}`,
  kind: 'slot',
  seat: l.order.id,
  centre,
  width: l.slot,
  radius: l.slot / 2,
  outline: slopedSlotOutline(centre, l.slot, depth, slope),
  opensTo: 'front',
  depth: null,
  slant: 0,
  ...(slope > 0 ? { slope } : {}),
  cut: 'bored',
  dust: null,
  bores: l.bit ? [{ centre, diameter: l.slot, bit: l.bit.diameter }] : [],
  figures: { x: `x:${l.order.id}`, y: 'line', width: l.ids.slot, end: l.ids.slot },
})

/** @param end of its slot: the middle of the bore */
function seat(l: Lying, end: { x: number; y: number; z: number }, slope: number): Seat {
  const { minY, maxY } = kindOf(l.tool.kind)!.envelope(l.tool).face
  const [c, s] = [cosine(slope), sine(slope)]
  // up along the slot to where it rests, and down on the slot's lower side
  const low = (l.slot - l.neckUp) / 2
  const at = { x: end.x, y: end.y + c * l.rest + s * low, z: end.z + s * l.rest - c * low }
  return {
    id: l.order.id,
    tool: l.tool.id,
    name: l.tool.name,
    place: l.place,
    turn: l.order.turn,
    along: true,
    ...(l.turned ? { tilt: slope } : {}),
    board: 'post-1',
    opening: `slot-1-${l.order.id}`,
    at,
    extent: { left: maxY, right: -minY, front: l.front, back: l.back },
    rests: 'slot',
    sharp: false,
    mass: l.tool.mass,
    reach: `{thickness:back} + {line} + {${l.ids.front}} + ${at.y - end.y}`,
    figures: l.ids,
  }
}

/** Slots that run into each other or out of the lower end are refused, not drawn. */
function clashing(
  all: readonly Lying[],
  centres: readonly number[],
  length: number,
  { sawLinesApart }: SlopedSlot,
): Refusal | null {
  for (const [i, l] of all.entries()) {
    const low = i === 0 ? centres[0]! - sawLinesApart / 2 : centres[i]! - centres[i - 1]! - sawLinesApart
    const high = i === all.length - 1 ? length - centres[i]! - sawLinesApart / 2 : 1
    if (Math.min(low, high) > THINNEST) continue
    return { id: 'overlap', says: `The slots of ${l.place} (${l.tool.name}) would run into the next ones or out of the post’s end. Widen the gap or the margin.`, seats: [l.order.id] } // prettier-ignore
  }
  return null
}
