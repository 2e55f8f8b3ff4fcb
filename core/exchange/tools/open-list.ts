import Papa from 'papaparse'
import { allKinds } from '../../footprint/kinds'
import type { LengthUnit } from '../../units/length'
import { isRecord } from '../project/checked'
import { COMMON } from './columns'
import { TOOLS_FORMAT } from './write-list'

/** The most rows one list can have. */
export const MOST_LISTED = 20000
const PARTING: Record<string, string> = { ';': 'semicolons', '\t': 'tabs', '|': 'upright strokes' }

/** A list that could be opened: a table with headings, or tools as JSON has them. */
export type OpenList =
  | { kind: 'table'; headings: string[]; rows: string[][]; torn: { row: number; message: string }[] }
  | { kind: 'tools'; tools: unknown[] }

export type Opened =
  | { ok: true; list: OpenList }
  /** `parting`: read with this between the cells, it would do */
  | { ok: false; message: string; parting?: string }

/**
 * Opens a list of tools: CSV with a row of headings, or JSON.
 * @param parting what stands between the cells
 */
export function openList(text: string, parting = ','): Opened {
  const start = text.trimStart()[0]
  if (start === undefined) return { ok: false, message: 'The file is empty.' }
  if (start === '{' || start === '[') return openJson(text)
  if (start === '<') return { ok: false, message: 'This is a web page or a drawing, not a list.' }
  return openTable(text, parting)
}

function openJson(text: string): Opened {
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch (error) {
    return { ok: false, message: `This is no whole JSON: ${(error as Error).message}` }
  }
  const tools = Array.isArray(data) ? data : isRecord(data) ? data.tools : undefined
  if (!Array.isArray(tools))
    return {
      ok: false,
      message: `There are no tools in it: a list of tools has "format": "${TOOLS_FORMAT}" and "tools".`,
    }
  if (tools.length === 0) return { ok: false, message: 'There is no tool in it.' }
  return tools.length > MOST_LISTED ? tooMany(tools.length) : { ok: true, list: { kind: 'tools', tools } }
}

const tooMany = (n: number): Opened => ({ ok: false, message: `It has ${n} rows; at most ${MOST_LISTED} are read.` })

function openTable(text: string, parting: string): Opened {
  const { data, errors } = Papa.parse<string[]>(text, { delimiter: parting, skipEmptyLines: 'greedy' })
  const [headings, ...rows] = data
  if (!headings || rows.length === 0)
    return { ok: false, message: 'A list needs a row of headings and at least one row below it.' }
  if (headings.length < 2) {
    const other = Object.keys(PARTING).find((p) => headings[0]!.includes(p))
    if (other) {
      return {
        ok: false,
        message: `The cells are parted by ${PARTING[other]}, not by commas. Save it with commas, or have it read as it is.`,
        parting: other,
      }
    }
    return { ok: false, message: 'This is no list: there is only one column in it.' }
  }
  if (rows.length > MOST_LISTED) return tooMany(rows.length)
  const torn = errors
    .filter((e) => e.type === 'Quotes')
    .map((e) => ({ row: e.row ?? 0, message: 'a quotation mark is open' }))
  return { ok: true, list: { kind: 'table', headings: headings.map((h) => h.trim()), rows, torn } }
}

/** What a column of a list can be taken as: its label, or null to leave it out. */
export interface ColumnUse {
  heading: string
  as: string | null
  /** unit of bare figures in it, where the heading says */
  unit: 'mm' | 'cm' | 'in' | 'kg' | 'g' | 'lb' | null
}

/** Every label a column can be taken as. */
export const LABELS: readonly string[] = [
  ...COMMON,
  ...new Set(allKinds.flatMap((k) => [...k.fields.map((f) => f.label), ...k.options.map((o) => o.label)])),
]

const OTHER_WORDS: Record<string, string> = {
  tool: 'Name',
  title: 'Name',
  description: 'Name',
  item: 'Name',
  type: 'Kind',
  heap: 'Group',
  category: 'Group',
  set: 'Group',
  qty: 'Count',
  quantity: 'Count',
  number: 'Count',
  pieces: 'Count',
  weight: 'Mass',
  'weight with battery': 'Mass with battery',
  use: 'Used',
  'how often': 'Used',
  place: 'Used at',
  remarks: 'Note',
  notes: 'Note',
  comment: 'Note',
  here: 'Presence',
  sure: 'Measured with',
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
const byPlain = new Map(LABELS.map((l) => [plain(l), l]))
// kinds, and what a field is called inside, are read too: handleWidth
for (const kind of allKinds) {
  for (const f of kind.fields) {
    const inside = plain(f.key.replace(/([A-Z])/g, ' $1'))
    if (!byPlain.has(inside)) byPlain.set(inside, f.label)
  }
}

const UNITS: Record<string, ColumnUse['unit']> = {
  mm: 'mm',
  cm: 'cm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  kg: 'kg',
  g: 'g',
  lb: 'lb',
  lbs: 'lb',
}

/** What a column most likely is, by its heading. */
export function guessColumn(heading: string): ColumnUse {
  const unit = /[([\s_,]+(mm|cm|inches|inch|in|kg|g|lbs|lb|")[)\]]?\s*$/i.exec(heading)
  const name = plain(unit ? heading.slice(0, unit.index) : heading)
  const as = byPlain.get(name) ?? OTHER_WORDS[name] ?? byPlain.get(plain(heading)) ?? null
  return { heading, as, unit: unit ? (unit[1] === '"' ? 'in' : (UNITS[unit[1]!.toLowerCase()] ?? null)) : null }
}

/** What each column is taken as at first. A label is given only once. */
export function guessColumns(headings: readonly string[]): ColumnUse[] {
  const taken = new Set<string>()
  return headings.map((heading) => {
    const guess = guessColumn(heading)
    if (guess.as !== null && taken.has(guess.as)) return { ...guess, as: null }
    if (guess.as !== null) taken.add(guess.as)
    return guess
  })
}

/** How rows are read: which column is what, in which unit bare figures are, and of which kind a tool is that doesn't say. */
export interface ReadingOrder {
  columns: ColumnUse[]
  unit: LengthUnit
  kind: string | null
}
