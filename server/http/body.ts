import type { H3Event } from 'h3'
import { Problem } from './problem'

/** The largest body that is taken, bytes. */
export const LARGEST_BODY = 1024 * 1024

const tooLarge = () => new Problem(413, 'Too large', 'More than 1 MB at once is not taken.')

async function text(event: H3Event): Promise<string> {
  const { req } = event.node
  if (Number(req.headers['content-length'] ?? 0) > LARGEST_BODY) throw tooLarge()
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of req) {
    size += (chunk as Buffer).length
    if (size > LARGEST_BODY) throw tooLarge()
    chunks.push(chunk as Buffer)
  }
  return Buffer.concat(chunks).toString('utf8')
}

/** The request's body as text, at most 1 MB. Only JSON is taken, which also keeps other sites' forms out. */
export async function jsonText(event: H3Event): Promise<string> {
  const type = getRequestHeader(event, 'content-type') ?? ''
  if (!/^application\/([\w.-]+\+)?json\b/i.test(type))
    throw new Problem(415, 'Not JSON', 'Send JSON, with content-type application/json.')
  return text(event)
}

/** The request's body as parsed JSON, at most 1 MB. */
export async function jsonBody(event: H3Event): Promise<unknown> {
  const body = await jsonText(event)
  try {
    return JSON.parse(body)
  } catch (error) {
    throw new Problem(400, 'No JSON', `What was sent is no JSON: ${(error as Error).message}`)
  }
}
