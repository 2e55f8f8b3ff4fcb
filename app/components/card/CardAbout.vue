<script setup lang="ts">
import { computed } from 'vue'
import { waysToHold } from '#core/choose/ways-to-hold'
import { USES, type Tool } from '#core/footprint/tool'
import { useRecords } from '~/stores/records'

/** How often and where a tool is used, how it could be held with what is measured so far, and what else there is to say. */
const props = defineProps<{ tool: Tool }>()
const emit = defineEmits<{ change: [label: string, more: Partial<Tool>] }>()

const records = useRecords()
const ways = computed(() => waysToHold(props.tool))
const places = computed(() => [...new Set(records.tools.map((t) => t.usedAt).filter(Boolean))])
</script>

<template>
  <div class="about">
    <div class="row">
      <div class="wide">
        <span class="over-like">Used</span>
        <ChoiceRow
          label="Used"
          :values="USES.map((u) => ({ value: u, label: u }))"
          :model-value="tool.use"
          @update:model-value="emit('change', 'Use', { use: $event })"
        />
      </div>
      <div>
        <label class="over" for="tool-used-at">Used at</label>
        <input
          id="tool-used-at"
          class="field"
          list="tool-places"
          maxlength="120"
          :value="tool.usedAt"
          placeholder="bench, lathe, outdoors"
          @input="emit('change', 'Used at', { usedAt: ($event.target as HTMLInputElement).value.slice(0, 120) })"
        />
        <datalist id="tool-places"><option v-for="p in places" :key="p" :value="p" /></datalist>
      </div>
    </div>
    <div>
      <h3>How it can be held</h3>
      <ul class="ways">
        <li v-for="w in ways" :key="w.form.id">
          <VerdictMark :level="w.lacks.length ? 'watch' : 'pass'" />
          <span
            >{{ w.form.name
            }}<span v-if="w.lacks.length" class="quiet"
              >: still to measure {{ w.lacks.join(', ').toLowerCase() }}</span
            ></span
          >
        </li>
      </ul>
      <p v-if="ways.length === 0" class="quiet">No form of holder takes it as it is measured.</p>
    </div>
    <div>
      <label class="over" for="tool-note">Note</label>
      <textarea
        id="tool-note"
        class="field"
        rows="2"
        maxlength="2000"
        :value="tool.note"
        @input="emit('change', 'Note', { note: ($event.target as HTMLTextAreaElement).value })"
      />
    </div>
  </div>
</template>

<style scoped>
.about {
  display: grid;
  gap: 10px;
}
.row {
  display: flex;
  gap: 10px;
  flex-wrap: wrap;
}
.row > div {
  flex: 1 1 150px;
}
.row > .wide {
  flex: 1.6 1 220px;
}
.over-like {
  font-size: 0.86rem;
  color: var(--pencil);
}
.ways {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
  display: grid;
  gap: 3px;
}
.ways li {
  display: flex;
  gap: 8px;
}
</style>
