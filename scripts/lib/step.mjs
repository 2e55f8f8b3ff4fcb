// One of the steps that must hold: what it says goes on as it comes, and its end is kept to be said again.
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { root } from './root.mjs'
import { wait } from './run.mjs'

const KEPT_LINES = 40
const LATE_MS = 1000

/**
 * Runs a program to its end. Never throws: a program that can't be started has not passed, and says why.
 * @param {string} name @param {string} program @param {string[]} args @param {Record<string, string>} env
 * @param {{ write: (text: string) => unknown, isTTY?: boolean }} out
 * @returns {Promise<{ name: string, passed: boolean, seconds: number, end: string }>} `end` is the last 40 lines it said
 */
export function runStep(name, program, args, env = {}, out = process.stdout) {
  const began = Date.now()
  let said = ''
  return new Promise((resolve) => {
    const keep = (text) => {
      out.write(text)
      said = lastLines(said + text)
    }
    const ended = (passed) => resolve({ name, passed, seconds: (Date.now() - began) / 1000, end: said.trimEnd() })
    const child = spawn(program, args, {
      cwd: root,
      stdio: ['inherit', 'pipe', 'pipe'],
      env: { ...(out.isTTY && { FORCE_COLOR: '1' }), ...process.env, ...env },
    })
    for (const stream of [child.stdout, child.stderr]) stream.setEncoding('utf8').on('data', keep)
    child.once('error', (error) => {
      keep(`${error.message}\n`)
      ended(false)
    })
    child.once('exit', async (code) => {
      // what it left running may hold its output open: that is not waited for
      await Promise.race([once(child, 'close'), wait(LATE_MS)])
      for (const stream of [child.stdout, child.stderr]) stream.destroy()
      ended(code === 0)
    })
  })
}

const lastLines = (text) =>
  text
    .split('\n')
    .slice(-KEPT_LINES - 1)
    .join('\n')
