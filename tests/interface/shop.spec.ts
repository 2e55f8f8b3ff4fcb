import { readFileSync } from 'node:fs'
import { expect, test } from './fixtures'
import { mallet, running, saved, shopFor, threeMallets } from './shop'

test('a test bore is what the slots go by', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 29, 90)], rail: {} })
  await page.goto('/shop')
  await page.getByLabel('Test bore of the 32 mm bit').fill('31.8')
  await saved(page)
  await page.goto(shop.rail)
  await expect(page.getByTestId('stick')).toContainText('⌀ 35 mm')
  // and in place, from the working of the slot
  await page.goto('/shop')
  await page.getByLabel('Test bore of the 32 mm bit').fill('32.1')
  await saved(page)
  await page.goto(shop.rail)
  await expect(page.getByTestId('stick')).toContainText('⌀ 32 mm')
  await page.locator('.dimension[data-figure^="slot:"] text').click()
  await expect(page.getByTestId('working-card').getByLabel('Hole of the 32 mm bit')).toHaveValue('32.1')
})

test('bits and boards come and go, and each step is undone', async ({ page, service }) => {
  await shopFor(page, service)
  await page.goto('/shop')
  const another = page.getByLabel('Diameter of another bit')
  await another.fill('1 5/8"')
  await another.press('Enter')
  await expect(page.getByLabel('Test bore of the 1 5/8" (41.3 mm) bit')).toBeVisible()
  await another.fill('32')
  await another.press('Enter')
  await expect(page.getByText('A 32 mm bit is in the list already.')).toBeVisible()
  await page.getByLabel('Remove the 22 mm bit').click()
  await expect(page.getByLabel('Test bore of the 22 mm bit')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await expect(page.getByLabel('Test bore of the 22 mm bit')).toBeVisible()

  await page.getByRole('button', { name: 'Add a board' }).click()
  await page.getByLabel('Name of the board').last().fill('Ash offcuts')
  await page.getByLabel('Thickness', { exact: true }).last().fill('3/4"')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Name of the board').last()).toHaveValue('Ash offcuts')
  await expect(page.getByLabel('Thickness', { exact: true }).last()).toHaveValue('19.05')
})

test('a setting is checked, and every holder follows it', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto('/shop')
  const gap = page.getByLabel('Gap between heads')
  await gap.fill('600')
  await expect(page.getByRole('alert')).toContainText('more than 500 mm')
  await gap.fill('32')
  const share = page.getByLabel('Back web, part of the depth')
  await share.fill('2')
  await expect(page.getByRole('alert')).toContainText('between 0.05 and 0.9')
  await share.fill('2/5')
  await saved(page)
  await page.goto(shop.rail)
  await expect.poll(async () => (await running(page)).at(-1)).toBe('324')
})

test('the unit and the grid are chosen for the whole shop', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto('/shop')
  await page.getByRole('radiogroup', { name: 'Lengths in' }).getByText('inches').click()
  await page.getByRole('radiogroup', { name: 'Printed to' }).getByText('1/32 in').click()
  await saved(page)
  await page.goto(shop.rail)
  await expect.poll(async () => (await running(page)).at(-1)).toBe('11 31/32"')
})

test('another shop is opened, and one is kept as a file that plans', async ({ page, service }) => {
  await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto('/shop')
  const waiting = page.waitForEvent('download')
  await page.getByText('Keep a copy of this one').click()
  const file = JSON.parse(readFileSync(await (await waiting).path(), 'utf8'))
  expect(file).toMatchObject({ format: 'fingerling-project', formatVersion: 1 })
  const planned = await fetch(`${service.address}/api/plan`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(file),
  })
  expect((await planned.json()).plans[0].boards[0].length).toBe(304)

  await page.getByRole('button', { name: 'Open another shop' }).click()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('New shop')
  await saved(page)
  await page.getByRole('link', { name: 'Tools' }).click()
  await expect(page.getByText('Lay the first tool out')).toBeVisible()
})

test('Today says what is next, and its button leads there', async ({ page, service }) => {
  const shop = await shopFor(page, service)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Lay out the first tool' })).toBeVisible()

  await shop.send('POST', '/api/tools', { ...mallet('x', 28, 70), id: `${shop.id}-x`, shop: shop.id })
  await page.reload()
  await expect(page.getByRole('heading', { name: '1 tool without a place' })).toBeVisible()
  await page.getByRole('button', { name: 'Make a finger rail' }).click()
  await expect.poll(() => running(page)).toHaveLength(3)
  await saved(page)

  await page.goto('/')
  await page.getByRole('button', { name: 'To the bench' }).click()
  await expect(page.getByTestId('marks')).toBeVisible()

  await shop.send('POST', '/api/tools', { ...mallet('y', 28, 70), measures: {}, id: `${shop.id}-y`, shop: shop.id })
  await page.goto('/')
  await expect(page.getByText('Still to measure: handle width')).toBeVisible()
  await page.getByRole('button', { name: 'Measure it' }).click()
  await expect(page.getByLabel('Handle width', { exact: true })).toBeVisible()
})

test('holders are listed with their verdicts, and deleted with a way back', async ({ page, service }) => {
  await shopFor(page, service, { tools: [mallet('a', 37, 90)], rail: {} })
  await page.goto('/holders')
  await expect(page.getByText('No bit you own bores 40 mm')).toBeVisible()
  await page.getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByText('No holder yet.')).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click()
  await expect(page.getByRole('heading', { name: 'Rail' })).toBeVisible()
})
