<script setup lang="ts">
import { computed } from 'vue'
import { cutsOf } from '#core/cutting/cuts'
import type { CutPlacement, CutStock } from '#core/cutting/instance'
import { useFormat } from '~/composables/useFormat'

/** One piece of stock to scale: the pieces in it, what is over, and the cuts in their order with the fence's setting. */
const props = defineProps<{
  stock: CutStock
  name: string
  thick: number
  placements: CutPlacement[]
  names: Record<string, { holder: string; part: string }>
  /** px to a mm */
  scale: number
}>()
const { bare, length } = useFormat()
const wide = computed(() => props.stock.width || props.thick)
const cuts = computed(() =>
  cutsOf(
    props.stock.length,
    wide.value,
    props.placements.map((p) => (p.width ? p : { ...p, width: wide.value })),
  ),
)
const size = computed(() => ({ w: props.stock.length * props.scale, h: Math.max(10, wide.value * props.scale) }))
const px = (mm: number) => mm * props.scale
const high = (p: CutPlacement) => (p.width ? px(p.width) : size.value.h)
/** About what a letter takes, px. */
const LETTER = 6
/** A piece's name with its size where it fits in, else its name, else nothing. */
function label(p: CutPlacement): string {
  if (high(p) < 14) return ''
  const part = props.names[p.partId]?.part ?? p.partId
  const sized = `${part} ${bare(p.length)}${p.width ? ` × ${bare(p.width)}` : ''}`
  const room = (px(p.length) - 10) / LETTER
  return sized.length <= room ? sized : part.length <= room ? part : ''
}
</script>

<template>
  <figure>
    <figcaption>
      <strong>{{ name }}</strong>
      <span class="quiet">
        {{ length(stock.length) }}<template v-if="stock.width"> × {{ length(stock.width) }}</template
        ><template v-if="stock.isOffcut">, from the bin</template>
      </span>
    </figcaption>
    <div class="scroll">
      <svg
        :width="size.w + 2"
        :height="size.h + 2"
        :viewBox="`-1 -1 ${size.w + 2} ${size.h + 2}`"
        role="img"
        :aria-label="`${name}: ${placements.length} pieces, ${cuts.length} cuts`"
      >
        <rect class="waste" x="0" y="0" :width="size.w" :height="size.h" />
        <g v-for="(p, i) in placements" :key="i">
          <rect class="piece" :x="px(p.x)" :y="px(p.y)" :width="px(p.length)" :height="high(p)">
            <title>
              {{ names[p.partId]?.holder }}: {{ names[p.partId]?.part }}, {{ length(p.length) }} <template
              v-if="p.width">× {{ length(p.width) }}</template>
            </title>
          </rect>
          <text v-if="label(p)" :x="px(p.x) + 5" :y="px(p.y) + Math.min(14, high(p) - 3)">{{ label(p) }}</text>
        </g>
      </svg>
    </div>
    <details>
      <summary>{{ cuts.length }} cuts in order</summary>
      <ol>
        <li v-for="cut in cuts" :key="cut.number">
          {{ cut.direction === 'rip' ? 'Rip, fence at' : 'Cross-cut, stop at' }} <b>{{ length(cut.fence) }}</b>
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
.piece {
  fill: var(--wood);
  stroke: var(--wood-line);
}
text {
  font-size: 11px;
  fill: var(--wood-line);
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
