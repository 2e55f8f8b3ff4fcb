import type { Level } from '../checks/verdict'
import { worstOf } from '../checks/verdict'
import { woodWeight } from '../solid/mass'
import type { Design } from './design'

/** One line of a comparison: what is compared, of both; null where it can't be told. */
export interface Compared {
  key: 'tools' | 'length' | 'height' | 'projection' | 'wood' | 'weight' | 'screws' | 'verdict' | 'held'
  label: string
  values: [number | null, number | null]
  quantity: 'count' | 'length' | 'area' | 'mass' | 'ratio' | 'level'
  /** which of them is better; null where they are alike or neither is better by itself */
  better: 0 | 1 | null
}

/** What is chosen otherwise, by the question's label. */
export interface Difference {
  label: string
  values: [string, string]
}

const GRAVE: Record<Level, number> = { pass: 0, watch: 1, stop: 2 }

const better = (less: boolean, [a, b]: Compared['values']): 0 | 1 | null => {
  if (a === null || b === null || Math.abs(a - b) < 1e-6) return null
  return a < b === less ? 0 : 1
}

/** Width, height and projection of what is built, mm. */
function sizeOf({ model }: Design): { length: number; height: number; area: number } | null {
  if (!model) return null
  const uprights = model.boards.filter((b) => b.placement.lies !== 'flat')
  return {
    length: Math.max(
      ...model.boards.filter((b) => b.placement.lies === 'flat' || b.placement.lies === 'upright').map((b) => b.length),
    ),
    height: Math.max(0, ...uprights.map((b) => b.width)),
    area: model.boards.reduce((sum, b) => sum + b.length * b.width * b.layers, 0),
  }
}

const figure = (d: Design, id: string): number | null => d.working.find((f) => f.id === id)?.value ?? null

/** Two holders side by side, figure by figure. Lengths mm, areas mm², masses kg. */
export function compare(a: Design, b: Design): Compared[] {
  const both = <T>(of: (d: Design) => T): [T, T] => [of(a), of(b)]
  const row = (key: Compared['key'], label: string, quantity: Compared['quantity'], values: Compared['values'], less: boolean | null): Compared => ({ key, label, quantity, values, better: less === null ? null : better(less, values) }) // prettier-ignore
  return [
    row(
      'tools',
      'Tools it holds',
      'count',
      both((d) => d.model?.seats.length ?? null),
      false,
    ),
    row(
      'verdict',
      'Checks',
      'level',
      both((d) => GRAVE[worstOf(d.verdicts)]),
      true,
    ),
    row(
      'length',
      'Along the wall',
      'length',
      both((d) => sizeOf(d)?.length ?? null),
      true,
    ),
    row(
      'height',
      'Back, high',
      'length',
      both((d) => sizeOf(d)?.height ?? null),
      true,
    ),
    row(
      'projection',
      'Sticks out, with its tools',
      'length',
      both((d) => figure(d, 'sticksOutBy')),
      true,
    ),
    row(
      'wood',
      'Boards',
      'area',
      both((d) => sizeOf(d)?.area ?? null),
      true,
    ),
    row(
      'weight',
      'Weight without tools',
      'mass',
      both((d) => (d.model ? (woodWeight(d.model, d.input.shop)?.mass ?? null) : null)),
      true,
    ),
    row(
      'screws',
      'Screws',
      'count',
      both((d) => d.model?.fasteners.filter((f) => f.kind === 'screw').length ?? null),
      true,
    ),
    row(
      'held',
      'Held against rocking, times',
      'ratio',
      both((d) => figure(d, 'rocking')),
      false,
    ),
  ].filter((r) => r.values.some((v) => v !== null))
}

/** What each gives up: tools that only the other holds, and what its checks say that the other's don't. */
export function givesUp(own: Design, other: Design): string[] {
  const held = new Set(own.model?.seats.map((s) => s.tool) ?? [])
  const missing = (other.model?.seats ?? []).filter((s) => !held.has(s.tool)).map((s) => `no place for ${s.name}`)
  const others = new Set(other.verdicts.filter((v) => v.level !== 'pass').map((v) => v.says))
  return [...missing, ...own.verdicts.filter((v) => v.level !== 'pass' && !others.has(v.says)).map((v) => v.says)]
}
