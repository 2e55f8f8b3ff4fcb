import { expect, test } from './fixtures'
import { mallet, saved, shopFor, threeMallets } from './shop'

test('a holder is seen as a solid with its weight, and is taken apart', async ({ page, service }) => {
  const { rail } = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(rail)
  await page.getByRole('button', { name: 'Solid' }).click()
  await expect(page.getByTestId('weight')).toContainText('with its tools', { timeout: 20_000 })
  await expect(page.getByTestId('solid')).toBeVisible()
  const before = await page.getByTestId('weight').textContent()
  await page.keyboard.press('x')
  await expect(page.getByRole('slider', { name: 'How far apart' })).toHaveValue('1')
  await page.keyboard.press('x')
  await expect(page.getByRole('slider', { name: 'How far apart' })).toHaveValue('0')
  await page.keyboard.press('ArrowLeft')
  // it follows what is changed beside it
  await page.getByLabel('Back height').fill('200')
  await page.getByLabel('Back height').press('Enter')
  await expect(page.getByTestId('weight')).not.toHaveText(before!)
  await page.getByRole('button', { name: 'Drawing' }).click()
  await expect(page.getByTestId('drawing')).toBeVisible()
})

test('a holder is hung on a strip, is told to rock, and is mended by one press', async ({ page, service }) => {
  const { rail } = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(rail)
  await expect(page.getByLabel('Strip and foot from')).toBeHidden()
  await page.getByText('on a strip', { exact: true }).click()
  await expect(page.getByLabel('Strip and foot from')).toBeVisible()
  await expect(page.getByText('From the side')).toBeVisible()
  await expect(page.getByText('it tips off the strip')).toBeVisible()
  await page
    .getByRole('button', { name: /^Back \d+ mm high/ })
    .first()
    .click()
  await expect(page.getByText('it tips off the strip')).toBeHidden()
  await saved(page)
})

test('a twin rail shows its rods from the side, and its parts list counts them', async ({ page, service }) => {
  const { id, send } = await shopFor(page, service, { tools: [mallet('a', 28, 70), mallet('b', 30, 80)] })
  const seats = ['a', 'b'].map((t) => ({ id: `s-${t}`, tool: `${id}-${t}`, turn: 0 }))
  const holder = { id: `${id}-twin`, shop: id, name: 'Rods', form: 'twin-rail', seats, choices: {} }
  await send('POST', '/api/holders', holder)
  await page.goto(`/holders/${holder.id}`)
  await expect(page.getByText('From the side')).toBeVisible()
  await page.getByRole('link', { name: 'Bench sheet' }).click()
  await expect(page.getByRole('row', { name: /^Rods 2 / })).toBeVisible()
})

test('a solid tells how its tools come out', async ({ page, service }) => {
  const { rail } = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(rail)
  await page.getByRole('button', { name: 'Solid' }).click()
  await expect(page.getByTestId('ways-out')).toContainText('straight forward', { timeout: 20_000 })
  await expect(page.getByTestId('stuck')).toHaveCount(0)
})

test('a berth leans between cheeks, and is drawn and built so', async ({ page, service }) => {
  const { id, send } = await shopFor(page, service, { tools: [] })
  await send('POST', '/api/tools', { id: `${id}-p`, shop: id, name: 'Block plane', kind: 'plane', measures: { soleLength: 160, soleWidth: 42, height: 55 } }) // prettier-ignore
  await send('POST', '/api/holders', { id: `${id}-b`, shop: id, name: 'Planes', form: 'berth', seats: [{ id: 's', tool: `${id}-p`, turn: 0 }], choices: {} }) // prettier-ignore
  await page.goto(`/holders/${id}-b`)
  await page.getByText('10°', { exact: true }).click()
  await expect(page.getByText('From the side')).toBeVisible()
  await page.getByRole('link', { name: 'Bench sheet' }).click()
  await expect(page.getByRole('row', { name: /^Left cheek/ }).first()).toBeVisible()
})
