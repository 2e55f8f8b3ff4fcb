// Measures what the product promises of its speed. Not part of the tests: figures depend on the machine and the hour.
import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build } from './lib/build.mjs'
import { find, installMissing } from './lib/debian.mjs'
import { installPackages } from './lib/packages.mjs'
import { run } from './lib/run.mjs'
import { giveUp, say } from './lib/say.mjs'

async function core() {
  const file = join(mkdtempSync(join(tmpdir(), 'fingerling-bench-')), 'bench.json')
  await run('npx', ['--no-install', 'vitest', 'bench', '--run', '--project', 'unit', '--outputJson', file], {
    quiet: true,
  })
  for (const { groups } of JSON.parse(readFileSync(file, 'utf8')).files) {
    for (const { fullName, benchmarks } of groups) {
      console.log(`\n${fullName.split(' > ').slice(1).join(', ')}`)
      for (const b of benchmarks) {
        console.log(
          `  ${b.name.padEnd(28)} median ${b.median.toFixed(3).padStart(8)} ms   p99 ${b.p99.toFixed(3).padStart(8)} ms`,
        )
      }
    }
  }
}

async function main() {
  await installMissing({ mariadbd: 'mariadb-server', 'mariadb-install-db': 'mariadb-server', chromium: 'chromium' })
  await installPackages()
  await build()
  say('the core …')
  await core()
  console.log()
  say('the page …')
  for (const file of ['page', 'many-tools', 'drag', 'cutting', 'arrange']) {
    await run('npx', ['--no-install', 'tsx', '--tsconfig', 'tsconfig.cli.json', `tests/bench/${file}.ts`], {
      env: { CHROMIUM: find('chromium') },
    })
  }
}

main().catch(giveUp)
