<script setup lang="ts" generic="T extends number | null">
import { ref, watch } from 'vue'
import { readNumber } from '#core/units/plain-text'
import { bad, good, quoted, type Reading } from '#core/units/result'

/** A number between two limits, bare or with a unit of its own; fractions and a decimal comma are read too. Null when it is left empty, where it may be. */
const props = defineProps<{
  modelValue: T
  label: string
  min: number
  max: number
  optional?: boolean
  placeholder?: string
  /** reads and writes it where it has a unit; a bare number when left out */
  own?: { reads: (text: string) => Reading; writes: (value: number) => string }
}>()
const emit = defineEmits<{ 'update:modelValue': [T] }>()

const writes = (value: number) => props.own?.writes(value) ?? String(Number(value.toFixed(4)))
const written = () => (props.modelValue === null ? '' : writes(props.modelValue))
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
  if (input === written()) return pass(props.modelValue)
  const reading = props.own?.reads(input) ?? readBare(input)
  if (reading.ok) pass(reading.value)
  else error.value = reading.message
}
function readBare(input: string): Reading {
  const value = readNumber(input)
  if (value === null) return bad(`Can’t read ${quoted(input)} as a number.`)
  return value < props.min || value > props.max ? bad(`It lies between ${props.min} and ${props.max}.`) : good(value)
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
      @blur="error || (text = written())"
    />
    <p v-if="error" class="told wrong" role="alert">{{ error }}</p>
  </div>
</template>
