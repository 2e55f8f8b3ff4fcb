import { computed, type ComputedRef } from 'vue'
import type { Kind } from '#core/footprint/kind'
import { kindOf } from '#core/footprint/kinds'
import { remarksOn } from '#core/footprint/measuring'
import type { Sureness, Tool } from '#core/footprint/tool'
import { useFormat } from '~/composables/useFormat'
import { useHistory } from '~/stores/history'

const without = <T>(record: Record<string, T>, key: string): Record<string, T> => {
  const { [key]: _, ...rest } = record
  return rest
}

/** A tool's card: its kind, what is to be said about its figures, and the ways to change it. */
export function useToolCard(tool: () => Tool) {
  const history = useHistory()
  const { length } = useFormat()
  const kind: ComputedRef<Kind> = computed(() => kindOf(tool().kind)!)
  const remarks = computed(() => remarksOn(tool(), length))

  const patch = (label: string, more: Partial<Tool>, alone = false) =>
    history.change(label, 'tools', tool().id, { ...tool(), ...more }, alone)

  /** Sets a figure; what several earlier readings differed by no longer stands beside it. */
  function measure(key: string, label: string, value: number | null): void {
    const measures = value === null ? without(tool().measures, key) : { ...tool().measures, [key]: value }
    patch(label, { measures, spread: without(tool().spread, key) })
  }
  /** Sets a figure to the middle one of several readings, and keeps how far they lie apart. */
  function measured(key: string, label: string, readings: readonly number[]): void {
    const sorted = [...readings].sort((a, b) => a - b)
    const spread = Number((sorted.at(-1)! - sorted[0]!).toFixed(6))
    const middle = sorted[Math.floor(sorted.length / 2)]!
    patch(label, {
      measures: { ...tool().measures, [key]: middle },
      spread: { ...tool().spread, [key]: spread },
    })
  }
  function sureness(key: string, sure: Sureness): void {
    const rest = without(tool().sureOf, key)
    patch('How sure', { sureOf: sure === tool().sure ? rest : { ...rest, [key]: sure } })
  }
  /** The whole card's way of measuring; what was said of single figures still holds where it differs. */
  function allSure(sure: Sureness): void {
    const sureOf = Object.fromEntries(Object.entries(tool().sureOf).filter(([, s]) => s !== sure))
    patch('How sure', { sure, sureOf })
  }
  /** Makes it a tool of another kind: figures that both kinds have stay. */
  function become(id: string): void {
    const next = kindOf(id)!
    const keys = new Set(next.fields.map((f) => f.key))
    const kept = <T>(record: Record<string, T>) =>
      Object.fromEntries(Object.entries(record).filter(([key]) => keys.has(key)))
    const options = Object.fromEntries(
      Object.entries(tool().options).filter(([key, value]) =>
        next.options.some((o) => o.key === key && o.values.some((v) => v.value === value)),
      ),
    )
    const { measures, sureOf, spread, profile, outline, massWithBattery } = tool()
    patch(
      'Kind of tool',
      {
        kind: id,
        options,
        measures: kept(measures),
        sureOf: kept(sureOf),
        spread: kept(spread),
        profile: next.profile ? profile : [],
        outline: next.outline ? outline : null,
        massWithBattery: next.battery ? massWithBattery : null,
      },
      true,
    )
  }
  return { kind, remarks, patch, measure, measured, sureness, allSure, become }
}
