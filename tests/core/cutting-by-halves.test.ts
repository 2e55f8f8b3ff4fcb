import { expect, it } from 'vitest'
import { firstWhere } from '#core/cutting/by-halves'

it('finds the first of some in order from which on something holds, by few looks', () => {
  for (let count = 0; count <= 40; count++)
    for (let first = 0; first <= count; first++) {
      const looked: number[] = []
      const is = (at: number): boolean => looked.push(at) > 0 && at >= first
      expect(firstWhere(count, is)).toBe(first)
      expect(looked.every((at) => at >= 0 && at < count)).toBe(true)
      expect(looked.length).toBeLessThanOrEqual(Math.ceil(Math.log2(count + 1)))
    }
})
