import { describe, expect, it } from 'vitest'
import { pipeLump, pipePair, shortSide } from './pipe'

describe('pipes in pairs', () => {
  it('come out of one piece by one slanted cut', () => {
    expect(pipePair(420, 63, 45, 2)).toBeCloseTo(779.8, 1)
    // square, it is two pieces and a kerf
    expect(pipePair(420, 63, 0, 2)).toBe(842)
    expect(shortSide(420, 63, 45)).toBeCloseTo(357)
  })
})

describe('a pipe cut at a slant', () => {
  it('is as long as its middle, its weight towards the long side', () => {
    const { volume, up, out } = pipeLump(200, 50, 44, 45)
    expect(volume).toBeCloseTo((Math.PI * (2500 - 1936) * 175) / 4)
    expect(out).toBeLessThan(0)
    // by summing rings of wall
    let [v, z, y] = [0, 0, 0]
    for (let i = 0; i < 720; i++) {
      const angle = ((i + 0.5) * Math.PI) / 360
      for (let k = 0; k < 40; k++) {
        const r = 22 + (3 * (k + 0.5)) / 40
        const at = r * Math.sin(angle)
        const high = 200 - (at + 25)
        const part = r * high
        v += part
        z += (part * high) / 2
        y += part * at
      }
    }
    expect(up).toBeCloseTo(z / v, 1)
    expect(out).toBeCloseTo(y / v, 1)
    expect(pipeLump(200, 50, 44, 0)).toMatchObject({ up: 100, out: -0 })
  })
})
