<script setup lang="ts" generic="T extends number | null">
import { ref, watch } from 'vue'
import { readNumber } from '#core/units/plain-text'

/** A bare number between two limits; fractions and a decimal comma are read too. Null when it is left empty, where it may be. */
const props = defineProps<{
  modelValue: T
  label: string
  min: number
  max: number
  optional?: boolean
  placeholder?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [T] }>()

const written = () => (props.modelValue === null ? '' : String(Number(props.modelValue.toFixed(4))))
const text = ref(written())
const error = ref('')
let passedOn: number | null = props.modelValue
watch(
  () => props.modelValue,
  (value) => {
    if (value === passedOn) return
    passedOn = value
    text.value = written()
    error.value = ''
  },
)
function pass(value: number | null): void {
  error.value = ''
  if (value === passedOn) return
  passedOn = value
  emit('update:modelValue', value as T)
}
function read(input: string): void {
  text.value = input
  if (input.trim() === '' && props.optional) return pass(null)
  const value = readNumber(input)
  if (value === null) error.value = `Can’t read “${input.slice(0, 40)}” as a number.`
  else if (value < props.min || value > props.max) error.value = `It lies between ${props.min} and ${props.max}.`
  else pass(value)
}
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
    />
    <p v-if="error" class="told wrong" role="alert">{{ error }}</p>
  </div>
</template>
