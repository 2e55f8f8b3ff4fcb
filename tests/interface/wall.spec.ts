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

test('holders are arranged, with reasons, taken or left', async ({ page, service }) => {
  const tools = ['a', 'b', 'c'].map((t, i) => mallet(t, 28, 70 + 10 * i))
  const { id, send } = await shopFor(page, service, { tools })
  for (const [i, t] of tools.entries())
    await send('POST', '/api/holders', { id: `${id}-h${i}`, shop: id, name: `Rail ${i}`, form: 'finger-rail', seats: [{ id: 's', tool: `${id}-${t.id}`, turn: 0 }], choices: {} }) // prettier-ignore
  await send('POST', '/api/walls', { id: `${id}-w`, shop: id, name: 'Wall', width: 2400, height: 2300, holds: 'panel', studs: [600], things: [], hung: [] }) // prettier-ignore
  await page.goto('/wall')
  await page.getByRole('button', { name: 'Arrange for me' }).click()
  await expect(page.getByRole('list', { name: 'Why there' })).toContainText(/Rail 1 in the middle: used weekly/)
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
  await send('POST', '/api/walls', { id: `${id}-w`, shop: id, name: 'Wall', width: 2400, height: 2300 })
  await page.goto('/wall')
  await page.getByLabel('bevelled strips').check()
  await expect(page.getByTestId('strips')).toContainText(/\d strips of 2400 mm, 7\d(\.5)? mm wide/)
  await page.getByRole('button', { name: 'hooked' }).click()
  await expect(page.getByTestId('locating').getByRole('row', { name: /^hooked/ })).toContainText(/[1-9]$/)
  await expect(page.getByTestId('wall-verdicts')).toHaveCount(0)
  await page.getByRole('button', { name: 'screwed' }).click()
  await expect(page.getByTestId('wall-verdicts')).toContainText('screwed is made to be screwed on')
})
