import type { LengthFormat } from '../units/format-length'
import type { Sureness } from '../footprint/tool'
import { usualSettings, type SettingKey } from './settings'

/** A bit by the size stamped on it, and by the hole it really makes where that has been measured. mm. */
export interface Bit {
  diameter: number
  /** diameter of a test bore, or null when none was measured */
  testBore: number | null
  /** on the shopping list, not in the drawer yet */
  toBuy: boolean
}

/** A board or sheet that parts are cut from. */
export interface Stock {
  id: string
  name: string
  material: string
  /** as it really is, mm */
  thickness: number
}

export const FITS = ['snug', 'sliding', 'easy'] as const
export type Fit = (typeof FITS)[number]

/** One shop: how it writes lengths, what it owns, what it has settled on. */
export interface Shop extends LengthFormat {
  name: string
  settings: Record<SettingKey, number>
  bits: Bit[]
  stock: Stock[]
}

/** The setting that holds a fit's allowance. */
export const FIT_SETTING: Record<Fit, SettingKey> = { snug: 'fitSnug', sliding: 'fitSliding', easy: 'fitEasy' }

/** The setting that holds what a way of measuring may be out by. */
export const SURE_SETTING: Record<Sureness, SettingKey> = { caliper: 'sureCaliper', rule: 'sureRule', eye: 'sureEye' }

/** A bit as it is bought: no test bore yet. */
export const plainBit = (diameter: number): Bit => ({ diameter, testBore: null, toBuy: false })

/** A new shop with usual settings, a few common bits and boards. */
export function usualShop(name = 'My shop', unit: Shop['unit'] = 'mm'): Shop {
  const sizes =
    unit === 'mm'
      ? [12, 16, 20, 22, 25, 28, 30, 32, 35, 38, 40]
      : [1 / 2, 5 / 8, 3 / 4, 7 / 8, 1, 1.125, 1.25, 1.375, 1.5, 1.625].map((inch) => inch * 25.4)
  return {
    name,
    unit,
    gridMm: 0.5,
    gridIn: 16,
    settings: usualSettings(),
    bits: sizes.map(plainBit),
    stock:
      unit === 'mm'
        ? [
            { id: 'pine-18', name: 'Pine board 18', material: 'pine', thickness: 18 },
            { id: 'birch-ply-18', name: 'Birch ply 18', material: 'birch ply', thickness: 17.7 },
          ]
        : [
            { id: 'pine-1by', name: 'Pine one-by', material: 'pine', thickness: 19.05 },
            { id: 'birch-ply-34', name: 'Birch ply 3/4', material: 'birch ply', thickness: 18.3 },
          ],
  }
}
