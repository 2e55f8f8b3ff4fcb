<script setup lang="ts">
import { ref, watch } from 'vue'
import { useHistory } from '~/stores/history'
import { useLive } from '~/stores/live'
import { useNotice } from '~/composables/useNotice'
import { useOutbox } from '~/stores/outbox'

const live = useLive()
const outbox = useOutbox()
const history = useHistory()
const notice = useNotice()
const shown = ref(false)
const text = ref('')
const undo = ref(false)

watch(
  () => live.news,
  (news) => {
    if (!news) return
    text.value = news
    undo.value = false
    shown.value = true
    live.news = ''
  },
)
watch(notice.said, (said) => {
  if (!said) return
  text.value = said.text
  undo.value = said.undo
  shown.value = true
})
function takeBack() {
  history.undo()
  shown.value = false
}
</script>

<template>
  <div class="no-print">
    <div v-for="r in outbox.refusals" :key="r.key" class="refused" role="alert">Not saved: {{ r.message }}</div>
    <v-snackbar v-model="shown" :timeout="7000" location="bottom left">
      {{ text }}
      <template #actions>
        <v-btn v-if="undo" @click="takeBack">Undo</v-btn>
        <v-btn @click="shown = false">Close</v-btn>
      </template>
    </v-snackbar>
  </div>
</template>

<style scoped>
.refused {
  position: fixed;
  bottom: 12px;
  left: 50%;
  transform: translateX(-50%);
  z-index: 40;
  background: var(--sheet);
  border: 2px solid var(--stop);
  padding: 10px 16px;
  max-width: 90vw;
}
</style>
