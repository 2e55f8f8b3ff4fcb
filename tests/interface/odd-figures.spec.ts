import type { Page } from '@playwright/test'
import { expect, test } from './fixtures'
import { mallet, saved, settled, shopFor } from './shop'

/** Figures that no shop has, and some that only a few fields take. */
const ODD = ['0.001', '-7', '3', '19999']

/**
 * Types odd figures into every field of a page by turns. What a field takes the server has to take too: what it
 * refuses stands in the console, which fails the test.
 * @param least as many fields have at least to be there; they are waited for
 * @param figures what is typed, one figure into all fields and then the next
 */
async function typeOddFigures(page: Page, least: number, figures = ODD): Promise<void> {
  await settled(page)
  await expect.poll(() => page.locator('main input.field').count()).toBeGreaterThanOrEqual(least)
  const fields = await page.evaluate(async (odd) => {
    const rest = () => new Promise((resolve) => setTimeout(resolve, 4))
    const names = new Set<string>()
    const fields = () =>
      [...document.querySelectorAll<HTMLInputElement>('main input.field')].filter(
        (f) => f.offsetParent !== null && !/^(Name|Search)/.test(f.getAttribute('aria-label') ?? ''),
      )
    for (const figure of odd) {
      for (let i = 0; i < fields().length; i++) {
        const field = fields()[i]!
        names.add(field.getAttribute('aria-label') ?? field.id)
        if (field.type === 'number' && Number.isNaN(Number(figure))) continue
        field.focus()
        field.value = figure
        field.dispatchEvent(new Event('input', { bubbles: true }))
        await rest()
      }
    }
    ;(document.activeElement as HTMLElement).blur()
    return [...names]
  }, figures)
  await saved(page)
  expect(fields.filter((f) => !f)).toEqual([])
  expect(fields.length).toBeGreaterThanOrEqual(least)
}

// each pair on its own: there are a hundred fields, and all holders follow each
for (const figures of [ODD.slice(0, 2), ODD.slice(2)])
  test(`${figures.join(' and ')} in any field of the shop are kept or told, never half`, async ({ page, service }) => {
    await shopFor(page, service, { tools: [mallet('a', 28, 70)], rail: {} })
    await page.goto('/shop')
    const closed = page.locator('button', { hasText: '▸' })
    while ((await closed.count()) > 0) await closed.first().click()
    await typeOddFigures(page, 101, figures)
    await page.reload()
    await expect(page.getByRole('heading', { name: 'Bits' })).toBeVisible()
    await saved(page)
  })

test('odd figures in any field of an inch shop are told in inches', async ({ page, service }) => {
  await shopFor(page, service, { shop: { unit: 'in' } })
  await page.goto('/shop')
  await page.getByLabel('Height of the back').fill('1/2')
  await expect(page.getByRole('alert')).toContainText('less than 0.79 in can’t be right here')
  await page.getByLabel('Height of the back').fill('3 1/2')
  await page.getByLabel('Heavy is over').fill('0.1')
  await expect(page.getByRole('alert')).toContainText('less than 0.22 lb can’t be right here')
  await page.getByLabel('Heavy is over').fill('4')
  await saved(page)
})

// each on its own: a wall is planned anew for every figure
for (const school of ['a framed panel', 'a rack that leans', 'bevelled strips on sheets'])
  test(`odd figures in any field of a wall with ${school} are kept or told`, async ({ page, service }) => {
    await shopFor(page, service)
    await page.goto('/wall')
    await page.getByRole('button', { name: 'Measure a wall' }).click()
    for (const thing of ['outlet', 'door']) await page.getByRole('button', { name: thing }).click()
    await page.getByText('Corners out of plumb').click()
    const corner = async (place: string) => (await page.getByLabel(`left corner ${place}`).boundingBox())!
    const [low, middle] = [await corner('at the floor'), await corner('in the middle')]
    expect(low.x + low.width).toBeLessThan(middle.x)
    await page.getByLabel(school).check()
    await typeOddFigures(page, 16)
    await expect(page.getByRole('button', { name: 'Set', exact: true })).toBeEnabled() // by the last figure that it took
    await page.getByRole('button', { name: 'Set', exact: true }).click()
    await saved(page)
    await page.getByLabel('left corner in the middle').fill('-600')
    await expect(page.getByText('“-600”: less than -500 mm can’t be right here.')).toBeVisible()
    await page.getByLabel('left corner in the middle').fill('-6')
    await saved(page)
  })

test('odd figures in a holder and on a tool’s card are kept or told', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 28, 70), mallet('b', 30, 80)], rail: {} })
  await page.goto(shop.rail)
  await page.locator('.dimension text').first().click()
  await typeOddFigures(page, 5)
  await page.goto(`/tools?tool=${shop.id}-a`)
  await typeOddFigures(page, 4)
})

test('a setting in degrees is changed as degrees in the working', async ({ page, service }) => {
  const shop = await shopFor(page, service, {
    shop: { unit: 'in' },
    tools: [mallet('a', 28, 70), mallet('b', 30, 80)],
    rail: { hung: 'strip' },
  })
  await page.goto(shop.rail)
  await page.getByRole('button', { name: /^Bevel below/ }).click()
  const card = page.getByTestId('working-card')
  await card.getByRole('button', { name: 'Strip, long face' }).click()
  const bevel = card.getByLabel('Bevel', { exact: true })
  await expect(bevel).toHaveValue('45°')
  await bevel.fill('75')
  await expect(card.getByRole('alert')).toContainText('between 10° and 60°')
  await bevel.fill('30')
  await saved(page)
  expect(await shop.send('GET', `/api/shops/${shop.id}`)).toMatchObject({ settings: { stripBevel: 30 } })
})
