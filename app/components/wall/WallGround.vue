<script setup lang="ts">
import { computed } from 'vue'
import { boardOutline } from '#core/drawing/project'
import { moved } from '#core/geometry/outline'
import { svgPath } from '#core/geometry/svg-path'
import type { HolderModel } from '#core/model/model'
import { keepOuts } from '#core/wall/may-hang'
import type { Wall } from '#core/wall/wall'
import { nameHeight } from '~/composables/nameOnWall'
import { useRecords } from '~/stores/records'

/**
 * What lies beneath the holders on a wall: the bands of reach, what goes up first, studs, what stands there. Of the wall
 * only that: it stays as it is while a holder is dragged.
 */
const props = defineProps<Pick<Wall, 'width' | 'height' | 'studs' | 'things'> & { backing: HolderModel | null }>()
const emit = defineEmits<{ empty: [] }>()
const records = useRecords()

const bands = computed(() => {
  const { userHeight: h, easyFrom, bestFrom, easyTo, reachTo } = records.shop!.settings
  return [
    { name: 'best reach', from: bestFrom * h, to: easyTo * h, look: 'best' },
    { name: 'easy reach', from: easyFrom * h, to: bestFrom * h, look: 'easy' },
    { name: 'reach ends', from: reachTo * h, to: reachTo * h, look: 'end' },
  ]
})
/** Sheets with what is cut out of them, and lengths of strip. */
const backingPaths = computed(() =>
  (props.backing?.boards ?? []).map((b) => {
    const { x, z } = b.placement.at
    const cut = b.openings.map((o) => moved(o.outline, x, z))
    return { id: b.id, look: b.role === 'panel' ? 'sheet' : 'strip', path: [boardOutline(b, 'front'), ...cut].map((o) => svgPath(o)).join('') } // prettier-ignore
  }),
)
/** Where doors lie when they are open. */
const swings = computed(() => keepOuts(props, records.shop!).filter((k) => k.of === 'swing').map(({ box: b }) => `M${b.x0} ${-b.z0}H${b.x1}V${-b.z1}H${b.x0}Z`).join('')) // prettier-ignore
const named = computed(() =>
  props.things.map((t) => {
    const name = t.name || t.kind
    return { ...t, name, y: -nameHeight(name, t) }
  }),
)
const screwMarks = computed(() => (props.backing?.fasteners ?? []).map((f) => `M${f.at.x - 7} ${-f.at.z}h14m-7 -7v14`).join('')) // prettier-ignore
</script>

<template>
  <g>
    <rect class="wall" x="0" :y="-height" :width="width" :height="height" @click="emit('empty')" />
    <template v-for="b in bands" :key="b.name">
      <rect v-if="b.to > b.from" :class="['band', b.look]" x="0" :y="-b.to" :width="width" :height="b.to - b.from" />
      <line v-else class="band-line" x1="0" :x2="width" :y1="-b.to" :y2="-b.to" />
      <text class="band-name" x="-14" :y="-(b.from + b.to) / 2 + 18" text-anchor="end">{{ b.name }}</text>
    </template>
    <path v-for="b in backingPaths" :key="b.id" :class="b.look" :d="b.path" fill-rule="evenodd" />
    <line v-for="s in studs" :key="s" class="stud" :x1="s" :x2="s" :y1="-height" y2="0" />
    <path v-if="swings" class="swing" :d="swings" />
    <g v-for="t in named" :key="t.id" :class="['thing', t.kind]">
      <rect :x="t.x" :y="-t.z - t.height" :width="t.width" :height="t.height" />
      <text :x="t.x + t.width / 2" :y="t.y" text-anchor="middle">{{ t.name }}</text>
    </g>
    <path class="screws" :d="screwMarks" />
  </g>
</template>

<style scoped>
* {
  vector-effect: non-scaling-stroke;
}
.wall {
  fill: var(--sheet);
  stroke: var(--pencil);
}
.band {
  pointer-events: none;
}
.band.best {
  fill: color-mix(in srgb, var(--chalk) 11%, transparent);
}
.band.easy {
  fill: color-mix(in srgb, var(--chalk) 5%, transparent);
}
.band-line {
  stroke: var(--pencil);
  stroke-dasharray: 2 5;
}
.band-name {
  font-size: 58px;
  fill: var(--pencil);
}
.swing {
  fill: none;
  stroke: var(--watch);
  stroke-width: 1.6;
  stroke-dasharray: 9 6;
}
.pipe rect {
  stroke-dasharray: 6 4;
}
.strip {
  fill: var(--wood);
  stroke: var(--wood-line);
  opacity: 0.55;
  pointer-events: none;
}
.sheet {
  fill: var(--wood);
  stroke: var(--wood-line);
  stroke-width: 3;
  opacity: 0.28;
  pointer-events: none;
}
.screws {
  stroke: var(--pencil);
  stroke-width: 2.5;
  opacity: 0.55;
  fill: none;
  pointer-events: none;
}
.stud {
  stroke: var(--pencil);
  stroke-dasharray: 8 8;
  opacity: 0.5;
  pointer-events: none;
}
.thing rect {
  fill: var(--faint);
  stroke: var(--pencil);
  stroke-width: 1.5;
}
.thing text {
  font-size: 54px;
  fill: var(--pencil);
  /* readable over a stud */
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
</style>
