import type { H3Event } from 'h3'
import { isRecordKind, type RecordKind } from '../records/record'
import { invalid, notFound } from './problem'

/** The kind of record in the address. @throws Problem 404 */
export function kindIn(event: H3Event): RecordKind {
  const kind = getRouterParam(event, 'kind')
  if (!isRecordKind(kind)) throw notFound('What was asked for')
  return kind
}

/** The id in the address. */
export const idIn = (event: H3Event): string => getRouterParam(event, 'id', { decode: true }) ?? ''

/** The version in the query, which a deletion must name. @throws Problem 400 */
export function versionIn(event: H3Event): number {
  const version = Number(getQuery(event).version)
  if (!Number.isInteger(version) || version < 1)
    throw invalid([{ field: 'version', message: 'say which version is meant: ?version=3' }])
  return version
}
