// How long the page takes from a key to what it changes being painted, and whether anything holds it up.
import type { Page } from '@playwright/test'
import { mallet, shopWith } from '../core/samples'
import { noted, sayCalibration, summary, watchKeys, withBrowser, type Measured } from './in-page'

const TOOLS = 40
const KEYS = 180

/** Makes a shop whose rail holds 40 tools. @returns the rail's page */
async function prepare(send: (path: string, body: unknown) => Promise<void>): Promise<string> {
  await send('/api/shops', { ...shopWith(), id: 'bench', name: 'Bench' })
  const tools = Array.from({ length: TOOLS }, (_, i) => mallet(`t${i}`, 22 + (i % 9), 60 + ((i * 7) % 40)))
  for (const tool of tools) await send('/api/tools', { ...tool, shop: 'bench' })
  const seats = tools.map((tool, i) => ({ id: `s${i}`, tool: tool.id, turn: 0 }))
  await send('/api/holders', { id: 'rail', shop: 'bench', name: 'Rail', form: 'finger-rail', seats, choices: {} })
  return '/holders/rail'
}

/** Types a figure over and over: every key changes it, as `2` `23` `234` do. */
async function typeInto(page: Page, label: string): Promise<Measured> {
  const field = page.getByLabel(label, { exact: true }).first()
  await field.focus()
  await page.evaluate(watchKeys)
  for (let i = 0; i < KEYS; i++) {
    if (i % 3 === 0) await page.keyboard.press('Control+a')
    await page.keyboard.press('234'[i % 3]!)
    await page.waitForTimeout(i % 3 === 2 ? 400 : 110)
  }
  return noted(page)
}

await withBrowser(async (_, page, send) => {
  await page.goto(await prepare(send))
  await page.locator('[data-test=stick]').waitFor()
  await page.waitForTimeout(1500)
  await sayCalibration(page)
  for (const label of ['Gap', 'Margin']) {
    const { delays, longTasks } = await typeInto(page, label)
    const s = summary(delays)
    console.log(
      `${label}, ${TOOLS} tools, ${delays.length} keys: key to painted ${s.median.toFixed(1)} ms median, ${s.p95.toFixed(1)} ms p95, ${s.most.toFixed(1)} ms at most; ` +
        `tasks over 50 ms: ${longTasks.length}${longTasks.length ? ` (${longTasks.map((d) => d.toFixed(0)).join(', ')})` : ''}`,
    )
    await page.reload()
    await page.waitForTimeout(1500)
  }
})
