<script setup lang="ts">
import { saysCutBefore } from '#core/checks/cut-before'
import { canBeTrimmed, type CutBefore } from '#core/model/work'
import { useFormat } from '~/composables/useFormat'
import { useRecords } from '~/stores/records'

/** A part that was cut before the plan changed; what is large enough can be told to be trimmed. */
defineProps<{ before: CutBefore }>()
defineEmits<{ trimmed: [] }>()
const records = useRecords()
const { format } = useFormat()
</script>

<template>
  <p class="before" role="status">
    {{ saysCutBefore(before, records.shop?.stock ?? [], format) }}
    <button v-if="canBeTrimmed(before)" class="btn" @click="$emit('trimmed')">It is trimmed to that</button>
    <template v-else>It is to be cut again.</template>
  </p>
</template>

<style scoped>
.before {
  border: 1px solid var(--watch);
  padding: 6px 12px;
  margin: 0 0 10px;
}
</style>
