<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { stockOf } from '#core/forms/choice-value'
import type { Choice, PlanInput, HolderForm } from '#core/forms/form'
import { consequences, type Consequence } from '#core/choose/schools'
import { useAfterPaint } from '~/composables/useAfterPaint'
import { useDraggedFigure } from '~/composables/useDraggedFigure'
import { useFormat } from '~/composables/useFormat'

/** The questions a form asks, each with what the answers come to in figures. */
const props = defineProps<{ form: HolderForm; input: PlanInput }>()
const emit = defineEmits<{ choose: [label: string, key: string, value: string | number | null] }>()
const { length, bare, format } = useFormat()
const { drag } = useDraggedFigure()

const outcome = ref<Record<string, Record<string, string>>>({})
const { after } = useAfterPaint()
watch(
  () => props.input,
  (input) => {
    const fresh: typeof outcome.value = {}
    const tasks = props.form.choices
      .filter((c) => c.type === 'option')
      .map((c) => () => void (fresh[c.key] = outcomes(consequences(input, c.key))))
    after([...tasks, () => void (outcome.value = fresh)])
  },
  { immediate: true },
)
/** The figures in which the answers differ, by answer; nothing where they come to the same. */
function outcomes(found: Consequence[]): Record<string, string> {
  const boards = found.flatMap((x) => x.board ?? [])
  const differs = (of: 'length' | 'width') => new Set(boards.map((b) => bare(b[of]))).size > 1
  const [long, deep] = [differs('length'), differs('width')]
  const same = !long && !deep && boards.length === found.length
  if (same || boards.length === 0) return {}
  const say = ({ board }: Consequence) => {
    if (!board) return 'can’t be'
    if (long && deep) return `${bare(board.length)} × ${bare(board.width)}`
    return deep ? `${bare(board.width)} deep` : `${bare(board.length)} long`
  }
  return Object.fromEntries(found.map((x) => [x.value, say(x)]))
}
/** The questions that are asked: some follow only from another answer. */
const asked = computed(() =>
  props.form.choices.filter(({ onlyFor }) => {
    if (!onlyFor) return true
    const other = props.form.choices.find((c) => c.key === onlyFor.key)
    const usual = other?.type === 'option' ? other.usual : undefined
    return [onlyFor.value].flat().includes(String(props.input.holder.choices[onlyFor.key] ?? usual))
  }),
)
/** The stock that a part may be cut from. */
const stockFor = (c: Choice) => props.input.shop.stock.filter((s) => c.type === 'stock' && c.of.includes(s.form))
const own = (key: string) => {
  const value = props.input.holder.choices[key]
  return typeof value === 'number' ? value : null
}
type LengthChoice = Extract<Choice, { type: 'length' | 'derived length' }>
const isLength = (c: Choice): c is LengthChoice => c.type === 'length' || c.type === 'derived length'
/** The figure as it stands; null where it follows from the tools. */
const standing = (c: LengthChoice) => own(c.key) ?? (c.type === 'length' ? props.input.shop.settings[c.setting] : null)
const draggable = (c: Choice) => isLength(c) && standing(c) !== null
/** So much more or less for each step of a drag: 1 mm or a sixteenth. */
const step = () => (format.value.unit === 'mm' ? 1 : 25.4 / 16)
function dragLabel(event: PointerEvent, c: Choice): void {
  if (!isLength(c)) return
  drag(event, { from: () => standing(c), step, min: c.min, max: c.max, put: (value) => emit('choose', c.label, c.key, value) }) // prettier-ignore
}
</script>

<template>
  <div class="choices">
    <div
      v-for="c in asked"
      :key="c.key"
      class="choice"
      :class="{ half: c.type === 'stock', quarter: c.type === 'length' || c.type === 'derived length' }"
      :title="draggable(c) ? `${c.about} Drag the name sideways to try more or less.` : c.about"
    >
      <span class="label" :class="{ draggable: draggable(c) }" @pointerdown="dragLabel($event, c)">{{ c.label }}</span>
      <ChoiceRow
        v-if="c.type === 'option'"
        :label="c.label"
        :model-value="String(input.holder.choices[c.key] ?? c.usual)"
        :values="c.values.map((v) => ({ ...v, more: outcome[c.key]?.[v.value] }))"
        @update:model-value="emit('choose', c.label, c.key, $event)"
      />
      <select
        v-else-if="c.type === 'stock'"
        class="field"
        :aria-label="c.label"
        :value="stockOf(form.choices, input, c.key)?.id"
        @change="emit('choose', c.label, c.key, ($event.target as HTMLSelectElement).value)"
      >
        <option v-for="s in stockFor(c)" :key="s.id" :value="s.id">{{ s.name }}</option>
      </select>
      <div v-else class="with-shop">
        <LengthField
          :model-value="own(c.key)"
          :label="c.label"
          :min="c.min"
          :max="c.max"
          optional
          :placeholder="c.type === 'length' ? length(input.shop.settings[c.setting]) : 'follows'"
          @update:model-value="emit('choose', c.label, c.key, $event)"
        />
        <button
          v-if="own(c.key) !== null"
          class="btn tiny"
          :title="
            c.type === 'length'
              ? `Back to the shop’s ${length(input.shop.settings[c.setting])}`
              : 'Let it follow from the tools'
          "
          @click="emit('choose', c.label, c.key, null)"
        >
          {{ c.type === 'length' ? 'shop’s' : 'follow' }}
        </button>
      </div>
    </div>
  </div>
</template>

<style scoped>
.choices {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 6px 8px;
}
.choice {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: 82px minmax(0, 1fr);
  gap: 8px;
  align-items: center;
}
.choice.half,
.choice.quarter {
  grid-column: span 2;
  grid-template-columns: minmax(0, 1fr);
  gap: 1px;
  align-content: start;
}
.choice.quarter {
  grid-column: auto;
}
.label {
  font-size: 0.9rem;
  line-height: 1.15;
  color: var(--pencil);
}
.label.draggable {
  cursor: ew-resize;
  touch-action: pan-y;
  user-select: none;
}
.with-shop {
  display: grid;
  gap: 3px;
}
.with-shop .btn {
  justify-content: center;
}
</style>
