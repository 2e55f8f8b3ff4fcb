<script setup lang="ts">
import { kindOf } from '#core/footprint/kinds'

const kind = kindOf('headed')!
const shapes = kind.silhouette({ measures: {}, options: {} }).face
</script>

<template>
  <svg
    viewBox="-70 -110 140 280"
    width="150"
    height="220"
    role="img"
    aria-label="A mallet; its handle is measured just under the head"
  >
    <g opacity="0.55"><ToolShapes :shapes="shapes" /></g>
    <g class="first">
      <path d="M-30 16H-14M30 16H14" />
      <path d="M-18 12L-14 16L-18 20M18 12L14 16L18 20" />
      <text x="34" y="21">1</text>
    </g>
  </svg>
</template>

<style scoped>
.first path {
  stroke: var(--chalk);
  stroke-width: 2;
  fill: none;
}
.first text {
  fill: var(--chalk);
  font: 600 15px var(--face);
}
</style>
