import { randomUUID } from 'node:crypto'
import { instanceToPlain } from 'class-transformer'
import { idError, isRecord } from '#core/exchange/project/checked'
import { checkAgainst } from '#core/exchange/project/problems'
import { invalid, type FieldProblem } from '../http/problem'
import { READERS, type RecordKind } from './record'

/** A record as it came in and was checked. */
export interface Incoming {
  id: string
  version: number
  shop: string | null
  name: string
  data: Record<string, unknown>
}

/** Properties that an answer has and that may come back with it unread. */
const OURS = new Set(['id', 'version', 'shop', 'createdAt', 'updatedAt', 'deleted'])

/**
 * Checks a record that was sent.
 * @param id from the address, where it has one; must agree with the body's
 * @throws Problem 400 with every field that is wrong
 */
export function incoming(kind: RecordKind, body: unknown, id?: string): Incoming {
  if (!isRecord(body)) throw invalid([{ field: '', message: 'an object is expected.' }])
  const errors: FieldProblem[] = []
  const chosen = id ?? body.id ?? randomUUID()
  if (idError(chosen)) errors.push({ field: 'id', message: idError(chosen)! })
  if (id !== undefined && body.id !== undefined && body.id !== id)
    errors.push({ field: 'id', message: 'it differs from the one in the address.' })
  const version = body.version ?? 0
  if (!Number.isInteger(version) || (version as number) < 0)
    errors.push({ field: 'version', message: 'the version is a whole number, 0 for a new one.' })
  const shop = kind === 'shops' ? null : body.shop
  if (kind !== 'shops' && idError(shop)) errors.push({ field: 'shop', message: 'say which shop it belongs to.' })

  const own = Object.fromEntries(Object.entries(body).filter(([key]) => !OURS.has(key)))
  const { type, fill } = READERS[kind]
  const checked = checkAgainst(type, fill(kind === 'shops' ? own : { ...own, id: chosen }))
  if (!checked.ok) errors.push(...checked.problems.map((p) => ({ field: p.path, message: p.message })))
  if (!checked.ok || errors.length > 0) throw invalid(errors)

  const { id: _, name, ...data } = instanceToPlain(checked.value) as Record<string, unknown>
  return { id: chosen as string, version: version as number, shop: shop as string | null, name: name as string, data }
}
