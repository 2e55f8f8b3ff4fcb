<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { formatMass, massUnitFor, parseMass } from '#core/units/mass'
import { useFormat } from '~/composables/useFormat'
import { useReading, type ReadingTarget } from '~/composables/useReading'

/** A weight typed freely, in kg, g, lb or oz; empty when it has not been on the scale. */
const props = defineProps<{
  modelValue: number | null
  inputId?: string
  label?: string
  of?: ReadingTarget['of']
  /** kg */
  min?: number
  max?: number
  /** may be left empty, which passes on null */
  optional?: boolean
  placeholder?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [number | null]; focus: []; next: [] }>()

const { format } = useFormat()
const unit = computed(() => massUnitFor(format.value.unit))
const written = computed(() => (props.modelValue === null ? '' : formatMass(props.modelValue, unit.value)))
const text = ref(written.value)
const error = ref('')
let passedOn = props.modelValue

watch([() => props.modelValue, unit], ([value], [, before]) => {
  if (value === passedOn && (before === unit.value || error.value)) return
  passedOn = value
  text.value = written.value
  error.value = ''
})

function read(input: string): void {
  text.value = input
  const empty = input.trim() === ''
  const reading = empty ? null : parseMass(input, unit.value, props)
  error.value = reading
    ? reading.ok
      ? ''
      : reading.message
    : props.optional
      ? ''
      : 'Left empty: the weight before it still stands.'
  const value = reading?.ok ? reading.value : empty && props.optional ? null : passedOn
  if (value === passedOn || input === written.value) return
  passedOn = value
  emit('update:modelValue', value)
}

const { offer } = useReading()
/** A reading of a scale goes in as if it had been typed. */
function focused(): void {
  offer({
    quantity: 'mass',
    label: props.label ?? 'Weight',
    of: props.of ?? null,
    take: (value) => {
      passedOn = value
      error.value = ''
      text.value = formatMass(value, unit.value)
      emit('update:modelValue', value)
      void nextTick(() => emit('next')) // once the figure stands, lest leaving the field put the one before back
    },
  })
  emit('focus')
}
</script>

<template>
  <div>
    <input
      :id="inputId"
      class="field"
      :value="text"
      :aria-label="label"
      :aria-invalid="error ? 'true' : 'false'"
      :placeholder="placeholder ?? 'not weighed'"
      autocomplete="off"
      @input="read(($event.target as HTMLInputElement).value)"
      @focus="focused"
      @blur="error || (text = written)"
      @keydown.enter.prevent="emit('next')"
    />
    <p v-if="error" class="told wrong" role="alert">{{ error }}</p>
  </div>
</template>
