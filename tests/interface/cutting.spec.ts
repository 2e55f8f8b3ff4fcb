import { expect, test } from './fixtures'
import { shopWith } from '../core/samples'
import { mallet, saved, shopFor, threeMallets } from './shop'

test('the pieces of the holders are laid out on their stock, and change with what is cut together', async ({
  page,
  service,
}) => {
  const { id, send } = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  const seats = threeMallets().map((t, i) => ({ id: `s${i}`, tool: `${id}-${t.id}`, turn: 0 }))
  await send('POST', '/api/holders', {
    id: `${id}-rods`,
    shop: id,
    name: 'Rods',
    form: 'twin-rail',
    seats,
    choices: {},
  })
  await page.goto('/')
  await page.getByRole('link', { name: 'Cutting' }).click()
  const pine = page.getByTestId('job').filter({ hasText: 'Pine board 18' })
  await expect(pine).toContainText('1 board; it can’t be done with less')
  await expect(pine.getByRole('img')).toHaveAttribute('aria-label', /^Pine board 18, 1: 5 pieces, \d+ cuts$/)
  await expect(page.getByTestId('job').filter({ hasText: 'rod 16' })).toContainText('it can’t be done with less')
  // what is too small for its name has a letter, which is told below
  await expect(pine.locator('svg text.middle').first()).toHaveText('a')
  await expect(pine.locator('.letters')).toContainText(/^a \S+.* \d/)
  await expect(pine.locator('svg text.number')).toHaveCount(0)
  await pine.getByText('cuts in order').click()
  const numbers = pine.locator('svg text.number')
  await expect(numbers).toHaveText((await pine.getByRole('listitem').all()).map((_, i) => String(i + 1)))
  await expect(pine.getByRole('listitem').first()).toContainText(/^(Rip|Cross-cut).* at \d/)

  await page.getByLabel('Rods').uncheck()
  await expect(pine.getByRole('img')).toHaveAttribute('aria-label', /: 2 pieces,/)
  await expect(page.getByTestId('job')).toHaveCount(1)
  await page.getByLabel('Rail').uncheck()
  await expect(page.getByTestId('job')).toHaveCount(0)
})

test('what is cut comes off the list, and its rest goes into the bin', async ({ page, service }) => {
  const { id } = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto('/cutting')
  const pine = page.getByTestId('job').filter({ hasText: 'Pine board 18' })
  await expect(page.getByTestId('to-buy')).toContainText('1 × Pine board 18')
  // the button that ends the search had its place all the while, so that nothing jumps
  await expect(page.getByRole('button', { name: 'That will do' })).toBeHidden()
  expect(await page.locator('.bar').evaluate((bar) => bar.clientHeight)).toBeGreaterThanOrEqual(34)
  await pine.getByRole('button', { name: 'It is cut: the rest into the bin' }).click()
  await expect(page.getByText('Everything of these is cut.')).toBeVisible()
  const offcuts = async () => {
    const shop = (await (await page.request.get(`${service.address}/api/shops/${id}`)).json()) as { offcuts: { name: string }[] } // prettier-ignore
    return shop.offcuts.map((o) => o.name)
  }
  await expect.poll(offcuts).toContain('Rest of Pine board 18')
  await page.goto(`/bench/${id}-rail`)
  await page.getByRole('button', { name: 'All steps' }).click()
  await expect(page.getByRole('button', { name: /Cut already/ })).toBeVisible()
})

test('undo brings a board that was cut back, and its rest out of the bin', async ({ page, service }) => {
  const { id } = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto('/cutting')
  const pine = page.getByTestId('job').filter({ hasText: 'Pine board 18' })
  await pine.getByRole('button', { name: 'It is cut: the rest into the bin' }).click()
  await expect(page.getByText('Everything of these is cut.')).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(pine.getByRole('img')).toHaveAttribute('aria-label', /: 2 pieces,/)
  await expect
    .poll(async () => {
      const shop = (await (await page.request.get(`${service.address}/api/shops/${id}`)).json()) as {
        offcuts: unknown[]
      }
      return shop.offcuts.length
    })
    .toBe(0)
})

test('a part that no board is large enough for is told in the cutting, and the way on is one press', async ({
  page,
  service,
}) => {
  const stock = shopWith().stock.map((s) => (s.form === 'board' ? { ...s, width: 60 } : s))
  const { rail } = await shopFor(page, service, { tools: threeMallets(), rail: {}, shop: { stock } })
  await page.goto('/cutting')
  const job = page.getByTestId('job')
  await expect(job.getByRole('alert').first()).toContainText(/Rail: Rail, .* is larger than any board there is of it/)
  await expect(page.getByTestId('to-buy')).toContainText(/1 × Pine board 18, at least \d/)
  await job.getByRole('link', { name: 'Ways on' }).first().click()
  await expect(page).toHaveURL(new RegExp(`${rail}$`))
  const told = page.getByText(/^Rail is .* wide; Pine board 18 comes 60 mm wide/)
  await expect(told).toBeVisible()
  await page.getByRole('button', { name: 'Take Birch ply 18' }).first().click()
  await expect(told).toHaveCount(0)
  await saved(page)
})

test('an offcut that would do for two kinds of stock is cut up for one', async ({ page, service }) => {
  const [pine] = shopWith().stock
  const stock = [pine!, { ...pine!, id: 'pine-wide', name: 'Pine wide', width: 200 }]
  const offcuts = [{ id: 'o', name: 'Plank end', form: 'board' as const, material: pine!.material, thickness: pine!.thickness, length: 700, width: 100, grain: pine!.grain, noGo: '', note: '' }] // prettier-ignore
  await shopFor(page, service, { tools: threeMallets(), rail: { backStock: 'pine-wide' }, shop: { stock, offcuts } })
  await page.goto('/cutting')
  await expect(page.getByTestId('to-buy')).toContainText('1 × Pine wide')
  await expect(page.locator('figcaption').filter({ hasText: 'Plank end' })).toHaveCount(1)
  await expect(page.getByTestId('to-buy')).toContainText('From the bin: Plank end')
})

test('a place of an offcut that is kept clear is told beside its drawing', async ({ page, service }) => {
  const [pine] = shopWith().stock
  const told = [
    ['700 to 740 × 10 to 30', ' × from the edge on top: 700 to 740 × 10 to 30'],
    ['860 to 900', ': 860 to 900'],
  ]
  for (const [noGo, words] of told) {
    const offcuts = [{ id: 'o', name: 'Plank end', form: 'board' as const, material: pine!.material, thickness: pine!.thickness, length: 900, width: 120, grain: pine!.grain, noGo: noGo!, note: '' }] // prettier-ignore
    await shopFor(page, service, { tools: threeMallets(), rail: {}, shop: { offcuts } })
    await page.goto('/cutting')
    const plank = page.locator('figure').filter({ hasText: 'Plank end' })
    await expect(plank.locator('rect.no-go')).toHaveCount(1)
    await expect(plank.locator('.clear')).toHaveText(`Kept clear, from the left end${words}`)
  }
})

test('a holder that stops says so where it is chosen for cutting, and on the bench', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 37, 90)], rail: {} })
  await page.goto('/cutting')
  await expect(page.locator('.holders label')).toContainText('a check says stop')
  await page.goto('/bench')
  await expect(page.getByTestId('work')).toContainText('a check says stop')
  await page.goto(shop.rail)
  await page.getByRole('button', { name: 'Two bores and a file' }).click()
  await saved(page)
  await page.goto('/cutting')
  await expect(page.locator('.holders label')).toHaveCount(1)
  await expect(page.locator('.holders label')).not.toContainText('stop')
})
