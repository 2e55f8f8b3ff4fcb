import type { Page } from '@playwright/test'
import { expect, test } from './fixtures'
import { mallet, running, saved, shopFor, threeMallets } from './shop'

const state = (page: Page) => page.getByTestId('save-state')
const width = (page: Page) => page.getByLabel('Handle width', { exact: true })
const away = [/status of 503/, /ERR_CONNECTION_REFUSED/, /ERR_EMPTY_RESPONSE/, /ERR_INCOMPLETE_CHUNKED_ENCODING/]

test.describe('when the database is down', () => {
  test.use({ provokes: { lines: away } })

  test('the screen says so, keeps what is typed, and saves by itself when it is back', async ({ page, service }) => {
    const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
    await page.goto(`/tools?tool=${shop.id}-a`)
    await expect(width(page)).toHaveValue('28')
    await service.killDatabase()
    await width(page).fill('31')
    await expect(state(page)).toContainText('can’t be reached', { timeout: 15000 })
    await width(page).fill('32')
    await page.getByLabel('Name', { exact: true }).fill('Typed while it was away')
    await expect(state(page)).toContainText('can’t be reached')
    await service.startDatabase()
    await expect(state(page)).toHaveText('Saved', { timeout: 30000 })
    const kept = await shop.send('GET', `/api/tools/${shop.id}-a`)
    expect(kept).toMatchObject({ name: 'Typed while it was away', measures: { handleWidth: 32 } })
  })

  test('what was typed survives closing the page too', async ({ page, service, context }) => {
    const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
    await page.goto(`/tools?tool=${shop.id}-a`)
    await expect(width(page)).toHaveValue('28')
    await service.killDatabase()
    await width(page).fill('33')
    await expect(state(page)).toContainText('can’t be reached', { timeout: 15000 })
    await page.close()
    const later = await context.newPage()
    await later.goto(`/tools?tool=${shop.id}-a`)
    await expect(later.getByText('can’t be reached just now')).toBeVisible({ timeout: 15000 })
    await service.startDatabase()
    await expect(width(later)).toHaveValue('33', { timeout: 20000 })
    await saved(later)
    const kept = await shop.send('GET', `/api/tools/${shop.id}-a`)
    expect(kept.measures).toMatchObject({ handleWidth: 33 })
  })

  test('a server that is killed and started again is found again', async ({ page, service }) => {
    const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
    await page.goto(shop.rail)
    await expect.poll(() => running(page)).toHaveLength(5)
    await page.getByLabel('Gap', { exact: true }).fill('32')
    await saved(page)
    await service.killApplication()
    await expect(state(page)).toContainText('Connection cut', { timeout: 15000 })
    await page.getByLabel('Margin', { exact: true }).fill('30')
    await expect.poll(async () => (await running(page)).at(-1)).toBe('344')
    await service.startApplication()
    await expect(state(page)).toHaveText('Saved', { timeout: 30000 })
    await page.reload()
    await expect.poll(async () => (await running(page)).at(-1)).toBe('344')
  })
})

test('a change in one window is shown in the other by itself', async ({ page, service, context }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  const other = await context.newPage()
  await page.goto(shop.rail)
  await other.goto(shop.rail)
  await expect.poll(() => running(other)).toHaveLength(5)
  await page.getByLabel('Gap', { exact: true }).fill('32')
  await expect.poll(async () => (await running(other)).at(-1)).toBe('324')
  await expect(other.getByText('“Rail” was changed in another window.')).toBeVisible()
  // undo there would undo somebody else's work
  await expect(other.getByRole('button', { name: 'Undo' }).first()).toBeDisabled()
})

test.describe('when two windows change one holder', () => {
  test.use({ provokes: { lines: [/status of 409/, /ERR_INTERNET_DISCONNECTED/] } })

  async function disagree(page: Page, other: Page, rail: string) {
    await page.goto(rail)
    await other.goto(rail)
    await expect.poll(() => running(page)).toHaveLength(5)
    await expect.poll(() => running(other)).toHaveLength(5)
    await other.context().setOffline(true)
    await other.getByLabel('Gap', { exact: true }).fill('40')
    await expect(state(other)).toContainText('can’t be reached', { timeout: 12000 })
    await page.getByLabel('Gap', { exact: true }).fill('32')
    await saved(page)
    await other.context().setOffline(false)
    const dialog = other.getByTestId('conflict')
    await expect(dialog).toContainText('was changed in two places', { timeout: 12000 })
    await expect(dialog.locator('tbody tr')).toHaveText([/gap\s*40 mm\s*32 mm/])
    await page.reload()
    await expect.poll(async () => (await running(page)).at(-1)).toBe('324') // nothing was written over
    return dialog
  }

  test('the second is told, sees both, and keeps its own', async ({ page, service, browser }) => {
    const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
    const context = await browser.newContext({ baseURL: service.address })
    await context.addInitScript((id) => localStorage.setItem('fingerling:shop', id), shop.id)
    const other = await context.newPage()
    const dialog = await disagree(page, other, shop.rail)
    await dialog.getByRole('button', { name: 'Keep what is here' }).click()
    await saved(other)
    await expect.poll(async () => (await running(other)).at(-1)).toBe('340')
    await expect.poll(async () => (await running(page)).at(-1)).toBe('340')
    await context.close()
  })

  test('or takes the other’s', async ({ page, service, browser }) => {
    const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
    const context = await browser.newContext({ baseURL: service.address })
    await context.addInitScript((id) => localStorage.setItem('fingerling:shop', id), shop.id)
    const other = await context.newPage()
    const dialog = await disagree(page, other, shop.rail)
    await dialog.getByRole('button', { name: 'Take the other window’s' }).click()
    await expect.poll(async () => (await running(other)).at(-1)).toBe('324')
    await saved(other)
    const kept = await shop.send('GET', `/api${shop.rail}`)
    expect(kept.choices).toEqual({ gap: 32 })
    await context.close()
  })
})
