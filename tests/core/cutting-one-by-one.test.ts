import { describe, expect, it } from 'vitest'
import { below, randomFrom } from '#core/cutting/random'
import type { Layout } from '#core/cutting/two-d/layout'
import { OneByOne } from '#core/cutting/two-d/one-by-one'
import { layoutOf } from '#core/cutting/two-d/layout'
import { together, without } from '#core/cutting/two-d/rest'
import { firstPlan } from '#core/cutting/two-d/search'
import { areaOfAll, sameTogether, stockWithin, type Problem, type Shape } from '#core/cutting/two-d/sheets'
import type { SnugBlock } from '#core/cutting/two-d/snug/block'
import { SnugBlocks } from '#core/cutting/two-d/snug/blocks'
import { fullSheet } from '#core/cutting/two-d/snug/full'
import { SnugSheets } from '#core/cutting/two-d/snug/sheets'
import { EachInTurn, LikeliestFirst, SmallestFirst } from '#core/cutting/two-d/snug/turns'
import { panels, panelsShrunkFreely } from './cut-instances'
import { faultsOf, meansOf, posed, shapeOf, sheetOf, shrunk } from './cut-problems'

const never = (): boolean => false

/** The first plan with nothing left, of so many at most; or the last there was. */
function planOf(times: number, problem: Problem, limit: number, seed: number): Layout | null {
  const search = new OneByOne(problem, limit, meansOf(seed))
  let plan: Layout | null = null
  for (let i = 0; i < times && plan?.left.length !== 0; i++) {
    plan = search.next()
    if (plan) expect(faultsOf(problem, plan)).toEqual([])
  }
  return plan
}

describe('blocks in turn', () => {
  const block = (largest: number, l: number, net: number): SnugBlock => ({
    ...{
      number: -1,
      l,
      w: 1,
      net,
      turns: false,
      holds: new Int32Array(1),
      name: 0,
      largest,
      uneven: 0,
      joins: 0,
      chance: 0,
      made: 0,
    },
  })
  const blocks = [block(0, 10, 9), block(0, 10, 8), block(0, 10, 10), block(2, 90, 60), block(2, 80, 79)]

  it('are such with each piece as the largest, of each the least wasteful first', () => {
    const turns = new EachInTurn(3)
    expect([turns.pop(), turns.least()]).toEqual([null, Infinity])
    blocks.forEach((b) => turns.push(b))
    expect(turns.least()).toBe(8)
    const order = blocks.map(() => turns.pop()!)
    expect(order.map((b) => b.net)).toEqual([10, 79, 9, 60, 8])
    expect(turns.pop()).toBeNull()
  })

  it('are else the smallest first', () => {
    const turns = new SmallestFirst(5)
    blocks.forEach((b) => turns.push(b))
    expect(turns.least()).toBe(8)
    expect(blocks.map(() => turns.pop()!.net)).toEqual([8, 9, 10, 60, 79])
    expect([turns.pop(), turns.least()]).toEqual([null, Infinity])
  })

  it('are the likeliest first where what joins leave to chance counts, of such the smallest', () => {
    const turns = new LikeliestFirst(10)
    const chances = [2, 1, 1, 0.5, 3]
    blocks.forEach((b, i) => turns.push({ ...b, chance: chances[i]! }))
    expect(turns.least()).toBe(8)
    expect(blocks.map(() => turns.pop()!.net)).toEqual([60, 8, 10, 9, 79])
    expect([turns.pop(), turns.least()]).toEqual([null, Infinity])
  })

  it('are no more than have their turn, and which were dropped is known by their area', () => {
    const random = randomFrom(4)
    const many = Array.from({ length: 400 }, () => block(0, 100, below(random, 90)))
    const [all, few] = [new SmallestFirst(400), new SmallestFirst(30)]
    for (const b of many) for (const turns of [all, few]) turns.push({ ...b })
    for (let i = 0; i < 30; i++) expect(few.pop()!.net).toBe(all.pop()!.net)
    expect(few.most).toBeGreaterThanOrEqual(all.least())
    expect(few.most).toBeLessThan(90)
    while (few.pop());
    expect(few.least()).toBe(few.most)
  })

  it('are no more than have their turn where the likeliest come first, too', () => {
    const random = randomFrom(5)
    const many = Array.from({ length: 400 }, () => ({
      ...block(0, 100, 10 + below(random, 80)),
      chance: random() * 40,
    }))
    const [all, few] = [new LikeliestFirst(400), new LikeliestFirst(30)]
    for (const b of many) for (const turns of [all, few]) turns.push({ ...b })
    const least = Math.min(...many.map((b) => b.net))
    expect([few.least(), all.least()]).toEqual([least, least])
    for (let i = 0; i < 30; i++) expect(few.pop()).toEqual(all.pop())
    expect([few.unlikely, all.unlikely]).toEqual([expect.closeTo(3, -1), Infinity])
    let waiting = 0
    while (few.pop()) waiting++
    expect(waiting).toBeLessThan(30)
  })

  it('come to the same in the end, with some waste and with none', () => {
    const sheet = sheetOf(1000, 500, Infinity)
    // few sizes go together in many ways, and many of those go into no sheet
    const sizes = [[400, 300], [400, 100], [100, 100], [300, 100], [200, 200], [100, 300], [100, 200], [400, 200]] // prettier-ignore
    const few = sizes.map(([l, w]) => shapeOf(l!, w!, true))
    const namesOf = (shapes: Shape[], stock: typeof sheet, share: number, evenly: boolean): string[] => {
      const problem = { ...sameTogether(shapes), sheets: [stock] }
      const made = new SnugBlocks(problem, { share, most: share > 0 ? 0.02 * sheet.area : 1, evenly }, Infinity)
      made.build(never)
      expect(made.upTo).toBe(Infinity)
      return made.all
        .map((b) => `${[...made.packing.counts(b.holds)]} ${Math.min(b.l, b.w)} ${Math.max(b.l, b.w)}`)
        .sort()
    }
    for (const [shapes, stock, share] of [
      [shrunk(3, [sheet], 7, 4, true), sheet, 0.05],
      [few, sheetOf(600, 400, Infinity), 0],
    ] as const) {
      const all = namesOf(shapes, stock, share, true)
      expect(all.length).toBeGreaterThan(20)
      expect(new Set(namesOf(shapes, stock, share, false))).toEqual(new Set(all))
    }
  })

  it('bring large pieces into full sheets where the smallest first leave them out', () => {
    const sheet = sheetOf(2440, 1220, Infinity)
    const problem = { ...sameTogether(shrunk(8, [sheet, sheet, sheet, sheet], 14, 12, true)), sheets: [sheet] }
    const largest = problem.shapes.reduce((a, b, i) => (b.area > problem.shapes[a]!.area ? i : a), 0)
    const withLargest = (evenly: boolean): number => {
      const reach = { blocks: 1000, rests: 3000, sheets: 2000 }
      const snug = new SnugSheets(problem, { share: 0.02, most: 0.02 * sheet.area, evenly }, reach)
      snug.find(never)
      return snug.found.filter((s) => snug.packing.counts(s.holds)[largest]! > 0).length
    }
    expect(withLargest(true)).toBeGreaterThan(0)
    expect(withLargest(false)).toBe(0)
  })
})

describe('sheets of few pieces', () => {
  it('are filled by such whose sides differ by some centimetres', () => {
    const sheet = sheetOf(2440, 1220, 1)
    // the two halves: 1220 x 700 below 1180 x 520, and 1220 x 650 below 1180 x 570
    const sizes = [[1220, 700], [1180, 520], [1220, 650], [1180, 570]] // prettier-ignore
    const problem = { ...sameTogether(sizes.map(([l, w]) => shapeOf(l!, w!, false))), sheets: [sheet] }
    const most = sheet.area - areaOfAll(problem) + 1
    const snug = new SnugSheets(problem, { share: 0.05, most, evenly: true }, { blocks: 100, rests: 100, sheets: 10 })
    snug.find(never)
    expect(snug.found.map((s) => snug.packing.total(s.holds))).toContain(4)
  })
})

describe('sheets filled one by one', () => {
  const sheet = sheetOf(2440, 1220, Infinity)

  it('take pieces that shrank a little, in as few sheets as they were cut from', () => {
    for (const [seed, sheets, pieces, by, turns] of [
      [2, 5, 14, 30, false],
      [4, 6, 12, 30, true],
      [6, 8, 15, 20, true],
    ] as const) {
      const shapes = shrunk(seed, new Array<typeof sheet>(sheets).fill(sheet), pieces, by, turns)
      const problem = { ...sameTogether(shapes), sheets: [sheet] }
      expect(areaOfAll(problem)).toBeGreaterThan((sheets - 1) * sheet.area)
      const plan = planOf(12, problem, sheets * sheet.cost, seed)
      expect(plan?.left, `seed ${seed}`).toEqual([])
      expect(plan?.cost).toBeLessThanOrEqual(sheets * sheet.cost)
    }
  })

  it('of five pieces each come out in a round where a twenty-fifth may be wasted', () => {
    for (const [seed, sheets] of [
      [3, 6],
      [5, 6],
      [1, 8],
    ] as const) {
      const shapes = shrunk(seed, new Array<typeof sheet>(sheets).fill(sheet), 5, 30, true)
      const problem = { ...sameTogether(shapes), sheets: [sheet] }
      const plan = planOf(1, problem, sheets * sheet.cost, seed)
      expect(plan?.left, `seed ${seed}`).toEqual([])
    }
  })

  it('are no more than there are, of each size, and cost no more than they may', () => {
    const stock = [sheetOf(1220, 610, 2), sheetOf(900, 500, 2, 0), sheetOf(600, 600, 1, 0)]
    const shapes = shrunk(6, [stock[0]!, stock[1]!, stock[1]!, stock[2]!], 6, 6, true)
    const problem = { ...sameTogether(shapes), sheets: stock }
    expect(stockWithin(problem, stock[0]!.cost)).toEqual([0, 1, 1, 2])
    const plan = planOf(60, problem, stock[0]!.cost, 6)
    expect(plan?.left).toEqual([])
    expect(plan?.cost).toBeLessThanOrEqual(stock[0]!.cost)
  })

  it('may be more than are needed', () => {
    const offcuts = [sheetOf(600, 300, 6, 0)]
    const pieces = Array.from({ length: 4 }, () => shapeOf(600, 148, false))
    const problem = { ...sameTogether([...pieces, shapeOf(100, 100, true)]), sheets: offcuts }
    const plan = planOf(12, problem, 0, 1)
    expect(plan?.left).toEqual([])
  })

  it('come out in a few rounds where a sheet may waste a quarter of a piece', () => {
    // a hundred and nineteen pieces of seven sheets: the way before needed eight and more
    const { problem, limit } = posed(panels(7004))
    const plan = planOf(6, problem, limit, 2)
    expect(plan?.left).toEqual([])
  })

  it('come out in a round or two of many small pieces that may be turned, with blocks that waste less in parts and more in all', () => {
    const { problem, limit } = posed(panelsShrunkFreely(3224))
    for (const seed of [1, 2]) expect(planOf(3, problem, limit, seed)?.left, `seed ${seed}`).toEqual([])
  })

  it('are filled no other way where the bin is full of offcuts that nothing goes into', () => {
    const offcuts = [sheetOf(70, 70, 5, 0), sheetOf(60, 75, 3, 0)]
    const shapes = shrunk(2, new Array<typeof sheet>(5).fill(sheet), 14, 30, false)
    const alone = { ...sameTogether(shapes), sheets: [sheet] }
    const among = { ...alone, sheets: [sheet, ...offcuts] }
    const plan = planOf(1, alone, 5 * sheet.cost, 2)
    expect(plan?.left).toEqual([])
    expect(planOf(1, among, 5 * sheet.cost, 2)).toEqual(plan)
  })

  it('are done as soon as no piece is left, though offcuts are', () => {
    // eight halves fill four sheets; into the offcuts only the smallest piece would go, which is beside one of them
    const halves = new Array<Shape>(7).fill(shapeOf(1220, 305, false))
    const pieces = [...halves, shapeOf(1140, 305, false), shapeOf(80, 305, false)]
    const stock = [sheetOf(1220, 610, 4), sheetOf(80, 306, 3, 0)]
    const problem = { ...sameTogether(pieces), sheets: stock }
    const search = new OneByOne(problem, 4 * stock[0]!.cost, meansOf(1))
    const plans = Array.from({ length: 8 }, () => search.next()).filter((plan) => plan?.left.length === 0)
    expect(plans.map((plan) => plan!.laid.length)).toContain(4)
    for (const plan of plans) expect(faultsOf(problem, plan!)).toEqual([])
  })

  it('begin anew when all beginnings were gone on with', () => {
    // three sheets of two pieces each: only the right pairs fill them, and that is soon all there is
    const halves = [300, 400, 500].flatMap((l) => [shapeOf(l, 610, false), shapeOf(1220 - l, 610, false)])
    const small = { ...sameTogether(halves), sheets: [sheetOf(1220, 610, 3)] }
    const search = new OneByOne(small, 3 * small.sheets[0]!.cost, meansOf(1))
    const plans = Array.from({ length: 60 }, () => search.next())
    expect(plans.filter((plan) => plan?.left.length === 0).length).toBeGreaterThan(20)
    for (const plan of plans) if (plan) expect(faultsOf(small, plan)).toEqual([])
  })

  it('come to no plan where the area tells that there is none, and to an end when the time is up', () => {
    const shapes = shrunk(4, [sheet, sheet, sheet], 12, 3, true)
    const problem = { ...sameTogether(shapes), sheets: [sheet] }
    expect(planOf(6, problem, 2 * sheet.cost, 4)).toBeNull()
    const plan = new OneByOne(problem, 3 * sheet.cost, meansOf(4, 6, 0.05)).next()
    expect(plan).not.toBeNull()
    expect(faultsOf(problem, plan!)).toEqual([])
  })
})

describe('full sheets and what they leave', () => {
  it('are one plan of the whole, each piece once', () => {
    const sheet = sheetOf(1200, 800, Infinity)
    for (const seed of [1, 2, 3]) {
      const random = randomFrom(seed)
      const twice = shrunk(seed, [sheet, sheet], 6, 20, seed % 2 === 0)
      // some of a size, so that which piece of a shape is taken matters
      const problem = { ...sameTogether([...twice, ...twice.slice(0, 1 + below(random, 5))]), sheets: [sheet] }
      const reach = { blocks: 500, rests: 500, sheets: 50 }
      const snug = new SnugSheets(problem, { share: 0.1, most: 0.1 * sheet.area, evenly: true }, reach)
      snug.find(never)
      expect(snug.found.length).toBeGreaterThan(0)
      const full = [fullSheet(snug.packing, snug.found[below(random, snug.found.length)]!)]
      const parts = without(problem, full)
      const plan = together(problem, full, parts, layoutOf(parts.rest, firstPlan(parts.rest, random)))
      const pieces = [...plan.laid.flatMap((l) => l.lying.map((p) => p.piece)), ...plan.left]
      expect(pieces.sort((a, b) => a - b)).toEqual(problem.pieces.map((_, i) => i))
      expect(plan.cost).toBeCloseTo(plan.laid.length * sheet.cost, 3)
      expect(faultsOf(problem, plan)).toEqual([])
    }
  })
})
