// Brings the sample shops back to what they were at first. What they were just now is kept in a file.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { SERVER, startApplication } from './lib/application.mjs'
import { build } from './lib/build.mjs'
import { startDatabase } from './lib/database.mjs'
import { installPackages } from './lib/packages.mjs'
import { freePort } from './lib/ports.mjs'
import { root } from './lib/root.mjs'
import { isAlive } from './lib/run.mjs'
import { giveUp, say, Trouble } from './lib/say.mjs'

/** Fingerling where it runs already, else started for as long as this takes. */
async function reach(data) {
  try {
    const { pid, port } = JSON.parse(readFileSync(join(data, 'running-application.json'), 'utf8'))
    if (await isAlive(pid, SERVER)) return { address: `http://127.0.0.1:${port}`, leave: async () => {} }
  } catch {
    // it was never started here
  }
  await installPackages()
  await build()
  mkdirSync(data, { recursive: true })
  const database = await startDatabase(data)
  const application = await startApplication({ port: await freePort(4640), env: database.env, data })
  return {
    address: application.address,
    leave: async () => {
      await application.stop()
      await database.stop()
    },
  }
}

async function json(address, path, method = 'GET') {
  const answer = await fetch(`${address}${path}`, { method })
  const body = await answer.json()
  if (!answer.ok) throw new Trouble(body.detail ?? `${path} answered ${answer.status}.`)
  return body
}

async function main() {
  const { values } = parseArgs({ options: { data: { type: 'string', default: join(root, '.data') } } })
  const data = resolve(values.data)
  const { address, leave } = await reach(data)
  try {
    const kept = join(data, 'before-reset', new Date().toISOString().replace(/[:.]/g, '-'))
    mkdirSync(kept, { recursive: true })
    for (const { id, name } of await json(address, '/api/shops')) {
      const project = await json(address, `/api/shops/${encodeURIComponent(id)}/project`)
      writeFileSync(join(kept, `${id}.json`), JSON.stringify(project, null, 2))
      say(`${name}: as it was, in ${join(kept, `${id}.json`)}`)
    }
    const { shops } = await json(address, '/api/demo', 'POST')
    say(`the sample shops are as they were at first: ${shops.join(', ')}`)
  } finally {
    await leave()
  }
}

main().catch(giveUp)
