import { createHash } from 'node:crypto'
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './root.mjs'
import { run } from './run.mjs'
import { say } from './say.mjs'

const SOURCES = ['app', 'core', 'server', 'demo', 'public', 'nuxt.config.ts', 'package-lock.json']
const stamp = join(root, '.output', '.sources')

function* files(path) {
  const entries = existsSync(path) ? readdirSync(path, { withFileTypes: true }) : []
  for (const entry of entries.sort((a, b) => (a.name < b.name ? -1 : 1))) {
    const inner = join(path, entry.name)
    if (entry.isDirectory()) yield* files(inner)
    else if (!/\.test\.ts$/.test(entry.name)) yield inner
  }
}

function sourcesHash() {
  const hash = createHash('sha256')
  for (const source of SOURCES) {
    const path = join(root, source)
    for (const file of source.includes('.') ? [path] : files(path))
      hash.update(file.slice(root.length)).update(readFileSync(file))
  }
  return hash.digest('hex')
}

/** Builds the application when its sources have changed since the last build. */
export async function build() {
  await run(process.execPath, ['scripts/registry.mjs'], { quiet: true })
  const hash = sourcesHash()
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return
  say('building (about a minute) …')
  await run('npx', ['--no-install', 'nuxt', 'build'], { quiet: true, env: { NODE_ENV: 'production' } })
  writeFileSync(stamp, hash)
}
