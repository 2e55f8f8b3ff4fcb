import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { benchSteps } from '#core/bench/steps/steps'
import { CUT_ALREADY, pieceFeatures } from '#core/bench/steps/cutting-steps'
import { design } from '#core/choose/design'
import { cutUp, keptOf } from '#core/cutting/bin'
import { leftoversOf } from '#core/cutting/cuts'
import { jobsOf } from '#core/cutting/from-holders'
import { quickCuts } from '#core/cutting/quick-cuts'
import { drawnWidth, type SheetCuts } from '#core/cutting/sheets-used'
import { allForms } from '#core/forms/all-forms'
import { listError } from '#core/exchange/project/list-rows'
import { placesOf } from '#core/shop/places'
import type { Shop } from '#core/shop/shop'
import { anyHolder } from './any-holder'
import { board, railOf, shopWith, threeMallets } from './samples'

const overlap = (a: { x: number; y: number; length: number; width: number }, b: typeof a): number =>
  Math.max(0, Math.min(a.x + a.length, b.x + b.length) - Math.max(a.x, b.x)) *
  Math.max(0, Math.min(a.y + a.width, b.y + b.width) - Math.max(a.y, b.y))

describe('what is left of a sheet', () => {
  it('lies in it, apart from the pieces and from each other by the kerf, and is not more than there was', () => {
    for (const input of allForms.flatMap((f) => fc.sample(anyHolder(f), { numRuns: 5, seed: 3 }))) {
      const { model } = design(input)
      if (!model) continue
      for (const sheet of quickCuts(input.shop, [{ id: 'h', model }])) {
        const wide = drawnWidth(sheet)
        const { length } = sheet.stock
        const { kerf } = sheet.job.instance
        const pieces = sheet.placements.map((p) => ({ x: p.x, y: p.y, length: p.length, width: p.width || wide }))
        const left = leftoversOf(length, wide, pieces.map((p, i) => ({ ...sheet.placements[i]!, ...p })), kerf) // prettier-ignore
        for (const [i, l] of left.entries()) {
          expect(l.x + l.length).toBeLessThanOrEqual(length + 1e-6)
          expect(l.y + l.width).toBeLessThanOrEqual(wide + 1e-6)
          const grown = { x: l.x - kerf, y: l.y - kerf, length: l.length + 2 * kerf, width: l.width + 2 * kerf }
          for (const p of pieces) expect(overlap(grown, p)).toBeLessThan(1e-3)
          for (const other of left.slice(i + 1)) expect(overlap(l, other)).toBeLessThan(1e-3)
        }
        const area = [...pieces, ...left].reduce((sum, p) => sum + p.length * p.width, 0)
        expect(area).toBeLessThanOrEqual(length * wide + 1e-3)
      }
    }
  })
})

it('of a board with one short piece in it is as wide as the board', () => {
  const one = { stockId: 's', stockIndex: 0, partId: 'p', rotated: false, x: 0, y: 0, length: 748, width: 103.5 }
  expect(leftoversOf(2400, 145, [one], 2.4)[0]).toEqual({ x: 750.4, y: 0, length: 1649.6, width: 145 })
})

describe('a piece of stock that has been cut up', () => {
  const stock = { ...board('b', 'Board', 'eastern white pine', 18), length: 1200, width: 140 }
  const shop: Shop = shopWith({ stock: [stock] })
  const { model } = design(railOf(threeMallets(), {}, shop))
  const holder = { id: 'h1', model: model! }
  let n = 0
  const cut = (of: Shop, sheet: SheetCuts) => cutUp(of, sheet, () => `new-${n++}`)

  it('leaves what is worth keeping in the bin, and firewood out', () => {
    const [sheet] = quickCuts(shop, [holder])
    const kept = keptOf(sheet!, shop)
    expect(kept.length).toBeGreaterThan(0)
    const after = cut(shop, sheet!)
    expect(after.offcuts.map((o) => [o.length, o.width])).toEqual(kept.map((l) => [Math.floor(l.length * 10) / 10, Math.floor(l.width * 10) / 10])) // prettier-ignore
    expect(after.offcuts.every((o) => o.length >= 150 && o.width! >= 40 && o.name === 'Rest of Board')).toBe(true)
    expect(after.offcuts[0]).toMatchObject({ form: 'board', material: 'eastern white pine', thickness: 18 })
  })

  it('is gone from the bin where it came from there, and its rest takes its place', () => {
    const bin = { id: 'o', name: 'Lid', form: 'board' as const, material: 'eastern white pine', thickness: 18.2, length: 800, width: 200, grain: 'along its length' as const, noGo: '700 to 740 × 20 to 50', note: 'a knot' } // prettier-ignore
    const rich = { ...shop, offcuts: [bin] }
    const [sheet] = quickCuts(rich, [holder])
    expect(sheet!.offcut).toBe('o')
    const after = cut(rich, sheet!)
    expect(after.offcuts.some((o) => o.id === 'o')).toBe(false)
    expect(after.offcuts[0]).toMatchObject({ name: 'Rest of Lid', thickness: 18.2, note: 'a knot' })
    // the knot goes with what it lies in, from its own corner
    const [kept] = keptOf(sheet!, rich).filter((l) => l.x < 740 && l.x + l.length > 700 && l.y < 50 && l.y + l.width > 20) // prettier-ignore
    const rest = after.offcuts.find((o) => o.noGo !== '')
    expect(Boolean(rest)).toBe(Boolean(kept))
    if (kept) expect(placesOf(rest!.noGo)[0]!.from).toBeCloseTo(Math.max(0, 700 - kept.x), 1)
  })

  it('leaves nothing of a place that a cut has just touched', () => {
    const bin = { id: 'o', name: 'Lid', form: 'board' as const, material: 'eastern white pine', thickness: 18, length: 800, width: 200, grain: 'along its length' as const, noGo: '', note: '' } // prettier-ignore
    const [sheet] = quickCuts({ ...shop, offcuts: [bin] }, [holder])
    const [rest] = keptOf(sheet!, shop)
    const at = { low: 0, high: Infinity }
    const grazed = { ...sheet!, noGo: [{ ...at, from: 0, to: rest!.x + 0.002 }, { ...at, from: rest!.x + 40, to: rest!.x + 60 }] } // prettier-ignore
    const kept = cut({ ...shop, offcuts: [bin] }, grazed).offcuts[0]!
    expect(listError('offcuts')([kept])).toBeNull()
    expect(placesOf(kept.noGo)).toHaveLength(1)
  })

  it('is not counted on where stock is bought by the length', () => {
    const open = shopWith({ stock: [{ ...stock, length: null }] })
    const [sheet] = quickCuts(open, [{ id: 'h1', model: design(railOf(threeMallets(), {}, open)).model! }])
    expect(cut(open, sheet!).offcuts).toEqual([])
  })

  it('is not cut again: its pieces are off the list, and the card says so', () => {
    const sheets = quickCuts(shop, [holder])
    const features = pieceFeatures(sheets, 'h1').get(sheets[0]!)!
    expect(features).toEqual(expect.arrayContaining(['cut:rail#1', 'cut:back#1']))
    const one = new Set(['cut:rail#1'])
    const left = jobsOf(shop, [{ ...holder, cut: one }]).flatMap((j) => j.instance.parts.map((p) => p.id))
    expect(left).toEqual(['h1/back'])
    expect(jobsOf(shop, [{ ...holder, cut: new Set(features) }])).toEqual([])
    const cuts = quickCuts(shop, [{ ...holder, cut: one }])
    const { steps } = benchSteps({ model: model!, shop, cuts, cut: one }, 'h1')
    expect(steps[0]).toMatchObject({ id: CUT_ALREADY, says: ['Rail.'], makes: ['cut:rail#1'] })
    expect(steps[1]!.makes).toEqual(['cut:back#1'])
  })

  it('tells the layers of a board apart', () => {
    const sheets = quickCuts(shop, [holder])
    const twice = sheets.map((s) => ({ ...s, placements: [...s.placements, ...s.placements] }))
    expect(pieceFeatures(twice, 'h1').get(twice[0]!)!.filter((f) => f.startsWith('cut:rail'))).toEqual(['cut:rail#1', 'cut:rail#2']) // prettier-ignore
    expect(pieceFeatures(sheets, 'h1', new Set(['cut:rail#1'])).get(sheets[0]!)).toContain('cut:rail#2')
  })
})

describe('bevelled strips of two holders', () => {
  const shop = shopWith({ stock: [{ ...board('b', 'Board', 'eastern white pine', 18), length: 2400, width: 300 }] })
  const hung = (id: string) => ({
    id,
    model: design(railOf(threeMallets(), { hung: 'strip', backHeight: 200 }, shop)).model!,
  })

  it('are ripped from one piece of the width that the worked example gives, each told to its own holder', () => {
    const two = [hung('one'), hung('two')]
    const [job] = jobsOf(shop, two)
    const pair = job!.instance.parts.find((p) => p.id.includes(' + '))!
    const strip = two[0]!.model.boards.find((b) => b.role === 'strip')!
    expect(pair.id).toBe('one/strip + two/strip')
    // the width a pair is ripped from, as long as the same saw cuts both
    expect(pair.width).toBeCloseTo(shop.settings.stripWidth, 6)
    expect(pair.length).toBe(strip.length)
    expect(job!.instance.parts.some((p) => p.id === 'one/strip')).toBe(false)
    const cuts = quickCuts(shop, two)
    for (const { id } of two) expect([...pieceFeatures(cuts, id).values()].flat()).toContain('cut:strip#1')
    // the card of one of them names what comes off the saw for it, and nothing of the other's
    const [card] = benchSteps({ model: two[0]!.model, shop, cuts }, 'one').steps
    const said = card!.says.at(-1)!
    expect(said).toMatch(/^Out of it come: .*two strips, ripped apart at their bevel .* Write its name on each/)
    expect(said.match(/rail/g)).toHaveLength(1)
  })
  it('stay by themselves where one has no mate', () => {
    const [job] = jobsOf(shop, [hung('one')])
    expect(job!.instance.parts.some((p) => p.id === 'one/strip')).toBe(true)
  })
  it('stay by themselves where the board is too narrow for two', () => {
    const narrow = { ...shop, stock: [{ ...shop.stock[0]!, width: 110 }] }
    const strips = [hung('one'), hung('two')].map(({ id, model }) => ({ id, model: { ...model, boards: model.boards.filter((b) => b.role === 'strip') } })) // prettier-ignore
    const width = strips[0]!.model.boards[0]!.width
    expect(width).toBeLessThan(110)
    const [job] = jobsOf(narrow, strips)
    expect(job!.instance.parts.map((p) => p.id)).toEqual(['one/strip', 'two/strip'])
  })
})
