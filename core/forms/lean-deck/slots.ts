import { rectangle } from '../../geometry/outline'
import type { Opening } from '../../model/model'
import { formatLength } from '../../units/format-length'
import type { Trail } from '../../working/trail'
import type { PlanInput, Refusal } from '../form'
import { slotAtRule, slotEndRule } from './rules'
import type { Stood } from './stood'

/** Wood thinner than this, mm, is none. */
const THINNEST = 1e-6

/**
 * The slot for what stands out below a tool's base, open at the deck's upper edge; null for none.
 * @param centre of the tool, from the datum end; mm, on the trail as `x:SEAT`
 * @param cheek how thick one is, on the trail as `thickness:cheek`
 */
export function slotIn(
  trail: Trail,
  { slot, order, ids, place }: Stood,
  centre: number,
  depth: number,
  cheek: number,
): Opening | null {
  // prettier-ignore
  if (!slot) return null
  const seat = order.id
  const x = trail.derive(`slotAt:${seat}`, `Slot ${place} from the deck’s end`, centre + slot.off - cheek, slotAtRule, `{x:${seat}} − {${ids.half}} + {${slot.ids.middle}} − {thickness:cheek}`) // prettier-ignore
  const end = trail.derive(`slotEnd:${seat}`, `Slot ${place}, from the upper edge`, depth - slot.near + slot.room.value, slotEndRule, `{depth} − {${slot.ids.near}} + ${slot.room.text}`) // prettier-ignore
  return {
    id: `slot-${seat}`,
    kind: 'slot',
    seat,
    centre: { x, y: end },
    width: slot.wide,
    radius: 0,
    outline: rectangle(x - slot.wide / 2, 0, x + slot.wide / 2, end),
    opensTo: 'back',
    depth: null,
    slant: 0,
    dust: null,
    cut: 'sawn',
    bores: [],
    figures: { x: `slotAt:${seat}`, y: `slotEnd:${seat}`, width: slot.ids.wide, end: slot.ids.wide },
  }
}

/** A tool whose slot would cut the deck's lower edge through can't stand so; null where wood is left before the stop. */
export function reachesStop({ shop }: PlanInput, { slot, tool, order }: Stood): Refusal | null {
  if (!slot || slot.near - slot.room.value >= shop.settings.edge - THINNEST) return null
  const near = formatLength(Math.max(0, slot.near), shop)
  return {
    id: `stop:${order.id}`,
    says: `${tool.name} is left out: below it blade or guard reaches to ${near} from the edge that would rest on the stop, and no wood is left there. Turn it, or hang it otherwise.`,
    tool: tool.id,
    seats: [order.id],
  }
}

/**
 * Slots that would run into each other or out of the deck's ends are refused, not drawn.
 * @param ends where the deck begins and ends, from the datum end, mm
 */
export function slotClash(
  all: readonly Stood[],
  centres: readonly number[],
  ends: readonly [from: number, to: number],
): Refusal | null {
  let right = ends[0]
  for (const [i, { slot, tool, order }] of all.entries()) {
    if (!slot) continue
    const from = centres[i]! + slot.off - slot.wide / 2
    const to = from + slot.wide
    if (from < right + THINNEST || to > ends[1] - THINNEST)
      return {
        id: 'overlap',
        says: `The slot of ${tool.name} would run into the one beside it or out of the deck’s end: widen the gap or the margin.`,
        seats: [order.id],
      }
    right = to
  }
  return null
}
