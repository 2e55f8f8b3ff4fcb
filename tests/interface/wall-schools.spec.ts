import { expect, test } from './fixtures'
import { mallet, saved, shopFor } from './shop'

test('a wall holds by a framed panel, by uprights, by a rack, each with its figures, and is worked off', async ({
  page,
  service,
}) => {
  const { id, send } = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  await send('POST', '/api/walls', { id: `${id}-w`, shop: id, name: 'North wall', width: 3000, height: 2300, studs: [600, 1200, 1800, 2400] }) // prettier-ignore
  await page.goto('/wall')
  const up = page.getByTestId('backing')

  await page.getByLabel('bevelled strips on sheets').check()
  await expect(up).toContainText('strips are screwed to the sheets alone')
  await expect(up).toContainText(/\d sheets? /)
  await expect(up).toContainText(/\d+ strips /)

  await page.getByLabel('a framed panel').check()
  await expect(up).toContainText('1 panel 1400 mm × 900 mm')
  await expect(up).toContainText('2 mouldings 1436 mm')
  await page.getByLabel('Width of the panel').fill('900')
  await expect(up).toContainText('1 panel 900 mm × 900 mm')
  await page.getByLabel('Panel from the left').fill('2500')
  await expect(up).toContainText('The panel reaches past the wall.')
  await page.getByLabel('Panel from the left').fill('500')
  await expect(up).not.toContainText('stop')

  await page.getByLabel('uprights on ledgers').check()
  await expect(page.getByTestId('uprights')).toContainText('10 uprights')
  await page.getByLabel('Pitch of the uprights').fill('500')
  await expect(page.getByTestId('uprights')).toContainText('6 uprights')
  await expect(page.getByTestId('locating')).toHaveCount(0)

  await page.getByLabel('a rack that leans').check()
  await expect(up).toContainText('held at the top')
  await page.getByLabel('How far the rack leans').fill('10')
  await page.getByLabel('Behind the lining').selectOption('masonry')
  await expect(up).toContainText('Plug 8 with screw 5 x 90')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('How far the rack leans')).toHaveValue('10°')
  await expect(page.getByLabel('Behind the lining')).toHaveValue('masonry')

  await up.getByRole('link', { name: 'To the bench' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'North wall' })).toBeVisible()
})

test('another like it is hung in the nearest free place, and one undo takes both away', async ({ page, service }) => {
  const { id, send } = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  const seats = [{ id: 's', tool: `${id}-a`, turn: 0 }]
  await send('POST', '/api/holders', { id: `${id}-h`, shop: id, name: 'Rail', form: 'finger-rail', seats, choices: {} })
  await send('POST', '/api/walls', { id: `${id}-w`, shop: id, name: 'Wall', width: 2400, height: 2300, studs: [600], hung: [{ holder: `${id}-h`, x: 800, z: 1200, fixed: false }] }) // prettier-ignore
  await page.goto('/wall')
  await page.locator(`[data-holder="${id}-h"]`).click()
  await page.getByRole('button', { name: 'Another like it' }).click()
  const rows = page.getByTestId('locating').getByRole('row')
  await expect(rows).toHaveCount(3)
  await expect(page.getByTestId('chosen').getByRole('heading')).toHaveText('Rail, another')
  await expect(page.getByTestId('wall-verdicts')).toHaveCount(0)
  await saved(page)
  await page.keyboard.press('Control+z')
  await expect(rows).toHaveCount(2)
  await page.reload()
  await expect(rows).toHaveCount(2)
})

test('a door that opens over the wall, a pipe and a line are told where a holder meets them', async ({
  page,
  service,
}) => {
  const { id, send } = await shopFor(page, service, { tools: [mallet('a', 28, 70)] })
  const seats = [{ id: 's', tool: `${id}-a`, turn: 0 }]
  await send('POST', '/api/holders', { id: `${id}-h`, shop: id, name: 'Rail', form: 'finger-rail', seats, choices: {} })
  await send('POST', '/api/walls', { id: `${id}-w`, shop: id, name: 'Wall', width: 3000, height: 2300, studs: [600], hung: [{ holder: `${id}-h`, x: 800, z: 1200, fixed: false }] }) // prettier-ignore
  await page.goto('/wall')
  const told = page.getByTestId('wall-verdicts')
  await page.getByRole('button', { name: 'door' }).click()
  await page.getByLabel('door from the left').fill('1500')
  await expect(told).toHaveCount(0)
  await page.getByLabel('When the door is open').selectOption({ label: 'it lies over the wall on its left' })
  await expect(told).toContainText('Rail hangs where the door lies when it is open.')
  await page.getByLabel('When the door is open').selectOption({ label: 'it is not over this wall' })
  await expect(told).toHaveCount(0)
  await page.getByLabel('Nothing sticks out past').fill('50')
  await expect(told).toContainText('past the line at 50 mm')
  await page.getByLabel('Nothing sticks out past').fill('')
  await expect(told).toHaveCount(0)
  await page.getByRole('button', { name: 'pipe' }).click()
  await page.getByLabel('height of the pipe').fill('2300')
  await page.getByLabel('pipe from the left').fill('820')
  await expect(told).toContainText('A screw of Rail goes in nearer than 50 mm to the pipe')
})
