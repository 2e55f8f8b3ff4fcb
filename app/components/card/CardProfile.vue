<script setup lang="ts">
import { nextTick, ref } from 'vue'
import type { Kind } from '#core/footprint/kind'
import type { Remark } from '#core/footprint/measuring'
import type { ProfilePoint, Tool } from '#core/footprint/tool'
import { useNotice } from '~/composables/useNotice'

/** Diameters of a handle at several heights; the drawing above follows as they are typed. */
const props = defineProps<{ tool: Tool; kind: Kind; remarks: readonly Remark[] }>()
const emit = defineEmits<{ change: [profile: ProfilePoint[]] }>()

const notice = useNotice()
const at = ref<number | null>(null)
const diameter = ref<number | null>(null)
const id = useId()

function add() {
  if (at.value === null || diameter.value === null) return
  const here = at.value
  const rest = props.tool.profile.filter((p) => Math.abs(p.at - here) > 1e-9)
  if (rest.length < props.tool.profile.length) notice.say('The diameter at this height was put anew.', true)
  emit(
    'change',
    [...rest, { at: here, diameter: diameter.value }].sort((a, b) => a.at - b.at),
  )
  at.value = null
  diameter.value = null
  void nextTick(() => document.getElementById(`${id}-at`)?.focus())
}
const toDiameter = () => document.getElementById(`${id}-diameter`)?.focus()
const set = (i: number, value: number | null) =>
  value !== null &&
  emit(
    'change',
    props.tool.profile.map((p, j) => (j === i ? { ...p, diameter: value } : p)),
  )
</script>

<template>
  <details class="profile" :open="tool.profile.length > 0">
    <summary>{{ kind.profile!.label }} <span class="quiet small">for a pocket that matches it</span></summary>
    <p class="quiet small">{{ kind.profile!.hold }} Heights count from {{ kind.profile!.from }}.</p>
    <table v-if="tool.profile.length" class="plain">
      <thead>
        <tr>
          <th>At</th>
          <th>Diameter</th>
          <th><span class="hidden-text">Remove</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(p, i) in tool.profile" :key="p.at">
          <td><ShownLength :mm="p.at" /></td>
          <td>
            <LengthField :model-value="p.diameter" :label="`Diameter ${i + 1}`" @update:model-value="set(i, $event)" />
          </td>
          <td>
            <button
              class="btn bare tiny"
              :aria-label="`Remove diameter ${i + 1}`"
              @click="
                emit(
                  'change',
                  tool.profile.filter((_, j) => j !== i),
                )
              "
            >
              ✕
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <div class="add">
      <label class="hidden-text" :for="`${id}-at`">Height of another diameter</label>
      <label class="hidden-text" :for="`${id}-diameter`">Another diameter</label>
      <LengthField
        v-model="at"
        :input-id="`${id}-at`"
        label="Height of another diameter"
        placeholder="at a height of"
        :min="0"
        optional
        @next="at !== null && toDiameter()"
        @reading="toDiameter"
      />
      <LengthField
        v-model="diameter"
        :input-id="`${id}-diameter`"
        label="Another diameter"
        placeholder="diameter"
        optional
        @next="add"
        @reading="add"
      />
      <button class="btn" :disabled="at === null || diameter === null" @click="add">Add</button>
    </div>
    <p v-for="r in remarks.filter((x) => x.field === 'profile')" :key="r.message" class="told" :class="r.level">
      {{ r.message }}
    </p>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-weight: 600;
}
.add {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 8px;
  margin-top: 6px;
}
td {
  vertical-align: top;
}
</style>
