import type { Page } from '@playwright/test'
import type { Tool } from '#core/footprint/tool'
import type { Shop } from '#core/shop/shop'
import { board, mallet, shopWith, threeMallets } from '../core/samples'
import type { Service } from '../service'

export { board, mallet, threeMallets }

let count = 0

interface Contents {
  shop?: Partial<Shop>
  settings?: Partial<Shop['settings']>
  tools?: Tool[]
  /** put all tools on one finger rail with these choices */
  rail?: Record<string, string | number>
}

/** A shop that stands in the records, with the ids of what is in it. */
export interface TestShop {
  id: string
  /** the rail's page, where there is a rail */
  rail: string
  send: (method: string, path: string, body?: unknown) => Promise<Record<string, unknown>>
}

async function send(service: Service, method: string, path: string, body?: unknown) {
  const answer = await fetch(`${service.address}${path}`, {
    method,
    ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  })
  const read = (await answer.json()) as Record<string, unknown>
  if (!answer.ok) throw new Error(`${method} ${path}: ${JSON.stringify(read)}`)
  return read
}

/** Makes a shop of its own for a test and lets the page open in it. */
export async function shopFor(page: Page, service: Service, contents: Contents = {}): Promise<TestShop> {
  const id = `shop-${process.pid}-${count++}`
  const shop = { ...shopWith(contents.shop, contents.settings), id, name: `Test shop ${count}`, ...contents.shop }
  await send(service, 'POST', '/api/shops', shop)
  const tools = (contents.tools ?? []).map((tool) => ({ ...tool, id: `${id}-${tool.id}` }))
  for (const tool of tools) await send(service, 'POST', '/api/tools', { ...tool, shop: id })
  const holder = `${id}-rail`
  if (contents.rail) {
    const seats = tools.map((tool, i) => ({ id: `s${i + 1}`, tool: tool.id, turn: 0 }))
    const rail = { id: holder, shop: id, name: 'Rail', form: 'finger-rail', seats, choices: contents.rail }
    await send(service, 'POST', '/api/holders', rail)
  }
  await page.context().addInitScript((shopId) => {
    if (location.protocol === 'http:') localStorage.setItem('fingerling:shop', shopId)
  }, id)
  return { id, rail: `/holders/${holder}`, send: (method, path, body) => send(service, method, path, body) }
}

/** Waits until everything that was changed stands in the records. */
export const saved = (page: Page) => page.getByTestId('save-state').getByText('Saved', { exact: true }).waitFor()

/** Waits until the page answers to the hand, and until what comes a moment after its first painting stands where it will. */
export async function settled(page: Page): Promise<void> {
  await page.waitForFunction(() => {
    const page = window as unknown as { useNuxtApp?: () => { isHydrating?: boolean } }
    return page.useNuxtApp?.().isHydrating === false
  })
  const idle = () => new Promise<void>((resolve) => requestIdleCallback(() => requestIdleCallback(() => resolve())))
  await page.evaluate(idle)
}

/** The running figures over the stick's main marks, from the datum end. */
export const running = (page: Page) => page.getByTestId('stick').locator('.running').allTextContents()
