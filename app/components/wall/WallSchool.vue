<script setup lang="ts">
import { computed } from 'vue'
import { frameOn, hangsBy, rackOn, uprightsOf } from '#core/wall/holding'
import { FRAME_EDGE, rowsOn } from '#core/wall/strips'
import {
  BEHIND,
  HOLDS,
  LEAST_PITCH,
  LEAST_SIZE,
  LEAST_WALL,
  LONGEST_WALL,
  MOST_LEAN,
  type Behind,
  type Framed,
  type Holds,
  type Rack,
  type Wall,
} from '#core/wall/wall'
import { useFormat } from '~/composables/useFormat'
import { useRecords } from '~/stores/records'

/** What holders are fixed to on this wall, what is behind it, and the figures of what goes up. */
const props = defineProps<{ wall: Wall }>()
const emit = defineEmits<{ change: [label: string, more: Partial<Wall>] }>()
const records = useRecords()
const { length } = useFormat()

/** Each with when it is right. */
const SAYS: Record<Holds, [name: string, when: string]> = {
  panel: ['a panel, anywhere', 'sheets over the whole wall: screw anything anywhere'],
  studs: ['studs only', 'nothing goes up first; holders go where studs are'],
  strips: ['bevelled strips', 'straight on the studs: moved in seconds'],
  backed: ['bevelled strips on sheets', 'strips over sheets: moved in seconds, and screwed anywhere between them'],
  framed: ['a framed panel', 'with strips on it, made on the bench and hung as one piece'],
  uprights: ['uprights on ledgers', 'boards on edge at a pitch, carried by two or three ledgers'],
  rack: ['a rack that leans', 'uprights that stand on the floor, held at the top: for a wall that must stay whole'],
}
const LINED: Record<Behind, string> = { wood: 'wood studs', metal: 'metal studs', masonry: 'masonry' }

const by = computed(() => hangsBy(props.wall))
/** Strips as they go up this wall. */
const rows = computed(() => rowsOn(props.wall, records.shop!))
const frame = computed(() => frameOn(props.wall))
const rack = computed(() => rackOn(props.wall))
const standing = computed(() => uprightsOf(props.wall).length)
const hasRack = computed(() => props.wall.holds === 'uprights' || props.wall.holds === 'rack')

const FRAME: { key: keyof Framed; says: string; label: string }[] = [
  { key: 'x', says: 'from the left', label: 'Panel from the left' },
  { key: 'z', says: 'over the floor', label: 'Panel over the floor' },
  { key: 'width', says: 'width', label: 'Width of the panel' },
  { key: 'height', says: 'height', label: 'Height of the panel' },
]
const RACK: { key: 'from' | 'to' | 'low' | 'high' | 'pitch'; says: string; label: string }[] = [
  { key: 'from', says: 'first, its middle at', label: 'Middle of the first upright' },
  { key: 'to', says: 'to', label: 'Uprights up to' },
  { key: 'pitch', says: 'pitch', label: 'Pitch of the uprights' },
  { key: 'low', says: 'from, over the floor', label: 'Lower end of the uprights' },
  { key: 'high', says: 'up to', label: 'Upper end of the uprights' },
]
/** Lengths of nought make sense for places, not for sizes. */
const PLACES: readonly string[] = ['x', 'z', 'from', 'low']
const racked = computed(() => RACK.filter((r) => r.key !== 'low' || props.wall.holds === 'uprights'))
const setFrame = (more: Partial<Framed>) => emit('change', 'The panel', { frame: { ...frame.value, ...more } })
const setRack = (more: Partial<Rack>) => emit('change', 'The uprights', { rack: { ...rack.value, ...more } })
/** A rack stands on the floor, uprights usually don't. */
function school(holds: Holds) {
  const stands = holds === 'rack' && props.wall.rack && props.wall.rack.low > 0
  emit('change', 'What it holds by', { holds, ...(stands ? { rack: { ...props.wall.rack!, low: 0 } } : {}) })
}
</script>

<template>
  <div>
    <fieldset>
      <legend class="quiet small">Holders are fixed to</legend>
      <label v-for="h in HOLDS" :key="h" :title="SAYS[h][1]">
        <input type="radio" name="holds" :checked="wall.holds === h" @change="school(h)" />
        {{ SAYS[h][0] }}
      </label>
    </fieldset>
    <p class="quiet small when">{{ SAYS[wall.holds][1] }}.</p>
    <label class="behind"
      >behind the lining
      <select
        class="field"
        aria-label="Behind the lining"
        :value="wall.behind ?? 'wood'"
        @change="emit('change', 'Behind the lining', { behind: ($event.target as HTMLSelectElement).value as Behind })"
      >
        <option v-for="b in BEHIND" :key="b" :value="b">{{ LINED[b] }}</option>
      </select>
    </label>
    <div v-if="wall.holds === 'framed'" class="pairs">
      <label v-for="f in FRAME" :key="f.key"
        >{{ f.says }}
        <LengthField
          :model-value="frame[f.key]"
          :label="f.label"
          :min="PLACES.includes(f.key) ? 0 : LEAST_WALL"
          :max="LONGEST_WALL"
          @update:model-value="$event !== null && setFrame({ [f.key]: $event })"
      /></label>
    </div>
    <div v-if="hasRack" class="pairs">
      <label v-for="r in racked" :key="r.key"
        >{{ r.says }}
        <LengthField
          :model-value="rack[r.key]"
          :label="r.label"
          :min="PLACES.includes(r.key) ? 0 : r.key === 'pitch' ? LEAST_PITCH : undefined"
          :max="LONGEST_WALL"
          @update:model-value="$event !== null && setRack({ [r.key]: $event })"
      /></label>
      <label v-if="wall.holds === 'rack'"
        >leans by
        <AngleField
          :model-value="rack.lean"
          label="How far the rack leans"
          :min="0"
          :max="MOST_LEAN"
          @update:model-value="$event !== null && setRack({ lean: $event })"
      /></label>
      <label
        >ledgers
        <select
          class="field"
          aria-label="Ledgers"
          :value="rack.ledgers"
          @change="setRack({ ledgers: Number(($event.target as HTMLSelectElement).value) })"
        >
          <option v-for="n in [2, 3, 4]" :key="n" :value="n">{{ n }}</option>
        </select></label
      >
    </div>
    <p v-if="hasRack" class="quiet small" data-test="uprights">
      {{ standing }} uprights. They are screwed together on the bench, from behind through the ledgers; each is marked
      at half its thickness to the left of its middle.
    </p>
    <template v-if="by === 'strips'">
      <div class="row">
        <label v-if="wall.holds !== 'framed'"
          >lowest over the floor
          <LengthField
            :model-value="wall.strips.first"
            label="Lowest strip over the floor"
            :min="0"
            @update:model-value="
              $event !== null && emit('change', 'Strips', { strips: { ...wall.strips, first: $event } })
            "
        /></label>
        <label
          >gap, the spacer block
          <LengthField
            :model-value="wall.strips.gap"
            label="Gap between strips"
            :min="LEAST_SIZE"
            @update:model-value="$event && emit('change', 'Strips', { strips: { ...wall.strips, gap: $event } })"
        /></label>
      </div>
      <div class="row">
        <label
          >in pieces of
          <LengthField
            :model-value="wall.strips.piece || null"
            label="Strips in pieces of"
            :min="150"
            optional
            placeholder="whole lengths"
            @update:model-value="
              emit('change', 'Strips', {
                strips: { ...wall.strips, piece: $event ?? 0, apart: wall.strips.apart ?? 300 },
              })
            "
        /></label>
        <label v-if="wall.strips.piece"
          >room between two
          <LengthField
            :model-value="wall.strips.apart ?? 0"
            label="Room between two pieces"
            :min="0"
            @update:model-value="
              $event !== null && emit('change', 'Strips', { strips: { ...wall.strips, apart: $event } })
            "
        /></label>
      </div>
      <p v-if="wall.strips.piece" class="quiet small">
        Row by row half a step further on. What hooks over and under its strip is slid off at the end of a piece.
      </p>
      <p class="quiet small" data-test="strips">
        {{ rows.length }} {{ wall.strips.piece ? 'rows' : 'strips' }} of
        {{ length(wall.holds === 'framed' ? frame.width - 2 * FRAME_EDGE : wall.width)
        }}{{
          rows[0]
            ? `, ${length(rows[0].high - rows[0].low)} wide; their lower edges at ${rows.map((r) => length(r.low)).join(', ')}`
            : ''
        }}. Bevel up, sharp edge away from the wall; screws at every stud in the body, never in the bevel.
      </p>
    </template>
  </div>
</template>

<style scoped>
.row,
.pairs {
  display: flex;
  gap: 8px;
  align-items: end;
  margin: 6px 0;
}
.pairs {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px 8px;
}
label {
  font-size: 0.86rem;
  color: var(--pencil);
}
fieldset {
  border: 0;
  padding: 0;
  margin: 6px 0 2px;
}
fieldset label {
  display: flex;
  gap: 6px;
  align-items: center;
  color: var(--ink);
  min-height: 26px;
}
.when::first-letter {
  text-transform: uppercase;
}
.behind {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px;
  align-items: center;
  margin: 6px 0;
}
</style>
