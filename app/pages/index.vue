<script setup lang="ts">
import { computed } from 'vue'
import { worstOf } from '#core/checks/verdict'
import { design } from '#core/choose/design'
import { lacks } from '~/composables/tools'
import { useNewHolder } from '~/composables/useNewHolder'
import { useRecords } from '~/stores/records'

useHead({ title: 'Today · Fingerling' })
const records = useRecords()
const { ask } = useNewHolder()
const router = useRouter()

const toMeasure = computed(() => records.tools.filter((t) => lacks(t).length > 0))
const homeless = computed(() => records.tools.filter((t) => !records.housed.has(t.id) && lacks(t).length === 0))
const looked = computed(() =>
  records.holders.map((holder) => {
    const d = design(records.inputOf(holder))
    return {
      holder,
      level: worstOf(d.verdicts),
      says: d.verdicts.find((v) => v.level === worstOf(d.verdicts))?.says ?? '',
    }
  }),
)
const stopped = computed(() => looked.value.filter((l) => l.level === 'stop'))
const sound = computed(() => looked.value.filter((l) => l.level !== 'stop'))

type Next = { title: string; why: string; button: string; go: () => void }
const next = computed<Next>(() => {
  const [unmeasuredTool] = toMeasure.value
  const [stop] = stopped.value
  if (records.tools.length === 0)
    return {
      title: 'Lay out the first tool',
      why: 'Everything follows from a tool’s own measurements.',
      button: 'Measure a tool',
      go: () => void router.push('/tools'),
    }
  if (stop)
    return {
      title: stop.holder.name,
      why: stop.says,
      button: 'See the way out',
      go: () => void router.push(`/holders/${stop.holder.id}`),
    }
  if (unmeasuredTool)
    return {
      title: unmeasuredTool.name,
      why: `Still to measure: ${lacks(unmeasuredTool).join(', ').toLowerCase()}.`,
      button: 'Measure it',
      go: () => void router.push(`/tools?tool=${unmeasuredTool.id}`),
    }
  if (homeless.value.length > 0)
    return {
      title: homeless.value.length === 1 ? '1 tool without a place' : `${homeless.value.length} tools without a place`,
      why: homeless.value
        .slice(0, 4)
        .map((t) => t.name)
        .join(', '),
      button: 'Find them a holder',
      go: () => ask(homeless.value.slice(0, 8)),
    }
  const [first] = sound.value
  if (first)
    return {
      title: first.holder.name,
      why: 'It is sound: take its marks to the board.',
      button: 'To the bench',
      go: () => void router.push(`/bench/${first.holder.id}`),
    }
  return {
    title: 'Nothing waits',
    why: 'Every tool is measured and has a place.',
    button: 'To the tools',
    go: () => void router.push('/tools'),
  }
})
</script>

<template>
  <div class="page today">
    <h1>Today in {{ records.shop!.name }}</h1>
    <section class="next">
      <p class="quiet">Next</p>
      <h2>{{ next.title }}</h2>
      <p>{{ next.why }}</p>
      <button class="btn main" @click="next.go">{{ next.button }}</button>
    </section>
    <section>
      <h2>How things stand</h2>
      <ul>
        <li>
          <NuxtLink to="/tools"
            >{{ records.tools.length }} {{ records.tools.length === 1 ? 'tool' : 'tools' }} in the tray</NuxtLink
          ><template v-if="toMeasure.length">, {{ toMeasure.length }} still to measure</template>
        </li>
        <li v-if="homeless.length">{{ homeless.length }} measured, without a place yet</li>
        <li v-for="l in looked" :key="l.holder.id" class="holder">
          <VerdictMark :level="l.level" />
          <span>
            <NuxtLink :to="`/holders/${l.holder.id}`">{{ l.holder.name }}</NuxtLink>
            <span v-if="l.level !== 'pass'" class="quiet says">{{ l.says }}</span>
          </span>
        </li>
      </ul>
    </section>
    <section v-if="records.shops.length > 1">
      <h2>Other shops</h2>
      <ul>
        <li v-for="s in records.shops.filter((x) => x.id !== records.shopId)" :key="s.id">
          <button class="link" @click="records.enter(s.id)">{{ s.shop.name }}</button>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.today {
  max-width: 760px;
  display: grid;
  gap: 24px;
}
.next {
  border: 1.5px solid var(--ink);
  background: var(--sheet);
  padding: 18px 22px;
}
.next p {
  margin: 4px 0 12px;
}
.next h2 {
  font-size: 1.4rem;
}
.next .quiet {
  margin: 0;
}
ul {
  list-style: none;
  padding: 0;
  margin: 8px 0 0;
  display: grid;
  gap: 7px;
}
.holder {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.says {
  margin-left: 8px;
}
a {
  color: var(--chalk);
}
</style>
