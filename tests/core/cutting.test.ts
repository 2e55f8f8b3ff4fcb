import { describe, expect, it } from 'vitest'
import { linearSolver } from '../../cli/highs'
import type { CutPlan } from '#core/cutting/instance'
import { meansUntil } from '#core/cutting/means'
import { fillBest } from '#core/cutting/one-d/knapsack'
import { randomFrom } from '#core/cutting/random'
import { readInstance } from '#core/cutting/read-instance'
import { cutting } from '#core/cutting/solve'
import { piecesIn } from '#core/cutting/two-d/blocks'
import { leastBought } from '#core/cutting/two-d/bound'
import { buildUp } from '#core/cutting/two-d/build-up'
import { demandOf } from '#core/cutting/two-d/sheets'
import { pose } from '#core/cutting/two-d/problem'
import { faults, type Asked } from './cut-checker'
import { lengths, panels, panelsOfSeveralSheets, type Known } from './cut-instances'

const solver = await linearSolver()

const instanceOf = (asked: Asked) => {
  const read = readInstance(JSON.stringify(asked))
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return read.instance
}

/** A plan by a number of rounds, without a clock. */
function cut(asked: Asked, rounds = 4, seed = 1): CutPlan {
  const search = cutting(
    instanceOf(asked),
    meansUntil(randomFrom(seed), rounds, solver, () => 0, Infinity),
  )
  for (;;) {
    const { value, done } = search.next()
    if (done) return value
  }
}

/** How many pieces of bought stock a plan uses. */
const boughtPieces = (asked: Asked, plan: CutPlan): number =>
  new Set(
    plan.placements
      .filter((p) => !asked.stock.find((s) => s.id === p.stockId)!.isOffcut)
      .map((p) => `${p.stockId} ${p.stockIndex}`),
  ).size

const range = (from: number, to: number): number[] => Array.from({ length: to - from + 1 }, (_, i) => from + i)

describe('a plan of cutting', () => {
  const check = (known: Known): number => {
    const plan = cut(known.instance, known.instance.kind === '1d' ? 8 : 6)
    expect(faults(known.instance, plan), known.instance.id).toEqual([])
    expect(plan.unplaced).toEqual([])
    const unit = known.instance.stock[0]!
    const size = known.instance.kind === '1d' ? unit.length : unit.length * unit.width!
    // The bound is one: the best plan known is not below it
    expect(plan.atLeast, known.instance.id).toBeLessThanOrEqual(known.best * size + 1)
    expect(plan.bought).toBeGreaterThanOrEqual(plan.atLeast - 1)
    return boughtPieces(known.instance, plan) - known.best
  }

  it('can be sawn, loses nothing and is near the best, for panels', () => {
    const some = range(1, 60).map(panels).filter((k) => k.instance.parts.length <= 60).slice(0, 24) // prettier-ignore
    const over = some.map(check)
    expect(Math.max(...over)).toBeLessThanOrEqual(2)
    expect(over.filter((n) => n === 0).length).toBeGreaterThanOrEqual(14)
  })

  it('can be sawn, loses nothing and is the best nearly always, for lengths', () => {
    const over = range(1, 40).map((seed) => check(lengths(seed)))
    expect(Math.max(...over)).toBeLessThanOrEqual(1)
    expect(over.filter((n) => n === 0).length).toBeGreaterThanOrEqual(36)
  })

  it('buys nothing when offcuts suffice', () => {
    for (const seed of [4, 10, 16]) expect(cut(panels(seed).instance).bought).toBe(0)
    for (const seed of [3, 8, 13]) expect(cut(lengths(seed).instance).bought).toBe(0)
  })

  it('is looked for by sides that agree before full sheets are listed, for that tells sooner', () => {
    // six and nine sheets of which some pieces are missing: to list those takes longer, and they need not come out by it
    for (const seed of [3199, 3223]) {
      const known = panelsOfSeveralSheets(seed)
      const plan = cut(known.instance, 3)
      expect(faults(known.instance, plan)).toEqual([])
      expect([plan.unplaced, boughtPieces(known.instance, plan)], known.instance.id).toEqual([[], known.best])
    }
  })

  it('is of sheets filled one by one as soon as single pieces were tried once, where sides tell nothing', () => {
    const known = panels(1015)
    const plan = cut(known.instance, 4)
    expect(faults(known.instance, plan)).toEqual([])
    expect([plan.unplaced, boughtPieces(known.instance, plan)]).toEqual([[], known.best])
  })

  it('is the same for the same seed and rounds', () => {
    for (const known of [panels(2), panels(5), lengths(4)])
      expect(cut(known.instance, 3, 7)).toEqual(cut(known.instance, 3, 7))
  })

  it('keeps the grain of what may not be turned', () => {
    const asked: Asked = {
      kind: '2d',
      kerf: 3,
      stock: [{ id: 'sheet', length: 1000, width: 500, isOffcut: false }],
      parts: [{ id: 'tall', length: 400, width: 900, count: 1 }],
    }
    expect(cut(asked).unplaced).toEqual([{ partId: 'tall', count: 1 }])
    const turned = cut({ ...asked, parts: [{ ...asked.parts[0]!, canRotate: true }] })
    expect(turned.placements).toMatchObject([{ rotated: true, length: 900, width: 400 }])
  })

  it('needs no kerf at an edge, and one between neighbours', () => {
    const two = (length: number): Asked => ({
      kind: '1d',
      kerf: 3,
      stock: [{ id: 'bar', length: 1003, isOffcut: false }],
      parts: [{ id: 'p', length, count: 2 }],
    })
    expect(boughtPieces(two(500), cut(two(500)))).toBe(1)
    expect(boughtPieces(two(500.1), cut(two(500.1)))).toBe(2)
  })

  it('says what has no place when the stock ends', () => {
    const asked: Asked = {
      kind: '2d',
      kerf: 2,
      stock: [{ id: 'only', length: 600, width: 300, count: 1, isOffcut: true }],
      parts: [
        { id: 'half', length: 299, width: 300, count: 3 },
        { id: 'giant', length: 900, width: 100 },
      ],
    }
    const plan = cut(asked)
    expect(faults(asked, plan)).toEqual([])
    expect(plan.unplaced).toEqual([
      { partId: 'half', count: 1 },
      { partId: 'giant', count: 1 },
    ])
  })

  it('keeps what is over in one piece', () => {
    const parts = [700, 640, 610, 580, 300, 290, 240].map((length, i) => ({ id: `p${i}`, length, width: 280 }))
    const asked: Asked = {
      kind: '2d',
      kerf: 3,
      stock: [{ id: 'sheet', length: 2440, width: 1220, isOffcut: false }],
      parts,
    }
    const { placements } = cut(asked, 10)
    const right = Math.max(...placements.map((p) => p.x + p.length))
    const top = Math.max(...placements.map((p) => p.y + p.width))
    const area = parts.reduce((sum, p) => sum + p.length * p.width, 0)
    const kept = Math.max((2440 - right) * 1220, (1220 - top) * 2440)
    expect(kept / (2440 * 1220 - area)).toBeGreaterThan(0.85)
  })

  it('looks for a larger rest also when the clock ends the search for less', () => {
    let larger = 0
    for (const { instance } of [1010, 1022, 2012, 3032].map(panels)) {
      let now = 0
      const search = cutting(
        instanceOf(instance),
        meansUntil(randomFrom(1), 1e9, null, () => (now += 0.05), 100),
      )
      const rest = (plan: CutPlan): number => {
        const { length, width } = instance.stock[0]!
        const of = (index: number): number => {
          const on = plan.placements.filter((p) => p.stockIndex === index)
          return Math.max((length - Math.max(...on.map((p) => p.x + p.length))) * width!, (width! - Math.max(...on.map((p) => p.y + p.width))) * length) // prettier-ignore
        }
        return Math.max(...[...new Set(plan.placements.map((p) => p.stockIndex))].map(of))
      }
      for (let before = 0; ;) {
        const { value, done } = search.next()
        if (!done) {
          before = rest(value)
          continue
        }
        expect(value.endedByClock).toBe(true)
        expect(faults(instance, value)).toEqual([])
        expect(rest(value)).toBeGreaterThanOrEqual(before - 1)
        if (rest(value) > before + 1) larger++
        break
      }
    }
    expect(larger).toBeGreaterThan(0)
  })

  it('uses offcuts too where something must be bought all the same', () => {
    for (const kind of ['1d', '2d'] as const) {
      const wide = kind === '2d' ? { width: 300 } : {}
      const asked: Asked = {
        kind,
        kerf: 3,
        stock: [
          { id: 'new', length: 2400, ...wide, isOffcut: false },
          { id: 'old', length: 620, ...wide, isOffcut: true },
        ],
        parts: [
          { id: 'long', length: 1500, ...wide },
          { id: 'short', length: 600, ...wide },
        ],
      }
      const plan = cut(asked)
      expect(boughtPieces(asked, plan)).toBe(1)
      expect(plan.placements.find((p) => p.partId === 'short')!.stockId).toBe('old')
    }
  })

  it('counts hundreds of like pieces', () => {
    const asked: Asked = {
      kind: '2d',
      kerf: 0,
      stock: [{ id: 'sheet', length: 1000, width: 1000, isOffcut: false }],
      parts: [
        { id: 'tile', length: 50, width: 50, count: 780, canRotate: true },
        { id: 'slip', length: 50, width: 25, count: 40 },
      ],
    }
    const plan = cut(asked, 2)
    expect(faults(asked, plan)).toEqual([])
    expect(boughtPieces(asked, plan)).toBe(2)
    const { problem } = pose(instanceOf(asked))
    expect([...demandOf(problem)]).toEqual([780, 40])
    // blocks never hold more of a shape than there is
    const { full } = buildUp(problem, { slack: 0, pairs: 200_000, enough: Infinity, eager: 0.02 }, () => false)
    for (const { built } of full) expect(built.counts.every((n, i) => n <= demandOf(problem)[i]!)).toBe(true)
    for (const { built } of full)
      expect(piecesIn(built.block, 0, 0, false)).toHaveLength(built.counts.reduce((a, b) => a + b, 0))
  })

  it('takes nothing at all, and a single piece', () => {
    const stock = [{ id: 's', length: 100, width: 100, isOffcut: false }]
    expect(cut({ kind: '2d', kerf: 3, stock, parts: [] }).placements).toEqual([])
    const whole = cut({ kind: '2d', kerf: 3, stock, parts: [{ id: 'p', length: 100, width: 100 }] })
    expect(whole.placements).toHaveLength(1)
    expect(whole.proven).toBe(true)
  })
})

describe('bounds', () => {
  it('tell that pieces of which no two share a sheet ask for one each', () => {
    const asked: Asked = {
      kind: '2d',
      kerf: 3,
      stock: [{ id: 's', length: 1000, width: 1000, isOffcut: false }],
      parts: [{ id: 'p', length: 520, width: 520, count: 3, canRotate: true }],
    }
    expect(leastBought(pose(instanceOf(asked)).problem)).toBe(3e6)
    expect(cut(asked).proven).toBe(true)
  })

  it('a length is filled with what is worth most', () => {
    expect(fillBest(10, [6, 5, 4], [6, 5.5, 4], [1, 2, 1])).toMatchObject({ counts: [0, 2, 0], value: 11, atMost: 11 })
    expect(fillBest(3, [6, 5], [1, 1], [1, 1]).value).toBe(0)
  })
})

describe('reading an instance', () => {
  const problems = (json: unknown): string[] => {
    const read = readInstance(typeof json === 'string' ? json : JSON.stringify(json))
    return read.ok ? [] : read.problems.map((p) => p.path)
  }

  it('fills in what is left out', () => {
    const read = readInstance(
      JSON.stringify({
        kind: '1d',
        kerf: 2,
        stock: [
          { id: 'a', length: 100 },
          { id: 'b', length: 50, isOffcut: true },
        ],
        parts: [{ id: 'p', length: 10 }],
      }),
    )
    expect(read).toMatchObject({
      ok: true,
      instance: {
        stock: [{ count: Infinity, isOffcut: false }, { count: 1 }],
        parts: [{ count: 1, canRotate: false }],
      },
    })
  })

  it('names each field that is wrong', () => {
    expect(problems('{')).toEqual([''])
    expect(problems([])).toEqual([''])
    expect(problems({ kind: '3d', kerf: -1, stock: 3, parts: [{ id: '', length: 'x' }] })).toEqual([
      'kind',
      'kerf',
      'stock',
      'parts[0].id',
      'parts[0].length',
    ])
    const row = { id: 'a', length: 30_000, width: 0, count: -1, canRotate: 'yes' }
    expect(problems({ kind: '2d', kerf: 0, stock: [], parts: [row, { id: 'a', length: 1, width: 1 }] })).toEqual([
      'parts[0].length',
      'parts[0].width',
      'parts[0].count',
      'parts[0].canRotate',
      'parts[1].id',
    ])
    expect(problems({ kind: '1d', kerf: 0, stock: [], parts: [{ id: 'a', length: 1, count: 5000 }] })).toEqual([
      'parts',
    ])
  })
})
