<script setup lang="ts">
import { computed } from 'vue'
import { centreOfGravity } from '#core/footprint/balance'
import { kindOf } from '#core/footprint/kinds'
import type { CardLine } from '#core/footprint/kind'
import type { Tool } from '#core/footprint/tool'
import { outlineBounds, unite, type Point } from '#core/geometry/outline'
import { placeLabels } from '~/composables/cardLabels'
import { useFormat } from '~/composables/useFormat'

/** The drawing of a measuring card: the tool by its own figures, each dimension line numbered, the focused one lit. */
const props = defineProps<{ tool: Tool; lit: string | null }>()
const emit = defineEmits<{ pick: [field: string] }>()
const { bare } = useFormat()

/** Size of the drawing, px. */
const WIDTH = 500
const HEIGHT = 280

const kind = computed(() => kindOf(props.tool.kind)!)
const card = computed(() => kind.value.card(props.tool))

interface Line {
  field: string
  number: number
  a: Point
  b: Point
  feet: [Point, Point]
  text: string
  missing: boolean
}

/** A line set off to the left of its direction, in mm with y up. */
function setOff({ from, to, offset }: CardLine): [Point, Point] {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1
  const [nx, ny] = [-(to.y - from.y) / length, (to.x - from.x) / length]
  return [
    { x: from.x + nx * offset, y: from.y + ny * offset },
    { x: to.x + nx * offset, y: to.y + ny * offset },
  ]
}

const drawing = computed(() => {
  const ends = card.value.lines.flatMap(setOff)
  const spots = [...ends, ...card.value.captions.map((c) => c.at)]
  const box = unite([
    ...card.value.shapes.map((s) => outlineBounds(s.outline)),
    ...spots.map((p) => ({ minX: p.x, maxX: p.x, minY: p.y, maxY: p.y })),
  ])!
  const scale = Math.min((WIDTH - 96) / (box.maxX - box.minX), (HEIGHT - 46) / (box.maxY - box.minY))
  const x0 = (WIDTH - (box.maxX - box.minX) * scale) / 2 - box.minX * scale
  const y0 = (HEIGHT - (box.maxY - box.minY) * scale) / 2 + box.maxY * scale
  const at = (p: Point): Point => ({ x: x0 + p.x * scale, y: y0 - p.y * scale })
  const lines = card.value.lines.map((line): Line => {
    const [a, b] = setOff(line).map(at) as [Point, Point]
    const number = kind.value.fields.findIndex((f) => f.key === line.field) + 1
    const value = props.tool.measures[line.field]
    return {
      field: line.field,
      number,
      a,
      b,
      feet: [at(line.from), at(line.to)],
      text: value === undefined ? '?' : bare(value),
      missing: value === undefined,
    }
  })
  const boxes = card.value.shapes.map((s) => {
    const b = outlineBounds(s.outline)
    const [low, high] = [at({ x: b.minX, y: b.minY }), at({ x: b.maxX, y: b.maxY })]
    return { x0: low.x, x1: high.x, y0: high.y, y1: low.y }
  })
  const labels = placeLabels(
    lines.map((l) => ({ a: l.a, b: l.b, text: `${l.number} ${l.text}` })),
    boxes,
    { width: WIDTH, height: HEIGHT },
  )
  const centre = centreOfGravity(props.tool)
  const balance = centre
    ? card.value.views.map((v) => {
        const own = { face: [centre.x, centre.z], side: [centre.y, centre.z], top: [centre.x, centre.y] }[v.view]
        return at({ x: v.at.x + own[0]!, y: v.at.y + own[1]! })
      })
    : []
  return {
    scale,
    x0,
    y0,
    lines,
    labels,
    balance,
    captions: card.value.captions.map((c) => ({ text: c.text, at: at(c.at) })),
  }
})
</script>

<template>
  <svg class="card" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="group" :aria-label="`Where to measure: ${kind.name}`">
    <g :transform="`translate(${drawing.x0} ${drawing.y0}) scale(${drawing.scale})`">
      <ToolShapes :shapes="card.shapes" />
    </g>
    <g v-for="(b, i) in drawing.balance" :key="`b${i}`" class="centre" :transform="`translate(${b.x} ${b.y})`">
      <title>Where its weight is centred</title>
      <circle r="5" />
      <path d="M-5 0H5M0 -5V5" />
    </g>
    <text v-for="c in drawing.captions" :key="c.text" class="caption" :x="c.at.x" :y="c.at.y + 8">{{ c.text }}</text>
    <g
      v-for="(l, i) in drawing.lines"
      :key="l.field"
      class="line"
      :class="{ lit: l.field === lit, missing: l.missing }"
      @click="emit('pick', l.field)"
    >
      <path
        class="foot"
        :d="`M${l.feet[0].x} ${l.feet[0].y}L${l.a.x} ${l.a.y}M${l.feet[1].x} ${l.feet[1].y}L${l.b.x} ${l.b.y}`"
      />
      <path class="measure" :d="`M${l.a.x} ${l.a.y}L${l.b.x} ${l.b.y}`" />
      <circle :cx="l.a.x" :cy="l.a.y" r="2.2" />
      <circle :cx="l.b.x" :cy="l.b.y" r="2.2" />
      <rect
        class="back"
        :x="drawing.labels[i]!.at.x - drawing.labels[i]!.width / 2"
        :y="drawing.labels[i]!.at.y - 8"
        :width="drawing.labels[i]!.width"
        height="16"
        rx="3"
      />
      <text class="text" :x="drawing.labels[i]!.at.x" :y="drawing.labels[i]!.at.y + 4.5">
        <tspan class="no">{{ l.number }}</tspan>
        &#160;{{ l.text }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.card {
  display: block;
  width: 100%;
  height: auto;
  background: var(--paper);
  border: 1px solid var(--rule);
}
.caption {
  font: italic 12px var(--head);
  fill: var(--pencil);
  text-anchor: middle;
}
.centre circle {
  fill: var(--paper);
  stroke: var(--ink);
}
.centre path {
  stroke: var(--ink);
}
.line {
  cursor: pointer;
  --colour: var(--ink);
}
.line.missing {
  --colour: var(--pencil);
}
.line.lit,
.line:hover {
  --colour: var(--chalk);
}
.foot {
  stroke: var(--colour);
  stroke-width: 0.6;
  opacity: 0.6;
}
.measure {
  stroke: var(--colour);
  stroke-width: 1;
}
.lit .measure {
  stroke-width: 2.4;
}
.line circle {
  fill: var(--colour);
}
.back {
  fill: var(--paper);
  stroke: none;
}
.lit .back {
  fill: var(--chalk);
}
.text {
  font-size: 12.5px;
  text-anchor: middle;
  fill: var(--colour);
}
.lit .text {
  fill: rgb(var(--v-theme-surface));
}
.no {
  font-weight: 700;
}
</style>
