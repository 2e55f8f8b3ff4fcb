<script setup lang="ts">
import type { SeatMark } from '~/composables/seatMarks'

/** The seats' numbers: a circle, or the shape of the verdict about them. */
defineProps<{ marks: SeatMark[] }>()
</script>

<template>
  <g>
    <g v-for="m in marks" :key="m.id" class="seat-mark" :class="m.level" :transform="`translate(${m.x} ${m.y})`">
      <path v-if="m.level === 'watch'" d="M0-11L11 9H-11z" />
      <rect v-else-if="m.level === 'stop'" x="-9" y="-9" width="18" height="18" />
      <circle v-else r="9" />
      <text y="4">{{ m.place }}</text>
    </g>
  </g>
</template>

<style scoped>
.seat-mark {
  pointer-events: none;
}
circle {
  fill: var(--sheet);
  stroke: var(--ink);
}
.watch path {
  fill: var(--watch);
}
.stop rect {
  fill: var(--stop);
}
text {
  font-size: 11.5px;
  font-weight: 650;
  text-anchor: middle;
  fill: var(--ink);
}
.watch text,
.stop text {
  fill: var(--sheet);
}
</style>
