<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { boardMarks, isMain, type Mark } from '#core/bench/marks'
import { coordinate } from '#core/geometry/svg-path'
import type { HolderModel } from '#core/model/model'
import { useFormat } from '~/composables/useFormat'
import { useHistory } from '~/stores/history'

/** The measuring stick: every mark of the board as a running figure from the datum end, the waste crossed, the bit at each hole. */
const props = defineProps<{ model: HolderModel; lit: string | null; seat: string | null }>()
const emit = defineEmits<{ figure: [id: string]; seat: [id: string] }>()
const { format, bare, bit, length } = useFormat()
const history = useHistory()

/** Room before the datum end and after the far end, px. */
const LEFT = 34
const RIGHT = 70
/** Room a running figure wants beside the next one, px. */
const APART = 46
/** At most so many px a mm, so that a short board isn't blown up. */
const LARGEST = 5
const HEIGHT = 96
/** Marks so near to each other stand at one place, mm. */
const SAME_PLACE = 1e-6

/** How far beyond what is seen figures are set, px: a long stick is scrolled, and its far figures need not be there yet. */
const BEYOND = 400

const frame = ref<HTMLElement | null>(null)
const width = ref(1200)
const scrolled = ref(0)
let watcher: ResizeObserver | undefined
onMounted(() => {
  watcher = new ResizeObserver(([entry]) => (width.value = entry!.contentRect.width))
  if (frame.value) watcher.observe(frame.value)
})
onBeforeUnmount(() => watcher?.disconnect())

/** Saw lines nearer than this have one figure together, px. */
const NEAR = 34

const board = computed(() => props.model.boards.find((b) => b.openings.length > 0) ?? props.model.boards[0]!)
const marked = computed(() => boardMarks(props.model, board.value, format.value))
/** Main marks, one for each place: bores of several rows may stand at one place along the board. */
const mains = computed(() =>
  marked.value.marks.filter(isMain).filter((m, i, all) => i === 0 || m.x - all[i - 1]!.x > SAME_PLACE),
)
const openingsAt = (m: Mark) =>
  m.kind === 'centre' ? board.value.openings.filter((o) => Math.abs(o.centre.x - m.x) <= SAME_PLACE) : []
const scale = computed(() => {
  const fit = (width.value - LEFT - RIGHT) / board.value.length
  const nearest = (list: Mark[]) => Math.min(...list.slice(1).map((m, i) => m.x - list[i]!.x))
  const saws = marked.value.marks.filter((m) => m.kind === 'saw')
  const close = nearest(saws.length > 0 ? saws : mains.value)
  const legible = close > 0 && Number.isFinite(close) ? APART / close : 0
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
/** What stands over a main mark: the bit of its bore, of both its bores, or of the bores of several rows. */
function told(m: Mark): string {
  if (m.kind === 'datum' || m.kind === 'end') return m.kind
  const [one, ...more] = openingsAt(m)
  const bores = one?.bores ?? []
  if (bores.length === 0) return one?.opensTo === null ? 'no bit' : 'saw'
  if (more.length === 0 && one!.steps) return `⌀ ${[...bores, ...one!.steps].map((b) => bit(b.bit)).join(' › ')}`
  if (more.length === 0) return `${bores.length > 1 ? `${bores.length} × ` : ''}⌀ ${bit(bores[0]!.bit)}`
  const sizes = [...new Set([one!, ...more].map((o) => (o.bores[0] ? bit(o.bores[0].bit) : 'no bit')))]
  return `⌀ ${sizes.join(', ')}`
}
/** The figures of a slot's saw lines: each under its line, or both as one where the lines are too near. px */
function sawFigures(m: Mark, saws: Mark[], half: number): { at: number; text: string }[] {
  const at = Number(coordinate(x(m.x)))
  const [left, right] = saws.map((s) => bare(s.printed))
  if (left === undefined || right === undefined) return []
  if (2 * half >= NEAR)
    return [
      { at: at - half, text: left },
      { at: at + half, text: right },
    ]
  return [{ at, text: `${left} – ${right}` }]
}
/** A main mark with what stands about it: the waste of its slot and its saw lines. px */
const stations = computed(() =>
  mains.value.map((m, i) => {
    const here = openingsAt(m)
    const half = (here.reduce((most, o) => Math.max(most, o.width), 0) / 2) * scale.value
    const saws = marked.value.marks.filter(
      (other) => other.kind === 'saw' && (m.seat ? other.seat === m.seat : other.figure === m.figure),
    )
    return {
      key: `${i}:${m.seat ?? m.kind}`,
      x: Number(coordinate(x(m.x))),
      figure: m.figure,
      seat: m.seat,
      running: bare(m.printed),
      told: told(m),
      half,
      open: here.some((o) => o.opensTo !== null),
      saws: sawFigures(m, saws, half),
    }
  }),
)
/** While a figure is dragged only what is seen follows. */
const beyond = computed(() => (history.holding ? APART : BEYOND))
const seen = computed(() =>
  stations.value.filter(
    (m) => m.x > scrolled.value - beyond.value && m.x < scrolled.value + width.value + beyond.value,
  ),
)
/** All lines of the stick as a few paths. */
const lines = computed(() => {
  const slots = stations.value.filter((m) => m.half > 0 && m.open).map((m) => [m.x - m.half, m.x + m.half] as const)
  const bores = stations.value.filter((m) => m.half > 0 && !m.open)
  return {
    waste: slots.map(([a, b]) => `M${a} 44H${b}V66H${a}Z`).join(''),
    crosses: slots.map(([a, b]) => `M${a} 44L${b} 66M${b} 44L${a} 66`).join(''),
    saws: slots.map(([a, b]) => `M${a} 44V76M${b} 44V76`).join(''),
    bores: bores
      .map(({ x: at, half }) => `M${at - half} 55a${half} 9 0 0 1 ${2 * half} 0a${half} 9 0 0 1 ${-2 * half} 0Z`)
      .join(''),
    main: stations.value.map((m) => `M${m.x} 28V66`).join(''),
  }
})
</script>

<template>
  <section
    ref="frame"
    class="stick"
    tabindex="0"
    aria-label="The stick: running marks from the datum end"
    data-test="stick"
    @scroll.passive="scrolled = frame!.scrollLeft"
  >
    <svg
      :width="full"
      :height="HEIGHT"
      role="img"
      :aria-label="`Marks on the ${board.name.toLowerCase()}, ${length(board.length)} long; the bench sheet has them as a table`"
    >
      <rect class="body" :x="x(0)" y="44" :width="board.length * scale" height="22" />
      <path class="ticks" :d="ticks" />
      <path class="end-waste" :d="`M${x(board.length) + 5} 48l9 14m0-14l-9 14`" />
      <path class="waste" :d="lines.waste" />
      <path class="waste" :d="lines.bores" />
      <path class="crosses" :d="lines.crosses" />
      <path class="saw" :d="lines.saws" />
      <path class="line" :d="lines.main" />
      <g
        v-for="m in seen"
        :key="m.key"
        class="main"
        :class="{ lit: m.figure !== null && m.figure === lit, seated: m.seat !== null && m.seat === seat }"
        @click="(m.figure && emit('figure', m.figure), m.seat && emit('seat', m.seat))"
      >
        <path v-if="m.figure !== null && (m.figure === lit || m.seat === seat)" class="line" :d="`M${m.x} 28V66`" />
        <template v-if="format.unit === 'mm'">
          <text class="running" :x="m.x" y="24">{{ m.running }}</text>
          <text class="bit" :x="m.x" y="11">{{ m.told }}</text>
          <text v-for="(saw, i) in m.saws" :key="i" class="saw-figure" :x="saw.at" y="89">{{ saw.text }}</text>
        </template>
        <template v-else>
          <DrawnText class="running" :text="m.running" :x="m.x" y="24" />
          <DrawnText class="bit" :text="m.told" :x="m.x" y="11" />
          <DrawnText v-for="(saw, i) in m.saws" :key="i" class="saw-figure" :text="saw.text" :x="saw.at" y="89" />
        </template>
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
.waste {
  fill: var(--sheet);
  stroke: var(--wood-line);
}
.crosses,
.end-waste {
  stroke: var(--pencil);
  stroke-width: 1;
}
.main {
  cursor: pointer;
}
.line {
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
.lit > .line,
.seated > .line {
  stroke-width: 3;
}
.saw {
  stroke: var(--ink);
  stroke-width: 0.9;
}
.saw-figure {
  font-size: 11.5px;
  text-anchor: middle;
  fill: var(--pencil);
}
</style>
