import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SAME } from '#core/cutting/instance'
import { CloseBlocks, type May } from '#core/cutting/two-d/close/blocks'
import { ByReach } from '#core/cutting/two-d/close/by-reach'
import { CloseSheets } from '#core/cutting/two-d/close/full'
import { CloseLast } from '#core/cutting/two-d/close/last-one'
import { CloseTwo } from '#core/cutting/two-d/close/last-two'
import { isForClose, isLittle, littleWaste } from '#core/cutting/two-d/close/little-waste'
import { piecesIn } from '#core/cutting/two-d/plain/bits'
import type { Layout } from '#core/cutting/two-d/layout'
import { together, without } from '#core/cutting/two-d/rest'
import { sameTogether, type Problem, type Shape } from '#core/cutting/two-d/sheets'
import { panelsOfSeveralSheets } from './cut-instances'
import { checked, faultsOf, meansOf, posed, problemOf, SHEET, shapeOf, shrunk } from './cut-problems'

const never = (): boolean => false
const EFFORT = { blocks: 40_000, laid: 300_000, looks: 10_000_000, sheets: 2000, over: never }

const may = (part: number, sheet = SHEET): May => ({
  share: 0.8 * part,
  base: 0.02 * part * sheet.area,
  most: part * sheet.area,
})

const problemWith = (shapes: readonly Shape[], count = 1): Problem => ({
  ...sameTogether(shapes),
  sheets: [{ ...SHEET, count }],
})

interface Size {
  readonly l: number
  readonly w: number
}

/** What a block is told by: its pieces and its size. */
const nameOf = (pieces: readonly number[], { l, w }: Size): string => `${pieces.join()} ${l.toFixed(2)} ${w.toFixed(2)}`

/** All blocks that there are of some pieces, each part of which wastes no more than it may, by their sets and sizes. */
function allBlocks(shapes: readonly Shape[], { share, base, most }: May, largest: number): Set<string> {
  const names = new Set<string>()
  const sizes: Size[][] = [[]]
  for (let set = 1; set < 2 ** shapes.length; set++) {
    const held = shapes.flatMap((_, p) => ((set >> p) & 1 ? [p] : []))
    const net = held.reduce((sum, p) => sum + shapes[p]!.area, 0)
    const made: Size[] = []
    const [first] = held.map((p) => shapes[p]!)
    if (held.length === 1) {
      made.push(first!)
      if (first!.turns) made.push({ l: first!.w, w: first!.l })
    }
    for (let one = (set - 1) & set; one > 0; one = (one - 1) & set)
      for (const a of sizes[one]!)
        for (const b of sizes[set ^ one]!)
          made.push({ l: a.l + b.l, w: Math.max(a.w, b.w) }, { l: Math.max(a.l, b.l), w: a.w + b.w })
    sizes[set] = made.filter(({ l, w }) => {
      const goes = l <= SHEET.l + SAME && w <= SHEET.w + SAME
      return goes && (held.length === 1 || (net <= largest && l * w - net <= Math.min(most, share * net + base) + 1e-6))
    })
    sizes[set]!.forEach((size) => names.add(nameOf(held, size)))
  }
  return names
}

const blocksIn = (blocks: CloseBlocks, count: number): { held: number[]; l: number; w: number; at: number }[] =>
  Array.from({ length: blocks.top }, (_, at) => {
    const held = piecesIn(blocks.sets.subarray(at * blocks.words, (at + 1) * blocks.words), count, true)
    return { held, l: blocks.l[at]!, w: blocks.w[at]!, at }
  })

describe('blocks that fit closely', () => {
  it('are all there are that waste no more than they may, each once', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const shapes = shrunk(seed, [SHEET], 6, 20, seed % 2 === 0)
      // a row whose pieces may waste a part of their area is made in one order, in which a part of it may waste too much
      const most = (0.005 + 0.01 * (seed % 4)) * SHEET.area
      const allowed = seed > 8 ? may(0.05) : { share: 0, base: most, most }
      const blocks = new CloseBlocks(shapes, SHEET, allowed, 0.7 * SHEET.area, 40_000)
      blocks.build(never)
      const made = blocksIn(blocks, shapes.length)
      for (const { held, l, w, at } of made) {
        const net = held.reduce((sum, p) => sum + shapes[p]!.area, 0)
        expect([blocks.pieces[at], blocks.net[at]! - net < 1e-3]).toEqual([held.length, true])
        expect(blocks.waste[at]).toBeCloseTo(l * w - net, 3)
      }
      const names = made.map(({ held, l, w }) => nameOf(held, { l, w }))
      expect(new Set(names).size, `seed ${seed}`).toBe(names.length)
      const all = allBlocks(shapes, allowed, 0.7 * SHEET.area)
      if (seed <= 8) expect(names.sort(), `seed ${seed}`).toEqual([...all].sort())
      expect(names.filter((name) => !all.has(name))).toEqual([])
      expect(names.length).toBeGreaterThan(0.9 * all.size)
      expect(blocks.complete).toBe(true)
    }
  })

  it('are no more than may be made, and tell that there are others', () => {
    const shapes = shrunk(3, [SHEET, SHEET], 12, 20, true)
    const few = new CloseBlocks(shapes, SHEET, may(0.03), SHEET.area / 2, 60)
    few.build(never)
    expect([few.top, few.complete]).toEqual([60, false])
    const late = new CloseBlocks(shapes, SHEET, may(0.03), SHEET.area / 2, 40_000)
    late.build(() => true)
    // what was not joined can still be laid
    const turned = shapes.filter((s) => s.l <= SHEET.w).length
    expect([late.top, late.complete]).toEqual([shapes.length + turned, false])
    let told = 0
    late.reach[0].reaching(SHEET.l, SHEET.w, Infinity, late.thinnest, () => told++)
    expect(told).toBe(late.top)
  })

  it('are found by their sizes: all that reach across a rectangle, or fill it, with so much wasted beside them', () => {
    const size = fc.double({ min: 5, max: 700, noNaN: true })
    const sizes = fc.array(fc.tuple(size, size), { minLength: 1, maxLength: 60 })
    fc.assert(
      fc.property(sizes, size, size, fc.double({ min: 0, max: 90_000, noNaN: true }), (all, length, width, waste) => {
        const [along, across] = [0, 1].map((k) => Float64Array.from(all, (s) => s[k]!)) as [Float64Array, Float64Array]
        const by = new ByReach(along, across, 700)
        all.forEach((_, i) => by.add(i))
        const goes = [...all.keys()].filter((i) => along[i]! <= length && across[i]! <= width)
        const sorted = (found: number[]): number[] => found.sort((a, b) => a - b)
        const [reaching, filling]: [number[], number[]] = [[], []]
        by.reaching(length, width, waste, Math.min(...along), (i) => reaching.push(i))
        by.filling(length, width, waste, (i) => filling.push(i))
        expect(sorted(reaching)).toEqual(goes.filter((i) => (width - across[i]!) * along[i]! <= waste))
        expect(sorted(filling)).toEqual(goes.filter((i) => length * width - along[i]! * across[i]! <= waste))
      }),
      { numRuns: 300, seed: 5 },
    )
  })
})

describe('sheets filled closely', () => {
  it('are cut as they are told, and waste as much', () => {
    let found = 0
    for (let seed = 1; seed <= 6; seed++) {
      const problem = problemWith(shrunk(seed, [SHEET, SHEET, SHEET], 12, 12, seed % 2 === 0), 3)
      const sheets = new CloseSheets(problem, 0, may(0.02), EFFORT)
      sheets.find()
      for (let i = 0; i < sheets.count; i += 7) {
        found++
        const full = sheets.fullSheet(i)
        const parts = without(problem, [full])
        const plan = together(problem, [full], parts, { laid: [], left: [...parts.rest.pieces.keys()], cost: 0 })
        const taken = plan.laid[0]!.lying.map((p) => problem.shapes[problem.pieces[p.piece]!]!)
        expect(faultsOf(problem, plan)).toEqual([])
        expect(taken.length).toBe(sheets.piecesOf(i))
        expect(sheets.wasteOf(i)).toBeCloseTo(SHEET.area - taken.reduce((sum, s) => sum + s.area, 0), 0)
        expect(sheets.wasteOf(i)).toBeLessThanOrEqual(0.02 * SHEET.area)
      }
    }
    expect(found).toBeGreaterThan(20)
  })

  it('are found among other pieces, each set once, by what it wastes least', () => {
    // the one that was cut has no more than three cuts that go through before a block of half of it is left
    const own = [
      shapeOf(1220, 1220, false),
      shapeOf(1218, 610, false),
      shapeOf(609, 605, false),
      shapeOf(606, 606, false),
    ]
    const problem = problemWith([...own, ...shrunk(4, [SHEET], 9, 5, false)])
    const sheets = new CloseSheets(problem, 0, may(0.02), EFFORT)
    expect(sheets.find()).toBe(true)
    const waste = SHEET.area - own.reduce((sum, p) => sum + p.area, 0)
    const wastes = Array.from({ length: sheets.count }, (_, i) => [sheets.piecesOf(i), Math.round(sheets.wasteOf(i))])
    expect(wastes.filter(([n, w]) => n === 4 && w === Math.round(waste))).toHaveLength(1)
  })

  it('are looked for until enough blocks were laid, enough found, or the time is up', () => {
    const problem = problemWith(shrunk(2, [SHEET, SHEET, SHEET], 12, 12, true), 3)
    const find = (effort: Partial<typeof EFFORT>): [boolean, number] => {
      const sheets = new CloseSheets(problem, 0, may(0.02), { ...EFFORT, ...effort })
      return [sheets.find(), sheets.count]
    }
    expect(find({})[1]).toBeGreaterThan(10)
    expect(find({ sheets: 5 })).toEqual([false, 5])
    expect(find({ laid: 20 })[0]).toBe(false)
    expect(find({ laid: 20 })[1]).toBeLessThan(20)
    expect(find({ over: () => true })[0]).toBe(false)
  })

  it('may waste more until enough are found, and less where there are too many blocks', () => {
    const problem = problemWith(shrunk(5, [SHEET, SHEET, SHEET], 14, 12, false), 3)
    const little = littleWaste(problem, 0, [0.001 * SHEET.area, 0.1 * SHEET.area], 20, meansOf(1))
    expect(little.sheets.count).toBeGreaterThanOrEqual(20)
    expect(little.most).toBeGreaterThan(0.001 * SHEET.area)
    expect(little.built).toBeGreaterThan(little.sheets.built)
    const atOnce = littleWaste(problem, 0, [0.001 * SHEET.area, 0.0011 * SHEET.area], 20, meansOf(1))
    expect([atOnce.most, atOnce.sheets.count]).toEqual([0.001 * SHEET.area, 0])
    const far = littleWaste(problem, 0, [0.1 * SHEET.area, 0.5 * SHEET.area], Infinity, meansOf(1))
    expect(far.most).toBeLessThanOrEqual(0.1 * SHEET.area)
    expect(far.sheets.count).toBeGreaterThan(0)
  })

  it('are made of some of the pieces where so many blocks go together that none is made of all', () => {
    // 128 small ones, all of which may be turned: forty thousand blocks go together before one is large
    const { problem } = posed(panelsOfSeveralSheets(61_015))
    const { area } = problem.sheets[0]!
    const sheets = new CloseSheets(problem, 0, { share: 0.004, base: 1e-4 * area, most: 0.005 * area }, EFFORT)
    expect([sheets.find(), sheets.count]).toEqual([false, 0])
    const little = littleWaste(problem, 0, [0.005 * area, 0.02 * area], 20, meansOf(1))
    expect(little.sheets.count).toBeGreaterThanOrEqual(20)
    for (let i = 0; i < 20; i++) {
      const full = little.sheets.fullSheet(i)
      expect(checked(problem, [full]).faults).toEqual([])
      expect(full.waste).toBeLessThanOrEqual(little.most)
    }
  })

  it('are for equal sheets, many different pieces each, and little waste', () => {
    const problem = problemOf(1, 4, 14, 8)
    const stock = [0, 0, 0, 0]
    expect([isForClose(problem, stock), isLittle(problem, stock)]).toEqual([true, true])
    const missing = { ...problem, pieces: problem.pieces.slice(3) }
    expect([isForClose(missing, stock), isLittle(missing, stock)]).toEqual([true, false])
    expect(isForClose({ ...problem, pieces: problem.pieces.slice(0, 40) }, stock)).toBe(false)
    expect(isForClose({ ...problem, pieces: problem.pieces.map((_, i) => i % 20) }, stock)).toBe(false)
    const many = problemOf(1, 20, 13, 8)
    expect(isForClose({ ...many, pieces: many.pieces.slice(0, 255) }, stock)).toBe(true)
    expect(isForClose({ ...many, pieces: many.pieces.slice(0, 256) }, stock)).toBe(false)
    expect(isForClose({ ...problem, sheets: [SHEET, { ...SHEET, l: 2000 }] }, [0, 0, 0, 1])).toBe(false)
  })
})

describe('the last sheet filled closely', () => {
  it('takes all pieces of a sheet that was cut into many, where some may be wasted', () => {
    let filled = 0
    for (let seed = 1; seed <= 5; seed++) {
      const shapes = shrunk(seed, [SHEET], 18, 44, true)
      const problem = problemWith(shapes)
      const lying = new CloseLast().fill(problem, 0, never)
      if (!lying) continue
      filled++
      expect(faultsOf(problem, { laid: [{ sheet: 0, lying }], left: [], cost: SHEET.cost })).toEqual([])
      expect(lying).toHaveLength(shapes.length)
    }
    expect(filled).toBeGreaterThan(1)
  })

  it('takes few pieces by all ways, and none where there is too much or no time', () => {
    const few = problemWith(shrunk(2, [SHEET], 8, 30, true))
    const lying = new CloseLast().fill(few, 0, never)!
    expect(faultsOf(few, { laid: [{ sheet: 0, lying }], left: [], cost: SHEET.cost })).toEqual([])
    const many = problemWith(shrunk(1, [SHEET], 18, 44, true))
    expect(new CloseLast().fill(many, 0, () => true)).toBeNull()
    expect(new CloseLast().fill(problemWith(shrunk(1, [SHEET, SHEET], 12, 4, true)), 0, never)).toBeNull()
  })
})

describe('the last two sheets filled closely', () => {
  const two = (seed: number, pieces: number, by: number): Problem => ({
    ...problemOf(seed, 2, pieces, by, true),
    sheets: [{ ...SHEET, count: 2 }],
  })

  const fill = (problem: Problem, means = meansOf(1)): Layout | null =>
    new CloseTwo(problem, 0, 2 * SHEET.cost, means).fill()

  it('take all pieces of two sheets cut into many, where a little may be wasted', () => {
    for (const [seed, pieces] of [
      [1, 13],
      [2, 14],
      [5, 15],
    ] as const) {
      const problem = two(seed, pieces, 12)
      const plan = fill(problem)!
      expect(faultsOf(problem, plan), `seed ${seed}`).toEqual([])
      expect(plan.left, `seed ${seed}`).toEqual([])
      expect(plan.laid.map(({ lying }) => lying.length).reduce((sum, n) => sum + n)).toBe(2 * pieces)
    }
  })

  it('take none where there is no time, or where no two sheets hold them', () => {
    expect(fill(two(1, 13, 12), meansOf(1, 0))).toBeNull()
    const wide = Array.from({ length: 24 }, (_, i) => shapeOf(SHEET.l / 2 + 1 + i, 95 + i, false))
    expect(fill({ ...problemWith(wide), sheets: [{ ...SHEET, count: 2 }] })).toBeNull()
  })
})
