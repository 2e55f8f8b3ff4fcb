import { expect, it } from 'vitest'
import { stretches, unbroken } from './figures-in-text'

it('keeps a figure together with its fraction and unit', () => {
  const figures = (text: string) => stretches(text).filter((s) => s.figure).map((s) => s.text) // prettier-ignore
  expect(figures('1. Cross-cut, stop at 20 11/16", back 10 5/16" × 3 9/16".')).toEqual([
    '20 11/16"',
    '10 5/16"',
    '3 9/16"',
  ])
  expect(figures('sags 1.2 mm under 3 kg, 32 mm (1 17/64") bit')).toEqual(['1.2 mm', '3 kg', '32 mm', '1 17/64"'])
  expect(figures('2 tools in 3 groups')).toEqual([])
  for (const text of ['3/4" at 1 1/2"', '7', ''])
    expect(
      stretches(text)
        .map((s) => s.text)
        .join(''),
    ).toBe(text)
})

it('has no blank within a figure at which a line could end', () => {
  expect(unbroken('back 10 5/16" × 3 9/16", 12 N')).toBe('back 10\u00a05/16" × 3\u00a09/16", 12\u00a0N')
  expect(unbroken('2 tools in 3 groups')).toBe('2 tools in 3 groups')
})
