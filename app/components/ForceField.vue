<script setup lang="ts">
import { computed } from 'vue'
import { forceUnitFor, formatForce, parseForce } from '#core/units/force'
import { useFormat } from '~/composables/useFormat'

/** A pull typed freely, in N, kg, lb or oz, as a spring balance shows it. */
const props = defineProps<{
  modelValue: number | null
  label: string
  /** N */
  min: number
  max: number
  optional?: boolean
  placeholder?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [number | null] }>()

const { format } = useFormat()
const unit = computed(() => forceUnitFor(format.value.unit))
const own = computed(() => ({
  reads: (typed: string) => parseForce(typed, unit.value, props),
  writes: (value: number) => formatForce(value, unit.value),
}))
</script>

<template>
  <NumberField :key="unit" v-bind="props" :own="own" @update:model-value="emit('update:modelValue', $event)" />
</template>
