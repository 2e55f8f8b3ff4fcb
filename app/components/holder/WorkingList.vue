<script setup lang="ts">
import { computed } from 'vue'
import { figuresBySeat } from '#core/choose/by-seat'
import type { Design } from '#core/choose/design'
import type { Figure } from '#core/working/figure'
import { writeFigure } from '#core/working/text'
import { useFollowing } from '~/composables/useFollowing'
import { useFormat } from '~/composables/useFormat'

/** Every derived figure, line by line: the board's first, then seat by seat; the chosen seat's are laid open. */
const props = defineProps<{ worked: Design; lit: string | null; seat: string | null }>()
const emit = defineEmits<{ pick: [id: string]; seat: [id: string] }>()
const { format } = useFormat()
const worked = useFollowing(() => props.worked)

const printed = (f: Figure) => writeFigure(f, format.value)
const bySeat = computed(() => figuresBySeat(worked.value))
const seats = computed(() =>
  bySeat.value.seats.map((s) => {
    const of = (name: string) => s.figures.find((f) => f.id === `${name}:${s.id}`)
    const [centre, slot] = [of('x'), of('slot')]
    return {
      ...s,
      figures: s.id === props.seat ? s.figures : [],
      summary: centre && slot ? `at ${printed(centre)}, slot ${printed(slot)}` : '',
    }
  }),
)
</script>

<template>
  <div class="working">
    <h3 v-if="bySeat.whole.length">The board</h3>
    <ul>
      <li v-for="f in bySeat.whole" :key="f.id" :class="{ lit: f.id === lit }">
        <button :data-figure="f.id" @click="emit('pick', f.id)">
          <span>{{ f.label }}</span><LengthText :text="printed(f)" />
        </button>
      </li>
    </ul>
    <template v-for="s in seats" :key="s.id">
      <button class="seat" :aria-expanded="s.id === seat" @click="emit('seat', s.id)">
        <span class="no">{{ s.place }}</span> <span class="name">{{ s.name }}</span>
        <span class="quiet small">{{ s.summary }}</span>
      </button>
      <ul v-if="s.figures.length">
        <li v-for="f in s.figures" :key="f.id" :class="{ lit: f.id === lit }">
          <button :data-figure="f.id" @click="emit('pick', f.id)">
            <span>{{ f.label }}</span><LengthText :text="printed(f)" />
          </button>
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
h3 {
  margin: 12px 0 2px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li button {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--faint);
  width: 100%;
  text-align: left;
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 3px 4px;
  cursor: pointer;
}
li button span:last-child {
  white-space: nowrap;
}
li button:hover {
  color: var(--chalk);
}
li.lit button {
  background: var(--faint);
  box-shadow: inset 3px 0 0 var(--chalk);
  color: var(--chalk);
  font-weight: 600;
}
.seat {
  content-visibility: auto;
  contain-intrinsic-size: auto 33px;
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-top: 1px solid var(--rule);
  width: 100%;
  text-align: left;
  padding: 5px 4px;
  cursor: pointer;
  display: flex;
  gap: 6px;
  align-items: baseline;
}
.seat .no {
  font-weight: 650;
}
.seat .name {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.seat[aria-expanded='true'] {
  color: var(--chalk);
}
</style>
