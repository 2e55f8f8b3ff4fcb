<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { mdiClose, mdiMagnifyMinusOutline, mdiMagnifyPlusOutline, mdiPlus } from '@mdi/js'
import { SORTS } from '~/composables/trayLayout'
import { useKeys } from '~/composables/useKeys'
import { useNewHolder } from '~/composables/useNewHolder'
import { useTray } from '~/composables/useTray'
import { useTrayView } from '~/composables/useTrayView'
import { useRecords } from '~/stores/records'

useHead({ title: 'Tools · Fingerling' })
const records = useRecords()
const route = useRoute()
const router = useRouter()
const { ask } = useNewHolder()

const openId = computed(() => (typeof route.query.tool === 'string' ? route.query.tool : null))
const open = computed(() => (openId.value ? (records.toolsById.get(openId.value) ?? null) : null))
/** A tool that a link leads to and that isn't here; one that was, and has just been deleted, needs no telling. */
const wasHere = new Set<string>()
watch(open, (tool) => tool && wasHere.add(tool.id), { immediate: true })
const missing = computed(() => (openId.value && !open.value && !wasHere.has(openId.value) ? openId.value : null))

/** Where typing begins on the card that comes up next. */
const start = ref<'name' | 'figures'>()
const show = (id: string | null, from?: 'name' | 'figures') => {
  start.value = from
  void router.replace({ path: '/tools', query: id ? { tool: id } : {} })
}
const { chosen, choose, add, copy, leaveRoom, makeSeveral, remove } = useTray(show)
const { words, sort, scale, shown, zoom } = useTrayView()
const picked = computed(() => records.tools.filter((t) => chosen.value.has(t.id)))
/** The tool that several more are to be like; null for none, undefined while nobody asks. */
const likeWhat = ref<string | null>()

const addHere = () => add(open.value?.group ?? '')
function removeAll(ids: string[]) {
  if (openId.value && ids.includes(openId.value)) show(null)
  remove(ids)
}
const tray = ref<{ order: string[] }>()
/** The next tool in the order of the tray. */
function next() {
  const order = tray.value?.order ?? []
  const after = order[order.indexOf(openId.value ?? '') + 1] ?? order[0]
  if (after) show(after, 'figures')
}
const search = ref<HTMLInputElement>()

/** The card goes a moment later; keys that follow at once, such as undo, are no longer meant for its field. */
function closeCard() {
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
  show(null)
}
useKeys(() => [
  { on: 'n', says: 'New tool', act: addHere },
  { on: 'm', says: 'Several at once', act: () => (likeWhat.value = openId.value) },
  { on: '/', says: 'Search', act: () => search.value?.focus() },
  { on: 'Escape', says: 'Close the card', act: closeCard, whileTyping: true },
])
</script>

<template>
  <div class="tools" :class="{ split: open }">
    <section class="tray-side" aria-label="Tools">
      <div class="bar">
        <h1>Tools</h1>
        <template v-if="picked.length > 0">
          <span>{{ picked.length }} chosen</span>
          <button class="btn main" @click="ask(picked)">Make a holder for them</button>
          <button class="btn" @click="removeAll(picked.map((t) => t.id))">Delete</button>
          <button class="btn bare" @click="chosen = new Set()">Choose none</button>
        </template>
        <template v-else>
          <button class="btn main" @click="addHere"><v-icon :icon="mdiPlus" size="18" /> Measure a tool</button>
          <button class="btn" @click="likeWhat = null">Several at once</button>
        </template>
        <span class="spring" />
        <nav v-if="picked.length === 0" class="links" aria-label="Lists of tools">
          <NuxtLink v-if="records.tools.length > 0" to="/tools/stocktaking">Take stock</NuxtLink>
          <NuxtLink to="/tools/import">Lists in and out</NuxtLink>
        </nav>
      </div>
      <NotHere
        v-if="missing"
        :id="missing"
        :key="missing"
        :kinds="['tools']"
        what="The tool of that link"
        class="missing"
      >
        <button class="link" @click="show(null)">Go on without it</button>
      </NotHere>
      <div v-if="records.tools.length > 0" class="bar finding">
        <input
          ref="search"
          v-model="words"
          class="field search"
          type="search"
          aria-label="Search the tray"
          placeholder="Search by name, kind, place ( / )"
          @keydown.escape.stop="words = ''"
        />
        <select v-model="sort" class="field sort" aria-label="Order of the tray">
          <option v-for="s in SORTS" :key="s.value" :value="s.value">{{ s.label }}</option>
        </select>
        <button class="btn bare icon" aria-label="Smaller" title="Smaller" @click="zoom(-1)">
          <v-icon :icon="mdiMagnifyMinusOutline" size="20" />
        </button>
        <button class="btn bare icon" aria-label="Larger" title="Larger" @click="zoom(1)">
          <v-icon :icon="mdiMagnifyPlusOutline" size="20" />
        </button>
        <span class="quiet" role="status">{{
          words ? `${shown.length} of ${records.tools.length}` : `${records.tools.length} in the tray`
        }}</span>
        <button
          v-if="words && shown.length > 0"
          class="link"
          @click="
            choose(
              shown.map((t) => t.id),
              true,
            )
          "
        >
          Choose {{ shown.length === 1 ? 'it' : `all ${shown.length}` }}
        </button>
      </div>
      <ToolTray
        v-if="records.tools.length > 0"
        ref="tray"
        :tools="shown"
        :open="openId"
        :chosen="chosen"
        :housed="records.housed"
        :sort="sort"
        :scale="scale"
        @show="show($event)"
        @choose="choose"
      />
      <p v-if="records.tools.length > 0 && shown.length === 0" class="none">
        No tool here is called that. <button class="link" @click="words = ''">Show all of them</button>
      </p>
      <div v-if="records.tools.length === 0" class="empty">
        <EmptyTray />
        <h2>Lay the first tool out</h2>
        <p>
          Start with one that hangs by its head: a mallet or a hammer. Measure the handle just under the head first;
          that figure decides the slot.
        </p>
        <button class="btn main" @click="addHere">Measure a tool</button>
      </div>
    </section>
    <aside v-if="open" class="card-side" aria-label="Measuring card">
      <CardMeasuringCard
        :key="open.id"
        :tool="open"
        :start="start"
        @copy="copy(open)"
        @remove="removeAll([open.id])"
        @next="next"
        @several="likeWhat = open.id"
        @room="leaveRoom(open)"
      >
        <button class="btn bare" aria-label="Close the card" @click="show(null)">
          <v-icon :icon="mdiClose" size="20" />
        </button>
      </CardMeasuringCard>
    </aside>
    <SeveralDialog
      v-if="likeWhat !== undefined"
      :from="likeWhat === null ? null : (records.toolsById.get(likeWhat) ?? null)"
      @close="likeWhat = undefined"
      @make="(makeSeveral($event), (likeWhat = undefined))"
    />
  </div>
</template>

<style scoped>
.tools {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  height: calc(100vh - 48px);
}
.tools.split {
  grid-template-columns: minmax(0, 1fr) 560px;
}
.tray-side {
  display: flex;
  flex-direction: column;
  padding: 14px 8px 0 28px;
  min-width: 0;
  min-height: 0;
}
.tray-side > .tray {
  flex: 1;
}
.card-side {
  border-left: 1.5px solid var(--ink);
  background: var(--sheet);
  overflow-y: auto;
  min-width: 0;
}
.bar {
  display: flex;
  align-items: center;
  gap: 8px 12px;
  flex-wrap: wrap;
  margin-bottom: 6px;
  padding-right: 20px;
}
.missing {
  border: 1.5px solid var(--ink);
  background: var(--sheet);
  padding: 10px 14px;
  margin: 0 20px 10px 0;
}
.missing :deep(p) {
  margin: 4px 0 0;
}
.links {
  display: flex;
  gap: 14px;
}
.finding {
  gap: 8px;
}
.search {
  flex: 0 1 260px;
  width: auto;
}
.sort {
  width: auto;
}
.icon {
  padding: 0 6px;
}
.none {
  position: absolute;
  padding-top: 60px;
}
.spring {
  flex: 1;
}
.empty {
  max-width: 440px;
  margin: 30px auto;
  text-align: center;
  display: grid;
  gap: 12px;
  justify-items: center;
}
@media (max-width: 900px) {
  .tools.split {
    display: block;
    height: auto;
  }
  .tools.split .tray-side {
    display: none;
  }
  .card-side {
    border-left: 0;
  }
  .tray-side {
    padding: 10px 0 0 14px;
  }
  .bar {
    padding-right: 14px;
  }
  .search {
    flex: 1 1 100%;
  }
}
</style>
