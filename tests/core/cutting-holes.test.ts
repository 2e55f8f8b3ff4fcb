import { describe, expect, it } from 'vitest'
import { randomFrom } from '#core/cutting/random'
import type { FullSheet } from '#core/cutting/two-d/build-up'
import { FullSheets } from '#core/cutting/two-d/full-sheets'
import { BySteps } from '#core/cutting/two-d/snug/by-steps'
import { fillSnugly } from '#core/cutting/two-d/snug/fill'
import { ButForHoles, fillButForHoles } from '#core/cutting/two-d/snug/holes'
import { SnugSheets } from '#core/cutting/two-d/snug/sheets'
import { areaOfAll, roomOf, sameTogether, type Problem, type Sheet } from '#core/cutting/two-d/sheets'
import { checked, faultsOf, meansOf, shapeOf, SHEET, sheetOf } from './cut-problems'
import { dissect } from './cut-instances'

const never = (): boolean => false

/** Sheets cut apart at random without waste, of each so many pieces missing. */
function withMissing(seed: number, sheets: readonly Sheet[], pieces: number, missing: readonly number[]): Problem {
  const random = randomFrom(Math.imul(seed, 0x9e3779b1))
  const shapes = missing.flatMap((n, i) => {
    const { l, w } = sheets[i % sheets.length]!
    const all = dissect(random, { length: l, width: w }, pieces, 0, 1, 80)
    return all.slice(n).map((r) => shapeOf(r.length, r.width, seed % 2 === 0))
  })
  return { ...sameTogether(shapes), sheets }
}

const slackOf = (problem: Problem, stock: readonly number[]): number => roomOf(problem, stock) - areaOfAll(problem)

function filled(problem: Problem, sheets: number): readonly FullSheet[] {
  const slack = slackOf(
    problem,
    Array.from({ length: sheets }, () => 0),
  )
  return fillButForHoles(problem, { waste: slack + 1, cost: sheets * SHEET.cost }, never)
}

describe('pieces of sheets of which some are missing', () => {
  it('go into as many sheets, with a hole in the last, whatever its size', () => {
    for (const seed of [1, 2, 3, 4, 5, 6]) {
      const problem = withMissing(seed, [SHEET], 14, [0, 0, 0, 0, 1])
      expect(checked(problem, filled(problem, 5)), `seed ${seed}`).toEqual({ faults: [], left: 0 })
    }
  })

  it('go into them with holes in two or three', () => {
    for (const seed of [1, 2, 3, 4]) {
      const missing = seed % 2 === 0 ? [0, 1, 0, 0, 1] : [1, 0, 1, 0, 1]
      const problem = withMissing(seed, [SHEET], 12, missing)
      expect(checked(problem, filled(problem, 5)), `seed ${seed}`).toEqual({ faults: [], left: 0 })
    }
  })

  it('don’t where nothing may be wasted in one place', () => {
    const problem = withMissing(1, [SHEET], 14, [0, 0, 0, 0, 1])
    const may = { waste: slackOf(problem, [0, 0, 0, 0, 0]) + 1, cost: 5 * SHEET.cost }
    const reach = { blocks: 10_000, rests: 6000, sheets: 4000, nodes: 1000, tries: { lasts: 150, more: [20] } }
    const full = fillSnugly(problem, { share: 0, most: 1 }, may, reach, never)
    expect(full.length).toBe(4)
    expect(checked(problem, full).left).toBeGreaterThan(0)
  })

  it('cost no more than they may, and are left as they are when the time is up', () => {
    const problem = withMissing(2, [SHEET], 14, [0, 0, 0, 0, 1])
    const waste = slackOf(problem, [0, 0, 0, 0, 0]) + 1
    const four = fillButForHoles(problem, { waste, cost: 4 * SHEET.cost }, never)
    expect(four.length).toBe(4)
    expect(checked(problem, four).faults).toEqual([])
    expect(fillButForHoles(problem, { waste, cost: 5 * SHEET.cost }, () => true)).toEqual([])
  })

  it('go into sheets of two sizes, of each no more than there are', () => {
    const sheets = [sheetOf(2440, 1220, 3), sheetOf(1220, 610, 3)]
    const problem = withMissing(4, sheets, 10, [0, 0, 0, 1, 0, 0])
    const stock = [0, 0, 0, 1, 1, 1]
    const cost = stock.reduce((sum, s) => sum + sheets[s]!.cost, 0)
    const full = fillButForHoles(problem, { waste: slackOf(problem, stock) + 1, cost }, never)
    expect(checked(problem, full)).toEqual({ faults: [], left: 0 })
  })

  it('go into the last sheet by other ways where two of them are missing in it', () => {
    const problem = withMissing(5, [SHEET], 13, [0, 0, 2, 0])
    expect(checked(problem, filled(problem, 4)).left).toBeGreaterThan(0)
    const search = new FullSheets(problem, 4 * SHEET.cost, meansOf(1))
    expect(search.agree).toBeInstanceOf(ButForHoles)
    expect(search.agree).toMatchObject({ goes: true, worth: 0 })
    const plan = search.agreeing(4 * SHEET.cost)
    expect(plan.left).toEqual([])
    expect(plan.laid.length).toBe(4)
    expect(faultsOf(problem, plan)).toEqual([])
  })

  it('are looked for once, not by searches beside the first, nor where much is missing', () => {
    const search = (missing: readonly number[], beside: number): FullSheets =>
      new FullSheets(withMissing(1, [SHEET], 8, missing), missing.length * SHEET.cost, { ...meansOf(1), beside })
    const first = search([0, 0, 0, 1], 0)
    expect(first.agree).toBeInstanceOf(ButForHoles)
    first.agreeing(4 * SHEET.cost)
    expect(first.agree).toBeInstanceOf(BySteps)
    expect(search([0, 0, 0, 1], 1).agree).toBeInstanceOf(BySteps)
    expect(search([3, 3, 3, 3], 0).agree).toBeInstanceOf(BySteps)
  })
})

describe('sheets with a hole', () => {
  it('are found whichever side of a cut the hole is on, and hold what they say', () => {
    const pieces = [shapeOf(1800, 1220, false), shapeOf(640, 500, false), shapeOf(300, 720, false)]
    const problem = { ...sameTogether(pieces), sheets: [SHEET] }
    const hole = SHEET.area - areaOfAll(problem)
    const found = (most: number): SnugSheets => {
      const snug = new SnugSheets(problem, { share: 0, most: 1, hole: most }, { blocks: 99, rests: 99, sheets: 99 })
      snug.find(never)
      return snug
    }
    const all = found(hole + 1)
    const whole = all.found.filter(({ holds }) => all.packing.total(holds) === 3)
    expect(whole.length).toBe(1)
    expect(whole[0]!.waste).toBeCloseTo(340 * 720, 6)
    expect(whole[0]!.uneven).toBeCloseTo(340, 6)
    expect(found(hole - 1).found).toEqual([])
  })
})
