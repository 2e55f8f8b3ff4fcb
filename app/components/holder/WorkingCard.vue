<script setup lang="ts">
import { computed } from 'vue'
import { finder, type Design } from '#core/choose/design'
import type { Choice } from '#core/forms/form'
import { formatExact } from '#core/units/format-length'
import { unbroken } from '#core/units/figures-in-text'
import type { Figure } from '#core/working/figure'
import { formulaInWords, formulaWithNumbers, writeFigure } from '#core/working/text'
import { useFormat } from '~/composables/useFormat'

/** The working of one figure: the formula in words and in numbers, the rule behind it, and what it comes from. */
const props = defineProps<{ worked: Pick<Design, 'working'>; figure: Figure; choices: readonly Choice[] }>()
const emit = defineEmits<{ pick: [id: string]; choose: [key: string, value: number] }>()

const { format } = useFormat()
const find = computed(() => finder(props.worked.working))
const printed = (f: Figure) =>
  f.origin.kind !== 'derived' && f.quantity === 'length'
    ? formatExact(f.value, format.value)
    : writeFigure(f, format.value)
const rule = computed(() => (props.figure.origin.kind === 'derived' ? props.figure.origin.rule : null))
const words = computed(() => formulaInWords(props.figure, (id) => find.value(id), format.value))
const numbers = computed(() => formulaWithNumbers(props.figure, (id) => find.value(id), format.value))
const inputs = computed(() => props.figure.from.map((id) => find.value(id)))
const usedBy = computed(() => props.worked.working.filter((f) => f.from.includes(props.figure.id)).slice(0, 6))
</script>

<template>
  <section class="card" data-test="working-card" :aria-label="`Working of ${figure.label}`">
    <header>
      <h3>{{ figure.label }}</h3>
      <strong class="value"><LengthText :text="printed(figure)" /></strong>
    </header>
    <HolderFigureEditor
      v-if="!rule"
      :key="figure.id"
      :figure="figure"
      :choices="choices"
      @choose="(key, value) => emit('choose', key, value)"
    />
    <template v-else>
      <p class="numbers">= {{ unbroken(numbers) }}</p>
      <p class="words quiet small">{{ unbroken(words) }}</p>
      <p v-if="figure.note" class="small">{{ figure.note }}</p>
      <p class="rule small">
        {{ rule.says }} <span class="quiet">{{ rule.source }}</span>
      </p>
      <ul>
        <li v-for="input in inputs" :key="input.id">
          <button class="link" @click="emit('pick', input.id)">{{ input.label }}</button>
          <HolderFigureEditor
            v-if="input.origin.kind !== 'derived'"
            :key="input.id"
            :figure="input"
            :choices="choices"
            @choose="(key, value) => emit('choose', key, value)"
          />
          <span v-else class="num"><LengthText :text="printed(input)" /></span>
        </li>
      </ul>
    </template>
    <p v-if="usedBy.length" class="small quiet used">
      Goes into
      <template v-for="(f, i) in usedBy" :key="f.id"
        ><button class="link" @click="emit('pick', f.id)">{{ f.label.toLowerCase() }}</button
        >{{ i < usedBy.length - 1 ? ', ' : '' }}</template
      >
    </p>
  </section>
</template>

<style scoped>
.card {
  border: 1.5px solid var(--chalk);
  background: var(--sheet);
  padding: 10px 12px;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  align-items: baseline;
}
.value {
  white-space: nowrap;
}
p {
  margin: 5px 0 0;
  line-height: 1.3;
}
.numbers {
  font-size: 1.02rem;
  overflow-wrap: anywhere;
}
.rule {
  border-left: 2px solid var(--rule);
  padding-left: 8px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 8px 0 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 128px;
  gap: 8px;
  align-items: start;
  padding: 4px 0;
  border-top: 1px solid var(--rule);
}
.num {
  text-align: right;
}
.used {
  margin-top: 8px;
}
</style>
