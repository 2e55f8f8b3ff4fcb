<script setup lang="ts">
import { computed, ref } from 'vue'
import { LABELS } from '#core/exchange/tools/open-list'
import type { ListColumn } from '~/workers/list-messages'

/** What each column of a list is taken as; a heading that is not known is asked about. */
const props = defineProps<{ columns: readonly ListColumn[] }>()
const emit = defineEmits<{ take: [index: number, as: string | null] }>()

const open = ref(false)
const known = new Map(LABELS.map((l) => [l.toLowerCase(), l]))
const numbered = computed(() => props.columns.map((c, index) => ({ ...c, index })))
const asked = computed(() => numbered.value.filter((c) => c.use.as === null))
const settled = computed(() => numbered.value.filter((c) => c.use.as !== null))

function read(index: number, input: HTMLInputElement) {
  const text = input.value.trim().toLowerCase()
  const as = text === '' ? null : known.get(text)
  if (as !== undefined) emit('take', index, as)
  else input.value = props.columns[index]!.use.as ?? ''
}
</script>

<template>
  <div class="columns">
    <datalist id="column-labels"><option v-for="l in LABELS" :key="l" :value="l" /></datalist>
    <template v-if="asked.length > 0">
      <h3>{{ asked.length === 1 ? 'One heading is' : `${asked.length} headings are` }} not known</h3>
      <p class="quiet small">Say what stands below it, or leave it out.</p>
      <ul>
        <li v-for="c in asked" :key="c.index">
          <label :for="`column-${c.index}`"
            ><strong>{{ c.use.heading || `Column ${c.index + 1}` }}</strong></label
          >
          <span class="quiet small sample">{{ c.sample.join(' · ') || 'empty' }}</span>
          <input
            :id="`column-${c.index}`"
            class="field"
            list="column-labels"
            placeholder="left out"
            autocomplete="off"
            @change="read(c.index, $event.target as HTMLInputElement)"
          />
        </li>
      </ul>
    </template>
    <details v-if="settled.length > 0" @toggle="open = ($event.target as HTMLDetailsElement).open">
      <summary>{{ settled.length }} {{ settled.length === 1 ? 'column is' : 'columns are' }} known</summary>
      <ul v-if="open">
        <li v-for="c in settled" :key="c.index">
          <label :for="`column-${c.index}`">{{ c.use.heading }}</label>
          <span class="quiet small sample">{{ c.sample.join(' · ') || 'empty' }}</span>
          <input
            :id="`column-${c.index}`"
            class="field"
            list="column-labels"
            autocomplete="off"
            :value="c.use.as"
            @change="read(c.index, $event.target as HTMLInputElement)"
          />
        </li>
      </ul>
    </details>
  </div>
</template>

<style scoped>
.columns {
  margin-top: 14px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 10px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) minmax(0, 1.2fr);
  gap: 10px;
  align-items: center;
  padding: 3px 0;
  border-bottom: 1px solid var(--rule);
}
.sample {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
summary {
  cursor: pointer;
}
p {
  margin: 0;
}
</style>
