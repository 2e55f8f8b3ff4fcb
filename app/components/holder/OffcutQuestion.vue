<script setup lang="ts">
import { computed, ref } from 'vue'
import { fitLength } from '#core/choose/fit-length'
import type { PlanInput } from '#core/forms/form'
import { gridStep } from '#core/units/format-length'
import { toGrid } from '#core/units/grid'
import { useFormat } from '~/composables/useFormat'

/** Asked the other way round: an offcut of this length, how many fit, or what gap is left? */
const props = defineProps<{ input: PlanInput }>()
const emit = defineEmits<{ gap: [value: number]; keep: [count: number] }>()
const { format, length } = useFormat()

const offcut = ref<number | null>(null)
const answer = computed(() => (offcut.value === null ? null : fitLength(props.input, offcut.value)))
/** The gap rounded down, so that the board is no longer than the offcut. */
const gap = computed(() =>
  answer.value?.gap == null ? null : toGrid(answer.value.gap, gridStep(format.value), 'down'),
)
</script>

<template>
  <div class="offcut">
    <label for="offcut">Fits an offcut of</label>
    <LengthField v-model="offcut" label="Length of the offcut" input-id="offcut" optional placeholder="length" />
    <p v-if="offcut !== null" class="answer" role="status" data-test="offcut-answer">
      <template v-if="!answer">It can’t be drawn yet, so it can’t be fitted.</template>
      <template v-else-if="answer.spare >= 0">
        {{ answer.seats === 1 ? 'It fits' : `All ${answer.seats} fit` }}, {{ length(answer.spare, 'down') }} to spare.
        <template v-if="gap !== null && answer.spare > 0.5">
          A gap of {{ length(gap)
          }}<template v-if="answer.pitch !== null">, a pitch of {{ length(answer.pitch) }},</template> uses it all.
          <button class="btn tiny" @click="emit('gap', gap)">Take that gap</button>
        </template>
      </template>
      <template v-else>
        {{ answer.fitting === 0 ? 'None fits' : `The first ${answer.fitting} of ${answer.seats} fit` }}; it is
        {{ length(-answer.spare, 'up') }} short.
        <template v-if="gap !== null">
          With a gap of {{ length(gap) }} all of them fit.
          <button class="btn tiny" @click="emit('gap', gap)">Take that gap</button>
        </template>
        <template v-else-if="answer.seats > 1">Not even heads that touch would fit.</template>
        <button v-if="answer.fitting > 0" class="btn tiny" @click="emit('keep', answer.fitting)">
          Keep the first {{ answer.fitting }}
        </button>
      </template>
    </p>
  </div>
</template>

<style scoped>
.offcut {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 4px 8px;
  align-items: center;
}
label {
  font-size: 0.9rem;
  color: var(--pencil);
  line-height: 1.15;
}
.answer {
  grid-column: 1 / -1;
  margin: 0;
  line-height: 1.4;
}
</style>
