import highsLoader from 'highs'
import highsUrl from 'highs/runtime?url'
import { solverFrom, type HighsModule } from '#core/cutting/highs-solver'
import type { CutPlan } from '#core/cutting/instance'
import { meansUntil } from '#core/cutting/means'
import { withoutUsed } from '#core/cutting/offcuts-used'
import { randomFrom } from '#core/cutting/random'
import { cutting } from '#core/cutting/solve'
import type { FromCutting, ToCutting } from './cutting-messages'

/** Rounds of a search: far more than the clock ever allows. */
const ROUNDS = 1_000_000

const say = (message: FromCutting): void => (self as unknown as Worker).postMessage(message)

/** Plans the cutting off the page's own thread, and says the best so far whenever it gets better. */
self.onmessage = async ({ data }: MessageEvent<ToCutting>) => {
  try {
    const highs = await highsLoader({ locateFile: () => highsUrl })
    const solver = solverFrom(highs as unknown as HighsModule)
    const plans: CutPlan[] = []
    for (const { key, instance } of data.jobs) {
      const now = (): number => performance.now()
      const search = cutting(
        withoutUsed(instance, plans),
        meansUntil(randomFrom(1), ROUNDS, solver, now, now() + data.seconds * 1000),
      )
      let shown: unknown = null
      for (;;) {
        const { value, done } = search.next()
        if (done || value !== shown) say({ say: 'plan', key, plan: value, done: done ?? false })
        shown = value
        if (done) {
          plans.push(value)
          break
        }
      }
    }
    say({ say: 'through' })
  } catch (error) {
    say({ say: 'failed', message: error instanceof Error ? error.message : String(error) })
  }
}
