import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { WebIO } from '@gltf-transform/core'
import DxfParser from 'dxf-parser'
import { strFromU8, unzipSync } from 'fflate'
import { afterAll, describe, expect, it } from 'vitest'
import { hardwareOf } from '#core/bench/hardware'
import { shoppingList } from '#core/bench/shopping'
import { design } from '#core/choose/design'
import { quickCuts } from '#core/cutting/quick-cuts'
import { filesOf } from '#core/exchange/file-names'
import { fileChoice, makeFile, NoSuchFile } from '#core/exchange/files'
import { renderPages } from '#core/exchange/pdf/render'
import { templatePages, testPiecePage, tilesOf } from '#core/exchange/pdf/templates'
import type { Page } from '#core/exchange/pdf/page'
import { boardLump, rodLump } from '#core/solid/mass'
import { fileMeans, pdfDocument, readFaces } from '../../server/files/means'
import { board, mallet, railOf, shopWith, threeMallets } from './samples'

const faces = await readFaces((file) =>
  readFile(createRequire(import.meta.url).resolve(`@fontsource/source-sans-3/files/${file}`)),
)
const means = fileMeans(faces)
const A4 = { paper: 'A4', measured: 100 } as const
const folder = mkdtempSync(join(tmpdir(), 'fingerling-files-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

/** A rail with a bore exactly 300 mm from the datum end: half a head of 88, a margin of 256. */
const at300 = design(railOf([mallet('a', 28, 88), mallet('b', 29, 70)], { margin: 256 }))

async function pdf(pages: readonly Page[], compress = true): Promise<Buffer> {
  const { doc, ended } = pdfDocument(faces, compress)
  renderPages(doc, pages)
  doc.end()
  return Buffer.from(await ended())
}

/** The vectors of one page of an uncompressed PDF: every line and circle with the matrix that stood over it, in points. */
function vectors(file: Buffer, page: number) {
  const streams = file.toString('latin1').match(/stream\n[\s\S]*?endstream/g)!.filter((s) => s.includes(' cm')) // prettier-ignore
  const at: [number, number][] = []
  let matrix = [1, 0, 0, 1, 0, 0]
  const stack: number[][] = []
  const times = (m: number[], n: number[]) => [
    m[0]! * n[0]! + m[1]! * n[2]!, m[0]! * n[1]! + m[1]! * n[3]!,
    m[2]! * n[0]! + m[3]! * n[2]!, m[2]! * n[1]! + m[3]! * n[3]!,
    m[4]! * n[0]! + m[5]! * n[2]! + n[4]!, m[4]! * n[1]! + m[5]! * n[3]! + n[5]!,
  ] // prettier-ignore
  const put = (x: number, y: number): [number, number] => [
    x * matrix[0]! + y * matrix[2]! + matrix[4]!,
    x * matrix[1]! + y * matrix[3]! + matrix[5]!,
  ]
  const lines: { from: [number, number]; to: [number, number] }[] = []
  let pen: [number, number] = [0, 0]
  for (const row of streams[page]!.split('\n')) {
    const words = row.trim().split(/\s+/)
    const n = words.slice(0, -1).map(Number)
    const op = words.at(-1)
    if (op === 'q') stack.push(matrix)
    else if (op === 'Q') matrix = stack.pop()!
    else if (op === 'cm') matrix = times(n, matrix)
    else if (op === 'm') at.push((pen = put(n[0]!, n[1]!)))
    else if (op === 'l') {
      const to = put(n[0]!, n[1]!)
      lines.push({ from: pen, to })
      pen = to
    } else if (op === 'c') pen = put(n[4]!, n[5]!)
  }
  return lines
}

const MM = 25.4 / 72

/** Middles of the crosses of so long arms on a page, mm from its upper left corner. */
function crosses(file: Buffer, page: number, arm: number, height: number) {
  const lines = vectors(file, page).map(({ from, to }) => ({ x0: from[0] * MM, y0: height - from[1] * MM, x1: to[0] * MM, y1: height - to[1] * MM })) // prettier-ignore
  const flat = lines.filter((l) => Math.abs(l.y0 - l.y1) < 1e-3 && Math.abs(Math.abs(l.x1 - l.x0) - 2 * arm) < 0.01)
  const tall = lines.filter((l) => Math.abs(l.x0 - l.x1) < 1e-3 && Math.abs(Math.abs(l.y1 - l.y0) - 2 * arm) < 0.01)
  return flat.flatMap((f) => {
    const x = (f.x0 + f.x1) / 2
    const t = tall.find((l) => Math.abs(l.x0 - x) < 0.01 && Math.abs((l.y0 + l.y1) / 2 - f.y0) < 0.01)
    return t ? [{ x, y: f.y0 }] : []
  })
}

describe('templates', () => {
  const rail = at300.model!.boards[0]!
  it('have a bore where the model has it, by the file’s own coordinates', async () => {
    expect(rail.openings[0]!.centre.x).toBe(300)
    const pages = templatePages(at300.model!, at300.input.shop, { paper: 'A3', measured: 100 })
    const file = await pdf(pages, false)
    const lines = vectors(file, 0)
    const [height] = [pages[0]!.height]
    const left = Math.min(...lines.filter((l) => Math.abs(l.from[0] - l.to[0]) < 1e-3 && Math.abs(l.from[1] - l.to[1]) * MM > rail.width - 1).map((l) => l.from[0] * MM)) // prettier-ignore
    const found = crosses(file, 0, 8, height).map((c) => c.x - left)
    expect(found.length).toBeGreaterThan(0)
    expect(Math.abs(found[0]! - 300)).toBeLessThan(0.02)
  })

  it('are measured right when they are rendered, pages joined at their marks', async () => {
    const pages = templatePages(at300.model!, at300.input.shop, A4)
    writeFileSync(join(folder, 't.pdf'), await pdf(pages))
    const railPages = pages.filter((p) => p.ink.some((i) => i.kind === 'text' && i.text === 'Rail: Rail'))
    expect(railPages.length).toBeGreaterThan(1)
    const dark = [0, 1].map((page) => raster(join(folder, 't.pdf'), page + 1))
    // the vertical line of the datum end on page 1, the circle's cross on whichever page has it, joined by mark A1
    const file = await pdf(pages, false)
    // what lies outside a page's window is in the file too, but not drawn
    const drawn = (page: number) => (c: { x: number }) => c.x > 10 && c.x < pages[page]!.width - 10
    const marks = [0, 1].map((page) => crosses(file, page, 4, pages[page]!.height).filter(drawn(page)))
    const centre = [0, 1].map((page) => crosses(file, page, 8, pages[page]!.height).filter(drawn(page))[0])
    const on = centre[0] ? 0 : 1
    // where the vectors say there is a cross, the rendered page is dark within 0.1 mm, and white 1 mm beside
    for (const page of [0, 1])
      for (const mark of marks[page]!) {
        expect(dark[page]!.near(mark.x, mark.y - 3)).toBeLessThan(0.1)
        expect(dark[page]!.near(mark.x + 1, mark.y - 3.2)).toBeGreaterThan(0.5)
      }
    // both pages carry the same two marks: what joins them moves page 2 by one and the same way
    const shared = marks[1]!.slice(0, 2)
    const first = marks[0]!.slice(-2)
    const shift = { x: first[0]!.x - shared[0]!.x, y: first[0]!.y - shared[0]!.y }
    expect(first[1]!.x - shared[1]!.x).toBeCloseTo(shift.x, 2)
    const datum = dark[0]!.columnsIn(150).find((x) => x > 12)!
    const bore = centre[on]!.x + (on === 1 ? shift.x : 0)
    expect(Math.abs(bore - datum - 300)).toBeLessThan(0.1)
  }, 60000) // prettier-ignore

  it('follow the printer’s own scale', async () => {
    const plain = await pdf(templatePages(at300.model!, at300.input.shop, { paper: 'A3', measured: 100 }), false)
    const small = await pdf(templatePages(at300.model!, at300.input.shop, { paper: 'A3', measured: 98 }), false)
    const span = (file: Buffer): number => {
      const found = crosses(file, 0, 8, 420).map((c) => c.x)
      const scaled = crosses(file, 0, (8 * 100) / 98, 420).map((c) => c.x)
      const xs = found.length > 0 ? found : scaled
      return Math.max(...xs) - 10
    }
    expect(span(small) / span(plain)).toBeCloseTo(100 / 98, 2)
    expect(() => fileChoice({ measured: '80' })).toThrow('between 90 and 110')
    expect(() => fileChoice({ paper: 'A9' })).toThrow('A4, A3, Letter')
    expect(fileChoice({})).toEqual(A4)
  })

  it('cover a drawing without a gap, each page overlapping the next', () => {
    for (const width of [50, 190, 191, 700, 1999]) {
      const tiles = tilesOf(width, 100, { width: 190, height: 200 })
      expect(tiles[0]!.x).toBe(0)
      for (let i = 1; i < tiles.length; i++) expect(tiles[i - 1]!.x + 190 - tiles[i]!.x).toBe(12)
      expect(tiles.at(-1)!.x + 190).toBeGreaterThanOrEqual(width)
      if (tiles.length > 1) expect(tiles.at(-2)!.x + 190).toBeLessThan(width)
    }
  })

  it('come with a test piece of three holes and two slots on one page', () => {
    const page = testPiecePage(design(railOf(threeMallets())).model!, shopWith(), A4)!
    const inside = page.ink.find((i) => i.kind === 'window')!
    const circles = inside.kind === 'window' ? inside.ink.filter((i) => i.kind === 'circle') : []
    // 32 and 35: two bores that differ, and a slot of each
    expect(circles.map((c) => (c.kind === 'circle' ? c.radius * 2 : 0))).toEqual([32, 35])
  })
})

/** A page rendered at 600 dots an inch, black where there is ink. */
function raster(path: string, page: number) {
  const out = join(folder, `p${page}`)
  execFileSync('pdftoppm', ['-r', '600', '-gray', '-f', String(page), '-l', String(page), '-singlefile', path, out])
  const file = readFileSync(`${out}.pgm`)
  const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(file.subarray(0, 40).toString('latin1'))!
  const [width, height] = [Number(head[1]), Number(head[2])]
  const from = head[0].length
  const mm = 600 / 25.4
  const ink = (x: number, y: number) => file[from + y * width + x]! < 140
  return {
    /** how far the nearest ink lies from a place along x, mm; at most 2 */
    near(x: number, y: number): number {
      const [px, py] = [Math.round(x * mm), Math.round(y * mm)]
      for (let d = 0; d <= 2 * mm; d++) if (ink(px + d, py) || ink(px - d, py)) return Math.max(0, d - 3) / mm
      return 2
    },
    /** middles of upright lines, mm: columns that are dark over 30 mm about a height, as a share of the page */
    columnsIn(height0: number): number[] {
      const found: number[] = []
      let run: number[] = []
      const top = Math.min(Math.round((height0 - 100) * mm), height - 1)
      for (let x = 0; x < width; x++) {
        let all = true
        for (let y = top; y < top + 20 * mm && all; y += 10) all = ink(x, y)
        if (all) run.push(x)
        else if (run.length > 0) {
          found.push((run[0]! + run.at(-1)! + 1) / 2 / mm)
          run = []
        }
      }
      return found
    },
  }
}

describe('what a holder is taken along as', () => {
  const d = design(railOf(threeMallets()))
  const make = async (name: string) => (await makeFile(name, d, A4, means)).content

  it('is every file that is named, none empty', async () => {
    for (const name of filesOf(d.model!)) expect((await make(name)).length, name).toBeGreaterThan(50)
    await expect(makeFile('lid.dxf', d, A4, means)).rejects.toThrow(NoSuchFile)
    const nothing = design(railOf([]))
    await expect(makeFile('dossier.pdf', nothing, A4, means)).rejects.toThrow('nothing to draw')
  })

  it('draws boards in DXF with true arcs on their layers, in mm', async () => {
    const read = new DxfParser().parseSync((await make('rail.dxf')) as string)!
    expect(read.header.$INSUNITS).toBe(4)
    const on = (layer: string, type: string) => read.entities.filter((e) => e.layer === layer && e.type === type)
    const circles = on('bore', 'CIRCLE') as unknown as { center: { x: number; y: number }; radius: number }[]
    expect(circles.map((c) => [c.center.x, c.radius])).toEqual([[51, 16], [139, 16], [240, 17.5]]) // prettier-ignore
    const arcs = on('cut', 'ARC') as unknown as { center: { x: number }; radius: number; startAngle: number; endAngle: number }[] // prettier-ignore
    expect(arcs.map((a) => a.radius).sort()).toEqual([16, 16, 17.5])
    // the closed end lies towards the back edge: the lower half of a circle
    for (const a of arcs) expect(Math.sin((a.startAngle + a.endAngle + (a.endAngle < a.startAngle ? 2 * Math.PI : 0)) / 2)).toBeCloseTo(-1, 6) // prettier-ignore
    expect(on('mark', 'TEXT').length).toBe(4)
    expect(Object.keys(read.tables.layer.layers)).toEqual(expect.arrayContaining(['cut', 'bore', 'groove', 'mark']))
  })

  it('meshes each part with its volume, lying flat', async () => {
    for (const part of [
      ...d.model!.boards.map((b) => ({ id: b.id, volume: boardLump(b).volume, low: b.thickness })),
      ...d.model!.rods.map((r) => ({ id: r.id, volume: rodLump(r).volume, low: r.diameter })),
    ]) {
      // prettier-ignore
      const stl = Buffer.from((await make(`${part.id}.stl`)) as Uint8Array)
      const count = stl.readUInt32LE(80)
      expect(stl.length).toBe(84 + 50 * count)
      let volume = 0
      let top = 0
      for (let i = 0; i < count; i++) {
        const at = 84 + 50 * i + 12
        const [a, b, c] = [0, 1, 2].map((k) => [0, 4, 8].map((o) => stl.readFloatLE(at + 12 * k + o))) as number[][]
        volume += (a![0]! * (b![1]! * c![2]! - b![2]! * c![1]!) - a![1]! * (b![0]! * c![2]! - b![2]! * c![0]!) + a![2]! * (b![0]! * c![1]! - b![1]! * c![0]!)) / 6 // prettier-ignore
        top = Math.max(top, a![2]!, b![2]!, c![2]!)
      }
      expect(volume / part.volume).toBeCloseTo(1, 2)
      expect(top).toBeCloseTo(part.low, 3)
    }
  })

  it('packs all parts into one 3MF, by their names', async () => {
    const files = unzipSync((await make('parts.3mf')) as Uint8Array)
    expect(Object.keys(files).sort()).toEqual(['3D/3dmodel.model', '[Content_Types].xml', '_rels/.rels'])
    const model = strFromU8(files['3D/3dmodel.model']!)
    expect(model).toContain('unit="millimeter"')
    expect(model).not.toMatch(/xmlns:|metadata name="\w+:/)
    expect(model.match(/<object id="\d+" type="model" name="([^"]+)"/g)).toHaveLength(2)
    expect(model).toContain('name="Rail"')
    expect(model.match(/<item /g)).toHaveLength(2)
  })

  it('gives the whole with its tools as GLB, in metres', async () => {
    const read = await new WebIO().readBinary((await make('holder.glb')) as Uint8Array)
    const nodes = read.getRoot().listNodes()
    expect(nodes.map((n) => n.getName()).sort()).toEqual(['Back', 'Mallet t1', 'Mallet t2', 'Mallet t3', 'Rail'])
    const rail = nodes
      .find((n) => n.getName() === 'Rail')!
      .getMesh()!
      .listPrimitives()[0]!
      .getAttribute('POSITION')!
    const [min, max] = [rail.getMin([]), rail.getMax([])]
    expect(max[0]! - min[0]!).toBeCloseTo(0.304, 5)
    expect(max[1]! - min[1]!).toBeCloseTo(0.018, 5)
    expect(max[2]! - min[2]!).toBeCloseTo(0.0775, 5)
    // it stands before the wall, towards whoever looks at it
    expect(min[2]!).toBeCloseTo(0.018, 5)
  })

  it('writes names in other letters, and a question mark for what no face has', async () => {
    const tools = [mallet('t', 28, 70, { name: 'Чекан Žluťoučký σφυρί Bún ⚒' })]
    const odd = design(railOf(tools))
    for (const name of ['test-piece.pdf', 'dossier.pdf']) {
      const path = join(folder, name)
      writeFileSync(
        path,
        (await makeFile(name, { ...odd, model: { ...odd.model!, name: 'Молот' } }, A4, means)).content,
      )
      const text = execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' })
      expect(text.normalize('NFC').replace(/\s+/g, ' ')).toContain('Молот')
      if (name === 'test-piece.pdf') expect(text.normalize('NFC')).toMatch(/Чекан\s*Žluťoučký\s*σφυρί\s*Bún\s*\?/)
    }
  })

  it('keeps the sums: hardware in the list and in the model agree, pieces in cutting and parts too', async () => {
    const screws = hardwareOf([d.model!], d.input.shop).filter((h) => h.kind === 'screw')
    expect(screws.reduce((sum, h) => sum + h.count, 0)).toBe(
      d.model!.fasteners.filter((f) => f.kind === 'screw').length,
    )
    const cutting = ((await make('cutting.csv')) as string).trim().split('\r\n')
    const parts = ((await make('parts.csv')) as string).trim().split('\r\n').slice(1)
    expect(cutting.length - 1).toBe(parts.reduce((sum, row) => sum + Number(row.split(',')[1]), 0))
  })
})

describe('what is to be bought', () => {
  it('is whole pieces of stock, at their price, and nothing for what the bin gives', () => {
    const shop = shopWith({ stock: [{ ...board('b', 'Board', 'eastern white pine', 18), length: 1000, width: 140, price: 10 }] }) // prettier-ignore
    const d = design(railOf(threeMallets(), {}, shop))
    const bought = shoppingList(shop, [d.model!], quickCuts(shop, [{ id: 'h1', model: d.model! }]), [])
    expect(bought).toMatchObject({
      wanted: [{ name: 'Board', count: 1, cost: 10 }],
      cost: 10,
      incomplete: false,
      saved: [],
    })
    const bin = { id: 'o', name: 'Offcut', form: 'board' as const, material: 'eastern white pine', thickness: 18, length: 700, width: 100, grain: 'along its length' as const, noGo: '', note: '' } // prettier-ignore
    const richer = { ...shop, offcuts: [bin, { ...bin, id: 'p', name: 'Other' }] }
    const list = shoppingList(richer, [d.model!], quickCuts(richer, [{ id: 'h1', model: d.model! }]), [])
    expect(list.wanted).toEqual([])
    expect(list.saved.length).toBeGreaterThan(0)
    expect(list.saved[0]!.worth).toBeCloseTo(5, 6)
  })
  it('tells what has no price, and what is on the shopping list already', () => {
    const shop = shopWith()
    const screws = shop.screws.map((s) => ({ ...s, toBuy: true }))
    const d = design(railOf(threeMallets(), {}, { ...shop, screws }))
    const list = shoppingList({ ...shop, screws }, [d.model!], quickCuts(shop, [{ id: 'h1', model: d.model! }]), [])
    expect(list.incomplete).toBe(true)
    expect(list.wanted.some((w) => w.name.startsWith('Screw'))).toBe(true)
  })
})
