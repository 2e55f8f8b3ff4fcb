import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { benchSteps } from '#core/bench/steps/steps'
import { design } from '#core/choose/design'
import { cutsOf } from '#core/cutting/cuts'
import { quickCuts } from '#core/cutting/quick-cuts'
import { largestSound, soundParts } from '#core/shop/sound-parts'
import { formatPlaces, MOST_PLACES, parsePlaces, placesOf, placesText, type Place } from '#core/shop/places'
import { usualShop } from '#core/shop/usual'
import { formatExact } from '#core/units/format-length'
import { isPart, sawThrough } from './saw-through'
import { board, railOf, shopWith, threeMallets } from './samples'

describe('where a board is kept clear', () => {
  it('is read as people write it, in mm and inches', () => {
    expect(parsePlaces('310 to 350; 500-540 × 0 to 60', 'mm')).toEqual([
      { from: 310, to: 350, low: 0, high: Infinity },
      { from: 500, to: 540, low: 0, high: 60 },
    ])
    expect(placesText(parsePlaces('1 1/2 to 2" x 0..1', 'in') as Place[])).toBe('38.1 to 50.8 × 0 to 25.4')
    expect(parsePlaces(' ; ', 'mm')).toEqual([])
  })

  it('says what can’t be read, and how to write it', () => {
    for (const wrong of ['310', '350 to 310', '-5 to 3', 'here to there', '1 to 2 × 3 to 4 × 5 to 6', '10 to 30000'])
      expect(parsePlaces(wrong, 'mm'), wrong).toMatch(/./)
    expect(parsePlaces('here to there', 'in')).toContain('Write it like 12 to 13 1/2')
    expect(parsePlaces(Array.from({ length: MOST_PLACES + 1 }, (_, i) => `${i} to ${i + 1}`).join(';'), 'mm')).toContain('at most') // prettier-ignore
  })

  it('comes back as it was kept and written', () => {
    const places: Place[] = [
      { from: 25.4, to: 38.1, low: 0, high: Infinity },
      { from: 101.6, to: 127, low: 12.7, high: 25.4 },
    ]
    expect(placesOf(placesText(places))).toEqual(places)
    for (const unit of ['mm', 'in'] as const)
      expect(
        placesText(
          parsePlaces(
            formatPlaces(places, (mm) => formatExact(mm, { ...usualShop(), unit }, false)),
            unit,
          ) as Place[],
        ),
      ).toBe(placesText(places))
    expect(placesOf('what is this')).toEqual([])
  })
})

const place = fc.record({
  from: fc.integer({ min: 0, max: 700 }),
  long: fc.integer({ min: 3, max: 120 }),
  low: fc.integer({ min: 0, max: 200 }),
  wide: fc.oneof(fc.constant(Infinity), fc.integer({ min: 3, max: 90 })),
})

describe('what is sound of a board', () => {
  it('holds no spoilt place, lies in the board, and is parted from the rest by the saw', () => {
    fc.assert(
      fc.property(fc.array(place, { maxLength: 5 }), fc.constantFrom(0, 2.4, 3.2), (drawn, kerf) => {
        const places = drawn.map((d): Place => ({ from: d.from, to: d.from + d.long, low: d.wide === Infinity ? 0 : d.low, high: d.low + d.wide })) // prettier-ignore
        const parts = soundParts(700, 200, places, kerf)
        for (const p of parts) {
          expect(p.x).toBeGreaterThanOrEqual(0)
          expect(p.x + p.length).toBeLessThanOrEqual(700 + 1e-9)
          expect(p.y + p.width).toBeLessThanOrEqual(200 + 1e-9)
          for (const q of places)
            expect(q.to > p.x + 1e-9 && q.from < p.x + p.length - 1e-9 && q.high > p.y + 1e-9 && q.low < p.y + p.width - 1e-9).toBe(false) // prettier-ignore
        }
        const placed = parts.map((p, i) => ({ stockId: 's', stockIndex: 0, partId: String(i), rotated: false, ...p }))
        const { pieces } = sawThrough(700, 200, cutsOf(700, 200, placed, kerf), kerf)
        for (const p of placed)
          expect(
            pieces.some((s) => isPart(s, p)),
            p.partId,
          ).toBe(true)
      }),
      { seed: 11, numRuns: 400 },
    )
  })

  it('is the whole board without any place, and nothing where all of it is spoilt', () => {
    expect(soundParts(700, 200, [], 3)).toEqual([{ x: 0, y: 0, length: 700, width: 200 }])
    expect(soundParts(700, 200, [{ from: 0, to: 700, low: 0, high: Infinity }], 3)).toEqual([])
    // of a rod only what is along it counts
    expect(soundParts(700, 0, [{ from: 300, to: 320, low: 0, high: 5 }], 3)).toEqual([
      { x: 0, y: 0, length: 300, width: 0 },
      { x: 320, y: 0, length: 380, width: 0 },
    ])
  })

  it('takes the way of parting that leaves the largest piece', () => {
    const o = { id: 'o', name: 'Lid', form: 'board' as const, material: 'pine', thickness: 18, length: 700, width: 200, grain: 'along its length' as const, noGo: '340 to 360 × 0 to 20', note: '' } // prettier-ignore
    expect(largestSound(o)).toEqual({ x: 0, y: 20, length: 700, width: 180 })
    expect(largestSound({ ...o, width: null })).toBeNull()
  })
})

describe('cutting from an offcut with a knot', () => {
  const stock = { ...board('b', 'Board', 'eastern white pine', 18), length: 2400, width: 200 }
  const knotty = { id: 'o', name: 'Knotty', form: 'board' as const, material: 'eastern white pine', thickness: 18, length: 900, width: 220, grain: 'along its length' as const, noGo: '400 to 440 × 60 to 110; 890 to 900', note: '' } // prettier-ignore

  it('lays nothing over it, saws it in one piece with the rest, and says so at the bench', () => {
    const shop = shopWith({ stock: [stock], offcuts: [knotty] })
    const { model } = design(railOf(threeMallets(), {}, shop))
    const cuts = quickCuts(shop, [{ id: 'h', model: model! }])
    const sheet = cuts.find((c) => c.offcut === 'o')!
    expect(sheet.stock).toMatchObject({ length: 900, width: 220 })
    expect(cuts.filter((c) => c.offcut === 'o')).toHaveLength(1)
    for (const p of sheet.placements)
      for (const q of placesOf(knotty.noGo))
        expect(q.to > p.x && q.from < p.x + p.length && q.high > p.y && q.low < p.y + p.width).toBe(false)
    const { pieces } = sawThrough(900, 220, sheet.cuts, sheet.job.instance.kerf)
    for (const p of sheet.placements)
      expect(
        pieces.some((s) => isPart(s, p)),
        p.partId,
      ).toBe(true)
    const { steps } = benchSteps({ model: model!, shop, cuts }, 'h')
    expect(steps.some((s) => s.says.some((t) => t.startsWith('Keep clear of 400 mm to 440 mm')))).toBe(true)
  })
})
