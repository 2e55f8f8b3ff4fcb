import { Problem } from '../http/problem'

const READS = new Set(['GET', 'HEAD', 'OPTIONS'])

/**
 * Headers for every answer, and a refusal of writes that a page of another site sends.
 */
export default defineEventHandler((event) => {
  setResponseHeaders(event, {
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'same-origin',
    'x-frame-options': 'DENY',
    'cross-origin-opener-policy': 'same-origin',
  })
  if (!event.path.startsWith('/api/')) return
  setResponseHeader(event, 'cache-control', 'no-store')
  const origin = getRequestHeader(event, 'origin')
  if (READS.has(event.method) || !origin) return
  const host = getRequestHeader(event, 'host')
  if (URL.canParse(origin) && new URL(origin).host === host) return
  const problem = new Problem(403, 'Not from here', 'Changes are taken from this application’s own pages only.')
  setResponseStatus(event, problem.status)
  setResponseHeader(event, 'content-type', 'application/problem+json')
  return problem.toJSON()
})
