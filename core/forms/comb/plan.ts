import { carriedMass } from '../../footprint/tool'
import { flipped, moved, slopedSlotOutline, type Outline, type Point } from '../../geometry/outline'
import { kindOf } from '../../footprint/kinds'
import { MODEL_VERSION, type Board, type Opening, type Seat } from '../../model/model'
import { formatLength } from '../../units/format-length'
import { LARGEST_SIZE } from '../../units/length'
import { Trail } from '../../working/trail'
import { lengthOf, optionOf, settingOf } from '../choice-value'
import { cosine, sine } from '../tilting'
import type { Plan, PlanInput, Refusal } from '../form'
import { plainBoard } from '../plain-board'
import { spreadSpots } from '../spread'
import { NO_STOCK, stocksFor } from '../stocks'
import { acrossPost, type Across, type EdgeSlots } from './across'
import { choices } from './choices'
import { framed, onBack } from './boards'
import { lyingTools, type Lying } from './lying'
import { postRule, spanRule, tallerRule } from './rules'

/** So much of the shortest tool lies between the posts; the rule says so. */
const SPANNED = 0.5

/** Wood thinner than this, mm, is none. */
const THINNEST = 1e-6

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
  const across = acrossPost(input, trail, all)
  const { centres, tall } = upPosts(input, trail, all, across)
  const span = spanOf(input, trail, all)
  const [tp, tb] = [stocks.post.thickness, stocks.back.thickness]
  const posts = Number(optionOf(choices, input, 'posts'))
  if (Math.max(tall, span) > LARGEST_SIZE)
    return refuse(...refusals, { id: 'too long', says: `The posts would be ${formatLength(tall, input.shop)} high. Split the tools over several holders.` }) // prettier-ignore
  if (span < posts * tp + 10)
    return refuse(...refusals, { id: 'too short', says: `A span of ${formatLength(span, input.shop)} has no room for ${posts} posts: the tools are too short to lie across them.` }) // prettier-ignore
  const clash = [false, true].map((rear) => clashing(all.filter((l) => l.rear === rear), centres, tall, across)).find((c) => c !== null) // prettier-ignore
  if (clash) return refuse(...refusals, clash)

  const post = (n: number): Board =>
    plainBoard(stocks.post, {
      id: `post-${n + 1}`,
      name: `Post ${n + 1}`,
      role: 'end',
      length: tall,
      width: across.depth,
      openings: all.map((l) => slot(l, n, { x: centres.get(l.seat)!, y: edgeOf(l, across).line }, across)),
      placement: { lies: 'post', at: { x: (n / (posts - 1)) * (span - tp), y: tb + across.behind, z: 0 } },
      figures: { length: 'postLength', width: 'depth', thickness: 'thickness:post' },
    })
  const uprights = Array.from({ length: posts }, (_, n) => post(n))
  const { boards, joints } = across.back ? framed(trail, stocks.back, uprights, { span, tall, across }) : onBack(stocks.back, uprights, span, tall) // prettier-ignore
  const clearance = settingOf(input, trail, 'headClearance')
  return {
    trail,
    refusals,
    model: {
      version: MODEL_VERSION,
      form: 'comb',
      name: input.holder.name,
      boards,
      rods: [],
      reach: {
        value: tb + across.behind + across.depth,
        formula: `{thickness:back} + ${across.back ? '{behind} + ' : ''}{depth}`,
      },
      joints,
      fasteners: [],
      seats: all.map((l) =>
        seat(l, { x: -clearance, y: tb + across.behind + edgeOf(l, across).line, z: centres.get(l.seat)! }, across),
      ),
    },
  }
}

/** From the outside of the first post to the outside of the last. */
function spanOf(input: PlanInput, trail: Trail, all: readonly Lying[]): number {
  const own = input.holder.choices.span
  if (typeof own === 'number') return trail.given('span', 'Span', own, { kind: 'choice', key: 'span' })
  const shortest = all.reduce((a, b) => (b.overall < a.overall ? b : a))
  return trail.derive('span', 'Span', SPANNED * shortest.overall, spanRule, `${SPANNED} × {${shortest.ids.overall}}`, { note: shortest.tool.name }) // prettier-ignore
}

/** A slot from the front edge, or the same from the back edge: seen in a mirror. */
const slotOutline = (l: Lying, centre: Point, { depth, slope }: Across): Outline =>
  l.rear
    ? moved(flipped(slopedSlotOutline({ x: centre.x, y: depth - centre.y }, l.slot, depth, slope)), 0, depth)
    : slopedSlotOutline(centre, l.slot, depth, slope)

const slot = (l: Lying, post: number, centre: Point, across: Across): Opening => ({
  id: `slot-${post + 1}-${l.order.id}`,
  kind: 'slot',
  seat: l.order.id,
  centre,
  width: l.slot,
  radius: l.slot / 2,
  outline: slotOutline(l, centre, across),
  opensTo: l.rear ? 'back' : 'front',
  depth: null,
  slant: 0,
  ...(across.slope > 0 ? { slope: across.slope } : {}),
  cut: 'bored',
  dust: null,
  bores: l.bit ? [{ centre, diameter: l.slot, bit: l.bit.diameter }] : [],
  figures: { x: `x:${l.order.id}`, y: edgeOf(l, across).id, width: l.ids.slot, end: l.ids.slot },
})

/** @param end of its slot: the middle of the bore */
function seat(l: Lying, end: { x: number; y: number; z: number }, across: Across): Seat {
  const { slope } = across
  const way = l.rear ? -1 : 1
  const { minY, maxY } = kindOf(l.tool.kind)!.envelope(l.tool).face
  const [c, s] = [cosine(slope), sine(slope)]
  // up along the slot to where it rests, and down on the slot's lower side
  const low = (l.slot - l.neckUp) / 2
  const at = { x: end.x, y: end.y + way * (c * l.rest + s * low), z: end.z + s * l.rest - c * low }
  return {
    id: l.order.id,
    tool: l.tool.id,
    name: l.tool.name,
    place: l.place,
    turn: l.order.turn,
    along: true,
    ...(l.turned ? { tilt: way * slope } : {}),
    board: 'post-1',
    opening: `slot-1-${l.order.id}`,
    at,
    extent: { left: maxY, right: -minY, front: l.front, back: l.back },
    rests: 'slot',
    sharp: false,
    mass: carriedMass(l.tool),
    reach: `{thickness:back} + ${across.back ? '{behind} + ' : ''}{${edgeOf(l, across).id}} + {${l.ids.front}}${restText(l, slope)}`,
    figures: l.ids,
  }
}

/** How far out of its slot’s end a bar lies, as a part of a formula: up along the slot, and down on its lower side. */
function restText(l: Lying, slope: number): string {
  const out = l.rest > 0 ? `{${l.ids.neckAlong}} / 2` : ''
  if (slope === 0) return out && ` ${l.rear ? '−' : '+'} ${out}`
  const low = `sin({slope}) × ({${l.ids.slot}} − {${l.ids.neckAcross}}) / 2`
  return ` ${l.rear ? '−' : '+'} (${out ? `cos({slope}) × ${out} + ` : ''}${low})`
}

/** Slots of one edge that run into each other or out of an end of the post are refused, not drawn. */
function clashing(
  side: readonly Lying[],
  centres: ReadonlyMap<string, number>,
  tall: number,
  across: Across,
): Refusal | null {
  for (const [i, l] of side.entries()) {
    const { sawApart, drop } = edgeOf(l, across)
    const at = centres.get(l.seat)!
    const low = i === 0 ? at - sawApart / 2 : at - centres.get(side[i - 1]!.seat)! - sawApart
    const high = i === side.length - 1 ? tall - drop - at - sawApart / 2 : 1
    if (Math.min(low, high) > THINNEST) continue
    return { id: 'overlap', says: `The slots of ${l.place} (${l.tool.name}) would run into the next ones or out of the post’s end. Widen the gap or the margin.`, seats: [l.order.id] } // prettier-ignore
  }
  return null
}

const edgeOf = (l: Lying, { front, back }: Across): EdgeSlots => (l.rear && back ? back : front)

/** Where the slots stand up the posts, and how high a post is: of two edges as high as the higher row takes. */
function upPosts(
  input: PlanInput,
  trail: Trail,
  all: readonly Lying[],
  { front, back }: Across,
): { centres: Map<string, number>; tall: number } {
  const even = optionOf(choices, input, 'pitch') === 'even'
  const placed = (side: readonly Lying[], suffix: string): { length: number; at: [string, number][] } => {
    const { centres, length } = spreadSpots(trail, side, even, null, suffix)
    return { length, at: side.map((l, i) => [l.seat, centres[i]!]) }
  }
  if (!back) {
    const { length, at } = placed(all, '')
    const tall = trail.derive('postLength', 'Post, height', length + front.drop, postRule, '{length} + {drop}', { print: 'up' }) // prettier-ignore
    return { centres: new Map(at), tall }
  }
  const [ahead, astern] = [placed(all.filter((l) => !l.rear), ':front'), placed(all.filter((l) => l.rear), ':back')] // prettier-ignore
  const tall = trail.derive('postLength', 'Post, height', Math.max(ahead.length + front.drop, astern.length + back.drop), tallerRule, 'max({length:front} + {drop}, {length:back} + {dropBack})', { print: 'up' }) // prettier-ignore
  return { centres: new Map([...ahead.at, ...astern.at]), tall }
}
