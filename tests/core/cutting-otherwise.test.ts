import { describe, expect, it } from 'vitest'
import { panelsCutOtherwise } from './cut-otherwise'

const SEEDS = Array.from({ length: 30 }, (_, i) => 1 + i)
/** So much drops or shrinks that fewer sheets might do: those stay whole. */
const TOO_LOOSE = [2536, 5026, 5151]

describe('panels cut otherwise', () => {
  it.each([...SEEDS, ...TOO_LOOSE])('fill as many sheets as they were cut from, and no fewer, with seed %i', (seed) => {
    const { instance, best } = panelsCutOtherwise(seed)
    const { kerf, parts, stock } = instance
    const [sheet] = stock
    const room = (sheet!.length + kerf) * (sheet!.width! + kerf)
    const taken = parts.reduce((sum, p) => sum + (p.length + kerf) * (p.width! + kerf), 0) / room
    expect(taken).toBeGreaterThan(best - 1)
    expect(taken).toBeLessThanOrEqual(best + 1e-9)
    expect(parts.length).toBeLessThanOrEqual(150)
    expect(parts.every((p) => Math.min(p.length, p.width!) > 30 && p.length <= sheet!.length)).toBe(true)
  })

  it('are of all families', () => {
    const families = new Set(SEEDS.map((seed) => panelsCutOtherwise(seed).family))
    expect([...families].sort()).toEqual(['by a part', 'by mm', 'dropped', 'one of ten', 'whole'])
  })
})
