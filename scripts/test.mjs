// Everything that must hold, from nothing: packages, types, lint, formatting, unit, server and interface tests.
import { build } from './lib/build.mjs'
import { find, installMissing } from './lib/debian.mjs'
import { installPackages } from './lib/packages.mjs'
import { giveUp, say } from './lib/say.mjs'
import { runStep } from './lib/step.mjs'

const steps = []

async function step(name, program, args, env) {
  say(`${name} …`)
  const done = await runStep(name, program, args, env)
  steps.push(done)
  say(`${name}: ${done.passed ? 'passed' : 'FAILED'} in ${done.seconds.toFixed(0)} s`)
}

/** The last lines: what each failed step ended with, then the counts. */
function sumUp(more = 0) {
  const failed = steps.filter((done) => !done.passed)
  for (const { name, end } of failed) say(`${name} FAILED, and ended with:\n${end}\n`)
  console.log(`${steps.length - failed.length} passed, ${failed.length + more} failed`)
  if (failed.length + more > 0) process.exitCode = 1
}

const bin = (name, ...args) => ['npx', ['--no-install', name, ...args]]

// Each of these uses one processor, so they go side by side; what reads the files that Nuxt writes must not while it writes them.
async function readsWhatNuxtPrepares() {
  await step('lint', ...bin('eslint', '.', '--max-warnings', '0'))
  await step('types of the application', ...bin('nuxt', 'typecheck'))
}

async function readsFilesOnly() {
  await step('formatting', ...bin('prettier', '--check', '.'))
  await step('types of core and command line', ...bin('tsc', '-p', 'tsconfig.cli.json'))
  await step('types of tests and scripts', ...bin('tsc', '-p', 'tsconfig.tests.json'))
}

async function main() {
  await installMissing({
    mariadbd: 'mariadb-server',
    'mariadb-install-db': 'mariadb-server',
    chromium: 'chromium',
    pdftoppm: 'poppler-utils',
  })
  await installPackages()
  await build()
  await Promise.all([readsWhatNuxtPrepares(), readsFilesOnly()])
  await step('unit and server tests', ...bin('vitest', 'run'))
  await step('interface tests', ...bin('playwright', 'test'), { CHROMIUM: find('chromium') })
  sumUp()
}

main().catch((error) => {
  giveUp(error)
  sumUp(1)
})
