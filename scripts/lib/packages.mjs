import { createHash } from 'node:crypto'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './root.mjs'
import { run } from './run.mjs'
import { say } from './say.mjs'

const stamp = join(root, 'node_modules', '.fingerling-lock')
const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')

/** Installs the npm packages from the lock file when they are missing or the lock file has changed. */
export async function installPackages() {
  const hash = lockHash()
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return
  say('installing the npm packages …')
  await run('npm', ['ci', '--include=dev', '--no-progress'], { quiet: true, env: { NODE_ENV: 'development' } })
  writeFileSync(stamp, hash)
}
