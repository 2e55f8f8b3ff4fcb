import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { allForms } from '#core/forms/all-forms'
import { wallDesign } from '#core/wall/backing/wall-model'
import { anyHolder } from './any-holder'
import { oddShop } from './any-shop'
import { anyWall } from './any-wall'
import { likelyHolder } from './likely-holder'
import { unfollowableIn } from './worked-out'

/** A shop's way to write figures, fine enough that rounding is no excuse. */
const WRITTEN = { mm: { unit: 'mm', gridMm: 0.1, gridIn: 64 }, in: { unit: 'in', gridMm: 0.1, gridIn: 64 } } as const

describe.each(['mm', 'in'] as const)('working as a shop in %s is shown it', (unit) => {
  it.each(allForms.map((form) => [form.name, form] as const))('can be followed: %s', (_, form) => {
    fc.assert(
      fc.property(fc.oneof(anyHolder(form), likelyHolder(form)), (input) => {
        const shop = { ...input.shop, ...WRITTEN[unit] }
        expect(unfollowableIn(design({ ...input, shop }).working, shop)).toEqual([])
      }),
      { numRuns: 20, seed: 5 },
    )
  })

  it('can be followed: what a wall bears itself, and what its strips bear', () => {
    fc.assert(
      fc.property(anyWall, oddShop, (wall, any) => {
        const shop = { ...any, ...WRITTEN[unit] }
        expect(unfollowableIn(wallDesign(wall, shop).working, shop)).toEqual([])
      }),
      { numRuns: 40, seed: 6 },
    )
  })
})
