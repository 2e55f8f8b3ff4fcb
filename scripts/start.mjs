// Starts Fingerling: installs what is missing, builds what has changed, starts the database and the application.
import { mkdirSync, readFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { SERVER, startApplication } from './lib/application.mjs'
import { build } from './lib/build.mjs'
import { startDatabase } from './lib/database.mjs'
import { installPackages } from './lib/packages.mjs'
import { freePort, isFree } from './lib/ports.mjs'
import { root } from './lib/root.mjs'
import { end, isAlive, wait } from './lib/run.mjs'
import { giveUp, say, Trouble } from './lib/say.mjs'

const USAGE = `npm start -- [options]
  --port N      port of the application (4640, or the next free one)
  --host H      address it listens on (127.0.0.1)
  --db-port N   port of the database (13306, or the next free one)
  --data DIR    where everything is kept (.data)
  --no-demo     leave the sample shops out when the database is new`

function options() {
  try {
    const { values } = parseArgs({
      options: {
        port: { type: 'string' },
        host: { type: 'string', default: '127.0.0.1' },
        'db-port': { type: 'string' },
        data: { type: 'string', default: join(root, '.data') },
        'no-demo': { type: 'boolean', default: false },
        help: { type: 'boolean', default: false },
      },
    })
    return values
  } catch (error) {
    throw new Trouble(`${error.message}\n${USAGE}`)
  }
}

function portFrom(text, name) {
  if (text === undefined) return undefined
  const port = Number(text)
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Trouble(`${name} wants a number from 1 to 65535, not ${text}.`)
  return port
}

/** What a start that was killed left behind is ended; one that is still at work is left alone and told of. */
async function clearAway(data) {
  let before = null
  try {
    before = JSON.parse(readFileSync(join(data, 'running-application.json'), 'utf8'))
  } catch {
    return
  }
  if (!(await isAlive(before.pid, SERVER))) return
  if (before.starter !== process.pid && (await isAlive(before.starter, 'start.mjs'))) {
    throw new Trouble(`It is running already, at http://127.0.0.1:${before.port}`)
  }
  say('ending an application left over from before …')
  await end(before.pid, SERVER, 4000)
}

async function main() {
  if (Number(process.versions.node.split('.')[0]) < 20)
    throw new Trouble(`Node 20 or later is needed; this is ${process.versions.node}.`)
  const asked = options()
  if (asked.help) return console.log(USAGE)
  const data = resolve(asked.data)
  const wanted = portFrom(asked.port, '--port')
  const dbPort = portFrom(asked['db-port'], '--db-port')

  const began = Date.now()
  mkdirSync(data, { recursive: true })
  await installPackages()
  await build()
  await clearAway(data)
  if (wanted && !(await isFree(wanted))) throw new Trouble(`Port ${wanted} is taken; choose another with --port.`)

  let stopping = false
  let database = null
  let application = null
  const stop = async () => {
    if (stopping) return
    stopping = true
    console.log()
    say('stopping …')
    await application?.stop()
    await database?.stop()
    say('stopped; everything is saved')
    process.exit(process.exitCode ?? 0)
  }
  process.on('SIGINT', () => void stop())
  process.on('SIGTERM', () => void stop())
  process.on('SIGHUP', () => void stop())

  say('starting the database …')
  database = await startDatabase(data, { port: dbPort })
  void keepDatabase()

  /** A database that ends by itself is started again on the same port, later each time. */
  async function keepDatabase() {
    for (let pause = 5000; ; pause = Math.min(pause * 2, 60000)) {
      await database.ended
      if (stopping) return
      say(`the database has stopped; starting it again in ${pause / 1000} s`)
      await wait(pause)
      if (stopping) return
      try {
        database = await startDatabase(data, { port: database.port })
        say('the database is back')
      } catch (error) {
        console.error(error.message)
      }
    }
  }

  const port = wanted ?? (await freePort(4640))
  say('starting the application …')
  const env = { ...database.env, ...(asked['no-demo'] ? { FINGERLING_NO_DEMO: '1' } : {}) }
  application = await startApplication({ port, host: asked.host, env, data }).catch(async (error) => {
    await database.stop()
    throw error
  })
  void application.ended.then(async () => {
    if (stopping) return
    process.exitCode = 1
    say('the application has stopped by itself')
    await stop()
  })
  say(`ready in ${((Date.now() - began) / 1000).toFixed(1)} s`)
  console.log(`\n  Fingerling is at ${application.address}\n  Ctrl-C ends it.\n`)
}

main().catch((error) => {
  giveUp(error)
  process.exit()
})
