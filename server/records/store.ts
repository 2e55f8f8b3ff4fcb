import type { Knex } from 'knex'
import { invalid, notFound, stale } from '../http/problem'
import { announce } from './changes'
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

/** A row as it is sent out. */
export function represent(row: Row): Representation {
  const data = typeof row.data === 'string' ? (JSON.parse(row.data) as Record<string, unknown>) : row.data
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
  return ((await query) as Row[]).map(represent)
}

/** One record, deleted or not. @throws Problem 404 */
export async function read(knex: Knex, kind: RecordKind, id: string): Promise<Representation> {
  const row = (await knex<Row>(kind).where({ id }).first()) as Row | undefined
  if (!row) throw notFound(READERS[kind].one)
  return represent(row)
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

/** Puts a new record in, inside the caller's transaction. */
export async function insert(trx: Knex, kind: RecordKind, record: Incoming): Promise<void> {
  await knownShop(trx, kind, record.shop)
  const now = new Date()
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

/** Makes a new record. @throws Problem 409 when the id is taken, 400 when the shop is unknown */
export async function create(knex: Knex, kind: RecordKind, record: Incoming): Promise<Representation> {
  try {
    await knex.transaction((trx) => insert(trx, kind, record))
  } catch (error) {
    if ((error as { errno?: number }).errno === DUPLICATE) throw stale(await read(knex, kind, record.id))
    throw error
  }
  const made = await read(knex, kind, record.id)
  announce({ kind, id: made.id, version: made.version, shop: made.shop ?? made.id })
  return made
}

/** Changes one row under its lock, if its version is the one expected. */
async function change(
  knex: Knex,
  kind: RecordKind,
  id: string,
  version: number,
  values: (trx: Knex) => Promise<object>,
): Promise<Representation> {
  const changed = await knex.transaction(async (trx) => {
    const row = (await trx<Row>(kind).where({ id }).forUpdate().first()) as Row | undefined
    if (!row) throw notFound(READERS[kind].one)
    if (row.version !== version) throw stale(represent(row))
    await trx(kind)
      .where({ id })
      .update({ ...(await values(trx)), version: version + 1, updated_at: new Date() })
    return read(trx, kind, id)
  })
  announce({ kind, id, version: changed.version, shop: changed.shop ?? id })
  return changed
}

/**
 * Saves a record over the version it was read at; version 0 makes a new one. Saving a deleted record brings it back.
 * @throws Problem 404, 409 with what is stored, 400
 */
export async function save(knex: Knex, kind: RecordKind, record: Incoming): Promise<Representation> {
  if (record.version === 0) return create(knex, kind, record)
  return change(knex, kind, record.id, record.version, async (trx) => {
    await knownShop(trx, kind, record.shop)
    return { ...columns(kind, record), deleted_at: null }
  })
}

/** Marks a record deleted; it can be brought back by saving it. @throws Problem 404, 409 */
export const remove = (knex: Knex, kind: RecordKind, id: string, version: number): Promise<Representation> =>
  change(knex, kind, id, version, async () => ({ deleted_at: new Date() }))
