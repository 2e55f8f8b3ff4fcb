<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import type { Standing } from '~/composables/tools'
import type { TrayRow } from '~/composables/trayLayout'

/** One row of the tray: tools hung on one line, under the headings of their heaps. */
const props = defineProps<{
  row: TrayRow
  /** px a mm */
  scale: number
  open: string | null
  chosen: ReadonlySet<string>
  housed: ReadonlySet<string>
  /** comes into sight by scrolling: its tools are drawn a few to a frame, so that the scrolling stays even */
  gently: boolean
}>()
/** So many tools are drawn in one frame when that is to go gently. */
const A_FRAME = 3
const drawn = ref(props.gently ? A_FRAME : Infinity)
let frame = 0
function drawMore(): void {
  drawn.value += A_FRAME
  const all = props.row.stretches.reduce((n, s) => n + s.cells.length, 0)
  if (drawn.value < all) frame = requestAnimationFrame(drawMore)
}
if (props.gently) frame = requestAnimationFrame(drawMore)
onBeforeUnmount(() => cancelAnimationFrame(frame))
watch(
  () => props.row,
  () => (drawn.value = Infinity),
)
/** The row as far as it is drawn. */
const parts = computed(() => {
  let left = drawn.value
  return props.row.stretches.map((s) => {
    const cells = left >= s.cells.length ? s.cells : s.cells.slice(0, Math.max(0, left))
    left -= s.cells.length
    return { ...s, cells, width: s.cells.reduce((sum, c) => sum + c.width, 0) }
  })
})
/** What there is to say of a tool under its name. */
function saysOf(s: Standing): { text: string; look: string } {
  if (s.tool.presence === 'missing') return { text: 'missing', look: 'wrong' }
  if (s.tool.presence === 'to come') return { text: 'to come', look: 'quiet' }
  if (s.missing > 0) return { text: `${s.missing} to measure`, look: 'doubt' }
  if (s.doubt) return { text: 'look again', look: 'doubt' }
  return { text: props.housed.has(s.tool.id) ? 'has a place' : 'no place yet', look: 'quiet' }
}
const emit = defineEmits<{ show: [id: string]; toggle: [id: string, range: boolean] }>()
</script>

<template>
  <div class="row" :style="{ '--line': `${row.above}px` }">
    <section v-for="part in parts" :key="part.heap" :aria-label="part.heap" :style="{ width: `${part.width}px` }">
      <h2 v-if="row.stretches.some((s) => s.count > 0)" :class="{ on: part.count === 0 }">
        <template v-if="part.count > 0"
          >{{ part.heap }} <span class="quiet small">{{ part.count }}</span></template
        >
      </h2>
      <ul>
        <li
          v-for="({ stand: s, width }, n) in part.cells"
          :key="n"
          :class="{ open: s.tool.id === open, chosen: chosen.has(s.tool.id) }"
          :style="{ width: `${width}px` }"
        >
          <button
            class="tool"
            :aria-current="s.tool.id === open"
            :data-tool="s.tool.id"
            @click="emit('show', s.tool.id)"
          >
            <svg
              class="shape"
              :class="[s.missing > 0 ? 'guess' : '', s.tool.presence.replace(' ', '-')]"
              :style="{ marginTop: `${row.above - s.box.maxY * scale}px` }"
              :width="(s.box.maxX - s.box.minX) * scale"
              :height="(s.box.maxY - s.box.minY) * scale"
              :viewBox="s.viewBox"
              aria-hidden="true"
            >
              <path v-for="(p, i) in s.paths" :key="i" :class="p.part" :d="p.d" />
            </svg>
            <span class="name"
              >{{ s.tool.name }}<template v-if="s.tool.count > 1"> × {{ s.tool.count }}</template></span
            >
            <span class="says small" :class="saysOf(s).look">{{ saysOf(s).text }}</span>
          </button>
          <input
            type="checkbox"
            class="pick"
            :aria-label="`Choose ${s.tool.name}`"
            :checked="chosen.has(s.tool.id)"
            @click="emit('toggle', s.tool.id, ($event as MouseEvent).shiftKey)"
          />
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
  align-items: flex-start;
  position: relative;
}
/* the line that all of them hang on */
ul::before {
  content: '';
  position: absolute;
  top: calc(var(--line) + 3px);
  left: 4px;
  right: 4px;
  border-top: 1px dashed var(--chalk);
  opacity: 0.5;
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
  display: block;
  text-align: center;
  padding: 2px 3px 4px;
  width: 100%;
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
.shape {
  display: block;
  overflow: visible;
  margin: 0 auto 8px;
}
.guess,
.missing {
  opacity: 0.4;
}
path {
  stroke: var(--ink);
  stroke-width: 1.1;
  vector-effect: non-scaling-stroke;
  fill: var(--steel);
}
.handle {
  fill: var(--wood);
}
.body {
  fill: var(--housing);
}
.blade {
  fill: var(--bright);
}
.battery {
  fill: var(--battery);
}
.hole {
  fill: var(--paper);
}
.to-come path {
  fill: none;
  stroke-dasharray: 4 3;
}
.name {
  display: block;
  overflow-wrap: anywhere;
  overflow: hidden;
  max-height: 2.4em;
}
.says.wrong {
  color: var(--stop);
}
.says.doubt {
  color: var(--watch);
}
.pick {
  position: absolute;
  top: 3px;
  left: 7px;
  width: 24px;
  height: 24px;
  margin: 0;
  cursor: pointer;
  accent-color: var(--chalk);
}
.pick:not(:checked, :focus-visible) {
  opacity: 0.5;
}
li:hover .pick {
  opacity: 1;
}
</style>
