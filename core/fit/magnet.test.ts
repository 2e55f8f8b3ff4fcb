import { describe, expect, it } from 'vitest'
import { discPull } from './magnet'

describe('a disc magnet on thick steel', () => {
  it('has its worked example: 10 × 5, 1.3 T, at 0 to 3 mm', () => {
    expect([0, 1, 2, 3].map((gap) => discPull(10, 5, gap, 1.3)).map((n) => (n > 20 ? Math.round(n) : Number(n.toFixed(1))))).toEqual([33, 12.8, 6.6, 3.7]) // prettier-ignore
  })

  it('falls with the gap, grows with the disc, and by the square of its remanence', () => {
    for (const gap of [0, 0.5, 1, 2, 5, 10]) {
      expect(discPull(10, 5, gap + 0.5, 1.3)).toBeLessThan(discPull(10, 5, gap, 1.3))
      expect(discPull(12, 5, gap, 1.3)).toBeGreaterThan(discPull(10, 5, gap, 1.3))
      expect(discPull(10, 6, gap, 1.3)).toBeGreaterThan(discPull(10, 5, gap, 1.3))
      expect(discPull(10, 5, gap, 0.65) * 4).toBeCloseTo(discPull(10, 5, gap, 1.3), 9)
    }
  })

  it('agrees with the integral of Bessel functions, added up as it stands', () => {
    const j1 = (q: number): number => {
      let sum = 0
      for (let i = 0; i < 200; i++) {
        const t = ((i + 0.5) * Math.PI) / 200
        sum += Math.cos(t - q * Math.sin(t))
      }
      return sum / 200
    }
    const f = (s: number): number => {
      let sum = 0
      for (let q = 0.005; q < 60; q += 0.01) sum += ((j1(q) ** 2 * Math.exp((-q * s) / 5)) / q) * 0.01
      return sum
    }
    const [z, l] = [2, 5]
    const force = 2.5 * 25 * 1.69 * (f(2 * z) - 2 * f(2 * z + l) + f(2 * z + 2 * l))
    expect(discPull(10, 5, 2, 1.3)).toBeCloseTo(force, 3)
  })
})
