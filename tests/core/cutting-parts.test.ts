import { describe, expect, it } from 'vitest'
import { fullest, MOST } from '#core/cutting/one-d/fullest'
import { meansUntil } from '#core/cutting/means'
import { below, randomFrom } from '#core/cutting/random'
import { readInstance } from '#core/cutting/read-instance'
import { layoutOf } from '#core/cutting/two-d/layout'
import { PackedCounts, type Packed } from '#core/cutting/two-d/packed-counts'
import { pose } from '#core/cutting/two-d/problem'
import { keepMore } from '#core/cutting/two-d/remainder'
import { firstPlan } from '#core/cutting/two-d/search'
import { fewerSetUps, setUps } from '#core/cutting/two-d/set-ups'
import { stateOf } from '#core/cutting/two-d/tree-of'
import { panels } from './cut-instances'
import { posed } from './cut-problems'

describe('the fullest bar', () => {
  it('is the best of all subsets', () => {
    const random = randomFrom(5)
    for (let run = 0; run < 60; run++) {
      const sizes = Array.from({ length: below(random, 11) }, () => 40 + 0.1 * below(random, 9000))
      const limit = 2000 * random()
      let best = 0
      for (let set = 0; set < 1 << sizes.length; set++) {
        const sum = sizes.reduce((s, size, i) => ((set >> i) & 1 ? s + size : s), 0)
        if (sum <= limit && sum > best) best = sum
      }
      const taken = fullest(sizes, limit)
      expect(sizes.reduce((s, size, i) => (taken[i] ? s + size : s), 0)).toBeCloseTo(best, 6)
    }
  })

  it('takes nothing where nothing fits, everything where it does, and refuses too many', () => {
    expect(fullest([500, 600], 400)).toEqual([false, false])
    expect(fullest([500, 600, 700], 1800)).toEqual([true, true, true])
    expect(() => fullest(new Array<number>(MOST + 1).fill(1), 5)).toThrow(RangeError)
  })
})

describe('packed counts', () => {
  it('add up like single ones, and tell when there are too many', () => {
    const random = randomFrom(8)
    for (let run = 0; run < 200; run++) {
      const demand = Array.from({ length: 1 + below(random, 60) }, () => below(random, 5) * below(random, 40))
      const packing = new PackedCounts(demand)
      const some = (share: number) => {
        let held: Packed = new Int32Array(packing.words)
        demand.forEach((most, shape) => {
          for (let n = Math.round(most * share * random()); n > 0; n--) held = packing.sum(held, packing.one(shape)) // prettier-ignore
        })
        return { held, packed: packing.counts(held) }
      }
      const [a, b] = [some(0.9), some(0.9)]
      expect(packing.both(a.held, b.held)).toBe(demand.every((most, i) => a.packed[i]! + b.packed[i]! <= most))
      const row = packing.inRow([b.held, a.held])
      expect(packing.both(b.held, row, packing.words)).toBe(packing.both(a.held, b.held))
      if (packing.both(a.held, b.held))
        expect([...packing.counts(packing.sum(a.held, b.held))]).toEqual(demand.map((_, i) => a.packed[i]! + b.packed[i]!)) // prettier-ignore
    }
  })
})

describe('a plan read back as cuts', () => {
  it('holds the same pieces on the same sheets, the same way round', () => {
    for (let seed = 1; seed <= 24; seed++) {
      const { problem } = posed(panels(seed))
      const layout = layoutOf(problem, firstPlan(problem, randomFrom(seed)))
      const again = layoutOf(problem, stateOf(problem, layout))
      const told = (l: typeof layout) =>
        l.laid.map((s) => [s.sheet, s.lying.map((p) => `${p.piece} ${p.turned}`).sort()])
      expect(told(again)).toEqual(told(layout))
      expect(again.left).toEqual(layout.left)
    }
  })
})

describe('settings of the saw', () => {
  const means = () => meansUntil(randomFrom(3), 1, null, () => 0, Infinity)

  it('become fewer where equal pieces can lie in rows, and nothing else gets worse', () => {
    let fewer = 0
    for (let seed = 1; seed <= 40; seed++) {
      const read = readInstance(JSON.stringify(panels(seed).instance))
      if (!read.ok || read.instance.parts.length > 60) continue
      const { problem } = pose(read.instance)
      const before = keepMore(problem, layoutOf(problem, firstPlan(problem, randomFrom(seed))), means())
      const after = fewerSetUps(problem, before, means())
      expect(after.cost).toBeLessThanOrEqual(before.cost + 1e-3)
      expect(after.laid.flatMap((l) => l.lying.map((p) => p.piece)).sort((a, b) => a - b)).toEqual(problem.pieces.map((_, i) => i)) // prettier-ignore
      expect(setUps(problem, after.laid)).toBeLessThanOrEqual(setUps(problem, before.laid))
      if (setUps(problem, after.laid) < setUps(problem, before.laid)) fewer++
      const count = (l: typeof after, sheet: number) => l.laid.filter((x) => x.sheet === sheet).length
      problem.sheets.forEach((s, i) => s.cost > 0 && expect(count(after, i)).toBeLessThanOrEqual(count(before, i)))
    }
    expect(fewer).toBeGreaterThan(3)
  })

  it('are one rip and one stop for like pieces', () => {
    const read = readInstance(JSON.stringify({ kind: '2d', kerf: 3, stock: [{ id: 's', length: 2440, width: 1220, isOffcut: false }], parts: [{ id: 'p', length: 400, width: 100, count: 6 }] })) // prettier-ignore
    if (!read.ok) throw new Error('no instance')
    const { problem } = pose(read.instance)
    const plan = fewerSetUps(problem, layoutOf(problem, firstPlan(problem, randomFrom(1))), means())
    expect(setUps(problem, plan.laid)).toBeLessThanOrEqual(3)
  })
})
