import { describe, expect, it } from 'vitest'
import { GRAVITY } from '#core/units/gravity'
import { fingerStress } from '#core/checks/finger'
import { design } from '#core/choose/design'
import { remediesFor } from '#core/choose/remedies'
import { materialOf, usualMaterials } from '#core/shop/materials'
import { board, mallet, railOf, shopWith } from './samples'

const verdict = (d: ReturnType<typeof design>) => d.verdicts.find((v) => v.id === 'finger')

describe('a finger across the grain', () => {
  it('bends as the worked example says', () => {
    expect(fingerStress(2 * 1.2 * GRAVITY, 60, 25, 18).toFixed(2)).toBe('1.05')
  })

  it('is refused in pine where it bears in ash, and ply is offered', () => {
    const heavy = [mallet('a', 27.5, 62, { mass: 2 }), mallet('b', 29, 70)]
    const stock = [
      board('pine', 'Pine 18', 'pine', 18),
      board('ash', 'Ash 20', 'white ash', 20),
      board('ply', 'Ply 18', 'birch ply', 17.7),
    ]
    const shop = shopWith({ stock })
    const pine = design(railOf(heavy, { railStock: 'pine', margin: 10 }, shop))
    expect(verdict(pine)).toMatchObject({ level: 'stop', seats: ['s1'], measured: { limit: 0.5 } })
    expect(remediesFor(pine, verdict(pine)!).map((r) => r.label)).toEqual(
      expect.arrayContaining(['Make it from Ash 20', 'Make it from Ply 18', 'Leave Mallet a out']),
    )
    expect(verdict(design(railOf(heavy, { railStock: 'ash', margin: 10 }, shop)))).toMatchObject({ level: 'pass', measured: { limit: 1 } }) // prettier-ignore
    expect(verdict(design(railOf(heavy, { railStock: 'ply', margin: 10 }, shop)))).toMatchObject({ level: 'pass', measured: { limit: 5.625 } }) // prettier-ignore
  })

  it('can’t be judged in a wood that is not known, and says so', () => {
    const shop = shopWith({ stock: [board('x', 'Driftwood', 'driftwood', 18)] })
    expect(verdict(design(railOf([mallet('a', 27.5, 62)], {}, shop)))).toMatchObject({ level: 'watch' })
  })

  it('is not judged under tools that nobody weighed', () => {
    expect(verdict(design(railOf([mallet('a', 27.5, 62, { mass: null })])))).toBeUndefined()
  })
})

describe('a material', () => {
  it('by a name that says less is the weakest that it could mean', () => {
    const all = usualMaterials()
    expect(materialOf(all, 'Birch Ply')!.name).toBe('birch ply')
    expect(materialOf(all, 'pine')!.name).toBe('eastern white pine')
    expect(materialOf(all, 'ply')!.name).toBe('softwood ply')
    expect(materialOf(all, 'oak')!.name).toBe('northern red oak')
    expect(materialOf(all, 'teak')).toBeUndefined()
    expect(materialOf(all, ' ')).toBeUndefined()
  })
})
