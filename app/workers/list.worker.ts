import { guessColumns, openList, type OpenList, type ReadingOrder } from '#core/exchange/tools/open-list'
import { readList, rowCount } from '#core/exchange/tools/read-list'
import type { RowRead } from '#core/exchange/tools/read-row'
import { textOf } from '#core/exchange/tools/text-of'
import type { Tool } from '#core/footprint/tool'
import type { FromList, OpenedList, ToList } from './list-messages'

/** Reads lists of tools off the page's own thread; what was read stays here until it is asked for, a batch at a time. */
let list: OpenList | null = null
let good: Tool[] = []

/** Cells of so many rows are shown beside a heading, and so many tools are drawn before any is taken in. */
const SAMPLES = 3
const SHOWN = 8
/** So many rows are read before a word is said. */
const A_WORD = 250

const say = (message: FromList) => self.postMessage(message)

function open(bytes: ArrayBuffer, parting?: string): OpenedList {
  const text = textOf(new Uint8Array(bytes))
  if (!text.ok) return text
  const opened = openList(text.text, parting)
  if (!opened.ok) return opened
  list = opened.list
  const columns =
    list.kind === 'tools'
      ? []
      : guessColumns(list.headings).map((use, i) => ({
          use,
          sample: (list as { rows: string[][] }).rows
            .map((r) => (r[i] ?? '').slice(0, 30))
            .filter(Boolean)
            .slice(0, SAMPLES),
        }))
  return { ok: true, rows: rowCount(list), columns }
}

function read(order: ReadingOrder): void {
  if (!list) return
  good = []
  const bad: Extract<RowRead, { ok: false }>[] = []
  let done = 0
  for (const row of readList(list, order, () => crypto.randomUUID())) {
    if (row.ok) good.push(row.tool)
    else bad.push(row)
    if (++done % A_WORD === 0) say({ say: 'reading', done, of: rowCount(list) })
  }
  const ids = good.map((t) => t.id)
  say({ say: 'read', good: good.length, ids, bad, first: good.slice(0, SHOWN) })
}

self.onmessage = ({ data }: MessageEvent<ToList>) => {
  if (data.ask === 'open') say({ say: 'opened', opened: open(data.bytes, data.parting) })
  else if (data.ask === 'read') read(data.order)
  else say({ say: 'batch', tools: good.slice(data.from, data.from + data.count) })
}
