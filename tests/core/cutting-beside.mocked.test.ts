import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { CutInstance, CutPlan } from '#core/cutting/instance'
import type { Means } from '#core/cutting/means'

/** When searches were begun beside the first, as which and until when; what each had found; and what the first does. */
const { begun, asked, search, machine } = vi.hoisted(() => ({
  begun: [] as number[],
  asked: [] as { beside: number; seed: number; until: number }[],
  machine: { processors: 2 },
  search: { run: null as null | ((means: Means) => Generator<CutPlan, CutPlan>), found: null as CutPlan | null },
}))

vi.mock('node:os', async (original) => ({
  ...(await original<typeof import('node:os')>()),
  availableParallelism: () => machine.processors,
}))
vi.mock('../../cli/search-beside', () => ({
  SearchBeside: class {
    plan = search.found
    constructor(what: (typeof asked)[number]) {
      asked.push(what)
      begun.push(performance.now())
    }
    last(): Promise<CutPlan | null> {
      return Promise.resolve(search.found)
    }
    stop(): void {
      // nothing runs
    }
  },
}))
vi.mock('#core/cutting/solve', () => ({ cutting: (_: CutInstance, means: Means) => search.run!(means) }))

const { bestPlan } = await import('../../cli/search')

const instance = { id: 'one', kind: '2d', kerf: 0, stock: [], parts: [] } as unknown as CutInstance
const planOf = (bought: number, proven: boolean): CutPlan =>
  ({ placements: [], unplaced: [], bought, atLeast: 1, proven, endedByClock: !proven }) as CutPlan

/** A search of one long part: the clock is asked all the while, but no plan comes of it until its end. */
const inOnePart = (ms: number, plan: CutPlan) =>
  function* (means: Means): Generator<CutPlan, CutPlan> {
    const end = performance.now() + ms
    while (performance.now() < end) means.over()
    yield plan
    return plan
  }

const soon = (ms: number): number => performance.now() + ms

beforeEach(() => {
  // a clock that goes on by a millisecond each time it is read
  let time = 0
  vi.spyOn(performance, 'now').mockImplementation(() => ++time)
  begun.length = 0
  asked.length = 0
  machine.processors = 2
  search.found = null
})

afterEach(() => vi.restoreAllMocks())

describe('a search beside the first', () => {
  it('is begun after 0.1 s, also while the first is in the middle of a part', async () => {
    search.run = inOnePart(2500, planOf(3e6, false))
    const start = performance.now()
    await bestPlan(instance, 1, soon(10_000))
    expect(begun.length).toBe(1)
    expect(begun[0]! - start).toBeGreaterThan(100)
    expect(begun[0]! - start).toBeLessThan(200)
  })

  it('is not begun where the first is through before, nor where little time is left', async () => {
    search.run = inOnePart(50, planOf(1, true))
    await bestPlan(instance, 1, soon(10_000))
    search.run = inOnePart(1500, planOf(3e6, false))
    await bestPlan(instance, 1, soon(2000))
    expect(begun).toEqual([])
  })

  it('is not begun where the best is found, and only laid out better', async () => {
    search.run = function* (means) {
      yield planOf(2e6, true)
      return yield* inOnePart(2500, planOf(2e6, true))(means)
    }
    await bestPlan(instance, 1, soon(10_000))
    expect(begun).toEqual([])
  })

  it('is listened to where it has bought less', async () => {
    search.run = inOnePart(1200, planOf(3e6, false))
    search.found = planOf(2e6, false)
    expect((await bestPlan(instance, 1, soon(10_000))).bought).toBe(2e6)
    search.found = planOf(4e6, false)
    expect((await bestPlan(instance, 1, soon(10_000))).bought).toBe(3e6)
  })

  it('has more beside it where there are processors for them, each from a beginning of its own', async () => {
    for (const [processors, others] of [
      [1, 1],
      [2, 1],
      [3, 2],
      [4, 3],
      [16, 3],
    ] as const) {
      asked.length = 0
      machine.processors = processors
      search.run = inOnePart(2500, planOf(3e6, false))
      const end = soon(10_000)
      await bestPlan(instance, 7, end)
      const ones = Array.from({ length: others }, (_, i) => i + 1)
      expect(asked.map(({ beside, seed }) => [beside, seed])).toEqual(ones.map((n) => [n, 7 + n]))
      // however long they take to begin
      for (const { until } of asked) expect(until).toBe(performance.timeOrigin + end)
    }
  })
})
