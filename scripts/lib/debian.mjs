import { accessSync, constants } from 'node:fs'
import { join } from 'node:path'
import { run } from './run.mjs'
import { say, Trouble } from './say.mjs'

const PLACES = [...(process.env.PATH ?? '').split(':'), '/usr/sbin', '/usr/bin', '/usr/local/sbin', '/usr/local/bin']

/** Where a program is, or null. */
export function find(program) {
  for (const place of PLACES.filter(Boolean)) {
    const path = join(place, program)
    try {
      accessSync(path, constants.X_OK)
      return path
    } catch {
      // not here
    }
  }
  return null
}

/**
 * Installs the Debian packages whose programs are missing.
 * @param {Record<string, string>} wanted package by program
 */
export async function installMissing(wanted) {
  const missing = [
    ...new Set(
      Object.keys(wanted)
        .filter((program) => !find(program))
        .map((program) => wanted[program]),
    ),
  ]
  if (missing.length === 0) return
  if (!find('apt-get'))
    throw new Trouble(`Missing: ${missing.join(', ')}. Install them with your system’s package manager.`)
  const isRoot = process.getuid?.() === 0
  if (!isRoot && !find('sudo'))
    throw new Trouble(`Missing: ${missing.join(', ')}. Install them as root, then start again.`)
  const apt = (...args) => {
    const env = ['DEBIAN_FRONTEND=noninteractive', 'RUNLEVEL=1']
    return isRoot
      ? run('env', [...env, 'apt-get', ...args], { quiet: true })
      : run('sudo', ['env', ...env, 'apt-get', ...args])
  }
  say(`installing ${missing.join(', ')} …`)
  await apt('update')
  await apt('install', '-y', '--no-install-recommends', ...missing)
}
