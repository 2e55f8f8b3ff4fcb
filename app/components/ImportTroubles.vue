<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, ref } from 'vue'
import type { BadRow } from '~/workers/list-messages'

/** Every row that can't be taken in, with the column and the reason. Only the lines in sight are there. */
const props = defineProps<{ bad: readonly BadRow[] }>()

/** How high a line is, px; higher where its reason takes more. */
const LINE = 44
const scroller = ref<HTMLElement>()
const lines = computed(() => props.bad.flatMap((b) => b.problems.map((p) => ({ row: b.row, name: b.name, ...p }))))
const virtual = useVirtualizer(
  computed(() => ({
    count: lines.value.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: () => LINE,
    overscan: 4,
  })),
)
</script>

<template>
  <div ref="scroller" class="lines" tabindex="0" role="table" aria-label="Rows that can’t be taken in">
    <div :style="{ height: `${virtual.getTotalSize()}px` }" role="rowgroup">
      <div
        v-for="v in virtual.getVirtualItems()"
        :key="v.index"
        :ref="(line) => virtual.measureElement(line as Element | null)"
        :data-index="v.index"
        class="line"
        role="row"
        :style="{ transform: `translateY(${v.start}px)`, minHeight: `${LINE}px` }"
      >
        <span role="cell" class="row">Row {{ lines[v.index]!.row }}</span>
        <span role="cell" class="name">{{ lines[v.index]!.name || 'no name' }}</span>
        <strong role="cell" class="column">{{ lines[v.index]!.column || 'the whole row' }}</strong>
        <span role="cell" class="why">{{ lines[v.index]!.message }}</span>
      </div>
    </div>
  </div>
</template>

<style scoped>
.lines {
  max-height: 264px;
  overflow-y: auto;
  border: 1px solid var(--rule);
  background: var(--sheet);
}
.lines > div {
  position: relative;
}
.line {
  position: absolute;
  width: 100%;
  display: grid;
  grid-template-columns: 68px 1fr 1fr 2.4fr;
  gap: 10px;
  align-items: center;
  padding: 4px 10px;
  border-bottom: 1px solid var(--rule);
}
.line > * {
  overflow-wrap: anywhere;
  line-height: 1.25;
  font-size: 0.92rem;
}
.row {
  color: var(--pencil);
}
@media (max-width: 600px) {
  .line {
    grid-template-columns: 52px 1fr 2fr;
  }
  .name {
    display: none;
  }
}
</style>
