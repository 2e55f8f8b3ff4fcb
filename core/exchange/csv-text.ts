import Papa from 'papaparse'

/** What a spreadsheet would take for a formula. The library's own pattern misses cells of several lines. */
const FORMULA = /^'*[=+\-@\t\r\n]/

/** Rows as CSV (RFC 4180, CRLF); cells that a spreadsheet would take for a formula are written as text. */
export const csvText = (rows: readonly Record<string, string | number>[], columns?: readonly string[]): string =>
  Papa.unparse(rows as Record<string, string | number>[], {
    escapeFormulae: FORMULA,
    newline: '\r\n',
    ...(columns ? { columns: [...columns] } : {}),
  }) + '\r\n'

/** A cell as it was before it was guarded against being taken for a formula. */
export const unguarded = (cell: string): string => (/^'+[=+\-@\t\r\n]/.test(cell) ? cell.slice(1) : cell)
