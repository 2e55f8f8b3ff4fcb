import type { ColumnUse, ReadingOrder } from '#core/exchange/tools/open-list'
import type { RowRead } from '#core/exchange/tools/read-row'
import type { Tool } from '#core/footprint/tool'

/** A column of an opened list, and what stands in its first rows. */
export interface ListColumn {
  use: ColumnUse
  sample: string[]
}

export type OpenedList =
  { ok: true; rows: number; columns: ListColumn[] } | { ok: false; message: string; parting?: string }

export type BadRow = Extract<RowRead, { ok: false }>

/** What the page asks of the worker that reads lists. */
export type ToList =
  | { ask: 'open'; bytes: ArrayBuffer; parting?: string }
  | { ask: 'read'; order: ReadingOrder }
  | { ask: 'batch'; from: number; count: number }

/** What the worker says. */
export type FromList =
  | { say: 'opened'; opened: OpenedList }
  | { say: 'reading'; done: number; of: number }
  | { say: 'read'; good: number; ids: string[]; bad: BadRow[]; first: Tool[] }
  | { say: 'batch'; tools: Tool[] }
