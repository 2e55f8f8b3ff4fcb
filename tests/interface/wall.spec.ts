import { execFileSync } from 'node:child_process'
import { expect, test } from './fixtures'
import { mallet, saved, shopFor } from './shop'

test('a wall is measured, a holder hung, dragged, and what it covers is told at once', async ({ page, service }) => {
  const { id } = await shopFor(page, service, { tools: [mallet('a', 28, 70), mallet('b', 30, 80)], rail: {} })
  await page.goto('/')
  await page.getByRole('link', { name: 'Wall' }).click()
  await page.getByRole('button', { name: 'Measure a wall' }).click()
  await page.getByRole('button', { name: 'Rail', exact: true }).click()
  const places = page.getByTestId('locating')
  await expect(places.getByRole('row', { name: /^Rail/ })).toBeVisible()
  await expect(page.getByTestId('wall-verdicts')).toHaveCount(0)

  // an outlet where the holder hangs: told beside the wall, by its name
  await page.getByRole('button', { name: 'outlet' }).click()
  await page.getByLabel('outlet over the floor').fill('1130')
  await expect(page.getByTestId('wall-verdicts')).toContainText('Rail covers the outlet.')
  const holder = page.locator(`[data-holder="${id}-rail"]`)
  const box = (await holder.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + 8)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 - 150, box.y + 8, { steps: 5 })
  await page.mouse.up()
  await expect(page.getByTestId('wall-verdicts')).toHaveCount(0)
  // keys nudge what is chosen, and what was done is undone
  const left = page.getByTestId('chosen').getByLabel('Left end from the corner')
  const before = Number(await left.inputValue())
  await page.locator('h1').click()
  await page.keyboard.press('ArrowRight')
  await expect(left).toHaveValue(String(before + 10))
  await saved(page)
  await page.reload()
  await expect(places.getByRole('row', { name: /^Rail/ })).toContainText(`${before + 10} mm`)
})

test('a holder is turned round where it hangs', async ({ page, service }) => {
  const { id } = await shopFor(page, service, { tools: [mallet('a', 28, 70), mallet('b', 30, 80)], rail: {} })
  await page.goto('/wall')
  await page.getByRole('button', { name: 'Measure a wall' }).click()
  await page.getByRole('button', { name: 'Rail', exact: true }).click()
  const tools = async () => {
    const all = ((await (await page.request.get(`/api/holders/${id}-rail`)).json()) as { seats: { tool: string }[] })
      .seats
    return all.map((s) => s.tool)
  }
  const before = await tools()
  await page.getByTestId('chosen').getByRole('button', { name: 'Turn it round' }).click()
  await saved(page)
  expect(await tools()).toEqual([...before].reverse())
})

test.describe('a wall whose connection is cut', () => {
  test.use({ provokes: { lines: [/ERR_INTERNET_DISCONNECTED/] } })

  test('says so within 5 s, and loses nothing', async ({ page, service, context }) => {
    const { id } = await shopFor(page, service, { tools: [mallet('a', 28, 70)], rail: {} })
    await page.goto('/wall')
    await page.getByRole('button', { name: 'Measure a wall' }).click()
    await page.getByRole('button', { name: 'Rail', exact: true }).click()
    await saved(page)
    await context.setOffline(true)
    const left = page.getByTestId('chosen').getByLabel('Left end from the corner')
    await left.fill('777')
    await expect(page.getByText('can’t be reached')).toBeVisible({ timeout: 5000 })
    await context.setOffline(false)
    await saved(page)
    const walls = (await (await page.request.get(`/api/walls?shop=${id}`)).json()) as { hung: { x: number }[] }[]
    expect(walls[0]!.hung[0]!.x).toBe(777)
  })
})

test('holders are arranged, with reasons, taken or left', async ({ page, service }) => {
  const tools = ['a', 'b', 'c'].map((t, i) => mallet(t, 28, 70 + 10 * i))
  const { id, send } = await shopFor(page, service, { tools })
  for (const [i, t] of tools.entries())
    await send('POST', '/api/holders', { id: `${id}-h${i}`, shop: id, name: `Rail ${i}`, form: 'finger-rail', seats: [{ id: 's', tool: `${id}-${t.id}`, turn: 0 }], choices: {} }) // prettier-ignore
  await send('POST', '/api/walls', { id: `${id}-w`, shop: id, name: 'Wall', width: 2400, height: 2300, holds: 'panel', studs: [600], things: [], hung: [] }) // prettier-ignore
  await page.goto('/wall')
  await page.getByRole('button', { name: 'Arrange for me' }).click()
  await expect(page.getByRole('list', { name: 'Why there' })).toContainText(/Rail 1 in the middle: used weekly/)
  await expect(page.getByRole('status').filter({ hasText: /^\s*The best there is\s*$/ })).toBeVisible()
  await page.getByRole('button', { name: 'Take it' }).click()
  await expect(page.getByTestId('locating').locator('tbody tr')).toHaveCount(3)
  await expect(page.getByText('Everything that can be built hangs.')).toBeVisible()
  await expect(page.getByTestId('wall-verdicts')).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('locating')).toHaveCount(0)
})

test('on a wall of strips a holder hangs by its own strip only', async ({ page, service }) => {
  const { id, send } = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  const seats = [{ id: 's', tool: `${id}-a`, turn: 0 }]
  const holder = (name: string, choices: object) => send('POST', '/api/holders', { id: `${id}-${name}`, shop: id, name, form: 'finger-rail', seats, choices }) // prettier-ignore
  await holder('screwed', {})
  await holder('hooked', { hung: 'strip', backHeight: 200 })
  await send('POST', '/api/walls', {
    id: `${id}-w`,
    shop: id,
    name: 'Wall',
    width: 2400,
    height: 2300,
    studs: [300, 900, 1200, 1500, 2100],
  })
  await page.goto('/wall')
  await page.getByLabel('bevelled strips', { exact: true }).check()
  await expect(page.getByTestId('strips')).toContainText(/\d strips of 2400 mm, 7\d(\.5)? mm wide/)
  await page.getByRole('button', { name: 'hooked' }).click()
  await expect(page.getByTestId('locating').getByRole('row', { name: /^hooked/ })).toContainText(/[1-9]$/)
  // what pulls at its strip shows its working, back to the holder's own figures
  const up = page.getByTestId('backing')
  await up
    .getByRole('button', { name: /^\d+ N$/ })
    .first()
    .click()
  const card = up.getByTestId('working-card')
  await expect(card).toContainText('Pull on a screw of the strip')
  await card.getByRole('button', { name: 'Pull at the bevel' }).click()
  await expect(card.getByRole('button', { name: 'The holder with its tools' })).toBeVisible()
  await expect(page.getByTestId('wall-verdicts')).toHaveCount(0)
  await page.getByRole('button', { name: 'screwed' }).click()
  await expect(page.getByTestId('wall-verdicts')).toContainText('screwed is made to be screwed on')
  // short pieces, so that what hooks over and under is slid off
  await page.getByLabel('Strips in pieces of').fill('600')
  await expect(up).toContainText('600 mm × 7')
  await page.getByLabel('Room between two pieces').fill('350')
  await expect(page.getByTestId('strips')).toContainText('rows of 2400 mm')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Room between two pieces')).toHaveValue('350')
})

test('the locating sheet of an inch shop comes on its paper', async ({ page, service }) => {
  const { id, send } = await shopFor(page, service, { shop: { unit: 'in' }, tools: [] })
  await send('POST', '/api/walls', {
    id: `${id}-w`,
    shop: id,
    name: 'North wall',
    width: 3000,
    height: 2300,
    studs: [600],
  })
  await page.goto('/wall')
  const taken = page.waitForEvent('download')
  await page.getByTestId('backing').getByRole('button', { name: 'Locating sheet, PDF' }).click()
  const info = execFileSync('pdfinfo', [await (await taken).path()], { encoding: 'utf8' })
  expect(info).toMatch(/792 x 612|612 x 792/)
})

test('a wall is covered with sheets on its studs, worked off at the bench, and taken along', async ({
  page,
  service,
}) => {
  const { id, send } = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  await send('POST', '/api/walls', { id: `${id}-w`, shop: id, name: 'North wall', width: 3000, height: 2300, studs: [600, 1200, 1800, 2400] }) // prettier-ignore
  await page.goto('/wall')
  const up = page.getByTestId('backing')
  await expect(up).toContainText(/3 sheets|2 sheets/)
  const taken = page.waitForEvent('download')
  await up.getByRole('button', { name: 'Positions, CSV' }).click()
  expect((await taken).suggestedFilename()).toContain('positions.csv')
  for (const file of ['wall.svg', 'wall.dxf', 'locating.pdf', 'dossier.pdf', 'sheet-1.svg'])
    expect((await page.request.get(`/api/walls/${id}-w/files/${file}`)).status()).toBe(200)
  expect((await page.request.get(`/api/walls/${id}-w/files/nothing.pdf`)).status()).toBe(404)
  await up.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByRole('heading', { name: 'North wall' })).toBeVisible()
  await page.goto('/cutting')
  await expect(page.getByRole('checkbox', { name: 'North wall' })).not.toBeChecked()
  await page.getByRole('checkbox', { name: 'North wall' }).check()
  await expect(page.getByTestId('job').first()).toContainText(/sheet/)
})

test('studs are found with the finder, and the room that is left is shown', async ({ page, service }) => {
  const { id, send } = await shopFor(page, service, { tools: [mallet('a', 28, 70, { group: 'Hammers' })] })
  await send('POST', '/api/walls', { id: `${id}-w`, shop: id, name: 'Wall', width: 3600, height: 2300, studs: [] })
  await page.goto('/wall')
  await expect(page.getByTestId('backing')).toContainText('find them first')
  const finder = page.getByTestId('finder')
  await finder.getByRole('button', { name: 'Walk along with the stud finder' }).click()
  for (let pass = 2; pass <= 3; pass++) {
    await expect(finder).toContainText(`${pass - 1} pass`)
    await finder.getByRole('button', { name: 'Once more' }).click()
  }
  await expect(finder).toContainText('3 passes')
  await finder.getByRole('button', { name: /Take these \d studs/ }).click()
  await expect(page.getByText(/Studs at \d/)).toBeVisible()
  await expect(page.getByTestId('backing')).not.toContainText('find them first')

  const room = page.getByTestId('room')
  await room.getByLabel('How wide').fill('400')
  await room.getByLabel('How high, with its tools').fill('250')
  await expect(room.getByRole('status')).toContainText(/It fits/)
  await expect(page.getByTestId('room-left').first()).toBeVisible()
  await room.getByLabel('How wide').fill('4000')
  await expect(room.getByRole('status')).toContainText('Nothing so large fits')
  // the tool without a home is offered a holder
  await room.getByRole('button').first().click()
  await expect(page).toHaveURL(/\/holders\//)
  await saved(page)
})

test('two people on one wall see what the other hangs', async ({ page, service, browser }) => {
  const { id, send } = await shopFor(page, service, { tools: [mallet('a', 28, 70)], rail: {} })
  await send('POST', '/api/walls', {
    id: `${id}-w`,
    shop: id,
    name: 'Wall',
    width: 3600,
    height: 2300,
    studs: [600, 1200],
  })
  await page.goto('/wall')
  const other = await (await browser.newContext({ serviceWorkers: 'block' })).newPage()
  await other.addInitScript((shop) => localStorage.setItem('fingerling:shop', shop), id)
  await other.goto(page.url())
  await expect(other.getByRole('heading', { name: 'Wall', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Rail', exact: true }).click()
  await saved(page)
  await expect(other.getByTestId('locating').getByRole('row', { name: /^Rail/ })).toBeVisible({ timeout: 2000 })
  await other.context().close()
})
