<script setup lang="ts">
import { ref, watch } from 'vue'
import { formatAngle, parseAngle } from '#core/units/angle'
import { useReading } from '~/composables/useReading'

/** An angle in degrees; null when it is left empty, where it may be. */
const props = defineProps<{
  modelValue: number | null
  label: string
  min: number
  max: number
  optional?: boolean
  placeholder?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [number | null] }>()

const { offer } = useReading()
const written = () => (props.modelValue === null ? '' : formatAngle(props.modelValue))
const text = ref(written())
const error = ref('')
let passedOn = props.modelValue
watch(
  () => props.modelValue,
  (value) => {
    if (value === passedOn) return
    passedOn = value
    text.value = written()
    error.value = ''
  },
)
function pass(value: number | null) {
  if (value === passedOn) return
  passedOn = value
  emit('update:modelValue', value)
}
function read(input: string): void {
  text.value = input
  if (input.trim() === '') {
    error.value = props.optional ? '' : 'Left empty: the angle before it still stands.'
    if (props.optional) pass(null)
    return
  }
  const reading = parseAngle(input, props)
  error.value = reading.ok ? '' : reading.message
  if (reading.ok) pass(reading.value)
}
const offered = () =>
  offer({
    quantity: 'angle',
    label: props.label,
    of: null,
    take: (value) => read(formatAngle(value)),
  })
</script>

<template>
  <div>
    <input
      class="field"
      :value="text"
      :aria-label="label"
      :aria-invalid="error ? 'true' : 'false'"
      :placeholder="placeholder"
      autocomplete="off"
      @input="read(($event.target as HTMLInputElement).value)"
      @focus="offered"
      @blur="error || (text = written())"
    />
    <p v-if="error" class="told wrong" role="alert">{{ error }}</p>
  </div>
</template>
