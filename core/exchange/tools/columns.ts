import type { Kind } from '../../footprint/kind'
import { kindOf } from '../../footprint/kinds'
import { surenessOf, type Tool } from '../../footprint/tool'
import type { LengthUnit } from '../../units/length'
import { POUND } from '../../units/mass'

/** What stands in every list of tools, whatever their kinds, in this order. */
export const COMMON = [
  'id',
  'Name',
  'Kind',
  'Group',
  'Count',
  'Presence',
  'Used',
  'Used at',
  'Measured with',
  'Mass',
  'Mass with battery',
  'Last seen',
  'Note',
  'How sure single figures are',
  'Readings differ by',
  'Handle profile',
  'Outline',
] as const
export type Common = (typeof COMMON)[number]

/** Common columns that hold a weight or lengths, so that a unit stands in their heading. */
export const WEIGHED: readonly string[] = ['Mass', 'Mass with battery']
export const LENGTHS: readonly string[] = ['Readings differ by', 'Handle profile']

/** A cell's figure: as many digits as it takes to read back the same. */
export const figure = (mm: number, unit: LengthUnit): string => String(unit === 'mm' ? mm : mm / 25.4)
/** The same way back, to a millionth of a mm: what parting an inch costs is taken away. */
export const fromInches = (inches: number): number => Number((inches * 25.4).toFixed(6))

export const weight = (kg: number | null, unit: LengthUnit): string =>
  kg === null ? '' : String(unit === 'mm' ? kg : kg / POUND)
export const fromPounds = (pounds: number): number => Number((pounds * POUND).toFixed(9))

/** The heading of a column that holds a length or a weight. */
export const withUnit = (label: string, unit: LengthUnit, what: 'length' | 'mass'): string =>
  `${label} (${what === 'length' ? unit : unit === 'mm' ? 'kg' : 'lb'})`

const labelled = (kind: Kind, values: Record<string, string | number>, write: (v: string | number) => string): string =>
  kind.fields
    .filter((f) => values[f.key] !== undefined)
    .map((f) => `${f.label}: ${write(values[f.key]!)}`)
    .join('; ')

/** What stands in a common column for a tool. */
export function commonCell(column: Common, tool: Tool, unit: LengthUnit): string {
  const kind = kindOf(tool.kind)!
  switch (column) {
    case 'id':
      return tool.id
    case 'Name':
      return tool.name
    case 'Kind':
      return tool.kind
    case 'Group':
      return tool.group
    case 'Count':
      return String(tool.count)
    case 'Presence':
      return tool.presence
    case 'Used':
      return tool.use
    case 'Used at':
      return tool.usedAt
    case 'Measured with':
      return tool.sure
    case 'Mass':
      return weight(tool.mass, unit)
    case 'Mass with battery':
      return weight(tool.massWithBattery, unit)
    case 'Last seen':
      return tool.seen ?? ''
    case 'Note':
      return tool.note
    case 'How sure single figures are': {
      const own = Object.fromEntries(Object.keys(tool.sureOf).map((key) => [key, surenessOf(tool, key)]))
      return labelled(kind, own, String)
    }
    case 'Readings differ by':
      return labelled(kind, tool.spread, (mm) => figure(mm as number, unit))
    case 'Handle profile':
      return tool.profile.map((p) => `${figure(p.at, unit)}: ${figure(p.diameter, unit)}`).join('; ')
    case 'Outline':
      return tool.outline === null ? '' : JSON.stringify(tool.outline)
  }
}
