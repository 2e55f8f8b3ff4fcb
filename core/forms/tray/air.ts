import { boredBy, chooseBit } from '../../fit/bore'
import { circle, slotOutline } from '../../geometry/outline'
import type { Opening } from '../../model/model'
import type { Rule } from '../../working/figure'
import type { Trail } from '../../working/trail'
import { holeOf } from '../bit-hole'
import { settingOf } from '../choice-value'
import type { PlanInput } from '../form'
import type { OnShelf } from '../on-shelf'
import { cordOutRule, cordRule, cordUpRule, holeAtRule, holeRule, holeUpRule } from './rules'

/** Wood thinner than this, mm, is none. */
const THINNEST = 1e-6

/** How wide openings of one sort are: by a bit, or sawn; mm, with the figure’s id. */
interface Wide {
  id: string
  mm: number
  bit: number | null
}

/** A width that a setting asks for, by the bit that makes it. */
function wideBy(
  input: PlanInput,
  trail: Trail,
  key: 'cordSlot' | 'ventHole',
  id: string,
  label: string,
  rule: Rule,
): Wide {
  const needed = settingOf(input, trail, key)
  const bit = chooseBit({ needed, bits: input.shop.bits })
  if (!bit) return { id: key, mm: needed, bit: null }
  const mm = trail.derive(id, label, boredBy(bit), rule, `{${holeOf(input, trail, bit)}} ≥ {${key}}`, { print: 'up' })
  return { id, mm, bit: bit.diameter }
}

/** Where a cord leaves the tray. */
export type CordAt = 'left' | 'right' | 'front'

/** Where each thing's cord leaves: by the end that it is next to, else by the front; null for what has none. */
export function cordAt({ tool }: OnShelf, place: number, places: number): CordAt | null {
  const cord = tool.options.cord ?? 'none'
  if (cord === 'none') return null
  const [isFirst, isLast] = [place === 1, place === places]
  if (isFirst && (cord === 'left' || cord === 'back')) return 'left'
  if (isLast && (cord === 'right' || cord === 'back')) return 'right'
  return 'front'
}

/** A board of the tray that cords or air go through: where its floor lies, and how high it is; mm, with the ids of those figures. */
interface Wall {
  /** from the board's lower edge up to the floor's upper face, with the text of that; nought for what stands on the floor */
  floor: { value: number; text: string }
  /** of its blank, and of the wood where the opening is, which may slope */
  high: number
  wood: number
}

/** Whether two openings of a board run into each other. */
export const overlap = (openings: readonly Opening[]): boolean =>
  openings.some((a, i) => openings.slice(i + 1).some((b) => Math.abs(a.centre.x - b.centre.x) < (a.width + b.width) / 2 + THINNEST)) // prettier-ignore

/** Slots for cords and holes for air, whose figures are worked out once for all boards of a tray. */
export class Air {
  private readonly cord: Wide
  private readonly hole: Wide
  private readonly edge: number
  private readonly web: number

  constructor(
    private readonly input: PlanInput,
    private readonly trail: Trail,
  ) {
    this.cord = wideBy(input, trail, 'cordSlot', 'cordWide', 'Slots for cords', cordRule)
    this.hole = wideBy(input, trail, 'ventHole', 'holeWide', 'Holes for air', holeRule)
    this.edge = settingOf(input, trail, 'edge')
    this.web = settingOf(input, trail, 'web')
  }

  /** A slot down to the floor for a cord, open above; none where the board is too low for it. @param x along the board, mm */
  slot(l: OnShelf, id: string, x: { value: number; figure: string }, { floor, high, wood }: Wall): Opening[] {
    const { cord, trail, edge } = this
    const up = floor.value + edge + cord.mm / 2
    if (up + cord.mm / 2 > wood) return []
    const figure = `cordUp:${id}`
    trail.derive(figure, `Cord’s slot of ${l.place}, up to the middle of its end`, up, cordUpRule, `${floor.text}{edge} + {${cord.id}} / 2`) // prettier-ignore
    const centre = { x: x.value, y: up }
    return [
      {
        id,
        kind: 'slot',
        seat: null,
        lets: 'a cord',
        centre,
        width: cord.mm,
        radius: cord.mm / 2,
        outline: slotOutline(centre, cord.mm, high),
        opensTo: 'front',
        depth: null,
        slant: 0,
        dust: null,
        cut: cord.bit === null ? 'sawn' : 'bored',
        bores: cord.bit === null ? [] : [{ centre, diameter: cord.mm, bit: cord.bit }],
        figures: { x: x.figure, y: figure, width: cord.id, end: cord.id },
      },
    ]
  }

  /** How far out along an end a thing's cord leaves. */
  out(l: OnShelf): { value: number; figure: string } {
    const value = settingOf(this.input, this.trail, 'headClearance') + l.out / 2
    const figure = `cordOut:${l.seat}`
    this.trail.derive(figure, `Cord’s slot of ${l.place} from the back`, value, cordOutRule, `{headClearance} + {${l.ids.out}} / 2`) // prettier-ignore
    return { value, figure }
  }

  /** Holes in the front before what has vents, clear of its cord's slot; none where the front is too low, or no bit bores them. */
  holes(l: OnShelf, x: number, { floor, high }: Wall, hasSlot: boolean): Opening[] {
    const { hole, trail, edge, web } = this
    const up = floor.value + edge + hole.mm / 2
    if (!l.tool.measures.ventClear || hole.bit === null || up + hole.mm / 2 + edge > high) return []
    const count = Math.max(1, Math.floor((l.left + l.right) / (2 * hole.mm)))
    const clear = hasSlot ? (this.cord.mm + hole.mm) / 2 + web : 0
    const steps = Array.from({ length: count }, (_, n) => n - (count - 1) / 2)
    const wide = steps.filter((n) => Math.abs(2 * n * hole.mm) >= clear)
    if (wide.length === 0) return []
    trail.derive('holeUp', 'Holes for air, lower edge to their middle', up, holeUpRule, `${floor.text}{edge} + {${hole.id}} / 2`) // prettier-ignore
    return wide.map((n, i): Opening => {
      const id = `air-${i + 1}-${l.seat}`
      const at = trail.derive(`x:${id}`, `Hole ${i + 1} for air to ${l.place}`, x + 2 * n * hole.mm, holeAtRule, `{x:${l.seat}} ${n < 0 ? '−' : '+'} ${2 * Math.abs(n)} × {${hole.id}}`) // prettier-ignore
      const centre = { x: at, y: up }
      return {
        id,
        kind: 'bore',
        seat: null,
        lets: 'air',
        centre,
        width: hole.mm,
        radius: hole.mm / 2,
        outline: circle(at, up, hole.mm / 2),
        opensTo: null,
        depth: null,
        slant: 0,
        dust: null,
        cut: 'bored',
        bores: [{ centre, diameter: hole.mm, bit: hole.bit! }],
        figures: { x: `x:${id}`, y: 'holeUp', width: hole.id, end: hole.id },
      }
    })
  }
}
