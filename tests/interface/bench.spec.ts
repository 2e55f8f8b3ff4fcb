import { expect, test } from './fixtures'
import { mallet, saved, shopFor } from './shop'

test('the work is done card by card, and what is ticked off stays', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70), mallet('b', 30, 80)], rail: {} })
  const id = shop.rail.split('/').at(-1)!
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/bench/${id}`)
  const title = page.locator('.card:visible h2')
  await expect(title).toHaveText(/^Cut up/)
  await expect(page.getByText(/^1 of \d+ · about/).first()).toBeVisible()
  // all ways on are in sight
  expect(await page.locator('header nav').evaluate((nav) => nav.scrollWidth - nav.clientWidth)).toBe(0)
  await page.getByTestId('done').click()
  await expect(page.getByText(/^1 of \d+ done/)).toBeVisible()
  await page.keyboard.press('x')
  await page.getByRole('button', { name: 'All steps' }).click()
  await page.getByRole('button', { name: /^Mark out the rail/ }).click()
  await expect(page.locator('.card:visible table')).toContainText('Centre 1')
  await expect(page.locator('.card:visible')).toContainText('cross the waste side')
  const there = async () => {
    const answer = await page.request.get(`${service.address}/api/works/${id}`)
    return answer.ok() ? Object.values(((await answer.json()) as { ticks: Record<string, { done: boolean }> }).ticks).filter((t) => t.done).length : 0 // prettier-ignore
  }
  // both pieces of the board that was cut, and the step after it
  await expect.poll(there).toBe(3)
  await page.reload()
  await expect(page.getByText(/^2 of \d+ done/)).toBeVisible()
  // it opens at the first card that is still to do
  await expect(page.getByText(/^3 of \d+ · about/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Card before' }).click()
  await page.getByRole('button', { name: 'Not done' }).click()
  await expect(page.getByText(/^1 of \d+ done/)).toBeVisible()
  await expect.poll(there).toBe(2)
})

test('boards that are cut alike have one card, and are all cut once it is done', async ({ page, service }) => {
  const { id, send } = await shopFor(page, service, {})
  await send('POST', '/api/walls', { id: `${id}-w`, shop: id, name: 'Wall', width: 3600, height: 2300, holds: 'uprights', studs: [600, 1200, 1800, 2400, 3000] }) // prettier-ignore
  await page.goto(`/bench/${id}-w`)
  await page.getByRole('button', { name: 'All steps' }).click()
  await page.getByRole('button', { name: /^Cut up \d × / }).click()
  const card = page.locator('.card:visible')
  await expect(card).toContainText('each setting for all of them before the next')
  await expect(card.locator('figure')).toHaveCount(1)
  const count = Number(/\d+/.exec(await card.locator('h2').innerText())![0])
  await page.getByTestId('done').click()
  const ticked = async () => {
    const answer = await page.request.get(`${service.address}/api/works/${id}-w`)
    return answer.ok() ? Object.keys(((await answer.json()) as { ticks: object }).ticks).length : 0
  }
  // two uprights out of each
  await expect.poll(ticked).toBe(2 * count)
  await page.getByRole('button', { name: 'Undo' }).click()
  // all of it is one change
  await expect(page.getByText(/^0 of \d+ done/)).toBeVisible()
})

test('what was made by a plan that has changed since is told, and trimmed or made again', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70), mallet('b', 30, 80)], rail: {} })
  const id = shop.rail.split('/').at(-1)!
  await page.goto(`/bench/${id}`)
  const card = page.locator('.card:visible')
  await page.getByTestId('done').click()
  await page.getByRole('button', { name: 'All steps' }).click()
  await page.getByRole('button', { name: /^Mark out the rail/ }).click()
  await page.getByTestId('done').click()
  await expect(page.getByText(/^2 of \d+ done/)).toBeVisible()
  await saved(page)

  /** Measures the head of one mallet anew. */
  const measured = async (headWidth: number) => {
    const { version } = (await (await page.request.get(`${service.address}/api/tools/${shop.id}-b`)).json()) as { version: number } // prettier-ignore
    await shop.send('PUT', `/api/tools/${shop.id}-b`, { ...mallet('b', 30, headWidth), id: `${shop.id}-b`, shop: shop.id, version }) // prettier-ignore
    await page.goto(`/bench/${id}`)
  }
  const before = page.getByText(/^Rail was cut .* before the plan changed; now it is/)
  await measured(96)
  await expect(before).toContainText('It is to be cut again.')
  await expect(page.getByText(/^0 of \d+ done/)).toBeVisible()
  await page.getByRole('button', { name: 'All steps' }).click()
  await page.getByRole('button', { name: /^Mark out the rail ?, done before the plan changed/ }).click()
  await expect(card).toContainText(/Done on .*, as the plan was then/)
  await page.goto(shop.rail)
  await expect(page.getByText(/^Rail was cut .* It is to be cut again\.$/)).toBeVisible()

  await measured(60)
  await before.getByRole('button', { name: 'It is trimmed to that' }).click()
  await expect(before).toHaveCount(0)
  await saved(page)
  await measured(80)
  await expect(before).toContainText('It is to be cut again.')
})

test('the card one works by stays when another cuts a piece meanwhile', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)], rail: {} })
  const id = shop.rail.split('/').at(-1)!
  await page.goto(`/bench/${id}`)
  await page.getByRole('button', { name: 'All steps' }).click()
  await page.getByRole('button', { name: /^Mark out the rail/ }).click()
  const card = page.locator('.card:visible')
  await expect(card).toContainText(/^2 of 1\d/)
  const tick = { at: new Date().toISOString(), done: true }
  await shop.send('POST', '/api/works', { id, shop: shop.id, name: 'Rail', ticks: { 'cut:rail#1': tick } })
  await expect(card).toContainText(/^3 of 1\d/, { timeout: 30000 })
  await expect(card.locator('h2')).toHaveText('Mark out the rail')
})

test('ticking off glue starts its clock, which runs on after a reload', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)], rail: {} })
  const id = shop.rail.split('/').at(-1)!
  await page.goto(`/bench/${id}`)
  await page.getByRole('button', { name: 'All steps' }).click()
  await page.getByRole('button', { name: /^Join back and rail/ }).click()
  await expect(page.locator('.card:visible')).toContainText(/\d × Screw/)
  await page.getByTestId('done').click()
  const timers = page.getByRole('list', { name: 'Timers' })
  await expect(timers).toContainText(/Join back and rail: (39|40):\d\d/)
  await page.reload()
  await expect(timers).toContainText(/Join back and rail: (39|40):\d\d/)
  await timers.getByRole('button', { name: 'Stop' }).click()
  await expect(timers).toHaveCount(0)
})

test.describe('two at once', () => {
  test.use({ provokes: { lines: [/Failed to load resource/, /ERR_INTERNET_DISCONNECTED/] } })

  test('two at one piece of work at once lose nothing, and are asked nothing', async ({ page, service, context }) => {
    const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)], rail: {} })
    const id = shop.rail.split('/').at(-1)!
    await page.goto(`/bench/${id}`)
    const other = await context.newPage()
    await other.goto(`/bench/${id}`)
    await expect(other.getByText(/^0 of \d+ done/)).toBeVisible()
    await context.setOffline(true)
    await page.getByTestId('done').click()
    await other.getByRole('button', { name: 'Next card' }).click()
    await other.getByTestId('done').click()
    await context.setOffline(false)
    for (const one of [page, other]) await expect(one.getByText(/^2 of \d+ done/)).toBeVisible({ timeout: 30000 })
    await expect(page.getByRole('dialog')).toHaveCount(0)
  })
})

test('the list of work says what is next and how far it is', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)], rail: {} })
  const id = shop.rail.split('/').at(-1)!
  await page.goto(`/bench/${id}`)
  await page.getByTestId('done').click()
  await page.keyboard.press('6')
  await expect(page.getByTestId('work')).toContainText(/next: .*1 of \d+, about/)
})

test.describe('without the server', () => {
  test.use({ serviceWorkers: 'allow', provokes: { lines: [/Failed to load resource/, /ERR_INTERNET_DISCONNECTED/, /no-response/, /FetchEvent/] } }) // prettier-ignore

  test('the cards open all the same, and what is ticked off is sent when it is back', async ({
    page,
    service,
    context,
  }) => {
    const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)], rail: {} })
    const id = shop.rail.split('/').at(-1)!
    await page.goto(`/bench/${id}`)
    await expect(page.getByText(/^0 of \d+ done/)).toBeVisible()
    await page.evaluate(() => navigator.serviceWorker.ready)
    // what was read before the worker took over is read once more through it
    await page.reload()
    await expect(page.getByText(/^0 of \d+ done/)).toBeVisible()
    await context.setOffline(true)
    await page.goto(`/bench/${id}`)
    await expect(page.locator('.card:visible h2')).toHaveText(/^Cut up/)
    await page.getByTestId('done').click()
    await page.reload()
    await expect(page.getByText(/^1 of \d+ done/)).toBeVisible()
    await context.setOffline(false)
    await expect
      .poll(
        async () => {
          const answer = await page.request.get(`${service.address}/api/works/${id}`)
          return answer.ok() ? Object.keys(((await answer.json()) as { ticks: object }).ticks).length : 0
        },
        { timeout: 30000 },
      ) // prettier-ignore
      .toBe(2)
  })
})
