import { describe, expect, it } from 'vitest'
import { AllWays, FEW, FEW_FOR_TWO } from '#core/cutting/two-d/all-ways'
import { piecesIn, type Lying } from '#core/cutting/two-d/blocks'
import { LastOne } from '#core/cutting/two-d/last-one'
import type { Layout } from '#core/cutting/two-d/layout'
import { demandOf, sameTogether, type Problem, type Shape, type Sheet } from '#core/cutting/two-d/sheets'
import type { SnugBlock } from '#core/cutting/two-d/snug/block'
import { SnugBlocks } from '#core/cutting/two-d/snug/blocks'
import { blockOf } from '#core/cutting/two-d/snug/full'
import { SnugSheets } from '#core/cutting/two-d/snug/sheets'
import { ofSnug, thriftyFirst } from '#core/cutting/two-d/snug/thrifty'
import { layOut } from '#core/cutting/two-d/solve'
import { panelsShrunkFreely } from './cut-instances'
import { faultsOf, meansOf, posed, problemOf, SHEET, shapeOf, sheetOf, shrunk, slackOf } from './cut-problems'

const never = (): boolean => false

const on = (sheet: Sheet, shapes: readonly Shape[]): Problem => ({ ...sameTogether(shapes), sheets: [sheet] })

/** What is wrong where all pieces lie in one sheet. */
const wrong = (problem: Problem, lying: readonly Lying[] | null): string[] =>
  faultsOf(problem, { laid: [{ sheet: 0, lying: lying! }], left: [], cost: 0 })

describe('all ways to fill a rectangle', () => {
  const allWays = new AllWays()

  it('put together what was cut apart, with nothing wasted', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const sheet = sheetOf(1220, 610, 1)
      const problem = on(sheet, shrunk(seed, [sheet], 2 + seed, 0, seed % 2 === 0))
      const lying = allWays.fill(problem, sheet, never)
      expect(lying, `seed ${seed}`).not.toBeNull()
      expect(wrong(problem, lying), `seed ${seed}`).toEqual([])
    }
  })

  it('find others where pieces shrank, and none where one is larger', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const pieces = shrunk(seed, [SHEET], 9, 14, true)
      const lying = allWays.fill(on(SHEET, pieces), SHEET, never)
      expect(wrong(on(SHEET, pieces), lying), `seed ${seed}`).toEqual([])
      const more = on(SHEET, [...pieces.slice(1), shapeOf(SHEET.l - 1, SHEET.w - 50, true)])
      expect(allWays.fill(more, SHEET, never)).toBeNull()
    }
  })

  it('come to the same in whatever order the pieces are told', () => {
    const outcomes = new Set<boolean>()
    for (let seed = 1; seed <= 20; seed++) {
      const [first, ...rest] = shrunk(seed, [SHEET], 11, 16, seed % 2 === 0)
      const pieces = [shapeOf(first!.l + 20, first!.w + 20, first!.turns), ...rest]
      const isFilled = (shapes: readonly Shape[]): boolean => allWays.fill(on(SHEET, shapes), SHEET, never) !== null
      expect(isFilled([...pieces].reverse()), `seed ${seed}`).toBe(isFilled(pieces))
      outcomes.add(isFilled(pieces))
    }
    expect(outcomes.size).toBe(2)
  })

  it('turn only what may be turned', () => {
    const pieces = (turns: boolean): Shape[] => [shapeOf(600, 300, false), shapeOf(300, 500, turns)]
    expect(allWays.fill(on(SHEET, pieces(false)), { l: 600, w: 600 }, never)).toBeNull()
    const lying = allWays.fill(on(sheetOf(600, 600, 1), pieces(true)), { l: 600, w: 600 }, never)
    expect(lying!.map((p) => p.turned)).toEqual(expect.arrayContaining([false, true]))
    expect(wrong(on(sheetOf(600, 600, 1), pieces(true)), lying)).toEqual([])
  })

  it('are for no more than a few pieces, and for one at least', () => {
    const small = new Array<Shape>(FEW + 1).fill(shapeOf(100, 100, true))
    expect(allWays.fill(on(SHEET, small), SHEET, never)).toBeNull()
    expect(allWays.fill(on(SHEET, []), SHEET, never)).toBeNull()
  })

  it('end where there are more sizes than can be kept', () => {
    const pieces = Array.from({ length: FEW }, (_, i) => shapeOf(101 + 17 * i, 80 + 13 * ((i * 5) % FEW), true))
    const few = new AllWays(1 << 12)
    expect(few.fill(on(SHEET, pieces), SHEET, never)).toBeNull()
    // and what comes after is as right as ever
    expect(few.fill(on(SHEET, shrunk(3, [SHEET], 8, 0, true)), SHEET, never)).not.toBeNull()
  })
})

describe('all ways to fill two rectangles', () => {
  const allWays = new AllWays(undefined, FEW_FOR_TWO)

  /** What is wrong where the pieces of two equal sheets lie so. */
  const wrongInTwo = (problem: Problem, lying: readonly (readonly Lying[])[] | null): string[] =>
    faultsOf(problem, { laid: lying!.map((l) => ({ sheet: 0, lying: [...l] })), left: [], cost: 0 })

  it('put together what was cut from both', () => {
    for (let seed = 1; seed <= 8; seed++) {
      const sheet = sheetOf(1220, 610, 2)
      const shrinks = seed % 2 === 0 ? 0 : 20
      const problem = on(sheet, shrunk(seed, [sheet, sheet], 6 + (seed % 3), shrinks, seed > 4))
      const lying = allWays.fillTwo(problem, sheet, never)
      expect(lying, `seed ${seed}`).not.toBeNull()
      expect(wrongInTwo(problem, lying), `seed ${seed}`).toEqual([])
    }
  })

  it('find none where the area would do but no two of the pieces lie in one', () => {
    const halves = [0, 1, 2].map((i) => shapeOf(0.6 * SHEET.l + i, SHEET.w, false))
    expect(allWays.fillTwo(on(SHEET, halves), SHEET, never)).toBeNull()
    const two = on({ ...SHEET, count: 2 }, halves.slice(1))
    expect(wrongInTwo(two, allWays.fillTwo(two, SHEET, never))).toEqual([])
  })

  it('end when the time is up, and are for no more than a few pieces', () => {
    const pieces = shrunk(3, [SHEET, SHEET], 8, 20, true)
    expect(allWays.fillTwo(on(SHEET, pieces), SHEET, () => true)).toBeNull()
    const small = new Array<Shape>(FEW_FOR_TWO + 1).fill(shapeOf(100, 100, true))
    expect(allWays.fillTwo(on(SHEET, small), SHEET, never)).toBeNull()
  })
})

describe('rows from edge to edge', () => {
  const rowsOf = (problem: Problem, most: number, share: number): { rows: SnugBlock[]; blocks: SnugBlocks } => {
    const play = { share: 0.01, most: 0.01 * SHEET.area, evenly: true }
    const blocks = new SnugBlocks(problem, play, 300)
    blocks.build(never)
    const from = blocks.all.length
    blocks.addRows({ most, share }, never)
    return { rows: blocks.all.slice(from), blocks }
  }

  it('reach across a sheet and waste no more than they may, and no piece is twice in one', () => {
    const problem = problemOf(1, 3, 16, 6, true)
    const { rows, blocks } = rowsOf(problem, 500, 0.01)
    expect(rows.length).toBeGreaterThan(20)
    const demand = demandOf(problem)
    for (const row of rows) {
      const sides = [
        [row.l, row.w],
        [row.w, row.l],
      ] as const
      const across = sides.some(
        ([wide, thick], turned) =>
          (turned === 0 || row.turns) &&
          [SHEET.l, SHEET.w].some((span) => wide <= span && thick * span - row.net <= 0.01 * thick * span + 1e-3),
      )
      expect(across, `${row.l} x ${row.w}`).toBe(true)
      blocks.packing.counts(row.holds).forEach((n, shape) => expect(n).toBeLessThanOrEqual(demand[shape]!))
      const lying = piecesIn(blockOf(row), 0, 0, false)
      const within = on(
        sheetOf(row.l, row.w, 1),
        lying.map((p) => problem.shapes[p.piece]!),
      )
      expect(
        wrong(
          within,
          lying.map((p, piece) => ({ ...p, piece })),
        ),
      ).toEqual([])
    }
  })

  it('are as many as asked for, and none where nothing reaches', () => {
    expect(rowsOf(problemOf(1, 3, 16, 6, true), 7, 0.01).rows).toHaveLength(7)
    expect(rowsOf(on({ ...SHEET, count: 1 }, [shapeOf(500, 400, false)]), 7, 0.01).rows).toEqual([])
    const usedUp = problemOf(1, 3, 16, 6, true)
    expect(rowsOf({ ...usedUp, sheets: [{ ...SHEET, count: 0 }] }, 7, 0.01).rows).toEqual([])
  })

  it('take equal pieces as often as there are', () => {
    for (const [there, found] of [
      [3, 0],
      [4, 1],
    ] as const) {
      const problem = on({ ...SHEET, count: 1 }, new Array<Shape>(there).fill(shapeOf(500, SHEET.w / 4, false)))
      const { rows, blocks } = rowsOf(problem, 10, 0.001)
      // blocks of two and more are there before
      const across = [...rows, ...blocks.all].filter((b) => b.w === SHEET.w && b.net === 4 * 500 * (SHEET.w / 4))
      expect(new Set(across).size, `${there}`).toBe(found)
    }
  })

  it('make more full sheets, and less wasteful ones', () => {
    const problem = problemOf(2, 4, 18, 10, true)
    const sheets = [{ ...SHEET, count: 4 }]
    const [without, among] = [undefined, { most: 1000, share: 0.006 }].map((rows) => {
      const play = { share: 0.012, most: 0.006 * SHEET.area, evenly: true }
      const snug = new SnugSheets({ ...problem, sheets }, play, { blocks: 1000, rests: 3000, sheets: 2000, rows })
      snug.find(never)
      return snug.found.map((f) => f.waste)
    })
    expect(among!.length).toBeGreaterThan(2 * without!.length)
    expect(Math.min(...among!)).toBeLessThanOrEqual(Math.min(...without!))
  })
})

describe('full sheets for which the last ones are left most', () => {
  it('waste least with the fewest pieces, and as much is a piece worth as it has of what may be wasted', () => {
    const problem = problemOf(2, 4, 18, 10, true)
    const sheets = [{ ...SHEET, count: 4 }]
    const snug = new SnugSheets(
      { ...problem, sheets },
      { share: 0.02, most: 0.01 * SHEET.area, evenly: true },
      { blocks: 1000, rests: 3000, sheets: 2000 },
    )
    snug.find(never)
    const slack = slackOf(problem, 4)
    const each = slack / problem.pieces.length
    const order = thriftyFirst(ofSnug(snug), problem, slack).map(({ waste, pieces, sheet }) => {
      const full = sheet()
      expect(pieces).toBe(full.built.counts.reduce((sum, n) => sum + n, 0))
      expect(waste).toBeCloseTo(full.waste, 6)
      return { waste, pieces, takes: waste + pieces * each }
    })
    expect(order.length).toBeGreaterThan(50)
    order.slice(1).forEach((next, i) => {
      expect(next.takes).toBeGreaterThan(order[i]!.takes - 1)
      expect(next.waste < order[i]!.waste && next.pieces < order[i]!.pieces).toBe(false)
    })
    expect(new Set(order.map((o) => o.pieces)).size).toBeGreaterThan(2)
  })
})

/** Sheets cut into some pieces, each of which shrank by up to 24 mm. */
const SHRUNK = [
  [6, 18],
  [5, 20],
  [6, 20],
  [2, 18],
] as const

describe('the last sheet', () => {
  it('takes all of some twenty pieces where a twentieth may be wasted', () => {
    const lastOne = new LastOne()
    for (const [seed, pieces] of SHRUNK) {
      const problem = problemOf(seed, 1, pieces, 24, true)
      const share = slackOf(problem, 1) / SHEET.area
      expect(share, `seed ${seed}`).toBeLessThan(0.062)
      const plan = lastOne.fill(problem, 0, meansOf(seed))
      expect(plan, `seed ${seed}`).not.toBeNull()
      expect(plan!.left).toEqual([])
      expect(faultsOf(problem, plan!), `seed ${seed}`).toEqual([])
    }
  })

  it('is not looked through where too little may be wasted, nor begun where there is too much', () => {
    const lastOne = new LastOne()
    const [means, same] = [meansOf(1), meansOf(1)]
    expect(lastOne.fill(problemOf(1, 1, 20, 2, true), 0, means)).toBeNull()
    expect(lastOne.fill(problemOf(1, 2, 12, 2, true), 0, means)).toBeNull()
    expect(means.random()).toBe(same.random())
  })

  it('goes through all ways of so many rests as it may, in all tries together', () => {
    const few = new LastOne(30)
    // pieces that leave many rests, and go in by none of the first
    const problem = problemOf(SHRUNK[0][0], 1, SHRUNK[0][1], 24, true)
    for (let i = 0; i < 40 && few.ways > 0; i++) few.fill(problem, 0, meansOf(i))
    expect(few.ways).toBe(0)
    for (const [seed, pieces] of SHRUNK)
      expect(few.fill(problemOf(seed, 1, pieces, 24, true), 0, meansOf(seed))).toBeNull()
  })

  it('ends when the time is up', () => {
    const problem = problemOf(SHRUNK[0][0], 1, SHRUNK[0][1], 24, true)
    let asked = 0
    const means = { ...meansOf(1), over: () => ++asked > 3 }
    expect(new LastOne().fill(problem, 0, means)).toBeNull()
    expect(asked).toBeLessThan(10)
  })

  it('with few pieces is filled in any of all ways', () => {
    const problem = problemOf(5, 1, 9, 10, true)
    expect(faultsOf(problem, new LastOne().fill(problem, 0, meansOf(1))!)).toEqual([])
  })

  it('is the only one at times, and then found by the whole search', () => {
    const known = panelsShrunkFreely(1028)
    const { problem } = posed(known)
    let plan: Layout | null = null
    for (const found of layOut(problem, { ...meansOf(1), rounds: 8 })) plan = found
    expect(plan!.left).toEqual([])
    expect(plan!.laid).toHaveLength(known.best)
    expect(faultsOf(problem, plan!)).toEqual([])
  })
})
