<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { sawnCuts } from '#core/bench/steps/cut-saws'
import { sawingCautions } from '#core/bench/steps/sawing-cautions'
import { jobsOf, type CuttingJob } from '#core/cutting/from-holders'
import type { CutPlan } from '#core/cutting/instance'
import { noPlaceIn, type NoPlace } from '#core/cutting/no-place'
import { drawnWidth, sheetsUsed, type SheetCuts } from '#core/cutting/sheets-used'
import { cutPieces, stillCut } from '#core/model/work'
import { useBuildables } from '~/composables/useBuildables'
import { useCutUp } from '~/composables/useCutUp'
import { useCutting } from '~/composables/useCutting'
import { useFormat } from '~/composables/useFormat'
import { useRecords } from '~/stores/records'

useHead({ title: 'Cutting · Fingerling' })
const records = useRecords()
const { length } = useFormat()
const { plans, working, failed, run, stop } = useCutting()

const buildables = useBuildables()
const all = computed(() => buildables.value.map(({ id, what, level, design: { model } }) => ({ id, what, level, model, cut: stillCut(model, cutPieces(records.get('works', id)?.data)) }))) // prettier-ignore
/** Holders that are not cut now, and walls that are: a wall takes whole sheets, and is cut when its turn comes. */
const left = ref<Set<string>>(new Set())
const isChosen = (h: { id: string; what: string }) => left.value.has(h.id) === (h.what === 'wall')
const chosen = computed(() => all.value.filter(isChosen))
function toggle(id: string) {
  const next = new Set(left.value)
  if (!next.delete(id)) next.add(id)
  left.value = next
}
const jobs = computed(() => (records.shop ? jobsOf(records.shop, chosen.value) : []))
watch(jobs, (now) => run(now), { immediate: true })

/** The widest drawing, and what a small piece of stock is drawn up to so that it can be read, px. */
const WIDE = 860
const SMALL = { wide: 520, high: 200 }
function scaleOf(sheet: SheetCuts): number {
  const { job, stock } = sheet
  const alike = WIDE / Math.max(...job.instance.stock.map((s) => s.length))
  return Math.max(alike, Math.min(SMALL.wide / stock.length, SMALL.high / drawnWidth(sheet)))
}

const sheetsOf = (job: CuttingJob, plan: CutPlan) => sheetsUsed(job, plan, records.shop!)
/** Every piece of stock that is cut, of all jobs together. */
const sheets = computed(() => jobs.value.flatMap((job) => (plans.value[job.stock.id] ? sheetsOf(job, plans.value[job.stock.id]!.plan) : []))) // prettier-ignore
const cautions = computed(() => [
  ...new Set(sheets.value.flatMap((s) => sawingCautions(s, sawnCuts(s, records.shop!), records.shop!))),
])
const markCut = useCutUp()
function cutNow(key: string) {
  const sheet = sheets.value.find((s) => s.key === key)
  if (sheet) markCut(sheets.value, [sheet], chosen.value)
}

function told(job: CuttingJob, plan: CutPlan): string {
  const sheets = sheetsOf(job, plan)
  const bought = sheets.filter((s) => !s.stock.isOffcut).length
  const saved = sheets.length - bought
  const one = job.stock.length === null ? 'length' : job.stock.form
  const bin = saved > 0 ? [`${saved} from the bin`] : []
  const buy = bought > 0 ? [`${bought} ${one}${bought > 1 ? 's' : ''}`] : []
  // what has no place is told by itself
  if (plan.unplaced.length > 0) return [...buy, ...bin].join(', ')
  const bound = bought === 0 ? '' : plan.proven ? '; it can’t be done with less' : '; perhaps with less'
  return `${[...(bought > 0 ? buy : ['Nothing to buy']), ...bin].join(', ')}${bound}`
}
const cost = (job: CuttingJob, plan: CutPlan) =>
  sheetsOf(job, plan).filter((s) => !s.stock.isOffcut).length * (job.stock.price ?? 0)
/** What no piece of its stock is large enough for, of all jobs together. */
const noPlace = computed(() => jobs.value.flatMap((job) => (plans.value[job.stock.id] ? noPlaceIn(job, plans.value[job.stock.id]!.plan) : []))) // prettier-ignore
const sizeOf = (p: NoPlace) => `${length(p.length)}${p.width ? ` × ${length(p.width)}` : ''}`
/** Where the ways on are shown: the holder's own page. */
const pageOf = (p: NoPlace) => {
  const own = all.value.find((h) => p.id.startsWith(`${h.id}/`))
  return own?.what === 'holder' ? `/holders/${own.id}` : null
}
</script>

<template>
  <div class="page">
    <div class="bar">
      <h1>Cutting</h1>
      <span class="spring" />
      <template v-if="working">
        <span class="quiet" role="status">looking for less …</span>
        <button class="btn" @click="stop">That will do</button>
      </template>
    </div>
    <p v-if="all.length === 0" class="quiet">No holder to cut yet. Make one from tools in the tray.</p>
    <fieldset v-else class="holders">
      <legend class="quiet small">Cut together</legend>
      <label v-for="h in all" :key="h.id">
        <input type="checkbox" :checked="isChosen(h)" @change="toggle(h.id)" />
        {{ h.model.name }}
        <span v-if="h.level === 'stop'" class="quiet small"><VerdictMark level="stop" /> a check says stop</span>
      </label>
    </fieldset>
    <p v-if="failed" role="alert">{{ failed }}</p>
    <section v-for="job in jobs" :key="job.stock.id" :aria-label="job.stock.name" data-test="job">
      <h2>{{ job.stock.name }}</h2>
      <template v-if="plans[job.stock.id]">
        <p v-if="told(job, plans[job.stock.id]!.plan)">
          {{ told(job, plans[job.stock.id]!.plan)
          }}<template v-if="cost(job, plans[job.stock.id]!.plan) > 0"
            >, {{ cost(job, plans[job.stock.id]!.plan).toFixed(2) }} in all</template
          >.
        </p>
        <p v-for="p in noPlace.filter((n) => n.stock === job.stock)" :key="p.id" class="unplaced" role="alert">
          <VerdictMark level="stop" /> {{ p.holder }}: {{ p.part }}, {{ sizeOf(p) }} is larger than any
          {{ job.stock.form }} there is of it. <NuxtLink v-if="pageOf(p)" :to="pageOf(p)!">Ways on</NuxtLink>
        </p>
        <CuttingSheet
          v-for="sheet in sheetsOf(job, plans[job.stock.id]!.plan)"
          :key="sheet.key"
          :sheet="sheet"
          :scale="scaleOf(sheet)"
          :done="plans[job.stock.id]!.done"
          @cut="cutNow(sheet.key)"
        />
      </template>
      <p v-else class="quiet">waits its turn …</p>
    </section>
    <CuttingToBuy
      v-if="jobs.length > 0 && !working"
      :models="chosen.map((h) => h.model)"
      :cuts="sheets"
      :no-place="noPlace"
    />
    <p v-if="all.length > 0 && jobs.length === 0" class="quiet">Everything of these is cut.</p>
    <p v-if="cautions.length > 0" class="small caution">{{ cautions.join(' ') }}</p>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  align-items: center;
  gap: 12px;
  /* as high as its button, so that nothing jumps when the search is through */
  min-height: 34px;
}
.spring {
  flex: 1;
}
.holders {
  border: 0;
  padding: 0;
  margin: 8px 0 4px;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
}
.holders label {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 28px;
}
h2 {
  margin: 18px 0 2px;
}
p {
  margin: 2px 0;
}
.unplaced {
  display: flex;
  gap: 6px;
  align-items: center;
}
.caution {
  margin-top: 16px;
  max-width: 70ch;
}
</style>
