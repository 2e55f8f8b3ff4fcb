import { describe, expect, it } from 'vitest'
import type { Figure, Quantity } from './figure'
import { formulaInWords, formulaWithNumbers, writeFigure } from './text'

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
const inch = { unit: 'in', gridMm: 0.5, gridIn: 16 } as const

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

describe('a figure with a unit', () => {
  it('is printed in the shop’s unit where it has one of its own', () => {
    const printed = (value: number, quantity: Quantity) =>
      [mm, inch].map((format) => writeFigure(figure(value, quantity), format))
    expect(printed(222.8529, 'force')).toEqual(['222.9 N', '50.1 lb'])
    expect(printed(12.25, 'stress')).toEqual(['12.25 MPa', '12.25 MPa'])
    expect(printed(392, 'density')).toEqual(['392 kg/m³', '392 kg/m³'])
  })

  it('is printed as it is where it is less than a step of the grid: a sag, a play', () => {
    const printed = (value: number) => [mm, inch].map((format) => writeFigure(figure(value, 'length'), format))
    expect([0.213, 0, 1.2].map(printed)).toEqual([
      ['0.21 mm', '0.008"'],
      ['0 mm', '0"'],
      ['1 mm', '0.047"'],
    ])
  })
})

describe('a formula with its numbers', () => {
  const all: Record<string, Figure> = {
    long: { ...figure(254, 'length'), label: 'Length of Rail A' },
    mass: { ...figure(0.85, 'mass'), label: 'Weight' },
    more: figure(0.45359237, 'mass'),
    pull: figure(44.482216152605, 'force'),
    times: figure(1.5, 'ratio'),
  }
  const find = (id: string) => all[id]!
  const shown = (value: number, quantity: Quantity, formula: string) =>
    [mm, inch].map((format) => formulaWithNumbers(figure(value, quantity, formula), find, format))

  it('has what is fixed in the shop’s unit too', () =>
    expect(shown(266.7, 'length', '{long} + [12.7 mm]')).toEqual(['254 + 12.7', '10" + 0.5"']))

  it('has weights among themselves, and pulls, in the shop’s unit', () => {
    expect(shown(1.3, 'mass', '{mass} + {more}')).toEqual(['0.85 kg + 0.454 kg', '1.87 lb + 1 lb'])
    expect(shown(66.7, 'force', '{pull} × {times}')).toEqual(['44.48 N × 1.5', '10 lb × 1.5'])
  })

  it('is in mm, kg and N where they meet, and says what that comes to in a shop of inches', () =>
    expect(shown(44.4, 'force', '{mass} × [9.80665 N/kg] × {long} / [47.7 mm]')).toEqual([
      '0.85 kg × 9.80665 × 254 / 47.7',
      '0.85 kg × 9.80665 × 254 mm / 47.7 mm = 44.4 N',
    ]))

  it('has a power of a length with its unit in brackets', () =>
    expect(shown(1, 'stress', '{pull} / {long}²')).toEqual(['44.48 N / 254²', '44.48 N / (254 mm)²']))

  it('has no digits that come from floating point alone', () =>
    expect(shown(100, 'length', '[141.59999999999997 mm] − {long} × 0.8333333333333334')[0]).toBe(
      '141.6 − 254 × 0.8333333',
    ))

  it('names things as they are named, in words', () => {
    const sum = figure(1, 'length', '{long} − [19.05 mm] + {mass} × [9.80665 N/kg]')
    expect([mm, inch].map((format) => formulaInWords(sum, find, format))).toEqual([
      'length of Rail A − 19.05 mm + weight × 9.80665 N/kg',
      'length of Rail A − 0.75" + weight × 9.80665 N/kg',
    ])
  })
})
