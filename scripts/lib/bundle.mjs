import { createHash, randomUUID } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { build, version } from 'esbuild'
import { writeRegistry } from './registry.mjs'

/** Bundles that were not made within so long are thrown away, ms: who runs one may yet load more of it. */
const OLD = 24 * 3600 * 1000

/**
 * Bundles the command line, unless its sources are as they were: what a command does not use is left in files of its own, packages
 * where they are. Sources that are read one by one keep the names of all functions, those made in the midst of a search too, which
 * takes it a sixth to a third longer.
 * @param {string} root the house
 * @returns {Promise<string>} the folder it is in: `main.js`, and the process of searches beside the first
 */
export async function bundleOfCommandLine(root) {
  writeRegistry(root)
  const bundles = join(root, 'node_modules', '.cache', 'fingerling-cli')
  const folder = join(bundles, stateOf(root))
  if (existsSync(folder)) return folder
  // made aside: two commands may be at it at once
  const aside = join(bundles, `being-made-${randomUUID()}`)
  await build({
    absWorkingDir: root,
    entryPoints: ['cli/main.ts', 'cli/search-beside-process.ts'],
    outdir: aside,
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    packages: 'external',
    tsconfig: 'tsconfig.cli.json',
    logLevel: 'error',
  })
  try {
    renameSync(aside, folder)
  } catch (error) {
    rmSync(aside, { recursive: true, force: true })
    if (!existsSync(folder)) throw error
  }
  throwAwayOld(bundles)
  return folder
}

/** What the sources are known by: where they are, how large, and when they were changed. */
function stateOf(root) {
  const hash = createHash('sha256').update(`${root} ${version}`)
  const add = (path) => {
    const { size, mtimeMs } = statSync(path)
    hash.update(`${path} ${size} ${mtimeMs}\n`)
  }
  for (const file of ['tsconfig.cli.json', 'scripts/lib/bundle.mjs']) add(join(root, file))
  for (const folder of ['cli', 'core'])
    for (const file of readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' }).sort())
      if (/\.(ts|json)$/.test(file)) add(join(root, folder, file))
  return hash.digest('hex').slice(0, 16)
}

function throwAwayOld(bundles) {
  mkdirSync(bundles, { recursive: true })
  for (const name of readdirSync(bundles)) {
    const folder = join(bundles, name)
    if (Date.now() - (statSync(folder, { throwIfNoEntry: false })?.mtimeMs ?? Infinity) > OLD)
      rmSync(folder, { recursive: true, force: true })
  }
}
