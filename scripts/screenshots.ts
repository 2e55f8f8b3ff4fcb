// Takes the pictures of docs/screenshots from the sample shops, in a Fingerling of its own.
import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
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
    // there once the shop's records are
    await page.getByRole('link', { name: 'Cutting', exact: true }).waitFor()
    await take(name)
  }
  for (const [tool, field, name] of [
    ['trim-saw', 'Guard length', 'card-power'],
    ['chisel-18', 'Handle diameter', 'card-profile'],
  ] as const) {
    await page.goto(`/tools?tool=net-store-${tool}`)
    await page.getByLabel(field, { exact: true }).focus()
    if (name === 'card-profile') await page.getByText('Handle profile').scrollIntoViewIfNeeded()
    await take(name)
  }
  await page.goto('/cutting')
  // told when the search is through
  await page.getByRole('heading', { name: 'To buy' }).waitFor({ timeout: 60_000 })
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
  await page.goto('/wall')
  await page.getByRole('button', { name: 'Arrange for me' }).click()
  await page.getByText(/The proposal|The best there is/).waitFor({ timeout: 60_000 })
  await take('wall')
  await page.goto('/holders/compare?a=net-store-caulking&b=net-store-mauls')
  await take('compare')
  await page.goto('/wall')
  await page.getByLabel('bevelled strips on sheets').check()
  await page.getByLabel('How wide').fill('400')
  await page.getByLabel('How high, with its tools').fill('250')
  await page.evaluate(() => window.scrollTo(0, 0))
  await take('wall-strips')
  await page.keyboard.press('Control+z')
  await page.goto('/holders/net-store-planes')
  await page.getByRole('button', { name: 'Solid' }).click()
  await page.locator('[data-test=weight]').waitFor()
  await page.keyboard.press('x')
  await take('solid-apart')
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
  await page.getByRole('link', { name: 'Bench sheet' }).click()
  await take('bench-sheet')
}

/** Forms that the samples have no holder of, each with sample tools. */
const FORMS: [form: string, name: string, tools: string[], choices: Record<string, string>][] = [
  ['comb', 'Comb', ['clamp-600', 'clamp-900', 'clamp-600', 'deck-brush'], {}],
  ['collar-toe', 'Collar and toe', ['chisel-18', 'chisel-25', 'deck-brush'], {}],
  ['magnet-ledge', 'Magnet ledge', ['forstner-20', 'forstner-25', 'forstner-35'], { tilt: '20' }],
  ['socket-block', 'Socket block on steps', ['chisel-6', 'chisel-12', 'chisel-18', 'knife'], { rows: '2', stand: 'stepped', tilt: '10' }], // prettier-ignore
  ['finger-rail', 'Finger rail on brackets', ['caulking-long', 'caulking-short', 'reefing', 'joiner'], { support: '3', layers: '2' }], // prettier-ignore
  ['berth', 'Berth, its front raised', ['block-low', 'block-small', 'shave-flat'], { tilt: '10' }],
]

/** Several forms as solids in one picture. */
async function forms(browser: Browser, address: string) {
  const page = await browser.newPage({ viewport: { width: 1000, height: 760 }, baseURL: address })
  const shots: { name: string; picture: string }[] = []
  for (const [form, name, tools, choices] of FORMS) {
    const id = `picture-${form}`
    const seats = tools.map((t, i) => ({ id: `s${i}`, tool: `net-store-${t}`, turn: 0 }))
    const body = JSON.stringify({ id, shop: 'net-store', name, form, seats, choices, version: 0 })
    await fetch(`${address}/api/holders/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body,
    })
    await page.goto(`/holders/${id}`)
    const solid = page.getByRole('button', { name: 'Solid', exact: true })
    try {
      await solid.click({ timeout: 10_000 })
      await page.locator('[data-test=ways-out]').waitFor({ timeout: 10_000 })
    } catch {
      console.log(`${name}: ${(await page.locator('body').innerText()).slice(0, 900)}`)
      continue
    }
    await page.addStyleTag({ content: '.told, .controls { visibility: hidden }' })
    await settle(page)
    shots.push({ name, picture: (await page.locator('[data-test=solid]').screenshot()).toString('base64') })
  }
  const cell = ({ name, picture }: (typeof shots)[number]) => `<figure><img src="data:image/png;base64,${picture}"><figcaption>${name}</figcaption></figure>` // prettier-ignore
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.setContent(`<style>body{margin:0;display:grid;grid-template-columns:repeat(3,1fr);gap:8px;background:#f3efe4;font:20px serif}figure{margin:0;text-align:center}img{width:100%;height:350px;object-fit:cover}</style>${shots.map(cell).join('')}`) // prettier-ignore
  await page.screenshot({ path: into('forms') })
}

/** The first page of a template, as it comes out of a printer. */
async function template(address: string, folder: string) {
  const answer = await fetch(`${address}/api/holders/net-store-caulking/files/templates.pdf`)
  const pdf = join(folder, 'templates.pdf')
  writeFileSync(pdf, Buffer.from(await answer.arrayBuffer()))
  execFileSync('pdftoppm', [
    '-r',
    '100',
    '-png',
    '-f',
    '1',
    '-l',
    '1',
    '-singlefile',
    pdf,
    into('template').replace(/\.png$/, ''),
  ])
}

async function main() {
  await build()
  const data = mkdtempSync(join(tmpdir(), 'fingerling-pictures-'))
  const service = await startService(data)
  const browser = await chromium.launch({ executablePath: find('chromium') ?? undefined, args: ['--no-sandbox'] })
  try {
    await desk(browser, service.address)
    await forms(browser, service.address)
    const phone = await browser.newPage({ viewport: { width: 390, height: 844 } })
    await phone.goto(`${service.address}/bench/net-store-mauls`)
    await phone.getByRole('button', { name: 'All steps' }).click()
    await phone.getByRole('button', { name: /^Strip, the bevel down/ }).click()
    await settle(phone)
    await phone.screenshot({ path: into('bench-card-phone') })
    await template(service.address, data)
  } finally {
    await browser.close()
    await service.stop()
    rmSync(data, { recursive: true, force: true })
  }
}

await main()
