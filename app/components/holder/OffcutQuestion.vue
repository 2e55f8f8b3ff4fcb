<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { largestSound } from '#core/shop/sound-parts'
import { fitLength } from '#core/choose/fit-length'
import { fitStock } from '#core/choose/fit-stock'
import type { PlanInput } from '#core/forms/form'
import type { Holder } from '#core/model/holder'
import { gridStep } from '#core/units/format-length'
import { toGrid } from '#core/units/grid'
import { useFormat } from '~/composables/useFormat'

/** Asked the other way round of a board of some stock: an offcut of this length, how many fit, or what gap is left? */
const props = defineProps<{ input: PlanInput; stock: string | undefined }>()
const emit = defineEmits<{ gap: [value: number]; keep: [count: number]; take: [holder: Holder] }>()
const { format, length } = useFormat()

const offcut = ref<number | null>(null)
const answer = computed(() => (offcut.value === null ? null : fitLength(props.input, offcut.value)))
/** The gap rounded down, so that the board is no longer than the offcut. */
const gap = computed(() =>
  answer.value?.gap == null ? null : toGrid(answer.value.gap, gridStep(format.value), 'down'),
)

/** Offcuts in the bin that the main board could be cut from. */
const bin = computed(() => {
  const { shop } = props.input
  const of = shop.stock.find((s) => s.id === props.stock)
  return shop.offcuts.filter((o) => o.width !== null && of && o.material === of.material && Math.abs(o.thickness - of.thickness) <= SAME_THICKNESS) // prettier-ignore
})
/** Thicknesses that differ by no more may stand for each other, mm. */
const SAME_THICKNESS = 0.3
/** Width of the offcut that was chosen from the bin; any where a length was typed. */
const wide = ref(Infinity)
function fromBin(id: string) {
  const found = bin.value.find((o) => o.id === id)
  if (!found) return
  const sound = largestSound(found)
  offcut.value = sound?.length ?? found.length
  wide.value = sound?.width ?? found.width ?? Infinity
}
function typed(value: number | null) {
  offcut.value = value
  wide.value = Infinity
}
/** The best that fits, once it is asked for. */
const best = shallowRef<{ of: PlanInput; found: ReturnType<typeof fitStock> } | null>(null)
const look = () => {
  best.value = { of: props.input, found: fitStock(props.input, { length: offcut.value!, width: wide.value }) }
}
const shown = computed(() => (best.value?.of === props.input ? best.value : null))
watch([offcut, wide], () => (best.value = null))
</script>

<template>
  <div class="offcut">
    <label for="offcut">Fits an offcut of</label>
    <div class="which">
      <LengthField
        :model-value="offcut"
        label="Length of the offcut"
        input-id="offcut"
        optional
        placeholder="length"
        @update:model-value="typed"
      />
      <select
        v-if="bin.length"
        class="field"
        aria-label="An offcut from the bin"
        @change="fromBin(($event.target as HTMLSelectElement).value)"
      >
        <option value="">from the bin</option>
        <option v-for="o in bin" :key="o.id" :value="o.id">{{ o.name }}, {{ length(o.length, 'down') }}</option>
      </select>
    </div>
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
        <button class="btn tiny" @click="look">The best that fits</button>
      </template>
    </p>
    <p v-if="shown" class="answer" role="status" data-test="best-fit">
      <template v-if="!shown.found">Nothing of it fits: not even one tool.</template>
      <template v-else>
        {{ shown.found.holder.seats.length }} of {{ input.holder.seats.length }} tools on
        {{ length(shown.found.length, 'up') }} × {{ length(shown.found.width, 'up')
        }}{{ shown.found.gaveUp.length ? ': ' : '' }}{{ shown.found.gaveUp.join('; ') }}.
        <button class="btn tiny" @click="emit('take', shown.found.holder)">Take it</button>
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
.which {
  display: grid;
  grid-auto-flow: column;
  gap: 6px;
}
.answer {
  grid-column: 1 / -1;
  margin: 0;
  line-height: 1.4;
}
</style>
