import { describe, expect, it } from 'vitest'
import { compare, givesUp } from '#core/choose/compare'
import { design } from '#core/choose/design'
import { fitStock } from '#core/choose/fit-stock'
import { mallet, railOf, shopWith, threeMallets } from './samples'

const row = (rows: ReturnType<typeof compare>, key: string) => rows.find((r) => r.key === key)!

describe('two holders side by side', () => {
  const [even, near] = [design(railOf(threeMallets(), { pitch: 'even' })), design(railOf(threeMallets()))]
  it('have their figures told apart, and which is better', () => {
    const rows = compare(even, near)
    expect(row(rows, 'length').values).toEqual([even.model!.boards[0]!.length, 304])
    expect(row(rows, 'length').better).toBe(1)
    expect(row(rows, 'tools')).toMatchObject({ values: [3, 3], better: null })
    expect(row(rows, 'wood').better).toBe(1)
  })
  it('tell what each gives up', () => {
    const fewer = design(railOf(threeMallets().slice(0, 2)))
    expect(givesUp(fewer, near)).toContain('no place for Mallet t3')
    expect(givesUp(near, fewer)).toEqual([])
    expect(row(compare(fewer, near), 'tools').better).toBe(1)
  })
  it('can be compared where one can’t be drawn', () => {
    const rows = compare(design(railOf([])), near)
    expect(row(rows, 'length')).toMatchObject({ values: [null, 304], better: null })
  })
})

describe('the best that fits a piece of stock', () => {
  const input = railOf(threeMallets())
  it('is the holder itself where it fits', () => {
    const found = fitStock(input, { length: 304, width: 100 })!
    expect(found).toMatchObject({ length: 304, gaveUp: [] })
    expect(found.holder).toEqual(input.holder)
  })
  it('has a narrower gap before anything else is given up', () => {
    const found = fitStock(input, { length: 296, width: 100 })!
    expect(found.holder.choices.gap).toBe(18)
    expect(found.gaveUp).toEqual(['gap 18 mm for 22 mm'])
    expect(found.length).toBe(296)
  })
  it('gives an even pitch up for it', () => {
    const even = railOf(threeMallets(), { pitch: 'even' })
    const found = fitStock(even, { length: 304, width: 100 })!
    expect(found.gaveUp).toEqual(['pitch by neighbour'])
  })
  it('leaves out what is used least, before what is used daily', () => {
    const [a, b, c] = threeMallets()
    const used = railOf([{ ...a!, use: 'daily' }, { ...b!, use: 'rarely' }, { ...c!, use: 'daily' }]) // prettier-ignore
    const found = fitStock(used, { length: 225, width: 100 })!
    expect(found.holder.seats.map((s) => s.tool)).toEqual(['t1', 't3'])
    expect(found.gaveUp[0]).toBe('without Mallet t2')
    expect(found.length).toBeLessThanOrEqual(225 + 1e-6)
  })
  it('is nothing where not even one tool fits, or the board is too narrow', () => {
    expect(fitStock(input, { length: 60, width: 100 })).toBeNull()
    expect(fitStock(input, { length: 1000, width: 40 })).toBeNull()
    expect(fitStock(railOf([]), { length: 1000, width: 400 })).toBeNull()
  })
  it('brings no stop of its own, and never more than there is room for', () => {
    const tools = [24, 26, 28, 30, 33].map((w, i) => mallet(`m${i}`, w, 60 + 8 * i))
    for (const length of [150, 220, 300, 380, 460]) {
      const found = fitStock(railOf(tools, {}, shopWith()), { length, width: 200 })
      if (!found) continue
      expect(found.length).toBeLessThanOrEqual(length + 1e-6)
      const d = design({ ...railOf(tools), holder: found.holder })
      expect(d.verdicts.filter((v) => v.level === 'stop')).toEqual([])
      expect(d.model!.boards[0]!.length).toBeCloseTo(found.length, 6)
    }
  })
})
