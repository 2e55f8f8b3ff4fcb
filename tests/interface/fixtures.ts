import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { test as base, expect, type BrowserContext, type ConsoleMessage } from '@playwright/test'
import { startService, type Service } from '../service'

/**
 * Lines of the browser's software graphics driver, and of the test's own harness where it keeps the service worker out.
 * Nothing else is excused.
 */
const EXCUSED = [
  /^Service Worker registration blocked by Playwright$/,
  /GPU stall due to ReadPixels/,
  /software WebGL/i,
]

interface Fixtures {
  /** what a test brings about on purpose, such as an answer 409: the browser itself writes a line for each */
  provokes: { lines: RegExp[] }
  /** fails the test when a page of the context says anything that it should not */
  quiet: undefined
}

/** Every error and warning that any page of a context writes. */
function watch(context: BrowserContext, provokes: RegExp[]): string[] {
  const said: string[] = []
  const take = (line: string) => {
    if (![...EXCUSED, ...provokes].some((known) => known.test(line))) said.push(line)
  }
  context.on('console', (message: ConsoleMessage) => {
    if (message.type() === 'error' || message.type() === 'warning') take(message.text())
  })
  context.on('weberror', (error) => take(error.error().stack ?? error.error().message))
  return said
}

export const test = base.extend<Fixtures, { service: Service }>({
  service: [
    // eslint-disable-next-line no-empty-pattern -- Playwright reads the names from this pattern
    async ({}, use, worker) => {
      const data = mkdtempSync(join(tmpdir(), 'fingerling-interface-'))
      const service = await startService(data, {}, worker.parallelIndex)
      await use(service)
      await service.stop()
      rmSync(data, { recursive: true, force: true })
    },
    { scope: 'worker', timeout: 60000 },
  ],
  baseURL: async ({ service }, use) => use(service.address),
  provokes: [{ lines: [] }, { option: true }],
  quiet: [
    async ({ context, provokes }, use) => {
      const said = watch(context, provokes.lines)
      await use(undefined)
      expect(said).toEqual([])
    },
    { auto: true },
  ],
})

export { expect }
