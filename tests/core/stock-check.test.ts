import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { benchSteps } from '#core/bench/steps/steps'
import { shoppingList } from '#core/bench/shopping'
import { design } from '#core/choose/design'
import { remediesFor } from '#core/choose/remedies'
import { jobsOf } from '#core/cutting/from-holders'
import { quickPlan } from '#core/cutting/quick-cuts'
import { meansUntil } from '#core/cutting/means'
import { randomFrom } from '#core/cutting/random'
import { cutting } from '#core/cutting/solve'
import { allForms } from '#core/forms/all-forms'
import { cuttingCsv } from '#core/exchange/csv'
import type { PlanInput } from '#core/forms/form'
import { filledRow, type Row } from '#core/shop/lists'
import type { Shop } from '#core/shop/shop'
import { formatLength } from '#core/units/format-length'
import { anyHolder } from './any-holder'
import { railOf, shopWith, threeMallets } from './samples'

/** A shop whose only board is narrow or short, and which has a sheet. */
const shopOf = (stock: Partial<Row<'stock'>>, more: Partial<Shop> = {}): Shop => {
  const usual = shopWith()
  const pine = { ...usual.stock.find((s) => s.form === 'board')!, ...stock }
  return { ...usual, stock: [pine, usual.stock.find((s) => s.form === 'sheet')!], ...more }
}
const offcut = (more: Partial<Row<'offcuts'>>): Row<'offcuts'> =>
  filledRow('offcuts', { id: 'wide', name: 'Glued up', material: 'eastern white pine', thickness: 18, length: 800, width: 300, ...more }) as Row<'offcuts'> // prettier-ignore
const told = (input: PlanInput) => {
  const worked = design(input)
  return { worked, found: worked.verdicts.filter((v) => v.check === 'stock') }
}

describe('a part that no piece of its stock can give', () => {
  it('is told with its width and the board’s, and another stock is the way out', () => {
    const { worked, found } = told(railOf(threeMallets(), {}, shopOf({ width: 60 })))
    const [rail] = found
    expect(rail).toMatchObject({ id: 'stock:rail', level: 'watch', board: 'rail' })
    const width = worked.model!.boards[0]!.width
    expect(width).toBeGreaterThan(60)
    expect(rail!.measured).toMatchObject({ value: width, limit: 60, sense: 'at most' })
    expect(rail!.says).toMatch(/^Rail is [\d.]+ mm wide; .* comes 60 mm wide, and nothing in the bin is large enough\. One glued up edge to edge would do/) // prettier-ignore
    expect(worked.working.find((f) => f.id === rail!.limitFigure)).toMatchObject({ value: 60, origin: { kind: 'stock', key: 'width' } }) // prettier-ignore
    expect(remediesFor(worked, rail!)[0]!.label).toBe('Take Birch ply 18')
  })

  it('is told with its length where that is too much, and of stock with no length the longest board counts', () => {
    const [short] = told(railOf(threeMallets(), {}, shopOf({ length: 200 }))).found
    expect(short!.says).toMatch(/^Rail is [\d.]+ mm long; .* comes 200 mm long, and nothing in the bin is large enough\.$/) // prettier-ignore
    const { worked, found } = told(railOf(threeMallets(), {}, { ...shopOf({ length: null, width: null }), settings: { ...shopWith().settings, longestBoard: 200 } })) // prettier-ignore
    expect(worked.working.find((f) => f.id === found[0]!.limitFigure)!.origin).toEqual({ kind: 'shop', key: 'longestBoard' }) // prettier-ignore
  })

  it('is none where the bin has a piece, as long as that is sound', () => {
    const narrow = (o: Partial<Row<'offcuts'>>) => told(railOf(threeMallets(), {}, shopOf({ width: 60 }, { offcuts: [offcut(o)] }))).found.map((v) => v.level) // prettier-ignore
    expect(narrow({})).toEqual(['pass'])
    expect(narrow({ noGo: '150 to 160; 400 to 410; 640 to 650' })).toContain('watch')
    expect(narrow({ thickness: 21 })).toContain('watch')
    expect(narrow({ material: 'birch ply' })).toContain('watch')
  })

  it('may be made shorter for a piece in the bin that is wide enough', () => {
    const { length } = design(railOf(threeMallets(), { ends: 'overhang' })).model!.boards[0]!
    const { worked, found } = told(railOf(threeMallets(), {}, shopOf({ width: 60 }, { offcuts: [offcut({ length })] })))
    expect(remediesFor(worked, found[0]!).map((r) => r.label)).toContain('Let the end heads overhang')
  })

  it('is none once it is cut, and the bin is empty again', () => {
    const input = railOf(threeMallets(), {}, shopOf({ width: 60 }))
    const { found } = told(input)
    const cut = new Map(found.map((v) => [`cut:${v.board}#1`, '']))
    expect(told({ ...input, cut }).found.map((v) => v.level)).not.toContain('watch')
  })
})

describe('a part without a place', () => {
  const shop = shopOf({ width: 60 })
  const { model } = design(railOf(threeMallets(), {}, shop))
  const planned = quickPlan(shop, [{ id: 'h1', model: model! }])
  const names = planned.noPlace.map((p) => p.part)

  it('is wanted in a larger piece, and has a row of its own in the cutting', () => {
    expect(names).toEqual(model!.boards.map((b) => b.name))
    const { wanted, incomplete } = shoppingList(shop, [model!], planned.cuts, planned.noPlace)
    const [rail] = model!.boards
    expect(wanted[0]).toEqual({ name: `Pine board 18, at least ${formatLength(rail!.length, shop, 'up')} × ${formatLength(rail!.width, shop, 'up')}`, count: 1, cost: null }) // prettier-ignore
    expect(incomplete).toBe(true)
    expect(cuttingCsv(planned)).toContain(`no Pine board 18 is large enough,,${rail!.name},,,${rail!.length},${rail!.width},`) // prettier-ignore
  })

  it('is told on the card it would be cut by', () => {
    const { steps } = benchSteps({ model: model!, shop, cuts: planned.cuts }, 'h1')
    const card = steps.find((s) => s.kind === 'cut')!
    expect(card.says[0]).toBe('No Pine board 18 there is is large enough for rail and back: get a larger one, or glue boards up edge to edge, before anything is cut.') // prettier-ignore
    const wide = benchSteps({ model: model!, shop: shopOf({}), cuts: [] }, 'h1').steps.find((s) => s.kind === 'cut')!
    expect(wide.says[0]).toMatch(/^1 of /)
  })
})

/** Sizes in which boards, sheets and rods of a shop come, and what is in its bin. */
const sizes = fc.record({
  length: fc.constantFrom(null, 120, 300, 600, 2400),
  width: fc.constantFrom(null, 40, 70, 95, 140, 400),
  bin: fc.array(fc.record({ length: fc.integer({ min: 60, max: 900 }), width: fc.integer({ min: 30, max: 400 }) }), { maxLength: 3 }), // prettier-ignore
})

describe.each(allForms.map((form) => [form.name, form] as const))('any %s', (_, form) => {
  it('has just those parts told that the cutting has no place for', () => {
    fc.assert(
      fc.property(anyHolder(form), sizes, (input, { length, width, bin }) => {
        const stock = input.shop.stock.map((s) => ({ ...s, length, width }))
        const offcuts = bin.map((b, i) => offcut({ ...b, id: `o${i}`, material: stock[0]?.material ?? 'pine', thickness: stock[0]?.thickness ?? 18 })) // prettier-ignore
        const shop = { ...input.shop, stock, offcuts }
        const { worked, found } = told({ ...input, shop })
        const { model } = worked
        if (!model) return
        // each piece by itself, so that none takes another's offcut
        const pieces = [...model.boards.flatMap((b) => Array.from({ length: b.layers }, (_, n) => `cut:${b.id}#${n + 1}`)), ...model.rods.map((r) => `cut:${r.id}#1`)] // prettier-ignore
        const without = (piece: string): boolean => {
          const cut = new Set(pieces.filter((p) => p !== piece))
          return jobsOf(shop, [{ id: 'h', model, cut }]).some(({ instance }) => {
            const search = cutting(
              instance,
              meansUntil(randomFrom(1), 1, null, () => 0, Infinity),
            )
            let step = search.next()
            while (!step.done) step = search.next()
            return step.value.unplaced.length > 0
          })
        }
        const unplaced = new Set(pieces.filter(without).map((p) => p.slice(4, p.indexOf('#'))))
        const stopped = found.filter((v) => v.level !== 'pass').map((v) => v.id.slice('stock:'.length))
        expect(new Set(stopped)).toEqual(unplaced)
      }),
      { numRuns: 25, seed: 11 },
    )
  })

  it('has each piece once in the cutting and once at the bench, with a place or without', () => {
    fc.assert(
      fc.property(anyHolder(form), sizes, (input, { length, width }) => {
        const shop = { ...input.shop, stock: input.shop.stock.map((s) => ({ ...s, length, width })), offcuts: [] }
        const { worked, found } = told({ ...input, shop })
        const { model } = worked
        if (!model) return
        const pieces = model.boards.reduce((sum, b) => sum + b.layers, 0) + model.rods.length
        const planned = quickPlan(shop, [{ id: 'h', model }])
        expect(cuttingCsv(planned).trim().split('\r\n')).toHaveLength(pieces + 1)
        expect(planned.noPlace.length > 0).toBe(found.some((v) => v.level !== 'pass'))
        const { steps } = benchSteps({ model, shop, cuts: planned.cuts }, 'h')
        expect(steps.flatMap((s) => s.makes.filter((f) => f.startsWith('cut:')))).toHaveLength(pieces)
      }),
      { numRuns: 25, seed: 12 },
    )
  })
})
