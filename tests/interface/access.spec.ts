import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, test } from './fixtures'
import { mallet, running, shopFor, threeMallets, type TestShop } from './shop'

/** What breaks the rules; of another theme only what colours can break. */
async function serious(page: Page, theme: string): Promise<string[]> {
  const axe = new AxeBuilder({ page })
  const rules = theme === 'paper' ? axe.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa']) : axe.withRules(['color-contrast', 'link-in-text-block']) // prettier-ignore
  const { violations } = await rules.analyze()
  return violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(' | ')}`)
}

/** A wall with an outlet and the rail on it. */
const aWall = ({ id, rail, send }: TestShop) =>
  send('POST', '/api/walls', {
    id: `${id}-wall`,
    shop: id,
    name: 'Wall',
    width: 2400,
    height: 2300,
    studs: [600, 1200],
    things: [{ id: 'o', kind: 'outlet', name: '', x: 900, z: 1200, width: 80, height: 80 }],
    hung: [{ holder: rail.split('/').at(-1)!, x: 700, z: 1150, fixed: false }],
  })

for (const theme of ['paper', 'dim']) {
  test(`no view breaks the rules of accessibility, ${theme}`, async ({ page, service }) => {
    test.setTimeout(300000)
    const shop = await shopFor(page, service, { tools: [...threeMallets(), mallet('a', 37, 60)], rail: {} })
    await aWall(shop)
    await page.addInitScript((name) => localStorage.setItem('fingerling:light', name), theme)
    const views = [
      '/',
      '/tools',
      `/tools?tool=${shop.id}-t1`,
      '/tools/import',
      '/tools/stocktaking',
      '/holders',
      '/holders/compare',
      '/wall',
      '/cutting',
      '/bench',
      `/bench/${shop.rail.split('/').at(-1)!}`,
      shop.rail,
      `${shop.rail}/bench`,
      '/shop',
      '/shop/new',
    ]
    for (const view of views) {
      await page.goto(view)
      await expect(page.locator('main h1, main h2').first()).toBeVisible()
      await expect(page.locator(`.v-theme--${theme}`).first()).toBeVisible()
      await page.waitForTimeout(500) // remedies and consequences come after the first painting
      expect(await serious(page, theme), view).toEqual([])
    }
  })
}

test('everything on the way to the marks is done by keys', async ({ page, service }) => {
  await shopFor(page, service)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible()
  await page.keyboard.press('2')
  await expect(page.getByRole('heading', { name: 'Tools' })).toBeVisible()
  for (const [width, head] of [
    ['27.5', '62'],
    ['29', '70'],
  ]) {
    await page.keyboard.press('n')
    await expect(page.getByLabel('Name', { exact: true })).toBeFocused()
    for (const text of [`Mallet ${width}`, '', width!, '', head!, '120', '', '', '', '600 g', '']) {
      if (text) await page.keyboard.type(text)
      await page.keyboard.press('Enter')
    }
    await expect(page.getByRole('button', { name: 'Next tool' })).toBeFocused()
  }
  await page.keyboard.press('Escape')
  await expect(page.getByText('2 in the tray')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Mallet 27.5' })).toBeVisible()
  const boxes = page.getByRole('checkbox')
  for (const i of [0, 1]) {
    await boxes.nth(i).focus()
    await page.keyboard.press('Space')
  }
  await page.getByRole('button', { name: 'Make a holder for them' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Finger rail' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect.poll(async () => (await running(page)).length).toBe(4)
  // from a figure to its working
  await page.locator('.working button[data-figure="length"]').focus()
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('working-card')).toContainText('Board length')
})

test('the list of keys is one key away', async ({ page, service }) => {
  await shopFor(page, service)
  await page.goto('/tools')
  await expect(page.getByRole('heading', { name: 'Tools' })).toBeVisible()
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog')).toContainText('Inches or millimetres')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
})

test('a phone scrolls one way only', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await aWall(shop)
  for (const width of [390, 360]) {
    await page.setViewportSize({ width, height: 844 })
    for (const view of [
      '/',
      '/tools',
      `/tools?tool=${shop.id}-t1`,
      '/tools/import',
      '/tools/stocktaking',
      '/shop',
      '/shop/new',
      '/holders',
      '/holders/compare',
      '/wall',
      '/cutting',
      '/bench',
      `/bench/${shop.rail.split('/').at(-1)!}`,
      shop.rail,
      `${shop.rail}/bench`,
    ]) {
      await page.goto(view)
      await expect(page.locator('main :is(h1, h2, input)').filter({ visible: true }).first()).toBeVisible()
      const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
      expect(wide, `${view} at ${width}`).toBeLessThanOrEqual(0)
    }
  }
})

test('the workbench needs no scrolling of the page at 1280 by 800', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(shop.rail)
  await expect(page.getByTestId('stick')).toBeInViewport({ ratio: 1 })
  expect(await page.evaluate(() => document.documentElement.scrollHeight - innerHeight)).toBeLessThanOrEqual(0)
})

test('tools leave by a key and the focus is not lost', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(shop.rail)
  await page.locator('ol .seat').first().focus()
  await page.keyboard.press('Delete')
  await expect(page.locator('ol .seat')).toHaveCount(2)
  await expect(page.locator('ol .seat').first()).toBeFocused()
})

test('the section that a page belongs to is marked in the head', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  const current = page.getByRole('navigation', { name: 'Work' }).locator('[aria-current]')
  for (const [path, section, as] of [
    ['/tools', /^Tools/, 'page'],
    ['/tools/import', /^Tools/, 'true'],
    ['/holders', /^Holders/, 'page'],
    [shop.rail, /^Holders/, 'true'],
    [`${shop.rail}/bench`, /^Holders/, 'true'],
    ['/holders/compare', /^Holders/, 'true'],
    ['/cutting', /^Cutting/, 'page'],
    [shop.rail.replace('/holders/', '/bench/'), /^Bench/, 'true'],
  ] as const) {
    await page.goto(path)
    await expect(current).toHaveText(section)
    await expect(current).toHaveAttribute('aria-current', as)
  }
  await page.goto('/')
  await expect(page.getByRole('navigation', { name: 'Work' })).toBeVisible()
  await expect(current).toHaveCount(0)
})
