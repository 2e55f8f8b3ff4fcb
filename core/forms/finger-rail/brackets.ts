import { polygon } from '../../geometry/outline'
import type { Board, Joint } from '../../model/model'
import type { Stock } from '../../shop/shop'
import type { Trail } from '../../working/trail'
import { optionOf } from '../choice-value'
import type { PlanInput, Refusal } from '../form'
import { plainBoard } from '../plain-board'
import { choices } from './choices'
import { bracketAtRule, bracketHeightRule, bracketLengthRule } from './rules'
import type { RailSeat } from './seats'

/** A bracket is this part of the rail’s depth long, and tapers to so much wood, mm. The rules say so. */
const LONG = 0.75
const TAPER = 30

/** How many brackets carry the rail; none where its back does along its whole length. */
export const bracketsWanted = (input: PlanInput): number => Number(optionOf(choices, input, 'support')) || 0

/** What brackets stand under. mm */
export interface Under {
  seats: readonly RailSeat[]
  centres: readonly number[]
  length: number
  depth: number
  /** of the rail */
  thickness: number
  backHeight: number
  stock: Stock
}

/**
 * Brackets under a rail: one at either end, the others each under the web nearest to where it would be spaced evenly.
 * `length`, `depth`, `backHeight` and `thickness:back` must be on the trail.
 */
export function brackets(input: PlanInput, trail: Trail, under: Under): { boards: Board[]; refusal: Refusal | null } {
  const n = bracketsWanted(input)
  const t = under.stock.thickness
  const { web } = input.shop.settings
  trail.given('web', 'Least web', web, { kind: 'shop', key: 'web' })
  const length = trail.derive('bracketLength', 'Bracket, length', LONG * under.depth, bracketLengthRule, `${LONG} × {depth}`) // prettier-ignore
  const height = trail.derive('bracketHeight', 'Bracket, height', under.backHeight + web, bracketHeightRule, '{backHeight} + {web}') // prettier-ignore
  const taper = Math.min(TAPER, length, height / 2)
  const places = Array.from({ length: n }, (_, i) => placeOf(trail, under, i, n))
  if (places.some((p) => p === null))
    return { boards: [], refusal: { id: 'no web', says: 'No web is as wide as a bracket is thick: widen the gap or the margins, or let the back carry the rail.' } } // prettier-ignore
  if (places.some((x, i) => i > 0 && x! - places[i - 1]! < t - 1e-6))
    return { boards: [], refusal: { id: 'brackets', says: `The rail is too short for ${n} brackets: take fewer, or let the back carry it.` } } // prettier-ignore
  const boards = places.map((x, i) =>
    plainBoard(under.stock, {
      id: `bracket-${i + 1}`,
      name: `Bracket ${i + 1}`,
      role: 'bracket',
      length,
      width: height,
      outline: polygon([[0, 0], [taper, 0], [length, height - taper], [length, height], [0, height]]), // prettier-ignore
      placement: { lies: 'end', at: { x: x!, y: t, z: -under.thickness - height } },
      figures: { length: 'bracketLength', width: 'bracketHeight', thickness: 'thickness:back' },
    }),
  )
  return { boards, refusal: null }
}

/** Where the left face of a bracket stands; null where no web is wide enough for it. mm */
function placeOf(trail: Trail, { seats, centres, length, stock }: Under, i: number, n: number): number | null {
  const t = stock.thickness
  const webs = [
    { from: 0, to: centres[0]! - seats[0]!.slot / 2, fromText: '0', toText: `{x:${seats[0]!.order.id}} − {${seats[0]!.ids.slot}} / 2` }, // prettier-ignore
    ...seats.map((s, k) => {
      const next = seats[k + 1]
      const fromText = `{x:${s.order.id}} + {${s.ids.slot}} / 2`
      return next
        ? { from: centres[k]! + s.slot / 2, to: centres[k + 1]! - next.slot / 2, fromText, toText: `{x:${next.order.id}} − {${next.ids.slot}} / 2` } // prettier-ignore
        : { from: centres[k]! + s.slot / 2, to: length, fromText, toText: '{length}' }
    }),
  ].filter((w) => w.to - w.from >= t - 1e-9)
  const ideal = (i / (n - 1)) * (length - t)
  const idealText = i === 0 ? '0' : `${i} / ${n - 1} × ({length} − {thickness:back})`
  const found = webs
    .map((w) => {
      const [low, high] = [w.from, w.to - t]
      const x = Math.min(Math.max(ideal, low), high)
      return { x, text: x === ideal ? idealText : x === low ? w.fromText : `${w.toText} − {thickness:back}` }
    })
    .sort((a, b) => Math.abs(a.x - ideal) - Math.abs(b.x - ideal))[0]
  // the outermost stand at the ends or not at all
  if (!found || ((i === 0 || i === n - 1) && Math.abs(found.x - ideal) > 1e-6)) return null
  return trail.derive(`at:bracket-${i + 1}`, `Bracket ${i + 1} from the datum end`, found.x, bracketAtRule, found.text)
}

/** The rail onto its brackets from above, then the back onto them from behind. */
export const bracketJoints = (boards: readonly Board[]): Joint[] =>
  [
    ...boards.map((b) => ({ parts: ['rail', b.id] as [string, string], fixing: 'Glue, and screws from above through the rail into the bracket' })), // prettier-ignore
    ...boards.map((b) => ({ parts: ['back', b.id] as [string, string], fixing: 'Glue, and screws from behind through the back into the bracket' })), // prettier-ignore
  ].map((joint, i) => ({ order: i + 1, ...joint, glued: true, by: 'screws' as const }))
