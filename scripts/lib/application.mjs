import { spawn } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './root.mjs'
import { end, wait } from './run.mjs'
import { Trouble } from './say.mjs'

export const SERVER = join(root, '.output', 'server', 'index.mjs')

/**
 * Starts the built application and waits until it answers.
 * @param {{port: number, host?: string, env: Record<string, string>, data: string}} options
 */
export async function startApplication({ port, host = '127.0.0.1', env, data }) {
  const child = spawn(process.execPath, [SERVER], {
    cwd: root,
    env: {
      ...process.env,
      NODE_ENV: 'production',
      NITRO_HOST: host,
      NITRO_PORT: String(port),
      NITRO_SHUTDOWN_TIMEOUT: '1500',
      ...env,
    },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true,
  })
  writeFileSync(join(data, 'running-application.json'), JSON.stringify({ pid: child.pid, starter: process.pid, port }))
  const ended = new Promise((resolve) => child.once('close', resolve))
  let over = false
  void ended.then(() => (over = true))
  const address = `http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`
  for (let waited = 0; ; waited += 100) {
    if (over) throw new Trouble('The application ended while it was starting; what it said stands above.')
    if (waited > 60000) throw new Trouble('The application does not answer.')
    const answer = await fetch(`${address}/api/health`).catch(() => null)
    // another program may answer at this port; ours says who it is
    if (answer?.ok && (await answer.json().catch(() => null))?.pid === child.pid) break
    await wait(100)
  }
  return { address, pid: child.pid, ended, stop: () => end(child.pid, SERVER, 4000) }
}
