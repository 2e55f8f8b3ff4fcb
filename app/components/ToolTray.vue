<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import type { Tool } from '#core/footprint/tool'
import { standing } from '~/composables/tools'
import { heapsOf, keepRows, rowsOf, type Sort, type TrayRow } from '~/composables/trayLayout'
import { useFormat } from '~/composables/useFormat'

/**
 * The tools laid out, silhouettes to one scale and hung on one line, so that a wrong figure is seen. Only the rows in
 * sight are there.
 */
const props = defineProps<{
  tools: readonly Tool[]
  open: string | null
  chosen: ReadonlySet<string>
  housed: ReadonlySet<string>
  sort: Sort
  /** px a mm */
  scale: number
}>()
const emit = defineEmits<{ show: [id: string]; choose: [ids: string[], on: boolean] }>()

const { format } = useFormat()
const scroller = ref<HTMLElement>()
const width = ref(900)
let watcher: ResizeObserver | undefined
onMounted(() => {
  watcher = new ResizeObserver(([entry]) => (width.value = Math.max(220, entry!.contentRect.width)))
  watcher.observe(scroller.value!)
})
onBeforeUnmount(() => watcher?.disconnect())

const heaps = computed(() => heapsOf(props.tools.map(standing), props.sort, (id) => props.housed.has(id)))
const rows = computed<TrayRow[]>((before) => keepRows(before ?? [], rowsOf(heaps.value, width.value, props.scale)))
const virtual = useVirtualizer(
  computed(() => ({
    count: rows.value.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: (i: number) => rows.value[i]!.height,
    overscan: 1,
  })),
)
watch(rows, () => virtual.value.measure(), { flush: 'post' })

/** The tools in the order in which they are shown. */
const shown = computed(() => heaps.value.flatMap((h) => h.all.map((s) => s.tool.id)))
let last: string | null = null
/** One tool, or with shift all from the one before to this. */
function toggle(id: string, range: boolean) {
  const on = !props.chosen.has(id)
  const [a, b] = [last === null ? -1 : shown.value.indexOf(last), shown.value.indexOf(id)]
  emit('choose', range && a >= 0 ? shown.value.slice(Math.min(a, b), Math.max(a, b) + 1) : [id], on)
  last = id
}

const rowWith = (id: string) =>
  rows.value.findIndex((r) => r.stretches.some((s) => s.cells.some((c) => c.stand.tool.id === id)))
/** Brings the open tool into sight when another is opened. */
watch(
  () => props.open,
  (id) => {
    const at = id ? rowWith(id) : -1
    if (at >= 0) void nextTick(() => virtual.value.scrollToIndex(at, { align: 'auto' }))
  },
)

/** Arrow keys go from tool to tool. */
function move(event: KeyboardEvent) {
  const at = shown.value.indexOf((event.target as HTMLElement).dataset.tool ?? '')
  const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
  const id = at >= 0 && step !== 0 ? shown.value[at + step] : undefined
  if (!id) return
  event.preventDefault()
  virtual.value.scrollToIndex(rowWith(id), { align: 'auto' })
  requestAnimationFrame(() => scroller.value?.querySelector<HTMLElement>(`[data-tool="${CSS.escape(id)}"]`)?.focus())
}
defineExpose({ order: shown })
const bar = computed(() => (format.value.unit === 'mm' ? { mm: 100, text: '100 mm' } : { mm: 101.6, text: '4"' }))
</script>

<template>
  <div class="tray">
    <svg
      v-if="tools.length > 0"
      class="bar"
      :width="bar.mm * scale + 70"
      height="16"
      role="img"
      :aria-label="`Scale: ${bar.text}`"
    >
      <path :d="`M1 3v8M1 7h${bar.mm * scale}M${1 + bar.mm * scale} 3v8`" />
      <text :x="bar.mm * scale + 8" y="12">{{ bar.text }}</text>
    </svg>
    <div ref="scroller" class="scroller" data-test="tray" tabindex="-1" @keydown="move">
      <div class="whole" :style="{ height: `${virtual.getTotalSize()}px` }">
        <template v-for="v in virtual.getVirtualItems()" :key="v.index">
          <TrayRow
            v-if="rows[v.index]"
            class="placed"
            :style="{ transform: `translateY(${v.start}px)` }"
            :row="rows[v.index]!"
            :scale="scale"
            :open="open"
            :chosen="chosen"
            :housed="housed"
            :gently="virtual.isScrolling"
            @show="emit('show', $event)"
            @toggle="toggle"
          />
        </template>
      </div>
    </div>
  </div>
</template>

<style scoped>
.tray {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.bar {
  display: block;
  flex: none;
}
.bar path {
  stroke: var(--pencil);
  fill: none;
}
.bar text {
  fill: var(--pencil);
  font-size: 12px;
}
.scroller {
  flex: 1;
  overflow-y: auto;
  overflow-x: hidden;
  min-height: 0;
  contain: strict;
}
.scroller:focus-visible {
  outline: none;
}
.whole {
  position: relative;
}
.placed {
  position: absolute;
  top: 0;
  left: 0;
}
</style>
