import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, type Browser, type Page } from '@playwright/test'
import { startService } from '../service'
import { calibrate } from './calibrate'

/** What was noted in a page: ms. */
export interface Measured {
  delays: number[]
  longTasks: number[]
}

/** Notes, for each key, when the frame that shows its change has been handed to the screen, and every task over 50 ms. */
export const watchKeys = () => {
  const kept = { delays: [] as number[], longTasks: [] as number[] }
  Object.assign(window, { kept })
  addEventListener(
    'keydown',
    (event) =>
      /^[\w ]$/.test(event.key) &&
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

export const noted = (page: Page) => page.evaluate(() => (window as unknown as { kept: Measured }).kept)

/** How long the fixed loop takes in the page: says how busy the machine is. ms */
export async function sayCalibration(page: Page): Promise<void> {
  const times = (await page.evaluate(`(() => {
    const calibrate = ${calibrate.toString()}
    return Array.from({ length: 40 }, () => {
      const began = performance.now()
      calibrate()
      return performance.now() - began
    })
  })()`)) as number[]
  const s = summary(times)
  console.log(`a fixed calibration loop: ${s.median.toFixed(2)} ms median, ${s.p95.toFixed(2)} ms p95`)
}

/** Median, 95th percentile and greatest. */
export function summary(values: readonly number[]): { median: number; p95: number; most: number } {
  const sorted = [...values].sort((a, b) => a - b)
  const part = (p: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * p))] ?? 0
  return { median: part(0.5), p95: part(0.95), most: part(1) }
}

/** Runs against a Fingerling and a browser of its own. */
export async function withBrowser(
  measure: (browser: Browser, page: Page, send: (path: string, body: unknown) => Promise<void>) => Promise<void>,
): Promise<void> {
  const data = mkdtempSync(join(tmpdir(), 'fingerling-bench-'))
  const service = await startService(data, { FINGERLING_NO_DEMO: '1' })
  const browser = await chromium.launch({ executablePath: process.env.CHROMIUM, args: ['--no-sandbox'] })
  const send = async (path: string, body: unknown) => {
    const answer = await fetch(`${service.address}${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
    if (!answer.ok) throw new Error(await answer.text())
  }
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: service.address })
    await measure(browser, page, send)
  } finally {
    await browser.close()
    await service.stop()
    rmSync(data, { recursive: true, force: true })
  }
}
