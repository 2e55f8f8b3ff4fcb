<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Design } from '#core/choose/design'
import { holderViews } from '#core/drawing/views'
import { svgPath } from '#core/geometry/svg-path'
import type { HolderModel } from '#core/model/model'
import { at, type WallPiece } from '#core/wall/extent'
import type { WallVerdict } from '#core/wall/inspect-wall'
import { heightsFor, rowsOn } from '#core/wall/strips'
import type { Hung, Wall } from '#core/wall/wall'
import { counted } from '~/composables/counted'
import { inkOf } from '~/composables/viewInk'
import { useFormat } from '~/composables/useFormat'
import { hasRoom } from '~/composables/nameOnWall'
import { useWallDrag } from '~/composables/useWallDrag'
import { useRecords } from '~/stores/records'

/** The wall at scale: studs, what is kept free, the bands of reach, holders with their tools to drag, a proposal as ghosts. */
const props = defineProps<{
  wall: Wall
  pieces: WallPiece[]
  designs: ReadonlyMap<string, Design>
  verdicts: WallVerdict[]
  chosen: string | null
  proposal: readonly Hung[] | null
  /** what the wall is covered with, and where something more would fit */
  backing: HolderModel | null
  rooms: readonly { x: number; z: number; width: number; height: number }[]
}>()
const emit = defineEmits<{
  choose: [holder: string | null]
  move: [holder: string, x: number, z: number, done: boolean]
}>()
const records = useRecords()
const { length } = useFormat()

const PAD = 90
const box = computed(() => `${-PAD * 3.4} ${-props.wall.height - PAD / 2} ${props.wall.width + PAD * 6} ${props.wall.height + PAD * 1.6}`) // prettier-ignore
/** Bevelled strips on the wall. */
const rows = computed(() => rowsOn(props.wall, records.shop!))
const pieceById = computed(() => new Map(props.pieces.map((p) => [p.holder, p])))
const pieceOf = (holder: string) => pieceById.value.get(holder)
/** The worst that is said of each holder. */
const levels = computed(() => {
  const found = new Map<string, WallVerdict['level']>()
  for (const v of props.verdicts) for (const h of v.holders) if (found.get(h) !== 'stop') found.set(h, v.level)
  return found
})
const levelOf = (holder: string) => levels.value.get(holder) ?? 'pass'

/** Each holder as it is drawn from the front, about the lower left corner of its boards. */
const looks = computed(() => {
  const found = new Map<string, { boards: string[]; ink: Record<string, string>; by: string }>()
  for (const [id, { model, input }] of props.designs) {
    if (!model) continue
    const view = holderViews(model, input.tools, input.shop).find((v) => v.name === 'front')!
    const { minX, minY } = view.boardBounds
    found.set(id, {
      boards: view.boards.map((b) => svgPath(b.outline)),
      ink: inkOf(view.seats),
      by: `translate(${-minX} ${minY})`,
    })
  }
  return found
})

const svg = ref<SVGSVGElement | null>(null)
/** The nearest height at which a holder hangs on a strip, where the wall has any and it hangs by one. */
function onStrip(holder: string, z: number): number {
  const piece = pieceOf(holder)
  const heights = piece ? heightsFor(rows.value, piece, records.shop!) : []
  return heights.reduce((best, h) => (Math.abs(h - z) < Math.abs(best - z) ? h : best), heights[0] ?? z)
}
const { down, drag, up, clicked } = useWallDrag(svg, onStrip, {
  chosen: (holder) => emit('choose', holder),
  moved: (holder, x, z, done) => emit('move', holder, x, z, done),
})
const ghosts = computed(() =>
  (props.proposal ?? []).flatMap((h) => {
    const piece = pieceOf(h.holder)
    const now = props.wall.hung.find((n) => n.holder === h.holder)
    return piece && (!now || Math.abs(now.x - h.x) > 1 || Math.abs(now.z - h.z) > 1)
      ? [{ ...h, name: piece.name, box: at(piece.all, h.x, h.z) }]
      : []
  }),
)
</script>

<template>
  <svg
    ref="svg"
    :viewBox="box"
    role="img"
    :aria-label="`${wall.name}: ${counted(wall.hung.length, 'holder')} on ${length(wall.width)} × ${length(wall.height)}`"
    @pointermove="drag"
    @pointerup="up"
    @pointercancel="up"
    @click="clicked"
  >
    <WallGround
      :width="wall.width"
      :height="wall.height"
      :studs="wall.studs"
      :things="wall.things"
      :backing="backing"
      @empty="emit('choose', null)"
    />
    <g v-for="(r, i) in rooms" :key="`room${i}`" class="room" data-test="room-left">
      <rect :x="r.x" :y="-r.z - r.height" :width="r.width" :height="r.height" />
      <text :x="r.x + r.width / 2" :y="-r.z - r.height / 2 + 18" text-anchor="middle">{{ i + 1 }}</text>
    </g>
    <g
      v-for="h in wall.hung"
      :key="h.holder"
      v-memo="[h, levelOf(h.holder), h.holder === chosen, looks.get(h.holder), pieceOf(h.holder)]"
      :class="['hung', levelOf(h.holder), { chosen: h.holder === chosen }]"
      :transform="`translate(${h.x} ${-h.z})`"
      :data-holder="h.holder"
      @pointerdown.prevent="down(h, $event)"
    >
      <template v-if="looks.get(h.holder) && pieceOf(h.holder)">
        <rect
          class="room"
          :x="pieceOf(h.holder)!.all.x0"
          :y="-pieceOf(h.holder)!.all.z1"
          :width="pieceOf(h.holder)!.all.x1 - pieceOf(h.holder)!.all.x0"
          :height="pieceOf(h.holder)!.all.z1 - pieceOf(h.holder)!.all.z0"
        />
        <g :transform="looks.get(h.holder)!.by">
          <path v-for="(d, i) in looks.get(h.holder)!.boards" :key="i" class="board" :d="d" />
          <path v-for="(d, look) in looks.get(h.holder)!.ink" :key="look" :class="look" :d="d" />
        </g>
        <title>{{ pieceOf(h.holder)!.name }}</title>
      </template>
    </g>
    <g v-for="g in ghosts" :key="`g${g.holder}`" class="proposal">
      <rect :x="g.box.x0" :y="-g.box.z1" :width="g.box.x1 - g.box.x0" :height="g.box.z1 - g.box.z0" />
      <title>{{ g.name }}</title>
      <text
        v-if="hasRoom(g.name, g.box.x1 - g.box.x0)"
        :x="(g.box.x0 + g.box.x1) / 2"
        :y="-(g.box.z0 + g.box.z1) / 2"
        text-anchor="middle"
      >
        {{ g.name }}
      </text>
    </g>
    <line class="floor" :x1="-PAD" :x2="wall.width + PAD" y1="0" y2="0" />
    <text class="size" :x="wall.width / 2" :y="74" text-anchor="middle">{{ length(wall.width) }}</text>
    <text class="size" :x="wall.width + 14" :y="-wall.height + 54">{{ length(wall.height) }}</text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
  user-select: none;
}
* {
  vector-effect: non-scaling-stroke;
}
.size {
  font-size: 58px;
  fill: var(--pencil);
}
.room rect {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 4;
  stroke-dasharray: 20 14;
}
.room text {
  fill: var(--chalk);
  font-size: 60px;
}
.hung {
  cursor: grab;
}
.room {
  fill: transparent;
  stroke: transparent;
  stroke-width: 1.5;
}
.hung.chosen .room {
  stroke: var(--chalk);
}
.hung.stop .room {
  stroke: var(--stop);
  stroke-width: 2.5;
}
.hung.watch .room {
  stroke: var(--watch);
  stroke-dasharray: 5 3;
}
.board {
  fill: var(--wood);
  stroke: var(--wood-line);
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
.proposal rect {
  fill: color-mix(in srgb, var(--chalk) 14%, transparent);
  stroke: var(--chalk);
  stroke-dasharray: 7 4;
}
.proposal text {
  font-size: 54px;
  fill: var(--chalk);
}
.floor {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
