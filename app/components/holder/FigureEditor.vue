<script setup lang="ts">
import { computed } from 'vue'
import type { Choice } from '#core/forms/form'
import { SETTINGS, type SettingKey } from '#core/shop/settings'
import { withUnit } from '#core/units/stored-units'
import { writeFigure } from '#core/working/text'
import type { Figure } from '#core/working/figure'
import { limitsOf } from '~/composables/figureLimits'
import { useFormat } from '~/composables/useFormat'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'
import { useShopSettings } from '~/composables/useShopSettings'

/** Changes a figure that stands by itself, where it comes from: a measurement, a setting, a bit, a board, a choice. */
const props = defineProps<{ figure: Figure; choices: readonly Choice[] }>()
const emit = defineEmits<{ choose: [key: string, value: number] }>()

const records = useRecords()
const history = useHistory()
const shop = useShopSettings()
const { format } = useFormat()
const origin = computed(() => props.figure.origin)
const setting = computed(() =>
  origin.value.kind === 'shop' && origin.value.key in SETTINGS ? SETTINGS[origin.value.key as SettingKey] : null,
)
/** Where a figure is changed that is not changed here: in words, and the page, where it is another. */
const elsewhere = computed<{ says: string; to?: string } | null>(() => {
  const o = origin.value
  const onCard = (tool: string, what: string) => ({ says: `from the ${what} on its card`, to: `/tools?tool=${tool}` })
  const inShop = { says: 'set under the shop', to: '/shop' }
  switch (o.kind) {
    case 'readings':
      return onCard(o.tool, 'readings')
    case 'shape':
      return onCard(o.tool, 'figures')
    case 'measurement':
      return o.field === 'profile' ? onCard(o.tool, 'profile') : null
    case 'wall':
      return { says: 'measured on the wall', to: '/wall' }
    case 'screw':
    case 'magnet':
      return inShop
    case 'shop':
      return setting.value ? null : inShop
    case 'stock':
      return o.key in OF_STOCK ? null : inShop
    case 'choice':
      // answers to questions are given where they are asked
      return o.key === 'back' || props.figure.quantity !== 'length' ? { says: 'follows from the choice above' } : null
    default:
      return null
  }
})
const limits = computed(() => {
  const o = origin.value
  const kind = o.kind === 'measurement' ? records.toolsById.get(o.tool)?.kind : undefined
  return limitsOf(props.figure, kind, props.choices)
})

/** Sizes of stock that are set here, by what the change is called. */
const OF_STOCK: Record<string, string> = { thickness: 'Thickness', wall: 'Wall of a pipe' }

/** A weight, which is no measure of the card's: bare, or with the battery. */
const isWeight = (field: string): boolean => field === 'mass' || field === 'massWithBattery'

function set(value: number | null) {
  const o = origin.value
  if (o.kind === 'measurement') {
    const tool = records.toolsById.get(o.tool)
    if (!tool) return
    const next = isWeight(o.field)
      ? { ...tool, [o.field]: value }
      : value === null
        ? tool
        : { ...tool, measures: { ...tool.measures, [o.field]: value } }
    history.change(props.figure.label, 'tools', tool.id, next)
  } else if (value === null) return
  else if (o.kind === 'shop') shop.setting(o.key as SettingKey, value, props.figure.label)
  else if (o.kind === 'choice') emit('choose', o.key, value)
  else if (o.kind === 'bit') shop.bit({ kind: o.bit, diameter: o.diameter }, { testBore: value }, 'Test bore')
  else if (o.kind === 'saw') shop.row('saws', o.id, { kerf: value }, 'Kerf')
  else if (o.kind === 'stock') shop.row('stock', o.id, { [o.key]: value }, OF_STOCK[o.key]!)
}
const from = computed(() => {
  const o = origin.value
  if (o.kind === 'measurement') return 'measured'
  if (o.kind === 'shop') return withUnit('the shop’s: every holder follows', props.figure.quantity)
  if (o.kind === 'bit') return 'the hole it really makes'
  if (o.kind === 'saw') return 'what the blade really takes'
  if (o.kind === 'stock') return `${props.figure.note}, as it really is`
  return 'this holder’s'
})
</script>

<template>
  <div class="editor">
    <template v-if="elsewhere">
      <LengthText class="value" :text="writeFigure(figure, format)" />
      <NuxtLink v-if="elsewhere.to" :to="elsewhere.to" class="small">{{ elsewhere.says }}</NuxtLink>
      <span v-else class="quiet small">{{ elsewhere.says }}</span>
    </template>
    <template v-else>
      <QuantityField
        :quantity="figure.quantity"
        :model-value="figure.value"
        :label="figure.label"
        :optional="origin.kind === 'measurement' && isWeight(origin.field)"
        v-bind="limits"
        @update:model-value="set"
      />
      <span class="quiet small">{{ from }}</span>
    </template>
  </div>
</template>

<style scoped>
.editor {
  display: grid;
  gap: 1px;
}
.value,
a {
  text-align: right;
}
</style>
