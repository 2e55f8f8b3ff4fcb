import { spawn, type ChildProcess } from 'node:child_process'
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { freePort } from '../../scripts/lib/ports.mjs'
import { root } from '../../scripts/lib/root.mjs'
import { isAlive } from '../../scripts/lib/run.mjs'
import { aTool, api } from './api'

const data = mkdtempSync(join(tmpdir(), 'fingerling-start-'))
chmodSync(data, 0o755)
let running: { child: ChildProcess; said: () => string; ended: Promise<number | null> } | null = null

/** Starts it as a person does, and waits until it says where it is. */
async function start(...args: string[]): Promise<string> {
  const child = spawn('npm', ['start', '--', '--data', data, ...args], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  })
  let said = ''
  child.stdout.on('data', (text) => (said += text))
  child.stderr.on('data', (text) => (said += text))
  const ended = new Promise<number | null>((resolve) => child.once('close', resolve))
  running = { child, said: () => said, ended }
  for (;;) {
    const address = /Fingerling is at (\S+)/.exec(said)?.[1]
    if (address) return address
    if (child.exitCode !== null) throw new Error(said)
    await new Promise((resolve) => setTimeout(resolve, 50))
  }
}

const pids = () =>
  ['running-application.json', 'running-database.json'].map(
    (file) => JSON.parse(readFileSync(join(data, file), 'utf8')).pid as number,
  )
const alive = async () => (await Promise.all(pids().map((pid) => isAlive(pid, '')))).filter(Boolean).length
const gone = async (pid: number) => {
  while (await isAlive(pid, '')) await new Promise((resolve) => setTimeout(resolve, 50))
}

afterAll(async () => {
  if (running?.child.exitCode === null) {
    process.kill(-running.child.pid!, 'SIGINT')
    await running.ended
  }
  rmSync(data, { recursive: true, force: true })
})

describe('npm start', { timeout: 60000 }, () => {
  it('says each step, serves at the port asked for without the demo, and ends both cleanly on Ctrl-C', async () => {
    const port = await freePort(24640)
    const address = await start('--port', String(port), '--no-demo')
    expect(address).toBe(`http://127.0.0.1:${port}`)
    expect(running!.said()).toMatch(/making the database[^]*starting the application[^]*ready in/)
    expect((await api('GET', '/api/shops', undefined, {}, address)).body).toEqual([])
    expect(await alive()).toBe(2)
    process.kill(-running!.child.pid!, 'SIGINT') // a terminal sends it to the whole group
    await running!.ended
    expect(running!.said()).toContain('stopped; everything is saved')
    expect(await alive()).toBe(0)
  })

  it('starts again without making anything anew, and keeps what is there when the application is killed', async () => {
    const address = await start()
    expect(running!.said()).not.toMatch(/building|installing|making the database/)
    expect((await api('GET', '/api/shops', undefined, {}, address)).body.map((s: { id: string }) => s.id)).toContain(
      'net-store',
    )
    await api('POST', '/api/tools', aTool('net-store', { id: 'kept' }), {}, address)
    const [application, database] = pids()
    process.kill(application!, 'SIGKILL')
    await running!.ended
    await gone(database!)
    const again = await start()
    expect((await api('GET', '/api/tools/kept', undefined, {}, again)).body.name).toBe('Mallet')
  })

  it('heals after everything was killed at once, and refuses to run twice on one folder', async () => {
    await expect(start()).rejects.toThrow('It is running already, at http://127.0.0.1')
    const [application, database] = pids()
    const starter = JSON.parse(readFileSync(join(data, 'running-application.json'), 'utf8')).starter as number
    for (const pid of [starter, application!, database!]) process.kill(pid, 'SIGKILL')
    await Promise.all([starter, application!, database!].map(gone))
    const address = await start()
    expect((await api('GET', '/api/tools/kept', undefined, {}, address)).body.name).toBe('Mallet')
  })

  it('starts a killed database again by itself', async () => {
    const { address } = { address: /Fingerling is at (\S+)/.exec(running!.said())![1]! }
    process.kill(pids()[1]!, 'SIGKILL')
    expect((await api('GET', '/api/shops', undefined, {}, address)).status).toBe(503)
    let status = 503
    while (status !== 200) {
      await new Promise((resolve) => setTimeout(resolve, 300))
      status = (await api('GET', '/api/shops', undefined, {}, address)).status
    }
    // the application may be answered before the starter has seen it
    await expect.poll(() => running!.said(), { timeout: 20_000 }).toContain('the database is back')
  })

  it('ends cleanly when it is asked to by a signal alone', async () => {
    const starter = JSON.parse(readFileSync(join(data, 'running-application.json'), 'utf8')).starter as number
    process.kill(starter, 'SIGTERM')
    await running!.ended
    expect(await alive()).toBe(0)
  })

  it.each([
    ['--port', '99999', '--port wants a number from 1 to 65535'],
    ['--spoon', '1', "Unknown option '--spoon'"],
  ])('refuses %s %s in plain words', async (name, value, says) => {
    await expect(start(name, value)).rejects.toThrow(says)
  })
})
