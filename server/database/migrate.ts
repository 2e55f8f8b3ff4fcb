import type { Knex } from 'knex'
import * as first from './migrations/0001-shops-tools-holders'
import * as second from './migrations/0002-every-kind-and-what-a-shop-has'
import * as third from './migrations/0003-works'
import * as fourth from './migrations/0004-walls'

const migrations: Record<string, Knex.Migration> = {
  '0001-shops-tools-holders': first,
  '0002-every-kind-and-what-a-shop-has': second,
  '0003-works': third,
  '0004-walls': fourth,
}

/** Migrations as modules, so that they are bundled with the server and run from the built application. */
class Modules implements Knex.MigrationSource<string> {
  getMigrations = () => Promise.resolve(Object.keys(migrations).sort())
  getMigrationName = (name: string) => name
  getMigration = (name: string) => Promise.resolve(migrations[name]!)
}

/** Brings the database to the newest form. */
export async function migrate(knex: Knex): Promise<void> {
  const config = { migrationSource: new Modules() }
  // a start that was killed in the middle leaves its lock behind; only one application serves a data folder
  await knex.migrate.forceFreeMigrationsLock(config)
  await knex.migrate.latest(config)
}
