import { plainTool, type Tool } from '#core/footprint/tool'
import { newBit } from '#core/shop/shop'
import { expect, test } from './fixtures'
import { running, shopFor } from './shop'

const bits = [10, 12, 16, 22, 32].map((d) => newBit('forstner', d))
const cutter = (id: string): Tool => ({
  ...plainTool(id, 'bit', `Bit ${id}`),
  sure: 'caliper',
  measures: { shankDiameter: 9.5, shankLength: 62, cuttingDiameter: 20, overallLength: 90 },
})

test('bits stand on a floor; layers are glued up until they stand well; the marks say how deep', async ({
  page,
  service,
}) => {
  const shop = await shopFor(page, service, { shop: { bits }, tools: ['a', 'b', 'c', 'd'].map(cutter) })
  const seats = ['a', 'b', 'c', 'd'].map((id) => ({ id: `s${id}`, tool: `${shop.id}-${id}`, turn: 0 }))
  const block = { id: `${shop.id}-block`, shop: shop.id, name: 'Bits', form: 'socket-block', seats, choices: {} }
  await shop.send('POST', '/api/holders', block)
  await page.goto(`/holders/${block.id}`)
  const checks = page.locator('[data-verdict="depth:sa"]')
  await expect(checks).toContainText('stands 12 mm deep; 27 mm would hold it well')
  await checks.getByRole('button', { name: 'Glue up 2 layers' }).click()
  await expect(checks).toHaveCount(0)
  await page.getByRole('radiogroup', { name: 'Rows' }).getByText('2', { exact: true }).click()
  await page.getByRole('radiogroup', { name: 'Arranged' }).getByText('square').click()
  await expect.poll(() => running(page)).toEqual(['0', '30', '72', '102'])
  await page.getByRole('radiogroup', { name: 'Dust hole' }).getByText('with one').click()
  await page.getByRole('link', { name: 'Bench sheet' }).click()
  await expect(page.getByTestId('bench-sheet')).toContainText(
    'Dust holes: through the middle of each blind bore’s floor, 10 mm wide',
  )
  const marks = page.getByTestId('marks')
  await expect(marks.getByRole('row', { name: /Centre 3/ })).toContainText('16 mm, 30 mm deep')
  await expect(marks).toContainText('From back edge')
  await expect(marks).not.toContainText('Saw line')
  await expect(page.getByTestId('bench-sheet')).toContainText('glue 2 layers up')
  await expect(page.getByTestId('bench-sheet')).not.toContainText('Saw lines run')
})
