<script setup lang="ts">
import { mdiChevronDown, mdiChevronUp, mdiClose, mdiDrag, mdiPlus, mdiRotateLeft } from '@mdi/js'
import Sortable from 'sortablejs'
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from 'vue'
import { kindOf } from '#core/footprint/kinds'
import type { Tool } from '#core/footprint/tool'
import type { HolderForm } from '#core/forms/form'
import type { SeatOrder } from '#core/model/holder'
import { useRecords } from '~/stores/records'

/** The tools in a holder in their order along the board, to be dragged or moved by keys; below them those that could join. */
const props = defineProps<{ seats: SeatOrder[]; form: HolderForm; seat: string | null }>()
const emit = defineEmits<{
  move: [from: number, to: number]
  turn: [seat: string, turn: SeatOrder['turn']]
  out: [seat: string]
  add: [tool: Tool]
  seat: [id: string]
}>()

const records = useRecords()
const list = ref<HTMLElement | null>(null)
const search = ref('')
/** The row that has the focus, itself or in one of its buttons. */
const focused = ref<string | null>(null)
const rows = computed(() =>
  props.seats.map((s, i) => {
    const tool = records.toolsById.get(s.tool)
    const attitudes = tool ? (kindOf(tool.kind)?.attitudes ?? []) : []
    return {
      ...s,
      place: i + 1,
      name: tool?.name ?? 'a tool no longer in the tray',
      attitude: attitudes.find((a) => a.turn === s.turn)?.label ?? '',
    }
  }),
)
const others = computed(() => {
  const here = new Set(props.seats.map((s) => s.tool))
  const wanted = search.value.trim().toLowerCase()
  return records.tools
    .filter((t) => !here.has(t.id) && props.form.lacks(t) !== null && t.name.toLowerCase().includes(wanted))
    .sort((a, b) => Number(records.housed.has(a.id)) - Number(records.housed.has(b.id)))
})

/** The focus left a row, unless it went from one of its buttons to another. */
function onLeave({ currentTarget, relatedTarget }: FocusEvent) {
  if (!(currentTarget as Node).contains(relatedTarget as Node | null)) focused.value = null
}

async function focusSeat(index: number) {
  await nextTick()
  list.value?.querySelectorAll<HTMLElement>('.seat')[index]?.focus()
}

async function onKey(event: KeyboardEvent, index: number) {
  if (event.key === 'Delete' && event.target === event.currentTarget) {
    emit('out', rows.value[index]!.id)
    return focusSeat(Math.min(index, rows.value.length - 2))
  }
  const to = event.key === 'ArrowUp' ? index - 1 : event.key === 'ArrowDown' ? index + 1 : null
  if (!event.altKey || to === null) return
  event.preventDefault()
  if (to < 0 || to >= rows.value.length) return
  emit('move', index, to)
  await focusSeat(to)
}

let sortable: Sortable | undefined
onMounted(() => {
  if (!list.value) return
  sortable = Sortable.create(list.value, {
    handle: '.grip',
    animation: 120,
    onEnd: ({ item, oldIndex, newIndex }) => {
      if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return
      // put the row back where it was: the list is drawn from the record, not from what was dragged
      const parent = item.parentElement!
      parent.removeChild(item)
      parent.insertBefore(item, parent.children[oldIndex] ?? null)
      emit('move', oldIndex, newIndex)
    },
  })
})
onBeforeUnmount(() => sortable?.destroy())
</script>

<template>
  <div class="seats">
    <h2>In this holder</h2>
    <p class="quiet small hint">In order from the datum end. Drag to reorder.</p>
    <ol ref="list">
      <li
        v-for="(row, i) in rows"
        :key="row.id"
        class="seat"
        :class="{ lit: row.id === seat }"
        tabindex="0"
        :aria-label="`${row.place}: ${row.name}, ${row.attitude}`"
        @keydown="onKey($event, i)"
        @click="emit('seat', row.id)"
        @focusin="focused = row.id"
        @focusout="onLeave"
      >
        <span class="grip" aria-hidden="true"><v-icon :icon="mdiDrag" size="18" /></span>
        <span class="no">{{ row.place }}</span>
        <span class="name"
          >{{ row.name }}<small class="quiet">{{ row.attitude }}</small></span
        >
        <span v-if="row.id === seat || row.id === focused" class="acts">
          <button
            class="act"
            :aria-label="`Move ${row.name} towards the datum end`"
            :disabled="i === 0"
            @click.stop="emit('move', i, i - 1)"
          >
            <v-icon :icon="mdiChevronUp" size="16" />
          </button>
          <button
            class="act"
            :aria-label="`Move ${row.name} away from the datum end`"
            :disabled="i === rows.length - 1"
            @click.stop="emit('move', i, i + 1)"
          >
            <v-icon :icon="mdiChevronDown" size="16" />
          </button>
          <button
            class="act"
            :aria-label="`Turn ${row.name}`"
            title="Turn it by a quarter"
            @click.stop="emit('turn', row.id, ((row.turn + 1) % 4) as SeatOrder['turn'])"
          >
            <v-icon :icon="mdiRotateLeft" size="16" />
          </button>
          <button
            class="act"
            :aria-label="`Take ${row.name} out`"
            title="Take it out"
            @click.stop="emit('out', row.id)"
          >
            <v-icon :icon="mdiClose" size="16" />
          </button>
        </span>
      </li>
    </ol>
    <h2 class="join">Could join</h2>
    <input
      v-if="others.length > 6 || search"
      v-model="search"
      class="field"
      placeholder="search"
      aria-label="Search the tools that could join"
    />
    <ul>
      <li v-for="tool in others" :key="tool.id">
        <button class="add" :aria-label="`Add ${tool.name}`" @click="emit('add', tool)">
          <v-icon :icon="mdiPlus" size="16" />
          <span class="name"
            >{{ tool.name
            }}<small class="quiet">{{
              form.lacks(tool)!.length > 0
                ? 'still to measure'
                : records.housed.has(tool.id)
                  ? 'has a place'
                  : 'no place yet'
            }}</small></span
          >
        </button>
      </li>
      <li v-if="others.length === 0" class="quiet small">
        No other tool hangs this way. <NuxtLink to="/tools">Measure one</NuxtLink>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.seats {
  padding: 12px 10px 20px 14px;
}
h2 {
  font-size: 1rem;
  margin-bottom: 6px;
}
.hint {
  margin: -4px 0 4px;
}
.join {
  margin-top: 18px;
}
ol,
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.seat {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 4px;
  padding: 4px 2px;
  border-bottom: 1px solid var(--rule);
  background: var(--paper);
  cursor: pointer;
}
.seat.lit {
  box-shadow: inset 3px 0 0 var(--chalk);
}
.grip {
  cursor: grab;
  color: var(--pencil);
}
.no {
  font-weight: 650;
  min-width: 1.3em;
  text-align: right;
}
.name {
  flex: 1;
  min-width: 0;
  line-height: 1.15;
  overflow: hidden;
  text-overflow: ellipsis;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow-wrap: anywhere;
  padding-left: 4px;
}
.name small {
  display: block;
}
.acts {
  flex-basis: 100%;
  display: flex;
  justify-content: flex-end;
}
.act {
  width: 34px;
  height: 30px;
  border: 0;
  background: none;
  color: var(--ink);
  cursor: pointer;
  display: grid;
  place-items: center;
}
.act:disabled {
  opacity: 0.3;
}
.act:hover:not(:disabled) {
  color: var(--chalk);
}
.add {
  font: inherit;
  color: inherit;
  text-align: left;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--faint);
  width: 100%;
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 5px 2px;
  cursor: pointer;
}
.add:hover {
  color: var(--chalk);
}
</style>
