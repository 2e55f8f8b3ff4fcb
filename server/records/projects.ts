import type { Knex } from 'knex'
import type { HolderDto } from '#core/exchange/project/holder.dto'
import type { ProjectDto } from '#core/exchange/project/project.dto'
import type { Change } from './changes'
import { incoming, type Incoming } from './incoming'
import type { RecordKind } from './record'
import { discard, insert, list, read, replace } from './store'

/** A project together with the id its shop is kept under. */
export interface KeptProject {
  shopId: string
  project: ProjectDto
}

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** A record of a project on its way in, with its kind. */
interface Member {
  kind: RecordKind
  record: Incoming
}

/**
 * Every record of a project, its shop first. Ids of tools and holders are kept within their shop: they are prefixed
 * with the shop's, so that the same file can be loaded for two shops.
 */
function membersOf({ shopId, project }: KeptProject): Member[] {
  const inShop = (id: string) => `${shopId}-${id}`
  const member = (kind: RecordKind, data: { id: string }): Member => {
    const id = inShop(data.id)
    return { kind, record: incoming(kind, { ...plain(data), id, shop: shopId }, id) }
  }
  return [
    { kind: 'shops', record: incoming('shops', plain(project.shop), shopId) },
    ...project.tools.map((tool) => member('tools', tool)),
    ...project.holders.map((holder) =>
      member('holders', { ...holder, seats: holder.seats.map((s) => ({ ...s, tool: inShop(s.tool) })) } as HolderDto),
    ),
    ...project.works.map((work) => member('works', work)),
    ...project.walls.map((wall) =>
      member('walls', { ...wall, hung: wall.hung.map((h) => ({ ...h, holder: inShop(h.holder) })) } as typeof wall),
    ),
  ]
}

/** Puts a whole new project in, inside the caller's transaction. */
export async function insertProject(trx: Knex, kept: KeptProject): Promise<void> {
  for (const { kind, record } of membersOf(kept)) await insert(trx, kind, record)
}

/**
 * Brings a shop back to what a project says, inside the caller's transaction: its records as the next version of what
 * is there, everything else of the shop marked deleted.
 * @returns what changed, to be announced when the transaction is over
 */
export async function restoreProject(trx: Knex, kept: KeptProject): Promise<Change[]> {
  const { shopId } = kept
  const changes: Change[] = []
  const members = membersOf(kept)
  for (const { kind, record } of members) {
    changes.push({ kind, id: record.id, version: await replace(trx, kind, record), shop: shopId })
  }
  const belong = new Set(members.map((m) => m.record.id))
  for (const kind of ['walls', 'works', 'holders', 'tools'] as const) {
    for (const { id, version } of await list(trx, kind, shopId)) {
      if (!belong.has(id)) changes.push({ kind, id, version: await discard(trx, kind, id, version), shop: shopId })
    }
  }
  return changes
}

const OURS = ['version', 'createdAt', 'updatedAt', 'deleted', 'shop'] as const

/** A record without what only the database has of it. */
export const withoutOurs = (record: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(Object.entries(record).filter(([key]) => !OURS.includes(key as (typeof OURS)[number])))

/** A shop with all its tools and holders, as a project file. @throws Problem 404 */
export async function exportProject(knex: Knex, shopId: string): Promise<Record<string, unknown>> {
  const { id: _, ...shop } = withoutOurs(await read(knex, 'shops', shopId))
  const tools = (await list(knex, 'tools', shopId)).map(withoutOurs)
  const there = new Set(tools.map((t) => t.id))
  const holders = (await list(knex, 'holders', shopId)).map(withoutOurs).map((holder) => ({
    ...holder,
    seats: (holder.seats as { tool: string }[]).filter((seat) => there.has(seat.tool)),
  }))
  const hanging = new Set(holders.map((h) => (h as Record<string, unknown>).id))
  const walls = (await list(knex, 'walls', shopId)).map(withoutOurs).map((wall) => ({
    ...wall,
    hung: (wall.hung as { holder: string }[]).filter((h) => hanging.has(h.holder)),
  }))
  const works = (await list(knex, 'works', shopId)).map(withoutOurs).filter((w) => hanging.has(w.id))
  return { format: 'fingerling-project', formatVersion: 1, shop, tools, holders, walls, works }
}
