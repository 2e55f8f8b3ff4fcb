<script setup lang="ts">
import { computed } from 'vue'
import type { Column } from '#core/shop/lists'
import { useRecords } from '~/stores/records'

/** One cell of a list of the shop, by what its column holds. */
type Value = string | number | boolean | null
const props = defineProps<{ column: Column; modelValue: Value; label: string }>()
const emit = defineEmits<{ 'update:modelValue': [Value] }>()

const records = useRecords()
const number = computed(() => props.modelValue as number | null)
const materials = computed(() => {
  const names = records.shop!.materials.map((m) => m.name)
  const mine = String(props.modelValue ?? '')
  return names.includes(mine) ? names : [mine, ...names]
})
/** A figure that may be left out is passed on as null; one that must be there is not passed on empty. */
function pass(column: Column, value: number | null) {
  if (value !== null || ('empty' in column && column.empty !== undefined)) emit('update:modelValue', value)
}
</script>

<template>
  <NameField
    v-if="column.type === 'name'"
    :model-value="String(modelValue)"
    :label="label"
    @update:model-value="emit('update:modelValue', $event)"
  />
  <input
    v-else-if="column.type === 'text'"
    class="field"
    maxlength="500"
    :value="modelValue"
    :aria-label="label"
    @input="emit('update:modelValue', ($event.target as HTMLInputElement).value)"
  />
  <ShopPlaces
    v-else-if="column.type === 'places'"
    :model-value="String(modelValue ?? '')"
    :label="label"
    @update:model-value="emit('update:modelValue', $event)"
  />
  <select
    v-else-if="column.type === 'material' || column.type === 'option'"
    class="field"
    :value="modelValue"
    :aria-label="label"
    @change="emit('update:modelValue', ($event.target as HTMLSelectElement).value)"
  >
    <option v-for="v in column.type === 'material' ? materials : column.values" :key="v" :value="v">
      {{ v || '–' }}
    </option>
  </select>
  <input
    v-else-if="column.type === 'flag'"
    type="checkbox"
    :checked="modelValue === true"
    :aria-label="label"
    @change="emit('update:modelValue', ($event.target as HTMLInputElement).checked)"
  />
  <QuantityField
    v-else
    :quantity="column.type === 'number' ? 'ratio' : column.type"
    :model-value="number"
    :label="label"
    :min="column.min"
    :max="column.max"
    :optional="column.empty !== undefined"
    :placeholder="column.empty"
    @update:model-value="pass(column, $event)"
  />
</template>
