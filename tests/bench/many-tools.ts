// A list of 2,000 tools, scrolled and searched, and a list of 5,000 rows taken in.
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Browser, Page } from '@playwright/test'
import { toolsCsv } from '#core/exchange/tools/write-list'
import { allKinds } from '#core/footprint/kinds'
import { plainTool, type Tool } from '#core/footprint/tool'
import { shopWith } from '../core/samples'
import { framesWhile } from './frames'
import { noted, sayCalibration, summary, watchKeys, withBrowser } from './in-page'

const TOOLS = 2000
const ROWS = 5000
const WORDS = ['mallet 7', 'plane', 'gouge 12', 'chisel', 'clamp 4']

/** A tool of each kind in turn, with the figures that are common for it, no two alike. */
function toolOf(i: number): Tool {
  const kind = allKinds[i % allKinds.length]!
  const measures = Object.fromEntries(
    kind.fields.filter((f) => !f.balance).map((f) => [f.key, Number((f.typical * (0.9 + (i % 21) / 100)).toFixed(1))]),
  )
  const name = `${kind.covers[0] ?? kind.name} ${i + 1}`
  return { ...plainTool(`t${i}`, kind.id, name), group: `Heap ${i % 40}`, measures, mass: 0.2 + (i % 30) / 20 }
}

async function scroll(browser: Browser, page: Page): Promise<void> {
  await page.mouse.move(500, 500)
  let most = 0
  const frames = await framesWhile(browser, page, async () => {
    for (let i = 0; i < 240; i++) {
      await page.mouse.wheel(0, i < 180 ? 110 : -130)
      await page.waitForTimeout(12)
      if (i % 12 === 0) most = Math.max(most, await page.locator('.tool').count())
    }
  })
  const s = summary(frames)
  console.log(
    `${TOOLS} tools, scrolled over ${frames.length} frames: scripting and layout ${s.median.toFixed(1)} ms median, ${s.p95.toFixed(1)} ms p95, ${s.most.toFixed(1)} ms at most; ${most} drawings at most`,
  )
}

async function search(page: Page): Promise<void> {
  await page.evaluate(watchKeys)
  const field = page.getByLabel('Search the tray')
  for (let round = 0; round < 4; round++) {
    for (const word of WORDS) {
      await field.fill('')
      await field.focus()
      for (const key of word) {
        await page.keyboard.press(key === ' ' ? 'Space' : key)
        await page.waitForTimeout(90)
      }
    }
  }
  const { delays } = await noted(page)
  const s = summary(delays)
  console.log(
    `${TOOLS} tools, searched with ${delays.length} keys: key to painted ${s.median.toFixed(1)} ms median, ${s.p95.toFixed(1)} ms p95, ${s.most.toFixed(1)} ms at most`,
  )
}

/** A list as a file, as a person has it: handed over by the browser, not by the page. */
function listFile(): string {
  const list = toolsCsv(Array.from({ length: ROWS }, (_, i) => ({ ...toolOf(i), id: '' })), 'mm') // prettier-ignore
  const file = join(mkdtempSync(join(tmpdir(), 'fingerling-list-')), 'list.csv')
  writeFileSync(file, list)
  return file
}

async function takeIn(page: Page): Promise<void> {
  await page.goto('/tools/import')
  await page.getByText('Choose a file').waitFor()
  await page.waitForTimeout(1000)
  await page.evaluate(watchKeys)
  let began = Date.now()
  await page.locator('input[type=file]').setInputFiles(listFile())
  await page.getByRole('button', { name: `Take in ${ROWS} tools` }).waitFor({ timeout: 60000 })
  const read = Date.now() - began
  began = Date.now()
  await page.getByRole('button', { name: `Take in ${ROWS} tools` }).click()
  await page.getByText('tools taken in').waitFor({ timeout: 120000 })
  const { longTasks } = await noted(page)
  console.log(
    `${ROWS} rows: read in ${read} ms, taken in in ${Date.now() - began} ms; longest task ${Math.max(0, ...longTasks).toFixed(0)} ms, over 50 ms: ${longTasks.length}`,
  )
}

/** How long it takes from the button to the page that says so. */
async function stop(page: Page): Promise<void> {
  const times: number[] = []
  for (const saving of [false, false, false, true, true, true]) {
    await page.goto('/tools/import')
    await page.getByText('Choose a file').waitFor()
    await page.evaluate(() => {
      addEventListener('click', (e) => Object.assign(window, { stopped: e.timeStamp }), true)
      new MutationObserver(() => {
        const w = window as unknown as { stopped?: number; took?: number }
        if (w.stopped && document.querySelector('.drop')) w.took ??= performance.now() - w.stopped
      }).observe(document.body, { childList: true, subtree: true })
    })
    await page.locator('input[type=file]').setInputFiles(listFile())
    if (saving) {
      await page.getByRole('button', { name: `Take in ${ROWS} tools` }).click()
      await page.waitForTimeout(500)
    }
    await page.evaluate(() => Object.assign(window, { stopped: undefined, took: undefined }))
    await page.getByRole('button', { name: 'Stop' }).click()
    await page.locator('.drop').waitFor()
    times.push(await page.evaluate(() => (window as unknown as { took: number }).took))
  }
  console.log(`an import of ${ROWS} rows is stopped in ${summary(times).median.toFixed(0)} ms median, ${summary(times).most.toFixed(0)} ms at most`) // prettier-ignore
}

await withBrowser(async (browser, page, send) => {
  await send('/api/shops', { ...shopWith(), id: 'bench', name: 'Bench' })
  for (let i = 0; i < TOOLS; i += 200) {
    const changes = Array.from({ length: 200 }, (_, j) => ({
      kind: 'tools',
      save: { ...toolOf(i + j), shop: 'bench', version: 0 },
    }))
    await send('/api/changes', { changes })
  }
  await page.goto('/tools')
  await page.locator('.tool').first().waitFor()
  await page.waitForTimeout(2000)
  await sayCalibration(page)
  await scroll(browser, page)
  await page.waitForTimeout(500)
  await search(page)
  await stop(page)
  await takeIn(page)
})
