// Takes the pictures of docs/screenshots from the sample shops, in a Fingerling of its own.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Browser, type Page } from '@playwright/test'
import { startService } from '../tests/service'
import { build } from './lib/build.mjs'
import { find } from './lib/debian.mjs'
import { root } from './lib/root.mjs'

/** A list with a few slips, to show what becomes of them. */
const LIST = `Tool,Type,Shelf,Count,Handle width (mm),Head width (mm),Head length (mm),Overall length,Handle diameter,Blade width,Blade length,Weight (g)
Fid mallet,mallet,top,1,26,70,120,,,,,820
Roofing hammer,hammer,top,2,28,34,wide,,,,,640
Sash chisel,chisel,left,1,,,,255,30,9,120,140
Sail needle,needle,left,1,,,,,,,,
Rasp,file,left,1,,,,310,32,26,190,220
Paring chisel,chisel,left,1,,,,340,29,25,205,210
Bung mallet,mallet,top,1,24,-5,104,,,,,500
Caulker's beetle,mallet,top,1,30,84,140,,,,,1500
`

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
  for (const [tool, field, name] of [
    ['trim-saw', 'Guard length', 'card-power'],
    ['chisel-18', 'Handle diameter', 'card-profile'],
    ['bevel-large', 'Thickness', 'card-outline'],
  ] as const) {
    await page.goto(`/tools?tool=net-store-${tool}`)
    await page.getByLabel(field, { exact: true }).focus()
    if (name === 'card-profile') await page.getByText('Handle profile').scrollIntoViewIfNeeded()
    if (name === 'card-outline') await page.getByText('Read SVG or DXF').scrollIntoViewIfNeeded()
    await take(name)
  }
  await page.goto('/cutting')
  await page.getByRole('button', { name: 'That will do' }).waitFor({ state: 'hidden', timeout: 60_000 })
  await take('cutting')
  await page.goto('/tools/import')
  await page.locator('input[type=file]').setInputFiles({ name: 'tools.csv', mimeType: '', buffer: Buffer.from(LIST) })
  await page.getByText('can be taken in').waitFor()
  await take('import')
  await page.goto('/tools')
  for (const name of ['Bench chisel 6', 'Bench chisel 12', 'Forstner bit 20', 'Forstner bit 25', 'Soft-face hammer']) {
    await page.getByLabel('Search the tray').fill(name)
    await page.getByLabel(`Choose ${name}`, { exact: true }).check()
  }
  await page.getByRole('button', { name: 'Make a holder for them' }).click()
  await take('which-holder')
  await page.goto('/holders/net-store-cutters')
  await take('socket-block')
  for (const [holder, name] of [
    ['saws', 'saw-rest'],
    ['mauls', 'twin-rail'],
  ] as const) {
    await page.goto(`/holders/net-store-${holder}`)
    await take(name)
  }
  await page.goto('/holders/net-store-planes')
  await page.getByRole('button', { name: 'Solid' }).click()
  await page.locator('[data-test=weight]').waitFor()
  await page.keyboard.press('x')
  await take('solid-apart')
  await page.goto('/holders/net-store-caulking')
  await page.getByRole('button', { name: 'Solid' }).click()
  await page.locator('[data-test=weight]').waitFor()
  await take('solid')
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
