import type { Page } from '@playwright/test'
import { expect, test } from './fixtures'
import { mallet, saved, shopFor } from './shop'

const figure = (page: Page, label: string) => page.getByLabel(label, { exact: true })
const tray = (page: Page) => page.getByRole('region', { name: 'Tools' })

test('an empty tray says what to measure first, and a tool is measured by keys alone', async ({ page, service }) => {
  await shopFor(page, service)
  await page.goto('/tools')
  await expect(page.getByText('Measure the handle just under the head first')).toBeVisible()

  await page.keyboard.press('n')
  await figure(page, 'Name').fill('Beech mallet')
  await figure(page, 'Handle width').focus()
  await expect(page.getByText('Just under the head, looking at its face')).toBeVisible()
  await expect(page.locator('.line.lit')).toContainText('1')
  for (const text of ['1 1/8"', '30', '2½ in', '12.5 cm']) {
    await page.keyboard.type(text)
    await page.keyboard.press('Enter')
  }
  await expect(figure(page, 'Face reach')).toBeFocused()
  await expect(page.locator('.line.lit')).toContainText('5')
  await figure(page, 'Handle thickness').focus()
  await expect(figure(page, 'Handle width')).toHaveValue('28.575')
  await expect(figure(page, 'Head width')).toHaveValue('63.5')
  await expect(figure(page, 'Head length')).toHaveValue('125')
  await figure(page, 'Weight').fill('1 lb 4 oz')

  await saved(page)
  await page.reload()
  await expect(figure(page, 'Handle width')).toHaveValue('28.575')
  await expect(figure(page, 'Weight')).toHaveValue('567 g')
  await expect(tray(page).getByRole('button', { name: 'Beech mallet' })).toContainText('no place yet')
})

test('a slip is told at the field, and what was there stays', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  await page.goto(`/tools?tool=${shop.id}-a`)
  const width = figure(page, 'Handle width')
  for (const [typed, says] of [
    ['abc', 'Can’t read “abc” as a length'],
    ['0', 'can’t be nought'],
    ['-5', 'can’t be negative'],
    ['1000000000', 'more than 20 m'],
    ['NaN', 'Can’t read “NaN”'],
    ['1,000', 'can be read in two ways'],
  ] as const) {
    await width.fill(typed)
    await expect(page.getByRole('alert')).toContainText(says)
    await expect(width).toHaveValue(typed)
    await expect(width).toHaveAttribute('aria-invalid', 'true')
  }
  await page.getByLabel('Inches or millimetres').click()
  await expect(width).toHaveValue('1,000')
  await page.reload()
  await expect(width).toHaveValue('1.102"') // 28 mm, as it was before the slips

  await width.fill('31mm')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await figure(page, 'Head width').fill('30mm')
  await expect(page.getByText('is no wider than the handle')).toHaveCount(2)
  await figure(page, 'Handle length').fill('5 m')
  await expect(page.getByText('Unusual: mostly')).toBeVisible()
})

test('a half typed fraction is no slip yet', async ({ page, service }) => {
  const shop = await shopFor(page, service, { shop: { unit: 'in' }, tools: [mallet('a', 28, 70)] })
  await page.goto(`/tools?tool=${shop.id}-a`)
  const width = figure(page, 'Handle width')
  await width.fill('')
  await width.pressSequentially('1 3/16')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await page.keyboard.press('Enter')
  await expect(width).toHaveValue('1 3/16"')
})

test('tools are copied, deleted and brought back', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70), mallet('b', 30, 80)] })
  await page.goto(`/tools?tool=${shop.id}-a`)
  await page.getByRole('button', { name: 'Copy' }).click()
  await expect(figure(page, 'Name')).toHaveValue('Mallet a (copy)')
  await expect(figure(page, 'Handle width')).toHaveValue('28')
  await page.getByRole('button', { name: 'Delete', exact: true }).click()
  await expect(page.getByText('3 in the tray')).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click()
  await expect(page.getByText('3 in the tray')).toBeVisible()

  await page.getByLabel('Choose Mallet a', { exact: true }).check()
  await page.getByLabel('Choose Mallet b').check()
  await tray(page).getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByText('1 in the tray')).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByText('3 in the tray')).toBeVisible()
  await page.keyboard.press('Control+y')
  await expect(page.getByText('1 in the tray')).toBeVisible()
  await page.keyboard.press('Control+z')
  await saved(page)
  await page.reload()
  await expect(page.getByText('3 in the tray')).toBeVisible()
})

test('a name is text, whatever it says, and one too long is kept in the field', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  await page.goto(`/tools?tool=${shop.id}-a`)
  const html = '<img src=x onerror="document.title=1"><b>bold</b>'
  await figure(page, 'Name').fill(html)
  await expect(tray(page).getByRole('button', { name: html })).toBeVisible()
  await expect(page.locator('main b')).toHaveCount(0)

  const long = 'Mallet '.repeat(715)
  await figure(page, 'Name').fill(long)
  await expect(page.getByRole('alert')).toContainText('at most 120 are kept')
  await expect(figure(page, 'Name')).toHaveValue(long)
  await saved(page)
  await page.reload()
  await expect(figure(page, 'Name')).toHaveValue(html)
})

test('the drawing follows the figures, and a click on it leads to the field', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  await page.goto(`/tools?tool=${shop.id}-a`)
  const line = page.locator('.line', { hasText: '4' }).filter({ hasText: '120' })
  await line.locator('.text').click()
  await expect(figure(page, 'Head length')).toBeFocused()
  const silhouette = () => tray(page).locator('.tool path.head').getAttribute('d')
  const before = await silhouette()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('240')
  expect(await silhouette()).not.toBe(before)
  await expect(page.locator('.line.lit')).toContainText('240')
})

test('how sure a figure is goes into the slot', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 29, 90)], rail: {} })
  await page.goto(shop.rail)
  await expect(page.getByTestId('stick')).toContainText('⌀ 32 mm')
  await page.goto(`/tools?tool=${shop.id}-a`)
  await page.getByRole('radiogroup', { name: 'Measured with' }).getByText('rule').click()
  await saved(page)
  await page.goto(shop.rail)
  await expect(page.getByTestId('stick')).toContainText('⌀ 35 mm')
})

test('the answers of a choice lie side by side, without a gap', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 29, 90)] })
  await page.goto(`/tools?tool=${shop.id}-a`)
  for (const name of ['Measured with', 'It is', 'Used']) {
    const answers = page.getByRole('radiogroup', { name, exact: true }).locator('label')
    await expect(answers.first()).toBeVisible()
    const edges = await answers.evaluateAll((all) =>
      all.map((one) => one.getBoundingClientRect()).map(({ left, right }) => ({ left, right })),
    )
    expect(edges.length).toBeGreaterThan(2)
    for (const [i, { left }] of edges.slice(1).entries()) expect(left).toBeCloseTo(edges[i]!.right, 0)
  }
})
