import { describe, expect, it } from 'vitest'
import { bitName, stampedUnit } from './bit-name'
import { SETTINGS, settingKeys, usualSettings } from './settings'
import { usualShop } from './usual'

const mm = { unit: 'mm', gridMm: 0.5, gridIn: 16 } as const
const inch = { unit: 'in', gridMm: 0.5, gridIn: 16 } as const

describe('a bit’s name', () => {
  it.each([
    [32, '32 mm', '32 mm (1 17/64")'],
    [31.75, '1 1/4" (31.8 mm)', '1 1/4"'],
    [12.5, '12.5 mm', '12.5 mm (31/64")'],
    [25.4, '1" (25.4 mm)', '1"'],
    [63.5, '63.5 mm', '2 1/2"'],
  ])('of %d is %s, or %s in an inch shop', (diameter, metric, imperial) => {
    expect([bitName(diameter, mm), bitName(diameter, inch)]).toEqual([metric, imperial])
  })
  it('is in the unit that it is stamped in', () => {
    expect([22, 22.225, 19.05, 40.5].map((d) => stampedUnit(d))).toEqual(['mm', 'in', 'in', 'mm'])
  })
})

describe('the settings', () => {
  it('have usual values within their limits, and a word on each', () => {
    for (const key of settingKeys) {
      const { value, min, max, about } = SETTINGS[key]
      expect(value, key).toBeGreaterThanOrEqual(min)
      expect(value, key).toBeLessThanOrEqual(max)
      expect(about.length, key).toBeGreaterThan(20)
    }
  })
  it('are a new set each time', () => {
    const mine = usualSettings()
    mine.gap = 99
    expect(usualSettings().gap).not.toBe(99)
  })
})

it('has bits and boards of its unit when a shop is new', () => {
  for (const unit of ['mm', 'in'] as const) {
    const shop = usualShop('S', unit)
    expect(shop.bits.every((b) => stampedUnit(b.diameter, unit) === unit)).toBe(true)
    expect(shop.stock.length).toBeGreaterThan(0)
  }
})
