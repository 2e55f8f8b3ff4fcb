import { expect, test } from './fixtures'
import { mallet, saved, shopFor } from './shop'

test('a pull is typed as a spring balance shows it, and kept in the shop’s unit', async ({ page, service }) => {
  await shopFor(page, service, { shop: { unit: 'in' } })
  await page.goto('/shop')
  const drags = page.getByLabel('A snug tool drags')
  await expect(drags).toHaveValue('2.248 lb')
  await drags.fill('1 kg')
  await drags.blur()
  await expect(drags).toHaveValue('2.205 lb')
  await drags.fill('99 lb')
  await expect(page.getByRole('alert')).toContainText('more than 22.48 lb can’t be right here')
  await drags.fill('8 oz')
  await saved(page)
  await page.reload()
  await expect(drags).toHaveValue('0.5 lb')
  await page.keyboard.press('u')
  await expect(drags).toHaveValue('2.224 N')
})

test('the weight of a hand’s pull can’t be left empty, that of a bought strip can', async ({ page, service }) => {
  await shopFor(page, service)
  await page.goto('/shop')
  const pull = page.getByLabel('Hand’s pull, as weight')
  await pull.fill('')
  await expect(page.getByRole('alert')).toContainText('the weight before it still stands')
  await pull.fill('5')
  await page.getByRole('button', { name: /Magnetic strips/ }).click()
  const weight = page.getByLabel(/^Weight/).last()
  await weight.fill('')
  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: /Magnetic strips/ }).click()
  await expect(page.getByLabel(/^Weight/).last()).toHaveValue('')
  await expect(pull).toHaveValue('5 kg')
})

test('a figure that is changed elsewhere shows what it is, and leads there', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70), mallet('b', 30, 80)], rail: {} })
  await page.goto(shop.rail)
  await page.locator('[data-figure="woodMass"]').click()
  const card = page.getByTestId('working-card')
  await expect(card).toContainText(/cm³.*kg\/m³.*set under the shop/s)
  await page
    .locator('[data-figure="weightOut:s1"]')
    .or(page.getByRole('button', { name: 'Mallet a' }))
    .first()
    .click()
  await page.locator('[data-figure="weightOut:s1"]').click()
  await expect(card.getByRole('link', { name: 'from the figures on its card' })).toHaveAttribute(
    'href',
    `/tools?tool=${shop.id}-a`,
  )
})
