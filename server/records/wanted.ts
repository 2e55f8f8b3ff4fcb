import { isRecord } from '#core/exchange/project/checked'
import { invalid, Problem } from '../http/problem'
import { incoming } from './incoming'
import { isRecordKind } from './record'
import type { Wanted } from './store'

/** The most changes in one request. */
export const MOST_CHANGES = 500

function wanted(change: unknown): Wanted {
  try {
    if (!isRecord(change) || !isRecordKind(change.kind))
      throw invalid([{ field: 'kind', message: 'say which kind of record it is.' }])
    const { kind } = change
    if (change.save !== undefined) {
      const id = isRecord(change.save) && typeof change.save.id === 'string' ? change.save.id : undefined
      return { kind, save: incoming(kind, change.save, id) }
    }
    const { remove } = change
    if (!isRecord(remove) || typeof remove.id !== 'string' || !Number.isInteger(remove.version))
      throw invalid([{ field: 'remove', message: 'say which record, and at which version: {"id", "version"}.' }])
    return { kind, remove: { id: remove.id, version: remove.version as number } }
  } catch (error) {
    if (error instanceof Problem) return { problem: error }
    throw error
  }
}

/**
 * Checks a list of changes that was sent; what is wrong with one is kept beside it, so that the others can be made.
 * @throws Problem 400 when it is no such list
 */
export function wantedChanges(body: unknown): Wanted[] {
  const changes = isRecord(body) ? body.changes : undefined
  if (!Array.isArray(changes)) throw invalid([{ field: 'changes', message: 'a list of changes is expected.' }])
  if (changes.length > MOST_CHANGES)
    throw invalid([{ field: 'changes', message: `at most ${MOST_CHANGES} changes at once.` }])
  return changes.map(wanted)
}
