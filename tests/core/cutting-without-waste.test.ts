import { describe, expect, it } from 'vitest'
import { readInstance } from '#core/cutting/read-instance'
import { FullSheets } from '#core/cutting/two-d/full-sheets'
import type { Layout } from '#core/cutting/two-d/layout'
import { pose } from '#core/cutting/two-d/problem'
import { layOut } from '#core/cutting/two-d/solve'
import { areaOfAll, sameTogether, type Problem } from '#core/cutting/two-d/sheets'
import { WithoutWaste } from '#core/cutting/two-d/snug/without-waste'
import { panels } from './cut-instances'
import { checked, faultsOf, meansOf, SHEET, shrunk } from './cut-problems'

const never = (): boolean => false

function known(seed: number): { problem: Problem; best: number } {
  const { instance, best } = panels(seed)
  const read = readInstance(JSON.stringify(instance))
  if (!read.ok) throw new Error(instance.id)
  return { problem: pose(read.instance).problem, best }
}

describe('a hundred pieces that were cut from sheets without waste', () => {
  it('come out by more blocks where few don’t reach', { timeout: 60_000 }, () => {
    const { problem, best } = known(10_032)
    const search = new WithoutWaste(problem)
    const limit = areaOfAll(problem)
    expect(search.worth).toBe(0)
    expect(checked(problem, search.next(limit, never)).left).toBeGreaterThan(0)
    const full = search.next(limit, never)
    expect(checked(problem, full)).toEqual({ faults: [], left: 0 })
    expect(full.length).toBe(best)
  })

  it('are looked for before all other ways', { timeout: 60_000 }, () => {
    const { problem, best } = known(10_032)
    let plan: Layout | null = null
    // a few steps with single pieces, few blocks, more
    for (const found of layOut(problem, { ...meansOf(1), rounds: 3 })) plan = found
    expect(faultsOf(problem, plan!)).toEqual([])
    expect(plan!.left).toEqual([])
    expect(plan!.laid.length).toBe(best)
  })
})

describe('sheets without waste', () => {
  it('are looked for with more and more blocks, at last by turns with other ways, and then no more', () => {
    const problem = { ...sameTogether(shrunk(1, [SHEET, SHEET], 6, 0, true)), sheets: [SHEET] }
    const search = new WithoutWaste(problem)
    const worths: number[] = []
    for (; search.goes; search.next(Infinity, () => true)) worths.push(search.worth)
    expect(worths.slice(0, -1).every((w) => w === 0)).toBe(true)
    expect(worths.at(-1)).toBeGreaterThan(0)
  })

  it('are looked for by a second search with as many blocks as the first comes to last', () => {
    const problem = { ...sameTogether(shrunk(1, [SHEET, SHEET], 6, 0, true)), sheets: [SHEET] }
    const second = new WithoutWaste(problem, true)
    expect(second.worth).toBeGreaterThan(0)
    expect(checked(problem, second.next(2 * SHEET.cost, never))).toEqual({ faults: [], left: 0 })
    expect(second.goes).toBe(false)
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
