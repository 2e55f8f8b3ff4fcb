import { expect, test } from './fixtures'
import { mallet, shopFor } from './shop'

test('a link to a holder of another shop says which, and leads there', async ({ page, service }) => {
  const first = await shopFor(page, service, { tools: [mallet('a', 28, 70)], rail: {} })
  await shopFor(page, service, { shop: { name: 'The cellar' } })
  for (const [path, there] of [
    [first.rail, page.getByTestId('stick')],
    [`${first.rail}/bench`, page.getByTestId('bench-sheet')],
    [first.rail.replace('/holders/', '/bench/'), page.getByText(/^0 of \d+ done/)],
    [`/holders/compare?a=${first.rail.replace('/holders/', '')}`, page.getByRole('heading', { name: 'Compare' })],
  ] as const) {
    await page.goto(path)
    const told = page.getByTestId('not-here')
    await expect(told).toContainText('This is not in The cellar')
    await expect(told).toContainText(/It belongs to Test shop \d+\./)
    await told.getByRole('button', { name: 'Go there' }).click()
    await expect(there).toBeVisible()
  }
  await page.goto('/holders/no-such-holder')
  await expect(page.getByTestId('not-here')).toContainText('It may have been deleted.')
})

test('so does a link to a tool, above the tray', async ({ page, service }) => {
  const first = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  await shopFor(page, service, { tools: [mallet('b', 30, 80)], shop: { name: 'The cellar' } })
  const told = page.getByTestId('not-here')
  await page.goto(`/tools?tool=${first.id}-a`)
  await expect(told).toContainText('The tool of that link is not in The cellar')
  await told.getByRole('button', { name: 'Go there' }).click()
  await expect(page.getByLabel('Measuring card')).toBeVisible()
  await expect(told).toHaveCount(0)
  // what is deleted here is not told as missing
  await page.getByLabel('Measuring card').getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByLabel('Measuring card')).toHaveCount(0)
  await expect(told).toHaveCount(0)
  await page.goto('/tools?tool=no-such-tool')
  await expect(told).toContainText('It may have been deleted.')
  await told.getByRole('button', { name: 'Go on without it' }).click()
  await expect(told).toHaveCount(0)
})
