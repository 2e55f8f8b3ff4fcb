import type { Knex } from 'knex'
import { filledShop } from '#core/exchange/project/shop.dto'
import { plainTool } from '#core/footprint/tool'

type Document = Record<string, unknown>
const parsed = (data: unknown): Document => (typeof data === 'string' ? JSON.parse(data) : data) as Document

/** Shops get the lists of what they have, tools their counts, profiles and the rest, as they are when nothing is said. */
export async function up(knex: Knex): Promise<void> {
  const { id: _, name: __, ...plain } = plainTool('', '', '')
  for (const { id, data } of await knex('tools').select('id', 'data')) {
    await knex('tools')
      .where({ id })
      .update({ data: JSON.stringify({ ...plain, ...parsed(data) }) })
  }
  for (const { id, data } of await knex('shops').select('id', 'data')) {
    const shop = filledShop(parsed(data)) as Document & { bits: Document[] }
    const bits = shop.bits.map((bit) => ({ kind: 'forstner', depth: null, ...bit }))
    await knex('shops')
      .where({ id })
      .update({ data: JSON.stringify({ ...shop, bits }) })
  }
}

/** What was added is only more: an older Fingerling does not read it. */
export async function down(): Promise<void> {}
