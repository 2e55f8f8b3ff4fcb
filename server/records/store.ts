import type { Knex } from 'knex'
import { invalid, notFound, Problem, stale } from '../http/problem'
import { announce, announceMany, type Change } from './changes'
import type { Incoming } from './incoming'
import { READERS, type RecordKind, type Stored } from './record'

/** MariaDB's number for a key that is there already. */
const DUPLICATE = 1062

interface Row {
  id: string
  version: number
  created_at: Date
  updated_at: Date
  deleted_at: Date | null
  shop_id?: string
  name: string
  data: Record<string, unknown> | string
}

export type Representation = Stored & { name: string } & Record<string, unknown>

/** A row as it is sent out; what has come to its kind since it was saved is filled in. */
function represent(kind: RecordKind, row: Row): Representation {
  const stored: unknown = typeof row.data === 'string' ? JSON.parse(row.data) : row.data
  const data = READERS[kind].fill(stored) as Record<string, unknown>
  return {
    ...data,
    id: row.id,
    ...(row.shop_id === undefined ? {} : { shop: row.shop_id }),
    name: row.name,
    version: row.version,
    createdAt: row.created_at.toISOString(),
    updatedAt: row.updated_at.toISOString(),
    deleted: row.deleted_at !== null,
  }
}

/** Every record of a kind that is not deleted; of one shop, where asked. In the order in which they were made. */
export async function list(knex: Knex, kind: RecordKind, shop?: string): Promise<Representation[]> {
  const query = knex<Row>(kind).whereNull('deleted_at').orderBy(['created_at', 'id'])
  if (shop !== undefined && kind !== 'shops') query.where('shop_id', shop)
  return ((await query) as Row[]).map((row) => represent(kind, row))
}

/** One record, deleted or not. @throws Problem 404 */
export async function read(knex: Knex, kind: RecordKind, id: string): Promise<Representation> {
  const row = (await knex<Row>(kind).where({ id }).first()) as Row | undefined
  if (!row) throw notFound(READERS[kind].one)
  return represent(kind, row)
}

async function knownShop(trx: Knex, kind: RecordKind, shop: string | null): Promise<void> {
  if (kind === 'shops') return
  const row = await trx('shops').where({ id: shop }).whereNull('deleted_at').first('id')
  if (!row) throw invalid([{ field: 'shop', message: 'there is no such shop.' }])
}

const columns = (kind: RecordKind, record: Incoming) => ({
  name: record.name,
  data: JSON.stringify(record.data),
  ...(kind === 'shops' ? {} : { shop_id: record.shop }),
})

let lastMade = 0

/** The time, a millisecond later each time at least: what is made at once is listed in the order in which it was made. */
function nextMoment(): Date {
  lastMade = Math.max(Date.now(), lastMade + 1)
  return new Date(lastMade)
}

/** Puts a new record in, inside the caller's transaction. */
export async function insert(trx: Knex, kind: RecordKind, record: Incoming): Promise<void> {
  await knownShop(trx, kind, record.shop)
  const now = nextMoment()
  await trx(kind).insert({ id: record.id, version: 1, created_at: now, updated_at: now, ...columns(kind, record) })
}

/**
 * Puts a record in, whatever stood there: a new row, or the next version of the one there is. Inside the caller's
 * transaction. @returns its version
 */
export async function replace(trx: Knex, kind: RecordKind, record: Incoming): Promise<number> {
  const row = (await trx<Row>(kind).where({ id: record.id }).forUpdate().first()) as Row | undefined
  if (!row) {
    await insert(trx, kind, record)
    return 1
  }
  const version = row.version + 1
  await trx(kind)
    .where({ id: record.id })
    .update({ ...columns(kind, record), deleted_at: null, version, updated_at: new Date() })
  return version
}

/** Marks a row deleted, inside the caller's transaction. @returns its new version */
export async function discard(trx: Knex, kind: RecordKind, id: string, version: number): Promise<number> {
  const now = new Date()
  await trx(kind)
    .where({ id })
    .update({ deleted_at: now, updated_at: now, version: version + 1 })
  return version + 1
}

const changeOf = (kind: RecordKind, made: Representation): Change => ({
  kind,
  id: made.id,
  version: made.version,
  shop: made.shop ?? made.id,
})

/** Makes a new record, inside the caller's transaction. @throws Problem 409 when the id is taken, 400 when the shop is unknown */
async function createIn(trx: Knex, kind: RecordKind, record: Incoming): Promise<Representation> {
  try {
    await insert(trx, kind, record)
  } catch (error) {
    if ((error as { errno?: number }).errno !== DUPLICATE) throw error
    // a reading under a lock: the transaction's own view may be older than the row that stands in the way
    const row = (await trx<Row>(kind).where({ id: record.id }).forShare().first()) as Row
    throw stale(represent(kind, row))
  }
  return read(trx, kind, record.id)
}

/** Changes one row under its lock, if its version is the one expected. */
async function changeIn(
  trx: Knex,
  kind: RecordKind,
  id: string,
  version: number,
  values: object,
): Promise<Representation> {
  const row = (await trx<Row>(kind).where({ id }).forUpdate().first()) as Row | undefined
  if (!row) throw notFound(READERS[kind].one)
  if (row.version !== version) throw stale(represent(kind, row))
  await trx(kind)
    .where({ id })
    .update({ ...values, version: version + 1, updated_at: new Date() })
  return read(trx, kind, id)
}

/**
 * Marks a row deleted, inside the caller's transaction. One that is so already, and was deleted at that version, stays as it is:
 * the answer to the first time may have been lost.
 */
async function removeIn(trx: Knex, kind: RecordKind, id: string, version: number): Promise<Representation> {
  const row = (await trx<Row>(kind).where({ id }).forUpdate().first()) as Row | undefined
  if (row?.deleted_at && row.version === version + 1) return represent(kind, row)
  return changeIn(trx, kind, id, version, { deleted_at: new Date() })
}

/**
 * Saves a record over the version it was read at; version 0 makes a new one. Saving a deleted record brings it back.
 * Inside the caller's transaction.
 */
async function saveIn(trx: Knex, kind: RecordKind, record: Incoming): Promise<Representation> {
  if (record.version === 0) return createIn(trx, kind, record)
  await knownShop(trx, kind, record.shop)
  return changeIn(trx, kind, record.id, record.version, { ...columns(kind, record), deleted_at: null })
}

/** Makes a new record. @throws Problem 409 when the id is taken, 400 when the shop is unknown */
export async function create(knex: Knex, kind: RecordKind, record: Incoming): Promise<Representation> {
  const made = await knex.transaction((trx) => createIn(trx, kind, record))
  announce(changeOf(kind, made))
  return made
}

/** Saves a record over the version it was read at; version 0 makes a new one. @throws Problem 404, 409 with what is stored, 400 */
export async function save(knex: Knex, kind: RecordKind, record: Incoming): Promise<Representation> {
  const saved = await knex.transaction((trx) => saveIn(trx, kind, record))
  announce(changeOf(kind, saved))
  return saved
}

/** Marks a record deleted; it can be brought back by saving it. @throws Problem 404, 409 */
export async function remove(knex: Knex, kind: RecordKind, id: string, version: number): Promise<Representation> {
  const gone = await knex.transaction((trx) => removeIn(trx, kind, id, version))
  announce(changeOf(kind, gone))
  return gone
}

/** One of many changes: a record to save, or one to delete at a version. */
export type Wanted =
  | { kind: RecordKind; save: Incoming }
  | { kind: RecordKind; remove: { id: string; version: number } }
  /** what came in was no change at all */
  | { problem: Problem }

/** What became of one of many changes. */
export type Outcome = { status: number; record: Representation } | { status: number; problem: Problem }

/**
 * Makes many changes in one transaction. One that can't be made is answered by itself and changes nothing; the others
 * are made.
 * @param by the window they come from, told with the news of them
 */
export async function changeMany(knex: Knex, wanted: readonly Wanted[], by: string): Promise<Outcome[]> {
  const changes: Change[] = []
  const outcomes = await knex.transaction(async (trx) => {
    const done: Outcome[] = []
    for (const change of wanted) {
      if ('problem' in change) {
        done.push({ status: change.problem.status, problem: change.problem })
        continue
      }
      try {
        const record = await trx.transaction((inner) =>
          'save' in change
            ? saveIn(inner, change.kind, change.save)
            : removeIn(inner, change.kind, change.remove.id, change.remove.version),
        )
        changes.push(changeOf(change.kind, record))
        done.push({ status: 200, record })
      } catch (error) {
        if (!(error instanceof Problem)) throw error
        done.push({ status: error.status, problem: error })
      }
    }
    return done
  })
  if (changes.length > 0) announceMany({ shops: [...new Set(changes.map((c) => c.shop))], by })
  return outcomes
}
