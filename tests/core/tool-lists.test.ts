import Ajv2020 from 'ajv/dist/2020.js'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { COMMON } from '#core/exchange/tools/columns'
import { guessColumns, LABELS, openList, type ReadingOrder } from '#core/exchange/tools/open-list'
import { readRow, readTool, type RowRead } from '#core/exchange/tools/read-row'
import { textOf } from '#core/exchange/tools/text-of'
import { toolsCsv, toolsJson } from '#core/exchange/tools/write-list'
import { projectSchema } from '#core/exchange/project/schema'
import { allKinds, kindOf } from '#core/footprint/kinds'
import type { Tool } from '#core/footprint/tool'
import { formatExact, type LengthFormat } from '#core/units/format-length'
import { parseLength } from '#core/units/length'
import { anyTool } from './any-tool'
import { mallet } from './samples'

let made = 0
const newId = () => `new-${++made}`

/** Reads a list as the page does. */
function readAll(text: string, more: Partial<ReadingOrder> = {}): RowRead[] {
  const opened = openList(text)
  if (!opened.ok) throw new Error(opened.message)
  if (opened.list.kind === 'tools') return opened.list.tools.map((t, i) => readTool(i + 1, t, newId))
  const order: ReadingOrder = { columns: guessColumns(opened.list.headings), unit: 'mm', kind: null, ...more }
  return opened.list.rows.map((cells, i) => readRow(i + 2, cells, order, newId))
}
const toolsIn = (rows: RowRead[]): Tool[] =>
  rows.map((r) => {
    if (!r.ok) throw new Error(JSON.stringify(r.problems))
    return r.tool
  })
const everyKind = allKinds.map((k) => [k.id, k] as const)
const runs = { numRuns: 25 }

describe('a tool of any kind', () => {
  const ajv = new Ajv2020({ strict: false })
  const validate = ajv.compile(projectSchema())

  it.each(everyKind)('%s: comes back unchanged from CSV and JSON', (_, kind) => {
    fc.assert(
      fc.property(fc.array(anyTool(kind), { minLength: 1, maxLength: 4 }), (tools) => {
        expect(toolsIn(readAll(toolsCsv(tools, 'mm')))).toEqual(tools)
        expect(toolsIn(readAll(toolsJson(tools)))).toEqual(tools)
      }),
      runs,
    )
  })
  it.each(everyKind)('%s: comes back from inches within a millionth of a mm', (_, kind) => {
    fc.assert(
      fc.property(anyTool(kind), (tool) => {
        const [back] = toolsIn(readAll(toolsCsv([tool], 'in'), { unit: 'in' }))
        for (const [key, value] of Object.entries(tool.measures)) expect(back!.measures[key]).toBeCloseTo(value, 5)
        const rest = { measures: {}, spread: {}, profile: [], mass: null, massWithBattery: null }
        expect({ ...back, ...rest }).toEqual({ ...tool, ...rest })
      }),
      runs,
    )
  })
  it.each(everyKind)('%s: is what the schema of the file says', (_, kind) => {
    fc.assert(
      fc.property(anyTool(kind), (tool) => {
        validate({ format: 'fingerling-project', formatVersion: 1, tools: [tool] })
        expect(validate.errors).toBeNull()
      }),
      runs,
    )
  })
  it('keeps its figures whatever unit they are shown in', () => {
    const kept = fc.double({ min: 0.01, max: 3000, noNaN: true })
    const formats: LengthFormat[] = [
      { unit: 'mm', gridMm: 1, gridIn: 8 },
      { unit: 'in', gridMm: 1, gridIn: 8 },
    ]
    fc.assert(
      fc.property(kept, fc.constantFrom(...formats), (value, format) => {
        // what is shown is near enough to be known again; the field passes on only what was typed anew
        const shown = parseLength(formatExact(value, format), format.unit)
        expect(shown.ok && Math.abs(shown.value - value)).toBeLessThan(0.0128)
      }),
    )
  })
  it('has no label that every list has already', () => {
    const own = allKinds.flatMap((k) => [...k.fields.map((f) => f.label), ...k.options.map((o) => o.label)])
    for (const label of COMMON) expect(own).not.toContain(label)
    for (const kind of allKinds) {
      const labels = [...kind.fields.map((f) => f.label), ...kind.options.map((o) => o.label)]
      expect(new Set(labels).size, kind.id).toBe(labels.length)
    }
  })
})

describe('a list from elsewhere', () => {
  it('has its headings understood', () => {
    const columns = guessColumns(['Tool', 'Qty', 'Weight [g]', 'Head width mm', 'handle_width (in)', 'Shelf', 'Notes'])
    expect(columns.map((c) => [c.as, c.unit])).toEqual([
      ['Name', null],
      ['Count', null],
      ['Mass', 'g'],
      ['Head width', 'mm'],
      ['Handle width', 'in'],
      [null, null],
      ['Note', null],
    ])
    expect(guessColumns(['Name', 'Tool'])[1]!.as).toBeNull()
    expect(new Set(LABELS).size).toBe(LABELS.length)
  })
  it('is read with units in headings and in cells', () => {
    const csv = 'Name,Handle width (in),Head width,Head length (cm),Mass (g)\r\nBeech mallet,1 1/8,70mm,12.5,850\r\n'
    const [tool] = toolsIn(readAll(csv))
    expect(tool).toMatchObject({
      kind: 'headed',
      measures: { handleWidth: 28.575, headWidth: 70, headLength: 125 },
      mass: 0.85,
      count: 1,
    })
  })
  it('names each bad cell by row and column and keeps the good rows', () => {
    const rows = readAll(
      'Name,Kind,Count,Head width (mm),Blade length (mm),Used,Mass\n' +
        'Good mallet,headed,1,70,,daily,0.8\n' +
        ',headed,1,70,,daily,0.8\n' +
        'Bad figures,headed,one,-4,,often,heavy\n' +
        'Odd,gizmo,1,,,,\n' +
        'Stray,mallet,2,80,120,,\n' +
        'Whatsit,,1,,,,\n' +
        'Chisel 12,,1,,140,rarely,\n',
    )
    expect(rows.map((r) => r.ok)).toEqual([true, false, false, false, false, false, true])
    const told = rows.flatMap((r) => (r.ok ? [] : r.problems.map((p) => `${r.row} ${p.column}`)))
    expect(told).toEqual([
      '3 Name',
      '4 Count',
      '4 Head width (mm)',
      '4 Mass',
      '4 Used',
      '5 Kind',
      '6 Blade length (mm)',
      '7 Kind',
    ])
  })
  it('of JSON tells what is wrong with which tool', () => {
    const rows = readAll(JSON.stringify([mallet('a', 28, 70), { name: 'X', kind: 'spoon' }, 5, { ...mallet('b', 28, 70), measures: { headWidth: -1 } }])) // prettier-ignore
    expect(rows.map((r) => r.ok)).toEqual([true, false, false, false])
  })
  it('guards cells that a spreadsheet would take for a formula, and takes the guard off again', () => {
    const names = ['=1+1', '+4', '-x', '@a', "'=1", "''+", "'plain", '\tb', 'plain']
    const tools = names.map((name, i) => ({ ...mallet(`t${i}`, 28, 70), name }))
    const csv = toolsCsv(tools, 'mm')
    expect(csv).not.toMatch(/(^|,|\n)"?[=+@-][^,]/m)
    expect(toolsIn(readAll(csv)).map((t) => t.name)).toEqual(names)
  })
})

describe('a file that is no list', () => {
  const bytes = (...b: number[]) => new Uint8Array(b)
  it.each([
    ['a zip', bytes(0x50, 0x4b, 3, 4, 20), 'zip'],
    ['a PDF', bytes(0x25, 0x50, 0x44, 0x46, 0x2d), 'PDF'],
    ['UTF-16', bytes(0xff, 0xfe, 0x4e, 0), 'UTF-16'],
    ['Latin-1', bytes(0x4e, 0x61, 0x6d, 0xe4, 0x2c), 'UTF-8'],
    ['bytes', bytes(0x41, 0, 0x42), 'no text'],
    ['nothing', bytes(), 'empty'],
  ])('%s is told', (_, data, says) => {
    const read = textOf(data)
    expect(read.ok ? '' : read.message).toContain(says)
  })
  it.each([
    ['', 'empty'],
    ['just a sentence', 'at least one row'],
    ['one\ntwo\nthree', 'only one column'],
    ['Name;Kind\nA;headed', 'semicolons'],
    ['Name\tKind\nA\theaded', 'tabs'],
    ['<html><body>', 'web page'],
    ['{"a": 1}', 'no tools'],
    ['{"tools": [', 'no whole JSON'],
    ['[]', 'no tool'],
  ])('%j is told', (text, says) => {
    const opened = openList(text)
    expect(opened.ok ? '' : opened.message).toContain(says)
  })
  it('parted otherwise is read when asked to', () => {
    const opened = openList('Name;Head width\nMallet;70,5', ';')
    expect(opened.ok && opened.list.kind === 'table' && opened.list.rows).toEqual([['Mallet', '70,5']])
    const [tool] = toolsIn(
      (opened.ok && opened.list.kind === 'table' ? opened.list.rows : []).map((r) =>
        readRow(2, r, { columns: guessColumns(['Name', 'Head width']), unit: 'mm', kind: null }, newId),
      ),
    )
    expect(tool!.measures.headWidth).toBe(70.5)
  })
  it('every kind has an id that is known', () => {
    for (const [id] of everyKind) expect(kindOf(id)?.id).toBe(id)
  })
})
