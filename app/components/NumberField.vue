<script setup lang="ts">
import { ref, watch } from 'vue'
import { readNumber } from '#core/units/plain-text'

/** A bare number between two limits; fractions and a decimal comma are read too. */
const props = defineProps<{ modelValue: number; label: string; min: number; max: number }>()
const emit = defineEmits<{ 'update:modelValue': [number] }>()

const written = () => String(Number(props.modelValue.toFixed(4)))
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
function read(input: string): void {
  text.value = input
  const value = readNumber(input)
  if (value === null) error.value = `Can’t read “${input.slice(0, 40)}” as a number.`
  else if (value < props.min || value > props.max) error.value = `It lies between ${props.min} and ${props.max}.`
  else {
    error.value = ''
    if (value === passedOn) return
    passedOn = value
    emit('update:modelValue', value)
  }
}
</script>

<template>
  <div>
    <input
      class="field"
      :value="text"
      :aria-label="label"
      :aria-invalid="error ? 'true' : 'false'"
      autocomplete="off"
      @input="read(($event.target as HTMLInputElement).value)"
    />
    <p v-if="error" class="told wrong" role="alert">{{ error }}</p>
  </div>
</template>
