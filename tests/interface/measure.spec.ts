import { strToU8, zipSync } from 'fflate'
import type { Page } from '@playwright/test'
import { plainTool } from '#core/footprint/tool'
import { expect, test } from './fixtures'
import { mallet, saved, shopFor, type TestShop } from './shop'

const figure = (page: Page, label: string) => page.getByLabel(label, { exact: true })
const tray = (page: Page) => page.getByRole('region', { name: 'Tools' })
const card = (page: Page) => page.getByRole('complementary', { name: 'Measuring card' })
const kept = (shop: TestShop, id: string) =>
  shop.send('GET', `/api/tools/${shop.id}-${id}`) as Promise<Record<string, never>>
const measured = (id: string, kind: string, measures: Record<string, number>, more = {}) => ({
  ...plainTool(id, kind, `Tool ${id}`),
  measures,
  ...more,
})

test('ten tools of many kinds are measured by keys alone, from an empty shop', async ({ page, service }) => {
  test.setTimeout(180000)
  await shopFor(page, service)
  await page.goto('/tools')
  await expect(page.getByRole('heading', { name: 'Lay the first tool out' })).toBeVisible()
  const tools: [name: string, kind: string, figures: string[]][] = [
    ['Beech mallet', 'Headed', ['25', '32', '68', '130']],
    ['Deck brush', 'Long', ['28', '260', '75', '1320']],
    ['Bar clamp', 'Bar', ['25', '6', '34', '82', '735']],
    ['Sash chisel', 'Driver', ['31', '', '21', '12', '4', '118', '262']],
    ['Auger bit', 'Bit', ['9.5', '62', '20', '210']],
    ['Block plane', 'Plane', ['152', '42', '46']],
    ['Pull saw', 'Handsaw', ['0.6', '', '58', '46', '265', '24']],
    ['Spindle gouge', 'Turning', ['32', '24', '13', '300', '520']],
    ['Cordless drill', 'Pistol', ['39', '47', '112', '118', '68', '238', '52', '44']],
    ['Charger', 'Battery', ['190', '120', '85']],
  ]
  for (const [name, kind, figures] of tools) {
    await page.keyboard.press('n')
    await expect(figure(page, 'Name')).toBeFocused()
    await expect(figure(page, 'Name')).toHaveValue(/^New tool/)
    await page.keyboard.type(name)
    await page.keyboard.press('Enter')
    await expect(figure(page, 'Kind of tool')).toBeFocused()
    await page.keyboard.type(kind)
    await page.keyboard.press('Enter')
    for (const text of figures) {
      await page.keyboard.type(text)
      await page.keyboard.press('Enter')
    }
    await page.keyboard.press('Escape')
    await expect(card(page)).toBeHidden()
    await expect(tray(page).getByRole('button', { name }), name).toContainText('no place yet')
  }
  await expect(page.getByText('10 in the tray')).toBeVisible()
  await saved(page)
})

test('a caliper fills the figure in focus and goes on to the next', async ({ page, service }) => {
  const shop = await shopFor(page, service, {
    tools: [measured('s', 'handsaw', { plateThickness: 0.8 }, { sure: 'rule' })],
  })
  await page.goto(`/tools?tool=${shop.id}-s`)
  await figure(page, 'Depth at heel').focus()
  await card(page).getByRole('button', { name: 'Devices' }).click()
  const bench = page.getByRole('region', { name: 'Measuring devices' })
  const caliper = bench.locator('.device', { hasText: 'Digital caliper' })
  await expect(bench).toContainText('for “Depth at heel”')
  await caliper.getByRole('button', { name: 'Take a reading' }).click()
  await expect(figure(page, 'Depth at toe')).toBeFocused()
  await expect(figure(page, 'Depth at heel')).not.toHaveValue('')
  await expect(page.getByLabel('How sure: Depth at heel')).toHaveValue('caliper')
  await expect(page.getByLabel('How sure: Depth at toe')).toHaveValue('rule')

  // a scale has nothing to say to a length, and a device out of reach says so
  await bench.locator('.device', { hasText: 'Kitchen scale' }).getByRole('button', { name: 'Take a reading' }).click()
  await expect(bench).toContainText('wants a length')
  await figure(page, 'Weight').focus()
  await bench.locator('.device', { hasText: 'Kitchen scale' }).getByRole('button', { name: 'Take a reading' }).click()
  await expect(figure(page, 'Weight')).not.toHaveValue('')
  await caliper.getByRole('button', { name: 'Carry away' }).click()
  await expect(caliper).toContainText('out of reach')
  await caliper.getByRole('button', { name: 'Bring back' }).click()
  await expect(caliper).not.toContainText('out of reach')
  await saved(page)
  const tool = await kept(shop, 's')
  expect(tool.sureOf).toEqual({ depthHeel: 'caliper' })
  expect(tool.mass).toBeGreaterThan(0)
})

test('a caliper out of reach gives no reading, and says so', async ({ page, service, provokes }) => {
  provokes.lines.push(/status of 409/)
  const shop = await shopFor(page, service, { tools: [measured('s', 'handsaw', {})] })
  await page.goto(`/tools?tool=${shop.id}-s`)
  await figure(page, 'Depth at heel').focus()
  await card(page).getByRole('button', { name: 'Devices' }).click()
  const caliper = page.locator('.device', { hasText: 'Digital caliper' })
  await caliper.getByRole('button', { name: 'Carry away' }).click()
  await caliper.getByRole('button', { name: 'Take a reading' }).click()
  await expect(page.getByText('is out of reach: no reading came')).toBeVisible()
  await expect(figure(page, 'Depth at heel')).toHaveValue('')
  await caliper.getByRole('button', { name: 'Bring back' }).click()
})

test('of three readings the middle one is kept, and how far they lie apart goes into the slot', async ({
  page,
  service,
}) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 29, 90)], rail: {} })
  await page.goto(`/tools?tool=${shop.id}-a`)
  await card(page).getByRole('radiogroup', { name: 'Readings of each figure' }).getByText('three').click()
  const width = figure(page, 'Handle width')
  await width.focus()
  for (const reading of ['28.6', '29.4', '28.9']) {
    await expect(width).toBeFocused()
    await page.keyboard.press('Control+a')
    await page.keyboard.type(reading)
    await page.keyboard.press('Enter')
  }
  await expect(figure(page, 'Handle thickness')).toBeFocused()
  await expect(width).toHaveValue('28.9')
  await expect(card(page)).toContainText('the middle of several readings, 1 apart at most')
  await saved(page)
  expect(await kept(shop, 'a')).toMatchObject({ measures: { handleWidth: 28.9 }, spread: { handleWidth: 0.8 } })
  // 28.9 + half of 0.8 + 3 asks for more than the 32 mm bit
  await page.goto(shop.rail)
  await expect(page.getByTestId('stick')).toContainText('⌀ 35 mm')
})

test('a handle’s profile is drawn as it is typed', async ({ page, service }) => {
  const tool = measured('c', 'handled-blade', {
    handleDiameter: 31,
    bladeWidth: 18,
    bladeLength: 118,
    overallLength: 262,
  })
  const shop = await shopFor(page, service, { tools: [tool] })
  await page.goto(`/tools?tool=${shop.id}-c`)
  await card(page).getByText('Handle profile').click()
  const shape = () => card(page).locator('svg.card path.handle').last().getAttribute('d')
  const before = await shape()
  await figure(page, 'Height of another diameter').focus()
  for (const text of ['0', '22', '40', '30.5', '80', '24']) {
    await page.keyboard.type(text)
    await page.keyboard.press('Enter')
  }
  await expect(page.getByLabel('Diameter 3', { exact: true })).toHaveValue('24')
  expect(await shape()).not.toBe(before)
  await page.getByLabel('Diameter 2', { exact: true }).fill('33')
  await expect(card(page)).toContainText('is thicker than the handle at its thickest (31 mm)')
  await saved(page)
  expect((await kept(shop, 'c')).profile).toEqual([
    { at: 0, diameter: 22 },
    { at: 40, diameter: 33 },
    { at: 80, diameter: 24 },
  ])
})

test.describe('an outline', () => {
  const read = (page: Page, name: string, text: string | Buffer) =>
    card(page)
      .getByLabel('Read SVG or DXF')
      .setInputFiles({ name, mimeType: '', buffer: Buffer.isBuffer(text) ? text : Buffer.from(text) })
  const square = (more: string, start = '') =>
    `${start}<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 60" ${more}><path d="M0 0H90A10 10 0 0 1 100 10V60H0Z"/></svg>`

  test('is read from an SVG at its scale, its curves kept', async ({ page, service }) => {
    const shop = await shopFor(page, service, { tools: [measured('o', 'flat-tool', { thickness: 8 })] })
    await page.goto(`/tools?tool=${shop.id}-o`)
    await read(page, 'a.svg', square('width="100mm" height="60mm"'))
    await expect(card(page)).toContainText('100 mm by 60 mm, 5 pieces, 1 of them arcs')
    await page.getByRole('button', { name: 'Keep this outline' }).click()
    // one that doesn't say its unit asks for it
    await read(page, 'b.svg', square('').replace('viewBox="0 0 100 60"', ''))
    await page.getByRole('button', { name: /^inch/ }).click()
    await expect(card(page)).toContainText('2540 mm by 1524 mm')
    await page.getByRole('button', { name: 'Leave it' }).click()
    await expect(card(page)).toContainText('100 mm by 60 mm')
    await saved(page)
    const { outline } = (await kept(shop, 'o')) as unknown as { outline: { segments: { kind: string }[] } }
    expect(outline.segments.map((s) => s.kind).filter((k) => k === 'arc')).toHaveLength(1)
  })

  test('of a bad file is told, and nothing changes', async ({ page, service }) => {
    const shop = await shopFor(page, service, { tools: [measured('o', 'flat-tool', { thickness: 8 })] })
    await page.goto(`/tools?tool=${shop.id}-o`)
    await page.evaluate(() => ((window as { hurt?: number }).hurt = 0))
    const bomb = '<!DOCTYPE a [<!ENTITY x "aaaa"><!ENTITY y "&x;&x;&x;&x;&x;&x;&x;&x;">]>'
    for (const [name, text] of [
      [
        'a.svg',
        square('onload="hurt=1"').replace('<path', '<script>hurt=1</script><g').replace('/></svg>', '></g></svg>'),
      ],
      ['b.svg', `${bomb}<svg xmlns="http://www.w3.org/2000/svg"><text>&y;</text></svg>`],
      ['c.svg', '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0H10'],
      ['d.dxf', '0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n90\n4\n10\n0.0\n20\n'],
      ['e.svg', Buffer.from(zipSync({ 'a.svg': strToU8('<svg/>') }))],
      ['f.dxf', Buffer.from([0xff, 0xfe, 0x30, 0x00])],
    ] as const) {
      await read(page, name, text as string)
      await expect(card(page).getByRole('alert'), name).toBeVisible()
      await expect(page.getByRole('button', { name: 'Keep this outline' })).toHaveCount(0)
      await page.getByRole('button', { name: 'Type points' }).click() // anything that redraws
      await page.getByRole('button', { name: 'Type points' }).click()
    }
    expect(await page.evaluate(() => (window as { hurt?: number }).hurt)).toBe(0)
    expect((await kept(shop, 'o')).outline).toBeNull()
  })

  /** A picture of a dark square with a handle, lying aslant on a light ground: 500 by 220 pixels of it. */
  const photographed = (page: Page, ground = '#e8e4da', thing = '#50555a') =>
    page.evaluate(
      async ([light, dark]) => {
        const canvas = new OffscreenCanvas(1200, 900)
        const c = canvas.getContext('2d')!
        c.fillStyle = light!
        c.fillRect(0, 0, 1200, 900)
        c.translate(600, 450)
        c.rotate(0.6)
        c.fillStyle = dark!
        c.fillRect(-110, -250, 220, 80)
        c.fillRect(-30, -250, 60, 500)
        const bytes = new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer())
        return Array.from(bytes)
      },
      [ground, thing],
    )

  test('is traced from a picture, true to the length it is given', async ({ page, service }) => {
    const shop = await shopFor(page, service, { tools: [measured('o', 'flat-tool', { thickness: 8 })] })
    await page.goto(`/tools?tool=${shop.id}-o`)
    const picture = card(page).getByLabel('Trace a picture')
    const taken = async (...colours: string[]) => ({ name: 'p.png', mimeType: 'image/png', buffer: Buffer.from(await photographed(page, ...colours)) }) // prettier-ignore
    await picture.setInputFiles(await taken('#50555a'))
    await expect(card(page).getByRole('alert')).toContainText('Nothing stands out in it')
    await picture.setInputFiles({ name: 'p.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
    await expect(card(page).getByRole('alert')).toContainText('no picture that can be read')
    await picture.setInputFiles(await taken())
    await card(page).getByLabel('How long it is, end to end').fill('250')
    await card(page).getByLabel('How long it is, end to end').press('Enter')
    await expect(card(page)).toContainText(/1(09|10|11)(\.5)? mm by 250 mm/)
    await expect(card(page)).toContainText('hold a rule to its width')
    await page.getByRole('button', { name: 'Turn it a quarter' }).click()
    await expect(card(page)).toContainText(/250 mm by 1(09|10|11)(\.5)? mm/)
    await page.getByRole('button', { name: 'Keep this outline' }).click()
    await saved(page)
    const { outline } = (await kept(shop, 'o')) as unknown as { outline: { segments: unknown[] } }
    expect(outline.segments.length).toBeGreaterThan(7)
    // what is measured already is not asked for again
    await card(page).getByLabel('Length', { exact: true }).fill('500')
    await card(page).getByLabel('Length', { exact: true }).press('Enter')
    await picture.setInputFiles(await taken())
    await expect(card(page)).toContainText(/2(19|20|21)(\.5)? mm by 500 mm/)
  })

  test('is typed point by point', async ({ page, service }) => {
    const shop = await shopFor(page, service, { tools: [measured('o', 'flat-tool', { thickness: 8 })] })
    await page.goto(`/tools?tool=${shop.id}-o`)
    await page.getByRole('button', { name: 'Type points' }).click()
    const points = page.getByLabel('Points, one to a line')
    await points.fill('0 0\n120 0\n120 forty\n0 40')
    await page.getByRole('button', { name: 'Draw them' }).click()
    await expect(card(page).getByRole('alert')).toContainText('forty')
    await points.fill('0 0\n120 0\n120 1 1/2"\n0 38.1')
    await page.getByRole('button', { name: 'Draw them' }).click()
    await expect(card(page)).toContainText('120 mm by 38 mm')
    await page.getByRole('button', { name: 'Keep this outline' }).click()
    await expect(tray(page).getByRole('button', { name: 'Tool o' })).toContainText('no place yet')
  })
})

test('several are made at once from one line, and share the rest', async ({ page, service }) => {
  const like = measured('c', 'handled-blade', {
    handleDiameter: 31,
    bladeWidth: 18,
    bladeLength: 118,
    overallLength: 262,
  })
  const shop = await shopFor(page, service, { tools: [{ ...like, name: 'Chisel 18 mm' }] })
  await page.goto(`/tools?tool=${shop.id}-c`)
  await page.getByRole('button', { name: 'More like it' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Say it in one line').fill('five chisels, widths 6, 10, 1/2", 25')
  await expect(dialog).toContainText('5 are asked for, but 4 figures are given')
  await dialog.getByLabel('Say it in one line').fill('four chisels, widths 6, 10, 1/2", 25')
  await expect(dialog).toContainText('All of them share: handle diameter 31 mm, blade length 118 mm')
  await expect(dialog.locator('.samples li')).toHaveCount(4)
  await page.keyboard.press('Enter')
  await expect(page.getByText('5 in the tray')).toBeVisible()
  await expect(figure(page, 'Name')).toHaveValue('Chisel 6 mm')
  await expect(figure(page, 'Handle diameter')).toHaveValue('31')
  await saved(page)
  const all = (await shop.send('GET', `/api/tools?shop=${shop.id}`)) as unknown as {
    measures: { bladeWidth: number }
  }[]
  expect(all.map((t) => t.measures.bladeWidth).sort((a, b) => a - b)).toEqual([6, 10, 12.7, 18, 25])
  await page.keyboard.press('Escape')
  await page.keyboard.press('Control+z')
  await expect(page.getByText('1 in the tray')).toBeVisible()
})

test('Escape leaves the field at once, so that an undo pressed right after it is not the field’s', async ({
  page,
  service,
}) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  await page.goto(`/tools?tool=${shop.id}-a`)
  await figure(page, 'Name').focus()
  const left = await page.evaluate(() => {
    const field = document.activeElement!
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))
    return document.activeElement !== field
  })
  expect(left).toBe(true)
})

test('room is left for a tool to come, and four like clamps take four places', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  await page.goto(`/tools?tool=${shop.id}-a`)
  await page.getByRole('button', { name: 'Leave room for one more' }).click()
  await expect(figure(page, 'Name')).toHaveValue('Mallet a (to come)')
  await expect(tray(page).getByRole('button', { name: 'Mallet a (to come)' })).toContainText('to come')
  await expect(page.getByLabel('How sure: Handle width')).toHaveValue('eye')
  await tray(page).getByRole('button', { name: 'Mallet a', exact: false }).first().click()
  await expect(figure(page, 'Name')).toHaveValue('Mallet a')
  await figure(page, 'How many').fill('4')
  await expect(tray(page)).toContainText('Mallet a × 4')
  await page.getByLabel('Choose Mallet a', { exact: true }).check()
  await page.getByRole('button', { name: 'Make a holder for them' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Finger rail' }).click()
  await expect(page.locator('ol .seat')).toHaveCount(4)
})

test('a tool of another kind keeps the figures that both have, and undo brings all back', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  await page.goto(`/tools?tool=${shop.id}-a`)
  await figure(page, 'Kind of tool').selectOption('long-handled')
  await expect(figure(page, 'Head width')).toHaveValue('70')
  await expect(tray(page).getByRole('button', { name: 'Mallet a' })).toContainText('to measure')
  await page.keyboard.press('Escape')
  await page.getByLabel('Undo').first().click()
  await tray(page).getByRole('button', { name: 'Mallet a' }).click()
  await expect(figure(page, 'Handle width')).toHaveValue('28')
})

test('going through a card in the other unit moves no figure', async ({ page, service }) => {
  const measures = { handleWidth: 28.3, handleThickness: 31.123456, headWidth: 70, headLength: 330.7 }
  const shop = await shopFor(page, service, { tools: [measured('a', 'headed', measures, { mass: 0.8123 })] })
  await page.goto(`/tools?tool=${shop.id}-a`)
  await page.getByLabel('Inches or millimetres').click()
  await expect(figure(page, 'Handle width')).toHaveValue('1.114"')
  await figure(page, 'Handle width').focus()
  for (let i = 0; i < 9; i++) await page.keyboard.press('Enter')
  await page.getByLabel('Inches or millimetres').click()
  await figure(page, 'Name').fill('Beetle')
  await saved(page)
  expect(await kept(shop, 'a')).toMatchObject({ name: 'Beetle', measures, mass: 0.8123 })
})
