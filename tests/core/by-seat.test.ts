import { describe, expect, it } from 'vitest'
import { figuresBySeat } from '#core/choose/by-seat'
import { design } from '#core/choose/design'
import { mallet, railOf, threeMallets } from './samples'

const idsOf = (figures: { id: string }[]) => figures.map((f) => f.id)

describe('the figures of a holder by its places', () => {
  it('are all there, each once, and each place’s own are its own', () => {
    const made = design(railOf(threeMallets()))
    const { whole, seats } = figuresBySeat(made)
    expect(seats.map(({ id, place, name }) => [id, place, name])).toEqual([
      ['s1', 1, 'Mallet t1'],
      ['s2', 2, 'Mallet t2'],
      ['s3', 3, 'Mallet t3'],
    ])
    for (const { id, figures } of seats) {
      expect(idsOf(figures)).toEqual(expect.arrayContaining([`x:${id}`, `slot:${id}`]))
      expect(idsOf(figures).every((f) => f.endsWith(`:${id}`))).toBe(true)
    }
    const shown = [...whole, ...seats.flatMap((s) => s.figures)]
    const derived = made.working.filter((f) => f.origin.kind === 'derived')
    expect(idsOf(shown).sort()).toEqual(idsOf(derived).sort())
    expect(idsOf(whole)).toContain('length')
  })

  it('are told apart where there is nothing to draw, too', () => {
    const many = Array.from({ length: 300 }, (_, i) => mallet(`m${i}`, 28, 80))
    const made = design(railOf(many))
    expect(made.model).toBeNull()
    const { whole, seats } = figuresBySeat(made)
    expect(seats).toHaveLength(300)
    expect(seats[299]).toMatchObject({ id: 's300', place: 300, name: 'Mallet m299' })
    expect(idsOf(seats[299]!.figures)).toContain('slot:s300')
    expect(idsOf(whole).some((id) => /:s\d+$/.test(id))).toBe(false)
  })

  it('leave out a place that has no figures where nothing is drawn', () => {
    const bare = { ...mallet('b', 30, 70), measures: {} }
    expect(figuresBySeat(design(railOf([bare]))).seats).toEqual([])
  })
})
