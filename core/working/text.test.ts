import { describe, expect, it } from 'vitest'
import type { Figure, Quantity } from './figure'
import { formulaWithNumbers, writeFigure } from './text'

const figure = (value: number, quantity: Quantity, formula = ''): Figure => ({
  id: 'f',
  label: 'A figure',
  value,
  quantity,
  origin: { kind: 'choice', key: 'f' },
  formula,
  from: [],
  print: 'nearest',
  note: '',
})
const mm = { unit: 'mm', gridMm: 0.5, gridIn: 16 } as const

describe('a figure without a unit of its own', () => {
  it('is printed with about four figures, whole numbers whole', () => {
    const printed = (value: number) => writeFigure(figure(value, 'ratio'), mm)
    expect([222.8529, 87.2731, 1.23456, 0.0417, 12, 10500, -119.5641].map(printed)).toEqual(
      ['222.9', '87.27', '1.235', '0.042', '12', '10500', '-119.6'], // prettier-ignore
    )
  })

  it('is finer inside a formula, so that the sum can be followed', () => {
    const sum = figure(0, 'ratio', '{a} / {b}')
    const find = (id: string) => figure(id === 'a' ? 445.7069 : 12.3456, 'ratio')
    expect(formulaWithNumbers(sum, find, mm)).toBe('445.707 / 12.346')
  })
})
