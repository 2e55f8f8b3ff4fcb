import { plainTool, type Tool } from '#core/footprint/tool'
import { rectangle } from '#core/geometry/outline'
import { expect, test } from './fixtures'
import { saved, shopFor } from './shop'

const thing = (id: string, name: string, more: Partial<Tool>): Tool => ({ ...plainTool(id, 'case', name), mass: 0.5, ...more }) // prettier-ignore
const bottle = thing('oil', 'Oil', { options: { type: 'bottle' }, measures: { length: 70, width: 70, height: 190 } })
const charger = thing('charger', 'Charger', {
  options: { type: 'charger', cord: 'right' },
  measures: { length: 110, width: 75, height: 90, ventClear: 30 },
})

test('a bottle and a charger stand in a tray: what its front hides is told, its holes are bored, its caution is read', async ({
  page,
  service,
}) => {
  await shopFor(page, service, { tools: [bottle, charger] })
  await page.goto('/tools')
  for (const name of ['Oil', 'Charger']) await page.getByLabel(`Choose ${name}`, { exact: true }).check()
  await page.getByRole('button', { name: 'Make a holder for them' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Tray' }).click()
  await expect(page.getByText('From the side')).toBeVisible()

  const checks = page.getByTestId('verdicts')
  await page.getByLabel('Front', { exact: true }).fill('85')
  await page.keyboard.press('Enter')
  await expect(checks).toContainText('The front hides Charger')
  await checks.getByRole('button', { name: /^Let the front follow/ }).click()
  await expect(checks).not.toContainText('The front hides')
  await saved(page)

  const holder = page.url()
  await page.goto(`${holder}/bench`)
  await expect(page.getByTestId('marks').first()).toContainText('Centre air 1')
  await expect(page.getByText('vents free, on something that doesn’t burn')).toBeVisible()
})

test('a wrench says how it can be held, and hangs by its hole once that is measured', async ({ page, service }) => {
  const wrench: Tool = { ...plainTool('w', 'flat-tool', 'Wrench'), mass: 0.2, measures: { thickness: 8 }, outline: rectangle(-20, -180, 20, 0) } // prettier-ignore
  const shop = await shopFor(page, service, { tools: [wrench] })
  await page.goto(`/tools?tool=${shop.id}-w`)
  const ways = page.locator('.ways li')
  await expect(ways.filter({ hasText: 'Magnet ledge' })).not.toContainText('still to measure')
  await expect(ways.filter({ hasText: 'Peg rail' })).toContainText('still to measure hole or ring')
  await page.getByLabel('Hole or ring', { exact: true }).fill('24')
  await page.keyboard.press('Enter')
  await expect(ways.filter({ hasText: 'Peg rail' })).not.toContainText('still to measure')
})
