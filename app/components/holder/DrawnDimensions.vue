<script setup lang="ts">
import { computed } from 'vue'
import type { DrawnDimension } from '~/composables/dimensionLines'

/**
 * The dimensions of one view. All lines that aren't lit are one path, and only figures that have room are there at all:
 * a long rail has hundreds of them. Who is clicked is found by the drawing.
 */
const props = defineProps<{ dimensions: DrawnDimension[]; lit: string | null }>()

const isLit = (d: DrawnDimension) => props.lit !== null && d.figure === props.lit
const shown = computed(() => props.dimensions.filter((d) => d.roomy || isLit(d)))
const quiet = computed(() => props.dimensions.filter((d) => !isLit(d)))
const lines = computed(() => quiet.value.map((d) => d.lines).join(''))
const ticks = computed(() => quiet.value.map((d) => d.ticks).join(''))
</script>

<template>
  <g>
    <path class="thin" :d="lines" />
    <path class="tick" :d="ticks" />
    <g v-for="d in shown" :key="d.id" class="dimension" :class="{ lit: isLit(d) }" :data-figure="d.figure">
      <template v-if="isLit(d)">
        <path class="thin" :d="d.lines" />
        <path class="tick" :d="d.ticks" />
      </template>
      <!-- a plain figure is no component: a long rail's are made and dropped by the dozen while it is dragged -->
      <text
        v-if="!d.text.includes('/')"
        class="figure"
        :x="d.label.x"
        :y="d.label.y"
        :transform="d.label.turn"
        :text-anchor="d.label.anchor"
      >
        {{ d.text }}
      </text>
      <DrawnText
        v-else
        class="figure"
        :text="d.text"
        :x="d.label.x"
        :y="d.label.y"
        :transform="d.label.turn"
        :text-anchor="d.label.anchor"
      />
    </g>
  </g>
</template>

<style scoped>
.thin,
.tick {
  stroke: var(--ink);
  fill: none;
  pointer-events: none;
}
.thin {
  stroke-width: 0.6;
  opacity: 0.75;
}
.tick {
  stroke-width: 1.4;
}
.dimension {
  cursor: pointer;
}
.figure {
  font-size: 12px;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
.dimension:hover .figure {
  fill: var(--chalk);
}
.lit .thin,
.lit .tick {
  stroke: var(--chalk);
}
.lit .thin {
  stroke-width: 1.8;
  opacity: 1;
}
.lit .figure {
  fill: var(--chalk);
  font-weight: 700;
}
</style>
