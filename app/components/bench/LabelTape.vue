<script setup lang="ts">
import { ref } from 'vue'
import type { Label } from '#core/exchange/labels'
import { useFormat } from '~/composables/useFormat'
import { ask } from '~/stores/backend'

/** The labels of a holder sent to the label printer, and the tape as it comes out. */
const props = defineProps<{ labels: readonly Label[] }>()
const { length } = useFormat()

interface Printed {
  labels: { name: string; size: string; width: number }[]
  used: number
  tape: number
}
const printed = ref<Printed | null>(null)
const busy = ref(false)
const failed = ref('')
const isEmpty = ref(false)

async function send(body: unknown): Promise<Printed | null> {
  busy.value = true
  failed.value = ''
  const answer = await ask<Printed>('POST', '/api/label-printer', body)
  busy.value = false
  if (answer.kind === 'ok') return answer.value
  failed.value = answer.kind === 'problem' ? answer.problem.detail : 'The label printer was not reached.'
  isEmpty.value = answer.kind === 'problem' && answer.problem.title === 'No tape'
  return null
}
async function print() {
  const run = props.labels.map(({ name, size, room }) => ({ name, size, room }))
  printed.value = (await send({ print: run })) ?? printed.value
}
async function newTape() {
  if (await send({ press: 'new tape' })) isEmpty.value = false
}
</script>

<template>
  <div class="tape" data-test="label-printer">
    <p class="row">
      <button class="btn" :disabled="busy" @click="print">Send labels to the printer</button>
      <button v-if="isEmpty" class="btn" :disabled="busy" @click="newTape">A new tape is in</button>
      <span v-if="printed" class="quiet small" role="status"
        >{{ printed.labels.length }} {{ printed.labels.length === 1 ? 'label' : 'labels' }},
        {{ length(printed.used, 'up') }} of tape; {{ length(printed.tape, 'down') }} left</span
      >
    </p>
    <ol v-if="printed" class="strip">
      <li v-for="(l, i) in printed.labels" :key="i">
        <b>{{ l.name }}</b><span v-if="l.size">{{ l.size }}</span>
      </li>
    </ol>
    <p v-if="failed" class="told wrong" role="alert">{{ failed }}</p>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.strip {
  list-style: none;
  margin: 8px 0 10px;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.strip li {
  display: grid;
  padding: 3px 8px;
  border: 1px dashed var(--pencil);
  background: #fff;
  text-align: center;
  font-size: 0.85rem;
  line-height: 1.25;
}
</style>
