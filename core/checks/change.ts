import type { PlanInput } from '../forms/form'
import { plainBit } from '../shop/shop'
import type { SettingKey } from '../shop/settings'

/** One change to what a plan is made from. A remedy is such a change. */
export type Change =
  | { kind: 'choice'; key: string; value: string | number | null }
  | { kind: 'setting'; key: SettingKey; value: number }
  | { kind: 'bit to buy'; diameter: number }
  | { kind: 'turn'; seat: string; turn: 0 | 1 | 2 | 3 }
  | { kind: 'leave out'; seats: string[] }

/** The same input with a change made; the input itself stays as it is. A null choice goes back to the usual or the shop's. */
export function withChange(input: PlanInput, change: Change): PlanInput {
  const { shop, holder } = input
  switch (change.kind) {
    case 'choice': {
      const { [change.key]: _, ...rest } = holder.choices
      const choices = change.value === null ? rest : { ...rest, [change.key]: change.value }
      return { ...input, holder: { ...holder, choices } }
    }
    case 'setting':
      return { ...input, shop: { ...shop, settings: { ...shop.settings, [change.key]: change.value } } }
    case 'bit to buy':
      return { ...input, shop: { ...shop, bits: [...shop.bits, { ...plainBit(change.diameter), toBuy: true }] } }
    case 'turn': {
      const seats = holder.seats.map((s) => (s.id === change.seat ? { ...s, turn: change.turn } : s))
      return { ...input, holder: { ...holder, seats } }
    }
    case 'leave out':
      return { ...input, holder: { ...holder, seats: holder.seats.filter((s) => !change.seats.includes(s.id)) } }
  }
}
