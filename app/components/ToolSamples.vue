<script setup lang="ts">
import { computed } from 'vue'
import type { Tool } from '#core/footprint/tool'
import { standing } from '~/composables/tools'

/** A few tools beside each other, to one scale that lets the largest of them in. */
const props = defineProps<{ tools: readonly Tool[]; height: number }>()

const all = computed(() => props.tools.map(standing))
const scale = computed(() => {
  const [tall, wide] = [
    Math.max(1, ...all.value.map((s) => s.box.maxY - s.box.minY)),
    Math.max(1, ...all.value.map((s) => s.box.maxX - s.box.minX)),
  ]
  return Math.min(props.height / tall, 150 / wide, 0.6)
})
</script>

<template>
  <ul class="samples">
    <li v-for="s in all" :key="s.tool.id">
      <svg
        :width="Math.max(20, (s.box.maxX - s.box.minX) * scale + 4)"
        :height="(s.box.maxY - s.box.minY) * scale + 4"
        aria-hidden="true"
      >
        <g :transform="`translate(${2 - s.box.minX * scale} ${2 + s.box.maxY * scale}) scale(${scale})`">
          <ToolShapes :shapes="s.shapes" />
        </g>
      </svg>
      <span class="small">{{ s.tool.name }}</span>
    </li>
  </ul>
</template>

<style scoped>
.samples {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 10px 18px;
  padding: 0;
  margin: 6px 0;
  align-items: end;
}
li {
  display: grid;
  justify-items: center;
  gap: 4px;
  max-width: 150px;
  text-align: center;
  overflow-wrap: anywhere;
}
</style>
