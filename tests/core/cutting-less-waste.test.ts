import { expect, it, vi } from 'vitest'
import { meansUntil } from '#core/cutting/means'
import { randomFrom } from '#core/cutting/random'
import { readInstance } from '#core/cutting/read-instance'
import { OneByOne } from '#core/cutting/two-d/one-by-one'
import { pose } from '#core/cutting/two-d/problem'
import { areaOfAll } from '#core/cutting/two-d/sheets'
import type { SnugSheets } from '#core/cutting/two-d/snug/sheets'
import { panelsOfManySheets } from './cut-instances'

/** Where full sheets were looked for, one after the other. */
const { looked } = vi.hoisted(() => ({ looked: [] as { snug: SnugSheets; most: number; slack: number }[] }))

vi.mock('#core/cutting/two-d/snug/sheets', async (original) => {
  const { SnugSheets } = await original<typeof import('#core/cutting/two-d/snug/sheets')>()
  return {
    SnugSheets: class extends SnugSheets {
      constructor(...what: ConstructorParameters<typeof SnugSheets>) {
        super(...what)
        const [problem, { most }] = what
        const [sheet] = problem.sheets
        looked.push({ snug: this, most, slack: sheet!.area - areaOfAll(problem) / sheet!.count })
      }
    },
  }
})

it('full sheets may waste less by and by where as many are found as may be', { timeout: 60_000 }, () => {
  const { instance, best } = panelsOfManySheets(1045)
  const read = readInstance(JSON.stringify(instance))
  if (!read.ok) throw new Error('unreadable')
  const { problem } = pose(read.instance)
  const means = meansUntil(randomFrom(2), 1, null, () => 0, Infinity)
  const search = new OneByOne(problem, best * problem.sheets[0]!.cost, { ...means, over: () => looked.length > 4 })
  search.next()
  const parts = looked.map(({ most, slack }) => most / slack)
  // all that may be are found with the waste of the first, so less is asked for, until there are no longer too many
  expect(looked[0]!.snug.found.length).toBeGreaterThanOrEqual(2000)
  expect(parts[0]).toBeGreaterThan(0.25 * 0.7 - 1e-9)
  const calm = looked.findIndex(({ snug }) => snug.found.length < 2000)
  expect(calm).toBeGreaterThan(0)
  expect(parts[calm]).toBeLessThan((0.25 * 1.3) / 2)
})
