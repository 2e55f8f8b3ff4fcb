<script setup lang="ts">
import { ref, watch } from 'vue'

/** A name of 1 to 120 characters; what can't be kept stays typed, with the reason under it. */
const props = defineProps<{ modelValue: string; label: string; inputId?: string; shown?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [string]; next: [] }>()

const LONGEST = 120
const text = ref(props.modelValue)
const error = ref('')
watch(
  () => props.modelValue,
  (value) => {
    if (value === text.value.trim()) return
    text.value = value
    error.value = ''
  },
)
function read(input: string): void {
  text.value = input
  const name = input.trim()
  if (name === '') error.value = 'Give it a name.'
  else if (name.length > LONGEST) error.value = `${name.length} characters; at most ${LONGEST} are kept.`
  else {
    error.value = ''
    if (name !== props.modelValue) emit('update:modelValue', name)
  }
}
</script>

<template>
  <div>
    <input
      :id="inputId"
      class="field"
      :value="text"
      :aria-label="inputId ? undefined : label"
      :aria-invalid="error ? 'true' : 'false'"
      autocomplete="off"
      @input="read(($event.target as HTMLInputElement).value)"
      @keydown.enter.prevent="emit('next')"
    />
    <p v-if="error" class="told wrong" role="alert">{{ error }}</p>
  </div>
</template>
