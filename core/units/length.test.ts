import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  formatExact,
  formatLength,
  gridStep,
  INCH_GRIDS,
  lengthParts,
  MM_GRIDS,
  type LengthFormat,
} from './format-length'
import { printedMarks, toGrid } from './grid'
import { parseLength, parseSize, sizeError } from './length'
import { briefForce, formatForce, parseForce } from './force'
import { formatMass, parseMass } from './mass'

const read = (text: string, unit: 'mm' | 'in' = 'mm') => {
  const r = parseLength(text, unit)
  return r.ok ? Number(r.value.toFixed(6)) : r.message
}

describe('reading a length', () => {
  it.each([
    ['38', 'mm', 38],
    ['38mm', 'in', 38],
    ['3.8 cm', 'in', 38],
    ['12,5', 'mm', 12.5],
    ['1 1/2', 'in', 38.1],
    ['1-1/2"', 'mm', 38.1],
    ['1½', 'in', 38.1],
    ['1 ½ in', 'mm', 38.1],
    ['½', 'in', 12.7],
    ['7/16', 'in', 11.1125],
    ['.5in', 'mm', 12.7],
    [`2' 3-1/2"`, 'mm', 698.5],
    [`2'3½"`, 'mm', 698.5],
    ['2ft 3in', 'mm', 685.8],
    ['2 ft', 'mm', 609.6],
    [`2'`, 'in', 609.6],
    ['2’ 6”', 'mm', 762],
    ['0.3 m', 'in', 300],
    ['-5', 'mm', -5],
    [' 38 MM ', 'in', 38],
    ['1⁄4"', 'mm', 6.35],
  ] as const)('%s with %s for bare numbers is %d mm', (text, unit, mm) => {
    expect(read(text, unit)).toBe(mm)
  })

  it.each([
    'abc',
    '',
    '1/0',
    '1 2',
    '1.5 1/2',
    '--3',
    '1e9',
    'NaN',
    'Infinity',
    '10 mm 3 in',
    '3 / ',
    '<b>3</b>',
    '12,5,5',
  ])('refuses %j, quoting it and showing how to write it', (text) => {
    const r = parseLength(text, 'in')
    expect(r.ok).toBe(false)
    if (!r.ok) {
      expect(r.message).toContain('1 1/2" or 38 mm')
      if (text) expect(r.message).toContain(`“${text}”`)
    }
  })

  it('asks about a comma that may part thousands', () => {
    expect(read('1,000')).toMatch(/two ways/)
  })

  it('quotes only the start of a very long text', () => {
    expect(String(read('x'.repeat(5000))).length).toBeLessThan(150)
  })

  it('refuses sizes that make no sense', () => {
    for (const text of ['0', '-3', '20001', '1000000000']) expect(parseSize(text, 'mm').ok, text).toBe(false)
    expect(parseSize('-6', 'mm', { min: -500, max: 500 })).toEqual({ ok: true, value: -6 })
    expect(parseSize('-25"', 'in', { min: -500 })).toMatchObject({ message: '“-25"”: less than -19.69 in can’t be right here.' }) // prettier-ignore
    expect(parseSize('20 m', 'mm')).toEqual({ ok: true, value: 20000 })
    for (const value of [NaN, Infinity, -Infinity, 0, -1, 1e9, '3', null]) expect(sizeError(value)).not.toBeNull()
  })
})

const formats: LengthFormat[] = [
  ...MM_GRIDS.map((gridMm): LengthFormat => ({ unit: 'mm', gridMm, gridIn: 16 })),
  ...INCH_GRIDS.map((gridIn): LengthFormat => ({ unit: 'in', gridMm: 1, gridIn })),
]

describe('writing a length', () => {
  const inch = (gridIn: LengthFormat['gridIn']): LengthFormat => ({ unit: 'in', gridMm: 1, gridIn })
  it.each([
    [304, '11 31/32"'],
    [12.7, '1/2"'],
    [0, '0"'],
    [25.4, '1"'],
    [-38.1, '−1 1/2"'],
  ])('%d mm is %s in 32nds', (mm, text) => expect(formatLength(mm, inch(32))).toBe(text))

  it('leaves off what is nought behind the point', () => {
    expect(formatLength(304, { unit: 'mm', gridMm: 0.5, gridIn: 16 })).toBe('304 mm')
    expect(formatLength(12.5, { unit: 'mm', gridMm: 0.1, gridIn: 16 }, 'nearest', false)).toBe('12.5')
  })

  it('shows a figure as it was measured, off the grid too', () => {
    const mm: LengthFormat = { unit: 'mm', gridMm: 0.5, gridIn: 16 }
    expect([28.575, 27.3, 30.1625, 28].map((x) => formatExact(x, mm, false))).toEqual([
      '28.575',
      '27.3',
      '30.163',
      '28',
    ])
    expect([28.575, 27.78125, 28].map((x) => formatExact(x, inch(16)))).toEqual(['1 1/8"', '1 3/32"', '1.102"'])
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 2000, noNaN: true }), fc.constantFrom(...formats), (x, format) => {
        const reading = parseLength(formatExact(x, format), format.unit)
        expect(reading.ok && Math.abs(reading.value - x)).toBeLessThan(0.0128)
      }),
    )
  })

  it('gives back every point of each grid when read again', () => {
    for (const format of formats) {
      fc.assert(
        fc.property(fc.integer({ min: 0, max: Math.floor(20000 / gridStep(format)) }), (steps) => {
          const x = steps * gridStep(format)
          const reading = parseLength(formatLength(x, format), format.unit)
          expect(reading.ok && Math.abs(reading.value - x)).toBeLessThan(1e-9)
        }),
      )
    }
  })

  it('reduces every fraction', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 20000, noNaN: true }), fc.constantFrom(...formats), (x, format) => {
        const { fraction } = lengthParts(x, format)
        if (fraction) expect(fraction.top % 2).toBe(1)
      }),
    )
  })
})

describe('the grid', () => {
  it('keeps a value on the grid where it is, whichever way is asked', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100000 }), fc.constantFrom(...formats), (steps, format) => {
        const x = steps * gridStep(format)
        for (const way of ['up', 'down', 'nearest'] as const) expect(toGrid(x, gridStep(format), way)).toBeCloseTo(x, 6)
      }),
    )
  })

  it('goes up for openings and down for parts', () => {
    expect(toGrid(34.05, 0.5, 'up')).toBe(34.5)
    expect(toGrid(34.45, 0.5, 'down')).toBe(34)
  })

  it('prints steps that add up to the last mark, none more than half a step out', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.01, max: 200, noNaN: true }), { minLength: 1, maxLength: 60 }),
        fc.constantFrom(...formats),
        (gaps, format) => {
          const grid = gridStep(format)
          const values = gaps.reduce<number[]>((xs, g) => [...xs, xs.at(-1)! + g], [0])
          const { marks, steps } = printedMarks(values, grid)
          expect(steps.reduce((a, b) => a + b, 0)).toBeCloseTo(marks.at(-1)!, 6)
          values.forEach((x, i) => expect(Math.abs(marks[i]! - x)).toBeLessThanOrEqual(grid / 2 + 1e-9))
        },
      ),
    )
  })
})

describe('weights', () => {
  it.each([
    ['0.85', 'kg', 0.85],
    ['850 g', 'lb', 0.85],
    ['2 lb 3 oz', 'kg', 0.99223],
    ['12oz', 'kg', 0.34019],
    ['1,2', 'kg', 1.2],
  ] as const)('%s is %d kg', (text, unit, kg) => {
    const r = parseMass(text, unit)
    expect(r.ok && Number(r.value.toFixed(5))).toBe(kg)
  })
  it.each(['0', '-1', 'heavy', '900', ''])('refuses %j', (text) => expect(parseMass(text, 'kg').ok).toBe(false))
  it('keeps between its limits, told in the unit that is typed', () => {
    expect(parseMass('0.05', 'kg', { min: 0.1, max: 50 })).toMatchObject({ message: '“0.05”: less than 100 g can’t be right here.' }) // prettier-ignore
    expect(parseMass('120', 'lb', { min: 0.1, max: 50 })).toMatchObject({ message: '“120”: more than 110.23 lb can’t be right here.' }) // prettier-ignore
    expect(parseMass('0', 'kg', { min: 0 })).toEqual({ ok: true, value: 0 })
    expect(parseMass('-1', 'kg', { min: 0 }).ok).toBe(false)
  })
  it('writes small ones in grams', () => {
    expect(formatMass(0.85, 'kg')).toBe('850 g')
    expect(formatMass(0.45359237, 'lb')).toBe('1 lb')
  })
})

describe('pulls', () => {
  it.each([
    ['10', 'N', 10],
    ['12,5 N', 'lb', 12.5],
    ['2.2', 'lb', 9.786],
    ['1 kg', 'N', 9.807],
    ['8oz', 'lb', 2.224],
    ['0', 'N', 0],
  ] as const)('%s with %s for bare numbers is %d N', (text, unit, newtons) => {
    const r = parseForce(text, unit)
    expect(r.ok && Number(r.value.toFixed(3))).toBe(newtons)
  })
  it.each(['-1', 'hard', '', '3 mm'])('refuses %j, showing how to write it', (text) =>
    expect(parseForce(text, 'N')).toMatchObject({ ok: false, message: expect.stringContaining('10 N or 2.2 lb') }),
  )
  it('keeps between its limits, told in the unit that is typed', () => {
    expect(parseForce('30', 'lb', { max: 100 })).toMatchObject({ message: '“30”: more than 22.48 lb can’t be right here.' }) // prettier-ignore
    expect(parseForce('0.5', 'N', { min: 1 })).toMatchObject({ message: '“0.5”: less than 1 N can’t be right here.' })
  })
  it('are written in newtons or pounds, and read again as what they were', () => {
    expect([formatForce(150, 'N'), formatForce(150, 'lb'), briefForce(150, 'lb'), briefForce(9.8, 'lb')]).toEqual(['150 N', '33.72 lb', '34 lb', '2.2 lb']) // prettier-ignore
    const again = parseForce(formatForce(44.482216152605, 'lb'), 'lb')
    expect(again.ok && again.value).toBeCloseTo(44.482216, 5)
  })
})
