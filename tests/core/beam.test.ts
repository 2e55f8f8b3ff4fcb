import { bevelPair, rocking } from '#core/fit/bevel'
import { describe, expect, it } from 'vitest'
import { evenRodStress, evenSag, flatInertia, pinStress, roundInertia } from '#core/checks/beam'
import { GRAVITY } from '#core/units/gravity'

describe('beams, by the worked examples', () => {
  it('two rods of 22 over 800 under 9 kg', () => {
    const sag = evenSag((9 * GRAVITY) / 2, 800, 11, roundInertia(22))
    expect([sag.toFixed(2), (2 * sag).toFixed(2)]).toEqual(['2.33', '4.65'])
    expect(2 * sag).toBeGreaterThan(800 / 360)
    expect(2 * evenSag((9 * GRAVITY) / 2, 800, 11, roundInertia(28))).toBeLessThan(800 / 360)
    expect(evenRodStress((9 * GRAVITY) / 2, 800, 22)).toBeCloseTo(4.22, 2)
  })

  it('a spine of 35 by 18 over 860 under 9 kg: one layer, two glued, two only screwed', () => {
    const sag = (height: number, layers = 1): string =>
      evenSag(9 * GRAVITY, 860, 8, layers * flatInertia(35, height)).toFixed(2)
    expect([sag(18), sag(36), sag(18, 2)]).toEqual(['5.37', '0.67', '2.69'])
  })

  it('a pin of 16 with 2.5 kg at 70', () => expect(pinStress(2.5 * GRAVITY, 70, 16).toFixed(2)).toBe('4.27'))
})

describe('bevelled strips, by the worked examples', () => {
  it('come in pairs of 77.3 and 59.3 out of 140', () => {
    const { long, short } = bevelPair(140, 18, 2.4, 45)
    expect([long.toFixed(1), short.toFixed(1)]).toEqual(['77.3', '59.3'])
  })

  it('hold 1.29 times at 45 degrees, 0.74 at 30, 1.13 with friction', () => {
    expect(rocking(180, 140, 45).held.toFixed(2)).toBe('1.29')
    expect(rocking(180, 140, 30).held.toFixed(2)).toBe('0.74')
    expect(rocking(180, 140, 30).heldByFriction.toFixed(2)).toBe('1.13')
  })
})
