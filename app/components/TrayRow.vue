<script setup lang="ts">
import type { Standing } from '~/composables/tools'
import { ROOM, type TrayRow } from '~/composables/trayLayout'

/** One row of the tray: tools hung on one line, under the headings of their heaps. */
const props = defineProps<{
  row: TrayRow
  /** px a mm */
  scale: number
  open: string | null
  chosen: ReadonlySet<string>
  housed: ReadonlySet<string>
}>()
/** How far a tool reaches below the line that its row hangs on, px: its name is tied on there. */
const belowOf = (s: Standing) => Math.max(0, -s.box.minY) * props.scale
const emit = defineEmits<{ show: [id: string]; toggle: [id: string, range: boolean] }>()
</script>

<template>
  <div class="row">
    <section v-for="part in row.stretches" :key="part.heap" :aria-label="part.heap">
      <h2 v-if="row.stretches.some((s) => s.count > 0)" :class="{ on: part.count === 0 }">
        <template v-if="part.count > 0"
          >{{ part.heap }} <span class="quiet small">{{ part.count }}</span></template
        >
      </h2>
      <ul>
        <li
          v-for="{ stand: s, width } in part.cells"
          :key="s.tool.id"
          :class="{ open: s.tool.id === open, chosen: chosen.has(s.tool.id) }"
          :style="{ width: `${width}px` }"
        >
          <button
            class="tool"
            :aria-current="s.tool.id === open"
            :data-tool="s.tool.id"
            @click="emit('show', s.tool.id)"
          >
            <svg class="shape" :width="width - 10" :height="row.above + belowOf(s) + 8" aria-hidden="true">
              <path class="line" :d="`M0 ${row.above}H${width}`" />
              <g
                :transform="`translate(${(width - 10) / 2 - ((s.box.minX + s.box.maxX) / 2) * scale} ${row.above}) scale(${scale})`"
                :class="[s.missing > 0 ? 'guess' : '', s.tool.presence.replace(' ', '-')]"
              >
                <path v-for="(p, i) in s.paths" :key="i" :class="p.part" :d="p.d" vector-effect="non-scaling-stroke" />
              </g>
            </svg>
            <span class="name"
              >{{ s.tool.name }}<template v-if="s.tool.count > 1"> × {{ s.tool.count }}</template></span
            >
            <span v-if="s.tool.presence === 'missing'" class="told wrong">missing</span>
            <span v-else-if="s.tool.presence === 'to come'" class="quiet small">to come</span>
            <span v-else-if="s.missing > 0" class="told doubt">{{ s.missing }} to measure</span>
            <span v-else-if="s.doubt" class="told doubt">look again</span>
            <span v-else class="quiet small">{{ housed.has(s.tool.id) ? 'has a place' : 'no place yet' }}</span>
          </button>
          <label class="pick" :style="{ left: `${ROOM / 4}px` }">
            <input
              type="checkbox"
              :checked="chosen.has(s.tool.id)"
              @click="emit('toggle', s.tool.id, ($event as MouseEvent).shiftKey)"
            />
            <span class="hidden-text">Choose {{ s.tool.name }}</span>
          </label>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  gap: 30px;
}
h2 {
  border-bottom: 1px solid var(--rule);
  padding-bottom: 3px;
  margin-bottom: 4px;
  height: 30px;
  white-space: nowrap;
}
h2.on {
  border-bottom-style: dashed;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
}
li {
  position: relative;
  flex: none;
  contain: layout paint style;
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
  padding: 2px 3px 4px;
  width: 100%;
  height: 100%;
  line-height: 1.2;
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
.guess,
.missing {
  opacity: 0.4;
}
g path {
  stroke: var(--ink);
  stroke-width: 1.1;
  fill: var(--steel);
}
g .handle {
  fill: var(--wood);
}
g .body {
  fill: var(--housing);
}
g .blade {
  fill: var(--bright);
}
g .battery {
  fill: var(--battery);
}
g .hole {
  fill: var(--paper);
}
.to-come path {
  fill: none;
  stroke-dasharray: 4 3;
}
.name {
  max-width: 100%;
  text-align: center;
  overflow-wrap: anywhere;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
  min-height: 1.2em;
}
.told {
  margin: 0;
}
.pick {
  position: absolute;
  top: 0;
  padding: 5px;
  cursor: pointer;
}
.pick input:not(:checked, :focus-visible) {
  opacity: 0.5;
}
li:hover .pick input {
  opacity: 1;
}
.pick input {
  width: 17px;
  height: 17px;
  accent-color: var(--chalk);
}
</style>
