import { LISTS, type Column, type ListKey } from '../../shop/lists'
import { parsePlaces } from '../../shop/places'
import { sizeError } from '../../units/length'
import { idError, isRecord, LONGEST_NOTE, nameError, oneOf } from './checked'

/** The most rows one list of a shop can have. */
export const MOST_ROWS = 500

function cellError(column: Column, value: unknown): string | null {
  if (column.type === 'name' || column.type === 'material') return nameError(value)
  if (column.type === 'text')
    return typeof value === 'string' && value.length <= LONGEST_NOTE
      ? null
      : `text of up to ${LONGEST_NOTE} characters.`
  if (column.type === 'places') return placesError(value)
  if (column.type === 'option') return oneOf(value, column.values, column.label)
  if (column.type === 'flag') return typeof value === 'boolean' ? null : 'true or false.'
  if (value === null && column.empty !== undefined) return null
  if (column.type === 'length') return sizeError(value, { min: column.min, max: column.max })
  if (typeof value !== 'number' || !(value >= column.min && value <= column.max))
    return `it lies between ${column.min} and ${column.max}.`
  return null
}

function placesError(value: unknown): string | null {
  if (typeof value !== 'string' || value.length > LONGEST_NOTE) return `text of up to ${LONGEST_NOTE} characters.`
  const read = parsePlaces(value, 'mm')
  return typeof read === 'string' ? read : null
}

/** What is wrong with a list of the shop, row and column named, or null. */
export const listError =
  (list: ListKey) =>
  (rows: unknown): string | null => {
    const { title, columns } = LISTS[list] as { title: string; columns: readonly Column[] }
    if (!Array.isArray(rows)) return `${title.toLowerCase()} are a list.`
    if (rows.length > MOST_ROWS) return `at most ${MOST_ROWS} rows.`
    const seen = new Set<unknown>()
    for (const [i, row] of rows.entries()) {
      const at = (what: string) => `row ${i + 1}: ${what}`
      if (!isRecord(row)) return at('an object is expected here.')
      if (idError(row.id)) return at(idError(row.id)!)
      if (seen.has(row.id)) return at(`the id ${String(row.id)} stands twice.`)
      seen.add(row.id)
      const unknown = Object.keys(row).find((key) => key !== 'id' && !columns.some((c) => c.key === key))
      if (unknown) return at(`nothing is known by the name ${unknown.slice(0, 40)}.`)
      for (const column of columns) {
        const error = cellError(column, row[column.key])
        if (error) return at(`${column.key}: ${error}`)
      }
    }
    return null
  }
