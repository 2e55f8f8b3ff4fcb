<script setup lang="ts">
import { computed } from 'vue'
import { unmeasured, remarksOn } from '#core/footprint/measuring'
import type { Tool } from '#core/footprint/tool'
import { standing } from '~/composables/tools'
import { useFormat } from '~/composables/useFormat'
import { useRecords } from '~/stores/records'

/** The tools laid out in their groups, silhouettes to one scale and hung on one line, so that a wrong figure is seen. */
const props = defineProps<{ tools: Tool[]; open: string | null; chosen: Set<string> }>()
const emit = defineEmits<{ show: [id: string]; toggle: [id: string] }>()

/** Pixels a millimetre. */
const SCALE = 0.4
/** Room round a silhouette, px. */
const ROOM = 14

const records = useRecords()
const { format, length } = useFormat()
const housed = computed(() => new Set(records.holders.flatMap((h) => h.seats.map((s) => s.tool))))

const groups = computed(() => {
  const byGroup = new Map<string, Tool[]>()
  for (const tool of props.tools) byGroup.set(tool.group, [...(byGroup.get(tool.group) ?? []), tool])
  return [...byGroup]
    .sort(([a], [b]) => (a === '' ? 1 : b === '' ? -1 : a.localeCompare(b)))
    .map(([name, tools]) => {
      const all = tools.map((tool) => {
        const stand = standing(tool)
        const missing = unmeasured(tool).length
        const doubt = remarksOn(tool, length).length > 0
        return { ...stand, missing, doubt, width: (stand.box.maxX - stand.box.minX) * SCALE + 2 * ROOM }
      })
      return {
        name,
        all,
        above: Math.max(...all.map((s) => s.box.maxY)) * SCALE + ROOM,
        below: -Math.min(...all.map((s) => s.box.minY)) * SCALE + ROOM / 2,
      }
    })
})
const bar = computed(() => (format.value.unit === 'mm' ? { mm: 100, text: '100 mm' } : { mm: 101.6, text: '4"' }))
</script>

<template>
  <div>
    <svg
      v-if="tools.length > 0"
      class="bar"
      :width="bar.mm * SCALE + 70"
      height="16"
      role="img"
      :aria-label="`Scale: ${bar.text}`"
    >
      <path :d="`M1 3v8M1 7h${bar.mm * SCALE}M${1 + bar.mm * SCALE} 3v8`" />
      <text :x="bar.mm * SCALE + 8" y="12">{{ bar.text }}</text>
    </svg>
    <div class="groups">
      <section v-for="group in groups" :key="group.name" class="group">
        <h2>
          {{ group.name || 'No group yet' }} <span class="quiet small">{{ group.all.length }}</span>
        </h2>
        <ul>
          <li
            v-for="s in group.all"
            :key="s.tool.id"
            :class="{ open: s.tool.id === open, chosen: chosen.has(s.tool.id) }"
          >
            <button
              class="tool"
              :style="{ minWidth: `${Math.max(96, s.width)}px` }"
              :aria-current="s.tool.id === open"
              @click="emit('show', s.tool.id)"
            >
              <svg class="shape" :width="s.width" :height="group.above + group.below" aria-hidden="true">
                <path class="line" :d="`M0 ${group.above}H${s.width}`" />
                <g
                  :transform="`translate(${ROOM - s.box.minX * SCALE} ${group.above}) scale(${SCALE})`"
                  :class="{ guess: s.missing > 0 }"
                >
                  <ToolShapes :shapes="s.shapes" />
                </g>
              </svg>
              <span class="name">{{ s.tool.name }}</span>
              <span v-if="s.missing > 0" class="told doubt">{{ s.missing }} to measure</span>
              <span v-else-if="s.doubt" class="told doubt">look again</span>
              <span v-else class="quiet small">{{ housed.has(s.tool.id) ? 'has a place' : 'no place yet' }}</span>
            </button>
            <label class="pick">
              <input type="checkbox" :checked="chosen.has(s.tool.id)" @change="emit('toggle', s.tool.id)" />
              <span class="hidden-text">Choose {{ s.tool.name }}</span>
            </label>
          </li>
        </ul>
      </section>
    </div>
  </div>
</template>

<style scoped>
.bar {
  display: block;
  margin-bottom: 2px;
}
.bar path {
  stroke: var(--pencil);
  fill: none;
}
.bar text {
  fill: var(--pencil);
  font-size: 12px;
}
.groups {
  display: flex;
  flex-wrap: wrap;
  gap: 16px 36px;
  margin-top: 12px;
}
.group {
  min-width: 0;
}
h2 {
  border-bottom: 1px solid var(--rule);
  padding-bottom: 3px;
}
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 2px;
}
li {
  position: relative;
}
.tool {
  font: inherit;
  color: inherit;
  background: none;
  border: 1.5px solid transparent;
  border-radius: 4px;
  cursor: pointer;
  display: flex;
  flex-direction: column;
  align-items: center;
  padding: 26px 4px 6px;
  height: 100%;
}
.tool:hover {
  background: var(--faint);
}
.open .tool {
  border-color: var(--chalk);
  background: var(--sheet);
}
.chosen .tool {
  background: var(--faint);
}
.line {
  stroke: var(--chalk);
  stroke-width: 1;
  stroke-dasharray: 5 3;
  opacity: 0.5;
}
.guess {
  opacity: 0.4;
}
.name {
  max-width: 130px;
  line-height: 1.2;
  text-align: center;
  overflow-wrap: anywhere;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.pick {
  position: absolute;
  top: 0;
  left: 0;
  padding: 5px;
  cursor: pointer;
}
.pick input {
  width: 17px;
  height: 17px;
  accent-color: var(--chalk);
}
</style>
