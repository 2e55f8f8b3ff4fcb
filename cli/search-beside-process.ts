import { setImmediate as turn } from 'node:timers/promises'
import { meansUntil } from '#core/cutting/means'
import { randomFrom } from '#core/cutting/random'
import { cutting } from '#core/cutting/solve'
import { linearSolver } from './highs'
import { ROUNDS } from './search'
import type { ToSearchBeside } from './search-beside'

const now = (): number => performance.now()

process.once('disconnect', () => process.exit())
process.once('message', async (what) => {
  const { instance, beside, seed, seconds } = what as ToSearchBeside
  // to load the solver takes a third of a second: for sheets the first search alone has it
  const solver = instance.kind === '1d' ? await linearSolver() : null
  // the clock began when the process did
  const means = { ...meansUntil(randomFrom(seed), ROUNDS, solver, now, seconds * 1000), beside }
  const search = cutting(instance, means)
  let step = search.next()
  while (!step.done) {
    await turn()
    step = search.next()
  }
  process.send!(step.value)
})
