import { describe, expect, it } from 'vitest'
import { completed } from '#core/cutting/one-d/completion'
import type { BarsCut } from '#core/cutting/one-d/first-fit'
import { costOfPatterns, poseLengths, type Lengths } from '#core/cutting/one-d/lengths'
import { below, randomFrom } from '#core/cutting/random'
import { readInstance } from '#core/cutting/read-instance'
import { dissect } from './cut-instances'

interface Stock {
  id: string
  length: number
  count?: number
  isOffcut?: boolean
  width?: number
}

interface Part {
  length: number
  width?: number
}

function posed(stock: Stock[], parts: Part[], kerf = 0): Lengths {
  const asked = { kind: '1d', kerf, stock, parts: parts.map((p, i) => ({ id: `p${i}`, ...p })) }
  const read = readInstance(JSON.stringify(asked))
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return poseLengths(read.instance)
}

const never = (): boolean => false

/** Tries it some times, each time otherwise. */
function tried(lengths: Lengths, limit: number, times: number, fillings = 2000): BarsCut | null {
  for (let seed = 1; seed <= times; seed++) {
    const found = completed(lengths, limit, randomFrom(Math.imul(seed, 0x9e3779b1)), fillings, never)
    if (found) return found
  }
  return null
}

function expectWhole(lengths: Lengths, limit: number, found: BarsCut | null): void {
  expect(found).not.toBeNull()
  const { patterns, left } = found!
  expect(left.every((n) => n === 0)).toBe(true)
  const cut = lengths.sizes.map((_, s) => patterns.reduce((sum, p) => sum + p.counts[s]!, 0))
  expect(cut).toEqual(lengths.demand)
  expect(costOfPatterns(lengths, patterns)).toBeLessThanOrEqual(limit + 1e-6)
  lengths.bars.forEach((b, bar) => {
    const used = patterns.filter((p) => p.bar === bar)
    expect(used.length).toBeLessThanOrEqual(b.count)
    for (const { counts } of used) {
      const long = counts.reduce((sum, n, s) => sum + n * lengths.sizes[s]!, 0)
      expect(long).toBeLessThanOrEqual(b.length + 1e-6)
      counts.forEach((n, s) => expect(n === 0 || lengths.may[s]![bar]).toBe(true))
    }
  })
}

/** The lengths of some bars cut apart at random. */
const cutApart = (seed: number, bars: readonly number[], pieces: number, kerf: number): Part[] => {
  const random = randomFrom(Math.imul(seed, 0x9e3779b1))
  return bars.flatMap((length) =>
    dissect(random, { length, width: 1 }, pieces, kerf, 1, 40).map((r) => ({ length: r.length })),
  )
}

describe('bars that are all filled', () => {
  it('take what was cut from them, with nothing to waste', () => {
    for (const [seed, bars, kerf] of [
      [1, 8, 0],
      [2, 10, 3.2],
      [3, 7, 2.4],
    ] as const) {
      const parts = cutApart(seed, new Array<number>(bars).fill(2440), 5, kerf)
      const lengths = posed([{ id: 'bar', length: 2440 }], parts, kerf)
      expectWhole(lengths, bars * 2440, tried(lengths, bars * 2440, 20))
    }
  })

  it('use the offcuts that there are, and bars of more than one length', () => {
    const stock = [
      { id: 'long', length: 3000, count: 3 },
      { id: 'short', length: 2000, count: 4 },
      { id: 'left', length: 700, count: 2, isOffcut: true },
      { id: 'stub', length: 410, isOffcut: true },
    ]
    const parts = cutApart(5, [3000, 3000, 3000, 700, 700, 410], 4, 2)
    const lengths = posed(stock, parts, 2)
    expectWhole(lengths, 9000, tried(lengths, 9000, 20))
  })

  it('find a plan on small instances wherever there is one, and only there', () => {
    let possible = 0
    for (let seed = 1; seed <= 120; seed++) {
      const random = randomFrom(seed)
      const parts = Array.from({ length: 3 + below(random, 4) }, () => ({ length: 10 + below(random, 50) }))
      const bars = 1 + below(random, 3)
      const offcut = 20 + below(random, 60)
      const lengths = posed(
        [
          { id: 'bar', length: 80 },
          { id: 'offcut', length: offcut, isOffcut: true },
        ],
        parts,
      )
      const found = tried(lengths, bars * 80, 12)
      const room = [offcut, ...new Array<number>(bars).fill(80)]
      const goes = fits(parts.map((p) => p.length), room) // prettier-ignore
      if (goes) possible++
      expect(found !== null, `seed ${seed}`).toBe(goes)
      if (found) expectWhole(lengths, bars * 80, found)
    }
    expect(possible).toBeGreaterThan(30)
    expect(possible).toBeLessThan(110)
  })

  it('keep a part to the stock that is as wide', () => {
    const stock = [
      { id: 'narrow', length: 1000, width: 60, count: 1, isOffcut: true },
      { id: 'wide', length: 1000, width: 120, count: 1, isOffcut: true },
    ]
    const wide = posed(stock, [{ length: 600, width: 100 }, { length: 390, width: 100 }, { length: 900, width: 50 }]) // prettier-ignore
    expectWhole(wide, 0, tried(wide, 0, 10))
    const both = posed(stock, [{ length: 600, width: 100 }, { length: 600, width: 100 }]) // prettier-ignore
    expect(tried(both, 0, 10)).toBeNull()
  })

  it('are given up where the lengths are too many, and when the time is up', () => {
    const lengths = posed([{ id: 'bar', length: 1000 }], [{ length: 600 }, { length: 600 }])
    expect(completed(lengths, 1000, randomFrom(1), 100, never)).toBeNull()
    expect(completed(lengths, 0, randomFrom(1), 100, never)).toBeNull()
    expect(completed(lengths, 2000, randomFrom(1), 100, () => true)).toBeNull()
    expect(completed(lengths, 2000, randomFrom(1), 0, never)).toBeNull()
    expectWhole(lengths, 2000, completed(lengths, 2000, randomFrom(1), 100, never))
  })
})

/** Whether lengths go into some room, by trying everything. */
function fits(lengths: readonly number[], room: readonly number[]): boolean {
  const [first, ...rest] = lengths
  if (first === undefined) return true
  return room.some((r, i) => r >= first && fits(rest, room.map((o, k) => (k === i ? o - first : o)))) // prettier-ignore
}
