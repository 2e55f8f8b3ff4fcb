/** How an answer of the server looks from here: what was asked for, a problem it told, or no answer at all. */
export type Answer<T> =
  { kind: 'ok'; value: T } | { kind: 'problem'; status: number; problem: Problem } | { kind: 'away' }

export interface Problem {
  title: string
  detail: string
  errors?: { field: string; message: string }[]
  current?: unknown
}

/** Tells this window from others on the same records. */
export const WINDOW = crypto.randomUUID()

/** How long an answer is waited for, ms. */
const PATIENCE = 8000

/** Asks the server. Never throws: a server or database that is away is an answer too. */
export async function ask<T>(
  method: 'GET' | 'PUT' | 'POST' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<Answer<T>> {
  try {
    const response = await fetch(path, {
      method,
      headers: { 'x-window': WINDOW, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(PATIENCE),
    })
    if (response.status >= 500) return { kind: 'away' }
    const value = (await response.json()) as unknown
    if (response.ok) return { kind: 'ok', value: value as T }
    return { kind: 'problem', status: response.status, problem: value as Problem }
  } catch {
    return { kind: 'away' }
  }
}
