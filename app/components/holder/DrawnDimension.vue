<script setup lang="ts">
import { computed } from 'vue'
import type { Dimension } from '#core/drawing/view'

/**
 * One dimension line in px: extension lines, ticks and its figure. A figure without room between the ticks stands beside
 * them where there is nothing else, and is left out elsewhere until it is lit.
 */
const props = defineProps<{
  dimension: Dimension
  a: number
  b: number
  /** where its extension lines start, and what its rows are counted from */
  foot: number
  edge: number
  row: number
  text: string
  lit: boolean
}>()
const emit = defineEmits<{ pick: [figure: string | null] }>()

/** Room of a digit, px. */
const DIGIT = 6.2
const upright = computed(() => props.dimension.side === 'left' || props.dimension.side === 'right')
const away = computed(() => (props.dimension.side === 'left' || props.dimension.side === 'top' ? -1 : 1))
const at = computed(() => props.edge + away.value * (6 + props.row * 19))
const span = computed(() => Math.abs(props.b - props.a))
const middle = computed(() => (props.a + props.b) / 2)
const fits = computed(() => span.value > props.text.length * DIGIT + 4)
const beside = computed(() => !fits.value && props.dimension.side === 'right')
const path = computed(() => {
  const { a, b, foot } = props
  const from = foot + away.value * 3
  const to = at.value + away.value * 4
  return upright.value
    ? `M${from} ${a}H${to}M${from} ${b}H${to}M${at.value} ${a}V${b}`
    : `M${a} ${from}V${to}M${b} ${from}V${to}M${a} ${at.value}H${b}`
})
const ticks = computed(() => {
  const t = 3
  const p = at.value
  return upright.value
    ? [props.a, props.b].map((y) => `M${p - t} ${y + t}L${p + t} ${y - t}`).join('')
    : [props.a, props.b].map((x) => `M${x - t} ${p + t}L${x + t} ${p - t}`).join('')
})
const label = computed(() =>
  upright.value ? { x: at.value - 4, y: middle.value } : { x: middle.value, y: at.value - 4 },
)
</script>

<template>
  <g class="dimension" :class="{ lit }" :data-figure="dimension.figure" @click.stop="emit('pick', dimension.figure)">
    <path class="hit" :d="upright ? `M${at} ${a}V${b}` : `M${a} ${at}H${b}`" />
    <path class="thin" :d="path" />
    <path class="tick" :d="ticks" />
    <DrawnText v-if="beside" class="figure beside" :text="text" :x="at + 8" :y="middle + 4" />
    <DrawnText
      v-else-if="fits || lit"
      :x="label.x"
      :y="label.y"
      class="figure"
      :text="text"
      :transform="upright ? `rotate(-90 ${label.x} ${label.y})` : undefined"
    />
  </g>
</template>

<style scoped>
.dimension {
  cursor: pointer;
  --colour: var(--ink);
}
.dimension:hover,
.dimension.lit {
  --colour: var(--chalk);
}
.hit {
  stroke: transparent;
  stroke-width: 14;
}
.thin,
.tick {
  pointer-events: none;
}
.thin {
  stroke: var(--colour);
  stroke-width: 0.6;
  fill: none;
  opacity: 0.75;
}
.tick {
  stroke: var(--colour);
  stroke-width: 1.4;
}
.lit .thin {
  stroke-width: 1.8;
  opacity: 1;
}
.figure {
  font-size: 12px;
  text-anchor: middle;
  fill: var(--colour);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
.figure.beside {
  text-anchor: start;
}
.lit .figure {
  font-weight: 700;
}
</style>
