import { describe, expect, it } from 'vitest'
import { bitName, stampedUnit } from './bit-name'
import { formatExact } from '../units/format-length'
import { newShopSettings } from './inch-settings'
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
  it('of a shop of inches begin as its rules have them, near what is usual in mm', () => {
    const settings = newShopSettings('in')
    expect(newShopSettings('mm')).toEqual(usualSettings())
    expect([settings.backHeight, settings.studSpacing, settings.heavyFrom].map((v) => Number(v.toFixed(4)))).toEqual([
      88.9, 406.4, 1.5876,
    ])
    for (const key of settingKeys) {
      const { value, min, max, quantity } = SETTINGS[key]
      expect(settings[key], key).toBeGreaterThanOrEqual(min)
      expect(settings[key], key).toBeLessThanOrEqual(max)
      if (quantity !== 'length' && quantity !== 'mass') expect(settings[key], key).toBe(value)
      // studs stand closer in a country of inches; all else is as in mm to a fifth, or half a mm where it is small
      if (key === 'studSpacing') continue
      expect(Math.abs(settings[key] - value), key).toBeLessThanOrEqual(Math.max(0.2 * value, 0.4))
      const written = formatExact(settings[key], { ...inch, gridIn: 32 })
      if (quantity === 'length' && value >= 1) expect(written, key).toMatch(/^(\d+ )?\d+(\/\d+)?"$/)
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
