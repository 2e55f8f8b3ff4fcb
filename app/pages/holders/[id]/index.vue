<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { ownerOf } from '#core/choose/by-seat'
import { finder } from '#core/choose/design'
import { useHolder } from '~/composables/useHolder'
import { LONGEST_NAME } from '#core/exchange/project/checked'
import { useKeys } from '~/composables/useKeys'
import { useHistory } from '~/stores/history'

const route = useRoute()
const router = useRouter()
const history = useHistory()
const id = computed(() => String(route.params.id))
const { holder, form, input, worked, drawn, marked, change, apply, choose, seatTool, move, turn, unseat } =
  useHolder(id)
useHead({ title: () => `${holder.value?.name ?? 'Holder'} · Fingerling` })

const lit = ref<string | null>(null)
const seat = ref<string | null>(null)
const side = ref<HTMLElement | null>(null)
const look = ref<'drawing' | 'solid'>('drawing')
useKeys(() => [
  {
    on: 'v',
    says: 'As a drawing or as a solid',
    act: () => (look.value = look.value === 'solid' ? 'drawing' : 'solid'),
  },
])
const figure = computed(() => {
  if (!lit.value || !worked.value?.working.some((f) => f.id === lit.value)) return null
  return finder(worked.value.working)(lit.value)
})
function pick(figureId: string | null) {
  lit.value = figureId
  const owner = figureId && ownerOf(figureId)
  if (owner && holder.value?.seats.some((s) => s.id === owner)) seat.value = owner
  if (figureId) side.value?.scrollTo({ top: 0, behavior: 'smooth' })
}
watch(id, () => {
  lit.value = null
  seat.value = null
})
/** Another like this one, to try something else in, and both side by side. */
function variant() {
  if (!holder.value) return
  const copy = {
    ...holder.value,
    id: crypto.randomUUID(),
    name: `${holder.value.name}, variant`.slice(0, LONGEST_NAME),
  }
  history.change('A variant', 'holders', copy.id, copy, true)
  void router.push(`/holders/compare?a=${holder.value.id}&b=${copy.id}`)
}
const refusal = computed(() => worked.value?.refusals[0]?.says ?? '')
</script>

<template>
  <div v-if="!holder || !input || !worked || !form" class="page">
    <NotHere :id="id" :kinds="['holders']" />
  </div>
  <div v-else class="bench-top">
    <header class="bar">
      <NuxtLink to="/holders" class="quiet">Holders</NuxtLink>
      <span class="quiet">/</span>
      <NameField
        class="name"
        :model-value="holder.name"
        label="Name of the holder"
        @update:model-value="change('Name', { name: $event })"
      />
      <span class="quiet purpose">{{ form.name }}, {{ form.purpose }}</span>
      <span class="spring" />
      <button class="btn" @click="variant">A variant</button>
      <NuxtLink class="btn" :to="`/holders/${holder.id}/bench`">Bench sheet</NuxtLink>
      <NuxtLink class="btn main" :to="`/bench/${holder.id}`">To the bench</NuxtLink>
    </header>
    <aside class="left" aria-label="Tools in this holder">
      <HolderSeatList
        :seats="holder.seats"
        :form="form"
        :seat="seat"
        @move="move"
        @turn="turn"
        @out="unseat"
        @add="seatTool"
        @seat="seat = $event"
      />
    </aside>
    <section class="centre" aria-label="Drawing">
      <div class="drawing">
        <LazyHolderSolid v-if="look === 'solid' && worked.model" :worked="worked" />
        <HolderDrawing v-else :worked="drawn ?? worked" :lit="lit" :seat="seat" @figure="pick" @seat="seat = $event">
          <p class="nothing">{{ refusal }}</p>
        </HolderDrawing>
        <div v-if="worked.model" class="look" role="group" aria-label="Shown as">
          <button class="btn tiny" :aria-pressed="look === 'drawing'" @click="look = 'drawing'">Drawing</button>
          <button class="btn tiny" :aria-pressed="look === 'solid'" @click="look = 'solid'">Solid</button>
        </div>
      </div>
      <HolderVerdictStrip :worked="worked" :lit="lit" @apply="apply" @figure="pick" @seat="seat = $event" />
    </section>
    <aside ref="side" class="right" aria-label="The working">
      <HolderWorkingCard
        v-if="figure"
        :worked="worked"
        :figure="figure"
        :choices="form.choices"
        @pick="pick"
        @choose="(key, value) => choose(key, key, value)"
      />
      <h2>Settled for this holder</h2>
      <HolderChoicePanel :form="form" :input="input" @choose="choose" />
      <HolderOffcutQuestion
        class="offcut"
        :input="input"
        :stock="worked.model?.boards[0]?.stock"
        @gap="choose('Gap', 'gap', $event)"
        @keep="change('Leave some out', { seats: holder!.seats.slice(0, $event) })"
        @take="change('Fit the stock', { seats: $event.seats, choices: $event.choices })"
      />
      <h2>The working</h2>
      <p class="quiet small hint">Click any figure to see where it comes from.</p>
      <HolderWorkingList
        :worked="worked"
        :lit="lit"
        :seat="seat"
        @pick="pick"
        @seat="seat = seat === $event ? null : $event"
      />
    </aside>
    <HolderMarkStick
      v-if="marked?.model"
      class="stick"
      :model="marked.model"
      :lit="lit"
      :seat="seat"
      @figure="pick"
      @seat="seat = $event"
    />
  </div>
</template>

<style scoped>
.bench-top {
  display: grid;
  height: calc(100vh - 48px);
  grid-template-columns: 226px minmax(0, 1fr) 372px;
  grid-template-rows: auto minmax(0, 1fr) auto;
  grid-template-areas: 'bar bar bar' 'left centre right' 'stick stick stick';
}
.bar {
  grid-area: bar;
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--rule);
}
.bar a.quiet {
  text-decoration: none;
}
.name {
  width: 300px;
}
.name :deep(input) {
  font: 600 1.05rem var(--head);
  border-color: transparent;
  border-bottom-color: var(--rule);
  background: none;
}
.purpose {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.spring {
  flex: 1;
}
.left,
.centre,
.right,
.stick {
  contain: layout style;
}
.left {
  grid-area: left;
  border-right: 1px solid var(--rule);
  overflow-y: auto;
}
.centre {
  grid-area: centre;
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
  min-width: 0;
}
.drawing {
  position: relative;
  min-height: 0;
  min-width: 0;
}
.look {
  position: absolute;
  top: 8px;
  right: 10px;
  display: flex;
}
.look [aria-pressed='true'] {
  border-bottom: 2px solid var(--chalk);
  font-weight: 600;
}
.right {
  grid-area: right;
  border-left: 1px solid var(--rule);
  overflow-y: auto;
  padding: 10px 14px 24px;
}
.right h2 {
  margin: 14px 0 6px;
}
.right h2:first-child {
  margin-top: 2px;
}
.offcut {
  margin-top: 8px;
}
.hint {
  margin: 0;
}
.stick {
  grid-area: stick;
}
.nothing {
  max-width: 420px;
  margin: 80px auto;
  text-align: center;
  font: 1.15rem/1.4 var(--head);
}
@media (max-width: 1000px) {
  .bench-top {
    height: auto;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto;
    grid-template-areas: 'bar' 'centre' 'stick' 'right' 'left';
  }
  .bar {
    flex-wrap: wrap;
  }
  .purpose {
    display: none;
  }
  .drawing {
    height: 380px;
  }
  .left,
  .right {
    border: 0;
    border-top: 1px solid var(--rule);
  }
}
</style>
