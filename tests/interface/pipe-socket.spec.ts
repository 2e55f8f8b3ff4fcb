import { plainTool, type Tool } from '#core/footprint/tool'
import { usualShop } from '#core/shop/usual'
import { expect, test } from './fixtures'
import { saved, shopFor } from './shop'

const rake = (id: string, name: string): Tool => ({
  ...plainTool(id, 'long-handled', name),
  mass: 0.9,
  measures: { handleDiameter: 30, headWidth: 200, headDepth: 50, headHeight: 80, overallLength: 1200 },
})

test('two rakes stand in pipe that the shop has got, and both mouths come from one cut', async ({ page, service }) => {
  const stock = usualShop().stock.filter((s) => s.form !== 'pipe')
  await shopFor(page, service, { tools: [rake('a', 'Rake'), rake('b', 'Hoe')], shop: { stock } })
  await page.goto('/shop')
  const list = page.locator('#stock')
  await list.getByRole('button', { name: 'Boards, sheets, rods and pipe' }).click()
  // a pipe’s wall is asked for as soon as there is a pipe
  await expect(list.getByText('Wall of a pipe')).toHaveCount(0)
  await list.getByRole('button', { name: 'Add a kind of stock' }).click()
  await list.getByLabel('Form of New kind of stock').selectOption('pipe')
  await list.getByLabel('Thickness as it really is of New kind of stock').fill('50')
  await list.getByLabel('Wall of a pipe of New kind of stock').fill('1.8')
  await page.keyboard.press('Enter')
  await saved(page)

  await page.goto('/tools')
  for (const name of ['Rake', 'Hoe']) await page.getByLabel(`Choose ${name}`, { exact: true }).check()
  await page.getByRole('button', { name: 'Make a holder for them' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Pipe socket' }).click()
  await expect(page.getByText('From the side')).toBeVisible()
  await expect(page.locator('.dimension[data-figure="pipeLow"]')).toContainText('310')
  await saved(page)

  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(page.url().replace('/holders/', '/bench/'))
  const title = page.getByRole('heading', { name: 'Cut the mouths of pipe 1 and pipe 2' })
  const next = page.getByRole('button', { name: 'Next card' })
  for (let n = 0; n < 20 && !(await title.isVisible()); n++) await next.click()
  await expect(page.locator('main')).toContainText('Two come out of one piece')
  await expect(page.locator('main')).toContainText('closes on the blade')
})
