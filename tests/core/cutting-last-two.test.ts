import { describe, expect, it } from 'vitest'
import { fillLastTwo } from '#core/cutting/two-d/last-two'
import type { Layout } from '#core/cutting/two-d/layout'
import { sameTogether, type Problem } from '#core/cutting/two-d/sheets'
import { SlicingSearch } from '#core/cutting/two-d/slicing/search'
import { layOut } from '#core/cutting/two-d/solve'
import { faultsOf, meansOf, problemOf, SHEET, shapeOf, sheetOf, shrunk, slackOf } from './cut-problems'

/** The first plan with nothing left, of so many at most; or the last there was. All of them are without faults. */
function planOf(times: number, problem: Problem, limit: number, seed: number): Layout | null {
  const means = meansOf(seed)
  let plan: Layout | null = null
  for (let i = 0; i < times && plan?.left.length !== 0; i++) {
    plan = fillLastTwo(problem, limit, means) ?? plan
    if (plan) expect(faultsOf(problem, plan)).toEqual([])
  }
  return plan
}

describe('the last two sheets', () => {
  it('take all pieces where little may be wasted', () => {
    for (const [seed, pieces] of [
      [2, 12],
      [4, 12],
      [3, 16],
      [8, 16],
    ] as const) {
      const problem = problemOf(seed, 2, pieces, 25, true)
      const slack = slackOf(problem, 2) / SHEET.area
      expect(slack, `seed ${seed}`).toBeGreaterThan(0.03)
      expect(slack, `seed ${seed}`).toBeLessThan(0.15)
      // so few times that trees for both at once hardly have their turn
      const plan = planOf(2, problem, 2 * SHEET.cost, seed)
      expect(plan?.left, `seed ${seed}`).toEqual([])
      expect(plan!.cost).toBeLessThanOrEqual(2 * SHEET.cost)
    }
  })

  it('of few pieces come out at once, by all ways', () => {
    for (const [seed, pieces, by, turns] of [
      [8, 7, 30, false],
      [1, 8, 20, true],
      [2, 8, 20, true],
    ] as const) {
      const plan = planOf(1, problemOf(seed, 2, pieces, by, turns), 2 * SHEET.cost, seed)
      expect(plan?.left, `seed ${seed}`).toEqual([])
      expect(plan!.cost).toBe(2 * SHEET.cost)
    }
  })

  it('are each filled once, of two sizes too', () => {
    const stock = [sheetOf(1220, 610, 1, 0), sheetOf(900, 500, 1, 0)]
    const problem = { ...sameTogether(shrunk(5, stock, 7, 8, true)), sheets: stock }
    const plan = planOf(40, problem, 0, 5)
    expect(plan?.left).toEqual([])
    expect(plan!.laid.map((l) => l.sheet).sort()).toEqual([0, 1])
  })

  it('are filled no other way where a kind of sheet is used up', () => {
    const problem = problemOf(1, 2, 11, 18, false)
    const usedUp = { ...problem, sheets: [SHEET, sheetOf(1_000_000, 10, 0)] }
    const [means, same] = [meansOf(2), meansOf(2)]
    for (let i = 0; i < 2; i++) {
      expect(fillLastTwo(usedUp, 2 * SHEET.cost, means)).toEqual(fillLastTwo(problem, 2 * SHEET.cost, same))
      expect(means.random()).toBe(same.random())
    }
  })

  it('may be one only, or three for which no full sheet was found', () => {
    for (const sheets of [1, 3]) {
      const problem = problemOf(7, sheets, 6, 60, true)
      const plan = planOf(20, problem, sheets * SHEET.cost, 7)
      expect(plan?.left, `${sheets}`).toEqual([])
    }
  })

  it('are three only where they may waste enough', () => {
    const problem = problemOf(7, 3, 12, 3, true)
    expect(slackOf(problem, 3) / (3 * SHEET.area)).toBeLessThan(0.03)
    const [means, same] = [meansOf(7), meansOf(7)]
    expect(fillLastTwo(problem, 3 * SHEET.cost, means)).toBeNull()
    expect(means.random()).toBe(same.random())
  })

  it('are not begun where there is too much for them', () => {
    const problem = problemOf(8, 3, 8, 2)
    expect(planOf(6, problem, 2 * SHEET.cost, 8)).toBeNull()
  })

  it('are filled as far as they were when the time is up', () => {
    const problem = problemOf(9, 2, 15, 12)
    for (const seconds of [0.1, 2, 8]) {
      const plan = fillLastTwo(problem, 2 * SHEET.cost, meansOf(9, seconds, 0.05))
      expect(plan).not.toBeNull()
      expect(faultsOf(problem, plan!)).toEqual([])
    }
  })
})

describe('trees that are cooled down quickly', () => {
  it('stop after each part, and tell how far pieces reach over', () => {
    const problem = { ...sameTogether([...shrunk(4, [SHEET], 12, 1, false), shapeOf(60, 8, true)]), sheets: [SHEET] }
    const trees = new SlicingSearch(problem, SHEET.cost, meansOf(4), { heat: 0.09, steps: 1500, part: 500 })
    expect(trees.reachesOver).toBe(0)
    const plans = [0, 1, 2].map(() => {
      const plan = trees.next()
      expect(plan !== null && plan.left.length === 0).toBe(trees.reachesOver === 0)
      return plan
    })
    expect(plans.slice(0, 2)).toEqual([null, null])
    expect(plans[2]).not.toBeNull()
    expect(trees.reachesOver).toBeGreaterThan(0)
  })
})

describe('a search beside the first', () => {
  it('fills sheets from the first where sides that agree are no use', () => {
    for (const seed of [2, 4]) {
      const problem = problemOf(seed, 3, 22, 6, true)
      const sheets = [1, 0].map((beside) => {
        let rounds = 0
        let best: Layout | null = null
        for (const plan of layOut(problem, { ...meansOf(seed), beside })) {
          best = plan
          // a first plan, two rounds of single pieces, and the sheets are filled
          if (rounds++ === 3) break
        }
        expect(best!.left).toEqual([])
        expect(faultsOf(problem, best!)).toEqual([])
        return best!.laid.length
      })
      // a first search looks for sides that agree
      expect(sheets, `seed ${seed}`).toEqual([3, 4])
    }
  })
})
