import { describe, expect, it } from 'vitest'
import { readInstance } from '#core/cutting/read-instance'
import type { FullSheet } from '#core/cutting/two-d/build-up'
import { FullSheets } from '#core/cutting/two-d/full-sheets'
import type { Layout } from '#core/cutting/two-d/layout'
import { pose } from '#core/cutting/two-d/problem'
import { layOut } from '#core/cutting/two-d/solve'
import { areaOfAll, sameTogether, type Problem } from '#core/cutting/two-d/sheets'
import { SnugBlocks } from '#core/cutting/two-d/snug/blocks'
import { EXACTLY } from '#core/cutting/two-d/snug/fill'
import { WithoutWaste } from '#core/cutting/two-d/snug/without-waste'
import { panels } from './cut-instances'
import { checked, faultsOf, meansOf, shapeOf, SHEET, shrunk } from './cut-problems'

const never = (): boolean => false

function known(seed: number): { problem: Problem; best: number } {
  const { instance, best } = panels(seed)
  const read = readInstance(JSON.stringify(instance))
  if (!read.ok) throw new Error(instance.id)
  return { problem: pose(read.instance).problem, best }
}

describe('a hundred pieces that were cut from sheets without waste', () => {
  it('come out by more blocks where few don’t reach', () => {
    const { problem, best } = known(21_564)
    const search = new WithoutWaste(problem)
    const limit = areaOfAll(problem)
    expect(search.worth).toBe(0)
    expect(checked(problem, search.next(limit, never)).left).toBeGreaterThan(0)
    const full = search.next(limit, never)
    expect(checked(problem, full)).toEqual({ faults: [], left: 0 })
    expect(full.length).toBe(best)
  })

  it('come out where the likeliest full sheets go together and leave three', () => {
    const { problem, best } = known(11_052)
    const search = new WithoutWaste(problem)
    let full: readonly FullSheet[] = []
    while (search.goes && search.worth === 0) full = search.next(areaOfAll(problem), never)
    expect(checked(problem, full)).toEqual({ faults: [], left: 0 })
    expect(full.length).toBe(best)
  })

  it('are looked for before all other ways', () => {
    const { problem, best } = known(10_032)
    let plan: Layout | null = null
    // a few steps with single pieces, few blocks, more
    for (const found of layOut(problem, { ...meansOf(1), rounds: 3 })) plan = found
    expect(faultsOf(problem, plan!)).toEqual([])
    expect(plan!.left).toEqual([])
    expect(plan!.laid.length).toBe(best)
  })
})

describe('blocks', () => {
  // two of them go together by their sizes alone; three others each with each, as any of them might have lain beside any
  const pieces = [
    ...[shapeOf(500, 313, false), shapeOf(700, 313, false)],
    ...[shapeOf(100, 200, false), shapeOf(110, 200, false), shapeOf(120, 200, false)],
  ]
  const problem = { ...sameTogether(pieces), sheets: [SHEET] }
  const made = (likely: boolean): SnugBlocks => {
    const blocks = new SnugBlocks(problem, { ...EXACTLY, likely }, 99)
    blocks.build(never)
    return blocks
  }

  it('leave the less to chance the fewer others they might have been made with, itself counted too', () => {
    const chanceOf = (l: number): number => made(true).all.find((b) => b.l === l)!.chance
    expect(chanceOf(500)).toBe(0)
    expect(chanceOf(1200)).toBeCloseTo(Math.log2(3), 9)
    expect(chanceOf(210)).toBeCloseTo(Math.log2(3), 9)
    expect(chanceOf(230)).toBeCloseTo(Math.log2(4), 9)
  })

  it('are built the likeliest first, and are all the same in the end', () => {
    const sizes = (likely: boolean): string[] => made(likely).all.map((b) => `${b.l} ${b.w}`)
    const likely = sizes(true)
    expect(likely.indexOf('1200 313')).toBeLessThan(likely.indexOf('330 200'))
    expect(sizes(false).indexOf('1200 313')).toBeGreaterThan(sizes(false).indexOf('330 200'))
    expect([...likely].sort()).toEqual(sizes(false).sort())
  })
})

describe('sheets without waste', () => {
  it('are looked for before other ways, so often, and by searches beside the first by turns with them at last', () => {
    const problem = { ...sameTogether(shrunk(1, [SHEET, SHEET], 6, 0, true)), sheets: [SHEET] }
    const worths = (beside: number): number[] => {
      const search = new WithoutWaste(problem, beside)
      const each: number[] = []
      for (; search.goes; search.next(Infinity, () => true)) each.push(search.worth)
      return each
    }
    expect(worths(0)).toEqual([0, 0, 0, 3])
    expect(worths(1)).toEqual([0, 3])
  })

  it('come out by each of the two searches', () => {
    const problem = { ...sameTogether(shrunk(1, [SHEET, SHEET], 6, 0, true)), sheets: [SHEET] }
    for (const beside of [0, 1]) {
      const search = new WithoutWaste(problem, beside)
      while (search.goes) expect(checked(problem, search.next(2 * SHEET.cost, never))).toEqual({ faults: [], left: 0 })
    }
  })

  it('are no way where something may be wasted', () => {
    const pieces = (by: number): FullSheets => {
      const problem = { ...sameTogether(shrunk(1, [SHEET, SHEET], 6, by, true)), sheets: [SHEET] }
      return new FullSheets(problem, 2 * SHEET.cost, meansOf(1))
    }
    expect(pieces(0).agree).toBeInstanceOf(WithoutWaste)
    expect(pieces(3).agree).not.toBeInstanceOf(WithoutWaste)
  })
})
