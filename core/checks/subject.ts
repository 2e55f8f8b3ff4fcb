import { formOf } from '../forms/all-forms'
import { optionOf } from '../forms/choice-value'
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

/**
 * Questions that several forms ask under the same key, so that a check can offer another answer as a way out: `fit`,
 * `slots`, `pitch`, `ends`, `back`, `hole`, `layers`, and the lengths `gap`, `margin`, `depth`.
 * @returns the form's own answer to one of them as it stands, or undefined where it doesn't ask
 */
export function answerTo(input: PlanInput, key: string): string | undefined {
  const choices = formOf(input.holder.form)?.choices ?? []
  return choices.some((c) => c.key === key && c.type === 'option') ? optionOf(choices, input, key) : undefined
}

/** The answers to a question that are numbers, such as angles, as the form has them; empty where it doesn't ask. */
export function numbersFor(input: PlanInput, key: string): number[] {
  const choice = formOf(input.holder.form)?.choices.find((c) => c.key === key)
  return choice?.type === 'option' ? choice.values.map((v) => Number(v.value)) : []
}

/** Another answer to a question as a way out; none where the form doesn't ask, has no such answer, or it is given already. */
export function offer(input: PlanInput, label: string, key: string, value: string): Remedy[] {
  const choice = formOf(input.holder.form)?.choices.find((c) => c.key === key)
  if (choice?.type !== 'option' || !choice.values.some((v) => v.value === value)) return []
  return answerTo(input, key) === value ? [] : [remedy(label, { kind: 'choice', key, value })]
}

/** Lets a length of the form that was given follow from the plan again; none where the form has no such length. */
export const letFollow = (input: PlanInput, label: string, key: string): Remedy[] =>
  formOf(input.holder.form)?.choices.some((c) => c.key === key && c.type === 'derived length')
    ? [remedy(label, { kind: 'choice', key, value: null })]
    : []

/** Tighter fits than the one there is. */
export const tighterFits = (input: PlanInput): Remedy[] => [
  ...(answerTo(input, 'fit') === 'easy' ? offer(input, 'Sliding fit', 'fit', 'sliding') : []),
  ...offer(input, 'Snug fit', 'fit', 'snug'),
]
