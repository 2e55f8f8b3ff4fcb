import { defineConfig } from '@playwright/test'

/** Interface tests run against the production build, each worker with a database and an application of its own. */
export default defineConfig({
  testDir: 'tests/interface',
  tsconfig: './tsconfig.cli.json',
  outputDir: 'test-results',
  fullyParallel: false,
  workers: 2,
  retries: 0,
  // generous: a busy machine stalls for a second now and then, and speed is measured by the bench
  timeout: 300000,
  expect: { timeout: 25000 },
  reporter: [['list']],
  use: {
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    // without pictures of each step, which the browser would have to paint for every test in case that it fails
    trace: { mode: 'retain-on-failure', screenshots: false },
    testIdAttribute: 'data-test',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
