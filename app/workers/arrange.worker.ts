import { arranging } from '#core/wall/arrange'
import type { FromArrange, ToArrange } from './arrange-messages'

/** Looks for an arrangement off the page's own thread; tells each better one. */
const answer = (message: FromArrange): void => (self as unknown as Worker).postMessage(message)

/** Rounds of the search: more than the clock allows. */
const ROUNDS = 20_000

self.onmessage = ({ data }: MessageEvent<ToArrange>) => {
  try {
    const end = performance.now() + data.seconds * 1000
    const search = arranging(data.wall, data.pieces, data.shop, { seed: 1, rounds: ROUNDS, over: () => performance.now() > end }) // prettier-ignore
    for (;;) {
      const { value, done } = search.next()
      answer({ say: 'so far', arrangement: value, done: done ?? false })
      if (done) break
    }
  } catch (error) {
    answer({ say: 'failed', message: error instanceof Error ? error.message : String(error) })
  }
}
