import { execFileSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import type { Download, Page } from '@playwright/test'
import Papa from 'papaparse'
import { expect, test } from './fixtures'
import { mallet, shopFor, threeMallets } from './shop'

async function fetched(page: Page, name: string): Promise<{ file: Download; text: string }> {
  const along = page.getByTestId('take-along')
  if (!(await along.getByRole('button', { name, exact: true }).isVisible()))
    await along.getByText('Lists, drawings, solids').click()
  const waiting = page.waitForEvent('download')
  await along.getByRole('button', { name, exact: true }).click()
  const file = await waiting
  return { file, text: readFileSync(await file.path(), 'utf8') }
}

test('the marks stand in a table, as running figures and as a chain that adds up', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
  await page.goto(`${shop.rail}/bench`)
  const rows = page.getByTestId('marks').locator('tbody tr')
  await expect(rows).toHaveCount(11)
  await expect(rows.nth(2)).toContainText(/51 mm\s*Centre 1.*Mallet t1.*32 mm/)
  await expect(rows.nth(7)).toContainText(/222\.5 mm\s*Saw line 3, left.*✕ right/)
  await expect(page.getByTestId('bench-sheet')).toContainText('51 mm + 88 mm + 101 mm + 64 mm = 304 mm')
  const parts = page.getByTestId('parts').locator('tbody tr')
  await expect(parts.nth(0)).toContainText(/Rail.*1\s*304 mm\s*77\.5 mm\s*18 mm/)
  await expect(parts.nth(1)).toContainText(/Back.*1\s*304 mm\s*90 mm\s*18 mm/)
  await expect(page.getByText('Large bits: clamp the work')).toBeVisible()
  await expect(page.getByText('never to drywall alone')).toBeVisible()
})

test('marks, parts and boards are taken along as CSV and SVG', async ({ page, service }) => {
  const tools = threeMallets()
  tools[0] = { ...tools[0]!, name: '=HYPERLINK("x"), "first"\n' }
  const shop = await shopFor(page, service, { tools, rail: {} })
  await page.goto(`${shop.rail}/bench`)

  const marks = await fetched(page, 'Rail, marks, CSV')
  expect(marks.file.suggestedFilename()).toBe('rail-rail-marks.csv')
  const { data } = Papa.parse<Record<string, string>>(marks.text, { header: true, skipEmptyLines: true })
  expect(data.map((row) => row['from datum end mm (model)'])).toEqual(
    [0, 35, 51, 67, 123, 139, 155, 222.5, 240, 257.5, 304].map(String),
  )
  expect(data[2]!.tool!.startsWith("'=")).toBe(true)

  const parts = await fetched(page, 'Parts, CSV')
  expect(parts.text.split('\r\n')[1]).toContain('Rail,1,eastern white pine,Pine board 18,304 mm')

  const svg = (await fetched(page, 'Rail, SVG')).text
  expect(svg).toContain('width="304mm" height="77.5mm" viewBox="0 0 304 77.5"')
  // the browser itself reads it, and measures the path: straight edges and three half circles
  await page.goto('about:blank')
  const length = await page.evaluate((text) => {
    const parsed = new DOMParser().parseFromString(text, 'image/svg+xml')
    if (parsed.querySelector('parsererror')) return 'no XML'
    document.body.append(document.importNode(parsed.documentElement, true))
    return document.querySelector<SVGPathElement>('#cut path')!.getTotalLength()
  }, svg)
  const front = 77.5 - 48 // from the front edge to the line of centres
  const around = 2 * (304 + 77.5) - (32 + 32 + 35) + 6 * front + (Math.PI / 2) * (32 + 32 + 35)
  expect(length).toBeCloseTo(around, 0)
})

test.describe('templates', () => {
  test.use({ provokes: { lines: [/400/] } })

  test('templates come true to the printer that prints them', async ({ page, service }) => {
    const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
    await page.goto(`${shop.rail}/bench`)
    const along = page.getByTestId('take-along')
    const pages = async () => {
      const { file } = await fetched(page, 'Templates, true size, PDF')
      return execFileSync('pdfinfo', [await file.path()], { encoding: 'utf8' })
    }
    expect(await pages()).toContain('(A4)')
    await along.getByRole('combobox').selectOption('Letter')
    expect(await pages()).toMatch(/792 x 612|612 x 792/)
    await along.getByLabel('100 mm bar measures').fill('85')
    await along.getByRole('button', { name: 'Templates, true size, PDF' }).click()
    await expect(along.getByRole('alert')).toContainText('between 90 and 110 mm')
  })

  test('an inch shop has its paper, and measures the bar of 4 in', async ({ page, service }) => {
    const shop = await shopFor(page, service, { shop: { unit: 'in' }, tools: threeMallets(), rail: {} })
    await page.goto(`${shop.rail}/bench`)
    const along = page.getByTestId('take-along')
    await expect(along.getByRole('combobox')).toHaveValue('Letter')
    // the paper goes with the unit until one is chosen
    await page.getByLabel('Inches or millimetres').click()
    await expect(along.getByRole('combobox')).toHaveValue('A4')
    await along.getByRole('combobox').selectOption('A3')
    await page.getByLabel('Inches or millimetres').click()
    await expect(along.getByRole('combobox')).toHaveValue('A3')
    await along.getByRole('combobox').selectOption('Letter')
    const bar = along.getByLabel('4 in bar measures')
    await expect(bar).toHaveValue('4"')
    await bar.fill('3 15/16')
    await bar.blur()
    const asked = page.waitForRequest(/templates\.pdf/)
    const { file } = await fetched(page, 'Templates, true size, PDF')
    expect(Number(new URL((await asked).url()).searchParams.get('measured'))).toBeCloseTo(98.4375, 4)
    const text = execFileSync('pdftotext', [await file.path(), '-'], { encoding: 'utf8' })
    expect(text).toContain('4 in: measure it')
    expect(text).not.toContain('100 mm: measure it')
  })
})

for (const [format, size] of [
  ['Letter', '612 x 792'],
  ['A4', '595.92 x 842.88'],
] as const) {
  test(`it prints clean and black on ${format}`, async ({ page, service }, info) => {
    const tools = Array.from({ length: 7 }, (_, i) => mallet(`m${i}`, 27.5, 62))
    const shop = await shopFor(page, service, { shop: { unit: 'in' }, tools, rail: {} })
    await page.goto(`${shop.rail}/bench`)
    await page.getByLabel('Paper or dim').click() // the dim theme must not come out on paper
    await expect(page.getByTestId('drawing')).toBeVisible()
    const path = info.outputPath(`${format}.pdf`)
    writeFileSync(path, await page.pdf({ format, printBackground: true }))

    expect(execFileSync('pdfinfo', [path], { encoding: 'utf8' })).toContain(size)
    const text = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' })
    expect(text).toMatch(/Centre 7.*Mallet m6/)
    expect(text).not.toContain('Print')
    expect(text).not.toContain('Saved')

    // every pixel is a shade of grey, and the paper is white
    const ppm = execFileSync('pdftoppm', ['-r', '40', '-f', '1', '-l', '1', path], { maxBuffer: 2 ** 26 })
    const header = /^P6\s+(\d+)\s+(\d+)\s+255\s/.exec(ppm.toString('latin1'))!
    const pixels = ppm.subarray(header[0].length)
    let coloured = 0
    let white = 0
    for (let i = 0; i + 2 < pixels.length; i += 3) {
      const [r, g, b] = [pixels[i]!, pixels[i + 1]!, pixels[i + 2]!]
      if (Math.max(r, g, b) - Math.min(r, g, b) > 8) coloured++
      if (r > 250) white++
    }
    expect(coloured).toBe(0)
    expect(white / (pixels.length / 3)).toBeGreaterThan(0.8)
  })
}

test('a holder that stops says so on the sheet', async ({ page, service }) => {
  const shop = await shopFor(page, service, { tools: [mallet('a', 37, 90)], rail: {} })
  await page.goto(`${shop.rail}/bench`)
  await expect(page.getByTestId('bench-sheet')).toContainText('Don’t build it so')
  await page.getByRole('link', { name: 'Back to the drawing' }).click()
  await page.getByRole('button', { name: 'Two bores and a file' }).click()
  await page.getByRole('link', { name: 'Bench sheet' }).click()
  await expect(page.getByTestId('marks')).toContainText('Bore 1, left')
  await expect(page.getByTestId('bench-sheet')).toContainText('drill both before you file')
  await expect(page.getByTestId('bench-sheet')).not.toContainText('Don’t build it so')
})

test.describe('labels', () => {
  test.use({ provokes: { lines: [/409/] } })
  test('labels come out of the printer, each with its tool, and go on when a new tape is in', async ({
    page,
    service,
  }) => {
    const shop = await shopFor(page, service, { tools: threeMallets(), rail: {} })
    await page.goto(`${shop.rail}/bench`)
    const printer = page.getByTestId('label-printer')
    const print = printer.getByRole('button', { name: 'Send labels to the printer' })
    await print.click()
    await expect(printer.getByRole('listitem')).toHaveText([/Mallet t1/, /Mallet t2/, /Mallet t3/])
    await expect(printer.getByRole('status')).toContainText('3 labels')

    // others have used it up
    const long = { print: Array.from({ length: 70 }, () => ({ name: 'x'.repeat(60), room: 90 })) }
    await page.request.post('/api/label-printer', { data: long })
    for (let i = 0; i < 20 && !(await printer.getByRole('alert').isVisible()); i++) {
      await print.click()
      await expect(print).toBeEnabled()
    }
    await expect(printer.getByRole('alert')).toContainText('put a new one in')
    await printer.getByRole('button', { name: 'A new tape is in' }).click()
    await print.click()
    await expect(printer.getByRole('alert')).toHaveCount(0)
    await expect(printer.getByRole('listitem')).toHaveCount(3)

    const labels = await fetched(page, 'Labels, CSV')
    expect(labels.text.split('\r\n')[1]).toMatch(/^1,Mallet t1,/)
  })
})
