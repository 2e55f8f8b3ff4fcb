<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { holderFrom } from '#core/choose/which-form'
import type { WallPiece } from '#core/wall/extent'
import { roomFor, type Room } from '#core/wall/room-left'
import type { Wall } from '#core/wall/wall'
import { useChoosing } from '~/composables/useChoosing'
import { useFormat } from '~/composables/useFormat'
import { useHistory } from '~/stores/history'
import { useRecords } from '~/stores/records'

/** What a wall still has room for, and which holder to build next for the tools that have none. */
const props = defineProps<{ wall: Wall; pieces: WallPiece[] }>()
const emit = defineEmits<{ rooms: [rooms: (Room & { width: number; height: number })[]] }>()
const records = useRecords()
const history = useHistory()
const { length } = useFormat()

const width = ref<number | null>(null)
const height = ref<number | null>(null)
const rooms = computed(() => (width.value && height.value ? roomFor(props.wall, props.pieces, records.shop!, { width: width.value, height: height.value }) : null)) // prettier-ignore
watch(rooms, (now) => emit('rooms', (now ?? []).map((r) => ({ ...r, width: width.value!, height: height.value! })))) // prettier-ignore

const homeless = computed(() => {
  const held = new Set(records.holders.flatMap((h) => h.seats.map((s) => s.tool)))
  return records.tools.filter((t) => !held.has(t.id))
})
const { next, ask } = useChoosing()
watch([homeless, () => records.shop], () => ask('build next', records.shop!, homeless.value), { immediate: true })
function build(i: number) {
  const { offer, tools } = next.value![i]!
  const about = { id: crypto.randomUUID(), name: tools[0]!.group || offer.form.name }
  const holder = holderFrom(offer, about, () => crypto.randomUUID().slice(0, 8))
  history.change('A new holder', 'holders', holder.id, holder, true)
  void navigateTo(`/holders/${holder.id}`)
}
</script>

<template>
  <section data-test="room">
    <h2>Room left</h2>
    <p class="row">
      <label>wide <LengthField v-model="width" label="How wide" /></label>
      <label>high <LengthField v-model="height" label="How high, with its tools" /></label>
    </p>
    <p v-if="rooms" role="status">
      <template v-if="rooms.length === 0">Nothing so large fits anywhere any more.</template>
      <template v-else>
        It fits {{ rooms.length === 1 ? 'here' : `at ${rooms.length} places` }}:
        <template v-for="(r, i) in rooms" :key="i"
          >{{ i ? '; ' : '' }}<LengthText :text="length(r.x)" /> from the left,
          <LengthText :text="length(r.z)" /> up</template
        >.
      </template>
    </p>
    <template v-if="next?.length">
      <h2>Build next</h2>
      <ul>
        <li v-for="(n, i) in next" :key="n.offer.form.id + i">
          <button class="btn tiny" @click="build(i)">{{ n.offer.form.name }}</button>
          <span class="small"> {{ n.why }}</span>
        </li>
      </ul>
    </template>
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
ul {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 6px;
}
h2 + ul {
  margin-top: 4px;
}
li .btn {
  margin-right: 8px;
}
</style>
