import { describe, expect, it } from 'vitest'
import { randomFrom, type Random } from '#core/cutting/random'
import { FewBlocks } from '#core/cutting/two-d/few/blocks'
import { FullOfFew } from '#core/cutting/two-d/few/full'
import { lyingFull } from '#core/cutting/two-d/few/lying'
import { Pool } from '#core/cutting/two-d/few/pool'
import { Scope } from '#core/cutting/two-d/few/scope'
import { holdingOf, price, reducedOf, type Holding } from '#core/cutting/two-d/plain/prices'
import { piecesIn } from '#core/cutting/two-d/plain/bits'
import { Found } from '#core/cutting/two-d/plain/found'
import { areaOfAll, sameTogether, type Shape } from '#core/cutting/two-d/sheets'
import { panelsOfSeveralSheets } from './cut-instances'
import { faultsOf, meansOf, posed, problemOf, SHEET, shapeOf, shrunk } from './cut-problems'
import { ALL, mayWaste, setsOf } from './few-sheets'

describe('full sheets by what their pieces are worth', () => {
  it('are all that waste no more beyond it', () => {
    let compared = 0
    for (let seed = 1; seed <= 12; seed++) {
      const random = randomFrom(seed)
      const pieces = shrunk(seed, [SHEET, SHEET], 5, 25, seed % 2 === 0)
      const worth = Float64Array.from(pieces, () => (random() - 0.4) * 0.04 * SHEET.area)
      const limit = 0.01 * SHEET.area
      const told = new Map<string, number>()
      new FullOfFew(pieces, worth, SHEET, limit, mayWaste(SHEET.area, pieces.length), ALL.over).all(
        ALL,
        (set, waste) => {
          told.set(piecesIn(set, pieces.length, true).join(), waste)
        },
      )
      const beyond = (name: string): number =>
        name.split(',').reduce((rest, p) => rest - pieces[Number(p)]!.area - worth[Number(p)]!, SHEET.area)
      for (const [name, waste] of told) {
        expect(waste).toBeCloseTo(beyond(name), 1)
        expect(waste).toBeLessThanOrEqual(limit)
      }
      const all = [...setsOf(pieces, 0.1 * SHEET.area).keys()].filter((name) => beyond(name) <= limit - 1)
      compared += all.length
      for (const name of all) expect(told.has(name), `${seed}: ${name}`).toBe(true)
    }
    expect(compared).toBeGreaterThan(20)
  })

  it('may be held to what each of their pieces may waste in a block', () => {
    const pieces = shrunk(3, [SHEET, SHEET, SHEET], 6, 25, true)
    const worth = new Float64Array(pieces.length)
    const count = (part: number): number => {
      const each = Float64Array.from(pieces, (p) => part * p.area)
      const blocks = new FewBlocks(SHEET, 1, 100_000)
      blocks.build(pieces, worth, { parts: 3, waste: 0.05 * SHEET.area, each, base: 0, fine: 0 }, ALL.over)
      for (let i = 0; i < blocks.top; i++) {
        const held = piecesIn(blocks.sets.subarray(i, i + 1), pieces.length, true)
        expect(blocks.waste[i]).toBeLessThanOrEqual(held.reduce((sum, p) => sum + each[p]!, 0) + 1e-6)
      }
      return blocks.top
    }
    expect(count(0.01)).toBeLessThan(count(0.03))
  })

  it('lie as they are told, of five and five too, and nowhere where they fill none', () => {
    // each half is cut into five by turns, so that no three of them make a block beside the others
    const half = (top: number): Shape[] => {
      const a = SHEET.l / 2
      const [x, y] = [a / 3, top]
      return [
        shapeOf(a - x, y, false),
        shapeOf(x, SHEET.w - y, false),
        shapeOf(a - x, SHEET.w - y - 100, false),
        shapeOf(a - x, 100, false),
        shapeOf(x, y, false),
      ]
    }
    const pieces = [...half(200), ...half(260)]
    const waste = SHEET.area - pieces.reduce((sum, p) => sum + p.area, 0)
    const lying = lyingFull(pieces, SHEET, waste, ALL.over)!
    expect(lying).toHaveLength(10)
    const layout = { laid: [{ sheet: 0, lying }], left: [], cost: SHEET.cost }
    expect(faultsOf({ ...sameTogether(pieces), sheets: [SHEET] }, layout)).toEqual([])
    expect(lyingFull([...pieces.slice(1), shapeOf(SHEET.l, 5, false)], SHEET, waste, ALL.over)).toBeNull()
  })
})

describe('what pieces are worth', () => {
  /** Sheets that hold some pieces and waste so much. */
  const of = (sheets: readonly (readonly [pieces: readonly number[], waste: number])[]): Found => {
    const found = new Found(1)
    for (const [pieces, waste] of sheets) found.add(Int32Array.of(pieces.reduce((set, p) => set | (1 << p), 0)), waste)
    return found
  }

  /** Sheets of three of twelve pieces each, that waste from 1 to 6 mm². */
  const byChance = (random: Random, count: number): (readonly [readonly number[], number])[] =>
    Array.from({ length: count }, () => {
      const all = Array.from({ length: 12 }, (_, p) => p).sort(() => random() - 0.5)
      return [all.slice(0, 3), 1 + 5 * random()] as const
    })

  /** How often each of twelve pieces is in those taken, the likelier the less they waste beyond what it is worth. */
  const heldBy = (found: Found, { first, pieces }: Holding, reduced: Float64Array, average: number): Float64Array => {
    const held = new Float64Array(12)
    for (let i = 0; i < found.top; i++)
      for (const p of pieces.subarray(first[i], first[i + 1])) held[p]! += Math.exp(-reduced[i]! / (0.06 * average))
    return held
  }

  it('is such that each is in one sheet, those being taken the likelier the less they waste beyond it', () => {
    const random = randomFrom(7)
    // one plan of four sheets, and two hundred others
    const plan = [0, 1, 2, 3].map((s) => [[3 * s, 3 * s + 1, 3 * s + 2], 1 + s] as const)
    const found = of([...plan, ...byChance(random, 200)])
    const worth = new Float64Array(12)
    const holding = holdingOf(found)
    const average = 2.5
    price(found, holding, worth, average)
    const reduced = reducedOf(found, holding, worth)
    const held = heldBy(found, holding, reduced, average)
    for (const times of held) expect(times).toBeCloseTo(1, 0)
    expect(Math.max(...held) - Math.min(...held)).toBeLessThan(0.3)
    // so all together are worth no more than the plan wastes, but for what is left to chance
    expect(worth.reduce((sum, value) => sum + value, 0)).toBeLessThan(1 + 2 + 3 + 4 + 0.5)
  })

  it('is told again as well by a part of the steps where others come to light', () => {
    const random = randomFrom(8)
    const first = [...[0, 1, 2, 3].map((s) => [[3 * s, 3 * s + 1, 3 * s + 2], 2] as const), ...byChance(random, 100)]
    const worth = new Float64Array(12)
    price(of(first), holdingOf(of(first)), worth, 2.5)
    const afresh = new Float64Array(12)
    const found = of([...first, ...byChance(random, 100)])
    for (const prices of [worth, afresh]) {
      price(found, holdingOf(found), prices, 2.5)
      const held = heldBy(found, holdingOf(found), reducedOf(found, holdingOf(found), prices), 2.5)
      expect(Math.max(...held) - Math.min(...held)).toBeLessThan(0.3)
    }
    worth.forEach((value, p) => expect(Math.abs(value - afresh[p]!)).toBeLessThan(0.1))
  })

  it('is more for a piece that is only in sheets which waste much, and bounded for one in none', () => {
    const sheets = [0, 1, 2, 3].flatMap((a) => [4, 5, 6].map((b) => [[a, b], 1] as const))
    const found = of([...sheets, [[0, 7], 9], [[1, 7], 9]])
    const worth = new Float64Array(9)
    price(found, holdingOf(found), worth, 10)
    for (const p of [4, 5, 6]) expect(worth[7]).toBeGreaterThan(worth[p]! + 2)
    expect(worth[8]).toBe(5)
  })

  it('brings full sheets to light that waste more, for what is hard to place', () => {
    const { problem } = posed(panelsOfSeveralSheets(22040))
    const pieces = problem.pieces.map((p) => problem.shapes[p]!)
    const sheet = problem.sheets[0]!
    const slack = 7 * sheet.area - areaOfAll(problem)
    const pool = new Pool(pieces, sheet, slack / 7)
    const means = meansOf(1)
    /** What the one that wastes most does, in parts of what a sheet may on average. */
    const most = (): number => (7 * Math.max(...pool.found.waste.subarray(0, pool.found.top))) / slack
    pool.list(means)
    expect(most()).toBeLessThanOrEqual(0.75)
    for (let i = 0; i < 5; i++) pool.list(means)
    expect(most()).toBeGreaterThan(1.5)
    expect(pool.reduced).toHaveLength(pool.found.top)
    // with parts of sheets a good deal less is wasted than may be
    expect(pool.least).toBeLessThan(0.7 * slack)
    // what is told of a list that was broken off is not gone by
    pool.list({ ...means, over: () => true })
    expect(pool.least).toBe(Infinity)
  })

  it('is told with fines where joins are fined, beside what sheets waste', () => {
    const { problem } = posed(panelsOfSeveralSheets(66920))
    const pieces = problem.pieces.map((p) => problem.shapes[p]!)
    const sheet = problem.sheets[0]!
    const each = (10 * sheet.area - areaOfAll(problem)) / 10
    const pool = new Pool(pieces, sheet, each, new Scope(true, 0.2))
    expect(pool.average).toBeCloseTo(1.8 * each, 6)
    for (let i = 0; i < 4; i++) pool.list(meansOf(1))
    const { found, wasted } = pool
    expect(found.top).toBeGreaterThan(1000)
    expect(wasted).toHaveLength(found.top)
    let fined = 0
    for (let i = 0; i < found.top; i++) {
      const held = piecesIn(found.sets.subarray(i * found.words, (i + 1) * found.words), pieces.length, true)
      expect(wasted[i]).toBeCloseTo(
        held.reduce((rest, p) => rest - pieces[p]!.area, sheet.area),
        3,
      )
      // by whole fines
      const fines = (found.waste[i]! - wasted[i]!) / (0.2 * each)
      expect(Math.abs(fines - Math.round(fines))).toBeLessThan(1e-5)
      if (fines > 0.5) fined++
    }
    expect(fined).toBeGreaterThan(0.5 * found.top)
    expect(pool.isVain).toBe(false)
    // a plan may cost so little
    expect(pool.least).toBeLessThan(10 * pool.average)
    expect(pool.mayCost).toBeCloseTo(10 * pool.average, 3)
  })

  it('is told with fines in vain where no side agrees', () => {
    const problem = problemOf(3, 6, 13, 30, true)
    const pieces = problem.pieces.map((p) => problem.shapes[p]!)
    const sheet = problem.sheets[0]!
    const each = (6 * sheet.area - areaOfAll(problem)) / 60
    const [plain, fined] = [new Scope(true), new Scope(true, 0.2)].map((scope) => new Pool(pieces, sheet, each, scope))
    const lists = (pool: Pool | undefined): boolean[] =>
      Array.from({ length: 7 }, () => {
        pool!.list(meansOf(1))
        return pool!.isVain
      })
    expect(lists(fined).at(-1)).toBe(true)
    expect(lists(plain)).not.toContain(true)
  })

  it('is told by the best of very many, and some with each piece', () => {
    const problem = problemOf(1, 10, 10, 15, true)
    const pieces = problem.pieces.map((p) => problem.shapes[p]!)
    const sheet = problem.sheets[0]!
    const pool = new Pool(pieces, sheet, (10 * sheet.area - areaOfAll(problem)) / 10)
    const means = meansOf(1)
    for (let i = 0; i < 9; i++) pool.list(means)
    expect(pool.found.top).toBeGreaterThan(1000)
    expect(pool.found.top).toBeLessThanOrEqual(40_000 + 200_000)
    const { first, pieces: held } = holdingOf(pool.found)
    expect(first[pool.found.top]).toBe(held.length)
    expect(new Set(held).size).toBeGreaterThan(0.9 * pieces.length)
  })
})
