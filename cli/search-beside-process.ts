import { setImmediate as turn } from 'node:timers/promises'
import { meansUntil } from '#core/cutting/means'
import { randomFrom } from '#core/cutting/random'
import { cutting } from '#core/cutting/solve'
import { linearSolver } from './highs'
import { isBetter, ROUNDS } from './search'
import type { FromSearchBeside, ToSearchBeside } from './search-beside'

const now = (): number => performance.now()

process.once('disconnect', () => process.exit())
process.once('message', async (what) => {
  const { instance, beside, seed, until } = what as ToSearchBeside
  // to load the solver takes a third of a second: for sheets the first search alone has it
  const solver = instance.kind === '1d' ? await linearSolver() : null
  const tell = (told: FromSearchBeside): boolean => process.send!(told)
  // the clock began when the process did
  const means = { ...meansUntil(randomFrom(seed), ROUNDS, solver, now, until - performance.timeOrigin), beside }
  const search = cutting(instance, means)
  let step = search.next()
  for (let best = step.value; !step.done; step = search.next()) {
    if (isBetter(step.value, best)) tell({ plan: (best = step.value), isLast: false })
    await turn()
  }
  tell({ plan: step.value, isLast: true })
})
