import { describe, expect, it } from 'vitest'
import { readInstance } from '#core/cutting/read-instance'

const sheet = { id: 's', length: 1000, width: 500 }
const part = { id: 'p', length: 100, width: 100 }
const read = (more: object) => readInstance(JSON.stringify({ kind: '2d', kerf: 3, stock: [sheet], parts: [part], ...more })) // prettier-ignore
const problems = (more: object) => {
  const found = read(more)
  return found.ok ? [] : found.problems
}

describe('what is to be cut', () => {
  it('has one of each part and offcut, and other stock as it is wanted, where nothing else is said', () => {
    const found = read({ stock: [sheet, { ...sheet, id: 'o', isOffcut: true }] })
    if (!found.ok) throw new Error('unreadable')
    expect(found.instance.stock.map((s) => s.count)).toEqual([Infinity, 1])
    expect(found.instance.parts).toEqual([{ ...part, count: 1, canRotate: false }])
  })

  it('may begin with a mark of the byte order, as some editors write it', () => {
    const text = JSON.stringify({ kind: '1d', kerf: 3, stock: [sheet], parts: [part] })
    expect(readInstance(`\uFEFF${text}`)).toEqual(readInstance(text))
    expect(readInstance(`\uFEFF${text}`).ok).toBe(true)
  })

  it.each([[0], [7], [1_000_000], [1e30]])('may say %d of stock, however many that is', (count) => {
    const found = read({ stock: [{ ...sheet, count }] })
    if (!found.ok) throw new Error('unreadable')
    expect(found.instance.stock[0]!.count).toBe(Math.min(count, 100_000))
  })

  it.each([[-1], [1.5], ['3']])('can’t be %j pieces', (count) => {
    const message = `${JSON.stringify(count)} is no number of pieces: a whole number from 0.`
    expect(problems({ stock: [{ ...sheet, count }] })).toEqual([{ path: 'stock[0].count', message }])
    expect(problems({ parts: [{ ...part, count }] })).toEqual([{ path: 'parts[0].count', message }])
  })

  it.each([[2001], [1_000_000]])('is too much with %d pieces, and that is what is told', (count) => {
    const message = 'More pieces than the 2000 that are worked out at once: do it in parts.'
    expect(problems({ parts: [{ ...part, count }] })).toEqual([{ path: 'parts', message }])
    expect(problems({ parts: [{ ...part, count: 2000 }] })).toEqual([])
  })

  it('has its ids once each, and sizes of this world', () => {
    expect(problems({ stock: [sheet, sheet] })).toEqual([{ path: 'stock[1].id', message: 'The id s stands there twice.' }]) // prettier-ignore
    for (const length of [0, -5, 20_001, '100', null])
      expect(problems({ parts: [{ ...part, length }] }).map((p) => p.path)).toEqual(['parts[0].length'])
    expect(problems({ kerf: 51 }).map((p) => p.path)).toEqual(['kerf'])
  })
})
