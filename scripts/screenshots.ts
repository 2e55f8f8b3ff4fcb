// Takes the pictures of docs/screenshots from the sample shops, in a Fingerling of its own.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Browser, type Page } from '@playwright/test'
import { startService } from '../tests/service'
import { build } from './lib/build.mjs'
import { find } from './lib/debian.mjs'
import { root } from './lib/root.mjs'

const into = (name: string) => join(root, 'docs', 'screenshots', `${name}.png`)
/** Remedies and consequences come a moment after the first painting. */
const settle = (page: Page) => page.waitForTimeout(900)

async function desk(browser: Browser, address: string) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: address })
  const take = async (name: string) => {
    await settle(page)
    await page.screenshot({ path: into(name) })
  }
  for (const [path, name] of [
    ['/', 'today'],
    ['/tools', 'tools'],
    ['/holders', 'holders'],
    ['/shop', 'shop'],
  ] as const) {
    await page.goto(path)
    await take(name)
  }
  await page.goto('/tools')
  await page.getByRole('button', { name: 'Bench mallet, beech' }).click()
  await page.getByLabel('Head width', { exact: true }).focus()
  await take('measuring-card')
  await page.goto('/holders')
  await page.getByRole('heading', { name: 'Mallets by the bench' }).getByRole('link').click()
  await take('workbench')
  await page.getByLabel('Inches or millimetres').click()
  await page.getByLabel('Paper or dim').click()
  await settle(page)
  await page.locator('.dimension[data-figure="centre"] text').first().click()
  await take('working')
  await page.getByLabel('Inches or millimetres').click()
  await page.getByLabel('Paper or dim').click()
  await page.goto('/holders')
  await page.getByRole('heading', { name: 'Rivet hammers' }).getByRole('link').click()
  await page.locator('[data-test=stick]').waitFor()
  await page.getByRole('link', { name: 'To the bench' }).click()
  await take('bench-sheet')
  return page.url()
}

async function main() {
  await build()
  const data = mkdtempSync(join(tmpdir(), 'fingerling-pictures-'))
  const service = await startService(data)
  const browser = await chromium.launch({ executablePath: find('chromium') ?? undefined, args: ['--no-sandbox'] })
  try {
    const sheet = await desk(browser, service.address)
    const phone = await browser.newPage({ viewport: { width: 390, height: 844 } })
    await phone.goto(sheet)
    await settle(phone)
    await phone.locator('[data-test=marks]').scrollIntoViewIfNeeded()
    await phone.screenshot({ path: into('bench-sheet-phone') })
  } finally {
    await browser.close()
    await service.stop()
    rmSync(data, { recursive: true, force: true })
  }
}

await main()
