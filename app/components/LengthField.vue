<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { formatExact } from '#core/units/format-length'
import { parseSize } from '#core/units/length'
import { useFormat } from '~/composables/useFormat'
import { useReading, type ReadingTarget } from '~/composables/useReading'

/**
 * A length typed freely, in inches or mm whatever the shop's unit. Every keystroke that can be read is passed on; what
 * can't be read stays where it was typed, with the reason under it, and the stored figure stays as it was.
 */
const props = defineProps<{
  modelValue: number | null
  label: string
  inputId?: string
  /** mm, 0 where it may be nought; absent: anything over nought */
  min?: number
  max?: number
  /** may be left empty, which passes on null */
  optional?: boolean
  placeholder?: string
  describedBy?: string
  /** what of a tool it measures, for the measuring devices */
  of?: ReadingTarget['of']
}>()
const emit = defineEmits<{
  'update:modelValue': [number | null]
  focus: []
  blur: []
  next: []
  reading: [mm: number]
}>()

/** How long typing must rest before an error is told, ms. */
const REST = 500

const { format } = useFormat()
const written = computed(() => (props.modelValue === null ? '' : formatExact(props.modelValue, format.value, false)))
const text = ref(written.value)
const error = ref('')
/** An error is shown once typing rests: half of a fraction is no slip yet. */
const told = ref('')
let rest: ReturnType<typeof setTimeout> | undefined
watch(error, (message) => {
  clearTimeout(rest)
  if (!message || told.value) told.value = message
  else rest = setTimeout(() => (told.value = error.value), REST)
})
onBeforeUnmount(() => clearTimeout(rest))
let passedOn: number | null = props.modelValue

watch([() => props.modelValue, format], ([value], [, before]) => {
  if (value === passedOn && before === format.value) return
  if (value === passedOn && error.value) return // switching units must not wipe out what could not be read
  passedOn = value
  text.value = written.value
  error.value = ''
})

function read(input: string): void {
  text.value = input
  if (input.trim() === '') {
    error.value = props.optional || props.modelValue === null ? '' : 'Left empty: the figure before it still stands.'
    if (props.optional) pass(null)
    return
  }
  const reading = parseSize(input, format.value.unit, props)
  error.value = reading.ok ? '' : reading.message
  if (reading.ok && input !== written.value) pass(reading.value)
}

function pass(value: number | null): void {
  if (value === passedOn) return
  passedOn = value
  emit('update:modelValue', value)
}

const { offer } = useReading()
/** A reading of a device goes in as if it had been typed, and on to the next field. */
function focused(): void {
  offer({
    quantity: 'length',
    label: props.label,
    of: props.of ?? null,
    take: (value) => {
      text.value = formatExact(value, format.value, false)
      error.value = ''
      pass(value)
      emit('reading', value)
    },
  })
  emit('focus')
}

/** Goes on, unless what stands there can't be read: then the reason is told at once. */
function enter(): void {
  told.value = error.value
  if (!error.value) emit('next')
}

function left(): void {
  told.value = error.value
  if (!error.value) text.value = written.value
  emit('blur')
}
</script>

<template>
  <div class="length">
    <input
      :id="inputId"
      class="field num"
      :value="text"
      :aria-label="inputId ? undefined : label"
      :aria-invalid="told ? 'true' : 'false'"
      :aria-describedby="describedBy"
      :placeholder="placeholder"
      autocomplete="off"
      spellcheck="false"
      inputmode="text"
      @input="read(($event.target as HTMLInputElement).value)"
      @focus="focused"
      @blur="left"
      @keydown.enter.prevent="enter"
    />
    <p v-if="told" class="told wrong" role="alert">{{ told }}</p>
  </div>
</template>

<style scoped>
.length {
  min-width: 0;
}
.num {
  font-feature-settings: 'tnum';
}
</style>
