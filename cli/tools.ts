import { randomUUID } from 'node:crypto'
import { guessColumns, openList } from '#core/exchange/tools/open-list'
import { readList } from '#core/exchange/tools/read-list'
import type { RowRead } from '#core/exchange/tools/read-row'
import { textOf } from '#core/exchange/tools/text-of'
import { toolsCsv, toolsJson } from '#core/exchange/tools/write-list'
import { kindOf } from '#core/footprint/kinds'
import { fail, input, named, option } from './input'

const told = (row: Extract<RowRead, { ok: false }>): string[] =>
  row.problems.map((p) => `  row ${row.row}${p.column ? `, ${p.column}` : ''}: ${p.message}`)

/**
 * `tools FILE [--unit mm|in] [--kind KIND] [--as json|csv]`: reads a list of tools and prints it. A row that can't be
 * read is told on standard error; then the exit code is 1, and the good rows are printed all the same.
 * @returns the exit code
 */
export async function toolsCommand(args: string[]): Promise<number> {
  const rest = [...args]
  const {
    unit = 'mm',
    kind,
    as = 'json',
  } = {
    unit: option(rest, 'unit'),
    kind: option(rest, 'kind'),
    as: option(rest, 'as'),
  }
  if (unit !== 'mm' && unit !== 'in') return fail('--unit is mm or in: what figures without a unit are.')
  if (as !== 'json' && as !== 'csv') return fail('--as is json or csv.')
  if (kind !== undefined && (kind === null || !kindOf(kind)))
    return fail(`--kind: ${kind ?? 'nothing'} is no kind of tool.`)
  const [file, ...more] = rest
  if (file === undefined) return fail('Which file? tools FILE, or tools - for standard input.')
  if (more.length > 0) return fail(`Not understood: ${more.join(' ')}`)

  let bytes: Uint8Array
  try {
    bytes = await input(file)
  } catch (error) {
    return fail(`Can’t read ${file}: ${(error as Error).message}`)
  }
  const text = textOf(bytes)
  const opened = text.ok ? openList(text.text) : text
  if (!opened.ok) return fail(`${named(file)} can’t be used: ${opened.message}`)
  const headings = opened.list.kind === 'table' ? opened.list.headings : []
  const order = { columns: guessColumns(headings), unit, kind: kind ?? null } as const
  const read = [...readList(opened.list, order, randomUUID)]
  const bad = read.flatMap((row) => (row.ok ? [] : told(row)))
  const left = order.columns
    .filter((c) => c.as === null)
    .map((c) => `  ${c.heading}: no such column is known; left out`)
  if (bad.length + left.length > 0) process.stderr.write(`${[`${named(file)}:`, ...left, ...bad].join('\n')}\n`)
  const tools = read.flatMap((row) => (row.ok ? [row.tool] : []))
  process.stdout.write(as === 'csv' ? toolsCsv(tools, unit) : toolsJson(tools))
  return bad.length > 0 ? 1 : 0
}
