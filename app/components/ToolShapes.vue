<script setup lang="ts">
import { svgPath } from '#core/geometry/svg-path'
import type { Shape } from '#core/footprint/kind'

/** The parts of a silhouette as paths, in mm. Put inside an SVG whose y points down. */
defineProps<{ shapes: Shape[] }>()
</script>

<template>
  <path
    v-for="(shape, i) in shapes"
    :key="i"
    :class="shape.part"
    :d="svgPath(shape.outline)"
    vector-effect="non-scaling-stroke"
  />
</template>

<style scoped>
.head {
  fill: var(--steel);
  stroke: var(--ink);
  stroke-width: 1.1;
}
.body {
  fill: var(--housing);
  stroke: var(--ink);
  stroke-width: 1.1;
}
.blade {
  fill: var(--bright);
  stroke: var(--ink);
  stroke-width: 1.1;
}
.battery {
  fill: var(--battery);
  stroke: var(--ink);
  stroke-width: 1.1;
}
.hole {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.1;
}
.handle {
  fill: var(--wood);
  stroke: var(--ink);
  stroke-width: 1.1;
}
</style>
