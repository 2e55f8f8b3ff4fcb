// A holder dragged on a wall of 60 holders with 400 tools, and a figure dragged by its name in holders of some tools.
import type { Page } from '@playwright/test'
import { mallet, shopWith } from '../core/samples'
import { framesWhile } from './frames'
import { sayCalibration, summary, withBrowser } from './in-page'

const HOLDERS = 60
const TOOLS = 400
const MOVES = 160
const IN_RAIL = [6, 12, 40]

/** Moves the pointer about from a place, button down. */
async function dragFrom(page: Page, x: number, y: number, dx: number, dy: number): Promise<void> {
  await page.mouse.move(x, y)
  await page.mouse.down()
  for (let i = 1; i <= MOVES; i++) {
    const part = Math.sin((i / MOVES) * 4 * Math.PI)
    await page.mouse.move(x + dx * part, y + dy * part)
    await page.waitForTimeout(14)
  }
  await page.mouse.up()
}

const told = (what: string, frames: readonly number[]): void => {
  const s = summary(frames)
  console.log(
    `${what}, ${frames.length} frames: scripting and layout ${s.median.toFixed(1)} ms median, ${s.p95.toFixed(1)} ms p95, ${s.most.toFixed(1)} ms at most`,
  )
}

await withBrowser(async (browser, page, send) => {
  await send('/api/shops', { ...shopWith(), id: 'bench', name: 'Bench' })
  const tools = Array.from({ length: TOOLS }, (_, i) => mallet(`t${i}`, 22 + (i % 9), 60 + ((i * 7) % 40)))
  for (let i = 0; i < TOOLS; i += 100)
    await send('/api/changes', { changes: tools.slice(i, i + 100).map((t) => ({ kind: 'tools', save: { ...t, shop: 'bench', version: 0 } })) }) // prettier-ignore
  const seatsOf = (n: number) => tools.filter((_, i) => i % HOLDERS === n).map((t, i) => ({ id: `s${i}`, tool: t.id, turn: 0 })) // prettier-ignore
  for (let n = 0; n < HOLDERS; n++)
    await send('/api/holders', { id: `h${n}`, shop: 'bench', name: `Rail ${n}`, form: 'finger-rail', seats: seatsOf(n), choices: {} }) // prettier-ignore
  const hung = Array.from({ length: HOLDERS }, (_, n) => ({ holder: `h${n}`, x: 60 + (n % 10) * 950, z: 300 + Math.floor(n / 10) * 380, fixed: false })) // prettier-ignore
  await send('/api/walls', { id: 'w', shop: 'bench', name: 'Wall', width: 9800, height: 2800, holds: 'panel', studs: [600, 1200], things: [], hung }) // prettier-ignore
  await page.goto('/wall')
  const holder = page.locator('[data-holder="h34"]')
  await holder.waitFor()
  await page.waitForTimeout(3000)
  await sayCalibration(page)
  const box = (await holder.boundingBox())!
  told(`A holder among ${HOLDERS} with ${TOOLS} tools, dragged`, await framesWhile(browser, page, () => dragFrom(page, box.x + box.width / 2, box.y + box.height / 2, 120, 60))) // prettier-ignore

  for (const count of IN_RAIL) {
    const seats = tools.slice(0, count).map((t, i) => ({ id: `s${i}`, tool: t.id, turn: 0 }))
    await send('/api/holders', { id: `rail${count}`, shop: 'bench', name: 'Rail', form: 'finger-rail', seats, choices: {} }) // prettier-ignore
    await page.goto(`/holders/rail${count}`)
    const label = page.locator('.choices .label', { hasText: /^Gap$/ })
    await label.waitFor()
    await page.waitForTimeout(3000)
    await sayCalibration(page)
    const gap = (await label.boundingBox())!
    told(`The gap of a rail of ${count} tools, dragged by its name`, await framesWhile(browser, page, () => dragFrom(page, gap.x + gap.width / 2, gap.y + gap.height / 2, 60, 0))) // prettier-ignore
  }
})
