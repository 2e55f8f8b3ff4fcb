<script setup lang="ts">
import { computed } from 'vue'
import { textParts } from '~/composables/fractions'

/** A figure set in type: fractions as real ones. */
const props = defineProps<{ text: string }>()
const parts = computed(() => textParts(props.text))
</script>

<template>
  <span
    ><template v-for="(p, i) in parts" :key="i"
      ><span v-if="p.fraction" class="frac">{{ p.text }}</span
      ><template v-else>{{ p.text }}</template></template
    ></span
  >
</template>
