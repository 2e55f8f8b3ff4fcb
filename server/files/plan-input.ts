import type { Tool } from '#core/footprint/tool'
import type { PlanInput } from '#core/forms/form'
import type { Holder } from '#core/model/holder'
import { cutPieces, type Work } from '#core/model/work'
import type { Shop } from '#core/shop/shop'
import { database } from '../database/connection'
import { notFound } from '../http/problem'
import { list, read } from '../records/store'

/** A stored holder with its shop and tools, as it is planned from. @throws Problem 404 */
export async function planInput(id: string): Promise<PlanInput> {
  const knex = database()
  const holder = await read(knex, 'holders', id)
  if (holder.deleted) throw notFound('This holder')
  const shop = await read(knex, 'shops', holder.shop!)
  const tools = (await list(knex, 'tools', holder.shop)) as unknown as Tool[]
  const works = (await list(knex, 'works', holder.shop)) as unknown as Work[]
  return {
    shop: shop as unknown as Shop,
    tools: new Map(tools.map((t) => [t.id, t])),
    holder: holder as unknown as Holder,
    cut: cutPieces(works.find((w) => w.id === id)),
  }
}
