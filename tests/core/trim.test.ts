import { describe, expect, it } from 'vitest'
import { trimWords } from '#core/bench/cut-words'
import { seenSheet } from '#core/bench/seen-sheet'
import { benchSteps } from '#core/bench/steps/steps'
import { design } from '#core/choose/design'
import { cutUp, keptOf } from '#core/cutting/bin'
import { cutsOf } from '#core/cutting/cuts'
import { quickCuts, quickPlan } from '#core/cutting/quick-cuts'
import { lyingSize, wholeSize } from '#core/cutting/sheets-used'
import { filledRow, type Row } from '#core/shop/lists'
import { isEnough, newPiece } from '#core/shop/pieces-of-stock'
import type { Stock } from '#core/shop/shop'
import { usualShop } from '#core/shop/usual'
import { newWall } from '#core/wall/wall'
import { wallDesign } from '#core/wall/backing/wall-model'
import { board, railOf, shopWith, threeMallets } from './samples'
import { isPart, sawThrough } from './saw-through'

const plank = { ...board('b', 'Board', 'eastern white pine', 18), length: 900, width: 200 }
const sheet = { ...board('s', 'Sheet', 'birch ply', 18), form: 'sheet' as const, length: 900, width: 200 }
const trims = { trimEnds: 12, trimEdges: 5 }
const planned = (stock: Stock, settings = trims, offcuts: Row<'offcuts'>[] = []) => {
  const shop = shopWith({ stock: [stock], offcuts }, settings)
  const { model } = design(railOf(threeMallets(), {}, shop))
  return { shop, model: model!, cuts: quickCuts(shop, [{ id: 'h', model: model! }]) }
}

describe('what is cut off new stock', () => {
  it('is off both ends, and off the edges of sheets alone', () => {
    const shop = shopWith({}, trims)
    expect(newPiece(shop, plank)).toEqual({ length: 876, width: 200 })
    expect(newPiece(shop, sheet)).toEqual({ length: 876, width: 190 })
    expect(newPiece(shop, { ...plank, length: 20, width: null })).toEqual({ length: 1, width: null })
    expect(isEnough(shop, plank, 876, 200, false)).toBe(true)
    expect(isEnough(shop, plank, 877, 200, false)).toBe(false)
    expect(isEnough(shopWith(), plank, 900, 200, false)).toBe(true)
  })

  it.each([plank, sheet])(
    'leaves pieces that are measured from the trimmed end and edge, each cut to its size: $name',
    (stock) => {
      const { cuts } = planned(stock)
      const [first] = cuts
      const edges = stock.form === 'sheet' ? 5 : 0
      expect(wholeSize(first!)).toEqual({ length: 900, width: 200 })
      expect(lyingSize(first!)).toEqual({ length: 888, width: 200 - edges })
      for (const s of cuts) {
        const lies = lyingSize(s)
        const { pieces } = sawThrough(lies.length, lies.width, s.cuts, s.job.instance.kerf)
        for (const p of s.placements) {
          expect(
            pieces.some((q) => isPart(q, p)),
            p.partId,
          ).toBe(true)
          expect(p.x + p.length).toBeLessThanOrEqual(876 + 1e-6)
          expect(p.y + p.width).toBeLessThanOrEqual(200 - 2 * edges + 1e-6)
        }
        expect(seenSheet(s).length).toBeLessThanOrEqual(888)
      }
    },
  )

  it('is told before the cuts, with the piece as it comes', () => {
    const { shop, model, cuts } = planned(sheet)
    const { steps } = benchSteps({ model, shop, cuts }, 'h')
    expect(steps[0]!.settings[0]!.value).toBe('900 mm × 200 mm')
    expect(steps[0]!.says[0]).toBe('Trim 12 mm off one end and 5 mm off one edge, square: all is measured from there.')
    expect(trimWords(planned(plank).cuts[0]!, shop)).toContain('Trim 12 mm off one end, square')
    const none = planned(plank, { trimEnds: 0, trimEdges: 0 })
    expect(trimWords(none.cuts[0]!, none.shop)).toBeNull()
    expect(trimWords(cuts[0]!, { ...shop, unit: 'in', gridIn: 16 })).toContain('0.472" off one end')
  })

  it('is not in the bin afterwards, nor cut off what is in the bin already', () => {
    const { shop, cuts } = planned(plank)
    const used = Math.max(...cuts[0]!.placements.map((p) => p.x + p.length))
    const kept = keptOf(cuts[0]!, shop)
    for (const l of kept) expect(l.x + l.length).toBeLessThanOrEqual(876 + 1e-6)
    expect(used).toBeLessThan(876)
    const { offcuts } = cutUp(shop, cuts[0]!, () => 'o')
    expect(offcuts.every((o) => o.length < 876)).toBe(true)
    const off = filledRow('offcuts', { id: 'o', name: 'Off', material: plank.material, thickness: 18, length: 900, width: 200 }) as Row<'offcuts'> // prettier-ignore
    const again = planned(plank, trims, [off]).cuts.find((c) => c.offcut === 'o')!
    expect(wholeSize(again)).toEqual({ length: 900, width: 200 })
    expect(lyingSize(again)).toEqual({ length: 900, width: 200 })
    expect(trimWords(again, shop)).toBeNull()
  })

  it('leaves in the bin what the cuts leave, of a piece as wide as what is left of the sheet too', () => {
    const long = { ...sheet, length: 2400 }
    const { shop, cuts } = planned(long)
    const s = cuts[0]!
    const wide = { ...s, placements: [{ ...s.placements[0]!, x: 0, y: 0, length: 168, width: 190 }], job: { ...s.job, held: { shortest: 300, always: true } } } // prettier-ignore
    const lies = lyingSize(wide)
    const made = { ...wide, cuts: cutsOf(lies.length, lies.width, wide.placements, 2, wide.job.held) }
    const kerf = { ...made, job: { ...made.job, instance: { ...made.job.instance, kerf: 2 } } }
    // it is ripped to lose its other edge, so that the blank stays 300 long
    expect(made.cuts[0]).toMatchObject({ direction: 'cross', fence: 300 })
    expect(keptOf(kerf, shop)).toContainEqual({ x: 302, y: 0, length: 2400 - 24 - 302, width: 190 })
  })

  it('counts where a part is too long for what is left, and shows its working', () => {
    const long = { ...plank, length: 310 }
    const shop = shopWith({ stock: [long] }, trims)
    const d = design(railOf(threeMallets(), {}, shop))
    const told = d.verdicts.find((v) => v.check === 'stock' && v.level === 'watch')!
    expect(told.says).toContain('Board comes 286 mm long')
    const figure = d.working.find((f) => f.id === told.limitFigure)!
    expect(figure.value).toBe(286)
    expect(figure.formula).toBe('max([1 mm], {stock:b:length:whole} − 2 × {trimEnds})')
    expect(quickPlan(shop, [{ id: 'h', model: d.model! }]).noPlace.length).toBeGreaterThan(0)
  })

  it.each(['panel', 'strips', 'framed', 'uprights'] as const)('leaves a wall of %s that can be cut', (holds) => {
    const usual = usualShop('S', 'mm', 'full')
    const shop = { ...usual, settings: { ...usual.settings, trimEnds: 15, trimEdges: 6 } }
    const { model } = wallDesign({ ...newWall('w', 'mm'), holds }, shop)
    expect(quickPlan(shop, [{ id: 'w', model: model! }]).noPlace).toEqual([])
  })
})
