import { chmodSync } from 'node:fs'
import { startApplication } from '../scripts/lib/application.mjs'
import { startDatabase } from '../scripts/lib/database.mjs'
import { freePort } from '../scripts/lib/ports.mjs'

/** A database and an application that a test may stop, kill and start again. */
export interface Service {
  data: string
  address: string
  stop: () => Promise<void>
  killDatabase: () => Promise<void>
  startDatabase: () => Promise<void>
  killApplication: () => Promise<void>
  startApplication: () => Promise<void>
}

/** Starts both on free ports with their data in `data`. */
export async function startService(data: string, env: Record<string, string> = {}): Promise<Service> {
  chmodSync(data, 0o755) // MariaDB runs as its own user
  let database = await startDatabase(data)
  const port = await freePort(14640)
  const start = () => startApplication({ port, env: { ...database.env, ...env }, data })
  let application = await start()
  return {
    data,
    address: application.address,
    stop: async () => {
      await application.stop()
      await database.stop()
    },
    killDatabase: async () => {
      database.kill()
      await database.ended
    },
    startDatabase: async () => {
      database = await startDatabase(data, { port: database.port })
    },
    killApplication: async () => {
      process.kill(application.pid!, 'SIGKILL')
      await application.ended
    },
    startApplication: async () => {
      application = await start()
    },
  }
}
