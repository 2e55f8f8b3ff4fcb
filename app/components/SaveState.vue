<script setup lang="ts">
import { computed } from 'vue'
import { useLive } from '~/stores/live'
import { useOutbox } from '~/stores/outbox'

const outbox = useOutbox()
const live = useLive()
const text = computed(() => {
  if (outbox.state === 'attention') return 'Not saved: look below'
  if (outbox.state === 'away') return 'Records can’t be reached: kept here, saved when they are back'
  if (live.connection === 'cut') return 'Connection cut: trying again'
  return outbox.state === 'saving' ? 'Saving …' : 'Saved'
})
const level = computed(() =>
  outbox.state === 'attention' || outbox.state === 'away' || live.connection === 'cut' ? 'loud' : '',
)
</script>

<template>
  <span class="state" :class="level" role="status" data-test="save-state">{{ text }}</span>
</template>

<style scoped>
.state {
  color: var(--pencil);
  font-size: 0.86rem;
  padding: 0 8px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.loud {
  color: var(--stop);
  font-weight: 600;
}
@media (max-width: 720px) {
  .state:not(.loud) {
    display: none;
  }
}
</style>
