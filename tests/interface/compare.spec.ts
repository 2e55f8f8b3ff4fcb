import { expect, test } from './fixtures'
import { shopFor, threeMallets } from './shop'

test('a variant is tried beside the holder, and both are compared', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(shop.rail)
  await page.getByRole('button', { name: 'A variant' }).click()
  const table = page.getByTestId('compare')
  await expect(table.getByRole('row', { name: /Along the wall/ })).toContainText(/304 mm\s*304 mm/)
  await table.getByRole('link', { name: 'Open Rail, variant' }).click()
  await page.getByText('even', { exact: true }).click()
  await page.goBack()
  await expect(table.getByRole('row', { name: /Along the wall/ })).toContainText(/304 mm.*better.*3\d\d(\.5)? mm/)
  await expect(table.getByRole('row', { name: /^Pitch/ })).toContainText(/as usual\s*even/)
  await expect(table.getByRole('row', { name: /Time at the bench/ })).toContainText(/min|h/)
})

test('an offcut of the bin is fitted, with what is given up for it', async ({ page, service }) => {
  const offcuts = [{ id: 'o', name: 'Lid', form: 'board' as const, material: 'eastern white pine', thickness: 18, length: 296, width: 100, grain: 'along its length' as const, noGo: '', note: '' }] // prettier-ignore
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {}, shop: { offcuts } })
  await page.goto(shop.rail)
  await page.getByLabel('An offcut from the bin').selectOption({ label: 'Lid, 296 mm' })
  await page.getByRole('button', { name: 'The best that fits' }).click()
  await expect(page.getByTestId('best-fit')).toContainText('3 of 3 tools on 296 mm × 77.5 mm: gap 18 mm for 22 mm.')
  await page.getByTestId('best-fit').getByRole('button', { name: 'Take it' }).click()
  await expect(page.getByTestId('offcut-answer')).toContainText('All 3 fit')
})
