<script setup lang="ts">
import { computed } from 'vue'
import { boardMarks } from '#core/bench/marks'
import { stepDrawings } from '#core/bench/steps/step-drawing'
import type { TimedStep } from '#core/bench/steps/order'
import type { SheetCuts } from '#core/cutting/sheets-used'
import type { HolderModel } from '#core/model/model'
import { minutesText } from '~/composables/useTimers'
import { useFormat } from '~/composables/useFormat'

/** One step as a card: what it is, one drawing, one set of figures, what to do, what to beware of. */
const props = defineProps<{
  step: TimedStep
  model: HolderModel
  cuts: readonly SheetCuts[]
  number: number
  of: number
  /** the day on which it was ticked off, where the plan has changed since */
  changedAt?: string
}>()
const { format, length, bit } = useFormat()
const drawings = computed(() => stepDrawings({ model: props.model, cuts: props.cuts, shop: format.value }, props.step))
/** The running marks, on the card on which they are drawn on the board. */
const board = computed(() => {
  const board = props.step.kind === 'mark' ? props.model.boards.find((b) => b.id === props.step.parts[0]) : undefined
  return board && board.openings.length > 0 ? boardMarks(props.model, board, format.value) : null
})
const marked = computed(() => board.value?.marks ?? [])
const rows = computed(() => new Set(marked.value.map((m) => m.across).filter((a) => a !== null)).size)
</script>

<template>
  <article class="card" :data-step="step.id">
    <p class="where quiet">
      {{ number }} of {{ of }} · about {{ minutesText(step.minutes)
      }}<template v-if="step.sets > 0"> · then {{ minutesText(step.sets) }} to wait</template>
    </p>
    <h2>{{ step.title }}</h2>
    <p v-if="changedAt" class="changed" role="status">
      Done on {{ changedAt }}, as the plan was then. It asks for something else now: hold what you made against this
      card before you go on.
    </p>
    <div v-if="drawings.length" class="drawings">
      <BenchCardDrawing v-for="d in drawings" :key="d.title" :drawing="d" />
    </div>
    <dl v-if="step.settings.length">
      <div v-for="s in step.settings" :key="s.label + s.value">
        <dt>{{ s.label }}</dt>
        <dd><LengthText :text="s.value" /></dd>
      </div>
    </dl>
    <ul class="says" :class="{ numbered: step.kind === 'cut' }">
      <li v-for="line in step.says" :key="line"><LengthText :text="line" /></li>
    </ul>
    <table v-if="marked.length" class="plain">
      <thead>
        <tr>
          <th class="num">From datum</th>
          <th>Mark</th>
          <th v-if="rows > 1" class="num">From {{ board!.acrossFrom }}</th>
          <th>Bit</th>
          <th>Waste</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(m, n) in marked" :key="n" :class="m.kind">
          <td class="num"><LengthText :text="length(m.printed)" /></td>
          <td>{{ m.label }}</td>
          <td v-if="rows > 1" class="num"><LengthText v-if="m.across !== null" :text="length(m.across)" /></td>
          <td>{{ m.bit === null ? '' : bit(m.bit) }}</td>
          <td>{{ m.waste === 'left' ? '✕ left' : m.waste === 'right' ? '✕ right' : '' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="line in step.notYet" :key="line" class="not-yet">{{ line }}</p>
    <p v-for="line in step.cautions" :key="line" class="caution"><span aria-hidden="true">▲</span> {{ line }}</p>
  </article>
</template>

<style scoped>
.card {
  font-size: 17px;
}
.where {
  margin: 0;
  font-size: 15px;
}
h2 {
  font-size: 1.5rem;
  margin: 2px 0 8px;
  overflow-wrap: anywhere;
}
.changed {
  border-left: 3px solid var(--watch);
  padding-left: 10px;
}
.drawings {
  display: grid;
  gap: 8px;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 1px;
  margin: 10px 0;
  border: 1px solid var(--rule);
  background: var(--rule);
}
dl div {
  flex: 1 1 150px;
  background: var(--sheet);
  padding: 6px 10px;
}
dt {
  font-size: 13px;
  color: var(--pencil);
}
dd {
  margin: 0;
  font-weight: 650;
  font-size: 1.08em;
}
.says {
  padding-left: 18px;
  margin: 8px 0;
}
.says.numbered {
  list-style: none;
  padding-left: 0;
  font-weight: 600;
  columns: 2 190px;
}
.says li {
  margin-bottom: 5px;
}
.centre td,
.datum td,
.end td {
  font-weight: 650;
}
.saw td {
  color: var(--pencil);
}
.not-yet {
  border-left: 5px solid var(--chalk);
  padding: 4px 10px;
  margin: 8px 0;
}
.caution {
  border: 1.5px solid var(--watch);
  padding: 7px 10px;
  margin: 8px 0;
}
.caution span {
  color: var(--watch);
}
@media print {
  .card {
    break-inside: avoid;
    border-top: 1px solid var(--rule);
    padding-top: 6px;
    font-size: 10.5pt;
  }
  h2 {
    font-size: 13pt;
  }
}
</style>
