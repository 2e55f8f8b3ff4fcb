import type { Board, BoughtPart } from '../../model/model'
import { plainBoard } from '../plain-board'
import type { Trail } from '../../working/trail'
import type { PlanInput, Refusal } from '../form'
import type { Row } from '../../shop/lists'
import type { Stock } from '../../shop/shop'
import { STRONG_MAGNETS } from './caution'
import type { LedgeRow } from './rows'
import { faceRule, stripHeightRule, stripLengthRule, stripMassRule, stripsRule } from './rules'

/** A magnetic strip that is bought, screwed to the ledge's front; mm. */
export interface Strip {
  kind: 'strip'
  row: Row<'magnetStrips'>
}

/** The shop's strip, its figures on the trail. */
export function stripOn({ shop }: PlanInput, trail: Trail): Strip | Refusal {
  const row = shop.magnetStrips.find((m) => !m.toBuy) ?? shop.magnetStrips[0]
  if (!row) return { id: 'magnets', says: 'The shop has no magnetic strip. Add the one you have, or mean to buy, under the shop’s settings.' } // prettier-ignore
  const given = (id: string, label: string, key: 'length' | 'width' | 'thickness' | 'pull'): number => trail.given(id, label, row[key], { kind: 'magnet', id: row.id, key }, { note: row.name, ...(key === 'pull' ? { quantity: 'force' } : {}) }) // prettier-ignore
  given('barLength', 'Strip, length', 'length')
  given('barWidth', 'Strip, width', 'width')
  given('barThickness', 'Strip, thickness', 'thickness')
  given('barPull', 'Strip, pull of 100 mm', 'pull')
  trail.derive('face', 'Back of the ledge to the strip’s face', trail.get('thickness:ledge').value + row.thickness, faceRule, '{thickness:ledge} + {barThickness}') // prettier-ignore
  return { kind: 'strip', row }
}

/** The ledge's height on the trail. `web` must be on it. */
export const ledgeBehindStrip = (trail: Trail, { row }: Strip): number =>
  trail.derive('height', 'Ledge height', row.width + 2 * trail.get('web').value, stripHeightRule, '{barWidth} + 2 × {web}', { print: 'up' }) // prettier-ignore

/**
 * How long the ledge is, so that whole strips lie on it under all tools; the length that tools take is on the trail as
 * `length`, and stays where the strips are no longer.
 * @returns strips on a ledge, and its length, mm, under the figure `id`
 */
export function stripsAlong(
  trail: Trail,
  { row }: Strip,
  length: number,
): { each: number; length: number; id: string } {
  const inner = length - 2 * trail.get('margin').value
  const each = Math.max(1, Math.ceil(inner / row.length - 1e-9))
  trail.derive('barsEach', 'Strips on a ledge', each, stripsRule, `${each} ≥ ({length} − 2 × {margin}) / {barLength}`, { quantity: 'count' }) // prettier-ignore
  if (each * row.length <= length) return { each, length, id: 'length' }
  const id = 'ledgeLength'
  return { each, id, length: trail.derive(id, 'Ledge length', each * row.length, stripLengthRule, 'max({length}, {barsEach} × {barLength})', { print: 'up' }) } // prettier-ignore
}

/**
 * The strips where they stand: end to end about the middle of each ledge, on its front face.
 * @param out from the wall to the ledge's front face, mm
 */
export function boughtStrips(
  trail: Trail,
  { row }: Strip,
  rows: readonly LedgeRow[],
  { each, length, out, stock }: { each: number; length: number; out: number; stock: Stock },
): BoughtPart {
  const from = (length - each * row.length) / 2
  const bodies = rows.flatMap(({ id, down }) =>
    Array.from({ length: each }, (_, n): Board =>
      plainBoard(
        { ...stock, id: row.id, material: 'steel', thickness: row.thickness },
        {
          id: `strip-${id}-${n + 1}`,
          name: row.name,
          role: 'bar',
          length: row.length,
          width: row.width,
          placement: { lies: 'upright', at: { x: from + n * row.length, y: out, z: -row.width / 2 - down } },
          figures: { length: 'barLength', width: 'barWidth', thickness: 'barThickness' },
        },
      ),
    ),
  )
  const part = { id: 'strips', name: row.name, toBuy: row.toBuy, count: bodies.length, seats: rows.flatMap((r) => r.held.map((h) => h.order.id)), bodies, caution: STRONG_MAGNETS } // prettier-ignore
  if (row.mass === null) return part
  trail.given('barMass', 'Strip, weight', row.mass, { kind: 'magnet', id: row.id, key: 'mass' }, { quantity: 'mass', note: row.name }) // prettier-ignore
  const value = trail.derive('barsMass', 'Weight of the strips', bodies.length * row.mass, stripMassRule, `${rows.length} × {barsEach} × {barMass}`, { quantity: 'mass' }) // prettier-ignore
  return { ...part, mass: { value, figure: 'barsMass' } }
}
