<script setup lang="ts">
import { computed } from 'vue'
import { stretches } from '#core/units/figures-in-text'
import { textParts } from '~/composables/fractions'

/** A text with figures set in type: fractions as real ones, and no figure broken at the end of a line. */
const props = defineProps<{ text: string }>()
const parts = computed(() => stretches(props.text).map((s) => ({ ...s, parts: s.figure ? textParts(s.text) : [] })))
</script>

<template>
  <span
    ><template v-for="(s, i) in parts" :key="i"
      ><span v-if="s.figure" class="figure"
        ><template v-for="(p, k) in s.parts" :key="k"
          ><span v-if="p.fraction" class="frac">{{ p.text }}</span
          ><template v-else>{{ p.text }}</template></template
        ></span
      ><template v-else>{{ s.text }}</template></template
    ></span
  >
</template>

<style scoped>
.figure {
  white-space: nowrap;
}
</style>
