// How long the page takes from a key to what it changes being painted, and whether anything holds it up.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Page } from '@playwright/test'
import { mallet, shopWith } from '../core/samples'
import { calibrate } from './calibrate'
import { startService } from '../service'

const TOOLS = 40
const KEYS = 180

interface Measured {
  delays: number[]
  longTasks: number[]
}

/** Makes a shop whose rail holds 40 tools. @returns the rail's page */
async function prepare(address: string): Promise<string> {
  const send = async (path: string, body: unknown) => {
    const answer = await fetch(`${address}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
    if (!answer.ok) throw new Error(await answer.text())
  }
  await send('/api/shops', { ...shopWith(), id: 'bench', name: 'Bench' })
  const tools = Array.from({ length: TOOLS }, (_, i) => mallet(`t${i}`, 22 + (i % 9), 60 + ((i * 7) % 40)))
  for (const tool of tools) await send('/api/tools', { ...tool, shop: 'bench' })
  const seats = tools.map((tool, i) => ({ id: `s${i}`, tool: tool.id, turn: 0 }))
  await send('/api/holders', { id: 'rail', shop: 'bench', name: 'Rail', form: 'finger-rail', seats, choices: {} })
  return `${address}/holders/rail`
}

/** Notes, for each key, when the frame that shows its change has been handed to the screen. */
const watchKeys = () => {
  const kept = { delays: [] as number[], longTasks: [] as number[] }
  Object.assign(window, { kept })
  addEventListener(
    'keydown',
    (event) =>
      /\d/.test(event.key) &&
      requestAnimationFrame(() => {
        const channel = new MessageChannel()
        channel.port1.onmessage = () => kept.delays.push(performance.now() - event.timeStamp)
        channel.port2.postMessage(null)
      }),
    true,
  )
  new PerformanceObserver((list) => kept.longTasks.push(...list.getEntries().map((e) => e.duration))).observe({
    type: 'longtask',
  })
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
  return page.evaluate(() => (window as unknown as { kept: Measured }).kept)
}

/** How long the fixed loop takes in the page: says how busy the machine is. ms */
const calibrated = (page: Page) =>
  page.evaluate(`(() => {
    const calibrate = ${calibrate.toString()}
    return Array.from({ length: 40 }, () => {
      const began = performance.now()
      calibrate()
      return performance.now() - began
    })
  })()`) as Promise<number[]>

const part = (sorted: number[], p: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * p))] ?? 0

/** Measures and prints. */
export async function benchPage(): Promise<void> {
  const data = mkdtempSync(join(tmpdir(), 'fingerling-bench-'))
  const service = await startService(data, { FINGERLING_NO_DEMO: '1' })
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM, args: ['--no-sandbox'] })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(await prepare(service.address))
    await page.locator('[data-test=stick]').waitFor()
    await page.waitForTimeout(1500)
    const loop = (await calibrated(page)).sort((a, b) => a - b)
    console.log(
      `a fixed calibration loop: ${part(loop, 0.5).toFixed(2)} ms median, ${part(loop, 0.95).toFixed(2)} ms p95`,
    )
    for (const label of ['Gap', 'Margin']) {
      const { delays, longTasks } = await typeInto(page, label)
      const sorted = [...delays].sort((a, b) => a - b)
      const ms = (p: number) => part(sorted, p).toFixed(1)
      console.log(
        `${label}, ${TOOLS} tools, ${sorted.length} keys: key to painted ${ms(0.5)} ms median, ${ms(0.95)} ms p95, ${ms(1)} ms at most; ` +
          `tasks over 50 ms: ${longTasks.length}${longTasks.length ? ` (${longTasks.map((d) => d.toFixed(0)).join(', ')})` : ''}`,
      )
      await page.reload()
      await page.waitForTimeout(1500)
    }
  } finally {
    await browser.close()
    await service.stop()
    rmSync(data, { recursive: true, force: true })
  }
}

await benchPage()
