<script setup lang="ts">
import { computed } from 'vue'
import { CUT_ALREADY } from '#core/bench/steps/cutting-steps'
import { benchSteps } from '#core/bench/steps/steps'
import { quickCuts } from '#core/cutting/quick-cuts'
import { madeBy } from '#core/bench/steps/made'
import { cutPieces, standing, stillCut } from '#core/model/work'
import { useBuildables } from '~/composables/useBuildables'
import { minutesText } from '~/composables/useTimers'
import { useRecords } from '~/stores/records'

/** Everything that can be built: how far its work has come. */
useHead({ title: 'Bench · Fingerling' })
const records = useRecords()
const buildables = useBuildables()
const all = computed(() =>
  buildables.value.map(({ id, name, level, design: { model } }) => {
    const shop = records.shop!
    const work = records.get('works', id)?.data ?? null
    const cut = stillCut(model, cutPieces(work))
    const order = benchSteps({ model, shop, cuts: quickCuts(shop, [{ id, model, cut }]), cut }, id)
    const left = order.steps.filter((s) => s.id !== CUT_ALREADY && standing(work, s.id, madeBy(model, s)) !== 'done')
    return {
      holder: { id, name },
      level,
      done: order.steps.length - left.length,
      of: order.steps.length,
      next: left[0]?.title ?? null,
      minutes: left.reduce((sum, s) => sum + s.minutes, 0),
    }
  }),
)
/** What is begun first, then what is sound, what must not be built last. */
const sorted = computed(() => {
  const rank = (h: (typeof all.value)[number]) => (h.level === 'stop' ? 3 : h.next === null ? 2 : h.done > 0 ? 0 : 1)
  return [...all.value].sort((a, b) => rank(a) - rank(b))
})
</script>

<template>
  <div class="page narrow">
    <h1>Bench</h1>
    <p v-if="all.length === 0" class="quiet">Nothing to build yet. Make a holder from tools in the tray first.</p>
    <ul>
      <li v-for="h in sorted" :key="h.holder.id" data-test="work">
        <NuxtLink :to="`/bench/${h.holder.id}`">
          <span class="name">{{ h.holder.name }}</span>
          <span class="next quiet">
            <template v-if="h.level === 'stop'"><VerdictMark level="stop" /> a check says stop</template>
            <template v-else-if="h.next === null">done</template>
            <template v-else>next: {{ h.next }}</template>
          </span>
          <span class="far">
            <span class="bar"><i :style="{ width: `${(100 * h.done) / h.of}%` }" /></span>
            <span class="quiet small"
              >{{ h.done }} of {{ h.of
              }}<template v-if="h.next">, about {{ minutesText(h.minutes) }} left</template></span
            >
          </span>
        </NuxtLink>
      </li>
    </ul>
    <p class="quiet small">
      The cards work without the server too, once this page was open here: what is ticked off is sent when it is back.
    </p>
  </div>
</template>

<style scoped>
.narrow {
  max-width: 760px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 12px 0;
}
a {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 14px;
  padding: 10px 4px;
  border-bottom: 1px solid var(--rule);
  text-decoration: none;
  color: inherit;
  min-height: 56px;
}
a:hover .name {
  color: var(--chalk);
}
.name {
  font-weight: 650;
  font-size: 1.08rem;
  overflow-wrap: anywhere;
}
.next {
  grid-column: 1;
}
.far {
  grid-column: 2;
  grid-row: 1 / 3;
  display: grid;
  align-content: center;
  gap: 4px;
  width: 190px;
}
.bar {
  height: 8px;
  background: var(--rule);
}
.bar i {
  display: block;
  height: 8px;
  background: var(--pass);
}
@media (max-width: 600px) {
  .far {
    width: 120px;
  }
}
</style>
