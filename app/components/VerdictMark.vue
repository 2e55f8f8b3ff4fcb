<script setup lang="ts">
import type { Level } from '#core/checks/verdict'

/** A verdict by shape, colour and word: round passes, an angle asks to look, a square stops. */
defineProps<{ level: Level; worded?: boolean }>()
const WORDS: Record<Level, string> = { pass: 'pass', watch: 'watch', stop: 'stop' }
</script>

<template>
  <span class="mark" :class="level">
    <svg viewBox="0 0 14 14" width="13" height="13" aria-hidden="true">
      <circle v-if="level === 'pass'" cx="7" cy="7" r="5.5" />
      <path v-else-if="level === 'watch'" d="M7 1L13.500 13H.5z" />
      <rect v-else x="1" y="1" width="12" height="12" />
    </svg>
    <span :class="worded ? 'word' : 'hidden-text'">{{ WORDS[level] }}</span>
  </span>
</template>

<style scoped>
.mark {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  position: relative;
  vertical-align: -1px;
}
.pass {
  color: var(--pass);
}
.watch {
  color: var(--watch);
}
.stop {
  color: var(--stop);
}
svg {
  fill: currentColor;
  flex: none;
}
.pass svg {
  fill: none;
  stroke: currentColor;
  stroke-width: 2.2;
}
.word {
  font-weight: 650;
}
</style>
