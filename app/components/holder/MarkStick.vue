<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { boardMarks, isMain, type Mark } from '#core/bench/marks'
import type { HolderModel } from '#core/model/model'
import { useFormat } from '~/composables/useFormat'

/** The measuring stick: every mark of the board as a running figure from the datum end, the waste crossed, the bit at each hole. */
const props = defineProps<{ model: HolderModel; lit: string | null; seat: string | null }>()
const emit = defineEmits<{ figure: [id: string]; seat: [id: string] }>()
const { format, bare, bit, length } = useFormat()

/** Room before the datum end and after the far end, px. */
const LEFT = 34
const RIGHT = 70
/** Room a running figure wants beside the next one, px. */
const APART = 46
/** At most so many px a mm, so that a short board isn't blown up. */
const LARGEST = 5
const HEIGHT = 96

const frame = ref<HTMLElement | null>(null)
const width = ref(1200)
let watcher: ResizeObserver | undefined
onMounted(() => {
  watcher = new ResizeObserver(([entry]) => (width.value = entry!.contentRect.width))
  if (frame.value) watcher.observe(frame.value)
})
onBeforeUnmount(() => watcher?.disconnect())

const board = computed(() => props.model.boards.find((b) => b.openings.length > 0) ?? props.model.boards[0]!)
const marked = computed(() => boardMarks(props.model, board.value, format.value))
const scale = computed(() => {
  const fit = (width.value - LEFT - RIGHT) / board.value.length
  const nearest = (list: Mark[]) => Math.min(...list.slice(1).map((m, i) => m.x - list[i]!.x))
  const saws = nearest(marked.value.marks.filter((m) => m.kind === 'saw'))
  const legible = saws > 0 && Number.isFinite(saws) ? APART / saws : 0
  return Math.max(Math.min(fit, LARGEST), Math.min(legible, LARGEST))
})
const full = computed(() => LEFT + RIGHT + board.value.length * scale.value)
const x = (mm: number) => LEFT + mm * scale.value

const ticks = computed(() => {
  const inches = format.value.unit === 'in'
  const small = inches ? 25.4 / 4 : 10
  const step = small * scale.value < 5 ? (inches ? 25.4 : 50) : small
  const count = Math.floor(board.value.length / step)
  return Array.from({ length: count + 1 }, (_, i) => {
    const mm = i * step
    const whole = Math.abs(mm / (inches ? 25.4 : 100) - Math.round(mm / (inches ? 25.4 : 100))) < 1e-6
    return `M${x(mm)} 44v${whole ? 10 : 5}`
  }).join('')
})
const waste = computed(() =>
  board.value.openings.map((o) => ({ id: o.seat, from: x(o.centre.x - o.width / 2), to: x(o.centre.x + o.width / 2) })),
)
/** What stands over a main mark: the bit of its bore, or of both its bores. */
function told(m: Mark): string {
  if (m.kind === 'datum' || m.kind === 'end') return m.kind
  const bores = board.value.openings.find((o) => o.seat === m.seat)?.bores ?? []
  if (bores.length === 0) return 'saw'
  return `${bores.length > 1 ? `${bores.length} × ` : ''}⌀ ${bit(bores[0]!.bit)}`
}
const mains = computed(() => marked.value.marks.filter(isMain))
const saws = computed(() => marked.value.marks.filter((m) => m.kind === 'saw'))
</script>

<template>
  <section
    ref="frame"
    class="stick"
    tabindex="0"
    aria-label="The stick: running marks from the datum end"
    data-test="stick"
  >
    <svg
      :width="full"
      :height="HEIGHT"
      role="img"
      :aria-label="`Marks on the ${board.name.toLowerCase()}, ${length(board.length)} long; the bench sheet has them as a table`"
    >
      <rect class="body" :x="x(0)" y="44" :width="board.length * scale" height="22" />
      <path class="ticks" :d="ticks" />
      <g v-for="w in waste" :key="w.id" class="waste">
        <rect :x="w.from" y="44" :width="w.to - w.from" height="22" />
        <path :d="`M${w.from} 44L${w.to} 66M${w.to} 44L${w.from} 66`" />
      </g>
      <path class="end-waste" :d="`M${x(board.length) + 5} 48l9 14m0-14l-9 14`" />
      <g
        v-for="m in mains"
        :key="m.label"
        class="main"
        :class="{ lit: m.figure !== null && m.figure === lit, seated: m.seat !== null && m.seat === seat }"
        @click="(m.figure && emit('figure', m.figure), m.seat && emit('seat', m.seat))"
      >
        <path :d="`M${x(m.x)} 28V66`" />
        <DrawnText class="running" :text="bare(m.printed)" :x="x(m.x)" y="24" />
        <DrawnText class="bit" :text="told(m)" :x="x(m.x)" y="11" />
      </g>
      <g v-for="m in saws" :key="m.label" class="saw">
        <path :d="`M${x(m.x)} 44V76`" />
        <DrawnText class="saw-figure" :text="bare(m.printed)" :x="x(m.x)" y="89" />
      </g>
    </svg>
  </section>
</template>

<style scoped>
.stick {
  overflow-x: auto;
  overflow-y: hidden;
  background: var(--paper);
  border-top: 1.5px solid var(--ink);
  padding: 4px 0 0;
}
svg {
  display: block;
}
.body {
  fill: var(--wood);
  stroke: var(--wood-line);
}
.ticks {
  stroke: var(--wood-line);
  stroke-width: 0.8;
  opacity: 0.6;
}
.waste rect {
  fill: var(--sheet);
  stroke: var(--wood-line);
}
.waste path,
.end-waste {
  stroke: var(--pencil);
  stroke-width: 1;
}
.main {
  cursor: pointer;
}
.main path {
  stroke: var(--chalk);
  stroke-width: 1.6;
}
.running {
  font-size: 15px;
  font-weight: 650;
  text-anchor: middle;
  fill: var(--ink);
}
.bit {
  font-size: 11.5px;
  text-anchor: middle;
  fill: var(--pencil);
}
.lit .running,
.seated .running {
  fill: var(--chalk);
}
.lit path,
.seated path {
  stroke-width: 3;
}
.saw path {
  stroke: var(--ink);
  stroke-width: 0.9;
}
.saw-figure {
  font-size: 11.5px;
  text-anchor: middle;
  fill: var(--pencil);
}
</style>
