<script setup lang="ts">
import { computed } from 'vue'
import type { Choice } from '#core/forms/form'
import { SETTINGS, type SettingKey } from '#core/shop/settings'
import { STORED_IN } from '#core/units/stored-units'
import { writeFigure } from '#core/working/text'
import type { Figure, Quantity } from '#core/working/figure'
import { limitsOf } from '~/composables/figureLimits'
import { useFormat } from '~/composables/useFormat'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'
import { useShopSettings } from '~/composables/useShopSettings'

/** Changes a figure that stands by itself, where it comes from: a measurement, a setting, a bit, a board, a choice. */
const props = defineProps<{ figure: Figure; choices: readonly Choice[] }>()
/** What is typed without a unit. */
const BARE: readonly Quantity[] = ['ratio', 'stress', 'density']
const emit = defineEmits<{ choose: [key: string, value: number] }>()

const records = useRecords()
const history = useHistory()
const shop = useShopSettings()
const { format } = useFormat()
const origin = computed(() => props.figure.origin)
const setting = computed(() =>
  origin.value.kind === 'shop' && origin.value.key in SETTINGS ? SETTINGS[origin.value.key as SettingKey] : null,
)
/** What is not one figure of a tool, and stands on its card. */
const onCard = computed(() => {
  const o = origin.value
  if (o.kind === 'readings') return { tool: o.tool, from: 'readings' }
  if (o.kind === 'shape') return { tool: o.tool, from: 'figures' }
  return o.kind === 'measurement' && o.field === 'profile' ? { tool: o.tool, from: 'profile' } : null
})
const fixed = computed(
  () =>
    (origin.value.kind === 'shop' && !setting.value) ||
    origin.value.kind === 'screw' ||
    origin.value.kind === 'magnet' ||
    origin.value.kind === 'wall' ||
    (origin.value.kind === 'stock' && origin.value.key !== 'thickness') ||
    // answers to questions are given where they are asked
    (origin.value.kind === 'choice' && (origin.value.key === 'back' || props.figure.quantity !== 'length')),
)
const limits = computed(() => {
  const o = origin.value
  const kind = o.kind === 'measurement' ? records.toolsById.get(o.tool)?.kind : undefined
  return limitsOf(props.figure, kind, props.choices)
})

function set(value: number | null) {
  const o = origin.value
  if (o.kind === 'measurement') {
    const tool = records.toolsById.get(o.tool)
    if (!tool) return
    const next =
      o.field === 'mass'
        ? { ...tool, mass: value }
        : value === null
          ? tool
          : { ...tool, measures: { ...tool.measures, [o.field]: value } }
    history.change(props.figure.label, 'tools', tool.id, next)
  } else if (value === null) return
  else if (o.kind === 'shop') shop.setting(o.key as SettingKey, value, props.figure.label)
  else if (o.kind === 'choice') emit('choose', o.key, value)
  else if (o.kind === 'bit') shop.bit({ kind: o.bit, diameter: o.diameter }, { testBore: value }, 'Test bore')
  else if (o.kind === 'saw') shop.row('saws', o.id, { kerf: value }, 'Kerf')
  else if (o.kind === 'stock') shop.row('stock', o.id, { thickness: value }, 'Thickness')
}
/** Said where it is the same in every shop, and so isn’t typed. */
const unit = computed(() =>
  BARE.includes(props.figure.quantity) && props.figure.quantity !== 'ratio'
    ? `${STORED_IN[props.figure.quantity]}, `
    : '',
)
const from = computed(() => {
  const o = origin.value
  if (o.kind === 'measurement') return 'measured'
  if (o.kind === 'shop') return `${unit.value}the shop’s: every holder follows`
  if (o.kind === 'bit') return 'the hole it really makes'
  if (o.kind === 'saw') return 'what the blade really takes'
  if (o.kind === 'stock') return `${props.figure.note}, as it really is`
  return 'this holder’s'
})
</script>

<template>
  <div class="editor">
    <LengthText v-if="onCard || fixed" class="value" :text="writeFigure(figure, format)" />
    <NuxtLink v-if="onCard" :to="`/tools?tool=${onCard.tool}`" class="small"
      >from the {{ onCard.from }} on its card</NuxtLink
    >
    <NuxtLink v-else-if="fixed" to="/shop" class="small">{{
      origin.kind === 'choice' ? 'follows from the choice above' : 'set under the shop'
    }}</NuxtLink>
    <template v-else>
      <ForceField
        v-if="figure.quantity === 'force' && setting"
        :model-value="figure.value"
        :label="figure.label"
        :min="setting.min"
        :max="setting.max"
        @update:model-value="set"
      />
      <NumberField
        v-else-if="setting && BARE.includes(figure.quantity)"
        :model-value="figure.value"
        :label="figure.label"
        :min="setting.min"
        :max="setting.max"
        @update:model-value="set"
      />
      <AngleField
        v-else-if="figure.quantity === 'angle' && setting"
        :model-value="figure.value"
        :label="figure.label"
        :min="setting.min"
        :max="setting.max"
        @update:model-value="set"
      />
      <MassField
        v-else-if="figure.quantity === 'mass'"
        :input-id="`edit-${figure.id}`"
        :model-value="figure.value"
        :label="figure.label"
        v-bind="limits"
        @update:model-value="set"
      />
      <LengthField v-else :model-value="figure.value" :label="figure.label" v-bind="limits" @update:model-value="set" />
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
