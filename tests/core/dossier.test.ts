import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { benchSteps } from '#core/bench/steps/steps'
import { design } from '#core/choose/design'
import { quickCuts } from '#core/cutting/quick-cuts'
import { holderViews } from '#core/drawing/views'
import { makeFile } from '#core/exchange/files'
import { writeColumn } from '#core/exchange/pdf/faces'
import { Flow } from '#core/exchange/pdf/flow'
import { filledRow, type Row } from '#core/shop/lists'
import { usualShop } from '#core/shop/usual'
import { formatLength } from '#core/units/format-length'
import { fileMeans, pdfDocument, readFaces } from '../../server/files/means'
import { railOf, threeMallets } from './samples'

const faces = await readFaces((file) =>
  readFile(createRequire(import.meta.url).resolve(`@fontsource/source-sans-3/files/${file}`)),
)
const folder = mkdtempSync(join(tmpdir(), 'fingerling-dossier-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const inches = { ...railOf(threeMallets()), shop: usualShop('Shop', 'in', 'full') }

/** The dossier's text, some of its pages. */
async function textOf(d: ReturnType<typeof design>, ...pages: string[]): Promise<string> {
  const path = join(folder, 'dossier.pdf')
  const { content } = await makeFile('dossier.pdf', d, { paper: 'A4', measured: 100 }, fileMeans(faces))
  writeFileSync(path, content as Uint8Array)
  return execFileSync('pdftotext', ['-layout', ...pages, path, '-'], { encoding: 'utf8' }).replaceAll('\u00a0', ' ')
}

describe('a build dossier', () => {
  const d = design(railOf(threeMallets()))

  it('has parts, hardware, cutting and every step', async () => {
    const text = await textOf(d)
    for (const word of ['Parts', 'Hardware', 'Cutting', 'Marks', 'Steps', '304 mm', 'Screw 8 x 40', 'Drywall'])
      expect(text).toContain(word)
    const { steps } = benchSteps({ model: d.model!, shop: d.input.shop, cuts: quickCuts(d.input.shop, [{ id: 'h1', model: d.model! }]) }, 'h1') // prettier-ignore
    for (const [i, s] of steps.entries()) expect(text).toContain(`${i + 1}. ${s.title}`)
  })

  it('tells where an offcut is kept clear', async () => {
    const rail = railOf(threeMallets())
    const pine = rail.shop.stock[0]!
    const offcut = filledRow('offcuts', { id: 'o', name: 'Lid', material: pine.material, thickness: pine.thickness, length: 900, width: 120, noGo: '700 to 740 × 10 to 30' }) as Row<'offcuts'> // prettier-ignore
    const text = await textOf(design({ ...rail, shop: { ...rail.shop, offcuts: [offcut] } }))
    expect(text.replaceAll(/\s+/g, ' ')).toContain('from the bin; dark: kept clear 700 mm to 740 mm × 10 mm to 30 mm')
  })

  it('has each figure that is alone beside a view, however short', async () => {
    for (const { input, model } of [d, design(inches)]) {
      const views = holderViews(model!, input.tools, input.shop)
      const beside = views.flatMap((v) => v.dimensions.filter((x) => x.side === 'right'))
      expect(beside.length).toBeGreaterThan(0)
      const text = await textOf(design(input), '-f', '1', '-l', '1')
      for (const { value, print } of beside) expect(text).toContain(formatLength(value, input.shop, print, false))
    }
  })

  it('breaks no figure at the end of a line', async () => {
    const { doc, ended } = pdfDocument(faces)
    doc.addPage({ size: [600, 3000], margin: 20 }).fontSize(10)
    const figures = Array.from({ length: 60 }, (_, i) => `${'a'.repeat(i % 9)} ${i + 10} 5/16" b ${i} mm`)
    writeColumn(doc, figures.join(' '), false, 20, 20, 150)
    doc.end()
    writeFileSync(join(folder, 'column.pdf'), Buffer.from(await ended()))
    const text = execFileSync('pdftotext', ['-layout', join(folder, 'column.pdf'), '-'], { encoding: 'utf8' })
    const lines = text.replaceAll('\u00a0', ' ').split('\n').filter((l) => l.trim()) // prettier-ignore
    expect(lines.length).toBeGreaterThan(20)
    expect(lines.filter((l) => /^\s*(5\/16|mm)/.test(l))).toEqual([])
  })

  it('has the head of a table on each of its pages, and never alone', async () => {
    const { doc, ended } = pdfDocument(faces)
    const flow = new Flow(doc, { width: 210, height: 297 })
    const rows = Array.from({ length: 130 }, (_, i) => [
      `mark ${i}`,
      i % 7 === 0 ? 'a long word about it '.repeat(12) : 'x',
    ])
    flow.table([['From datum', 'What'], ...rows], [1, 2])
    // as low on its page as a head goes, but no row below it
    flow.page()
    doc.y = flow.bottom - 24
    flow.table(
      [
        ['Near the foot', 'What'],
        ['only row', 'x'],
      ],
      [1, 2],
    )
    doc.end()
    const path = join(folder, 'table.pdf')
    writeFileSync(path, Buffer.from(await ended()))
    const pages = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' }).replaceAll('\u00a0', ' ').split('\f').slice(0, -1) // prettier-ignore
    const long = pages.filter((p) => p.includes('mark '))
    expect(long.length).toBeGreaterThan(2)
    for (const page of long) expect(page.trimStart()).toMatch(/^From datum/)
    for (let i = 0; i < 130; i++) expect(long.filter((p) => new RegExp(`mark ${i}\\b`).test(p)).length, `${i}`).toBe(1)
    expect(pages.filter((p) => p.includes('Near the foot'))).toEqual(pages.filter((p) => p.includes('only row')))
  })

  it('says everything in the shop’s unit', async () => {
    const text = await textOf(design(inches))
    expect(text).toContain('lengths in inches')
    expect(text).not.toMatch(/\d ?(mm|kg)\b/)
  })
})
