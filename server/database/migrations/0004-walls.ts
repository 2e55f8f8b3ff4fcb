import type { Knex } from 'knex'

/** Walls, with what is on them and where holders hang. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('walls', (table) => {
    table.string('id', 64).primary()
    table.integer('version').unsigned().notNullable().defaultTo(1)
    table.datetime('created_at', { precision: 3 }).notNullable()
    table.datetime('updated_at', { precision: 3 }).notNullable()
    table.datetime('deleted_at', { precision: 3 }).nullable()
    table.string('shop_id', 64).notNullable().references('id').inTable('shops')
    table.string('name', 120).notNullable()
    table.json('data').notNullable()
    table.index(['shop_id', 'deleted_at'])
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('walls')
}
