import { describe, expect, it } from 'vitest'
import { hasRoom, nameHeight } from '../../app/composables/nameOnWall'

describe('a name on the wall', () => {
  it('stands in the middle of what is wide enough', () => {
    expect(hasRoom('bench', 1700)).toBe(true)
    const foot = nameHeight('bench', { z: 0, width: 1700, height: 850 })
    expect(foot).toBeGreaterThan(425 - 30)
    expect(foot).toBeLessThan(425)
  })
  it('stands below what is too narrow for it', () => {
    expect(hasRoom('outlet pair', 150)).toBe(false)
    expect(nameHeight('outlet pair', { z: 1100, width: 150, height: 90 })).toBeLessThan(1100 - 40)
  })
  it('never stands below the floor', () => {
    for (const z of [0, 30, 57, 58, 59])
      expect(nameHeight('outlet pair', { z, width: 150, height: 90 })).toBeGreaterThan(0)
    expect(nameHeight('outlet pair', { z: 30, width: 150, height: 90 })).toBeGreaterThan(120)
  })
})
