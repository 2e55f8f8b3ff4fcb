import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { holderViews } from '#core/drawing/views'
import { differences } from '../../app/composables/differences'
import { dimensionAt, drawnDimension } from '../../app/composables/dimensionLines'
import { fileName } from '../../app/composables/download'
import { textParts } from '../../app/composables/fractions'
import { seatMarks } from '../../app/composables/seatMarks'
import { inkOf, seatAt } from '../../app/composables/viewInk'
import { mallet, railOf, threeMallets } from './samples'

const d = design(railOf(threeMallets()))
const [top] = holderViews(d.model!, d.input.tools, d.input.shop)

describe('what differs between two versions', () => {
  const mm = (x: number) => `${x} mm`
  const tool = (id: string) => `Tool ${id}`
  it('is told down to single figures', () => {
    const mine = { name: 'A', choices: { gap: 40, fit: 'snug' }, mass: 1, seats: [{ tool: 'x' }] }
    const theirs = { name: 'A', choices: { gap: 32 }, mass: 2, seats: [{ tool: 'y' }, { tool: 'x' }] }
    expect(differences(mine, theirs, tool, mm)).toEqual([
      { what: 'choices: gap', mine: '40 mm', theirs: '32 mm' },
      { what: 'choices: fit', mine: 'snug', theirs: '–' },
      { what: 'mass', mine: '1 kg', theirs: '2 kg' },
      { what: 'seats', mine: 'Tool x', theirs: 'Tool y, Tool x' },
    ])
  })
  it('is nothing for the same', () => expect(differences({ a: [1] }, { a: [1] }, tool, mm)).toEqual([]))
})

describe('a drawn dimension', () => {
  const length = top!.dimensions.find((x) => x.id === 'length')!
  const place = { a: 100, b: 400, foot: 50, edge: 60 }
  it('stands in its row, with its figure in the middle', () => {
    const drawn = drawnDimension(length, place, '304 mm')
    expect(drawn).toMatchObject({ roomy: true, figure: 'length', label: { x: 250, anchor: 'middle' } })
    expect(drawn.span).toEqual({ x0: 100, x1: 400, y0: 60 + 6 + 3 * 19, y1: 60 + 6 + 3 * 19 })
  })
  it('keeps its figure back where there is no room, but beside the line on the right', () => {
    expect(drawnDimension(length, { ...place, b: 110 }, '304 mm').roomy).toBe(false)
    const beside = drawnDimension({ ...length, side: 'right' }, { ...place, b: 110 }, '17.5')
    expect(beside).toMatchObject({ roomy: true, label: { anchor: 'start' } })
  })
  it('is hit near its line, the nearest one first', () => {
    const near = drawnDimension({ ...length, id: 'near', row: 1 }, place, '')
    const far = drawnDimension({ ...length, id: 'far', row: 2 }, place, '')
    expect(dimensionAt([far, near], 250, 60 + 6 + 19 + 3)?.id).toBe('near')
    expect(dimensionAt([far, near], 250, 60 + 6 + 38 - 3)?.id).toBe('far')
    expect(dimensionAt([far, near], 50, 85)).toBeNull()
    expect(dimensionAt([far, near], 250, 200)).toBeNull()
  })
})

describe('the ink of a view', () => {
  it('is one path a kind, with a piece for each seat', () => {
    const ink = inkOf(top!.seats)
    expect(ink.opening.match(/M/g)).toHaveLength(3)
    expect(ink.handle.match(/M/g)).toHaveLength(3)
    expect(ink.centre.match(/M/g)).toHaveLength(6)
    expect(Object.values(inkOf([])).every((path) => path === '')).toBe(true)
  })
  it('knows the seat under a point', () => {
    expect(seatAt(top!.seats, 139, -66)).toBe('s2')
    expect(seatAt(top!.seats, 240 + 43, -66)).toBe('s3')
    expect(seatAt(top!.seats, 95, -66)).toBeNull()
  })
})

describe('the seats’ numbers', () => {
  const at = (scale: number) => (x: number, y: number) => ({ x: x * scale, y: y * scale })
  it('stand behind their slots', () => {
    const marks = seatMarks(d.model!, d.verdicts, at(1))
    expect(marks.map((m) => [m.place, m.x, m.y, m.level])).toEqual([
      [1, 51, 66 - 16 - 14, undefined],
      [2, 139, 66 - 16 - 14, undefined],
      [3, 240, 66 - 17.5 - 14, undefined],
    ])
  })
  it('make way on a crowded rail, save those that something is said of', () => {
    const tools = [...threeMallets(), mallet('t4', 37, 90), mallet('t5', 29, 70)]
    const crowded = design(railOf(tools))
    const marks = seatMarks(crowded.model!, crowded.verdicts, at(0.1))
    expect(marks.map((m) => m.place)).toContain(4)
    expect(marks.find((m) => m.place === 4)!.level).toBe('stop')
    expect(marks.length).toBeLessThan(5)
  })
})

it('takes a text apart at its fractions', () => {
  expect(textParts('1 1/2" × 3/4"')).toEqual([
    { text: '1 ', fraction: false },
    { text: '1/2', fraction: true },
    { text: '" × ', fraction: false },
    { text: '3/4', fraction: true },
    { text: '"', fraction: false },
  ])
  expect(textParts('no 7 or 8')).toEqual([{ text: 'no 7 or 8', fraction: false }])
})

it('names files by letters and digits only', () => {
  expect(fileName('Mallets: by the / bench…')).toBe('mallets-by-the-bench')
  expect(fileName('../../etc')).toBe('etc')
  expect(fileName('***')).toBe('holder')
  expect(fileName('x'.repeat(200))).toHaveLength(60)
})
