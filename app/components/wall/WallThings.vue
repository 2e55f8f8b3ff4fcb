<script setup lang="ts">
import { mdiDelete, mdiPlus } from '@mdi/js'
import {
  evenStuds,
  LEAST_SIZE,
  LEAST_STUDS,
  LEAST_WALL,
  LONGEST_WALL,
  OUT_OF_PLUMB,
  PLUMB,
  THING_KINDS,
  type Corner,
  type Thing,
  type ThingKind,
  type Wall,
} from '#core/wall/wall'
import { useFormat } from '~/composables/useFormat'
import { useRecords } from '~/stores/records'

/** What a wall is: its size, its studs, what is on it. */
const props = defineProps<{ wall: Wall }>()
const emit = defineEmits<{ change: [label: string, more: Partial<Wall>] }>()
const records = useRecords()
const { length } = useFormat()

/** Sizes that things commonly have, mm: width, height, height of the lower edge over the floor. */
const USUAL: Record<ThingKind, [number, number, number]> = {
  outlet: [80, 80, 300],
  switch: [80, 80, 1050],
  window: [900, 900, 1000],
  door: [900, 2000, 0],
  bench: [1500, 900, 0],
  pipe: [30, 1000, 0],
  other: [300, 300, 1000],
}
function add(kind: ThingKind) {
  const [width, height, z] = USUAL[kind]
  const thing: Thing = { id: crypto.randomUUID().slice(0, 8), kind, name: '', x: Math.max(0, (props.wall.width - width) / 2), z, width, height } // prettier-ignore
  emit('change', `A ${kind} on the wall`, { things: [...props.wall.things, thing] })
}
const set = (id: string, more: Partial<Thing>) =>
  emit('change', 'What is on the wall', { things: props.wall.things.map((t) => (t.id === id ? { ...t, ...more } : t)) })
/** Which side of it a door lies on when it is open; none of the wall where it opens away. */
function swings(id: string, side: string) {
  const things = props.wall.things.map((t) => {
    if (t.id !== id) return t
    const { swing: _, ...rest } = t
    return side === 'left' || side === 'right' ? { ...rest, swing: side } : rest
  }) as Thing[]
  emit('change', 'How the door opens', { things })
}
function setLine(line: number | null) {
  emit('change', 'The line', { line: line ?? undefined })
}
const spacing = ref<number | null>(null)
const first = ref<number | null>(null)
function space() {
  if (spacing.value === null) return
  emit('change', 'Studs', { studs: evenStuds(props.wall.width, first.value ?? spacing.value, spacing.value) })
}
const kinds = THING_KINDS
/** Where the corners are off plumb, by place. */
const PLACES = ['at the floor', 'in the middle', 'at the ceiling'] as const
const SHORT = ['floor', 'middle', 'ceiling'] as const
function setCorner(side: 'left' | 'right', place: number, value: number) {
  const now = props.wall.corners ?? { left: PLUMB, right: PLUMB }
  const corner = now[side].map((v, i) => (i === place ? value : v)) as unknown as Corner
  emit('change', 'A corner', { corners: { ...now, [side]: corner } })
}
const unit = computed(() => records.shop!.unit)
</script>

<template>
  <section class="things">
    <h2>The wall</h2>
    <div class="row">
      <label
        >Width
        <LengthField
          :model-value="wall.width"
          label="Width of the wall"
          :min="LEAST_WALL"
          :max="LONGEST_WALL"
          @update:model-value="$event && emit('change', 'Width of the wall', { width: $event })"
      /></label>
      <label
        >Height
        <LengthField
          :model-value="wall.height"
          label="Height of the wall"
          :min="LEAST_WALL"
          :max="LONGEST_WALL"
          @update:model-value="$event && emit('change', 'Height of the wall', { height: $event })"
      /></label>
    </div>
    <label class="line"
      >nothing sticks out past
      <LengthField
        :model-value="wall.line ?? null"
        label="Nothing sticks out past"
        :min="LEAST_SIZE"
        :max="LONGEST_WALL"
        optional
        placeholder="no line"
        @update:model-value="setLine"
    /></label>
    <WallSchool :wall="wall" @change="(label, more) => emit('change', label, more)" />
    <div class="row">
      <label
        >First stud
        <LengthField
          v-model="first"
          label="Centre of the first stud"
          :min="0"
          :max="LONGEST_WALL"
          optional
          :placeholder="unit === 'mm' ? '600' : '16'"
      /></label>
      <label
        >then every
        <LengthField
          v-model="spacing"
          label="Spacing of the studs"
          :min="LEAST_STUDS"
          optional
          :placeholder="unit === 'mm' ? '600' : '16'"
      /></label>
      <button class="btn" :disabled="spacing === null" @click="space">Set</button>
    </div>
    <p class="quiet small">
      {{ wall.studs.length === 0 ? 'No studs known.' : `Studs at ${wall.studs.map((s) => length(s)).join(', ')}.` }}
      Check each with a nail.
    </p>
    <WallStudFinder :wall="wall.id" @studs="emit('change', 'Studs', { studs: $event })" />
    <details>
      <summary class="small">Corners out of plumb</summary>
      <div v-for="side in ['left', 'right'] as const" :key="side" class="row corner">
        <label v-for="(place, i) in PLACES" :key="place"
          >{{ side }}, {{ SHORT[i] }}
          <LengthField
            :model-value="(wall.corners ?? { left: PLUMB, right: PLUMB })[side][i]!"
            :label="`${side} corner ${place}, to the right of plumb`"
            :min="-OUT_OF_PLUMB"
            :max="OUT_OF_PLUMB"
            @update:model-value="$event !== null && setCorner(side, i, $event)"
          />
        </label>
      </div>
      <p class="quiet small">
        Hang a plumb line at each end; what is to the right of it counts above nought, to the left below, as -6.
      </p>
    </details>

    <h3>On it</h3>
    <div v-for="t in wall.things" :key="t.id" class="thing" :data-test="`thing-${t.kind}`">
      <b>{{ t.kind }}</b>
      <button
        class="btn bare"
        :aria-label="`Remove the ${t.kind}`"
        @click="emit('change', 'What is on the wall', { things: wall.things.filter((x) => x.id !== t.id) })"
      >
        <v-icon :icon="mdiDelete" size="18" />
      </button>
      <label
        >from the left
        <LengthField
          :model-value="t.x"
          :label="`${t.kind} from the left`"
          :min="0"
          :max="LONGEST_WALL"
          @update:model-value="$event !== null && set(t.id, { x: $event })"
      /></label>
      <label
        >over the floor
        <LengthField
          :model-value="t.z"
          :label="`${t.kind} over the floor`"
          :min="0"
          :max="LONGEST_WALL"
          @update:model-value="$event !== null && set(t.id, { z: $event })"
      /></label>
      <label
        >width
        <LengthField
          :model-value="t.width"
          :label="`width of the ${t.kind}`"
          :min="LEAST_SIZE"
          :max="LONGEST_WALL"
          @update:model-value="$event && set(t.id, { width: $event })"
      /></label>
      <label
        >height
        <LengthField
          :model-value="t.height"
          :label="`height of the ${t.kind}`"
          :min="LEAST_SIZE"
          :max="LONGEST_WALL"
          @update:model-value="$event && set(t.id, { height: $event })"
      /></label>
      <label v-if="t.kind === 'door'" class="whole"
        >when it is open
        <select
          class="field"
          aria-label="When the door is open"
          :value="t.swing ?? ''"
          @change="swings(t.id, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">it is not over this wall</option>
          <option value="left">it lies over the wall on its left</option>
          <option value="right">it lies over the wall on its right</option>
        </select>
      </label>
    </div>
    <p class="adds">
      <button v-for="k in kinds" :key="k" class="btn tiny" @click="add(k)">
        <v-icon :icon="mdiPlus" size="14" /> {{ k }}
      </button>
    </p>
    <p class="quiet small">
      Cables and pipes run in walls, above and beside outlets. Near an outlet: the circuit off and proven dead; wiring
      is for a licensed electrician.
    </p>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  gap: 8px;
  align-items: end;
  margin: 6px 0;
}
label {
  font-size: 0.86rem;
  color: var(--pencil);
}
.thing {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px 8px;
  border-top: 1px solid var(--rule);
  padding: 4px 0 8px;
}
.whole {
  grid-column: 1 / -1;
}
.line {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px;
  align-items: center;
}
.thing > .btn {
  justify-self: end;
}
.adds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
h3 {
  margin-top: 12px;
}
.corner {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  align-items: start;
}
</style>
