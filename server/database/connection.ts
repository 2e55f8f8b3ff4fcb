import knex, { type Knex } from 'knex'

/** How long a query waits for a connection before it counts as unreachable, ms. */
const PATIENCE = 3000

function wanted(name: string): string {
  const value = process.env[name]
  if (!value) throw new Error(`${name} is not set; start with npm start, which sets it`)
  return value
}

/** Connects to the database that the start script names in the environment. */
export function connect(): Knex {
  return knex({
    client: 'mysql2',
    connection: {
      host: wanted('FINGERLING_DB_HOST'),
      port: Number(wanted('FINGERLING_DB_PORT')),
      user: wanted('FINGERLING_DB_USER'),
      password: wanted('FINGERLING_DB_PASSWORD'),
      database: wanted('FINGERLING_DB_NAME'),
      timezone: 'Z',
      supportBigNumbers: true,
      connectTimeout: PATIENCE,
    },
    pool: { min: 0, max: 8, idleTimeoutMillis: 30000 },
    acquireConnectionTimeout: PATIENCE,
  })
}

let shared: Knex | null = null

/** The application's one connection pool. */
export function database(): Knex {
  shared ??= connect()
  return shared
}

/** Closes the pool, for a server that ends. */
export async function disconnect(): Promise<void> {
  await shared?.destroy()
  shared = null
}
