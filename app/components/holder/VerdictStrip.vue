<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Design } from '#core/choose/design'
import type { Change } from '#core/checks/change'
import { worstOf, type Verdict } from '#core/checks/verdict'
import { tryRemedy, type OfferedRemedy } from '#core/choose/remedies'
import { counted } from '~/composables/counted'
import { useAfterPaint } from '~/composables/useAfterPaint'

/** What the checks say: what stops or wants a look first, each with the remedies that were planned through. */
const props = defineProps<{ worked: Design; lit: string | null }>()
const emit = defineEmits<{ apply: [label: string, change: Change]; figure: [id: string]; seat: [id: string] }>()

/** How many verdicts have their remedies worked out at once. */
const MOST = 8
/** How many remedies of one verdict are shown. */
const SHOWN = 4

const open = ref(false)
const failing = computed(() => {
  const order = { stop: 0, watch: 1, pass: 2 }
  return props.worked.verdicts.filter((v) => v.level !== 'pass').sort((a, b) => order[a.level] - order[b.level])
})
const passing = computed(() => props.worked.verdicts.filter((v) => v.level === 'pass'))
const level = computed(() => worstOf(props.worked.verdicts))
const remedies = ref<Record<string, OfferedRemedy[]>>({})
const { after } = useAfterPaint()

watch(
  () => props.worked,
  (worked) => {
    const fresh: Record<string, OfferedRemedy[]> = {}
    const tasks = failing.value.slice(0, MOST).flatMap((v) =>
      v.candidates.map((candidate) => () => {
        const offered = tryRemedy(worked, v, candidate)
        if (offered) fresh[v.id] = [...(fresh[v.id] ?? []), offered]
      }),
    )
    after([...tasks, () => void (remedies.value = fresh)])
  },
  { immediate: true },
)
function show(v: Verdict) {
  if (v.figure) emit('figure', v.figure)
  if (v.seats[0]) emit('seat', v.seats[0])
}
</script>

<template>
  <section class="verdicts" :class="level" aria-label="Checks" data-test="verdicts">
    <div class="sum">
      <VerdictMark :level="level" worded />
      <span>{{
        failing.length === 0
          ? `${counted(passing.length, 'check')}, all met`
          : `${failing.length} of ${failing.length + passing.length} checks want a look`
      }}</span>
      <button class="btn tiny bare" :aria-expanded="open" @click="open = !open">
        {{ open ? 'show fewer' : 'show all' }}
      </button>
    </div>
    <ul v-if="failing.length || open" class="list">
      <li v-for="v in failing" :key="v.id" :class="v.level" :data-verdict="v.id">
        <VerdictMark :level="v.level" />
        <div>
          <button class="says" @click="show(v)"><LengthText :text="v.says" /></button>
          <div v-if="v.measure || remedies[v.id]?.length" class="remedies">
            <NuxtLink v-if="v.measure" class="btn tiny" :to="`/tools?tool=${v.measure.tool}`">To its card</NuxtLink>
            <button
              v-for="r in (remedies[v.id] ?? []).slice(0, SHOWN)"
              :key="r.label"
              class="btn tiny"
              :title="r.outcome"
              data-test="remedy"
              @click="emit('apply', r.label, r.change)"
            >
              <LengthText :text="r.label" /><small v-if="r.outcome" class="quiet"
                ><LengthText :text="r.outcome"
              /></small>
            </button>
          </div>
        </div>
      </li>
      <template v-if="open">
        <li v-for="v in passing" :key="v.id" :class="v.level">
          <VerdictMark :level="v.level" />
          <button class="says" @click="show(v)"><LengthText :text="v.says" /></button>
        </li>
      </template>
    </ul>
  </section>
</template>

<style scoped>
.verdicts {
  border-top: 1px solid var(--rule);
  background: var(--paper);
  padding: 5px 14px;
  max-height: 168px;
  overflow-y: auto;
}
.sum {
  display: flex;
  align-items: center;
  gap: 8px;
}
.list {
  list-style: none;
  margin: 2px 0 0;
  padding: 0;
}
li {
  display: flex;
  gap: 8px;
  padding: 3px 0;
  align-items: flex-start;
}
li > .mark {
  margin-top: 3px;
}
.says {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  padding: 0;
  text-align: left;
  cursor: pointer;
  line-height: 1.3;
}
.says:hover {
  color: var(--chalk);
}
.remedies {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 3px;
}
.remedies small {
  margin-left: 4px;
}
</style>
