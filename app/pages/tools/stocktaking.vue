<script setup lang="ts">
import { computed, ref } from 'vue'
import { kindOf } from '#core/footprint/kinds'
import type { Presence, Tool } from '#core/footprint/tool'
import { heapsOf } from '~/composables/trayLayout'
import { standing } from '~/composables/tools'
import { useKeys } from '~/composables/useKeys'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

useHead({ title: 'Taking stock · Fingerling' })
const records = useRecords()
const history = useHistory()

const today = () => {
  const now = new Date()
  return [now.getFullYear(), now.getMonth() + 1, now.getDate()].map((n) => String(n).padStart(2, '0')).join('-')
}
/** The walk goes heap by heap, as the tools lie; its order stays while it lasts. */
const walk = ref(heapsOf(records.tools.map(standing), 'group', () => false).flatMap((h) => h.all.map((s) => s.tool.id)))
const at = ref(0)
const tool = computed<Tool | undefined>(() => records.toolsById.get(walk.value[at.value] ?? ''))
const told = computed(() => walk.value.flatMap((id) => records.toolsById.get(id) ?? []))
const missing = computed(() => told.value.filter((t) => t.presence === 'missing'))
const seen = computed(() => told.value.filter((t) => t.presence === 'here' && t.seen === today()))

function forward() {
  do at.value++
  while (at.value < walk.value.length && !tool.value)
}
function back() {
  do at.value--
  while (at.value > 0 && !tool.value)
  at.value = Math.max(0, at.value)
}
function tell(presence: Presence) {
  const t = tool.value
  if (!t) return
  const more = presence === 'here' ? { presence, seen: today() } : { presence }
  history.change(presence === 'here' ? 'It is here' : 'It is missing', 'tools', t.id, { ...t, ...more }, true)
  forward()
}
function onlyMissing() {
  walk.value = missing.value.map((t) => t.id)
  at.value = 0
}

useKeys(() => [
  { on: 'h', says: 'It is here', act: () => tell('here') },
  { on: 'm', says: 'It is missing', act: () => tell('missing') },
  { on: 's', says: 'Pass it by', act: forward },
  { on: 'b', says: 'One back', act: back },
])
const size = computed(() => {
  const s = tool.value ? standing(tool.value) : null
  return s ? { ...s.box, w: s.box.maxX - s.box.minX, h: s.box.maxY - s.box.minY, shapes: s.shapes } : null
})
const WIDE = 320
const HIGH = 250
const scale = computed(() => (size.value ? Math.min(WIDE / size.value.w, HIGH / size.value.h, 1) : 1))
</script>

<template>
  <div class="page walk">
    <p class="small"><NuxtLink to="/tools">Tools</NuxtLink></p>
    <h1>Taking stock</h1>
    <template v-if="tool && size">
      <p class="quiet" role="status">{{ at + 1 }} of {{ walk.length }} · {{ tool.group || 'no group yet' }}</p>
      <progress :value="at" :max="walk.length" aria-label="How far the walk is" />
      <div class="one" aria-live="polite">
        <svg :width="size.w * scale + 8" :height="size.h * scale + 8" aria-hidden="true">
          <g :transform="`translate(${4 - size.minX * scale} ${4 + size.maxY * scale}) scale(${scale})`">
            <ToolShapes :shapes="size.shapes" />
          </g>
        </svg>
        <h2>
          {{ tool.name }}<template v-if="tool.count > 1"> × {{ tool.count }}</template>
        </h2>
        <p class="quiet">
          {{ kindOf(tool.kind)?.name }}<template v-if="tool.usedAt">, used at {{ tool.usedAt }}</template
          ><template v-if="tool.presence !== 'here'">; {{ tool.presence }} so far</template
          ><template v-else-if="tool.seen">; seen on {{ tool.seen }}</template>
        </p>
        <p v-if="tool.note">{{ tool.note }}</p>
      </div>
      <div class="answers">
        <button class="btn main" @click="tell('here')">Here <kbd>h</kbd></button>
        <button class="btn" @click="tell('missing')">Missing <kbd>m</kbd></button>
        <button class="btn bare" @click="forward">Pass it by <kbd>s</kbd></button>
        <button class="btn bare" :disabled="at === 0" @click="back">One back <kbd>b</kbd></button>
      </div>
    </template>
    <template v-else>
      <p role="status" class="sum">
        <strong>{{ seen.length }} here</strong>, <strong>{{ missing.length }} missing</strong>,
        {{ told.length - seen.length - missing.length }} not looked for.
      </p>
      <template v-if="missing.length > 0">
        <h2>Missing</h2>
        <ul class="list">
          <li v-for="t in missing" :key="t.id">
            <NuxtLink :to="`/tools?tool=${t.id}`">{{ t.name }}</NuxtLink>
            <span class="quiet small"
              >{{ t.usedAt ? `used at ${t.usedAt}; ` : ''
              }}{{ t.seen ? `last seen on ${t.seen}` : 'never seen yet' }}</span
            >
          </li>
        </ul>
      </template>
      <div class="answers">
        <NuxtLink class="btn main" to="/tools">To the tray</NuxtLink>
        <button v-if="missing.length > 0" class="btn" @click="onlyMissing">Look for the missing once more</button>
        <button class="btn bare" :disabled="walk.length === 0" @click="back">One back <kbd>b</kbd></button>
      </div>
    </template>
  </div>
</template>

<style scoped>
.walk {
  max-width: 560px;
}
progress {
  width: 100%;
  height: 6px;
  accent-color: var(--chalk);
}
.one {
  display: grid;
  justify-items: center;
  text-align: center;
  gap: 4px;
  min-height: 360px;
  align-content: end;
  padding: 12px 0;
  overflow-wrap: anywhere;
}
.one p {
  margin: 0;
}
.answers {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  margin-top: 10px;
}
.answers .btn {
  min-height: 56px;
  justify-content: center;
  font-size: 1.05rem;
}
kbd {
  font: inherit;
  font-size: 0.86rem;
  opacity: 0.75;
  border: 1px solid currentColor;
  border-radius: 3px;
  padding: 0 5px;
}
.list {
  padding: 0;
  list-style: none;
}
.list li {
  display: flex;
  gap: 10px;
  justify-content: space-between;
  border-bottom: 1px solid var(--rule);
  padding: 6px 0;
}
</style>
