import type { Page } from '@playwright/test'
import { expect, test } from './fixtures'
import { board, mallet, running, saved, settled, shopFor, threeMallets } from './shop'

const working = (page: Page) => page.getByTestId('working-card')
const checks = (page: Page) => page.getByTestId('verdicts')
const dimension = (page: Page, figure: string) => page.locator(`.dimension[data-figure="${figure}"] text`).first()
const marks = ['0', '51', '139', '240', '304']

test('from three mallets in the tray to the marks of the worked example', async ({ page, service }) => {
  await shopFor(page, service, { tools: threeMallets() })
  await page.goto('/tools')
  for (const id of ['t1', 't2', 't3']) await page.getByLabel(`Choose Mallet ${id}`).check()
  await page.getByRole('button', { name: 'Make a holder for them' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Finger rail' }).click()
  await expect.poll(() => running(page)).toEqual(marks)
  await expect(page.getByTestId('stick').locator('.bit')).toHaveText(['datum', '⌀ 32 mm', '⌀ 32 mm', '⌀ 35 mm', 'end'])
  await expect(page.getByTestId('stick').locator('.saw-figure')).toHaveText([
    '35',
    '67',
    '123',
    '155',
    '222.5',
    '257.5',
  ])
  await expect(checks(page)).toContainText('pass')
  await saved(page)
  await page.reload()
  await expect.poll(() => running(page)).toEqual(marks)
})

test('a figure is dragged by its name, and one undo takes it back', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(shop.rail)
  await expect.poll(() => running(page)).toEqual(marks)
  await settled(page)
  const label = page.locator('.choices .label', { hasText: /^Gap$/ })
  await label.hover()
  const box = (await label.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + 20, y, { steps: 4 })
  // live, before it is let go: 5 mm more between the three, twice
  await expect.poll(async () => Number((await running(page)).at(-1)) - Number(marks.at(-1))).toBe(10)
  // a hand that rests is one that still holds it
  await page.waitForTimeout(1700)
  await page.mouse.move(x + 40, y)
  await page.mouse.up()
  await expect(page.getByLabel('Gap', { exact: true }).first()).toHaveValue('32')
  await page.mouse.move(x + 300, y)
  await expect(page.getByLabel('Gap', { exact: true }).first()).toHaveValue('32')
  await page.keyboard.press('Control+z')
  await expect.poll(() => running(page)).toEqual(marks)
})

test('the working and the drawing light each other, back to a measurement that is changed in place', async ({
  page,
  service,
}) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(shop.rail)
  await dimension(page, 'length').click()
  await expect(working(page)).toContainText('Board length')
  await expect(working(page)).toContainText('= 240 + 44 + 20')
  await expect(page.locator('.working li.lit')).toContainText('Board length')

  await working(page).getByRole('button', { name: 'Centre 3 from the datum end', exact: true }).first().click()
  await expect(working(page)).toContainText('= 139 + 35 + 22 + 44')
  await expect(page.locator('.dimension.lit text').first()).toHaveText('101')

  await working(page).getByLabel('Gap', { exact: true }).fill('30')
  await expect.poll(() => running(page)).toEqual(['0', '51', '147', '256', '320'])
  await expect(working(page)).toContainText('= 147 + 35 + 30 + 44')

  await working(page).getByRole('button', { name: 'Right extent of 2' }).click()
  await working(page).getByLabel('Mallet t2: head width').fill('80')
  await expect.poll(() => running(page)).toEqual(['0', '51', '152', '266', '330'])

  await page.locator('.working button[data-figure="depth"]').click()
  await expect(page.locator('.dimension.lit')).toHaveCount(1)
  for (let i = 0; i < 2; i++) await page.keyboard.press('Control+z')
  await page.locator('h2').first().click()
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect.poll(() => running(page)).toEqual(marks)
})

test('tools are reordered by dragging and by keys', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(shop.rail)
  const names = () =>
    page.locator('ol .seat .name').evaluateAll((all) => all.map((n) => n.firstChild!.textContent!.trim()))
  const grip = (i: number) => page.locator('ol .seat .grip').nth(i)
  await grip(0).hover()
  await page.mouse.down()
  const from = (await grip(0).boundingBox())!
  const to = (await grip(2).boundingBox())!
  // as a hand does it: rows make way with a short animation, and the hand comes to rest before it lets go
  for (const part of [0.4, 0.7, 1]) {
    await page.mouse.move(to.x + 5, from.y + (to.y + to.height * 0.7 - from.y) * part, { steps: 6 })
    await page.waitForTimeout(160)
  }
  await page.mouse.up()
  await expect.poll(names).toEqual(['Mallet t2', 'Mallet t3', 'Mallet t1'])
  await expect.poll(() => running(page)).toEqual(['0', '55', '156', '253', '304'])

  await page.locator('ol .seat').nth(2).focus()
  await page.keyboard.press('Alt+ArrowUp')
  await expect.poll(names).toEqual(['Mallet t2', 'Mallet t1', 'Mallet t3'])
  await expect(page.locator('ol .seat').nth(1)).toBeFocused()
  await page.keyboard.press('Tab')
  await expect(page.getByRole('button', { name: 'Move Mallet t1 towards the datum end' })).toBeFocused()
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  await expect.poll(names).toEqual(['Mallet t2', 'Mallet t3', 'Mallet t1'])
  await page.keyboard.press('Control+z')
  await expect.poll(names).toEqual(['Mallet t2', 'Mallet t1', 'Mallet t3'])
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect.poll(() => running(page)).toEqual(marks)
})

test('tools join, are turned and are taken out', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(shop.rail)
  await page.locator('ol .seat').nth(1).click()
  await page.getByRole('button', { name: 'Turn Mallet t2' }).click()
  await expect(page.locator('ol .seat').nth(1)).toContainText('face right')
  await expect.poll(() => running(page)).toEqual(['0', '51', '164', '290', '354'])
  // a button pressed twice is two deeds, each undone by itself
  await page.getByRole('button', { name: 'Turn Mallet t2' }).click()
  await expect(page.locator('ol .seat').nth(1)).toContainText('face to the wall')
  await page.keyboard.press('Control+z')
  await expect(page.locator('ol .seat').nth(1)).toContainText('face right')
  await page.getByRole('button', { name: 'Take Mallet t2 out' }).click()
  await expect.poll(() => running(page)).toEqual(['0', '51', '148', '212'])
  await page.getByRole('button', { name: 'Add Mallet t2' }).click()
  await expect.poll(async () => (await running(page)).length).toBe(5)
})

test('a choice between schools says what each comes to', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(shop.rail)
  const pitch = page.getByRole('radiogroup', { name: 'Pitch' })
  await expect(pitch).toContainText('304 long')
  await expect(pitch).toContainText('317 long')
  await pitch.getByText('even').click()
  await expect.poll(() => running(page)).toEqual(['0', '51', '152', '253', '317'])
})

test('an offcut’s length says how many fit, or which gap is left', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(shop.rail)
  const offcut = page.getByLabel('Fits an offcut of')
  const answer = page.getByTestId('offcut-answer')
  await offcut.fill('200')
  await expect(answer).toContainText('The first 2 of 3 fit; it is 104 mm short')
  await expect(answer).toContainText('Not even heads that touch would fit')
  await offcut.fill('12"')
  await expect(answer).toContainText('All 3 fit, 0.5 mm to spare')
  await offcut.fill('324')
  await expect(answer).toContainText('A gap of 32 mm uses it all')
  await answer.getByRole('button', { name: 'Take that gap' }).click()
  await expect.poll(async () => (await running(page)).at(-1)).toBe('324')
  await offcut.fill('210')
  await answer.getByRole('button', { name: 'Keep the first 2' }).click()
  await expect(page.locator('ol .seat')).toHaveCount(2)
})

test.describe('verdicts', () => {
  const remedy = (page: Page, verdict: string, name: string) =>
    checks(page).locator(`[data-verdict="${verdict}"]`).getByRole('button', { name, exact: false })

  test('no bit: one is put on the shopping list', async ({ page, service }) => {
    const shop = await shopFor(page, service, { tools: [mallet('a', 37, 90)], rail: {} })
    await page.goto(shop.rail)
    await expect(checks(page)).toContainText('No bit you own bores 40 mm for Mallet a')
    await remedy(page, 'bit:s1', 'Buy a 40 mm bit').click()
    await expect(checks(page)).toContainText('still to be bought')
    await page.goto('/shop')
    await expect(page.getByLabel('The 40 mm forstner bit is still to be bought')).toBeChecked()
  })

  test('no bit: two bores and a file', async ({ page, service }) => {
    const shop = await shopFor(page, service, { tools: [mallet('a', 37, 90)], rail: {} })
    await page.goto(shop.rail)
    await remedy(page, 'bit:s1', 'Two bores and a file').click()
    await expect(page.getByTestId('stick')).toContainText('2 × ⌀ 38 mm')
    await expect(checks(page)).toContainText('all met')
  })

  test('a web too thin: a wider gap', async ({ page, service }) => {
    const tools = [mallet('a', 27.5, 46), mallet('b', 27.5, 46)]
    const stock = [board('x', 'Thick ash', 'ash', 40)]
    const shop = await shopFor(page, service, { shop: { stock }, tools, rail: { gap: 5 } })
    await page.goto(shop.rail)
    await remedy(page, 'web:s1', 'Gap 16.5 mm').click()
    await expect(checks(page).locator('[data-verdict="web:s1"]')).toHaveCount(0)
    await expect(page.getByLabel('Gap', { exact: true }).first()).toHaveValue('16.5')
  })

  test('too little bearing: turned', async ({ page, service }) => {
    const shop = await shopFor(page, service, { tools: [mallet('a', 30, 36)], rail: {} })
    await page.goto(shop.rail)
    await remedy(page, 'bearing:s1', 'Turn it: face right').click()
    await expect(checks(page).locator('[data-verdict="bearing:s1"]')).toHaveCount(0)
    await expect(page.locator('ol .seat').first()).toContainText('face right')
  })

  test('too little behind the slots: the depth follows', async ({ page, service }) => {
    const shop = await shopFor(page, service, { tools: threeMallets(), rail: { depth: 56 } })
    await page.goto(shop.rail)
    await remedy(page, 'backWeb', 'Let the depth follow').click()
    await expect(checks(page)).toContainText('all met')
    await page.keyboard.press('Control+z')
    await expect(checks(page)).toContainText('Back web about')
  })
})

test('inches and millimetres switch everywhere at once, and nothing moves', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(shop.rail)
  await expect.poll(() => running(page)).toEqual(marks)
  await page.keyboard.press('u')
  await expect.poll(() => running(page)).toEqual(['0"', '2"', '5 1/2"', '9 7/16"', '11 15/16"'])
  await page.waitForTimeout(600)
  const text = await page.locator('main').innerText()
  const metric = text.split('\n').filter((line) => /\d ?mm\b/.test(line) && !/⌀|bit/.test(line))
  expect(metric).toEqual([])
  await saved(page)
  const tool = await shop.send('GET', `/api/tools/${shop.id}-t1`)
  expect(tool).toMatchObject({ version: 1, measures: { handleWidth: 27.5, headWidth: 62 } })
  await page.keyboard.press('u')
  await expect.poll(() => running(page)).toEqual(marks)
})

test('no tools, and three hundred, get a plain answer', async ({ page, service }) => {
  await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  await page.goto('/holders')
  await page.getByRole('button', { name: 'New holder' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Finger rail' }).click()
  await expect(page.locator('.nothing')).toContainText('No tools in this holder yet')

  const many = Array.from({ length: 300 }, (_, i) => mallet(`m${i}`, 28, 80))
  const crowd = await shopFor(page, service, { tools: many, rail: {} })
  await page.goto(crowd.rail)
  await expect(page.locator('.nothing')).toContainText('Split the tools over several holders')
  const figures = page.locator('.working [data-figure]')
  await expect(page.locator('.working .seat')).toHaveCount(300)
  expect(await figures.count()).toBeLessThan(20)
  const before = await figures.count()
  await page.locator('.working .seat').last().click()
  await expect(page.locator('.working [data-figure="slot:s300"]')).toBeVisible()
  expect(await figures.count()).toBeGreaterThan(before)
  await checks(page).getByRole('button', { name: 'Keep the first half here' }).click()
  await expect(page.locator('ol .seat')).toHaveCount(150)
  await expect(checks(page)).toContainText('Split the tools over two holders')
  expect(await page.locator('main').innerText()).not.toMatch(/NaN|Infinity|undefined/)
})

test('figures that contradict each other are told, not drawn as nonsense', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 60, 30), mallet('b', 30, 70)], rail: {} })
  await page.goto(shop.rail)
  await expect(checks(page)).toContainText('would fall through')
  await expect(checks(page)).toContainText('is no wider than the handle')
  expect(await page.locator('main').innerText()).not.toMatch(/NaN|Infinity|undefined/)
  expect(await page.locator('main').innerHTML()).not.toContain('NaN')
})

test('a tool still to be measured is left out, and its card is one click away', async ({ page, service }) => {
  const bare = { ...mallet('b', 30, 70), measures: { headLength: 120 } }
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70), bare], rail: {} })
  await page.goto(shop.rail)
  await expect(checks(page)).toContainText('Mallet b is left out until it is measured: handle width, head width')
  await checks(page).getByRole('link', { name: 'To its card' }).click()
  await page.getByLabel('Handle width', { exact: true }).fill('30')
  await page.getByLabel('Head width', { exact: true }).fill('70')
  await page.goBack()
  await expect(checks(page)).toContainText('all met')
})

test('the drawing is zoomed, panned and brought back by keys and pointer', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(shop.rail)
  const board = page.getByTestId('drawing').locator('path.board').first()
  await expect(board).toBeVisible()
  await page.waitForTimeout(200)
  const box = async () => (await board.boundingBox())!
  const before = await box()
  await page.keyboard.press('+')
  expect((await box()).width / before.width).toBeCloseTo(1.25, 1)
  await page.mouse.move(500, 400)
  await page.mouse.down()
  await page.mouse.move(540, 430, { steps: 4 })
  await page.mouse.up()
  const panned = await box()
  await page.mouse.wheel(0, 240)
  await expect.poll(async () => (await box()).width).toBeLessThan(panned.width)
  await page.keyboard.press('0')
  await expect.poll(box).toEqual(before)
})
