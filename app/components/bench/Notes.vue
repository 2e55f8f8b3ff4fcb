<script setup lang="ts">
import { computed } from 'vue'
import { joiningNotes, workNotes } from '#core/bench/notes'
import type { HolderModel } from '#core/model/model'
import { useFormat } from '~/composables/useFormat'

/** What is said before the work begins, how the parts are put together, and the cautions for hanging. */
const props = defineProps<{ model: HolderModel }>()
const { format } = useFormat()
const work = computed(() => workNotes(props.model, format.value))
const joining = computed(() => joiningNotes(props.model))
</script>

<template>
  <section class="notes">
    <h2>Before you start</h2>
    <ul>
      <li v-for="note in work" :key="note"><LengthText :text="note" /></li>
    </ul>
    <h2>Put it together</h2>
    <ol>
      <li v-for="note in joining" :key="note">{{ note }}</li>
    </ol>
    <ul>
      <li>Pilot holes near ends and in hardwood, before any screw.</li>
      <li>
        Fix it to studs or a sound panel, never to drywall alone. Look for cables and pipes above and beside outlets
        before you drill a wall.
      </li>
      <li v-for="caution in model.cautions" :key="caution.says">{{ caution.says }}</li>
      <li>
        The figures are for sound, dry wood. Hang double the weight for a day before you trust it; follow your local
        codes and the makers’ instructions.
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul,
ol {
  padding-left: 20px;
  margin: 6px 0 0;
}
h2 {
  margin-top: 12px;
}
@media print {
  .notes {
    break-inside: avoid;
  }
}
</style>
