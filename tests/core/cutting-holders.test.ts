import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { design } from '#core/choose/design'
import { cutsOf, type Cut } from '#core/cutting/cuts'
import { jobsOf } from '#core/cutting/from-holders'
import { quickPlan } from '#core/cutting/quick-cuts'
import type { CutPlacement, CutPlan } from '#core/cutting/instance'
import { meansUntil } from '#core/cutting/means'
import { randomFrom } from '#core/cutting/random'
import { readInstance } from '#core/cutting/read-instance'
import { cutting } from '#core/cutting/solve'
import { filledRow, type Row } from '#core/shop/lists'
import type { Shop } from '#core/shop/shop'
import { allForms } from '#core/forms/all-forms'
import { anyHolder } from './any-holder'
import { panels } from './cut-instances'
import { railOf, shopWith, threeMallets } from './samples'
import { isPart, sawThrough } from './saw-through'

/** Sawn by their settings the cuts give every part; what they say comes off does, and what waits is gone on with. */
function tellsWhatComesOff(
  stock: { length: number; width: number },
  placed: readonly CutPlacement[],
  cuts: readonly Cut[],
  kerf: number,
) {
  const { pieces, on } = sawThrough(stock.length, stock.width, cuts, kerf)
  for (const p of placed) {
    const piece = pieces.find((s) => isPart(s, p))
    expect(piece, `${p.partId} at ${p.x}, ${p.y}`).toBeDefined()
    if (piece!.from > 0) expect(cuts[piece!.from - 1]!.gives).toContain(p.partId)
  }
  expect(cuts.flatMap((c) => c.gives)).toHaveLength(cuts.length > 0 ? placed.length : 0)
  for (const { number, waits } of cuts) {
    const later = on.findIndex((p) => p.from === number && p.side === 'off') + 1
    expect(waits ?? (later > number + 1 ? 'nothing' : null)).toBe(later > number + 1 ? later : null)
  }
}

const plan = (instance: Parameters<typeof cutting>[0]): CutPlan => {
  const search = cutting(
    instance,
    meansUntil(randomFrom(1), 2, null, () => 0, Infinity),
  )
  for (;;) {
    const { value, done } = search.next()
    if (done) return value
  }
}

describe('the pieces of holders', () => {
  it('are all there, by the stock they are cut from: as many as the models have', () =>
    fc.assert(
      fc.property(fc.constantFrom(...allForms).chain(anyHolder), (input) => {
        const { model } = design(input)
        if (!model) return
        const jobs = jobsOf(input.shop, [{ id: 'h', model }])
        const pieces = jobs.flatMap((j) => j.instance.parts).reduce((sum, p) => sum + p.count, 0)
        expect(pieces).toBe(model.boards.reduce((sum, b) => sum + b.layers, 0) + model.rods.length)
        const lengths = (list: number[]): number[] => list.sort((a, b) => a - b)
        expect(lengths(jobs.flatMap((j) => j.instance.parts.map((p) => p.length)))).toEqual(
          lengths([...model.boards, ...model.rods].map((p) => p.length)),
        )
      }),
      { numRuns: 80, seed: 5 },
    ))

  it('use offcuts of their material and thickness before anything is bought', () => {
    const { input, model } = design(railOf(threeMallets()))
    const rail = model!.boards[0]!
    const offcut = (more: object) => filledRow('offcuts', { id: 'o', name: 'Left over', material: rail.material, thickness: rail.thickness, length: 700, width: 200, ...more }) // prettier-ignore
    const bought = (more: object): number => {
      const shop = { ...input.shop, offcuts: [offcut(more)] } as Shop
      const [job] = jobsOf(shop, [{ id: 'h', model: model! }])
      return plan(job!.instance).bought
    }
    expect(bought({})).toBe(0)
    expect(bought({ thickness: rail.thickness + 2 })).toBeGreaterThan(0)
    expect(bought({ material: 'white oak' })).toBeGreaterThan(0)
    expect(bought({ form: 'rod' })).toBeGreaterThan(0)
  })
})

describe('the cuts of a sheet', () => {
  it('go from edge to edge through no piece, and free every piece on all sides', () => {
    const some = Array.from({ length: 60 }, (_, i) => panels(i + 1).instance).filter((i) => i.parts.length <= 40)
    for (const instance of some.slice(0, 8)) {
      const read = readInstance(JSON.stringify(instance))
      if (!read.ok) throw new Error('no instance')
      const { placements } = plan(read.instance)
      const keys = [...new Set(placements.map((p) => `${p.stockId} ${p.stockIndex}`))]
      for (const key of keys) {
        const placed = placements.filter((p) => `${p.stockId} ${p.stockIndex}` === key)
        const stock = read.instance.stock.find((s) => s.id === placed[0]!.stockId)!
        const cuts = cutsOf(stock.length, stock.width, placed, read.instance.kerf)
        expect(cuts.map((c) => c.number)).toEqual(cuts.map((_, i) => i + 1))
        expect(cuts.every((c) => c.fence > 0)).toBe(true)
        // nothing lies before a piece that is laid as close as can be
        expect(cuts.filter((c) => c.turned)).toEqual([])
        tellsWhatComesOff(stock, placed, cuts, read.instance.kerf)
      }
    }
  })

  it('are none for a sheet that is one piece, and are refused where no saw can make them', () => {
    const piece = { stockId: 's', stockIndex: 0, partId: 'p', rotated: false }
    expect(cutsOf(100, 50, [{ ...piece, x: 0, y: 0, length: 100, width: 50 }], 3)).toEqual([])
    const wheel = [
      { ...piece, x: 0, y: 0, length: 60, width: 40 },
      { ...piece, x: 60, y: 0, length: 40, width: 60 },
      { ...piece, x: 40, y: 60, length: 60, width: 40 },
      { ...piece, x: 0, y: 40, length: 40, width: 60 },
    ]
    // too little room for the blade between the rows: it is cut across first
    const near = [
      { ...piece, x: 0, y: 0, length: 40, width: 30 },
      { ...piece, x: 0, y: 33, length: 40, width: 30 },
      { ...piece, x: 43, y: 0, length: 40, width: 31 },
    ]
    expect(cutsOf(100, 63, near, 3)[0]).toMatchObject({ direction: 'cross', fence: 40 })
    expect(() => cutsOf(100, 100, wheel, 0)).toThrow('edge to edge')
  })
})

describe('an offcut that does instead of two kinds of stock', () => {
  const usual = shopWith()
  const pine = usual.stock.find((s) => s.form === 'board')!
  const offcut = (noGo: string) => filledRow('offcuts', { id: 'o', name: 'Off', material: pine.material, thickness: pine.thickness, length: 1000, width: 100, noGo }) as Row<'offcuts'> // prettier-ignore
  const stock = [pine, { ...pine, id: 'pine-wide', name: 'Pine wide', width: 200 }]

  it.each(['', '500 to 520'])('is cut up for one of them, kept clear at “%s”', (noGo) => {
    const shop: Shop = { ...usual, stock, offcuts: [offcut(noGo)] }
    const { model } = design(railOf(threeMallets(), { railStock: 'pine-wide', backStock: pine.id }, shop))
    const { cuts, noPlace } = quickPlan(shop, [{ id: 'h', model: model! }])
    expect(noPlace).toEqual([])
    expect(cuts.filter((c) => c.offcut === 'o')).toHaveLength(1)
    expect(cuts.flatMap((c) => c.placements).map((p) => p.partId).sort()).toEqual(['h/back', 'h/rail']) // prettier-ignore
  })

  it('stands in no two places in the cutting of any holder', () =>
    fc.assert(
      fc.property(fc.constantFrom(...allForms).chain(anyHolder), (input) => {
        const boards = input.shop.stock.map((s) => ({ ...s, material: pine.material, thickness: pine.thickness }))
        const shop = { ...input.shop, stock: boards, offcuts: [offcut('')] }
        const { model } = design({ ...input, shop })
        if (!model) return
        const { cuts } = quickPlan(shop, [{ id: 'h', model }])
        expect(new Set(cuts.map((c) => c.key)).size).toBe(cuts.length)
      }),
      { numRuns: 60, seed: 8 },
    ))
})
