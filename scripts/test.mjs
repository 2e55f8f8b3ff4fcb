// Everything that must hold, from nothing: packages, types, lint, formatting, unit, server and interface tests.
import { spawnSync } from 'node:child_process'
import { build } from './lib/build.mjs'
import { find, installMissing } from './lib/debian.mjs'
import { installPackages } from './lib/packages.mjs'
import { root } from './lib/root.mjs'
import { giveUp, say } from './lib/say.mjs'

let passed = 0
let failed = 0

function step(name, program, args, env = {}) {
  const began = Date.now()
  say(`${name} …`)
  const { status } = spawnSync(program, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } })
  const seconds = ((Date.now() - began) / 1000).toFixed(0)
  if (status === 0) passed++
  else failed++
  say(`${name}: ${status === 0 ? 'passed' : 'FAILED'} in ${seconds} s`)
}

const bin = (name, ...args) => ['npx', ['--no-install', name, ...args]]

async function main() {
  await installMissing({
    mariadbd: 'mariadb-server',
    'mariadb-install-db': 'mariadb-server',
    chromium: 'chromium',
    pdftoppm: 'poppler-utils',
  })
  await installPackages()
  await build()
  step('formatting', ...bin('prettier', '--check', '.'))
  step('lint', ...bin('eslint', '.', '--max-warnings', '0'))
  step('types of the application', ...bin('nuxt', 'typecheck'))
  step('types of core and command line', ...bin('tsc', '-p', 'tsconfig.cli.json'))
  step('types of tests and scripts', ...bin('tsc', '-p', 'tsconfig.tests.json'))
  step('unit and server tests', ...bin('vitest', 'run'))
  step('interface tests', ...bin('playwright', 'test'), { CHROMIUM: find('chromium') })
  console.log(`${passed} passed, ${failed} failed`)
  process.exitCode = failed === 0 ? 0 : 1
}

main().catch((error) => {
  giveUp(error)
  console.log(`${passed} passed, ${failed + 1} failed`)
  process.exitCode = 1
})
