import { describe, expect, it } from 'vitest'
import type { FullSheet } from '#core/cutting/two-d/build-up'
import { Filling, type Tries } from '#core/cutting/two-d/snug/filling'
import { Pool } from '#core/cutting/two-d/snug/pool'
import { SnugSheets } from '#core/cutting/two-d/snug/sheets'
import { checked, problemOf, SHEET, slackOf } from './cut-problems'

const never = (): boolean => false

describe('what full sheets leave', () => {
  const problem = problemOf(7, 3, 8, 2)
  const slack = slackOf(problem, 3)
  const play = { share: 0.1, most: slack, step: 12 }
  const may = { waste: slack + 1, cost: 3 * SHEET.cost }

  /** Full sheets of the whole, without those that hold some shapes. */
  function foundWithout(...shapes: number[]): Pool {
    const snug = new SnugSheets(problem, play, { blocks: 3000, rests: 3000, sheets: 3000 })
    snug.find(never)
    const pool = new Pool(problem)
    pool.add(snug.found.filter(({ holds }) => shapes.every((shape) => snug.packing.counts(holds)[shape] === 0)))
    return pool
  }

  const filled = (pool: Pool, tries: Tries, over = never, tried = new Set<string>()): readonly FullSheet[] =>
    new Filling(problem, play, may, { tries, tried, lasts: { left: 50_000 }, more: { left: 50_000 }, over }).filled(
      pool,
    )

  it('is nothing where all of them were found', () => {
    expect(checked(problem, filled(foundWithout(), { lasts: 0, more: [] }))).toEqual({ faults: [], left: 0 })
  })

  it('goes into a last sheet that was not found before', () => {
    expect(foundWithout(0).best(1).length).toBe(1)
    const none = filled(foundWithout(0), { lasts: 0, more: [] })
    expect(checked(problem, none).left).toBeGreaterThan(0)
    const full = filled(foundWithout(0), { lasts: 50, more: [] })
    expect(checked(problem, full)).toEqual({ faults: [], left: 0 })
  })

  it('goes into the last two', () => {
    // a shape of one sheet and one of another: only the third was found
    const shapes = filled(foundWithout(), { lasts: 0, more: [] }).map((f) => f.built.counts.findIndex((n) => n > 0))
    const missed = [shapes.slice(0, 2), shapes.slice(1), [shapes[0]!, shapes[2]!]].filter(
      (pair) => checked(problem, filled(foundWithout(...pair), { lasts: 50, more: [] })).left > 0,
    )
    expect(missed.length).toBeGreaterThan(0)
    for (const pair of missed)
      expect(checked(problem, filled(foundWithout(...pair), { lasts: 50, more: [8] }))).toEqual({ faults: [], left: 0 })
  })

  it('is looked through once', () => {
    const once = { tries: { lasts: 50, more: [] }, tried: new Set<string>(), over: never }
    const looked = (share: number): readonly FullSheet[] => {
      const effort = { ...once, lasts: { left: 50_000 }, more: { left: 0 } }
      return new Filling(problem, { ...play, share }, may, effort).filled(foundWithout(0))
    }
    // no block wastes as little
    expect(checked(problem, looked(0.0001)).left).toBeGreaterThan(0)
    expect(once.tried.size).toBeGreaterThan(0)
    expect(checked(problem, looked(play.share)).left).toBeGreaterThan(0)
    once.tried.clear()
    expect(checked(problem, looked(play.share)).left).toBe(0)
  })

  it('is as little as was found when the time is up', () => {
    const full = filled(foundWithout(0), { lasts: 50, more: [8] }, () => true)
    const { faults, left } = checked(problem, full)
    expect(faults).toEqual([])
    expect(left).toBeGreaterThan(0)
  })

  it('is kept for the full sheets whose sides differ least, one for each set of pieces', () => {
    const found = foundWithout().best(Infinity)
    const pool = new Pool(problem, 5)
    pool.add(found.slice(3))
    pool.add(found.slice(0, 3))
    const uneven = (most: number): number[] => pool.best(most).map((s) => s.uneven)
    expect(uneven(9)).toEqual(found.slice(0, 5).map((s) => s.uneven))
    const [, , , , fifth] = pool.best(5)
    pool.add([{ ...fifth!, uneven: 0, chance: 9 }])
    expect(uneven(2)).toEqual([0, found[0]!.uneven])
    // where sides differ by as much to the µm, the likeliest
    pool.add([{ ...fifth!, uneven: 1e-4, chance: 8 }])
    expect(pool.best(2).map((s) => s.chance)).toEqual([8, found[0]!.chance])
    expect(pool.best(9).length).toBe(5)
  })
})
