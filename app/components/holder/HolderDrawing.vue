<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import type { Design } from '#core/choose/design'
import { holderViews } from '#core/drawing/views'
import type { Dimension, View } from '#core/drawing/view'
import { svgPath } from '#core/geometry/svg-path'
import type { Board } from '#core/model/model'
import { counted } from '~/composables/counted'
import { dimensionAt, drawnDimension, type DimensionPlace } from '~/composables/dimensionLines'
import { frontBoxOf, layScene, LEFT } from '~/composables/drawingScene'
import { useFormat } from '~/composables/useFormat'
import { useFrameLater } from '~/composables/useFrameLater'
import { seatMarks } from '~/composables/seatMarks'
import { useKeys } from '~/composables/useKeys'
import { usePanZoom } from '~/composables/usePanZoom'
import { inkOf, seatAt } from '~/composables/viewInk'

/**
 * The holder from above and from the front, and from the side where it has ends or rods, to one scale, with its
 * dimensions; drag to pan, wheel to zoom.
 */
const props = defineProps<{ worked: Design; lit: string | null; seat: string | null; still?: boolean }>()
const emit = defineEmits<{ figure: [id: string | null]; seat: [id: string] }>()

const { format, length, bare } = useFormat()

/** Narrower than this there is no room for a view from the side, px. */
const NARROW = 500
/** Further down than any handle, mm. */
const FAR = 20_000
/** Text here is clear of the buttons in the drawing's upper corner, px. */
const BELOW_BUTTONS = 47
/** Room for a line's width round what is cut off at the handles, mm. */
const STROKE = 5

const clipId = useId()
const frame = ref<HTMLElement | null>(null)
const size = ref({ width: 700, height: 420 })
const { zoom, pan, zoomBy, fitAll, down, drag, up } = usePanZoom(() => origin())

const views = computed<View[]>(() => {
  const { model, input } = props.worked
  if (!model) return []
  const all = holderViews(model, input.tools, format.value)
  // where something stands out, leans, or lies over another, the side tells more
  const flat = model.boards.filter((b) => b.placement.lies === 'flat')
  const upright = model.boards.filter((b) => b.placement.lies === 'upright')
  const telling = ({ placement: { lies, tilt }, bevel }: Board): boolean => lies === 'end' || lies === 'post' || Boolean(tilt) || Boolean(bevel) // prettier-ignore
  const sides = model.rods.length > 0 || flat.length > 1 || upright.length > 2 || model.boards.some(telling)
  return sides && size.value.width >= NARROW ? all : all.filter((v) => v.name !== 'side')
})

const frontBox = computed(() => frontBoxOf(views.value))
const scene = computed(() => layScene(views.value, frontBox.value, size.value, zoom.value, pan.value))

/** Where the first view's origin stands on the screen, px. */
const origin = () => scene.value && { x: scene.value.placed[0]!.ox, y: scene.value.placed[0]!.oy }

/** The views with what their seats come to as a few paths, and the chosen seat's once more. */
const inks = computed(() => views.value.map((view) => inkOf(view.seats)))
const litInks = computed(() =>
  views.value.map((view) => {
    const chosen = view.seats.filter((s) => s.seat === props.seat)
    return chosen.length > 0 ? inkOf(chosen) : null
  }),
)
const inked = computed(() =>
  (scene.value?.placed ?? []).map((p, i) => ({ ...p, ink: inks.value[i]!, litInk: litInks.value[i] })),
)

const marks = computed(() => {
  const { model, verdicts } = props.worked
  if (!model || !scene.value) return []
  const { s, placed: all } = scene.value
  const [{ ox, oy }] = all as [(typeof all)[number]]
  return seatMarks(model, verdicts, (x, y) => ({ x: ox + x * s, y: oy + y * s }))
})

function textOf(d: Dimension): string {
  const text = d.about ? bare(d.value, d.print) : d.id === 'length' ? length(d.value, d.print) : bare(d.value, d.print)
  return d.about ? `~${text}` : text
}

function placed(view: View, ox: number, oy: number, d: Dimension): DimensionPlace {
  const { s } = scene.value!
  const upright = d.side === 'left' || d.side === 'right'
  const { minY, maxX } = view.boardBounds
  // rows stand clear of heads that reach past the board; extension lines start at the board
  const [foot, edge] =
    d.side === 'left'
      ? [ox, ox - Math.max(0, -view.bounds.minX) * s]
      : d.side === 'right'
        ? [ox + maxX * s, ox + view.bounds.maxX * s]
        : // handles that hang below are drawn over, not cleared
          [oy - minY * s, oy - (view.name === 'top' ? view.bounds.minY : minY) * s]
  const along = (v: number) => (upright ? oy - v * s : ox + v * s)
  return { a: along(d.from), b: along(d.to), foot: foot!, edge: edge! }
}
/** Outermost first, so that a figure near the board is painted over the extension lines that run past it. */
const dimensions = useFrameLater(scene, () =>
  (scene.value?.placed ?? []).map(({ view, ox, oy }) => ({
    name: view.name,
    drawn: [...view.dimensions]
      .sort((a, b) => b.row - a.row)
      .map((d) => drawnDimension(d, placed(view, ox, oy, d), textOf(d))),
  })),
)
/** A click on a dimension's line or figure leads to its working, one on a tool chooses it, one beside both leads away. */
function click(event: MouseEvent) {
  const named = (event.target as Element).closest<SVGElement>('.dimension')?.dataset.figure
  const box = frame.value!.getBoundingClientRect()
  const [x, y] = [event.clientX - box.left, event.clientY - box.top]
  const drawn = dimensions.value.flatMap((v) => v.drawn)
  const figure = named ?? dimensionAt(drawn, x, y)?.figure ?? null
  if (figure) return emit('figure', figure)
  const { s, placed: all } = scene.value!
  const hit = all
    .map(({ view, ox, oy }) => seatAt(view.seats, (x - ox) / s, (oy - y) / s))
    .find((found) => found !== null)
  if (hit) emit('seat', hit)
  else emit('figure', null)
}

function wheel(event: WheelEvent) {
  const box = frame.value!.getBoundingClientRect()
  zoomBy(Math.exp(-event.deltaY * 0.0015), { x: event.clientX - box.left, y: event.clientY - box.top })
}
const middle = () => ({ x: size.value.width / 2, y: size.value.height / 2 })

let watcher: ResizeObserver | undefined
onMounted(() => {
  watcher = new ResizeObserver(([entry]) => {
    const { width, height } = entry!.contentRect
    if (width > 0 && height > 0) size.value = { width, height }
  })
  if (frame.value) watcher.observe(frame.value)
})
onBeforeUnmount(() => watcher?.disconnect())
watch(() => props.worked.input.holder.id, fitAll)
useKeys(() =>
  props.still
    ? []
    : [
        { on: '+', says: 'Closer', act: () => zoomBy(1.25, middle()) },
        { on: '=', says: 'Closer', act: () => zoomBy(1.25, middle()) },
        { on: '-', says: 'Farther', act: () => zoomBy(0.8, middle()) },
        { on: '0', says: 'All of it', act: fitAll },
      ],
)
const summary = computed(() => {
  const rail = props.worked.model?.boards[0]
  return rail
    ? `${rail.name}: ${length(rail.length)} by ${length(rail.width)}, ${counted(rail.openings.length, 'opening')}. The marks stand in the table below.`
    : ''
})
</script>

<template>
  <div ref="frame" class="frame" :class="{ still }">
    <svg
      v-if="scene"
      :width="size.width"
      :height="size.height"
      :viewBox="`0 0 ${size.width} ${size.height}`"
      role="img"
      :aria-label="summary"
      data-test="drawing"
      @pointerdown="still || down($event)"
      @pointermove="drag"
      @pointerup="up"
      @wheel.prevent="still || wheel($event)"
      @click="click"
    >
      <template v-if="frontBox">
        <clipPath v-for="view in views.slice(1)" :id="`${clipId}-${view.name}`" :key="view.name">
          <rect
            :x="view.bounds.minX - STROKE"
            :y="-frontBox.maxY - STROKE"
            :width="view.bounds.maxX - view.bounds.minX + 2 * STROKE"
            :height="(still ? frontBox.maxY - frontBox.minY : frontBox.maxY + FAR) + STROKE"
          />
        </clipPath>
      </template>
      <g v-for="{ view, ox, oy, ink, litInk } in inked" :key="view.name">
        <text
          class="title"
          :x="view.name === 'side' ? ox + view.bounds.minX * scene.s : LEFT - 50"
          :y="
            Math.max(
              16,
              oy - (view.name === 'top' ? view.bounds.maxY : Math.min(view.bounds.maxY, frontBox!.maxY)) * scene.s - 8,
            )
          "
        >
          {{ view.title }}
        </text>
        <g v-if="view.name === 'top'" class="wall">
          <path :d="`M${ox - 40} ${oy}H${ox + view.bounds.maxX * scene.s + 40}`" />
          <text :x="ox + view.bounds.maxX * scene.s + 12" :y="still ? oy + 14 : Math.max(oy + 14, BELOW_BUTTONS)">
            wall
          </text>
        </g>
        <g
          :transform="`translate(${ox} ${oy}) scale(${scene.s})`"
          :clip-path="view.name !== 'top' ? `url(#${clipId}-${view.name})` : undefined"
        >
          <path
            v-for="item in view.boards"
            :key="item.board"
            class="board"
            :class="{ bought: item.bought }"
            :d="svgPath(item.outline)"
            vector-effect="non-scaling-stroke"
          />
          <path v-for="(d, look) in ink" :key="look" :class="look" :d="d" vector-effect="non-scaling-stroke" />
          <g v-if="litInk" class="lit">
            <path v-for="(d, look) in litInk" :key="look" :class="look" :d="d" vector-effect="non-scaling-stroke" />
          </g>
        </g>
      </g>
      <HolderSeatMarks :marks="marks" />
      <HolderDrawnDimensions v-for="view in dimensions" :key="`d${view.name}`" :dimensions="view.drawn" :lit="lit" />
    </svg>
    <div v-if="scene && !still" class="zoom">
      <button class="btn tiny" aria-label="Closer" @click="zoomBy(1.4, middle())">+</button>
      <button class="btn tiny" aria-label="Farther" @click="zoomBy(1 / 1.4, middle())">−</button>
      <button class="btn tiny" @click="fitAll">All</button>
    </div>
    <slot v-if="!scene" />
  </div>
</template>

<style scoped>
.frame {
  position: relative;
  overflow: hidden;
  background: var(--sheet);
  min-height: 0;
  height: 100%;
}
svg {
  display: block;
  position: absolute;
  inset: 0;
  touch-action: none;
  cursor: grab;
}
.still svg {
  cursor: default;
  touch-action: auto;
}
.title {
  font: italic 13px var(--head);
  fill: var(--pencil);
}
.wall path {
  stroke: var(--pencil);
  stroke-width: 1;
  stroke-dasharray: 9 4;
}
.wall text {
  font: italic 12px var(--head);
  fill: var(--pencil);
}
.board {
  fill: var(--wood);
  stroke: var(--wood-line);
  stroke-width: 1.4;
}
.board.bought {
  fill: var(--steel);
}
.opening {
  fill: var(--sheet);
  stroke: var(--wood-line);
  stroke-width: 1.4;
}
.head,
.handle {
  fill: var(--ghost);
  stroke: var(--ghost-line);
  stroke-width: 1;
  stroke-dasharray: 4 2.5;
}
.lit > .head,
.lit > .handle,
.lit > .opening {
  stroke: var(--chalk);
  stroke-width: 2;
}
.visible {
  stroke: var(--wood-line);
  stroke-width: 1;
}
.hidden {
  stroke: var(--wood-line);
  stroke-width: 1;
  stroke-dasharray: 3 3;
}
.centre {
  stroke: var(--pencil);
  stroke-width: 0.8;
}
.zoom {
  position: absolute;
  bottom: 8px;
  right: 8px;
  display: flex;
  gap: 4px;
}
</style>
