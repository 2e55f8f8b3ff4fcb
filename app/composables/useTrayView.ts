import { computed, ref, watch } from 'vue'
import type { Tool } from '#core/footprint/tool'
import { standing } from '~/composables/tools'
import { SORTS, type Sort } from '~/composables/trayLayout'
import { useRecords } from '~/stores/records'

const KEPT = 'fingerling:tray'
/** px a mm: the tray's usual scale and how far it goes either way */
const SCALE = { usual: 0.32, least: 0.12, most: 1.2, step: 1.25 }

const sameItems = <T>(a: readonly T[], b: readonly T[]) => a.length === b.length && a.every((item, i) => item === b[i])

const before = (): { sort?: string; scale?: number } => {
  try {
    return JSON.parse(localStorage.getItem(KEPT) ?? '{}') as object
  } catch {
    return {}
  }
}

/** What of the tray is looked at: the words searched for, the order, the scale. */
export function useTrayView() {
  const records = useRecords()
  const kept = before()
  const words = ref('')
  const sort = ref<Sort>(SORTS.find((s) => s.value === kept.sort)?.value ?? 'group')
  const scale = ref(Math.min(SCALE.most, Math.max(SCALE.least, Number(kept.scale) || SCALE.usual)))
  watch([sort, scale], () => localStorage.setItem(KEPT, JSON.stringify({ sort: sort.value, scale: scale.value })))

  const shown = computed<Tool[]>((before) => {
    const wanted = words.value.toLowerCase().split(/\s+/).filter(Boolean)
    if (wanted.length === 0) return records.tools
    const found = records.tools.filter((t) => {
      const { words: said } = standing(t)
      return wanted.every((w) => said.includes(w))
    })
    return before && sameItems(before, found) ? before : found
  })
  const zoom = (way: 1 | -1) =>
    (scale.value = Math.min(SCALE.most, Math.max(SCALE.least, scale.value * SCALE.step ** way)))

  return { words, sort, scale, shown, zoom }
}
