<script setup lang="ts">
import { computed } from 'vue'
import { LONGEST_WALL, type Hung } from '#core/wall/wall'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** The holder that is chosen on the wall: where it hangs, whether it stays there, and what can be done with it. */
const props = defineProps<{ hung: Hung }>()
const emit = defineEmits<{ place: [label: string, more: Partial<Hung>]; copy: []; down: [] }>()
const records = useRecords()
const history = useHistory()
const holder = computed(() => records.holders.find((h) => h.id === props.hung.holder))

/** Its tools in the reverse order: what was at its left end is at its right. */
function turnRound() {
  const { seats } = holder.value!
  history.change('Turn it round', 'holders', props.hung.holder, { ...holder.value!, seats: [...seats].reverse() }, true)
}
</script>

<template>
  <section data-test="chosen">
    <h2>{{ holder?.name }}</h2>
    <div class="row">
      <label
        >left end
        <LengthField
          :model-value="hung.x"
          label="Left end from the corner"
          :min="0"
          :max="LONGEST_WALL"
          @update:model-value="$event !== null && emit('place', 'Move a holder', { x: $event })"
      /></label>
      <label
        >lower edge
        <LengthField
          :model-value="hung.z"
          label="Lower edge over the floor"
          :min="0"
          :max="LONGEST_WALL"
          @update:model-value="$event !== null && emit('place', 'Move a holder', { z: $event })"
      /></label>
    </div>
    <label class="check"
      ><input type="checkbox" :checked="hung.fixed" @change="emit('place', 'Hold it there', { fixed: !hung.fixed })" />
      stays here when arranged</label
    >
    <p>
      <NuxtLink :to="`/holders/${hung.holder}`">Open it</NuxtLink>
      <button class="link" :disabled="(holder?.seats.length ?? 0) < 2" @click="turnRound">Turn it round</button>
      <button class="link" @click="emit('copy')">Another like it</button>
      <button class="link" @click="emit('down')">Take it down</button>
    </p>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  gap: 8px;
}
label {
  font-size: 0.86rem;
  color: var(--pencil);
}
.check {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 32px;
}
p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}
</style>
