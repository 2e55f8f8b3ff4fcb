<script setup lang="ts">
import {
  mdiCheckBold,
  mdiChevronLeft,
  mdiChevronRight,
  mdiFormatListChecks,
  mdiPrinter,
  mdiTimerOutline,
} from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { CUT_ALREADY } from '#core/bench/steps/cutting-steps'
import { madeBy } from '#core/bench/steps/made'
import type { TimedStep } from '#core/bench/steps/order'
import { pieceAs, type CutBefore } from '#core/model/work'
import { worstOf } from '#core/checks/verdict'
import { clock, useTimers } from '~/composables/useTimers'
import { dayText } from '~/composables/dayText'
import { useAwake } from '~/composables/useAwake'
import { useCutUp } from '~/composables/useCutUp'
import { useBuildables } from '~/composables/useBuildables'
import { useBench } from '~/composables/useBench'
import { useKeys } from '~/composables/useKeys'
import { useWork } from '~/composables/useWork'

/** The work on one holder, or on what goes up on a wall, a card a step, for a phone or tablet at the bench; all of them for paper. */
const route = useRoute()
const id = computed(() => String(route.params.id))
const buildables = useBuildables()
const holder = computed(() => buildables.value.find((b) => b.id === id.value) ?? null)
const worked = computed(() => holder.value?.design ?? null)
const bench = useBench(worked)
const { work, stands, tick, again } = useWork(holder)
const cutNow = useCutUp()
const steps = computed(() => bench.value?.steps ?? [])
/** What each card makes, by the plan as it is now. */
const made = computed(() => new Map(steps.value.map((s) => [s.id, madeBy(bench.value!.model, s)])))
const standingOf = (s: TimedStep) => (s.id === CUT_ALREADY ? 'done' : stands(s.id, made.value.get(s.id)!))
const done = (s: TimedStep) => standingOf(s) === 'done'
/** When a card was ticked off that the plan has changed since; empty where it was not. */
const changedAt = (s: TimedStep) => (standingOf(s) === 'changed' ? dayText(work.value!.ticks[s.id]!.at) : '')
const { running, start, stop } = useTimers()
useAwake()
useHead({ title: () => `At the bench: ${holder.value?.name ?? ''} · Fingerling` })

/** The card that is shown: by its step, for what comes in from elsewhere may bring a card or take one away; and its number. */
const shown = ref({ id: '', number: 0 })
const at = computed(() => {
  const same = steps.value.findIndex((s) => s.id === shown.value.id)
  return same >= 0 ? same : Math.min(shown.value.number, Math.max(0, steps.value.length - 1))
})
function show(number: number) {
  shown.value = { id: steps.value[number]?.id ?? '', number }
}
const step = computed(() => steps.value[at.value] ?? null)
const finished = computed(() => steps.value.filter(done).length)
const level = computed(() => (worked.value ? worstOf(worked.value.verdicts) : 'pass'))
const listed = ref(false)

// the first card that is still open, once the work is there
watch(
  () => steps.value.length > 0,
  (there) => {
    const open = steps.value.findIndex((s) => !done(s))
    if (there) show(open < 0 ? steps.value.length - 1 : open)
  },
  { immediate: true },
)
function go(to: number) {
  listed.value = false
  show(Math.min(Math.max(to, 0), steps.value.length - 1))
  window.scrollTo({ top: 0 })
}
/** Ticks the card off, sets the clock for its glue, and turns to the next. */
function ready() {
  const s = step.value
  if (!s) return
  if (s.id === CUT_ALREADY) return uncut()
  if (done(s)) return tick(s.id, false)
  const { cuts, model, cut } = bench.value!
  const sheets = s.show?.look === 'sheet' ? cuts.filter((c) => s.show!.boards.includes(c.key)) : []
  if (sheets.length > 0) {
    cutNow(cuts, sheets, [{ id: id.value, model, cut }])
    return go(steps.value.findIndex((x) => !done(x)))
  }
  tick(s.id, true, made.value.get(s.id))
  if (s.sets > 0) start(`${id.value} ${s.id}`, s.title, s.sets)
  go(at.value + 1)
}
/** What was taken for cut is to be cut again; what went into the bin stays there. */
function uncut() {
  for (const piece of bench.value!.cut) tick(piece, false)
}
/** What was cut larger is made what the plan asks for now. */
function trimmed({ part, pieces }: CutBefore) {
  for (const piece of pieces) tick(piece, true, pieceAs(part))
}
/** What was cut before the plan changed, where one looks at what is to be cut. */
const before = computed(() => (listed.value || step.value?.kind === 'cut' ? (bench.value?.before ?? []) : []))
const print = () => window.print()
useKeys(() => [
  { on: 'ArrowRight', says: 'Next card', act: () => go(at.value + 1) },
  { on: 'ArrowLeft', says: 'Card before', act: () => go(at.value - 1) },
  { on: 'x', says: 'Done', act: ready },
])
</script>

<template>
  <div class="page bench">
    <NotHere v-if="!holder || !worked" :id="id" :kinds="['holders', 'walls']" />
    <template v-else>
      <header class="top">
        <h1>{{ holder.name }}</h1>
        <span class="quiet" role="status">{{ finished }} of {{ steps.length }} done</span>
      </header>
      <div class="progress no-print" aria-hidden="true">
        <i
          v-for="(s, i) in steps"
          :key="s.id"
          :class="{ done: done(s), here: i === at, changed: standingOf(s) === 'changed' }"
        />
      </div>
      <p v-if="level === 'stop'" class="stop" role="alert">
        <VerdictMark level="stop" worded /> Don’t build it so: a check says stop.
        <NuxtLink :to="holder.what === 'wall' ? '/wall' : `/holders/${id}`">Back to the drawing</NuxtLink>
      </p>
      <BenchCutBefore v-for="b in before" :key="b.part.id" :before="b" @trimmed="trimmed(b)" />
      <ul v-if="running.length" class="timers no-print" aria-label="Timers">
        <li v-for="t in running" :key="t.id" :class="{ over: t.left === 0 }">
          <v-icon :icon="mdiTimerOutline" size="18" />
          <span
            >{{ t.title }}: <b>{{ t.left === 0 ? 'it has set' : clock(t.left) }}</b></span
          >
          <button class="btn" @click="stop(t.id)">{{ t.left === 0 ? 'Good' : 'Stop' }}</button>
        </li>
      </ul>
      <p v-if="!bench" class="quiet">There is nothing to build yet: the drawing says what is missing.</p>
      <template v-else>
        <BenchCardList
          v-if="listed"
          class="no-print"
          :order="bench"
          :at="at"
          :standing="standingOf"
          @go="go"
          @again="again"
        />
        <BenchStepCard
          v-else-if="step"
          class="no-print"
          :changed-at="changedAt(step)"
          :step="step"
          :model="bench.model"
          :cuts="bench.cuts"
          :number="at + 1"
          :of="steps.length"
        />
        <div class="paper">
          <BenchStepCard
            v-for="(s, i) in steps"
            :key="s.id"
            :step="s"
            :model="bench.model"
            :cuts="bench.cuts"
            :number="i + 1"
            :of="steps.length"
          />
        </div>
        <nav class="turn no-print" aria-label="Cards">
          <button class="btn" aria-label="Card before" :disabled="at === 0" @click="go(at - 1)">
            <v-icon :icon="mdiChevronLeft" size="26" />
          </button>
          <button class="btn" aria-label="All steps" :aria-pressed="listed" @click="listed = !listed">
            <v-icon :icon="mdiFormatListChecks" size="24" />
          </button>
          <button class="btn done" :class="{ main: step && !done(step) }" data-test="done" @click="ready">
            <v-icon :icon="mdiCheckBold" size="22" /> {{ step && done(step) ? 'Not done' : 'Done' }}
          </button>
          <button class="btn wide" aria-label="Print all cards" @click="print">
            <v-icon :icon="mdiPrinter" size="22" />
          </button>
          <button class="btn" aria-label="Next card" :disabled="at >= steps.length - 1" @click="go(at + 1)">
            <v-icon :icon="mdiChevronRight" size="26" />
          </button>
        </nav>
      </template>
    </template>
  </div>
</template>

<style scoped>
.bench {
  max-width: 760px;
  padding-bottom: 96px;
}
.top {
  display: flex;
  gap: 12px;
  align-items: baseline;
  justify-content: space-between;
}
.top h1 {
  font-size: 1.15rem;
  overflow-wrap: anywhere;
}
.top span {
  white-space: nowrap;
}
.progress {
  display: flex;
  gap: 2px;
  margin: 6px 0 12px;
}
.progress i {
  flex: 1;
  height: 6px;
  background: var(--rule);
}
.progress i.done {
  background: var(--pass);
}
.progress i.here {
  outline: 2px solid var(--chalk);
  outline-offset: 1px;
}
.stop {
  border: 2px solid var(--stop);
  padding: 6px 12px;
}
.timers {
  list-style: none;
  padding: 0;
  margin: 0 0 10px;
  display: grid;
  gap: 4px;
}
.timers li {
  display: flex;
  gap: 8px;
  align-items: center;
  border: 1px solid var(--rule);
  padding: 2px 4px 2px 10px;
}
.timers span {
  flex: 1;
}
.timers .over {
  border-color: var(--pass);
}
.progress i.changed {
  background: var(--watch);
}
.turn {
  position: fixed;
  inset: auto 0 0 0;
  display: flex;
  gap: 8px;
  padding: 8px max(12px, calc((100vw - 760px) / 2));
  background: var(--paper);
  border-top: 1px solid var(--rule);
  z-index: 5;
}
.turn .btn {
  min-height: 60px;
  min-width: 60px;
  justify-content: center;
}
.turn .done {
  flex: 1;
  font-size: 1.15rem;
  font-weight: 650;
}
.paper {
  display: none;
}
@media (max-width: 480px) {
  .turn .wide {
    display: none;
  }
}
@media print {
  .paper {
    display: grid;
    gap: 14px;
  }
}
</style>
