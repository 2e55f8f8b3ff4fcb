<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import type { Kind } from '#core/footprint/kind'
import type { Remark } from '#core/footprint/measuring'
import type { Tool } from '#core/footprint/tool'
import { outlineBounds, quarterTurned, type Outline } from '#core/geometry/outline'
import { coordinate, svgPath } from '#core/geometry/svg-path'
import { counted } from '~/composables/counted'
import { useFormat } from '~/composables/useFormat'
import { useOutlineFile } from '~/composables/useOutlineFile'

/** The outline taken from a tool: read from an SVG or DXF file, traced from a picture, or from points typed in. */
const props = defineProps<{ tool: Tool; kind: Kind; remarks: readonly Remark[] }>()
const emit = defineEmits<{ change: [outline: Outline | null] }>()

const { format, length } = useFormat()
const file = useOutlineFile()
onBeforeUnmount(file.stop)
const typing = ref(false)
const points = ref('')
const wrong = ref('')
const found = shallowRef<{ outline: Outline; notes: string[] } | null>(null)
const chosen = ref<HTMLInputElement>()

const UNITS = [
  { mm: 1, label: 'millimetres' },
  { mm: 25.4, label: 'inches' },
  { mm: 25.4 / 96, label: '96 to an inch' },
  { mm: 25.4 / 72, label: '72 to an inch' },
]

async function open(event: Event) {
  const picked = (event.target as HTMLInputElement).files?.[0]
  if (!picked) return
  leave()
  wrong.value = ''
  typing.value = false
  const read = await file.open(picked)
  if (chosen.value) chosen.value.value = ''
  if (!read.ok) wrong.value = read.message
  else if (read.unit !== null) await pick(read.unit)
}
/** How long what was traced is in its picture’s own units, while its true length is asked for. */
const tracedLong = ref<number | null>(null)
const trueLong = ref<number | null>(null)
/** What is known of its length already. */
const knownLong = computed(() => props.tool.measures.length ?? props.tool.measures.height ?? null)
async function trace(event: Event) {
  const input = event.target as HTMLInputElement
  const picked = input.files?.[0]
  if (!picked) return
  leave()
  wrong.value = ''
  typing.value = false
  const read = await file.trace(picked)
  input.value = ''
  tracedLong.value = read.ok ? read.long : null
  if (!read.ok) wrong.value = read.message
  else {
    trueLong.value = knownLong.value
    await scale(trueLong.value)
  }
}
async function scale(long: number | null) {
  trueLong.value = long
  if (long && tracedLong.value) await pick(long / tracedLong.value)
}
const turn = () => found.value && (found.value = { ...found.value, outline: quarterTurned(found.value.outline) })
async function pick(unit: number) {
  const read = await file.pick(unit)
  wrong.value = read.ok ? '' : read.message
  found.value = read.ok ? read.picked : null
}
async function readTyped() {
  const { readPoints } = await import('#core/exchange/outline/points')
  const read = readPoints(points.value, format.value.unit)
  wrong.value = read.ok ? '' : read.message
  found.value = read.ok ? { outline: read.outline, notes: [] } : null
}
function keep() {
  emit('change', found.value!.outline)
  found.value = null
  typing.value = false
  tracedLong.value = null
  file.stop()
}
function leave() {
  found.value = null
  tracedLong.value = null
}
const shown = computed(() => found.value?.outline ?? props.tool.outline)
const box = computed(() => (shown.value ? outlineBounds(shown.value) : null))
const bar = computed(() => (format.value.unit === 'mm' ? { mm: 100, text: '100 mm' } : { mm: 101.6, text: '4"' }))
const view = computed(() => {
  if (!box.value) return ''
  const { minX, maxX, minY, maxY } = box.value
  const [w, h] = [Math.max(maxX - minX, bar.value.mm) * 1.12, (maxY - minY) * 1.1 + bar.value.mm * 0.22]
  return [(minX + maxX) / 2 - w / 2, -maxY - (maxY - minY) * 0.05, w, h].map(coordinate).join(' ')
})
</script>

<template>
  <section class="outline">
    <h3>Outline <span v-if="kind.outline === 'possible'" class="quiet small">instead of width and height</span></h3>
    <svg
      v-if="shown && box"
      :viewBox="view"
      role="img"
      :aria-label="`Outline, ${length(box.maxX - box.minX)} by ${length(box.maxY - box.minY)}`"
    >
      <path class="line" :d="svgPath(shown)" vector-effect="non-scaling-stroke" />
      <g class="bar" :transform="`translate(${(box.minX + box.maxX) / 2 - bar.mm / 2} ${-box.minY + bar.mm * 0.1})`">
        <path
          :d="`M0 ${-bar.mm * 0.02}v${bar.mm * 0.04}M0 0h${bar.mm}M${bar.mm} ${-bar.mm * 0.02}v${bar.mm * 0.04}`"
          vector-effect="non-scaling-stroke"
        />
        <text :x="bar.mm / 2" :y="bar.mm * 0.1" :font-size="bar.mm * 0.085">{{ bar.text }}</text>
      </g>
    </svg>
    <p v-if="shown && box" class="small">
      <LengthText :text="`${length(box.maxX - box.minX)} by ${length(box.maxY - box.minY)}`" />,
      {{ counted(shown.segments.length, 'piece') }}, {{ shown.segments.filter((s) => s.kind === 'arc').length }} of them
      arcs. Check it against the bar.
    </p>
    <template v-if="found">
      <p v-for="n in found.notes" :key="n" class="told doubt">{{ n }}</p>
      <div class="row">
        <button class="btn main" @click="keep">Keep this outline</button>
        <button class="btn" @click="turn">Turn it a quarter</button>
        <button class="btn" @click="leave">Leave it</button>
      </div>
    </template>
    <div v-if="file.asks.value" class="row units">
      <span>The file doesn’t say its unit. One of its units is</span>
      <button v-for="u in UNITS" :key="u.label" class="btn tiny" @click="pick(u.mm)">{{ u.label }}</button>
    </div>
    <label v-if="tracedLong !== null" class="row"
      >It is, from end to end,
      <LengthField :model-value="trueLong" label="How long it is, end to end" @update:model-value="scale"
    /></label>
    <p v-if="wrong" class="told wrong" role="alert">{{ wrong }}</p>
    <p v-for="r in remarks.filter((x) => x.field === 'outline')" :key="r.message" class="told" :class="r.level">
      {{ r.message }}
    </p>
    <div class="row">
      <label class="btn file">
        Read SVG or DXF
        <input ref="chosen" type="file" accept=".svg,.dxf,image/svg+xml" class="hidden-text" @change="open" />
      </label>
      <label class="btn file">
        Trace a picture
        <input type="file" accept="image/jpeg,image/png,image/webp" class="hidden-text" @change="trace" />
      </label>
      <button class="btn" :aria-expanded="typing" @click="typing = !typing">Type points</button>
      <button v-if="tool.outline" class="btn bare" @click="emit('change', null)">Remove it</button>
    </div>
    <p class="small quiet">
      A picture: lying flat on a plain ground of another colour, without a shadow, from straight above and as far off as
      the room allows.
    </p>
    <template v-if="typing">
      <label class="over" for="outline-points">Points, one to a line: across, then up</label>
      <textarea
        id="outline-points"
        v-model="points"
        class="field"
        rows="5"
        :placeholder="format.unit === 'in' ? '0 0\n5 0\n5 1.5\n0 1.5' : '0 0\n120 0\n120 40\n0 40'"
      />
      <button class="btn" @click="readTyped">Draw them</button>
    </template>
  </section>
</template>

<style scoped>
.outline {
  display: grid;
  gap: 6px;
}
svg {
  width: 100%;
  max-height: 260px;
  background: var(--paper);
  border: 1px solid var(--rule);
}
.line {
  fill: var(--steel);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.bar path {
  stroke: var(--pencil);
  stroke-width: 1;
  fill: none;
}
.bar text {
  fill: var(--pencil);
  text-anchor: middle;
}
.row {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  align-items: center;
}
p {
  margin: 0;
}
.file:focus-within {
  outline: 2px solid var(--chalk);
  outline-offset: 2px;
}
.row > .btn:not(.tiny) {
  align-self: start;
}
</style>
