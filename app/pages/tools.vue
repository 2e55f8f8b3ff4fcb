<script setup lang="ts">
import { computed, ref } from 'vue'
import { mdiClose, mdiPlus } from '@mdi/js'
import { blankTool } from '~/composables/tools'
import { useKeys } from '~/composables/useKeys'
import { useNewHolder } from '~/composables/useNewHolder'
import { useNotice } from '~/composables/useNotice'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

useHead({ title: 'Tools · Fingerling' })
const records = useRecords()
const history = useHistory()
const notice = useNotice()
const route = useRoute()
const router = useRouter()
const { newHolder } = useNewHolder()

const openId = computed(() => (typeof route.query.tool === 'string' ? route.query.tool : null))
const open = computed(() => (openId.value ? (records.toolsById.get(openId.value) ?? null) : null))
const chosen = ref(new Set<string>())
const picked = computed(() => records.tools.filter((t) => chosen.value.has(t.id)))

/** Where typing begins on the card that comes up next. */
const start = ref<'name' | 'figures'>()

const show = (id: string | null, from?: 'name' | 'figures') => {
  start.value = from
  return router.replace({ path: '/tools', query: id ? { tool: id } : {} })
}
const toggle = (id: string) => {
  const next = new Set(chosen.value)
  if (!next.delete(id)) next.add(id)
  chosen.value = next
}

function add() {
  const tool = { ...blankTool(open.value?.group ?? ''), name: `New tool ${records.tools.length + 1}` }
  history.change('New tool', 'tools', tool.id, tool)
  void show(tool.id, 'name')
}

function copy(id: string) {
  const from = records.toolsById.get(id)
  if (!from) return
  const tool = { ...from, id: crypto.randomUUID(), name: `${from.name} (copy)`.slice(0, 120) }
  history.change('Copy of a tool', 'tools', tool.id, tool)
  void show(tool.id, 'name')
}

function remove(ids: string[]) {
  const names = ids.map((id) => records.toolsById.get(id)?.name ?? '')
  const changes = ids.map((id) => ({ kind: 'tools' as const, id, shop: records.shopId!, data: null }))
  history.act(ids.length === 1 ? 'Delete a tool' : 'Delete tools', changes)
  chosen.value = new Set([...chosen.value].filter((id) => !ids.includes(id)))
  if (openId.value && ids.includes(openId.value)) void show(null)
  notice.say(ids.length === 1 ? `“${names[0]}” is out of the tray.` : `${ids.length} tools are out of the tray.`, true)
}

function next() {
  const all = records.tools
  const at = all.findIndex((t) => t.id === openId.value)
  const after = all[at + 1] ?? all[0]
  if (after) void show(after.id, 'figures')
}

useKeys(() => [
  { on: 'n', says: 'New tool', act: add },
  { on: 'Escape', says: 'Close the card', act: () => void show(null) },
])
</script>

<template>
  <div class="tools" :class="{ split: open }">
    <section class="tray-side" aria-label="Tools">
      <div class="bar">
        <h1>Tools</h1>
        <span v-if="records.tools.length" class="quiet"
          >{{ records.tools.length }} in the tray, drawn to one scale</span
        >
        <span class="spring" />
        <template v-if="picked.length > 0">
          <span>{{ picked.length }} chosen</span>
          <button class="btn main" @click="newHolder(picked)">Make a finger rail for them</button>
          <button class="btn" @click="remove(picked.map((t) => t.id))">Delete</button>
          <button class="btn bare" @click="chosen = new Set()">Choose none</button>
        </template>
        <button v-else class="btn main" @click="add"><v-icon :icon="mdiPlus" size="18" /> Measure a tool</button>
      </div>
      <ToolTray :tools="records.tools" :open="openId" :chosen="chosen" @show="show($event)" @toggle="toggle" />
      <div v-if="records.tools.length === 0" class="empty">
        <EmptyTray />
        <h2>Lay the first tool out</h2>
        <p>
          Start with one that hangs by its head: a mallet or a hammer. Measure the handle just under the head first;
          that figure decides the slot.
        </p>
        <button class="btn main" @click="add">Measure a tool</button>
      </div>
    </section>
    <aside v-if="open" class="card-side" aria-label="Measuring card">
      <MeasuringCard
        :key="open.id"
        :tool="open"
        :start="start"
        @copy="copy(open.id)"
        @remove="remove([open.id])"
        @next="next"
      >
        <button class="btn bare" aria-label="Close the card" @click="show(null)">
          <v-icon :icon="mdiClose" size="20" />
        </button>
      </MeasuringCard>
    </aside>
  </div>
</template>

<style scoped>
.tools {
  display: grid;
  height: calc(100vh - 48px);
}
.tools.split {
  grid-template-columns: minmax(0, 1fr) 560px;
}
.tray-side {
  overflow-y: auto;
  padding: 16px 28px 40px;
  min-width: 0;
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
  gap: 12px;
  flex-wrap: wrap;
  margin-bottom: 6px;
  min-height: 40px;
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
  .tools,
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
    padding: 12px 14px 32px;
  }
}
</style>
