<script setup lang="ts">
import { computed } from 'vue'
import type { CardDrawing } from '#core/bench/steps/step-drawing'
import { svgPath } from '#core/geometry/svg-path'

/** One drawing of a card at scale, with its running figures below. */
const props = defineProps<{ drawing: CardDrawing }>()
const size = computed(() => {
  const { minX, minY, maxX, maxY } = props.drawing.bounds
  const [w, h] = [maxX - minX, maxY - minY]
  const letter = Math.max(w, h * 1.3) / 26
  const below = props.drawing.labels.some((l) => l.upright) ? letter * 2.7 : letter * 0.4
  const pad = letter * 0.5
  return { letter, box: `${minX - pad} ${-maxY - pad} ${w + 2 * pad} ${h + 2 * pad + below}` }
})
/** Numbers stand in the drawing, and are smaller than the figures below it. */
const NUMBER = 0.7
/** Crosses for waste. */
const hatch = computed(() => size.value.letter * 0.5)
</script>

<template>
  <figure>
    <svg :viewBox="size.box" role="img" :aria-label="drawing.title">
      <defs>
        <pattern
          id="card-waste"
          patternUnits="userSpaceOnUse"
          :width="hatch"
          :height="hatch"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" :y2="hatch" class="hatching" :stroke-width="hatch * 0.22" />
        </pattern>
      </defs>
      <path
        v-for="(item, i) in drawing.outlines"
        :key="i"
        :class="item.ink"
        :d="svgPath(item.outline)"
        vector-effect="non-scaling-stroke"
      />
      <line
        v-for="(l, i) in drawing.lines"
        :key="`l${i}`"
        :class="['stroke', l.ink]"
        :x1="l.from.x"
        :y1="-l.from.y"
        :x2="l.to.x"
        :y2="-l.to.y"
        vector-effect="non-scaling-stroke"
      />
      <text
        v-for="(t, i) in drawing.labels"
        :key="`t${i}`"
        :font-size="t.upright ? size.letter : size.letter * NUMBER"
        :class="{ number: !t.upright }"
        :transform="
          t.upright
            ? `translate(${t.at.x + size.letter * 0.33} ${-t.at.y + size.letter * 0.3}) rotate(-90)`
            : `translate(${t.at.x} ${-t.at.y + size.letter * NUMBER * 0.33})`
        "
      >
        {{ t.text }}
      </text>
    </svg>
    <figcaption class="quiet small">{{ drawing.title }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  min-width: 0;
}
svg {
  display: block;
  width: 100%;
  max-height: 260px;
}
.wood {
  fill: var(--wood);
  stroke: var(--wood-line);
}
.now {
  fill: color-mix(in srgb, var(--chalk) 24%, transparent);
  stroke: var(--chalk);
  stroke-width: 2.5;
}
.made {
  fill: var(--sheet);
  stroke: var(--wood-line);
}
.mark {
  fill: none;
  stroke: var(--pencil);
  stroke-dasharray: 4 3;
}
.waste {
  fill: url(#card-waste);
  stroke: var(--chalk);
  stroke-width: 2;
}
.wall {
  fill: var(--faint);
  stroke: var(--pencil);
}
.hatching {
  stroke: var(--chalk);
}
.stroke {
  stroke-dasharray: none;
  stroke-width: 1.5;
}
.stroke.mark {
  stroke: var(--ink);
}
text {
  text-anchor: end;
  fill: var(--ink);
  font-weight: 600;
}
text.number {
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 0.35em;
}
figcaption {
  text-align: center;
}
@media print {
  .now {
    fill: none;
    stroke-width: 2.5;
  }
}
</style>
