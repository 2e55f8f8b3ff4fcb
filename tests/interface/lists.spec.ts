import { readFileSync, writeFileSync } from 'node:fs'
import { strToU8, zipSync } from 'fflate'
import type { Page } from '@playwright/test'
import { toolsCsv } from '#core/exchange/tools/write-list'
import { plainTool } from '#core/footprint/tool'
import { expect, test } from './fixtures'
import { mallet, saved, shopFor, type TestShop } from './shop'

const tray = (page: Page) => page.getByRole('region', { name: 'Tools' })
const give = (page: Page, name: string, content: string | Buffer) =>
  page.locator('input[type=file]').setInputFiles({ name, mimeType: '', buffer: Buffer.from(content) })
const toolsOf = (shop: TestShop) =>
  shop.send('GET', `/api/tools?shop=${shop.id}`) as unknown as Promise<Record<string, unknown>[]>

/** As many mallets as asked for, no two alike. */
const mallets = (n: number) =>
  Array.from({ length: n }, (_, i) => ({ ...mallet(`m${i}`, 20 + (i % 20), 60 + (i % 50)), name: `Mallet ${i + 1}` }))

test('on a phone the reason why a row can’t be taken in is there to its last word', async ({ page, service }) => {
  await shopFor(page, service)
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/tools/import')
  await give(page, 'list.csv', 'Name,Head width,Height\nChisel 10,22,220\nSquare,40,x')
  const lines = page.getByRole('table', { name: 'Rows that can’t be taken in' }).getByRole('row')
  await expect(lines).toHaveCount(4)
  const whys = lines.locator('.why')
  // how far the text reaches below what is shown of it, px: glyphs reach over their line by less than a third of it
  const below = () =>
    whys.evaluateAll((all) =>
      all.map((why) => {
        const text = document.createRange()
        text.selectNodeContents(why)
        return text.getBoundingClientRect().bottom - why.getBoundingClientRect().bottom
      }),
    )
  await expect.poll(async () => Math.max(...(await below()))).toBeLessThan(6)
  const boxes = await Promise.all((await lines.all()).map((line) => line.boundingBox()))
  for (const [at, box] of boxes.entries())
    if (at > 0) expect(box!.y).toBeGreaterThanOrEqual(boxes[at - 1]!.y + boxes[at - 1]!.height - 1)
})

test('a list is taken in: bad rows are named, unknown headings asked about, the good rows kept', async ({
  page,
  service,
}) => {
  const shop = await shopFor(page, service)
  await page.goto('/tools/import')
  await give(
    page,
    'list.csv',
    [
      'Tool,Type,Shelf,Schaft (mm),Head width (mm),Head length (mm),Weight (g)',
      'Fid mallet,mallet,top,26,70,120,820',
      'Roofing hammer,hammer,top,28,34,wide,640',
      ',mallet,top,28,34,100,640',
      'Bung mallet,mallet,top,24,-5,104,500',
    ].join('\n'),
  )
  await expect(page.getByText('4 rows. 1 can be taken in; 3 can’t.')).toBeVisible()
  const troubles = page.getByRole('table', { name: 'Rows that can’t be taken in' })
  await expect(troubles).toContainText('Row 3')
  await expect(troubles).toContainText('Head length (mm)')
  await expect(troubles).toContainText('Can’t read “wide” as a length')
  await expect(troubles).toContainText('there is no name')
  await expect(troubles).toContainText('can’t be negative')
  await expect(page.getByText('2 headings are not known')).toBeVisible()
  await page.getByLabel('Schaft (mm)').fill('handle width')
  await page.getByLabel('Schaft (mm)').press('Enter')
  await expect(page.getByText('One heading is not known')).toBeVisible()
  await expect(page.locator('.samples li')).toHaveCount(1)
  await page.getByRole('button', { name: 'Take in the 1 good row' }).click()
  await expect(page.getByText('1 tool taken in')).toBeVisible()
  expect(await toolsOf(shop)).toEqual([
    expect.objectContaining({
      name: 'Fid mallet',
      kind: 'headed',
      mass: 0.82,
      measures: { handleWidth: 26, headWidth: 70, headLength: 120 },
    }),
  ])
  await page.getByRole('link', { name: 'To the tray' }).click()
  await expect(tray(page).getByRole('button', { name: 'Fid mallet' })).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByText('Lay the first tool out')).toBeVisible()
  await saved(page)
  expect(await toolsOf(shop)).toEqual([])
})

test('what is kept as a list comes back the same, and changes what is there', async ({ page, service }) => {
  const tools = [
    { ...mallet('a', 28.25, 70.1), spread: { handleWidth: 0.3 }, note: 'two\nlines, "quoted"; =1+1' },
    { ...plainTool('b', 'handled-blade', '-x'), profile: [{ at: 0, diameter: 22.5 }] },
  ]
  const shop = await shopFor(page, service, { tools })
  const before = await toolsOf(shop)
  for (const [link, name] of [
    ['CSV in mm and kg', 'a.csv'],
    ['CSV in inches and lb', 'b.csv'],
    ['JSON', 'c.json'],
  ] as const) {
    await page.goto('/tools/import')
    const waiting = page.waitForEvent('download')
    await page.getByRole('link', { name: link }).click()
    const text = readFileSync(await (await waiting).path(), 'utf8')
    await give(page, name, text)
    await expect(page.getByText('2 of them are here already and will be changed')).toBeVisible()
    await page.getByRole('button', { name: 'Take in 2 tools' }).click()
    await expect(page.getByText('2 tools taken in, 2 of them changed')).toBeVisible()
  }
  const plain = (all: Record<string, unknown>[]) =>
    all.map(({ version: _, updatedAt: __, ...rest }) => rest).sort((a, b) => (String(a.id) < String(b.id) ? -1 : 1))
  expect(plain(await toolsOf(shop))).toEqual(plain(before))
})

test('figures without a unit are read as mm or inches, as is said', async ({ page, service }) => {
  const shop = await shopFor(page, service)
  await page.goto('/tools/import')
  await give(page, 'list.csv', 'Name,Kind,Handle width,Head width,Head length\nMallet,headed,1 1/8,2.5,5')
  await expect(page.getByText('1 can be taken in')).toBeVisible()
  await page.getByRole('radiogroup', { name: 'Figures without a unit are' }).getByText('inches').click()
  await page.getByRole('button', { name: 'Take in 1 tool' }).click()
  await expect(page.getByText('1 tool taken in')).toBeVisible()
  expect((await toolsOf(shop))[0]!.measures).toEqual({ handleWidth: 28.575, headWidth: 63.5, headLength: 127 })
})

test('a file that is no list is told, and changes nothing', async ({ page, service }, info) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  await page.goto('/tools/import')
  const large = info.outputPath('large.csv')
  writeFileSync(large, Buffer.alloc(200 * 1024 * 1024, 'a,b\n'))
  await page.locator('input[type=file]').setInputFiles(large)
  await expect(page.getByRole('alert')).toContainText('The file has 200 MB; at most 20 MB are read')
  for (const [name, content, says] of [
    ['a.csv', Buffer.from(zipSync({ 'a.csv': strToU8('Name\nMallet') })), 'zip or a spreadsheet’s own file'],
    ['b.csv', Buffer.from('Name,Kind\nMei\xdfel,chisel', 'latin1'), 'not in UTF-8'],
    ['c.csv', Buffer.from([0xff, 0xfe, 0x4e, 0x00]), 'UTF-16'],
    ['d.csv', '', 'empty'],
    ['e.csv', 'hello', 'needs a row of headings'],
    ['f.json', '{"tools": [', 'no whole JSON'],
    ['g.json', '{"holders": []}', 'There are no tools in it'],
    ['h.csv', '<svg xmlns="http://www.w3.org/2000/svg"/>', 'not a list'],
  ] as const) {
    await give(page, name, content)
    await expect(page.getByRole('alert'), name).toContainText(says)
    await expect(page.getByRole('alert'), name).toContainText(name)
    await expect(page.getByRole('button', { name: /^Take in/ })).toHaveCount(0)
  }
  await give(page, 'i.csv', 'Name;Kind;Head width\nMallet;headed;70,5')
  await expect(page.getByRole('alert')).toContainText('parted by semicolons')
  await page.getByRole('button', { name: 'Read it with semicolons' }).click()
  await expect(page.getByText('1 can be taken in')).toBeVisible()
  await page.getByRole('button', { name: 'Leave it' }).click()
  expect(await toolsOf(shop)).toHaveLength(1)
})

test('a long list is stopped while it is read and while it is saved, and nothing of it stays', async ({
  page,
  service,
}) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  const ours = await toolsOf(shop)
  const list = toolsCsv([{ ...mallet('x', 31, 70), id: String(ours[0]!.id) }, ...mallets(3000)], 'mm')
  await page.goto('/tools/import')
  await give(page, 'long.csv', list)
  await expect(page.getByRole('button', { name: 'Take in 3001 tools' })).toBeVisible()
  // the third batch never comes back before the stop
  let batches = 0
  await page.route('**/api/changes', async (route) => {
    if (++batches === 3) {
      await page.getByRole('button', { name: 'Stop' }).click()
      await expect(page.getByText('Stopped. The tray is as it was.')).toBeVisible()
    }
    await route.continue()
  })
  await page.getByRole('button', { name: 'Take in 3001 tools' }).click()
  await expect.poll(() => batches).toBeGreaterThan(3)
  await expect.poll(async () => (await toolsOf(shop)).length).toBe(1)
  expect((await toolsOf(shop))[0]!.measures).toEqual(ours[0]!.measures)
  await expect(page.getByText('Keep a list of the tray')).toBeVisible()
  await expect(page.getByText('1 tool with every figure')).toBeVisible()

  await page.unroute('**/api/changes')
  await give(page, 'long.csv', list)
  await page.getByRole('button', { name: 'Take in 3001 tools' }).click()
  await expect(page.getByText('3001 tools taken in, 1 of them changed')).toBeVisible({ timeout: 60000 })
  await page.getByRole('link', { name: 'To the tray' }).click()
  await expect(page.getByText('3001 in the tray')).toBeVisible()
})

test('the tray is searched and sorted, and only what is in sight is drawn', async ({ page, service }) => {
  const shop = await shopFor(page, service)
  for (let i = 0; i < 4; i++) {
    const changes = mallets(400)
      .slice(i * 100, i * 100 + 100)
      .map((t) => ({ kind: 'tools', save: { ...t, id: `${shop.id}-${t.id}`, shop: shop.id, version: 0 } }))
    await shop.send('POST', '/api/changes', { changes })
  }
  await page.goto('/tools')
  await expect(page.getByText('400 in the tray')).toBeVisible()
  expect(await page.locator('.tool').count()).toBeLessThan(150)
  await page.keyboard.press('/')
  await page.keyboard.type('mallet 39')
  await expect(page.getByText('14 of 400')).toBeVisible() // 39, 139, 239, 339 and 390 to 399
  await page.getByRole('button', { name: 'Choose all 14' }).click()
  await expect(page.getByText('14 chosen')).toBeVisible()
  await page.getByLabel('Search the tray').fill('mallet')
  await page.getByRole('button', { name: 'Choose all 400' }).click()
  await page.getByRole('button', { name: 'Make a holder for them' }).click()
  await expect(page.getByText('400 places are too many for one holder')).toBeVisible()
  await page.getByLabel('Search the tray').press('Escape')
  await page.getByRole('button', { name: 'Choose none' }).click()
  await page.getByLabel('Order of the tray').selectOption('by name')
  const names = page.locator('.tool .name')
  await expect(names.first()).toHaveText('Mallet 1')
  await expect(names.nth(1)).toHaveText('Mallet 2')
  await page.reload()
  await expect(page.getByLabel('Order of the tray')).toHaveValue('name')
  await page.getByLabel('Search the tray').fill('no such thing')
  await page.getByRole('button', { name: 'Show all of them' }).click()
  await expect(page.getByText('400 in the tray')).toBeVisible()
})

test('stock is taken with one key for each tool', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: ['a', 'b', 'c', 'd'].map((id) => mallet(id, 28, 70)) })
  await page.goto('/tools')
  await page.getByRole('link', { name: 'Take stock' }).click()
  await expect(page.getByRole('heading', { name: 'Mallet a' })).toBeVisible()
  await page.keyboard.press('h')
  await expect(page.getByRole('heading', { name: 'Mallet b' })).toBeVisible()
  await page.keyboard.press('m')
  await expect(page.getByRole('heading', { name: 'Mallet c' })).toBeVisible()
  await page.keyboard.press('s')
  await expect(page.getByRole('heading', { name: 'Mallet d' })).toBeVisible()
  await page.keyboard.press('b')
  await page.keyboard.press('b')
  await expect(page.getByText('missing so far')).toBeVisible()
  await page.keyboard.press('h')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('b')
  await expect(page.getByText('missing so far')).toBeVisible()
  for (const key of ['s', 's', 'm']) await page.keyboard.press(key)
  await expect(page.getByText('1 here, 2 missing, 1 not looked for')).toBeVisible()
  await page.getByRole('button', { name: 'Look for the missing once more' }).click()
  await page.keyboard.press('h')
  await page.keyboard.press('m')
  await expect(page.getByText('1 here, 1 missing')).toBeVisible()
  await saved(page)
  const seen = new Date().toLocaleDateString('sv')
  const tools = await toolsOf(shop)
  expect(Object.fromEntries(tools.map((t) => [t.name, [t.presence, t.seen]]))).toEqual({
    'Mallet a': ['here', seen],
    'Mallet b': ['here', seen],
    'Mallet c': ['here', null],
    'Mallet d': ['missing', null],
  })
  await page.getByRole('link', { name: 'To the tray' }).click()
  await expect(tray(page).getByRole('button', { name: 'Mallet d' })).toContainText('missing')
})
