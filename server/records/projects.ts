import type { Knex } from 'knex'
import type { ProjectDto } from '#core/exchange/project/project.dto'
import { incoming } from './incoming'
import { insert, list, read } from './store'

/** A project together with the id its shop is kept under. */
export interface KeptProject {
  shopId: string
  project: ProjectDto
}

const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/**
 * Puts a whole project in, inside the caller's transaction. Ids of tools and holders are kept within their shop: they
 * are prefixed with the shop's, so that the same file can be loaded for two shops.
 */
export async function insertProject(trx: Knex, { shopId, project }: KeptProject): Promise<void> {
  const inShop = (id: string) => `${shopId}-${id}`
  await insert(trx, 'shops', incoming('shops', plain(project.shop), shopId))
  for (const tool of project.tools) {
    const id = inShop(tool.id)
    await insert(trx, 'tools', incoming('tools', { ...plain(tool), id, shop: shopId }, id))
  }
  for (const holder of project.holders) {
    const id = inShop(holder.id)
    const seats = holder.seats.map((seat) => ({ ...seat, tool: inShop(seat.tool) }))
    await insert(trx, 'holders', incoming('holders', { ...plain(holder), id, seats, shop: shopId }, id))
  }
}

const OURS = ['version', 'createdAt', 'updatedAt', 'deleted', 'shop'] as const

/** A shop with all its tools and holders, as a project file. @throws Problem 404 */
export async function exportProject(knex: Knex, shopId: string): Promise<Record<string, unknown>> {
  const strip = (record: Record<string, unknown>) =>
    Object.fromEntries(Object.entries(record).filter(([key]) => !OURS.includes(key as (typeof OURS)[number])))
  const { id: _, ...shop } = strip(await read(knex, 'shops', shopId))
  const tools = (await list(knex, 'tools', shopId)).map(strip)
  const there = new Set(tools.map((t) => t.id))
  const holders = (await list(knex, 'holders', shopId)).map(strip).map((holder) => ({
    ...holder,
    seats: (holder.seats as { tool: string }[]).filter((seat) => there.has(seat.tool)),
  }))
  return { format: 'fingerling-project', formatVersion: 1, shop, tools, holders }
}
