import { describe, expect, it } from 'vitest'
import type { Rule } from './figure'
import { formulaWithNumbers, writeFigure, writeValue } from './text'
import { fillIn, namedIn, Trail } from './trail'

const rule: Rule = { id: 'test.sum', says: 'A sum.', source: 'Arithmetic' }
const mm = { unit: 'mm', gridMm: 0.5, gridIn: 16 } as const
const inch = { unit: 'in', gridMm: 0.5, gridIn: 16 } as const

describe('a formula', () => {
  it('names each figure once, in its order', () => {
    expect(namedIn('{a} + 2 × {b:s1} − {a}')).toEqual(['a', 'b:s1'])
    expect(namedIn('3 + 4')).toEqual([])
    expect(namedIn('{a} + {unclosed')).toEqual(['a'])
  })
  it('is filled in', () =>
    expect(
      fillIn(
        '{a} / 2 + {b} − [0.5 mm]',
        (id) => id.toUpperCase(),
        (x, unit) => `${2 * x} ${unit}`,
      ),
    ).toBe('A / 2 + B − 1 mm'))
})

describe('a trail', () => {
  const trail = new Trail()
  trail.given('a', 'Width', 31.25, { kind: 'measurement', tool: 't', field: 'w' })
  trail.given('share', 'Share', 0.3, { kind: 'shop', key: 'backWeb' }, { quantity: 'ratio' })
  trail.derive('sum', 'Sum', 40.625, rule, '{share} × {a} + {a}', { print: 'up' })

  it('keeps figures in the order in which they were reckoned', () =>
    expect(trail.all().map((f) => f.id)).toEqual(['a', 'share', 'sum']))
  it('keeps the first of a figure that is given twice', () => {
    trail.given('a', 'Width', 99, { kind: 'measurement', tool: 't', field: 'w' })
    expect(trail.get('a').value).toBe(31.25)
  })
  it('derives only from figures that are there, and only numbers', () => {
    expect(() => trail.derive('x', 'X', 1, rule, '{nowhere} + 1')).toThrow('no figure nowhere')
    expect(() => trail.derive('x', 'X', NaN, rule, '{a}')).toThrow('X came out as NaN')
    expect(trail.has('x')).toBe(false)
  })
  it('writes a formula with its numbers, finer than the grid', () => {
    const find = (id: string) => trail.get(id)
    expect(formulaWithNumbers(trail.get('sum'), find, mm)).toBe('0.3 × 31.25 + 31.25')
    expect(formulaWithNumbers(trail.get('sum'), find, inch)).toBe('0.3 × 1.23" + 1.23"')
  })
  it('prints a figure on the grid, the way it goes', () => {
    expect(writeFigure(trail.get('sum'), mm)).toBe('41 mm')
    expect(writeFigure(trail.get('sum'), inch)).toBe('1 5/8"')
    expect(writeValue(0.3, 'ratio', mm, 'nearest')).toBe('0.3')
    expect(writeValue(20, 'angle', mm, 'nearest')).toBe('20°')
    expect(writeValue(1.5, 'mass', inch, 'nearest')).toBe('3.31 lb')
  })
})
