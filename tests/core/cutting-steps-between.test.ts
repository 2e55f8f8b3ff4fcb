import { beforeEach, expect, it, vi } from 'vitest'
import { BySteps } from '#core/cutting/two-d/snug/by-steps'
import type { Play } from '#core/cutting/two-d/snug/blocks'
import { sameTogether } from '#core/cutting/two-d/sheets'
import { SHEET, shrunk, slackOf } from './cut-problems'

/** What full sheets were looked for with. */
const { played } = vi.hoisted(() => ({ played: [] as Play[] }))

vi.mock('#core/cutting/two-d/snug/sheets', async (original) => {
  const { SnugSheets } = await original<typeof import('#core/cutting/two-d/snug/sheets')>()
  return {
    SnugSheets: class extends SnugSheets {
      constructor(...what: ConstructorParameters<typeof SnugSheets>) {
        super(...what)
        played.push(what[1])
      }
    },
  }
})

beforeEach(() => {
  played.length = 0
})

it('searches beside the first take steps that share out the room between two of its own, the likeliest blocks first', () => {
  const problem = { ...sameTogether(shrunk(1, [SHEET, SHEET], 6, 4, true)), sheets: [SHEET] }
  const slack = slackOf(problem, 2)
  const plays = [0, 1, 2, 3].map((beside) => {
    played.length = 0
    const search = new BySteps(problem, slack, 2 * SHEET.area, beside)
    for (let level = 0; level < 4 && search.goes; level++) search.next(2 * SHEET.cost, () => true)
    return [...played]
  })
  expect(plays.map((of) => of.length)).toEqual([4, 4, 4, 4])
  expect(plays.map((of) => of.map((play) => play.likely))).toEqual([0, 1, 2, 3].map((n) => Array(4).fill(n > 0)))
  const steps = plays.flatMap((of) => of.map((play) => play.step!)).sort((a, b) => a - b)
  for (const [i, step] of steps.entries()) if (i > 0) expect(step / steps[i - 1]!).toBeCloseTo(1.4 ** 0.25, 6)
  expect(steps[0]).toBe(plays[0]![0]!.step)
  // the first of those beside it lies in the middle
  expect(plays[1]![0]!.step).toBe(steps[2])
})
