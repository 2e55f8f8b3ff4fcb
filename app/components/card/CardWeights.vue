<script setup lang="ts">
import type { Tool } from '#core/footprint/tool'

/** What a tool weighs, with its battery out and in where it has one. */
defineProps<{ tool: Tool; battery: boolean }>()
const emit = defineEmits<{ bare: [kg: number | null]; full: [kg: number | null]; focus: []; end: [] }>()

const toFull = () => document.getElementById('tool-mass-battery')?.focus()
</script>

<template>
  <div class="row">
    <div>
      <label class="over" for="tool-mass">{{ battery ? 'Weight, battery out' : 'Weight' }}</label>
      <MassField
        optional
        input-id="tool-mass"
        :label="battery ? 'Weight, battery out' : 'Weight'"
        :of="{ tool: tool.id, kind: tool.kind, field: 'mass' }"
        :model-value="tool.mass"
        @update:model-value="emit('bare', $event)"
        @focus="emit('focus')"
        @next="battery ? toFull() : emit('end')"
      />
    </div>
    <div v-if="battery">
      <label class="over" for="tool-mass-battery">Weight, battery in</label>
      <MassField
        optional
        input-id="tool-mass-battery"
        label="Weight, battery in"
        :of="{ tool: tool.id, kind: tool.kind, field: 'massWithBattery' }"
        :model-value="tool.massWithBattery"
        @update:model-value="emit('full', $event)"
        @focus="emit('focus')"
        @next="emit('end')"
      />
    </div>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  gap: 10px;
}
.row > div {
  flex: 1 1 150px;
}
</style>
