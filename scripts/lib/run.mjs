import { spawn } from 'node:child_process'
import { root } from './root.mjs'
import { Trouble } from './say.mjs'

/**
 * Runs a program to its end.
 * @param {string} program @param {string[]} args
 * @param {{quiet?: boolean, env?: Record<string, string>, cwd?: string}} options quiet: its output is shown only when it fails
 */
export function run(program, args, { quiet = false, env = {}, cwd = root } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
    })
    let output = ''
    child.stdout?.on('data', (text) => (output += text))
    child.stderr?.on('data', (text) => (output += text))
    child.on('error', (error) => reject(new Trouble(`${program} can’t be run: ${error.message}`)))
    child.on('close', (code) => {
      if (code === 0) resolve(output)
      else reject(new Trouble(`${program} ${args.join(' ')} ended with ${code}.\n${output.slice(-4000)}`))
    })
  })
}

export const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** True while a process lives and `looksLike` stands in its command line. */
export async function isAlive(pid, looksLike) {
  if (!pid) return false
  try {
    process.kill(pid, 0)
    const { readFile } = await import('node:fs/promises')
    const [command, state] = await Promise.all([
      readFile(`/proc/${pid}/cmdline`, 'utf8'),
      readFile(`/proc/${pid}/stat`, 'utf8'),
    ])
    return command.includes(looksLike) && !/\) Z /.test(state)
  } catch {
    return false
  }
}

/** Asks a process to end and, when it doesn't within `patience` ms, makes it. */
export async function end(pid, looksLike, patience = 10000) {
  if (!(await isAlive(pid, looksLike))) return
  process.kill(pid, 'SIGTERM')
  for (let waited = 0; waited < patience; waited += 50) {
    if (!(await isAlive(pid, looksLike))) return
    await wait(50)
  }
  try {
    process.kill(pid, 'SIGKILL')
  } catch {
    // it ended in between
  }
}
