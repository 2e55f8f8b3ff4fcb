<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { ask } from '~/stores/backend'
import type { RecordKind } from '~/stores/record'
import { useRecords } from '~/stores/records'

/** Said where what a link leads to is not in this shop: which shop it is in, if any, and a way there. */
const props = defineProps<{
  id: string
  kinds: readonly RecordKind[]
  /** what is missing, where it is told on a page that has a heading of its own */
  what?: string
}>()
const records = useRecords()
const elsewhere = ref<string | null>(null)
const shopName = computed(() => records.shops.find((s) => s.id === elsewhere.value)?.shop.name)

/** Looked for in the whole list: to ask for one that isn’t there would stand in the console as an error. */
async function shopOf(kind: RecordKind): Promise<string | null> {
  const answer = await ask<{ id: string; shop: string }[]>('GET', `/api/${kind}`)
  return (answer.kind === 'ok' && answer.value.find((r) => r.id === props.id)?.shop) || null
}
onMounted(async () => {
  for (const kind of props.kinds) elsewhere.value ??= await shopOf(kind)
})
</script>

<template>
  <div data-test="not-here">
    <component :is="what ? 'h2' : 'h1'">{{ what ?? 'This' }} is not in {{ records.shop?.name }}</component>
    <p v-if="elsewhere && shopName">
      It belongs to {{ shopName }}.
      <button class="btn" @click="records.enter(elsewhere)">Go there</button>
    </p>
    <p v-else>
      It may have been deleted. <slot><NuxtLink to="/holders">To the holders</NuxtLink></slot>
    </p>
  </div>
</template>
