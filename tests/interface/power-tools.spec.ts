import { plainTool, type Tool } from '#core/footprint/tool'
import { expect, test } from './fixtures'
import { saved, shopFor } from './shop'

const planer: Tool = {
  ...plainTool('planer', 'base-plate', 'Planer'),
  mass: 2.4,
  massWithBattery: 3.1,
  measures: {
    ...{ baseLength: 290, baseWidth: 108, cutterBelow: 0, height: 165 },
    ...{ balance: 138, balanceUp: 62, balanceBattery: 112, balanceUpBattery: 66 },
  },
}
const saw: Tool = {
  ...plainTool('saw', 'base-plate', 'Plunge saw'),
  mass: 4.2,
  measures: {
    ...{ baseLength: 300, baseWidth: 170, height: 260, cordLength: 4000, balance: 170, balanceUp: 100 },
    ...{ cutterBelow: 20, cutterFromRear: 60, cutterFromSide: 120, guardLength: 150, guardThickness: 12 },
  },
}

test('two power tools stand on a deck that doesn’t tip, and its cheeks are sawn at the bench', async ({
  page,
  service,
}) => {
  await shopFor(page, service, { tools: [planer, saw] })
  await page.goto('/tools')
  for (const name of ['Planer', 'Plunge saw']) await page.getByLabel(`Choose ${name}`, { exact: true }).check()
  await page.getByRole('button', { name: 'Make a holder for them' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Lean deck' }).click()
  const checks = page.getByTestId('verdicts')
  await expect(page.getByText('From the side')).toBeVisible()
  // steeper than it may be: told, and taken back by what is offered
  await page.locator('.choices').getByText('50°').click()
  await expect(checks).toContainText('Plunge saw would tip over the stop at')
  await checks
    .getByRole('button', { name: /^Lean it at/ })
    .first()
    .click()
  await expect(checks).not.toContainText('would tip over the stop')
  await saved(page)
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(page.url().replace('/holders/', '/bench/'))
  const title = page.getByRole('heading', { name: 'Saw the left cheek and right cheek to their shape' })
  const next = page.getByRole('button', { name: 'Next card' })
  for (let n = 0; n < 20 && !(await title.isVisible()); n++) await next.click()
  await expect(title).toBeVisible()
  await expect(page.locator('main')).toContainText('Draw a line from')
  await expect(page.locator('main')).toContainText('Stack them')
})
