import { inject } from 'vitest'

/** An answer of the API with its JSON read. */
export interface Answer {
  status: number
  type: string
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- tests look into answers of every shape
  body: any
}

/** Sends one request to the application under test. */
export async function api(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
  address = inject('address'),
): Promise<Answer> {
  const answer = await fetch(`${address}${path}`, {
    method,
    headers: { ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  })
  const text = await answer.text()
  return { status: answer.status, type: answer.headers.get('content-type') ?? '', body: text ? JSON.parse(text) : null }
}

let count = 0

/** A new shop of its own for a test. */
export async function newShop(): Promise<string> {
  const id = `shop-${process.pid}-${Date.now()}-${count++}`
  const made = await api('POST', '/api/shops', { id, name: 'Test shop' })
  if (made.status !== 201) throw new Error(JSON.stringify(made.body))
  return id
}

export const aTool = (shop: string, more: object = {}) => ({
  shop,
  name: 'Mallet',
  kind: 'headed',
  measures: { handleWidth: 28, headWidth: 70, headLength: 120 },
  ...more,
})
