<script setup lang="ts">
import { computed } from 'vue'
import { textParts } from '~/composables/fractions'

/** A figure inside an SVG: fractions as real ones. Attributes go to the text element. */
const props = defineProps<{ text: string }>()
const parts = computed(() => textParts(props.text))
</script>

<template>
  <text v-if="!text.includes('/')">{{ text }}</text>
  <text v-else
    ><tspan v-for="(p, i) in parts" :key="i" :class="{ frac: p.fraction }">{{ p.text }}</tspan></text
  >
</template>
