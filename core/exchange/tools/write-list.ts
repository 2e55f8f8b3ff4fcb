import { kindOf } from '../../footprint/kinds'
import type { Tool } from '../../footprint/tool'
import type { LengthUnit } from '../../units/length'
import { csvText } from '../csv-text'
import { COMMON, commonCell, figure, LENGTHS, WEIGHED, withUnit } from './columns'

export const TOOLS_FORMAT = 'fingerling-tools'
export const TOOLS_VERSION = 1

const heading = (column: string, unit: LengthUnit): string =>
  WEIGHED.includes(column)
    ? withUnit(column, unit, 'mass')
    : LENGTHS.includes(column)
      ? withUnit(column, unit, 'length')
      : column

/**
 * Tools as a table, one to a row: what every tool has, then a column for each option and each figure that any of the
 * kinds in it has. Figures carry all their digits, so that reading it again gives the same.
 * @param unit of the figures; weights are kg with mm, lb with inches
 * @returns CSV (RFC 4180, CRLF)
 */
export function toolsCsv(tools: readonly Tool[], unit: LengthUnit): string {
  const columns = COMMON.map((c) => heading(c, unit))
  const add = (name: string) => {
    if (!columns.includes(name)) columns.push(name)
  }
  const rows = tools.map((tool) => {
    const row: Record<string, string> = {}
    for (const c of COMMON) row[heading(c, unit)] = commonCell(c, tool, unit)
    const kind = kindOf(tool.kind)!
    for (const option of kind.options) {
      add(option.label)
      row[option.label] = tool.options[option.key] ?? ''
    }
    for (const field of kind.fields) {
      const name = withUnit(field.label, unit, 'length')
      add(name)
      const value = tool.measures[field.key]
      row[name] = value === undefined ? '' : figure(value, unit)
    }
    return row
  })
  return csvText(rows, columns)
}

/** Tools as JSON: what a project file has under `tools`, by itself. */
export const toolsJson = (tools: readonly Tool[]): string =>
  `${JSON.stringify({ format: TOOLS_FORMAT, formatVersion: TOOLS_VERSION, tools }, null, 2)}\n`
