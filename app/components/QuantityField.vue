<script setup lang="ts">
import type { Component } from 'vue'
import AngleField from '~/components/AngleField.vue'
import ForceField from '~/components/ForceField.vue'
import LengthField from '~/components/LengthField.vue'
import MassField from '~/components/MassField.vue'
import NumberField from '~/components/NumberField.vue'
import type { Quantity } from '#core/working/figure'

/**
 * The field that a figure of a quantity is typed in: mm, kg, N, degrees, or a bare number for all else, which has both
 * limits. Null when it is left empty, where it may be.
 */
defineProps<{
  quantity: Quantity
  modelValue: number | null
  label: string
  min?: number
  max?: number
  optional?: boolean
  placeholder?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [number | null] }>()

const FIELDS: Partial<Record<Quantity, Component>> = {
  length: LengthField,
  mass: MassField,
  force: ForceField,
  angle: AngleField,
}
</script>

<template>
  <component
    :is="FIELDS[quantity] ?? NumberField"
    :model-value="modelValue"
    :label="label"
    :min="min"
    :max="max"
    :optional="optional"
    :placeholder="placeholder"
    @update:model-value="emit('update:modelValue', $event)"
  />
</template>
