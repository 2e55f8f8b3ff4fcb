<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue'
import { formatPlaces, parsePlaces, placesOf, placesText } from '#core/shop/places'
import { formatExact } from '#core/units/format-length'
import { useFormat } from '~/composables/useFormat'

/** Where a board is kept clear, typed in the shop's unit; what can't be read stays where it was typed, with the reason. */
const props = defineProps<{ modelValue: string; label: string }>()
const emit = defineEmits<{ 'update:modelValue': [string] }>()
const { format } = useFormat()
const id = useId()
const written = computed(() => formatPlaces(placesOf(props.modelValue), (mm) => formatExact(mm, format.value, false)))
const text = ref(written.value)
const error = ref('')
watch(written, (now) => {
  if (error.value) return
  const typed = parsePlaces(text.value, format.value.unit)
  // what was typed well stands as it was typed
  if (typeof typed === 'string' || placesText(typed) !== props.modelValue) text.value = now
})

function read() {
  const places = parsePlaces(text.value, format.value.unit)
  error.value = typeof places === 'string' ? places : ''
  if (typeof places === 'string') return
  emit('update:modelValue', placesText(places))
}
</script>

<template>
  <input
    v-model="text"
    class="field"
    maxlength="300"
    placeholder="nothing"
    :aria-label="label"
    :aria-invalid="error !== ''"
    :aria-describedby="error ? id : undefined"
    @change="read"
  />
  <p v-if="error" :id="id" class="wrong small" role="alert">{{ error }}</p>
</template>

<style scoped>
.wrong {
  margin: 2px 0 0;
  color: var(--stop);
}
</style>
