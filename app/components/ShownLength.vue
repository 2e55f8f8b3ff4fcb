<script setup lang="ts">
import { computed } from 'vue'
import { formatExact } from '#core/units/format-length'
import { useFormat } from '~/composables/useFormat'

/** A measured length as it is, in the shop's unit, with real fractions. */
const props = defineProps<{ mm: number }>()
const { format } = useFormat()
const text = computed(() => formatExact(props.mm, format.value))
</script>

<template><LengthText :text="text" /></template>
