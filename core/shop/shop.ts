import type { LengthFormat } from '../units/format-length'
import type { Sureness } from '../footprint/tool'
import type { ListKey, Row } from './lists'
import type { SettingKey } from './settings'

export const BIT_KINDS = ['forstner', 'spade', 'brad-point', 'twist', 'hole saw'] as const
export type BitKind = (typeof BIT_KINDS)[number]

/** How wide and how deep a bit may bore, mm. */
export const BORE_LIMITS = [0.5, 300] as const
export const DEPTH_LIMITS = [1, 1000] as const

/** A bit by its kind and the size stamped on it, and by the hole it really makes where that has been measured. mm. */
export interface Bit {
  kind: BitKind
  diameter: number
  /** diameter of a test bore, or null when none was measured */
  testBore: number | null
  /** how deep it bores, or null when that was not measured */
  depth: number | null
  /** on the shopping list, not in the drawer yet */
  toBuy: boolean
}

/** A board, sheet, rod or pipe that parts are cut from. */
export type Stock = Row<'stock'>

export const FITS = ['snug', 'sliding', 'easy'] as const
export type Fit = (typeof FITS)[number]

/** One shop: how it writes lengths, what it owns, what it has settled on. */
export type Shop = LengthFormat & {
  name: string
  settings: Record<SettingKey, number>
  bits: Bit[]
} & { [L in ListKey]: Row<L>[] }

/** The setting that holds a fit's allowance. */
export const FIT_SETTING: Record<Fit, SettingKey> = { snug: 'fitSnug', sliding: 'fitSliding', easy: 'fitEasy' }

/** The setting that holds what a way of measuring may be out by. */
export const SURE_SETTING: Record<Sureness, SettingKey> = { caliper: 'sureCaliper', rule: 'sureRule', eye: 'sureEye' }

/** A bit as it is bought: no test bore yet. */
export const newBit = (kind: BitKind, diameter: number): Bit => ({
  kind,
  diameter,
  testBore: null,
  depth: null,
  toBuy: false,
})

/** A new bit of the kind that slots are mostly bored with. */
export const plainBit = (diameter: number): Bit => newBit('forstner', diameter)

/** True for two bits that are the same by kind and size. */
export const sameBit = (a: Pick<Bit, 'kind' | 'diameter'>, b: Pick<Bit, 'kind' | 'diameter'>): boolean =>
  a.kind === b.kind && Math.abs(a.diameter - b.diameter) < 1e-6
