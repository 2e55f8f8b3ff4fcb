import type { Trail } from '../../working/trail'
import { optionOf } from '../choice-value'
import type { PlanInput } from '../form'
import { spreadSpots } from '../spread'
import { choices } from './choices'
import type { Held } from './held'
import { longestRule, rowPitchRule } from './rules'

/** The tools of one ledge, from the datum end, and where each stands along it; mm. */
export interface LedgeRow {
  held: Held[]
  centres: number[]
  /** ids of the ledge’s board, and how far below the uppermost it is, mm */
  id: string
  name: string
  down: number
}

/** The tools in their order over so many ledges, the first at the top. `gap` and `margin` must be on the trail. */
export function ledgeRows(
  input: PlanInput,
  trail: Trail,
  all: readonly Held[],
): { rows: Omit<LedgeRow, 'down'>[]; length: number } {
  // prettier-ignore
  const wanted = Math.min(Number(optionOf(choices, input, 'rows')), all.length)
  const each = Math.ceil(all.length / wanted)
  const even = optionOf(choices, input, 'pitch') === 'even'
  const groups = Array.from({ length: Math.ceil(all.length / each) }, (_, i) => all.slice(i * each, (i + 1) * each))
  if (groups.length === 1) {
    const { centres, length } = spreadSpots(trail, all, even)
    return { rows: [{ held: [...all], centres, id: 'ledge', name: 'Ledge' }], length }
  }
  const spread = groups.map((held, i) => spreadSpots(trail, held, even, null, `:${i + 1}`))
  const longest = spread.reduce((best, s, i) => (s.length > spread[best]!.length ? i : best), 0)
  const length = trail.derive('length', 'Length', spread[longest]!.length, longestRule, `{length:${longest + 1}}`, { note: `of ledge ${longest + 1}` }) // prettier-ignore
  return { rows: groups.map((held, i) => ({ held, centres: spread[i]!.centres, id: `ledge-${i + 1}`, name: `Ledge ${i + 1}` })), length } // prettier-ignore
}

/**
 * How far each ledge is below the one above it: so that what hangs down from the one and stands up from the other keep the
 * gap. `height`, `line` and `gap` must be on the trail.
 */
export function ledgesDown(trail: Trail, rows: readonly Omit<LedgeRow, 'down'>[]): LedgeRow[] {
  if (rows.length === 1) return [{ ...rows[0]!, down: 0 }]
  const [height, line, gap] = ['height', 'line', 'gap'].map((id) => trail.get(id).value) as [number, number, number]
  const lowest = (row: (typeof rows)[number]): Held => row.held.reduce((a, b) => (b.down > a.down ? b : a))
  const highest = (row: (typeof rows)[number]): Held => row.held.reduce((a, b) => (b.up > a.up ? b : a))
  const steps = rows.slice(1).map((row, i) => ({ above: lowest(rows[i]!), below: highest(row) }))
  const stepOf = ({ above, below }: (typeof steps)[number]): number => Math.max(height, Math.max(line, above.down) + Math.max(height - line, below.up) + gap) // prettier-ignore
  const widest = steps.reduce((a, b) => (stepOf(b) > stepOf(a) ? b : a))
  const step = trail.derive('rowPitch', 'From ledge to ledge', stepOf(widest), rowPitchRule, `max({line}, {${widest.above.ids.down}}) + max({height} − {line}, {${widest.below.ids.up}}) + {gap}`) // prettier-ignore
  return rows.map((row, i) => ({ ...row, down: i * step }))
}
