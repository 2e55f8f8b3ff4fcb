<script setup lang="ts">
import { canBeTrimmed, pieceAs, readPiece, type CutBefore } from '#core/model/work'
import { useFormat } from '~/composables/useFormat'
import { useRecords } from '~/stores/records'

/** A part that was cut before the plan changed; what is large enough can be told to be trimmed. */
const props = defineProps<{ before: CutBefore }>()
defineEmits<{ trimmed: [] }>()
const records = useRecords()
const { length } = useFormat()

const size = (of: { length: number; width: number }) => `${length(of.length)} × ${length(of.width)}`
/** What else it was cut of, where that is another now. */
function ofOther(): string {
  const { part, was } = props.before
  const other = records.shop?.stock.find((s) => s.id === was.stock)?.name ?? 'other stock'
  return was.stock === part.stock ? '' : ` of ${other}`
}
</script>

<template>
  <p class="before" role="status">
    {{ before.part.name }} was cut {{ size(before.was) }}{{ ofOther() }} before the plan changed; now it is
    {{ size(readPiece(pieceAs(before.part))!) }}.
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
