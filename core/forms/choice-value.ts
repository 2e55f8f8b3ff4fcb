import type { Choice, PlanInput } from './form'
import type { Stock } from '../shop/shop'
import type { Trail } from '../working/trail'
import { SETTINGS } from '../shop/settings'

/** The value of an option choice, the usual one when it was not made. */
export function optionOf(choices: readonly Choice[], input: PlanInput, key: string): string {
  const choice = choices.find((c) => c.key === key)
  if (choice?.type !== 'option') throw new RangeError(`${key} is no option of this form`)
  const value = input.holder.choices[key]
  return choice.values.some((v) => v.value === value) ? (value as string) : choice.usual
}

/** A length of the holder that follows the shop's setting until it is given; put on the trail under `key`. mm. */
export function lengthOf(choices: readonly Choice[], input: PlanInput, trail: Trail, key: string): number {
  const choice = choices.find((c) => c.key === key)
  if (choice?.type !== 'length') throw new RangeError(`${key} is no length of this form`)
  const own = input.holder.choices[key]
  if (typeof own === 'number')
    return trail.given(key, choice.label, own, { kind: 'choice', key }, { note: 'this holder’s own' })
  const { setting } = choice
  return trail.given(
    key,
    choice.label,
    input.shop.settings[setting],
    { kind: 'shop', key: setting },
    { note: 'the shop’s' },
  )
}

/** The greatest value a length of the form may be given, mm; Infinity where it is no such length. */
export function greatestLength(choices: readonly Choice[], key: string): number {
  const choice = choices.find((c) => c.key === key)
  return choice && 'max' in choice ? choice.max : Infinity
}

/** A shop's setting, put on the trail under its own key. */
export function settingOf(input: PlanInput, trail: Trail, key: keyof typeof SETTINGS): number {
  const value = input.shop.settings[key]
  if (trail.has(key)) return value
  const { label, quantity } = SETTINGS[key]
  return trail.given(key, label, value, { kind: 'shop', key }, { quantity })
}

/** The stock chosen for a part: the chosen one, else the usual one of those that the question allows; null when it has none. */
export function stockOf(choices: readonly Choice[], input: PlanInput, key: string): Stock | null {
  const choice = choices.find((c) => c.key === key)
  if (choice?.type !== 'stock') throw new RangeError(`${key} is no stock of this form`)
  const { stock } = input.shop
  const chosen = stock.find((s) => s.id === input.holder.choices[key])
  const allowed = stock.filter((s) => choice.of.includes(s.form))
  if (chosen || allowed.length === 0) return chosen ?? null
  return choice.usual?.(allowed, input) ?? allowed[0]!
}
