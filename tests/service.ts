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

/** Ports that one service may try, so that several starting at once don't meet. */
const PORTS = 60

/**
 * Starts both on free ports with their data in `data`.
 * @param lane 0, 1, 2 … for services that are started at the same time
 */
export async function startService(data: string, env: Record<string, string> = {}, lane = 0): Promise<Service> {
  chmodSync(data, 0o755) // MariaDB runs as its own user
  let database = await startDatabase(data, { port: await freePort(13406 + lane * PORTS) })
  const port = await freePort(14640 + lane * PORTS)
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
