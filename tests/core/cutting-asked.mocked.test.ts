import { beforeEach, expect, it, vi } from 'vitest'
import { meansUntil, MOST_BESIDE } from '#core/cutting/means'
import { randomFrom } from '#core/cutting/random'
import { OneByOne } from '#core/cutting/two-d/one-by-one'
import { areaOfAll, sameTogether, type Problem } from '#core/cutting/two-d/sheets'
import type { Play } from '#core/cutting/two-d/snug/blocks'
import { BySteps } from '#core/cutting/two-d/snug/by-steps'
import type { SnugSheets } from '#core/cutting/two-d/snug/sheets'
import { panelsOfManySheets } from './cut-instances'
import { posed, SHEET, shrunk, slackOf } from './cut-problems'

/** What full sheets were asked for, one time after the other. */
const { asked } = vi.hoisted(() => ({ asked: [] as { snug: SnugSheets; problem: Problem; play: Play }[] }))

vi.mock('#core/cutting/two-d/snug/sheets', async (original) => {
  const { SnugSheets } = await original<typeof import('#core/cutting/two-d/snug/sheets')>()
  return {
    SnugSheets: class extends SnugSheets {
      constructor(...what: ConstructorParameters<typeof SnugSheets>) {
        super(...what)
        asked.push({ snug: this, problem: what[0], play: what[1] })
      }
    },
  }
})

beforeEach(() => {
  asked.length = 0
})

it('searches beside the first take steps that share out the room between two of its own, the likeliest blocks first', () => {
  const problem = { ...sameTogether(shrunk(1, [SHEET, SHEET], 6, 4, true)), sheets: [SHEET] }
  const slack = slackOf(problem, 2)
  const searches = Array.from({ length: MOST_BESIDE + 1 }, (_, beside) => beside)
  const plays = searches.map((beside) => {
    asked.length = 0
    const search = new BySteps(problem, slack, 2 * SHEET.area, beside)
    for (let level = 0; level < 4 && search.goes; level++) search.next(2 * SHEET.cost, () => true)
    return asked.map(({ play }) => play)
  })
  expect(plays.map((of) => of.length)).toEqual([4, 4, 4, 4])
  expect(plays.map((of) => of.map((play) => play.likely))).toEqual(searches.map((n) => Array(4).fill(n > 0)))
  const steps = plays.flatMap((of) => of.map((play) => play.step!)).sort((a, b) => a - b)
  for (const [i, step] of steps.entries()) if (i > 0) expect(step / steps[i - 1]!).toBeCloseTo(1.4 ** 0.25, 6)
  expect(steps[0]).toBe(plays[0]![0]!.step)
  // the first of those beside it lies in the middle
  expect(plays[1]![0]!.step).toBe(steps[2])
})

it('full sheets may waste less by and by where as many are found as may be', () => {
  const { problem, limit } = posed(panelsOfManySheets(40298))
  const means = meansUntil(randomFrom(2), 1, null, () => 0, Infinity)
  const search = new OneByOne(problem, limit, { ...means, over: () => asked.length > 4 })
  search.next()
  const parts = asked.map(({ problem, play }) => {
    const [sheet] = problem.sheets
    return play.most / (sheet!.area - areaOfAll(problem) / sheet!.count)
  })
  // all that may be are found with the waste of the first, so less is asked for, until there are no longer too many
  expect(asked[0]!.snug.found.length).toBeGreaterThanOrEqual(2000)
  expect(parts[0]).toBeGreaterThan(0.25 * 0.7 - 1e-9)
  const calm = asked.findIndex(({ snug }) => snug.found.length < 2000)
  expect(calm).toBeGreaterThan(0)
  expect(parts[calm]).toBeLessThan((0.25 * 1.3) / 2)
})
