import type { Knex } from 'knex'

/** The columns every table has. */
function common(table: Knex.CreateTableBuilder) {
  table.string('id', 64).primary()
  table.integer('version').unsigned().notNullable().defaultTo(1)
  table.datetime('created_at', { precision: 3 }).notNullable()
  table.datetime('updated_at', { precision: 3 }).notNullable()
  table.datetime('deleted_at', { precision: 3 }).nullable()
}

/**
 * Shops, their tools and their holders. What is searched or joined on has a column; the rest of a record, checked when
 * it comes in, is one JSON document.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('shops', (table) => {
    common(table)
    table.string('name', 120).notNullable()
    table.json('data').notNullable()
  })
  for (const name of ['tools', 'holders']) {
    await knex.schema.createTable(name, (table) => {
      common(table)
      table.string('shop_id', 64).notNullable().references('id').inTable('shops')
      table.string('name', 120).notNullable()
      table.json('data').notNullable()
      table.index(['shop_id', 'deleted_at'])
    })
  }
}

export async function down(knex: Knex): Promise<void> {
  for (const name of ['holders', 'tools', 'shops']) await knex.schema.dropTable(name)
}
