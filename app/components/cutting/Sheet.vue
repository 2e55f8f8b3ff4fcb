<script setup lang="ts">
import { computed, ref } from 'vue'
import { cutWords, thenText, trimWords } from '#core/bench/cut-words'
import { keptOf } from '#core/cutting/bin'
import type { Cut } from '#core/cutting/cuts'
import type { CutPlacement } from '#core/cutting/instance'
import { lyingSize, wholeSize, type SheetCuts } from '#core/cutting/sheets-used'
import { formatPlaces } from '#core/shop/places'
import { counted } from '~/composables/counted'
import { useFormat } from '~/composables/useFormat'
import { useRecords } from '~/stores/records'

/** One piece of stock to scale: the pieces in it, what is over, and the cuts in their order with the fence's setting. */
const props = defineProps<{
  sheet: SheetCuts
  /** px to a mm */
  scale: number
  /** the plan is what it will be */
  done: boolean
}>()
const emit = defineEmits<{ cut: [] }>()
const records = useRecords()
const { bare, length } = useFormat()
const stock = computed(() => props.sheet.stock)
const placements = computed(() => props.sheet.placements)
const cuts = computed(() => props.sheet.cuts)
/** Settings of fence and stop that differ. */
const settings = computed(() => new Set(cuts.value.map((c) => `${c.direction} ${bare(c.fence)}`)).size)
const names = computed(() => props.sheet.job.names)
const wide = computed(() => lies.value.width)
/** As it comes, and once its first end and edge are trimmed. */
const comes = computed(() => wholeSize(props.sheet))
const lies = computed(() => lyingSize(props.sheet))
const trimmed = computed(() => trimWords(props.sheet, records.shop!))
/** Not all places that are kept clear go over the whole width. */
const isPartAcross = computed(() => props.sheet.noGo.some((p) => p.high < Infinity))
/** What is left and worth keeping. */
type Kept = ReturnType<typeof keptOf>[number]
const kept = computed(() => keptOf(props.sheet, records.shop!))
const size = computed(() => ({ w: lies.value.length * props.scale, h: Math.max(10, wide.value * props.scale) }))
const px = (mm: number) => mm * props.scale
const high = (p: CutPlacement) => (p.width ? px(p.width) : size.value.h)
/** The cuts in words. */
const said = computed(() => cutWords(props.sheet, records.shop!).map((said, i) => ({ ...said, again: again(cuts.value[i]!) }))) // prettier-ignore
/** Whether the cut before it in its direction was set alike. */
function again(cut: Cut): boolean {
  const before = cuts.value.findLast((c) => c.number < cut.number && c.direction === cut.direction)
  return before !== undefined && bare(before.fence) === bare(cut.fence)
}
/** About what a letter takes, px. */
const LETTER = 6
const nameOf = (p: CutPlacement) => names.value[p.partId]?.part ?? p.partId
const named = (p: CutPlacement) => `${nameOf(p)} ${bare(p.length)}${p.width ? ` × ${bare(p.width)}` : ''}`
/** A piece's name with its size where it fits in, else its name, else nothing. */
function label(p: CutPlacement): string {
  if (high(p) < 14) return ''
  const [part, sized] = [nameOf(p), named(p)]
  const room = (px(p.length) - 10) / LETTER
  return sized.length <= room ? sized : part.length <= room ? part : ''
}
/** Pieces too small for their name have a letter, equal ones the same, and are named below. */
const letters = computed(() => {
  const small = placements.value.filter((p) => !label(p)).map(named)
  return new Map([...new Set(small)].map((text, n) => [text, { letter: letterOf(n), count: small.filter((s) => s === text).length }])) // prettier-ignore
})
const letterOf = (n: number): string =>
  (n < 26 ? '' : letterOf(Math.floor(n / 26) - 1)) + String.fromCharCode(97 + (n % 26))
const sizeOf = (l: Kept) =>
  [l.length, ...(stock.value.width ? [l.width] : [])].map((mm) => bare(mm, 'down')).join(' × ')
/** What a piece is that stays, as far as it fits in. */
const staying = (l: Kept) =>
  px(l.width) < 18 ? '' : ([`stays: ${sizeOf(l)}`, sizeOf(l)].find((text) => text.length * LETTER <= px(l.length) - 10) ?? '') // prettier-ignore
/** The cuts are drawn with their numbers while they are read. */
const open = ref(false)
/** Where a cut's number stands: in its middle; px. */
const numberAt = ({ from, to }: Cut) => ({ x: px((from.x + to.x) / 2), y: px((from.y + to.y) / 2) })
</script>

<template>
  <figure>
    <figcaption>
      <strong>{{ sheet.name }}</strong>
      <span class="quiet">
        {{ length(comes.length) }}<template v-if="stock.width"> × {{ length(comes.width) }}</template
        ><template v-if="stock.isOffcut">, from the bin</template>
      </span>
    </figcaption>
    <div class="scroll">
      <svg
        :width="size.w + 2"
        :height="size.h + 2"
        :viewBox="`-1 -1 ${size.w + 2} ${size.h + 2}`"
        role="img"
        :aria-label="`${sheet.name}: ${counted(placements.length, 'piece')}, ${counted(cuts.length, 'cut')}`"
      >
        <rect class="waste" x="0" y="0" :width="size.w" :height="size.h" />
        <rect
          v-for="(p, i) in sheet.noGo"
          :key="`n${i}`"
          class="no-go"
          :x="px(p.from)"
          :y="px(p.low)"
          :width="px(Math.min(p.to, stock.length) - p.from)"
          :height="Math.min(size.h, px(p.high)) - px(p.low)"
        >
          <title>keep clear</title>
        </rect>
        <g v-for="(p, i) in placements" :key="i">
          <rect class="piece" :x="px(p.x)" :y="px(p.y)" :width="px(p.length)" :height="high(p)">
            <title>
              {{ names[p.partId]?.holder }}: {{ names[p.partId]?.part }}, {{ length(p.length) }} <template
              v-if="p.width">× {{ length(p.width) }}</template>
            </title>
          </rect>
          <text v-if="label(p)" :x="px(p.x) + 5" :y="px(p.y) + Math.min(14, high(p) - 3)">{{ label(p) }}</text>
          <text v-else class="middle" :x="px(p.x + p.length / 2)" :y="px(p.y) + high(p) / 2 + 3.5">
            {{ letters.get(named(p))?.letter }}
          </text>
        </g>
        <g v-for="(l, i) in kept" :key="`k${i}`">
          <rect class="kept" :x="px(l.x)" :y="px(l.y)" :width="px(l.length)" :height="px(l.width)">
            <title>stays: {{ sizeOf(l) }}</title>
          </rect>
          <text class="over" :x="px(l.x) + 6" :y="px(l.y) + 15">{{ staying(l) }}</text>
        </g>
        <g v-if="open" aria-hidden="true">
          <line
            v-for="c in cuts"
            :key="`c${c.number}`"
            class="cut"
            :x1="px(c.from.x)"
            :y1="px(c.from.y)"
            :x2="px(c.to.x)"
            :y2="px(c.to.y)"
          />
          <text v-for="c in cuts" :key="`t${c.number}`" class="number" :x="numberAt(c).x" :y="numberAt(c).y + 4">
            {{ c.number }}
          </text>
        </g>
      </svg>
    </div>
    <p v-if="sheet.noGo.length > 0" class="small clear">
      <i /> Kept clear, from the left end<template v-if="isPartAcross"> × from the edge on top</template>:
      {{ formatPlaces(sheet.noGo, bare) }}
    </p>
    <p v-if="letters.size > 0" class="small letters">
      <span v-for="[text, { letter, count }] in letters" :key="letter">
        <b>{{ letter }}</b> {{ text }}<template v-if="count > 1">, {{ count }} of them</template>
      </span>
    </p>
    <button v-if="done" class="btn tiny no-print" @click="emit('cut')">
      It is cut{{ kept.length > 0 ? ': the rest into the bin' : '' }}
    </button>
    <details @toggle="open = ($event.target as HTMLDetailsElement).open">
      <summary>
        {{ counted(cuts.length, 'cut') }} in order<template v-if="cuts.length > 1"
          >, {{ settings }} settings of the saw</template
        >
      </summary>
      <p v-if="trimmed" class="small trimmed">{{ trimmed }}</p>
      <ol>
        <li v-for="cut in said" :key="cut.number">
          {{ cut.set }} <b>{{ cut.at }}</b><span v-if="cut.again" class="quiet">, as it stands</span>{{ thenText(cut) }}
        </li>
      </ol>
    </details>
  </figure>
</template>

<style scoped>
figure {
  margin: 10px 0 18px;
}
figcaption {
  display: flex;
  gap: 10px;
  align-items: baseline;
  margin-bottom: 4px;
}
.scroll {
  overflow-x: auto;
}
svg {
  display: block;
}
.waste {
  fill: var(--faint);
  stroke: var(--wood-line);
}
.no-go {
  fill: var(--pencil);
  fill-opacity: 0.45;
  stroke: var(--pencil);
}
.kept {
  fill: none;
  stroke: var(--chalk);
  stroke-dasharray: 5 4;
}
.over {
  fill: var(--chalk);
}
.piece {
  fill: var(--wood);
  stroke: var(--wood-line);
}
text {
  font-size: 11px;
  fill: var(--wood-line);
}
text.middle {
  text-anchor: middle;
}
.clear {
  margin: 4px 0;
}
.clear i {
  display: inline-block;
  width: 12px;
  height: 12px;
  vertical-align: -1px;
  background: color-mix(in srgb, var(--pencil) 45%, transparent);
  border: 1px solid var(--pencil);
}
.letters {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin: 4px 0;
}
.cut {
  stroke: var(--ink);
  stroke-width: 1.4;
}
text.number {
  font-weight: 650;
  text-anchor: middle;
  fill: var(--ink);
  stroke: var(--paper);
  stroke-width: 3;
  paint-order: stroke;
}
details {
  font-size: 14px;
  margin-top: 4px;
}
ol {
  margin: 4px 0;
  columns: 3 220px;
}
</style>
