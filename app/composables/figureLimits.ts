import { kindOf } from '#core/footprint/kinds'
import type { Choice } from '#core/forms/form'
import { LISTS, type Column, type ListKey } from '#core/shop/lists'
import { SETTINGS, type SettingKey } from '#core/shop/settings'
import { BORE_LIMITS } from '#core/shop/shop'
import type { Limits } from '#core/units/result'
import type { Figure } from '#core/working/figure'

/**
 * Between which values a figure that stands by itself lies, where it comes from: the same as when it is saved.
 * @param toolKind of the tool that was measured
 * @param choices of the holder's form
 * @returns mm, kg, degrees or bare numbers, as the figure is
 */
export function limitsOf(
  { origin }: Pick<Figure, 'origin'>,
  toolKind: string | undefined,
  choices: readonly Choice[],
): Limits {
  switch (origin.kind) {
    case 'measurement':
      return kindOf(toolKind ?? '')?.fields.find((f) => f.key === origin.field)?.noughtAllowed ? { min: 0 } : {}
    case 'shop': {
      const setting = SETTINGS[origin.key as SettingKey]
      return setting ? { min: setting.min, max: setting.max } : {}
    }
    case 'bit':
      return { min: BORE_LIMITS[0], max: BORE_LIMITS[1] }
    case 'saw':
      return columnLimits('saws', 'kerf')
    case 'stock':
      return columnLimits('stock', origin.key)
    case 'choice': {
      const choice = choices.find((c) => c.key === origin.key)
      return choice && 'min' in choice ? { min: choice.min, max: choice.max } : {}
    }
    default:
      return {}
  }
}

function columnLimits(list: ListKey, key: string): Limits {
  const column = (LISTS[list].columns as readonly Column[]).find((c) => c.key === key)
  return column && 'min' in column ? { min: column.min, max: column.max } : {}
}
