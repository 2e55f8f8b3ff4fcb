import type { H3Event } from 'h3'
import { ready } from '../database/ready'
import { Problem, unreachable } from './problem'

/** How long the database may take over one request before it counts as unreachable, ms. */
const PATIENCE = 6000

/** Errors of the driver and the pool that mean the database is away, by their codes or names. */
const AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  'PROTOCOL_CONNECTION_LOST',
  'KnexTimeoutError',
  'TimeoutError',
  'ER_SERVER_SHUTDOWN',
])

const isAway = (error: unknown): boolean => {
  const { code, name, message } = error as { code?: string; name?: string; message?: string }
  return (
    AWAY.has(code ?? '') || AWAY.has(name ?? '') || /closed state|Connection lost|Unable to acquire/.test(message ?? '')
  )
}

function late(): { promise: Promise<never>; cancel: () => void } {
  let timer: ReturnType<typeof setTimeout>
  const promise = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(unreachable()), PATIENCE)
  })
  return { promise, cancel: () => clearTimeout(timer) }
}

/** What went wrong, as a problem; what we don't know is written to the log and told without its inside. */
function asProblem(error: unknown): Problem {
  if (error instanceof Problem) return error
  if (isAway(error)) return unreachable()
  console.error(error)
  return new Problem(
    500,
    'Something went wrong here',
    'This is our mistake, and it has been noted in the log. Nothing was changed.',
  )
}

/**
 * A route of the API: waits until the database is prepared, and answers every failure as problem+json.
 */
export function route<T>(handle: (event: H3Event) => Promise<T> | T) {
  return defineEventHandler(async (event) => {
    const limit = late()
    try {
      const work = (async () => {
        await ready()
        return handle(event)
      })()
      work.catch(() => {})
      return await Promise.race([work, limit.promise])
    } catch (error) {
      const problem = asProblem(error)
      setResponseStatus(event, problem.status)
      setResponseHeader(event, 'content-type', 'application/problem+json')
      if (problem.status === 503) setResponseHeader(event, 'retry-after', 2)
      return problem.toJSON()
    } finally {
      limit.cancel()
    }
  })
}
