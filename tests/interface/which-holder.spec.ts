import { plainTool, type Tool } from '#core/footprint/tool'
import { polygon } from '#core/geometry/outline'
import { newBit } from '#core/shop/shop'
import { expect, test } from './fixtures'
import { mallet, running, saved, shopFor } from './shop'

const bits = [10, 12, 16, 22, 32].map((d) => newBit('forstner', d))
const driver = (id: string): Tool => ({
  ...plainTool(id, 'handled-blade', `Driver ${id}`),
  sure: 'caliper',
  mass: 0.1,
  options: { blade: 'round', delicate: 'none' },
  measures: { handleDiameter: 30, bladeWidth: 6, bladeLength: 100, overallLength: 210 },
})
const ring: Tool = { ...plainTool('ring', 'ring', 'Ring'), sure: 'caliper', mass: 1, measures: { outerDiameter: 120, holeDiameter: 30, thickness: 20 } } // prettier-ignore

test('the forms that can hold the chosen tools are planned for real, and the others say why not', async ({
  page,
  service,
}) => {
  await shopFor(page, service, { shop: { bits }, tools: [driver('a'), driver('b'), mallet('m', 28, 90)] })
  await page.goto('/tools')
  for (const name of ['Driver a', 'Driver b']) await page.getByLabel(`Choose ${name}`).check()
  await page.getByRole('button', { name: 'Make a holder for them' }).click()
  const dialog = page.getByRole('dialog')
  const first = dialog.getByRole('button', { name: 'Socket block' })
  await expect(first).toContainText('holds both; 122 mm × 22 mm')
  await expect(first.locator('svg path.board')).toHaveCount(2)
  await expect(dialog).toContainText(/Not for these: .*saw rest/)
  await dialog.getByRole('button', { name: 'Leave it' }).click()
  await expect(dialog).toBeHidden()

  await page.getByLabel('Choose Mallet m').check()
  await page.getByRole('button', { name: 'Make a holder for them' }).click()
  // a rail holds all three: nothing is to be shared out
  await expect(dialog.getByRole('button', { name: 'Finger rail' })).toContainText('holds all 3')
  await expect(dialog.getByText(/, in \d+ holders/)).toHaveCount(0)
  await expect(first).toContainText('holds 2 of 3')
  await expect(first).toContainText('leaves out Mallet m')
  await first.click()
  await expect(page.locator('ol .seat')).toHaveCount(2)
  await expect.poll(() => running(page)).toEqual(['0', '35', '87', '122'])
  await saved(page)
})

test('a form is proposed as it holds: what is answered otherwise than usual is said, and made so', async ({
  page,
  service,
}) => {
  await shopFor(page, service, { shop: { bits }, tools: [ring] })
  await page.goto('/tools')
  await page.getByLabel('Choose Ring').check()
  await page.getByRole('button', { name: 'Make a holder for them' }).click()
  const dialog = page.getByRole('dialog')
  const pegs = dialog.getByRole('button', { name: 'Peg rail' })
  // one board of 18 is too thin for a pin of 16
  await expect(pegs).toContainText('with layers 2')
  await expect(pegs.locator('.trouble')).toHaveCount(0)
  await expect(dialog).toContainText(
    /Not as things are.*Hook: Ring is left out: its loop or hole of 30 mm doesn’t go over/,
  )
  await expect(dialog).toContainText(/Not for this: .*saw rest/)
  await pegs.click()
  const layers = page.getByRole('radiogroup', { name: 'Layers' })
  await expect(layers.getByRole('radio', { name: '2' })).toBeChecked()
  await expect(page.locator('[data-verdict="pin depth"]')).toHaveCount(0)
  await saved(page)
  await page.reload()
  await expect(layers.getByRole('radio', { name: '2' })).toBeChecked()
})

test('a flat thing without a hole stands on two pins set to its outline', async ({ page, service }) => {
  const square: Tool = { ...plainTool('sq', 'flat-tool', 'Try square'), sure: 'caliper', mass: 0.3, measures: { thickness: 15 }, outline: polygon([[0, 0], [200, 0], [200, 30], [40, 30], [40, 150], [0, 150]]) } // prettier-ignore
  await shopFor(page, service, { shop: { bits }, tools: [square] })
  await page.goto('/tools')
  await page.getByLabel('Choose Try square').check()
  await page.getByRole('button', { name: 'Make a holder for them' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Outline board' }).click()
  await expect.poll(async () => (await running(page)).length).toBe(4)
  const working = page.getByRole('complementary', { name: 'The working' })
  await expect(working).toContainText('Pin 1, left from the datum end')
  await expect(working).toContainText('Pin 1, right from the lower edge')
  await saved(page)
})

test('a heap that no one form holds is shared out over several holders, made in one go and undone in one', async ({
  page,
  service,
}) => {
  const square = plainTool('sq', 'flat-tool', 'Square')
  const plane: Tool = { ...plainTool('p', 'plane', 'Plane'), sure: 'caliper', mass: 1, measures: { soleLength: 160, soleWidth: 50, height: 70 } } // prettier-ignore
  await shopFor(page, service, { shop: { bits }, tools: [mallet('m', 28, 90), mallet('n', 30, 80), plane, square] })
  await page.goto('/tools')
  for (const name of ['Mallet m', 'Mallet n', 'Plane', 'Square']) await page.getByLabel(`Choose ${name}`).check()
  await page.getByRole('button', { name: 'Make a holder for them' }).click()
  const several = page.getByRole('dialog').getByRole('region', { name: '3 of the 4, in 2 holders' })
  await expect(several).toContainText(/for Mallet m and Mallet n; /)
  await expect(several).toContainText('Nothing holds Square as things are')
  await several.getByRole('button', { name: 'Make all 2' }).click()
  await expect(page).toHaveURL(/\/holders$/)
  await saved(page)
  const made = page
    .getByRole('main')
    .getByRole('link')
    .filter({ hasText: /rail|arms|berth/i })
  await expect(made).toHaveCount(2)
  await page.keyboard.press('Control+z')
  await expect(made).toHaveCount(0)
  await saved(page)
})
