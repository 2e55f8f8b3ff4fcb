import type { PlanInput, Plan, PlannedModel } from '../forms/form'
import { gridStep } from '../units/format-length'
import type { Trail } from '../working/trail'
import type { SettingKey } from '../shop/settings'
import { SETTINGS } from '../shop/settings'
import type { Change } from './change'
import type { Remedy, Verdict } from './verdict'

/** What a check looks at: a drawn model, its trail (which the check adds its figures to), and what it was planned from. */
export interface Subject {
  input: PlanInput
  plan: Plan
  model: PlannedModel
  trail: Trail
}

/** One check: looks at a model and says what it finds, place by place. */
export type Check = (subject: Subject) => Verdict[]

/** A part in a million of a millimetre: figures that meet their limit by construction must not fail by rounding. */
export const TOLERANCE = 1e-6

/** A shop's setting on the trail. */
export function limitFrom({ input, trail }: Subject, key: SettingKey): number {
  const value = input.shop.settings[key]
  if (trail.has(key)) return value
  const { label, quantity } = SETTINGS[key]
  return trail.given(key, label, value, { kind: 'shop', key }, { quantity })
}

/** The grid's step on the trail: half of it counts against a figure which is set out by marks. */
export const gridOn = ({ input, trail }: Subject): number =>
  trail.given('grid', 'Grid of printed marks', gridStep(input.shop), { kind: 'shop', key: 'grid' })

export const remedy = (label: string, change: Change): Remedy => ({ label, change })
