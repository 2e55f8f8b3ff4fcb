<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { studsFrom, type Hit } from '#core/wall/stud-finder'
import { useFormat } from '~/composables/useFormat'
import { ask } from '~/stores/backend'

/** Walking along a wall with the stud finder: several passes, what they agree on, what to check with a nail. */
const props = defineProps<{ wall: string }>()
const emit = defineEmits<{ studs: [centres: number[]] }>()
const { length } = useFormat()

const passes = ref<Hit[][]>([])
const busy = ref(false)
const failed = ref('')
const nailed = ref<Set<number>>(new Set())
const found = computed(() => studsFrom(passes.value))
/** Studs that go onto the wall: the sure ones, and those that a nail has proved. */
const taken = computed(() => found.value.filter((f, i) => f.stud && (f.check === '' || nailed.value.has(i))))
watch(
  () => props.wall,
  () => (passes.value = []),
)

async function walk() {
  busy.value = true
  failed.value = ''
  const answer = await ask<{ hits: Hit[] }>('POST', '/api/finder', {
    wall: props.wall,
    anew: passes.value.length === 0,
  })
  busy.value = false
  if (answer.kind === 'ok') {
    nailed.value = new Set()
    passes.value = [...passes.value, answer.value.hits]
  } else failed.value = answer.kind === 'problem' ? answer.problem.detail : 'The stud finder was not reached.'
}
function nail(i: number) {
  const next = new Set(nailed.value)
  if (!next.delete(i)) next.add(i)
  nailed.value = next
}
function take() {
  emit('studs', taken.value.map((f) => Math.round(f.at * 2) / 2)) // prettier-ignore
  passes.value = []
}
</script>

<template>
  <div class="finder" data-test="finder">
    <p>
      <button class="btn tiny" :disabled="busy" @click="walk">
        {{ passes.length === 0 ? 'Walk along with the stud finder' : 'Once more' }}
      </button>
      <span v-if="passes.length" class="quiet small"
        >{{ passes.length }} {{ passes.length === 1 ? 'pass' : 'passes' }}; three agree better than one</span
      >
    </p>
    <p v-if="failed" role="alert" class="told wrong">{{ failed }}</p>
    <ul v-if="found.length">
      <li v-for="(f, i) in found" :key="i">
        <VerdictMark :level="f.check === '' ? 'pass' : f.stud && nailed.has(i) ? 'pass' : 'watch'" />
        <span class="num"><LengthText :text="length(f.at)" /> ± {{ length(f.within) }}</span>
        <span v-if="f.check" class="quiet small">{{ f.check }}</span>
        <label v-if="f.check && f.stud" class="small"
          ><input type="checkbox" :checked="nailed.has(i)" @change="nail(i)" /> a nail found wood</label
        >
      </li>
    </ul>
    <button v-if="taken.length" class="btn tiny" @click="take">
      {{ taken.length === 1 ? 'Take this stud' : `Take these ${taken.length} studs` }}
    </button>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 4px 0 8px;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: baseline;
  min-height: 26px;
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin: 6px 0;
}
</style>
