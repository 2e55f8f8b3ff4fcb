import type { Kind } from '../../footprint/kind'
import { kindOf } from '../../footprint/kinds'
import { PRESENCES, SURENESS, USES, type Tool } from '../../footprint/tool'
import { kindFromWords } from '../../footprint/words'
import { parseLength, parseSize, sizeError } from '../../units/length'
import { parseMass } from '../../units/mass'
import { quoted } from '../../units/result'
import { unguarded } from '../csv-text'
import { isRecord } from '../project/checked'
import { checkAgainst } from '../project/problems'
import { ToolDto } from '../project/tool.dto'
import { COMMON, fromInches, fromPounds } from './columns'
import type { ColumnUse, ReadingOrder } from './open-list'

/** Something wrong in a row, and in which column. */
export interface CellProblem {
  column: string
  message: string
}

/** A row as it was read: a tool, or what is wrong with it. */
export type RowRead = { row: number } & (
  { ok: true; tool: Tool } | { ok: false; name: string; problems: CellProblem[] }
)

type Cells = Map<string, { text: string; use: ColumnUse }>

/** A number as a computer writes it, to all its digits. */
const EXACT = /^-?\d+(\.\d+)?(e-?\d+)?$/i

/** Collects what is wrong in a row while it is read. */
class Row {
  readonly problems: CellProblem[] = []
  constructor(
    readonly cells: Cells,
    readonly order: ReadingOrder,
  ) {}

  /** A cell as it was written. */
  raw(label: string): string {
    return unguarded(this.cells.get(label)?.text ?? '')
  }

  text(label: string): string {
    return this.raw(label).trim()
  }

  wrong(label: string, message: string): void {
    this.problems.push({ column: this.cells.get(label)?.use.heading ?? label, message })
  }

  /** A length in the column's unit; undefined when the cell is empty or wrong. */
  length(label: string, text: string, noughtAllowed = false): number | undefined {
    const { unit } = this.cells.get(label)!.use
    const taken = unit === 'cm' || unit === 'mm' ? 'mm' : unit === 'in' ? 'in' : this.order.unit
    const times = unit === 'cm' && EXACT.test(text) ? 10 : 1
    if (EXACT.test(text) && !text.startsWith('-')) {
      const value = taken === 'in' ? fromInches(Number(text)) : Number(text) * times
      const error = sizeError(value, noughtAllowed ? { min: 0 } : {})
      if (error === null) return value
      this.wrong(label, error)
      return undefined
    }
    const reading = parseLength(text, taken).ok
      ? parseSize(text, taken, noughtAllowed ? { min: 0 } : {})
      : parseLength(text, taken)
    if (!reading.ok) this.wrong(label, reading.message)
    return reading.ok ? reading.value * times : undefined
  }

  mass(label: string): number | null {
    const text = this.text(label)
    if (text === '') return null
    const { unit } = this.cells.get(label)!.use
    const pounds = unit === 'lb' || (unit === null && this.order.unit === 'in')
    if (EXACT.test(text) && Number(text) > 0 && unit !== 'g') {
      const kg = pounds ? fromPounds(Number(text)) : Number(text)
      if (kg <= 500) return kg
    }
    const reading = parseMass(unit === 'g' && EXACT.test(text) ? `${text} g` : text, pounds ? 'lb' : 'kg')
    if (!reading.ok) this.wrong(label, reading.message)
    return reading.ok ? reading.value : null
  }

  oneOf<T extends string>(label: string, list: readonly T[], usual: T): T {
    const text = this.text(label).toLowerCase()
    if (text === '') return usual
    const found = list.find((v) => v === text)
    if (!found) this.wrong(label, `${quoted(text)} is none of ${list.join(', ')}.`)
    return found ?? usual
  }
}

/** The parts of a cell such as `Head width: 0.2; Head length: 0.4`. */
function pairs(row: Row, label: string): [string, string][] {
  return row
    .text(label)
    .split(';')
    .map((part) => part.trim())
    .filter(Boolean)
    .flatMap((part): [string, string][] => {
      const at = part.lastIndexOf(':')
      if (at > 0) return [[part.slice(0, at).trim(), part.slice(at + 1).trim()]]
      row.wrong(label, `${quoted(part)} has no colon in it.`)
      return []
    })
}

function kindIn(row: Row): Kind | null {
  const text = row.text('Kind')
  if (text !== '') {
    const found = kindOf(text.toLowerCase()) ?? kindFromWords(text)
    if (!found) row.wrong('Kind', `${quoted(text)} is no kind of tool that is known here.`)
    return found
  }
  const found = (row.order.kind ? kindOf(row.order.kind) : undefined) ?? kindFromWords(row.text('Name'))
  if (!found) row.wrong('Kind', 'what kind of tool it is can’t be told from its name.')
  return found ?? null
}

function options(row: Row, kind: Kind): Record<string, string> {
  const found: Record<string, string> = {}
  for (const option of kind.options) {
    const text = row.text(option.label)
    if (text === '') continue
    const value = option.values.find((v) => v.value === text || v.label.toLowerCase() === text.toLowerCase())
    if (value) found[option.key] = value.value
    else row.wrong(option.label, `${quoted(text)} is none of ${option.values.map((v) => v.value).join(', ')}.`)
  }
  return found
}

function measures(row: Row, kind: Kind): Record<string, number> {
  const found: Record<string, number> = {}
  for (const field of kind.fields) {
    const text = row.text(field.label)
    if (text === '') continue
    const value = row.length(field.label, text, field.noughtAllowed)
    if (value !== undefined) found[field.key] = value
  }
  return found
}

/** Figures in columns that a tool of this kind does not have are told, not dropped. */
function strays(row: Row, kind: Kind): void {
  const own = new Set([...kind.fields.map((f) => f.label), ...kind.options.map((o) => o.label)])
  for (const [label, { text, use }] of row.cells) {
    if (text.trim() === '' || own.has(label) || !row.order.columns.some((c) => c.as === label && c === use)) continue
    if (/^[A-Z]/.test(label) && !COMMON_SET.has(label))
      row.wrong(label, `a tool of the kind “${kind.name}” has no such figure.`)
  }
}
const COMMON_SET: ReadonlySet<string> = new Set(COMMON)

function byLabel<T>(row: Row, kind: Kind, label: string, read: (text: string) => T | undefined): Record<string, T> {
  const found: Record<string, T> = {}
  for (const [name, text] of pairs(row, label)) {
    const field = kind.fields.find((f) => f.label.toLowerCase() === name.toLowerCase())
    if (!field) row.wrong(label, `there is no figure called ${quoted(name)}.`)
    else {
      const value = read(text)
      if (value !== undefined) found[field.key] = value
    }
  }
  return found
}

function profile(row: Row): Tool['profile'] {
  return pairs(row, 'Handle profile').flatMap(([at, diameter]) => {
    const a = row.length('Handle profile', at, true)
    const d = row.length('Handle profile', diameter)
    return a === undefined || d === undefined ? [] : [{ at: a, diameter: d }]
  })
}

function outline(row: Row): unknown {
  const text = row.text('Outline')
  if (text === '') return null
  try {
    return JSON.parse(text) as unknown
  } catch {
    row.wrong('Outline', 'this is no outline: it is written as JSON, see the format’s page.')
    return null
  }
}

function count(row: Row): number {
  const text = row.text('Count')
  if (text === '') return 1
  if (!/^\d{1,6}$/.test(text)) row.wrong('Count', `${quoted(text)} is no whole number.`)
  return Number(text) || 1
}

/** Which column a problem of the checked tool belongs to. */
function columnOf(path: string, kind: Kind, columns: readonly ColumnUse[]): string {
  const label =
    (
      {
        id: 'id',
        name: 'Name',
        group: 'Group',
        count: 'Count',
        mass: 'Mass',
        massWithBattery: 'Mass with battery',
        usedAt: 'Used at',
        seen: 'Last seen',
        note: 'Note',
        profile: 'Handle profile',
        outline: 'Outline',
        spread: 'Readings differ by',
        sureOf: 'How sure single figures are',
      } as Record<string, string>
    )[path] ?? path
  return columns.find((c) => c.as === label)?.heading ?? label
}

/**
 * Reads one row of a table.
 * @param number of the row as a spreadsheet counts it, headings being row 1
 * @param newId makes an id for a tool that has none
 */
export function readRow(number: number, cells: readonly string[], order: ReadingOrder, newId: () => string): RowRead {
  const found: Cells = new Map()
  order.columns.forEach((use, i) => {
    if (use.as !== null) found.set(use.as, { text: cells[i] ?? '', use })
  })
  const row = new Row(found, order)
  const name = row.raw('Name')
  if (name.trim() === '') row.wrong('Name', 'there is no name.')
  const kind = kindIn(row)
  if (!kind) return { row: number, ok: false, name, problems: row.problems }
  const data = {
    id: row.text('id') || newId(),
    name,
    kind: kind.id,
    group: row.raw('Group'),
    count: count(row),
    measures: measures(row, kind),
    options: options(row, kind),
    sure: row.oneOf('Measured with', SURENESS, 'rule'),
    sureOf: byLabel(row, kind, 'How sure single figures are', (text) => SURENESS.find((s) => s === text.toLowerCase())),
    spread: byLabel(row, kind, 'Readings differ by', (text) => row.length('Readings differ by', text, true)),
    profile: profile(row),
    outline: outline(row),
    mass: row.mass('Mass'),
    massWithBattery: row.mass('Mass with battery'),
    use: row.oneOf('Used', USES, 'weekly'),
    usedAt: row.raw('Used at'),
    presence: row.oneOf('Presence', PRESENCES, 'here'),
    seen: row.text('Last seen') || null,
    note: row.raw('Note'),
  }
  strays(row, kind)
  if (row.problems.length > 0) return { row: number, ok: false, name, problems: row.problems }
  return checked(number, data, (path) => columnOf(path, kind, order.columns))
}

function checked(number: number, data: Record<string, unknown>, columnFor: (path: string) => string): RowRead {
  const result = checkAgainst(ToolDto, data)
  if (result.ok) return { row: number, ok: true, tool: { ...result.value } }
  const problems = result.problems.map((p) => ({ column: columnFor(p.path), message: p.message }))
  return { row: number, ok: false, name: typeof data.name === 'string' ? data.name.slice(0, 120) : '', problems }
}

/** Reads one tool of a JSON list. @param number of the tool in the list, from 1 */
export function readTool(number: number, data: unknown, newId: () => string): RowRead {
  if (!isRecord(data))
    return { row: number, ok: false, name: '', problems: [{ column: '', message: 'an object is expected here.' }] }
  return checked(number, data.id === undefined ? { ...data, id: newId() } : data, (path) => path)
}
