import { describe, expect, it } from 'vitest'
import { below, randomFrom } from '#core/cutting/random'
import type { FullSheet } from '#core/cutting/two-d/build-up'
import { SnugBlocks } from '#core/cutting/two-d/snug/blocks'
import { BySteps } from '#core/cutting/two-d/snug/by-steps'
import { fullSheet } from '#core/cutting/two-d/snug/full'
import { goTogether } from '#core/cutting/two-d/snug/go-together'
import { SnugSheets, type SnugSheet } from '#core/cutting/two-d/snug/sheets'
import { areaOfAll, demandOf, sameTogether, type Problem } from '#core/cutting/two-d/sheets'
import { dissect } from './cut-instances'
import { checked, problemOf, SHEET, shapeOf, sheetOf, shrunk, slackOf } from './cut-problems'

const never = (): boolean => false

describe('sets of full sheets', () => {
  /** Twice the same pieces, and some once more, so that a full sheet may be taken several times. */
  const sheet = sheetOf(900, 600, 4)
  const once = shrunk(3, [sheet], 4, 5, true)
  const problem: Problem = { ...sameTogether([...once, ...once, ...once.slice(0, 2)]), sheets: [sheet] }
  const snug = new SnugSheets(
    problem,
    { share: 0.25, most: 0.25 * sheet.area },
    { blocks: 400, rests: 400, sheets: 60 },
  )
  snug.find(never)
  const may = { waste: 0.4 * sheet.area, cost: 3 * sheet.cost }
  const nameOf = (sheets: readonly SnugSheet[]): string =>
    sheets
      .map((s) => snug.found.indexOf(s))
      .sort((a, b) => a - b)
      .join(' ')

  /** All sets by trying every one. */
  function allSets(): string[] {
    const names: string[] = []
    const demand = [...demandOf(problem)]
    const visit = (from: number, chosen: SnugSheet[], left: number[], waste: number): void => {
      for (let i = from; i < snug.found.length; i++) {
        const one = snug.found[i]!
        const counts = snug.packing.counts(one.holds)
        const rest = left.map((n, shape) => n - counts[shape]!)
        if (rest.some((n) => n < 0) || waste + one.waste > may.waste || chosen.length >= 3) continue
        names.push(nameOf([...chosen, one]))
        visit(i, [...chosen, one], rest, waste + one.waste)
      }
    }
    visit(0, [], demand, 0)
    return names
  }

  const all = { area: Infinity, nodes: Infinity, over: never }
  const restOf = (sheets: readonly SnugSheet[]): number =>
    areaOfAll(problem) - sheets.reduce((sum, s) => sum + sheet.area - s.waste, 0)
  const named = (name: string): SnugSheet[] => name.split(' ').map((i) => snug.found[Number(i)]!)

  it('are all there are that leave no more, within what may be wasted and spent', () => {
    const every = allSets()
    expect(snug.found.length).toBeGreaterThan(5)
    expect(every.some((name) => name.includes(' '))).toBe(true)
    const rests = every.map((name) => restOf(named(name))).sort((a, b) => a - b)
    for (const area of [rests[0]! - 10, rests[1]!, rests[Math.floor(rests.length / 3)]!]) {
      const sets = new Set<string>()
      goTogether(problem, snug.packing, snug.found, may, { ...all, area }, ({ sheets, holds, left, rest }) => {
        expect(rest).toBeCloseTo(restOf(sheets), 3)
        expect(rest).toBeLessThanOrEqual(area + 1)
        expect(left.waste).toBeCloseTo(may.waste - sheets.reduce((sum, s) => sum + s.waste, 0), 3)
        expect(left.cost).toBeCloseTo(may.cost - sheets.length * sheet.cost, 3)
        expect(holds).toEqual(sheets.reduce((sum, s) => snug.packing.sum(sum, s.holds), snug.packing.none()))
        sets.add(nameOf(sheets))
        return false
      })
      expect([...sets].sort()).toEqual(every.filter((name) => restOf(named(name)) <= area + 1).sort())
    }
  })

  it('come once where no two pieces are alike', () => {
    const unlike: Problem = { ...sameTogether(shrunk(5, [sheet, sheet], 5, 5, true)), sheets: [sheet] }
    const found = new SnugSheets(
      unlike,
      { share: 0.25, most: 0.25 * sheet.area },
      { blocks: 400, rests: 400, sheets: 60 },
    )
    found.find(never)
    expect(Math.max(...demandOf(unlike))).toBe(1)
    const names: string[] = []
    goTogether(unlike, found.packing, found.found, may, { ...all, area: 1.2 * sheet.area }, ({ sheets }) => {
      names.push(String(sheets.map((s) => found.found.indexOf(s)).sort((a, b) => a - b)))
      return false
    })
    expect(names.length).toBeGreaterThan(5)
    expect(new Set(names).size).toBe(names.length)
  })

  it('end when they are told to, after so many nodes and when the time is up, and the best of them is known', () => {
    const every = allSets()
    let seen = 0
    const best = goTogether(problem, snug.packing, snug.found, may, all, () => ++seen === 3)
    expect(seen).toBe(3)
    expect(best.rest).toBeCloseTo(restOf(best.sheets), 3)
    const least = goTogether(problem, snug.packing, snug.found, may, all, () => false)
    expect(least.rest).toBeCloseTo(Math.min(...every.map((name) => restOf(named(name)))), 3)
    seen = 0
    goTogether(problem, snug.packing, snug.found, may, { ...all, nodes: 5 }, () => ++seen > 99)
    expect(seen).toBeLessThanOrEqual(5)
    let asked = 0
    goTogether(problem, snug.packing, snug.found, may, { ...all, over: () => ++asked > 0 }, () => false)
    expect(asked).toBe(1)
  })
})

describe('blocks joined by steps', () => {
  it('have no sides that differ by more', () => {
    const problem = problemOf(5, 3, 12, 4, true)
    const blocks = new SnugBlocks(problem, { share: 0.1, most: SHEET.area, step: 6 }, 2000)
    blocks.build(never)
    let joined = 0
    for (const { made, uneven, joins } of blocks.all) {
      if (typeof made === 'number') expect([uneven, joins]).toEqual([0, 0])
      else {
        const across = made.parts.map(({ block, turned }) => ((made.axis === 0) !== turned ? block.w : block.l))
        const gap = Math.abs(across[0]! - across[1]!)
        expect(gap).toBeLessThanOrEqual(6 + 1e-6)
        expect(uneven).toBeCloseTo(
          made.parts.reduce((sum, p) => sum + p.block.uneven, gap),
          6,
        )
        expect(joins).toBe(made.parts.reduce((sum, p) => sum + p.block.joins, 1))
        joined++
      }
    }
    expect(joined).toBeGreaterThan(20)
  })
})

describe('full sheets by steps', () => {
  it('are of more than two blocks too where all blocks there are were built', () => {
    const problem = problemOf(5, 3, 12, 4, true)
    const reach = { blocks: 10_000, rests: 10_000, sheets: 3000 }
    const snug = new SnugSheets(problem, { share: 0.1, most: SHEET.area / 25, step: 7 }, reach)
    snug.find(never)
    expect(snug.built).toBeLessThan(10_000)
    const several = snug.found.filter((s) => s.rest.taken?.from.taken)
    expect(several.length).toBeGreaterThan(0)
    for (const one of several) expect(checked(problem, [fullSheet(snug.packing, one)]).faults).toEqual([])
  })
})

describe('pieces that shrank by a few mm', () => {
  it('are put together again, whether they can be turned or not', () => {
    for (const [seed, sheets, pieces, by, turns] of [
      [1, 4, 14, 2, false],
      [2, 3, 12, 3, true],
      [3, 5, 10, 4, false],
    ] as const) {
      const problem = problemOf(seed, sheets, pieces, by, turns)
      const slack = slackOf(problem, sheets)
      const search = new BySteps(problem, slack, sheets * SHEET.area)
      let full: readonly FullSheet[] = []
      while (search.goes && checked(problem, full).left > 0) full = search.next(sheets * SHEET.cost, never)
      expect(checked(problem, full), `seed ${seed}`).toEqual({ faults: [], left: 0 })
      expect(full.length).toBe(sheets)
    }
  })

  it('are told at once where one piece of a sheet shrank, by far more than all did on average', () => {
    for (const seed of [2, 7, 9]) {
      const random = randomFrom(Math.imul(seed, 0x9e3779b1))
      const less = (): number => 1 + below(random, 4)
      const rects = [1, 2, 3, 4].flatMap(() => dissect(random, { length: SHEET.l, width: SHEET.w }, 14, 0, 1, 80))
      const shapes = rects.map((r, i) =>
        i % 14 === 0 ? shapeOf(r.length - less(), r.width - less(), true) : shapeOf(r.length, r.width, true),
      )
      const problem: Problem = { ...sameTogether(shapes), sheets: [SHEET] }
      const full = new BySteps(problem, slackOf(problem, 4), 4 * SHEET.area).next(4 * SHEET.cost, never)
      expect(checked(problem, full), `seed ${seed}`).toEqual({ faults: [], left: 0 })
    }
  })

  it('are left to other ways where much may be wasted, in a single sheet, and when enough was tried', () => {
    const goes = (sheets: number, slack: number): boolean =>
      new BySteps(problemOf(4, sheets, 8, 2), slack * sheets * SHEET.area, sheets * SHEET.area).goes
    expect([goes(3, 0.01), goes(3, 0.03), goes(1, 0.01)]).toEqual([true, false, false])
    const search = new BySteps(problemOf(4, 2, 5, 2), 0.004 * 2 * SHEET.area, 2 * SHEET.area)
    let tried = 0
    for (; search.goes; tried++) search.next(2 * SHEET.cost, never)
    expect(tried).toBeGreaterThan(2)
    expect(tried).toBeLessThan(40)
  })

  it('are left to other ways where too many sides agree from the first', () => {
    // of few sizes all go with all
    const sizes = [[400, 300], [400, 100], [100, 100], [300, 100], [200, 200], [100, 300], [100, 200], [400, 200]] // prettier-ignore
    const few = Array.from({ length: 96 }, (_, i) => shapeOf(sizes[i % 8]![0]! - (i >> 3), sizes[i % 8]![1]!, true))
    const search = new BySteps({ ...sameTogether(few), sheets: [SHEET] }, 0.01 * 2 * SHEET.area, 2 * SHEET.area)
    expect(search.goes).toBe(true)
    search.next(2 * SHEET.cost, never)
    expect(search.goes).toBe(false)
  })

  it('are tried by turns with the other ways as soon as many blocks are built, for that takes long', () => {
    const problem = problemOf(2, 5, 16, 4, true)
    const search = new BySteps(problem, slackOf(problem, 5), 5 * SHEET.area)
    const worth = Array.from({ length: 6 }, () => {
      search.next(0, never)
      return search.worth
    })
    // as soon as one takes long, and with more blocks still more
    expect(worth).toEqual([...worth].sort())
    expect([worth[0], worth.includes(1), worth.includes(3)]).toEqual([0, true, true])
  })

  it('are tried with more blocks when all steps were tried, by turns with the other ways then', () => {
    const problem = problemOf(2, 5, 16, 4, true)
    const search = new BySteps(problem, slackOf(problem, 5), 5 * SHEET.area)
    expect(search.worth).toBe(0)
    let full: readonly FullSheet[] = []
    while (search.goes && search.worth === 0) full = search.next(5 * SHEET.cost, never)
    expect([search.goes, search.worth > 0]).toEqual([true, true])
    expect(checked(problem, full).faults).toEqual([])
  })

  it('are tried with more blocks after the widest step, too', () => {
    const problem = problemOf(3, 5, 12, 5)
    const search = new BySteps(problem, slackOf(problem, 5), 5 * SHEET.area)
    const worth: number[] = []
    for (; search.goes; search.next(0, never)) worth.push(search.worth)
    expect(worth.slice(0, 5)).toEqual([0, 0, 0, 0, 0])
    expect(worth[5]).toBeGreaterThan(0)
  })

  it('are left as they are when the time is up, and asked for no more', () => {
    const problem = problemOf(9, 6, 20, 6, true)
    const after = (reads: number): { full: readonly FullSheet[]; read: number; late: number } => {
      let read = 0
      const search = new BySteps(problem, slackOf(problem, 6), 6 * SHEET.area)
      const full = search.next(6 * SHEET.cost, () => ++read > reads)
      return { full, read, late: read - reads }
    }
    expect(after(0).full).toEqual([])
    const { read } = after(Infinity)
    expect(read).toBeGreaterThan(100)
    for (const share of [0.05, 0.4, 0.7, 0.95]) {
      const { full, late } = after(Math.floor(share * read))
      expect(checked(problem, full).faults).toEqual([])
      expect(late).toBeGreaterThan(0)
      expect(late).toBeLessThan(10)
    }
  })
})
