<script setup lang="ts">
import { computed } from 'vue'
import type { Design } from '#core/choose/design'
import { holderViews } from '#core/drawing/views'
import { svgPath } from '#core/geometry/svg-path'
import { inkOf } from '~/composables/viewInk'

/** A holder from the front, small and without dimensions. */
const props = defineProps<{ worked: Design }>()
const view = computed(() => {
  const { model, input } = props.worked
  return model ? holderViews(model, input.tools, input.shop).find((v) => v.name === 'front')! : null
})
const box = computed(() => {
  const b = view.value!.bounds
  const pad = (b.maxX - b.minX) * 0.04 + 10
  return `${b.minX - pad} ${-b.maxY - pad} ${b.maxX - b.minX + 2 * pad} ${b.maxY - b.minY + 2 * pad}`
})
</script>

<template>
  <svg v-if="view" :viewBox="box" aria-hidden="true">
    <path
      v-for="item in view.boards"
      :key="item.board"
      class="board"
      :class="{ bought: item.bought }"
      :d="svgPath(item.outline)"
      vector-effect="non-scaling-stroke"
    />
    <path v-for="(d, look) in inkOf(view.seats)" :key="look" :class="look" :d="d" vector-effect="non-scaling-stroke" />
  </svg>
  <p v-else class="quiet none">nothing to draw yet</p>
</template>

<style scoped>
svg {
  width: 100%;
  height: 100%;
  display: block;
}
.board {
  fill: var(--wood);
  stroke: var(--wood-line);
}
.board.bought {
  fill: var(--steel);
}
.head,
.handle {
  fill: var(--ghost);
  stroke: var(--ghost-line);
}
.opening,
.centre,
.visible,
.hidden {
  fill: none;
}
.visible {
  stroke: var(--wood-line);
}
.none {
  display: grid;
  place-items: center;
  height: 100%;
  margin: 0;
}
</style>
